package dynamorph.model.value;

import dynamorph.model.message.Messages;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Colours as people write them: by number, by name, or by the functions of CSS (W3C CSS Color 4).
 */
public final class ColourText {
  private static final String NUMBER = "\\s*([+-]?[0-9.]+)(%|deg)?";
  private static final Pattern FUNCTION =
      Pattern.compile(
          "(rgb|hsb|oklch)a?\\("
              + NUMBER
              + "[\\s,]"
              + NUMBER
              + "[\\s,]"
              + NUMBER
              + "(?:\\s*[/,]\\s*([0-9.]+)(%)?)?\\s*\\)");

  private ColourText() {}

  /**
   * Reads {@code #rgb}, {@code #rrggbb}, {@code #rrggbbaa}, a name such as {@code rebeccapurple},
   * {@code rgb(12 34 56 / 50%)}, {@code hsb(40 80% 90%)} or {@code oklch(0.7 0.15 60)}.
   *
   * @throws IllegalArgumentException if it is none of them
   */
  public static Rgba parse(String text) {
    String plain = text.strip().toLowerCase(java.util.Locale.ROOT);
    Matcher function = FUNCTION.matcher(plain);
    if (function.matches()) {
      return function(function);
    }
    return ColourNames.find(plain)
        .orElseGet(() -> {
          try {
            return Rgba.parse(plain);
          } catch (IllegalArgumentException neither) {
            throw new IllegalArgumentException(
                Messages.of("colour-text.is-not-a-colour-write-rrggbb", text.strip()), neither);
          }
        });
  }

  private static Rgba function(Matcher function) {
    double[] parts = new double[3];
    boolean[] percent = new boolean[3];
    for (int index = 0; index < 3; index++) {
      parts[index] = Numbers.parse(function.group(2 + 2 * index));
      percent[index] = "%".equals(function.group(3 + 2 * index));
    }
    double alpha =
        function.group(8) == null
            ? 1
            : Numbers.parse(function.group(8)) / (function.group(9) == null ? 1 : 100);
    double shown = Math.clamp(alpha, 0, 1);
    return switch (function.group(1)) {
      case "rgb" ->
          Rgba.of(
                  channel(parts[0], percent[0]),
                  channel(parts[1], percent[1]),
                  channel(parts[2], percent[2]))
              .faded(shown);
      case "hsb" -> ofHsb(parts[0], parts[1] / 100, parts[2] / 100).faded(shown);
      default ->
          OkLab.ofLch(
              percent[0] ? parts[0] / 100 : parts[0],
              percent[1] ? parts[1] / 100 * 0.4 : parts[1],
              parts[2],
              shown);
    };
  }

  private static int channel(double value, boolean percent) {
    return (int) Math.round(Math.clamp(percent ? value * 255 / 100 : value, 0, 255));
  }

  /** Hue 0 to 360 degrees, saturation and brightness 0 to 1, of an opaque or other colour. */
  public static double[] hsb(Rgba colour) {
    double most = Math.max(colour.red(), Math.max(colour.green(), colour.blue())) / 255.0;
    double least = Math.min(colour.red(), Math.min(colour.green(), colour.blue())) / 255.0;
    double span = most - least;
    double hue = 0;
    if (span > 0) {
      double red = colour.red() / 255.0;
      double green = colour.green() / 255.0;
      double blue = colour.blue() / 255.0;
      hue =
          most == red
              ? (green - blue) / span
              : most == green ? 2 + (blue - red) / span : 4 + (red - green) / span;
      hue = (hue * 60 + 360) % 360;
    }
    return new double[] {hue, most == 0 ? 0 : span / most, most};
  }

  /** The opaque colour of a hue in degrees, and a saturation and brightness of 0 to 1. */
  public static Rgba ofHsb(double hue, double saturation, double brightness) {
    double s = Math.clamp(saturation, 0, 1);
    double b = Math.clamp(brightness, 0, 1);
    int[] channels = new int[3];
    for (int index = 0; index < 3; index++) {
      double k = (5 - 2 * index + hue / 60) % 6;
      k = k < 0 ? k + 6 : k;
      double value = b - b * s * Math.clamp(Math.min(k, 4 - k), 0, 1);
      channels[index] = (int) Math.round(value * 255);
    }
    return Rgba.of(channels[0], channels[1], channels[2]);
  }
}
