package dynamorph.model.property;

import dynamorph.model.message.Messages;
import java.util.Objects;

/**
 * What a value is filed under: a property, and for the parameters of coats and effects which one.
 * Written {@code size}, {@code finish/outline/width} or {@code finish/outline/shadow/blur}.
 */
public final class PropertyKey<T> implements Comparable<PropertyKey<?>> {
  private final Property<T> property;
  private final Address address;
  // keys are compared more often than anything else, so what that needs is worked out once
  private final int rank;
  private final int hash;
  private final int place;

  public PropertyKey(Property<T> property, Address address) {
    this.property = Objects.requireNonNull(property, "property");
    this.address = Objects.requireNonNull(address, "address");
    if (address != Address.TEXT && property.part() != address.part()
        || address == Address.TEXT && property.part() != Property.Part.TEXT) {
      throw new IllegalArgumentException(
          Messages.of("property-key.cannot-stand-at", property.id(), address));
    }
    this.rank = property.rank();
    this.hash = 31 * property.hashCode() + (address == Address.TEXT ? 0 : address.hashCode());
    this.place = address == Address.TEXT ? Registry.textPlace(property) : -1;
  }

  /** Where this key stands in a set that has all properties of the text; -1 if that varies. */
  int placeInComplete() {
    return place;
  }

  public Property<T> property() {
    return property;
  }

  public Address address() {
    return address;
  }

  /** Whether it says where a text stands, or how its box is filled with lines. */
  public boolean places() {
    return property.facet() == Facet.PLACEMENT || property.equals(Properties.WRITING_MODE);
  }

  /** Whether a value set on the given level counts. The plate is one for the whole layer. */
  public boolean countsOn(Level level) {
    return address.host().equals(Address.PLATE) ? level == Level.LAYER : property.countsOn(level);
  }

  /** Whether a value puts in the coat or effect that it stands at, instead of changing one. */
  public boolean isKind() {
    return property.equals(Properties.COAT_KIND) || property.equals(Properties.EFFECT_KIND);
  }

  /** The path of this key, as files and the command line write it. */
  public String path() {
    return address == Address.TEXT || address.host().isEmpty()
        ? property.id()
        : address + "/" + property.id();
  }

  /** The label with the coat or effect it belongs to. */
  public String label() {
    return address.host().isEmpty() ? property.label() : address + " " + property.label();
  }

  @Override
  public int compareTo(PropertyKey<?> other) {
    int byAddress = address == other.address ? 0 : address.compareTo(other.address);
    return byAddress != 0 ? byAddress : Integer.compare(rank, other.rank);
  }

  @Override
  public boolean equals(Object other) {
    return this == other
        || other instanceof PropertyKey<?> key
            && key.rank == rank
            && key.hash == hash
            && key.property.equals(property)
            && (key.address == address || key.address.equals(address));
  }

  @Override
  public int hashCode() {
    return hash;
  }

  @Override
  public String toString() {
    return path();
  }
}
