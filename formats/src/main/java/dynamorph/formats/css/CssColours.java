package dynamorph.formats.css;

import dynamorph.model.value.ColourNames;
import dynamorph.model.value.ColourSpace;
import dynamorph.model.value.Rgba;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Colours as style sheets and caption files write them: names, hexadecimal and functions. */
public final class CssColours {
  private static final Pattern FUNCTION =
      Pattern.compile(
          "rgba?\\(\\s*(\\d{1,3})\\s*[, ]\\s*(\\d{1,3})\\s*[, ]\\s*(\\d{1,3})"
              + "(?:\\s*[,/]\\s*([0-9.]+%?))?\\s*\\)");

  private static final Pattern ANY_FUNCTION =
      Pattern.compile("(rgba?|hsla?|hwb|lab|lch|oklab|oklch|color)\\(([^()]{1,200})\\)");

  private static final Pattern COMPONENT =
      Pattern.compile("([-+]?(?:\\d{1,9}(?:\\.\\d{0,12})?|\\.\\d{1,12}))(%|deg|grad|rad|turn|)");

  private CssColours() {}

  /** Colours of CSS; alpha in rgba() is a fraction. */
  public static Optional<Rgba> parse(String text) {
    return parse(text, false);
  }

  /** Colours of TTML; alpha in rgba() is a byte. */
  public static Optional<Rgba> parseTtml(String text) {
    return parse(text, true);
  }

  private static Optional<Rgba> parse(String text, boolean byteAlpha) {
    String plain = text.strip().toLowerCase(Locale.ROOT);
    Matcher function = FUNCTION.matcher(plain);
    if (function.matches()) {
      int alpha = alpha(function.group(4), byteAlpha);
      return Optional.of(
          new Rgba(
              alpha << 24
                  | channel(function.group(1)) << 16
                  | channel(function.group(2)) << 8
                  | channel(function.group(3))));
    }
    Optional<Rgba> named = ColourNames.find(plain);
    if (named.isPresent()) {
      return named;
    }
    Matcher any = ANY_FUNCTION.matcher(plain);
    if (any.matches()) {
      return byteAlpha ? Optional.empty() : function(any.group(1), any.group(2));
    }
    String hex = plain.equals("transparent") ? "#00000000" : plain;
    if (!hex.startsWith("#") && hex.matches("[0-9a-f]{6}")) {
      hex = "#" + hex;
    }
    try {
      return hex.startsWith("#") ? Optional.of(Rgba.parse(hex)) : Optional.empty();
    } catch (IllegalArgumentException none) {
      return Optional.empty();
    }
  }

  /** Colours in any space that CSS has (CSS Color 4, sections 5 to 10). */
  private static Optional<Rgba> function(String name, String inside) {
    List<String> parts =
        new ArrayList<>(List.of(inside.replace('/', ' ').strip().split("[\\s,]+")));
    String kind = name.matches("rgba|hsla") ? name.substring(0, 3) : name;
    Optional<ColourSpace> space =
        switch (kind) {
          case "rgb" -> Optional.of(ColourSpace.SRGB);
          case "color" -> ColourSpace.named(parts.removeFirst());
          default -> ColourSpace.named(kind);
        };
    if (space.isEmpty() || parts.size() < 3 || parts.size() > 4) {
      return Optional.empty();
    }
    double[] components = new double[3];
    for (int index = 0; index < components.length; index++) {
      Optional<Double> component = component(parts.get(index), whole(kind, index));
      if (component.isEmpty()) {
        return Optional.empty();
      }
      components[index] = component.get() / (kind.equals("rgb") ? 255 : 1);
    }
    double alpha = parts.size() < 4 ? 1 : component(parts.get(3), 1).orElse(1.0);
    return Optional.of(space.get().toRgba(components, Math.clamp(alpha, 0, 1)));
  }

  /** What 100 % of a component is. */
  private static double whole(String kind, int index) {
    return switch (kind) {
      case "rgb" -> 255;
      case "lab" -> index == 0 ? 100 : 125;
      case "lch" -> index == 0 ? 100 : 150;
      case "oklab", "oklch" -> index == 0 ? 1 : 0.4;
      case "color" -> 1;
      default -> 100;
    };
  }

  private static Optional<Double> component(String text, double whole) {
    if (text.equals("none")) {
      return Optional.of(0.0);
    }
    Matcher found = COMPONENT.matcher(text);
    if (!found.matches()) {
      return Optional.empty();
    }
    double amount = Double.parseDouble(found.group(1));
    return Optional.of(
        switch (found.group(2)) {
          case "%" -> amount / 100 * whole;
          case "grad" -> amount * 0.9;
          case "rad" -> Math.toDegrees(amount);
          case "turn" -> amount * 360;
          default -> amount;
        });
  }

  private static int channel(String digits) {
    return Math.min(255, Integer.parseInt(digits));
  }

  private static int alpha(String text, boolean byteAlpha) {
    if (text == null) {
      return 255;
    }
    try {
      double value =
          text.endsWith("%")
              ? Double.parseDouble(text.substring(0, text.length() - 1)) / 100
              : Double.parseDouble(text) / (byteAlpha ? 255 : 1);
      return (int) Math.round(Math.clamp(value, 0, 1) * 255);
    } catch (NumberFormatException wrong) {
      return 255;
    }
  }

  /** {@code #rrggbb}, with two more digits if it is not opaque. */
  public static String hex(Rgba colour) {
    return colour.toString();
  }
}
