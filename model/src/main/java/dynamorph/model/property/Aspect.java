package dynamorph.model.property;

import dynamorph.model.message.Messages;
import dynamorph.model.value.Colour;
import dynamorph.model.value.GradientStops;
import java.util.Locale;
import java.util.Set;

/** A part of a look that can be left alone while the rest of a style is taken. */
public enum Aspect {
  FONT,
  COLOURS,
  SIZE,
  PARAGRAPH,
  PLACEMENT;

  private static final Set<Property<?>> FONT_CHOICE =
      Set.of(
          Properties.FONT_FAMILY,
          Properties.FONT_WEIGHT,
          Properties.FONT_WIDTH,
          Properties.SLANT,
          Properties.FONT_AXES,
          Properties.FALLBACK_FONTS);

  /** What people call it. */
  public String label() {
    return Messages.of("aspect." + name().toLowerCase(Locale.ROOT));
  }

  /** Whether the key belongs to this part. */
  public boolean covers(PropertyKey<?> key) {
    return switch (this) {
      case FONT -> FONT_CHOICE.contains(key.property());
      case SIZE -> key.property().equals(Properties.SIZE);
      case COLOURS -> isColour(key.property());
      case PARAGRAPH -> key.property().facet() == Facet.PARAGRAPH;
      case PLACEMENT -> key.property().facet() == Facet.PLACEMENT;
    };
  }

  /** A gradient is its stops and that it is one. */
  private static boolean isColour(Property<?> property) {
    return property.defaultValue() instanceof Colour
        || property.defaultValue() instanceof GradientStops
        || property.equals(Properties.COAT_PAINT);
  }
}
