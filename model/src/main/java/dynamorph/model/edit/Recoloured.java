package dynamorph.model.edit;

import dynamorph.model.Layer;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.Colour;
import dynamorph.model.value.GradientStops;
import dynamorph.model.value.Rgba;
import java.util.function.Function;
import java.util.function.UnaryOperator;

/** The same things with other colours in them. */
public final class Recoloured {
  private Recoloured() {}

  /** A value with each colour in it changed. */
  @SuppressWarnings("unchecked") // a colour stays a colour, stops stay stops
  static <T> T value(T value, UnaryOperator<Colour> change) {
    return (T)
        switch (value) {
          case Colour colour -> change.apply(colour);
          case GradientStops gradient ->
              new GradientStops(
                  gradient.stops().stream()
                      .map(stop ->
                          new GradientStops.Stop(
                              change.apply(stop.colour()), stop.position(), stop.opacity()))
                      .toList());
          default -> value;
        };
  }

  /** A value with its swatches replaced by the colours they are painted in. */
  static <T> T literal(T value, Function<Colour, Rgba> painted) {
    return value(
        value,
        colour ->
            colour instanceof Colour.SwatchReference ? Colour.of(painted.apply(colour)) : colour);
  }

  public static PropertySet values(PropertySet values, UnaryOperator<Colour> change) {
    return values.mapValues(value -> value(value, change));
  }

  public static Layer layer(Layer layer, UnaryOperator<Colour> change) {
    return layer.mapLocals(local -> values(local, change));
  }
}
