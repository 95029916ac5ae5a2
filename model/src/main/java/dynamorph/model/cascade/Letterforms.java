package dynamorph.model.cascade;

import dynamorph.model.value.EmphasisMark;
import dynamorph.model.value.FeatureSettings;
import dynamorph.model.value.ScriptPosition;
import dynamorph.model.value.TateChuYoko;
import dynamorph.model.value.TextCase;
import dynamorph.model.value.TextOrientation;

/**
 * Which shapes letters have.
 *
 * @param scaleAcross factor, 1 as drawn
 * @param scaleDown factor, 1 as drawn
 * @param shear degrees to the right
 * @param orientation how letters stand in vertical lines
 * @param combined what is set across a vertical line
 * @param emphasis what stands over each letter
 */
public record Letterforms(
    TextCase textCase,
    ScriptPosition position,
    FeatureSettings features,
    double scaleAcross,
    double scaleDown,
    double shear,
    TextOrientation orientation,
    TateChuYoko combined,
    EmphasisMark emphasis) {
  public static final Letterforms PLAIN =
      new Letterforms(
          TextCase.AS_TYPED,
          ScriptPosition.NORMAL,
          FeatureSettings.NONE,
          1,
          1,
          0,
          TextOrientation.MIXED,
          TateChuYoko.NONE,
          EmphasisMark.NONE);
}
