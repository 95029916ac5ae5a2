package dynamorph.model.value;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/**
 * Colour spaces other than the one that projects hold colours in, with the conversions of W3C CSS
 * Color 4, sections 8 to 12 and 17. Components are as the standard gives them to {@code color()},
 * {@code lab()} and their like: shares from 0 to 1; degrees for hues; 0 to 100 for the saturation
 * and lightness of HSL, the whiteness and blackness of HWB, and the lightness of CIE Lab and LCH.
 */
public enum ColourSpace {
  SRGB,
  SRGB_LINEAR,
  HSL,
  HWB,
  LAB,
  LCH,
  OKLAB,
  OKLCH,
  DISPLAY_P3,
  A98_RGB,
  PROPHOTO_RGB,
  REC2020,
  XYZ_D65,
  XYZ_D50;

  private static final double[][] P3 = {
    {608311 / 1250200.0, 189793 / 714400.0, 198249 / 1000160.0},
    {35783 / 156275.0, 247089 / 357200.0, 198249 / 2500400.0},
    {0, 32229 / 714400.0, 5220557 / 5000800.0}
  };
  private static final double[][] A98 = {
    {573536 / 994567.0, 263643 / 1420810.0, 187206 / 994567.0},
    {591459 / 1989134.0, 6239551 / 9945670.0, 374412 / 4972835.0},
    {53769 / 1989134.0, 351524 / 4972835.0, 4929758 / 4972835.0}
  };
  private static final double[][] PROPHOTO = {
    {0.79776664490064230, 0.13518129740053308, 0.03134773412839220},
    {0.28807482881940130, 0.71183523424187300, 0.00008993693872564},
    {0, 0, 0.82510460251046020}
  };
  private static final double[][] BT_2020 = {
    {63426534 / 99577255.0, 20160776 / 139408157.0, 47086771 / 278816314.0},
    {26158966 / 99577255.0, 472592308 / 697040785.0, 8267143 / 139408157.0},
    {0, 19567812 / 697040785.0, 295819943 / 278816314.0}
  };

  /** From D50 to D65 by Bradford's method. */
  private static final double[][] TO_D65 = {
    {0.955473421488075, -0.02309845494876471, 0.06325924320057072},
    {-0.0283697093338637, 1.0099953980813041, 0.021041441191917323},
    {0.012314014864481998, -0.020507649298898964, 1.330365926242124}
  };

  private static final double[][] XYZ_TO_LINEAR = {
    {12831 / 3959.0, -329 / 214.0, -1974 / 3959.0},
    {-851781 / 878810.0, 1648619 / 878810.0, 36519 / 878810.0},
    {705 / 12673.0, -2585 / 12673.0, 705 / 667.0}
  };
  private static final double[] D50 = {0.3457 / 0.3585, 1, (1 - 0.3457 - 0.3585) / 0.3585};

  /** How far outside a channel may be and still be shown, which is less than half a step of it. */
  private static final double INSIDE = 5e-4;

  /** The space of this name in CSS; {@code xyz} is the one with D65. */
  public static Optional<ColourSpace> named(String name) {
    String wanted = name.equals("xyz") ? "xyz-d65" : name;
    return Arrays.stream(values()).filter(space -> space.cssName().equals(wanted)).findFirst();
  }

  /** The name in CSS, such as {@code display-p3}. */
  public String cssName() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** Whether sRGB has the colour. */
  public boolean isShown(double[] components) {
    return Arrays.stream(linear(components))
        .allMatch(channel -> channel >= -INSIDE && channel <= 1 + INSIDE);
  }

  /**
   * The colour in sRGB. One that sRGB does not have gives the most colourful one of the same
   * lightness and hue that it has (CSS Color 4, 13, without its last refinement).
   *
   * @param components three
   * @param alpha 0 to 1
   */
  public Rgba toRgba(double[] components, double alpha) {
    double[] linear = linear(components);
    if (isShown(components)) {
      int opaque = 0;
      for (double channel : linear) {
        opaque = opaque << 8 | (int) Math.round(encoded(Math.clamp(channel, 0, 1)) * 255);
      }
      return new Rgba(0xFF000000 | opaque).faded(alpha);
    }
    double[] lab = OkLab.ofLinear(linear[0], linear[1], linear[2]);
    double lightness = Math.clamp(lab[0], 0, 1);
    double hue = Math.toDegrees(Math.atan2(lab[2], lab[1]));
    return OkLab.ofLch(lightness, Math.hypot(lab[1], lab[2]), hue, alpha);
  }

