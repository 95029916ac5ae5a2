package dynamorph.model.value;

import dynamorph.model.message.Messages;
import java.util.regex.Pattern;

/**
 * The style of a paragraph that is begun behind the end of another: {@code "style body"}, by the id
 * of a paragraph style, or {@code same}.
 *
 * @param style empty for the style of the paragraph before
 */
public record NextStyle(String style) {
  public static final NextStyle SAME = new NextStyle("");

  private static final Pattern NAMED = Pattern.compile("style\\s+([A-Za-z0-9_.-]+)");

  /**
   * Reads one.
   *
   * @throws IllegalArgumentException if it is none
   */
  public static NextStyle parse(String text) {
    String plain = text.strip();
    if (plain.isEmpty() || plain.equalsIgnoreCase("same")) {
      return SAME;
    }
    var named = NAMED.matcher(plain);
    if (!named.matches()) {
      throw new IllegalArgumentException(Messages.of("next-style.expected-a-style", plain));
    }
    return new NextStyle(named.group(1));
  }

  public boolean isSame() {
    return style.isEmpty();
  }

  @Override
  public String toString() {
    return isSame() ? "same" : "style " + style;
  }
}
