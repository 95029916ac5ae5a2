package dynamorph.model.message;

import com.ibm.icu.text.ListFormatter;
import com.ibm.icu.text.MessageFormat;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.MissingResourceException;
import java.util.ResourceBundle;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Text that people read, by key, from a resource bundle. A text is a pattern of ICU's
 * MessageFormat: arguments are numbered from 0, an apostrophe is written twice, plural forms are
 * chosen by the rules of the language: <code>{0, plural, one {# text} other {# texts}}</code>.
 * Arguments that choose no form stand in the text as they are written in code.
 *
 * <p>Safe on any thread.
 */
public final class MessageBundle {
  private final ResourceBundle bundle;
  private final Locale locale;
  private final Map<String, MessageFormat> formats = new ConcurrentHashMap<>();

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
    return pattern.contains(", plural,") || pattern.contains(", select,")
        ? chosen(pattern, arguments)
        : filled(pattern, arguments);
  }

  /** Words one after another, as a sentence of the language lists them. */
  public String list(List<String> words) {
    return ListFormatter.getInstance(locale).format(words);
  }

  /** Most texts choose no form; those are put together without the rules of the language. */
  private static String filled(String pattern, Object[] arguments) {
    if (pattern.indexOf('{') < 0 && pattern.indexOf('\'') < 0) {
      return pattern;
    }
    StringBuilder text = new StringBuilder();
    boolean quoted = false;
    for (int index = 0; index < pattern.length(); index++) {
      char sign = pattern.charAt(index);
      if (sign == '\'') {
        boolean twice = index + 1 < pattern.length() && pattern.charAt(index + 1) == '\'';
        if (twice) {
          text.append(sign);
          index++;
        } else {
          quoted = !quoted;
        }
      } else if (sign == '{' && !quoted) {
        int end = pattern.indexOf('}', index);
        text.append(arguments[Integer.parseInt(pattern.substring(index + 1, end))]);
        index = end;
      } else {
        text.append(sign);
      }
    }
    return text.toString();
  }

  private String chosen(String pattern, Object[] arguments) {
    Object[] shown = Arrays.copyOf(arguments, arguments.length);
    for (int index = 0; index < shown.length; index++) {
      // a number that chooses no form would be grouped by thousands
      if (!pattern.contains("{" + index + ", ")) {
        shown[index] = String.valueOf(shown[index]);
      }
    }
    MessageFormat format =
        formats.computeIfAbsent(pattern, wanted -> new MessageFormat(wanted, locale));
    // ICU's formats are for one thread at a time
    synchronized (format) {
      return format.format(shown, new StringBuffer(), null).toString();
    }
  }
}
