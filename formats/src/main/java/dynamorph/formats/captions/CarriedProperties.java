package dynamorph.formats.captions;

import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.EffectKind;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Leading;
import java.util.Set;

/** Which values of a style a file of captions holds, and which stay behind. */
final class CarriedProperties {
  private static final Set<Property<?>> LETTERS =
      Set.of(
          Properties.FONT_FAMILY,
          Properties.FONT_WEIGHT,
          Properties.SLANT,
          Properties.UNDERLINE,
          Properties.OVERLINE,
          Properties.STRIKE);

  /** A region says where cues stand and to which side they are set; in WebVTT each cue does. */
  private static final Set<Property<?>> OF_REGIONS =
      Set.of(
          Properties.ALIGNMENT,
          Properties.ANCHOR,
          Properties.RELATIVE_TO,
          Properties.SHARE_X,
          Properties.SHARE_Y,
          Properties.POSITION_X,
          Properties.POSITION_Y);

  private static final Set<Property<?>> OF_SHADOWS =
      Set.of(
          Properties.EFFECT_KIND,
          Properties.EFFECT_COLOUR,
          Properties.EFFECT_OPACITY,
          Properties.SHADOW_X,
          Properties.SHADOW_Y,
          Properties.SHADOW_BLUR);

  private CarriedProperties() {}

  /**
   * Whether a value is written.
   *
   * @param values of the style with what it is based on
   * @param regions whether the format has regions
   */
  static boolean is(PropertySet values, PropertyKey<?> key, boolean regions) {
    Property<?> property = key.property();
    Address at = key.address();
    if (at == Address.TEXT) {
      return LETTERS.contains(property)
          || property.equals(Properties.WRITING_MODE)
          || regions && OF_REGIONS.contains(property)
          || property.equals(Properties.SIZE)
              && !(values.get(Properties.SIZE.key()).orElseThrow() instanceof FontSize.Plus)
          || property.equals(Properties.LEADING)
              && values.get(Properties.LEADING.key()).orElseThrow() instanceof Leading.Relative;
    }
    if (at.ownCoat().equals(CueCss.FILL) && !at.effect().isEmpty()) {
      return OF_SHADOWS.contains(property)
          && values
              .get(Properties.EFFECT_KIND.at(at))
              .filter(kind -> kind == EffectKind.DROP_SHADOW)
              .isPresent();
    }
    boolean ground =
        at.equals(CueCss.GROUND)
            && values
                .get(Properties.COAT_KIND.at(at))
                .filter(kind -> kind == CoatKind.FILL)
                .isPresent();
    return property.equals(Properties.COAT_COLOUR) && (at.equals(CueCss.FILL) || ground)
        || property.equals(Properties.COAT_KIND) && ground;
  }
}
