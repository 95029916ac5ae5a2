package dynamorph.paint.layer;

import dynamorph.model.value.BlendMode;

/** The drawing library's names of blend modes. */
final class Blends {
  private Blends() {}

  static io.github.humbleui.skija.BlendMode of(BlendMode mode) {
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
