package dynamorph.shelf.message;

import dynamorph.model.message.MessageBundle;

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
}
