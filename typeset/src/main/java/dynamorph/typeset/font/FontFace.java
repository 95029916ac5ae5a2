package dynamorph.typeset.font;

import dynamorph.model.value.Slant;
import io.github.humbleui.skija.Font;
import io.github.humbleui.skija.FontHinting;
import io.github.humbleui.skija.FontMetrics;
import io.github.humbleui.skija.Typeface;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * One cut of a font family. The native typeface belongs to the {@link FontLibrary} that made this
 * face; it may be used from any thread until the library is closed.
 */
public final class FontFace {
  /** The size at which metrics are read: large, so that nothing is rounded to a pixel grid. */
  public static final float METRICS_SIZE = 1000;

  private final String family;
  private final double weight;
  private final Slant slant;
  private final Typeface typeface;
  private final double ascent;
  private final double descent;
  private final Map<Integer, Boolean> covered = new ConcurrentHashMap<>();

  FontFace(String family, double weight, Slant slant, Typeface typeface) {
    this.family = family;
    this.weight = weight;
    this.slant = slant;
    this.typeface = typeface;
    try (Font font = font(METRICS_SIZE)) {
      FontMetrics metrics = font.getMetrics();
      this.ascent = -metrics.getAscent() / METRICS_SIZE;
      this.descent = metrics.getDescent() / METRICS_SIZE;
    }
  }

  public String family() {
    return family;
  }

  public double weight() {
    return weight;
  }

  public Slant slant() {
    return slant;
  }

  /** Height above the baseline, in em. */
  public double ascent() {
    return ascent;
  }

  /** Depth below the baseline, in em. */
  public double descent() {
    return descent;
  }

  public Typeface typeface() {
    return typeface;
  }

  /** Whether the font has a glyph of its own for the code point. */
  public boolean covers(int codePoint) {
    return covered.computeIfAbsent(codePoint, wanted -> typeface.getUTF32Glyph(wanted) != 0);
  }

  /**
   * This face at a size, unhinted and placed on fractions of a pixel, so that letters keep their
   * shape and place at every zoom. The caller closes it.
   */
  public Font font(float size) {
    return new Font(typeface, size)
        .setSubpixel(true)
        .setMetricsLinear(true)
        .setBaselineSnapped(false)
        .setHinting(FontHinting.NONE);
  }

  @Override
  public String toString() {
    return family + " " + Math.round(weight) + (slant == Slant.ITALIC ? " italic" : "");
  }
}
