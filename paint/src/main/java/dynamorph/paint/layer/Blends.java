package dynamorph.paint.layer;

import dynamorph.model.value.BlendMode;
import io.github.humbleui.skija.Blender;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.RuntimeEffect;

/**
 * How paints mix. The drawing library has all modes, but works three of them out in whole numbers,
 * which is off by more than 1/255; those are given here in full precision.
 */
final class Blends {
  private static final Blender DIFFERENCE =
      blender("s.rgb + d.rgb - 2 * min(s.rgb * d.a, d.rgb * s.a)");
  private static final Blender EXCLUSION = blender("s.rgb + d.rgb - 2 * s.rgb * d.rgb");
  private static final Blender HARD_LIGHT =
      blender(
          "s.rgb * (1 - d.a) + d.rgb * (1 - s.a)"
              + " + mix(s.a * d.a - 2 * (d.a - d.rgb) * (s.a - s.rgb), 2 * s.rgb * d.rgb,"
              + " step(2 * s.rgb, half3(s.a)))");

  private Blends() {}

  /**
   * @param colour of premultiplied source s and destination d
   */
  private static Blender blender(String colour) {
    String source =
        "half4 main(half4 s, half4 d) { return half4(" + colour + ", s.a + d.a - s.a * d.a); }";
    return RuntimeEffect.makeForBlender(source).makeBlender(null);
  }

  /** Makes a paint mix with what it is painted on. */
  static Paint set(Paint paint, BlendMode mode) {
    return switch (mode) {
      case DIFFERENCE -> paint.setBlender(DIFFERENCE);
      case EXCLUSION -> paint.setBlender(EXCLUSION);
      case HARD_LIGHT -> paint.setBlender(HARD_LIGHT);
      default -> paint.setBlendMode(of(mode));
    };
  }

  private static io.github.humbleui.skija.BlendMode of(BlendMode mode) {
    return switch (mode) {
      case NORMAL -> io.github.humbleui.skija.BlendMode.SRC_OVER;
      case MULTIPLY -> io.github.humbleui.skija.BlendMode.MULTIPLY;
      case SCREEN -> io.github.humbleui.skija.BlendMode.SCREEN;
      case OVERLAY -> io.github.humbleui.skija.BlendMode.OVERLAY;
      case DARKEN -> io.github.humbleui.skija.BlendMode.DARKEN;
      case LIGHTEN -> io.github.humbleui.skija.BlendMode.LIGHTEN;
      case COLOUR_DODGE -> io.github.humbleui.skija.BlendMode.COLOR_DODGE;
      case COLOUR_BURN -> io.github.humbleui.skija.BlendMode.COLOR_BURN;
      case HARD_LIGHT -> io.github.humbleui.skija.BlendMode.HARD_LIGHT;
      case SOFT_LIGHT -> io.github.humbleui.skija.BlendMode.SOFT_LIGHT;
      case DIFFERENCE -> io.github.humbleui.skija.BlendMode.DIFFERENCE;
      case EXCLUSION -> io.github.humbleui.skija.BlendMode.EXCLUSION;
      case HUE -> io.github.humbleui.skija.BlendMode.HUE;
      case SATURATION -> io.github.humbleui.skija.BlendMode.SATURATION;
      case COLOUR -> io.github.humbleui.skija.BlendMode.COLOR;
      case LUMINOSITY -> io.github.humbleui.skija.BlendMode.LUMINOSITY;
      case PLUS_LIGHTER -> io.github.humbleui.skija.BlendMode.PLUS;
    };
  }
}
