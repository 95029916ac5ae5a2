package dynamorph.paint.layer;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.value.BlendMode;
import dynamorph.paint.Pixels;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.types.Rect;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Against the formulas of W3C Compositing and Blending Level 1, sections 9 and 10. */
class BlendsTest {
  private static final int COLOURS = 4000;

  @ParameterizedTest
  @EnumSource(BlendMode.class)
  void everyModeFollowsItsFormula(BlendMode mode) {
    Random random = new Random(11);
    int[] below = random.ints(COLOURS).toArray();
    int[] above = random.ints(COLOURS).toArray();
    Pixels backdrop = draw(below, null, null);
    Pixels mixed = draw(below, above, mode);
    for (int index = 0; index < COLOURS; index++) {
      int stored = backdrop.argb(index, 0);
      double[] wanted = mixed(stored, above[index], mode);
      int found = mixed.argb(index, 0);
      for (int channel = 0; channel < 4; channel++) {
        int value = found >>> 24 - 8 * channel & 0xFF;
        assertThat(Math.abs(value - wanted[channel] * 255))
            .as("%s of %08x over %08x, channel %d", mode, above[index], stored, channel)
            .isLessThanOrEqualTo(1.0 + 0.5);
      }
    }
  }

  private static Pixels draw(int[] below, int[] above, BlendMode mode) {
    return Pixels.draw(
        COLOURS,
        1,
        canvas -> {
          for (int index = 0; index < COLOURS; index++) {
            try (Paint paint = new Paint().setColor(below[index])) {
              canvas.drawRect(Rect.makeXYWH(index, 0, 1, 1), paint);
              if (above != null) {
                Blends.set(paint.setColor(above[index]), mode);
                canvas.drawRect(Rect.makeXYWH(index, 0, 1, 1), paint);
              }
            }
          }
        });
  }

  /** Alpha, red, green, blue, premultiplied. */
  private static double[] mixed(int stored, int above, BlendMode mode) {
    double alphaBelow = (stored >>> 24) / 255.0;
    double alphaAbove = (above >>> 24) / 255.0;
    double[] back = new double[3];
    double[] front = new double[3];
    for (int channel = 0; channel < 3; channel++) {
      double premultiplied = (stored >>> 16 - 8 * channel & 0xFF) / 255.0;
      back[channel] = alphaBelow == 0 ? 0 : Math.min(1, premultiplied / alphaBelow);
      front[channel] = (above >>> 16 - 8 * channel & 0xFF) / 255.0;
    }
    double[] blended = blend(mode, back, front);
    double[] out = new double[4];
    boolean plus = mode == BlendMode.PLUS_LIGHTER;
    out[0] =
        plus
            ? Math.min(1, alphaBelow + alphaAbove)
            : alphaBelow + alphaAbove - alphaBelow * alphaAbove;
    for (int channel = 0; channel < 3; channel++) {
      out[channel + 1] =
          plus
              ? Math.min(1, alphaAbove * front[channel] + alphaBelow * back[channel])
              : alphaAbove * (1 - alphaBelow) * front[channel]
                  + alphaBelow * (1 - alphaAbove) * back[channel]
                  + alphaAbove * alphaBelow * blended[channel];
    }
    return out;
  }

  private static double[] blend(BlendMode mode, double[] back, double[] front) {
    return switch (mode) {
      case HUE -> setLuminosity(setSaturation(front, saturation(back)), luminosity(back));
      case SATURATION -> setLuminosity(setSaturation(back, saturation(front)), luminosity(back));
      case COLOUR -> setLuminosity(front, luminosity(back));
      case LUMINOSITY -> setLuminosity(back, luminosity(front));
      default ->
          new double[] {
            one(mode, back[0], front[0]), one(mode, back[1], front[1]), one(mode, back[2], front[2])
          };
    };
  }

  private static double one(BlendMode mode, double back, double front) {
    return switch (mode) {
      case MULTIPLY -> back * front;
      case SCREEN -> back + front - back * front;
      case OVERLAY -> one(BlendMode.HARD_LIGHT, front, back);
      case DARKEN -> Math.min(back, front);
      case LIGHTEN -> Math.max(back, front);
      case COLOUR_DODGE -> back == 0 ? 0 : front == 1 ? 1 : Math.min(1, back / (1 - front));
      case COLOUR_BURN -> back == 1 ? 1 : front == 0 ? 0 : 1 - Math.min(1, (1 - back) / front);
      case HARD_LIGHT ->
          front <= 0.5 ? back * 2 * front : one(BlendMode.SCREEN, back, 2 * front - 1);
      case SOFT_LIGHT -> {
        double root = back <= 0.25 ? ((16 * back - 12) * back + 4) * back : Math.sqrt(back);
        yield front <= 0.5
            ? back - (1 - 2 * front) * back * (1 - back)
            : back + (2 * front - 1) * (root - back);
      }
      case DIFFERENCE -> Math.abs(back - front);
      case EXCLUSION -> back + front - 2 * back * front;
      default -> front;
    };
  }

  private static double luminosity(double[] colour) {
    return 0.3 * colour[0] + 0.59 * colour[1] + 0.11 * colour[2];
  }

  private static double least(double[] colour) {
    return Math.min(colour[0], Math.min(colour[1], colour[2]));
  }

  private static double most(double[] colour) {
    return Math.max(colour[0], Math.max(colour[1], colour[2]));
  }

  private static double saturation(double[] colour) {
    return most(colour) - least(colour);
  }

  private static double[] setSaturation(double[] colour, double saturation) {
    double least = least(colour);
    double range = saturation(colour);
    double[] set = new double[3];
    for (int channel = 0; channel < 3; channel++) {
      set[channel] = range == 0 ? 0 : (colour[channel] - least) * saturation / range;
    }
    return set;
  }

  private static double[] setLuminosity(double[] colour, double luminosity) {
    double more = luminosity - luminosity(colour);
    double[] set = {colour[0] + more, colour[1] + more, colour[2] + more};
    double least = least(set);
    double most = most(set);
    for (int channel = 0; channel < 3; channel++) {
      if (least < 0) {
        set[channel] = luminosity + (set[channel] - luminosity) * luminosity / (luminosity - least);
      }
    }
    for (int channel = 0; channel < 3; channel++) {
      if (most > 1) {
        set[channel] =
            luminosity + (set[channel] - luminosity) * (1 - luminosity) / (most - luminosity);
      }
    }
    return set;
  }
}
