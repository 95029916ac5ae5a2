package dynamorph.app.message;

import dynamorph.model.message.MessageBundle;
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

  /** Words one after another, as a sentence lists them: {@code a, b and c}. */
  public static String list(List<String> words) {
    return BUNDLE.list(words);
  }
}
