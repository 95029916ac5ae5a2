package dynamorph.typeset.font;

import io.github.humbleui.types.Point;
import io.github.humbleui.types.Rect;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What families are chosen by, read from the font and the shapes of its letters.
 *
 * @param scripts which of the common scripts it has letters for
 * @param features tags that people choose
 */
public record FontTraits(
    FontClass fontClass, Set<FontScript> scripts, Set<String> features, boolean variable) {
  /** The kinds that the trade sorts families into. */
  public enum FontClass {
    SERIF,
    SANS_SERIF,
    MONOSPACED,
    HANDWRITTEN,
    OTHER
  }

  /** Common scripts, each with a few letters that a font for it must have. */
  public enum FontScript {
    LATIN("Aaz\u00E9"),
    GREEK("\u0391\u03C9"),
    CYRILLIC("\u0410\u044F"),
    ARABIC("\u0627\u0639"),
    HEBREW("\u05D0\u05E9"),
    DEVANAGARI("\u0905\u0915"),
    THAI("\u0E01\u0E2D"),
    JAPANESE("\u3042\u30A2\u65E5"),
    KOREAN("\uAC00\uD55C");

    private final String letters;

    FontScript(String letters) {
      this.letters = letters;
    }
  }

  private static final float SIZE = FontFace.METRICS_SIZE;

  /** Between places on the edge of a letter, in points at that size. */
  private static final double STEP = 3;

  /** A stem whose foot is this much wider than its middle has serifs. */
  private static final double SERIF = 1.6;

  /** A stem that leans this much over its height, in em, was drawn by hand. */
  private static final double LEAN = 0.045;

  static FontTraits of(FontFace face) {
    Set<FontScript> scripts = EnumSet.noneOf(FontScript.class);
    for (FontScript script : FontScript.values()) {
      if (script.letters.codePoints().allMatch(face::covers)) {
        scripts.add(script);
      }
    }
    Set<String> features = new java.util.TreeSet<>(face.features().keySet());
    features.removeIf(tag -> !FeatureNames.isChosen(tag));
    return new FontTraits(fontClass(face), scripts, features, !face.axes().isEmpty());
  }

  private static FontClass fontClass(FontFace face) {
    if (!face.covers('l') || !face.covers('m')) {
      return FontClass.OTHER;
    }
    if (face.shaping().advance(face.glyph('i')) == face.shaping().advance(face.glyph('m'))) {
      return FontClass.MONOSPACED;
    }
    double[] foot = extent(face, 'l', 0.0, 0.06);
    double[] middle = extent(face, 'l', 0.4, 0.6);
    double[] high = extent(face, 'l', 0.75, 0.85);
    double[] low = extent(face, 'l', 0.15, 0.25);
    boolean leans = Math.abs((high[0] + high[1]) / 2 - (low[0] + low[1]) / 2) > LEAN;
    if (leans) {
      return FontClass.HANDWRITTEN;
    }
    boolean serifs = foot[1] - foot[0] > SERIF * (middle[1] - middle[0]);
    return serifs ? FontClass.SERIF : FontClass.SANS_SERIF;
  }

  /** The left and right edge of a letter between two shares of its height, in em. */
  private static double[] extent(FontFace face, char letter, double from, double to) {
    double[] edges = {Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY};
    List<Point> places = new ArrayList<>();
    Optional<Rect> box = GlyphEdge.walk(face, face.glyph(letter), STEP, places::add);
    double height = -box.map(Rect::getTop).orElse(0f);
    for (Point place : places) {
      double share = -place.getY() / height;
      if (share >= from && share <= to) {
        edges[0] = Math.min(edges[0], place.getX() / SIZE);
        edges[1] = Math.max(edges[1], place.getX() / SIZE);
      }
    }
    return Double.isInfinite(edges[0]) ? new double[2] : Arrays.copyOf(edges, 2);
  }
}
