package dynamorph.model.property;

import java.util.Objects;

/**
 * What a value is filed under: a property, and for the parameters of coats and effects which one.
 * Written {@code size}, {@code finish/outline/width} or {@code finish/outline/shadow/blur}.
 */
public record PropertyKey<T>(Property<T> property, Address address)
    implements Comparable<PropertyKey<?>> {
  public PropertyKey {
    Objects.requireNonNull(address, "address");
    if (property.part() != address.part()) {
      throw new IllegalArgumentException(
          "\"" + property.id() + "\" cannot stand at \"" + address + "\"");
    }
  }

  /** Whether a value set on the given level counts. The plate is one for the whole layer. */
  public boolean countsOn(Level level) {
    return address.host().equals(Address.PLATE) ? level == Level.LAYER : property.countsOn(level);
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
    return byAddress != 0 || property == other.property
        ? byAddress
        : Integer.compare(Properties.rank(property), Properties.rank(other.property));
  }

  @Override
  public String toString() {
    return path();
  }
}
