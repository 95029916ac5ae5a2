package dynamorph.model.cascade;

import dynamorph.model.value.FeatureSettings;
import dynamorph.model.value.ScriptPosition;
import dynamorph.model.value.TextCase;

/**
 * Which shapes letters have.
 *
 * @param scaleAcross factor, 1 as drawn
 * @param scaleDown factor, 1 as drawn
 * @param shear degrees to the right
 */
public record Letterforms(
    TextCase textCase,
    ScriptPosition position,
    FeatureSettings features,
    double scaleAcross,
    double scaleDown,
    double shear) {
  public static final Letterforms PLAIN =
      new Letterforms(TextCase.AS_TYPED, ScriptPosition.NORMAL, FeatureSettings.NONE, 1, 1, 0);
}
