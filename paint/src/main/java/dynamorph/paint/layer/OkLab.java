package dynamorph.paint.layer;

import dynamorph.model.value.Rgba;

/** OKLab (B. Ottosson, A perceptual color space for image processing, 2020). */
final class OkLab {
  private OkLab() {}

  /** The colour at a share of the way from one to another, premultiplied by their alphas. */
  static Rgba mixed(Rgba one, Rgba other, double share) {
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
  static double[] of(Rgba colour) {
    double red = Rgba.linear(colour.red());
    double green = Rgba.linear(colour.green());
    double blue = Rgba.linear(colour.blue());
    double l = Math.cbrt(0.4122214708 * red + 0.5363325363 * green + 0.0514459929 * blue);
    double m = Math.cbrt(0.2119034982 * red + 0.6806995451 * green + 0.1073969566 * blue);
    double s = Math.cbrt(0.0883024619 * red + 0.2817188376 * green + 0.6299787005 * blue);
    return new double[] {
      0.2104542553 * l + 0.7936177850 * m - 0.0040720468 * s,
      1.9779984951 * l - 2.4285922050 * m + 0.4505937099 * s,
      0.0259040371 * l + 0.7827717662 * m - 0.8086757660 * s
    };
  }

  private static Rgba rgba(double[] lab, double alpha) {
    double l = cube(lab[0] + 0.3963377774 * lab[1] + 0.2158037573 * lab[2]);
    double m = cube(lab[0] - 0.1055613458 * lab[1] - 0.0638541728 * lab[2]);
    double s = cube(lab[0] - 0.0894841775 * lab[1] - 1.2914855480 * lab[2]);
    int red = encoded(4.0767416621 * l - 3.3077115913 * m + 0.2309699292 * s);
    int green = encoded(-1.2684380046 * l + 2.6097574011 * m - 0.3413193965 * s);
    int blue = encoded(-0.0041960863 * l - 0.7034186147 * m + 1.7076147010 * s);
    return new Rgba((int) Math.round(alpha * 255) << 24 | red << 16 | green << 8 | blue);
  }

  private static double cube(double value) {
    return value * value * value;
  }

  private static int encoded(double linear) {
    double share = linear <= 0.0031308 ? 12.92 * linear : 1.055 * Math.pow(linear, 1 / 2.4) - 0.055;
    return (int) Math.round(Math.clamp(share, 0, 1) * 255);
  }
}
