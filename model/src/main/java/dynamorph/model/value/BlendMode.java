package dynamorph.model.value;

import java.util.Arrays;
import java.util.Locale;

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
  PLUS_LIGHTER;

  /** As CSS writes it in {@code mix-blend-mode}. */
  public String css() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-').replace("colour", "color");
  }

  /** What CSS writes so; normal for anything else. */
  public static BlendMode ofCss(String written) {
    return Arrays.stream(values())
        .filter(mode -> mode.css().equalsIgnoreCase(written))
        .findFirst()
        .orElse(NORMAL);
  }
}
