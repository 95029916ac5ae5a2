package dynamorph.model.value;

/**
 * OKLab and OKLCH (B. Ottosson, A perceptual color space for image processing, 2020; CSS Color 4,
 * 9).
 */
public final class OkLab {
  private OkLab() {}

  /** The colour at a share of the way from one to another, premultiplied by their alphas. */
  public static Rgba mixed(Rgba one, Rgba other, double share) {
    double[] from = of(one);
    double[] to = of(other);
    double fromAlpha = one.alpha() / 255.0;
    double toAlpha = other.alpha() / 255.0;
    double alpha = fromAlpha + share * (toAlpha - fromAlpha);
    double[] mixed = new double[3];
    for (int index = 0; index < 3; index++) {
      double sum = from[index] * fromAlpha * (1 - share) + to[index] * toAlpha * share;
      mixed[index] = alpha == 0 ? from[index] : sum / alpha;
    }
    return rgba(mixed, alpha);
  }

  /** Lightness, green to red, blue to yellow. */
  public static double[] of(Rgba colour) {
    return ofLinear(
        Rgba.linear(colour.red()), Rgba.linear(colour.green()), Rgba.linear(colour.blue()));
  }

  /** The same of shares of light, which may lie outside 0 to 1. */
  static double[] ofLinear(double red, double green, double blue) {
    double l = Math.cbrt(0.4122214708 * red + 0.5363325363 * green + 0.0514459929 * blue);
    double m = Math.cbrt(0.2119034982 * red + 0.6806995451 * green + 0.1073969566 * blue);
    double s = Math.cbrt(0.0883024619 * red + 0.2817188376 * green + 0.6299787005 * blue);
    return new double[] {
      0.2104542553 * l + 0.7936177850 * m - 0.0040720468 * s,
      1.9779984951 * l - 2.4285922050 * m + 0.4505937099 * s,
      0.0259040371 * l + 0.7827717662 * m - 0.8086757660 * s
    };
  }

  /** How far apart two colours look, 0 for the same and about 1 for black and white. */
  public static double distance(Rgba one, Rgba other) {
    double[] first = of(one);
    double[] second = of(other);
    double alpha = (one.alpha() - other.alpha()) / 255.0;
    return Math.sqrt(
        square(first[0] - second[0])
            + square(first[1] - second[1])
            + square(first[2] - second[2])
            + square(alpha));
  }

  private static double square(double number) {
    return number * number;
  }

  /** Lightness 0 to 1, chroma from 0, hue 0 to 360 degrees. */
  public static double[] lch(Rgba colour) {
    double[] lab = of(colour);
    double hue = Math.toDegrees(Math.atan2(lab[2], lab[1]));
    return new double[] {lab[0], Math.hypot(lab[1], lab[2]), hue < 0 ? hue + 360 : hue};
  }

  /**
   * The colour of a lightness, chroma and hue. Where the screen cannot show it, the most colourful
   * one of that lightness and hue that it can.
   *
   * @param alpha 0 to 1
   */
  public static Rgba ofLch(double lightness, double chroma, double hue, double alpha) {
    double turn = Math.toRadians(hue);
    double least = 0;
    double most = chroma;
    double shown = chroma;
    if (!isShown(lab(lightness, shown, turn))) {
      for (int halving = 0; halving < HALVINGS; halving++) {
        shown = (least + most) / 2;
        if (isShown(lab(lightness, shown, turn))) {
          least = shown;
        } else {
          most = shown;
        }
      }
      shown = least;
    }
    return rgba(lab(lightness, shown, turn), alpha);
  }

  private static final int HALVINGS = 20;

  private static double[] lab(double lightness, double chroma, double turn) {
    return new double[] {lightness, chroma * Math.cos(turn), chroma * Math.sin(turn)};
  }

  private static boolean isShown(double[] lab) {
    for (double channel : linear(lab)) {
      if (channel < -1e-4 || channel > 1 + 1e-4) {
        return false;
      }
    }
    return true;
  }

  private static Rgba rgba(double[] lab, double alpha) {
    double[] linear = linear(lab);
    int red = encoded(linear[0]);
    int green = encoded(linear[1]);
    int blue = encoded(linear[2]);
    return new Rgba((int) Math.round(alpha * 255) << 24 | red << 16 | green << 8 | blue);
  }

  /** Shares of the light of sRGB, outside 0 to 1 where it has no such colour. */
  static double[] linear(double[] lab) {
    double l = cube(lab[0] + 0.3963377774 * lab[1] + 0.2158037573 * lab[2]);
    double m = cube(lab[0] - 0.1055613458 * lab[1] - 0.0638541728 * lab[2]);
    double s = cube(lab[0] - 0.0894841775 * lab[1] - 1.2914855480 * lab[2]);
    return new double[] {
      4.0767416621 * l - 3.3077115913 * m + 0.2309699292 * s,
      -1.2684380046 * l + 2.6097574011 * m - 0.3413193965 * s,
      -0.0041960863 * l - 0.7034186147 * m + 1.7076147010 * s
    };
  }

  private static double cube(double value) {
    return value * value * value;
  }

  private static int encoded(double linear) {
    double share = linear <= 0.0031308 ? 12.92 * linear : 1.055 * Math.pow(linear, 1 / 2.4) - 0.055;
    return (int) Math.round(Math.clamp(share, 0, 1) * 255);
  }
}
