package dynamorph.model.style;

import dynamorph.model.message.Messages;
import java.util.Locale;

/** The stable name of a style within a project; people see the style's name instead. */
public record StyleId(String value) implements Comparable<StyleId> {
  public StyleId {
    if (!value.matches("[A-Za-z0-9_.-]+")) {
      throw new IllegalArgumentException(Messages.of("style-id.not-a-style-id", value));
    }
  }

  /**
   * The letters and digits of a name as the beginning of an id, in lower case with hyphens.
   *
   * @param otherwise for a name that has no letter that an id can have
   */
  public static String stem(String name, String otherwise) {
    String slug =
        name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("^-+|-+$", "");
    return slug.isEmpty() ? otherwise : slug;
  }

  @Override
  public int compareTo(StyleId other) {
    return value.compareTo(other.value);
  }

  @Override
  public String toString() {
    return value;
  }
}
