package dynamorph.model.property;

import java.util.Objects;

/**
 * One thing that can be set on text.
 *
 * @param id stable, kebab case; in a path the last part
 * @param label what the interface calls it
 * @param part whether it belongs to the text itself, to a coat, or to an effect of a coat
 * @param narrowest the narrowest level where it makes sense; every property can be set on a layer
 * @param relayout whether a change of it moves glyphs; if not, it only repaints
 * @param group what it stands under inside its facet when it is not needed every day; empty if it
 *     is
 * @param help one line for people
 * @param rank its place in the registry, which is the order that people see
 */
public record Property<T>(
    String id,
    String label,
    Facet facet,
    Part part,
    Level narrowest,
    ValueType<T> type,
    T defaultValue,
    boolean relayout,
    String group,
    String help,
    int rank) {
  /** What a property belongs to. */
  public enum Part {
    TEXT,
    COAT,
    EFFECT
  }

  public Property {
    if (!id.matches("[a-z][a-z-]*")) {
      throw new IllegalArgumentException("a property id is in kebab case, got \"" + id + "\"");
    }
    Objects.requireNonNull(defaultValue, "defaultValue");
  }

  /** The key of a property of the text itself. */
  public PropertyKey<T> key() {
    return Registry.textKey(this);
  }

  /** The key of a property of one coat or effect. */
  public PropertyKey<T> at(Address address) {
    return new PropertyKey<>(this, address);
  }

  /** Whether a value set on the given level counts. */
  public boolean countsOn(Level level) {
    return !level.isNarrowerThan(narrowest);
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof Property<?> property && property.id.equals(id) && property.part == part;
  }

  @Override
  public int hashCode() {
    return id.hashCode();
  }

  @Override
  public String toString() {
    return id;
  }
}
