package dynamorph.model.cascade;

import dynamorph.model.value.AxisSettings;
import dynamorph.model.value.ScriptFonts;
import dynamorph.model.value.Slant;

/**
 * The face that is asked for.
 *
 * @param weight 1 to 1000
 * @param width percent of the normal width
 * @param opticalSizing whether the size of the text chooses the optical size of a variable font
 */
public record FontRequest(
    String family,
    double weight,
    double width,
    Slant slant,
    AxisSettings axes,
    boolean opticalSizing,
    ScriptFonts fallback) {
  /** A face of normal width and optical size, without axes or fallbacks of its own. */
  public static FontRequest of(String family, double weight, Slant slant) {
    return new FontRequest(family, weight, 100, slant, AxisSettings.NONE, false, ScriptFonts.NONE);
  }

  public FontRequest withFamily(String other) {
    return new FontRequest(other, weight, width, slant, axes, opticalSizing, fallback);
  }

  public FontRequest withWeight(double other) {
    return new FontRequest(
        family, Math.clamp(other, 1, 1000), width, slant, axes, opticalSizing, fallback);
  }

  public FontRequest withAxes(AxisSettings other) {
    return new FontRequest(family, weight, width, slant, other, opticalSizing, fallback);
  }
}
