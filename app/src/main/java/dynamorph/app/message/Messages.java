package dynamorph.app.message;

import dynamorph.model.message.MessageBundle;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.format.FormatStyle;
import java.util.List;

/** The words of this module that people read; they stand in {@code messages.properties}. */
public final class Messages {
  private static final MessageBundle BUNDLE = MessageBundle.of(Messages.class);

  private Messages() {}

  /**
   * A text with its arguments in it.
   *
   * @throws java.util.MissingResourceException if no text has the key
   */
  public static String of(String key, Object... arguments) {
    return BUNDLE.text(key, arguments);
  }

  /** What a failure says of itself, else what kind of failure it is. */
  public static String reason(Throwable failure) {
    String message = failure.getMessage();
    return message == null ? failure.getClass().getSimpleName() : message;
  }

  /** A day and a time of it, where the person is. */
  public static String time(Instant time) {
    return DateTimeFormatter.ofLocalizedDateTime(FormatStyle.MEDIUM, FormatStyle.MEDIUM)
        .withZone(ZoneId.systemDefault())
        .format(time);
  }

  /** Words one after another, as a sentence lists them: {@code a, b and c}. */
  public static String list(List<String> words) {
    return BUNDLE.list(words);
  }
}
