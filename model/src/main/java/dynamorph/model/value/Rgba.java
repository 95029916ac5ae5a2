package dynamorph.model.value;

import dynamorph.model.message.Messages;
import java.util.HexFormat;

/**
 * A colour in sRGB, not premultiplied.
 *
 * @param argb alpha, red, green, blue in one byte each, from the highest
 */
public record Rgba(int argb) {
  public static final Rgba BLACK = new Rgba(0xFF000000);
  public static final Rgba WHITE = new Rgba(0xFFFFFFFF);

  public static Rgba of(int red, int green, int blue) {
    return new Rgba(0xFF000000 | red << 16 | green << 8 | blue);
  }

  public int alpha() {
    return argb >>> 24;
  }

  public int red() {
    return argb >>> 16 & 0xFF;
  }

  public int green() {
    return argb >>> 8 & 0xFF;
  }

  public int blue() {
    return argb & 0xFF;
  }

  /** This colour with its alpha multiplied by a share from 0 to 1. */
  public Rgba faded(double share) {
    int faded = (int) Math.round(alpha() * Math.clamp(share, 0, 1));
    return new Rgba(faded << 24 | argb & 0xFFFFFF);
  }

  /**
   * Relative luminance, 0 to 1, of the opaque colour (WCAG 2.2, definition of relative luminance).
   */
  public double luminance() {
    return 0.2126 * linear(red()) + 0.7152 * linear(green()) + 0.0722 * linear(blue());
  }

  /** The contrast with another opaque colour, 1 to 21 (WCAG 2.2, definition of contrast ratio). */
  public double contrast(Rgba other) {
    double lighter = Math.max(luminance(), other.luminance());
    double darker = Math.min(luminance(), other.luminance());
    return (lighter + 0.05) / (darker + 0.05);
  }

  /** This colour laid over an opaque one. */
  public Rgba over(Rgba ground) {
    double share = alpha() / 255.0;
    return of(
        (int) Math.round(red() * share + ground.red() * (1 - share)),
        (int) Math.round(green() * share + ground.green() * (1 - share)),
        (int) Math.round(blue() * share + ground.blue() * (1 - share)));
  }

  /** A channel of 0 to 255 as a share of light from 0 to 1 (IEC 61966-2-1). */
  public static double linear(int channel) {
    return LINEAR[channel];
  }

  /** Asked for every pixel where contrasts are measured. */
  private static final double[] LINEAR = new double[256];

  static {
    for (int channel = 0; channel < LINEAR.length; channel++) {
      double share = channel / 255.0;
      LINEAR[channel] = share <= 0.04045 ? share / 12.92 : Math.pow((share + 0.055) / 1.055, 2.4);
    }
  }

  /** Reads {@code #rgb}, {@code #rrggbb} or {@code #rrggbbaa}, with or without the hash sign. */
  public static Rgba parse(String text) {
    String plain = text.strip();
    String hex = plain.startsWith("#") ? plain.substring(1) : plain;
    if (hex.matches("[0-9a-fA-F]{3}")) {
      hex = hex.replaceAll("(.)", "$1$1");
    }
    if (!hex.matches("[0-9a-fA-F]{6}([0-9a-fA-F]{2})?")) {
      throw new IllegalArgumentException(Messages.of("rgba.is-not-a-colour-write-it", plain));
    }
    int rgb = HexFormat.fromHexDigits(hex, 0, 6);
    int alpha = hex.length() == 8 ? HexFormat.fromHexDigits(hex, 6, 8) : 0xFF;
    return new Rgba(alpha << 24 | rgb);
  }

  @Override
  public String toString() {
    HexFormat hex = HexFormat.of();
    String rgb = "#" + hex.toHexDigits(argb, 6);
    return alpha() == 0xFF ? rgb : rgb + hex.toHexDigits(alpha(), 2);
  }
}
