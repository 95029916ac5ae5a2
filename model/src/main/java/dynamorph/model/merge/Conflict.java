package dynamorph.model.merge;

import dynamorph.model.property.PropertyKey;

/**
 * A place that both sides changed otherwise.
 *
 * @param of the name of the thing; empty for the project itself
 * @param part what of it
 */
public record Conflict(Kind kind, String of, Part part) {
  /** What sort of thing it is in. */
  public enum Kind {
    PROJECT,
    SWATCH,
    STYLE,
    ARTBOARD,
    TEXT,
    TRACK,
    FILE
  }

  /** What of a thing it is. */
  public sealed interface Part {
    /** The thing as a whole. */
    record Whole() implements Part {}

    /** Something that every thing of its sort has, such as {@code name}. */
    record Field(String id) implements Part {}

    /** The value of a property. */
    record Value(PropertyKey<?> key) implements Part {}
  }
}
