package dynamorph.formats.css;

import dynamorph.model.value.ColourNames;
import dynamorph.model.value.Rgba;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Colours as style sheets and caption files write them: names, hexadecimal, rgb() and rgba(). */
public final class CssColours {
  private static final Pattern FUNCTION =
      Pattern.compile(
          "rgba?\\(\\s*(\\d{1,3})\\s*[, ]\\s*(\\d{1,3})\\s*[, ]\\s*(\\d{1,3})"
              + "(?:\\s*[,/]\\s*([0-9.]+%?))?\\s*\\)");

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
