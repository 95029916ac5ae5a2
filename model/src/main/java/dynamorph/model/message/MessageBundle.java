package dynamorph.model.message;

import com.ibm.icu.text.MessageFormat;
import java.util.Locale;
import java.util.MissingResourceException;
import java.util.ResourceBundle;

/**
 * Text that people read, by key, from a resource bundle. A text is a pattern of ICU's
 * MessageFormat: arguments are numbered from 0, a single apostrophe is written twice, plural forms
 * are chosen by the rules of the language: <code>{0, plural, one {# text} other {# texts}}</code>.
 *
 * <p>Safe on any thread.
 */
public final class MessageBundle {
  private final ResourceBundle bundle;
  private final Locale locale;

  private MessageBundle(ResourceBundle bundle, Locale locale) {
    this.bundle = bundle;
    this.locale = locale;
  }

  /**
   * The bundle {@code messages} in the package of a class, in the language of the person.
   *
   * @throws MissingResourceException if there is none
   */
  public static MessageBundle of(Class<?> home) {
    return of(home, Locale.getDefault(Locale.Category.DISPLAY));
  }

  /** The same in another language. */
  public static MessageBundle of(Class<?> home, Locale locale) {
    return new MessageBundle(
        ResourceBundle.getBundle(
            home.getPackageName() + ".messages",
            locale,
            home.getClassLoader(),
            ResourceBundle.Control.getNoFallbackControl(ResourceBundle.Control.FORMAT_PROPERTIES)),
        locale);
  }

  /**
   * A text with its arguments in it.
   *
   * @throws MissingResourceException if no text has the key
   */
  public String text(String key, Object... arguments) {
    String pattern = bundle.getString(key);
    return isPlain(pattern)
        ? pattern
        : new MessageFormat(pattern, locale).format(arguments, new StringBuffer(), null).toString();
  }

  /** Most texts have neither arguments nor apostrophes, and are what they are. */
  private static boolean isPlain(String pattern) {
    return pattern.indexOf('{') < 0 && pattern.indexOf('\'') < 0;
  }
}
