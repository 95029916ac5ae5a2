package dynamorph.model.cascade;

import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Palette;
import dynamorph.model.value.Length;
import dynamorph.model.value.Rgba;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** Reads the coats out of a complete set of values. */
public final class Coats {
  private Coats() {}

  /** The coats of a host that are there, shown or not, in paint order. */
  public static List<Address> of(PropertySet values, String host) {
    return present(values, Properties.COAT_KIND, Properties.COAT_REMOVED).stream()
        .filter(address -> address.host().equals(host))
        .sorted(
            Comparator.<Address>comparingDouble(
                    address -> value(values, Properties.COAT_ORDER.at(address)))
                .thenComparing(Comparator.naturalOrder()))
        .toList();
  }

  /** The effects of a coat that are there, shown or not. */
  public static List<Address> effects(PropertySet values, Address coat) {
    return present(values, Properties.EFFECT_KIND, Properties.EFFECT_REMOVED).stream()
        .filter(address -> address.ownCoat().equals(coat))
        .toList();
  }

  /** The value of a key, or its property's default where the set leaves it open. */
  public static <T> T value(PropertySet values, PropertyKey<T> key) {
    return values.get(key).orElse(key.property().defaultValue());
  }

  private static List<Address> present(
      PropertySet values, Property<?> kind, Property<Boolean> removed) {
    List<Address> present = new ArrayList<>();
    for (PropertyKey<?> key : values.keys()) {
      if (key.property().equals(kind) && !value(values, removed.at(key.address()))) {
        present.add(key.address());
      }
    }
    return present;
  }

  /** The coats that show, ready to paint on text of a size in points. */
  static List<Coat> painted(PropertySet values, String host, Palette palette, double size) {
    return of(values, host).stream()
        .filter(address -> value(values, Properties.COAT_SHOWN.at(address)))
        .map(address -> coat(values, address, palette, size))
        .toList();
  }

  private static Coat coat(PropertySet values, Address address, Palette palette, double size) {
    Rgba colour =
        palette
            .colour(value(values, Properties.COAT_COLOUR.at(address)))
            .faded(value(values, Properties.COAT_OPACITY.at(address)));
    List<Coat.DropShadow> shadows =
        effects(values, address).stream()
            .filter(effect -> value(values, Properties.EFFECT_SHOWN.at(effect)))
            .map(effect -> shadow(values, effect, palette, size))
            .toList();
    return switch (value(values, Properties.COAT_KIND.at(address))) {
      case FILL -> new Coat.Fill(colour, shadows);
      case STROKE ->
          new Coat.Stroke(
              colour,
              points(values, Properties.STROKE_WIDTH.at(address), size),
              value(values, Properties.STROKE_POSITION.at(address)),
              value(values, Properties.STROKE_JOIN.at(address)),
              shadows);
    };
  }

  private static Coat.DropShadow shadow(
      PropertySet values, Address effect, Palette palette, double size) {
    return switch (value(values, Properties.EFFECT_KIND.at(effect))) {
      case DROP_SHADOW ->
          new Coat.DropShadow(
              palette
                  .colour(value(values, Properties.EFFECT_COLOUR.at(effect)))
                  .faded(value(values, Properties.EFFECT_OPACITY.at(effect))),
              points(values, Properties.SHADOW_ACROSS.at(effect), size),
              points(values, Properties.SHADOW_DOWN.at(effect), size),
              points(values, Properties.SHADOW_BLUR.at(effect), size));
    };
  }

  static double points(PropertySet values, PropertyKey<Length> key, double size) {
    return value(values, key).toPoints(size);
  }
}
