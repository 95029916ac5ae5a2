package dynamorph.model.property;

import dynamorph.model.message.Messages;
import java.util.Locale;
import java.util.Objects;

/**
 * One thing that can be set on text. What people call it, and what they are told about it, are the
 * messages {@code property.text.ID.label} and {@code property.text.ID.help}, and the same for
 * {@code coat} and {@code effect}.
 *
 * @param id stable, kebab case; in a path the last part
 * @param part whether it belongs to the text itself, to a coat, or to an effect of a coat
 * @param narrowest the narrowest level where it makes sense; every property can be set on a layer
 * @param relayout whether a change of it moves glyphs; if not, it only repaints
 * @param group id of what it stands under inside its facet when it is not needed every day; empty
 *     if it is
 * @param rank its place in the registry, which is the order that people see
 */
public record Property<T>(
    String id,
    Facet facet,
    Part part,
    Level narrowest,
    ValueType<T> type,
    T defaultValue,
    boolean relayout,
    String group,
    int rank) {
  /** What a property belongs to. */
  public enum Part {
    TEXT,
    COAT,
    EFFECT
  }

  public Property {
    if (!id.matches("[a-z][a-z-]*")) {
      throw new IllegalArgumentException(Messages.of("property.a-property-id-is-in-kebab", id));
    }
    Objects.requireNonNull(defaultValue, "defaultValue");
  }

  /** What people call it. */
  public String label() {
    return message("label");
  }

  /** One line about it for people. */
  public String help() {
    return message("help");
  }

  /** What people call its group; empty if it has none. */
  public String groupLabel() {
    return group.isEmpty() ? "" : Messages.of("property-group." + group);
  }

  private String message(String kind) {
    return Messages.of("property." + part.name().toLowerCase(Locale.ROOT) + "." + id + "." + kind);
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
