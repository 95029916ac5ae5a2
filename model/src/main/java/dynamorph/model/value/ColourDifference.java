package dynamorph.model.value;

/**
 * CIEDE2000 (CIE 142-2001, in the form of G. Sharma, W. Wu and E. Dalal, The CIEDE2000
 * color-difference formula, 2005): about 1 for two colours that a trained eye just tells apart.
 */
public final class ColourDifference {
  /** The white of sRGB, D65. */
  private static final double[] WHITE = {0.95047, 1, 1.08883};

  private static final double TO_25_7 = Math.pow(25, 7);

  private ColourDifference() {}

  /** The difference of two colours, 0 to about 100; how opaque they are plays no part. */
  public static double between(Rgba one, Rgba other) {
    return between(lab(one), lab(other));
  }

  /** CIE L*a*b* under D65: lightness 0 to 100, green to red, blue to yellow. */
  public static double[] lab(Rgba colour) {
    double red = Rgba.linear(colour.red());
    double green = Rgba.linear(colour.green());
    double blue = Rgba.linear(colour.blue());
    double x = curve((0.4124564 * red + 0.3575761 * green + 0.1804375 * blue) / WHITE[0]);
    double y = curve((0.2126729 * red + 0.7151522 * green + 0.0721750 * blue) / WHITE[1]);
    double z = curve((0.0193339 * red + 0.1191920 * green + 0.9503041 * blue) / WHITE[2]);
    return new double[] {116 * y - 16, 500 * (x - y), 200 * (y - z)};
  }

  private static double curve(double share) {
    return share > 216.0 / 24389 ? Math.cbrt(share) : (24389.0 / 27 * share + 16) / 116;
  }

  /** The difference of two colours in L*a*b*. */
  public static double between(double[] one, double[] other) {
    double chroma = (Math.hypot(one[1], one[2]) + Math.hypot(other[1], other[2])) / 2;
    double stretch = 1 + 0.5 * (1 - Math.sqrt(toSeventh(chroma) / (toSeventh(chroma) + TO_25_7)));
    double chroma1 = Math.hypot(one[1] * stretch, one[2]);
    double chroma2 = Math.hypot(other[1] * stretch, other[2]);
    double hue1 = hue(one[1] * stretch, one[2]);
    double hue2 = hue(other[1] * stretch, other[2]);
    boolean grey = chroma1 * chroma2 == 0;
    double hueStep = grey ? 0 : turned(hue2 - hue1);
    double lightness = other[0] - one[0];
    double chromaStep = chroma2 - chroma1;
    double hueDistance = 2 * Math.sqrt(chroma1 * chroma2) * Math.sin(Math.toRadians(hueStep / 2));
    double meanLightness = (one[0] + other[0]) / 2;
    double meanChroma = (chroma1 + chroma2) / 2;
    double meanHue = grey ? hue1 + hue2 : meanHue(hue1, hue2);
    double weight =
        1
            - 0.17 * cos(meanHue - 30)
            + 0.24 * cos(2 * meanHue)
            + 0.32 * cos(3 * meanHue + 6)
            - 0.20 * cos(4 * meanHue - 63);
    double off = (meanLightness - 50) * (meanLightness - 50);
    double scaleLightness = 1 + 0.015 * off / Math.sqrt(20 + off);
    double scaleChroma = 1 + 0.045 * meanChroma;
    double scaleHue = 1 + 0.015 * meanChroma * weight;
    double spread = (meanHue - 275) / 25;
    double turn = 30 * Math.exp(-spread * spread);
    double rotation =
        -2
            * Math.sqrt(toSeventh(meanChroma) / (toSeventh(meanChroma) + TO_25_7))
            * Math.sin(Math.toRadians(2 * turn));
    double l = lightness / scaleLightness;
    double c = chromaStep / scaleChroma;
    double h = hueDistance / scaleHue;
    return Math.sqrt(Math.max(0, l * l + c * c + h * h + rotation * c * h));
  }

  private static double toSeventh(double number) {
    return Math.pow(number, 7);
  }

  private static double cos(double degrees) {
    return Math.cos(Math.toRadians(degrees));
  }

  /** In degrees, 0 to 360. */
  private static double hue(double a, double b) {
    if (a == 0 && b == 0) {
      return 0;
    }
    double hue = Math.toDegrees(Math.atan2(b, a));
    return hue < 0 ? hue + 360 : hue;
  }

  /** The shorter way round. */
  private static double turned(double degrees) {
    return degrees > 180 ? degrees - 360 : degrees < -180 ? degrees + 360 : degrees;
  }

  private static double meanHue(double one, double other) {
    double sum = one + other;
    return Math.abs(one - other) <= 180 ? sum / 2 : sum < 360 ? (sum + 360) / 2 : (sum - 360) / 2;
  }
}
