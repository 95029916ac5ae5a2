package dynamorph.model.property;

import dynamorph.model.message.Messages;

/**
 * Where in a look a property stands: on the text itself, on a coat, or on an effect of a coat.
 *
 * @param host {@code finish} for coats of the letters, {@code plate} for coats of the plate, empty
 *     for the text itself
 * @param coat id of the coat, or empty
 * @param effect id of the effect, or empty
 */
public record Address(String host, String coat, String effect) implements Comparable<Address> {
  public static final Address TEXT = new Address("", "", "");
  public static final String FINISH = "finish";
  public static final String PLATE = "plate";

  /** Stands for all coats together, with what belongs to none of them alone. */
  public static final String WHOLE = "whole";

  public Address {
    boolean text = host.isEmpty() && coat.isEmpty() && effect.isEmpty();
    boolean known = host.equals(FINISH) || host.equals(PLATE);
    if (!text && !(known && isId(coat) && (effect.isEmpty() || isId(effect)))) {
      throw new IllegalArgumentException(
          Messages.of("address.does-not-name-a-coat-write", String.join("/", host, coat, effect)));
    }
  }

  /** Letters, digits and hyphens, of which the first is no hyphen. */
  private static boolean isId(String text) {
    for (int index = 0; index < text.length(); index++) {
      char unit = text.charAt(index);
      boolean letter = unit >= 'a' && unit <= 'z' || unit >= '0' && unit <= '9';
      if (!letter && (unit != '-' || index == 0)) {
        return false;
      }
    }
    return !text.isEmpty();
  }

  /** A coat of the letters. */
  public static Address coat(String coat) {
    return new Address(FINISH, coat, "");
  }

  /** A coat of the plate. */
  public static Address plateCoat(String coat) {
    return new Address(PLATE, coat, "");
  }

  /** All coats of a host together, as {@link CoatProperties#OF_ALL_COATS} says, and its effects. */
  public static Address whole(String host) {
    return new Address(host, WHOLE, "");
  }

  /** An effect of this coat. */
  public Address effect(String id) {
    return new Address(host, coat, id);
  }

  /** The coat that this effect belongs to, or itself. */
  public Address ownCoat() {
    return effect.isEmpty() ? this : new Address(host, coat, "");
  }

  public Property.Part part() {
    return host.isEmpty()
        ? Property.Part.TEXT
        : effect.isEmpty() ? Property.Part.COAT : Property.Part.EFFECT;
  }

  @Override
  public int compareTo(Address other) {
    int byHost = host.compareTo(other.host);
    int byCoat = byHost != 0 ? byHost : coat.compareTo(other.coat);
    return byCoat != 0 ? byCoat : effect.compareTo(other.effect);
  }

  @Override
  public String toString() {
    return host.isEmpty()
        ? ""
        : effect.isEmpty() ? host + "/" + coat : host + "/" + coat + "/" + effect;
  }
}
