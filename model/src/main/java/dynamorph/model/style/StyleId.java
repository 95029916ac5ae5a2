package dynamorph.model.style;

import dynamorph.model.message.Messages;

/** The stable name of a style within a project; people see the style's name instead. */
public record StyleId(String value) implements Comparable<StyleId> {
  public StyleId {
    if (!value.matches("[A-Za-z0-9_.-]+")) {
      throw new IllegalArgumentException(Messages.of("style-id.not-a-style-id", value));
    }
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
