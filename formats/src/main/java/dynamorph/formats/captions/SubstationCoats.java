package dynamorph.formats.captions;

import dynamorph.model.cascade.Coats;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.EffectKind;
import dynamorph.model.value.Length;
import dynamorph.model.value.StrokePosition;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Which coats of a look a script can hold: one fill, a border around it, and one shadow; or a box
 * instead of the border.
 *
 * @param fill the topmost that is not moved
 * @param border the stroke that reaches farthest
 * @param shadow a fill below that is moved, or a drop shadow
 * @param box the first fill of the plate
 */
record SubstationCoats(
    Optional<Address> fill,
    Optional<Address> border,
    Optional<Address> shadow,
    Optional<Address> box) {
  private static final Set<Property<?>> OF_FILLS =
      Set.of(
          Properties.COAT_KIND,
          Properties.COAT_COLOUR,
          Properties.COAT_OPACITY,
          Properties.COAT_ORDER,
          Properties.COAT_REMOVED);

  private static final Set<Property<?>> OF_BORDERS =
      Set.of(
          Properties.COAT_KIND,
          Properties.COAT_COLOUR,
          Properties.COAT_OPACITY,
          Properties.COAT_ORDER,
          Properties.STROKE_WIDTH,
          Properties.STROKE_POSITION,
          Properties.STROKE_JOIN);

  private static final Set<Property<?>> OF_SHADOWS =
      Set.of(
          Properties.COAT_KIND,
          Properties.COAT_COLOUR,
          Properties.COAT_OPACITY,
          Properties.COAT_ORDER,
          Properties.COAT_OFFSET,
          Properties.STROKE_JOIN,
          Properties.COAT_X,
          Properties.COAT_Y,
          Properties.EFFECT_KIND,
          Properties.EFFECT_COLOUR,
          Properties.EFFECT_OPACITY,
          Properties.SHADOW_X,
          Properties.SHADOW_Y);

  /** Lines are written as they are broken, so that the box and what balances them is in them. */
  private static final Set<Property<?>> OF_WORDS =
      Set.of(
          Properties.BALANCE,
          Properties.BOX,
          Properties.BOX_SHARE,
          Properties.BOX_WIDTH,
          Properties.PLATE_EXTENT,
          Properties.FONT_FAMILY,
          Properties.FONT_WEIGHT,
          Properties.SLANT,
          Properties.SIZE,
          Properties.UNDERLINE,
          Properties.STRIKE,
          Properties.HORIZONTAL_SCALE,
          Properties.VERTICAL_SCALE,
          Properties.TRACKING,
          Properties.ALIGNMENT,
          Properties.ANCHOR,
          Properties.RELATIVE_TO,
          Properties.SHARE_X,
          Properties.SHARE_Y,
          Properties.POSITION_X,
          Properties.POSITION_Y,
          Properties.ROTATION,
          Properties.PLATE_PADDING);

  /** The coats of complete values. */
  static SubstationCoats of(PropertySet values) {
    List<Address> shown =
        Coats.of(values, Address.FINISH).stream()
            .filter(coat -> Coats.value(values, Properties.COAT_SHOWN.at(coat)))
            .toList();
    Optional<Address> fill =
        shown.reversed().stream()
            .filter(coat -> isFill(values, coat) && !isMoved(values, coat))
            .findFirst();
    Optional<Address> box =
        Coats.of(values, Address.PLATE).stream().filter(coat -> isFill(values, coat)).findFirst();
    Optional<Address> border =
        box.isPresent()
            ? Optional.empty()
            : shown.stream()
                .filter(coat ->
                    Coats.value(values, Properties.COAT_KIND.at(coat)) == CoatKind.STROKE
                        && outer(values, coat, 100) > 0)
                .reduce((one, other) ->
                    outer(values, one, 100) >= outer(values, other, 100) ? one : other);
    Optional<Address> shadow =
        shown.stream()
            .filter(coat -> isFill(values, coat) && isMoved(values, coat))
            .findFirst()
            .or(() ->
                shown.stream()
                    .flatMap(coat -> Coats.effects(values, coat).stream())
                    .filter(effect ->
                        Coats.value(values, Properties.EFFECT_KIND.at(effect))
                                == EffectKind.DROP_SHADOW
                            && Coats.value(values, Properties.EFFECT_SHOWN.at(effect)))
                    .findFirst());
    return new SubstationCoats(fill, border, shadow, box);
  }

  private static boolean isFill(PropertySet values, Address coat) {
    return Coats.value(values, Properties.COAT_KIND.at(coat)) == CoatKind.FILL;
  }

  private static boolean isMoved(PropertySet values, Address coat) {
    return Coats.value(values, Properties.COAT_X.at(coat)).amount() != 0
        || Coats.value(values, Properties.COAT_Y.at(coat)).amount() != 0;
  }

  /** How far a stroke reaches beyond the edge of letters, in points. */
  static double outer(PropertySet values, Address stroke, double size) {
    double width = points(values, Properties.STROKE_WIDTH.at(stroke), size);
    StrokePosition position = Coats.value(values, Properties.STROKE_POSITION.at(stroke));
    return points(values, Properties.COAT_OFFSET.at(stroke), size)
        + switch (position) {
          case INSIDE -> 0;
          case CENTRE -> width / 2;
          case OUTSIDE -> width;
        };
  }

  static double points(PropertySet values, PropertyKey<Length> key, double size) {
    return Coats.value(values, key).toPoints(size);
  }

  /** Whether a script holds a value. */
  boolean carries(PropertyKey<?> key) {
    Address at = key.address();
    Property<?> property = key.property();
    if (at == Address.TEXT) {
      return OF_WORDS.contains(property);
    }
    return fill.filter(at::equals).isPresent() && OF_FILLS.contains(property)
        || box.filter(at::equals).isPresent() && OF_FILLS.contains(property)
        || border.filter(at::equals).isPresent() && OF_BORDERS.contains(property)
        || shadow.filter(at::equals).isPresent() && OF_SHADOWS.contains(property);
  }
}
