package dynamorph.app.field;

import dynamorph.app.message.Messages;
import dynamorph.model.value.ColourText;
import dynamorph.model.value.OkLab;
import dynamorph.model.value.Rgba;
import java.util.List;
import java.util.Optional;

/** What the numbers, the field and the strip of the colour picker count in. */
enum ColourSpace {
  HSB("HSB", Messages.of("colour-picker.hue-saturation-brightness")),
  SRGB("sRGB", Messages.of("colour-picker.red-green-blue-of-the-screen")),
  OKLCH("OKLCH", Messages.of("colour-picker.lightness-chroma-and-hue-as-they"));

  /** The most colourful that the field shows; screens show no more. */
  private static final double MOST_CHROMA = 0.33;

  /** Less chroma than this has no hue that could be told. */
  private static final double GREY_CHROMA = 0.002;

  private final String label;
  private final String help;

  ColourSpace(String label, String help) {
    this.label = label;
    this.help = help;
  }

  String label() {
    return label;
  }

  String help() {
    return help;
  }

  /** A place in the field, from 0 to 1. */
  record InField(double across, double up) {}

  /** The hue of a colour in degrees; none for grey. */
  Optional<Double> hue(Rgba colour) {
    if (this == OKLCH) {
      double[] lch = OkLab.lch(colour);
      return lch[1] < GREY_CHROMA ? Optional.empty() : Optional.of(lch[2]);
    }
    double[] hsb = ColourText.hsb(colour);
    return hsb[1] == 0 ? Optional.empty() : Optional.of(hsb[0]);
  }

  /** Saturation or chroma to the right, brightness or lightness upwards, at a hue in degrees. */
  Rgba inField(double across, double up, double hue) {
    return this == OKLCH
        ? OkLab.ofLch(up, across * MOST_CHROMA, hue, 1)
        : ColourText.ofHsb(hue, across, up);
  }

  /** Where a colour lies in the field of its hue. */
  InField place(Rgba colour) {
    if (this == OKLCH) {
      double[] lch = OkLab.lch(colour);
      return new InField(Math.min(1, lch[1] / MOST_CHROMA), lch[0]);
    }
    double[] hsb = ColourText.hsb(colour);
    return new InField(hsb[1], hsb[2]);
  }

  /** A colour with another hue, opaque. */
  Rgba turned(Rgba colour, double hue) {
    if (this == OKLCH) {
      double[] lch = OkLab.lch(colour);
      return OkLab.ofLch(lch[0], lch[1], hue, 1);
    }
    double[] hsb = ColourText.hsb(colour);
    return ColourText.ofHsb(hue, hsb[1], hsb[2]);
  }

  /** What the strip shows at a hue. */
  Rgba inStrip(double hue) {
    return this == OKLCH ? OkLab.ofLch(0.72, 0.16, hue, 1) : ColourText.ofHsb(hue, 1, 1);
  }

  /**
   * The three numbers of a colour, in the order of {@link #names}.
   *
   * @param hue of grey, in degrees
   */
  double[] parts(Rgba colour, double hue) {
    return switch (this) {
      case SRGB -> new double[] {colour.red(), colour.green(), colour.blue()};
      case HSB -> {
        double[] hsb = ColourText.hsb(colour);
        yield new double[] {hue(colour).orElse(hue), hsb[1] * 100, hsb[2] * 100};
      }
      case OKLCH -> {
        double[] lch = OkLab.lch(colour);
        yield new double[] {lch[0] * 100, lch[1], hue(colour).orElse(hue)};
      }
    };
  }

  /** The opaque colour of three numbers; what lies beyond their ranges is clamped. */
  Rgba of(double[] parts) {
    return switch (this) {
      case SRGB -> Rgba.of(channel(parts[0]), channel(parts[1]), channel(parts[2]));
      case HSB -> ColourText.ofHsb(parts[0], parts[1] / 100, parts[2] / 100);
      case OKLCH ->
          OkLab.ofLch(Math.clamp(parts[0] / 100, 0, 1), Math.max(0, parts[1]), parts[2], 1);
    };
  }

  private static int channel(double value) {
    return (int) Math.round(Math.clamp(value, 0, 255));
  }

  /** What the three numbers are called. */
  List<String> names() {
    return switch (this) {
      case SRGB ->
          List.of(
              Messages.of("colour-picker.red"),
              Messages.of("colour-picker.green"),
              Messages.of("colour-picker.blue"));
      case HSB ->
          List.of(
              Messages.of("colour-picker.hue"),
              Messages.of("colour-picker.saturation"),
              Messages.of("colour-picker.brightness"));
      case OKLCH ->
          List.of(
              Messages.of("colour-picker.lightness"),
              Messages.of("colour-picker.chroma"),
              Messages.of("colour-picker.hue"));
    };
  }

  /** Decimal places that a number is shown with. */
  int places(int part) {
    return this != OKLCH ? 0 : part == 1 ? 3 : 1;
  }

  /** By how much an arrow key changes a number. */
  double step(int part) {
    return this == OKLCH && part == 1 ? 0.005 : 1;
  }

  /** Whether a number is the hue. */
  boolean isHue(int part) {
    return this != SRGB && part == (this == OKLCH ? 2 : 0);
  }
}