  /**
   * Red, green and blue of sRGB as shares of light, outside 0 to 1 where sRGB has no such colour.
   */
  private double[] linear(double[] c) {
    return switch (this) {
      case SRGB -> each(c, ColourSpace::decoded);
      case SRGB_LINEAR -> c.clone();
      case HSL -> each(hsl(c[0], c[1] / 100, c[2] / 100), ColourSpace::decoded);
      case HWB -> each(hwb(c[0], c[1] / 100, c[2] / 100), ColourSpace::decoded);
      case LAB -> ofD50(lab(c));
      case LCH -> ofD50(lab(polar(c)));
      case OKLAB -> OkLab.linear(c);
      case OKLCH -> OkLab.linear(polar(c));
      case DISPLAY_P3 -> ofXyz(times(P3, each(c, ColourSpace::decoded)));
      case A98_RGB -> ofXyz(times(A98, each(c, share -> signed(share, 563 / 256.0))));
      case PROPHOTO_RGB ->
          ofD50(
              times(
                  PROPHOTO,
                  each(
                      c,
                      share -> Math.abs(share) <= 16 / 512.0 ? share / 16 : signed(share, 1.8))));
      case REC2020 -> ofXyz(times(BT_2020, each(c, ColourSpace::bt2020)));
      case XYZ_D65 -> ofXyz(c);
      case XYZ_D50 -> ofD50(c);
    };
  }

  private static double[] each(double[] components, java.util.function.DoubleUnaryOperator change) {
    return Arrays.stream(components).map(change).toArray();
  }

  private static double[] times(double[][] matrix, double[] vector) {
    double[] product = new double[3];
    for (int row = 0; row < 3; row++) {
      for (int column = 0; column < 3; column++) {
        product[row] += matrix[row][column] * vector[column];
      }
    }
    return product;
  }

  private static double[] ofXyz(double[] xyz) {
    return times(XYZ_TO_LINEAR, xyz);
  }

  private static double[] ofD50(double[] xyz) {
    return ofXyz(times(TO_D65, xyz));
  }

  private static double[] polar(double[] lch) {
    double turn = Math.toRadians(lch[2]);
    return new double[] {lch[0], lch[1] * Math.cos(turn), lch[1] * Math.sin(turn)};
  }

  private static double[] lab(double[] lab) {
    double kappa = 24389 / 27.0;
    double epsilon = 216 / 24389.0;
    double y = (lab[0] + 16) / 116;
    double x = lab[1] / 500 + y;
    double z = y - lab[2] / 200;
    return new double[] {
      D50[0] * (x * x * x > epsilon ? x * x * x : (116 * x - 16) / kappa),
      D50[1] * (lab[0] > kappa * epsilon ? y * y * y : lab[0] / kappa),
      D50[2] * (z * z * z > epsilon ? z * z * z : (116 * z - 16) / kappa)
    };
  }

  private static double[] hsl(double hue, double saturation, double lightness) {
    double reach = saturation * Math.min(lightness, 1 - lightness);
    double[] channels = new double[3];
    for (int index = 0; index < 3; index++) {
      double k = ((index == 0 ? 0 : index == 1 ? 8 : 4) + hue / 30) % 12;
      k = k < 0 ? k + 12 : k;
      channels[index] = lightness - reach * Math.max(-1, Math.min(Math.min(k - 3, 9 - k), 1));
    }
    return channels;
  }

  private static double[] hwb(double hue, double white, double black) {
    if (white + black >= 1) {
      double grey = white / (white + black);
      return new double[] {grey, grey, grey};
    }
    return each(hsl(hue, 1, 0.5), channel -> channel * (1 - white - black) + white);
  }

  private static double decoded(double share) {
    return Math.abs(share) <= 0.04045
        ? share / 12.92
        : Math.copySign(Math.pow((Math.abs(share) + 0.055) / 1.055, 2.4), share);
  }

  private static double encoded(double linear) {
    return linear <= 0.0031308 ? 12.92 * linear : 1.055 * Math.pow(linear, 1 / 2.4) - 0.055;
  }

  private static double signed(double share, double exponent) {
    return Math.copySign(Math.pow(Math.abs(share), exponent), share);
  }

  private static double bt2020(double share) {
    double alpha = 1.09929682680944;
    double beta = 0.018053968510807;
    double size = Math.abs(share);
    double light = size < beta * 4.5 ? size / 4.5 : Math.pow((size + alpha - 1) / alpha, 1 / 0.45);
    return Math.copySign(light, share);
  }
}
