package dynamorph.model.value;

/**
 * How a colour is mixed with what lies below it (W3C Compositing and Blending Level 1, sections 9
 * and 10).
 */
public enum BlendMode {
  NORMAL,
  MULTIPLY,
  SCREEN,
  OVERLAY,
  DARKEN,
  LIGHTEN,
  COLOUR_DODGE,
  COLOUR_BURN,
  HARD_LIGHT,
  SOFT_LIGHT,
  DIFFERENCE,
  EXCLUSION,
  HUE,
  SATURATION,
  COLOUR,
  LUMINOSITY,
  PLUS_LIGHTER
}
