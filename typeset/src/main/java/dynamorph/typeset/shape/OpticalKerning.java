package dynamorph.typeset.shape;

import dynamorph.typeset.font.FontFace;
import dynamorph.typeset.font.GlyphEdge;
import io.github.humbleui.types.Rect;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;

/**
 * Kerns pairs by the shapes of their letters: the white between two letters, taken over the height
 * that both reach, is brought to that between two straight stems of the same face. White further
 * from a letter's edge than {@link #DEPTH} counts no more, as the eye does not see it as between
 * them. Safe on any thread.
 */
final class OpticalKerning {
  /** Heights at which the edges of a letter are taken, from descender to ascender. */
  private static final int SLICES = 40;

  /** Between places on the edge of a letter, in points at the size of its metrics. */
  private static final double STEP = 4;

  private static final double TOP = 0.8;
  private static final double BOTTOM = -0.25;

  /** How wide white counts, in em. */
  private static final double DEPTH = 0.26;

  /** The most that a pair is moved, in em. */
  private static final double MOST = 0.14;

  /** The least distance of two letters, in em. */
  private static final double CLOSEST = 0.02;

  private record Letter(FontFace face, int glyph) {}

  /**
   * Where a letter's ink begins and ends at each height, from its origin and its advance, in em.
   */
  private record Edges(float[] left, float[] right) {}

  private final Map<Letter, Edges> edges = new ConcurrentHashMap<>();
  private final Map<FontFace, Double> norms = new ConcurrentHashMap<>();

  /** What is added between two glyphs of a face, in em. */
  double between(FontFace face, int left, int right) {
    double norm = norms.computeIfAbsent(face, this::norm);
    Edges one = edges(face, left);
    Edges other = edges(face, right);
    if (one == null || other == null || Double.isNaN(norm)) {
      return 0;
    }
    double white = white(one, other);
    double kern = Math.clamp(norm - white, -MOST, MOST);
    return Math.max(kern, CLOSEST - nearest(one, other));
  }

  private double norm(FontFace face) {
    Edges n = edges(face, face.glyph('n'));
    return n == null ? Double.NaN : white(n, n);
  }

  /** The mean white between two letters, each height counting no more than {@link #DEPTH}. */
  private static double white(Edges one, Edges other) {
    double sum = 0;
    int heights = 0;
    for (int slice = 0; slice < SLICES; slice++) {
      boolean left = !Float.isNaN(one.right[slice]);
      boolean right = !Float.isNaN(other.left[slice]);
      if (left || right) {
        double white =
            (left ? one.right[slice] : DEPTH / 2) + (right ? other.left[slice] : DEPTH / 2);
        sum += Math.min(DEPTH, white);
        heights++;
      }
    }
    return heights == 0 ? 0 : sum / heights;
  }

  private static double nearest(Edges one, Edges other) {
    double nearest = Double.POSITIVE_INFINITY;
    for (int slice = 0; slice < SLICES; slice++) {
      if (!Float.isNaN(one.right[slice]) && !Float.isNaN(other.left[slice])) {
        nearest = Math.min(nearest, one.right[slice] + other.left[slice]);
      }
    }
    return nearest == Double.POSITIVE_INFINITY ? CLOSEST : nearest;
  }

  private @Nullable Edges edges(FontFace face, int glyph) {
    return edges.computeIfAbsent(new Letter(face, glyph), OpticalKerning::measure);
  }

  private static @Nullable Edges measure(Letter letter) {
    float size = FontFace.METRICS_SIZE;
    float[] least = new float[SLICES];
    float[] most = new float[SLICES];
    Arrays.fill(least, Float.NaN);
    Arrays.fill(most, Float.NaN);
    double advance =
        (double) letter.face.shaping().advance(letter.glyph) / letter.face.shaping().unitsPerEm();
    Optional<Rect> box =
        GlyphEdge.walk(
            letter.face,
            letter.glyph,
            STEP,
            place -> {
              double height = -place.getY() / size;
              int slice = (int) ((height - BOTTOM) / (TOP - BOTTOM) * SLICES);
              if (slice >= 0 && slice < SLICES) {
                float x = place.getX() / size;
                least[slice] = Float.isNaN(least[slice]) ? x : Math.min(least[slice], x);
                most[slice] = Float.isNaN(most[slice]) ? x : Math.max(most[slice], x);
              }
            });
    if (box.isEmpty()) {
      return null;
    }
    for (int slice = 0; slice < SLICES; slice++) {
      most[slice] = (float) (advance - most[slice]);
    }
    return new Edges(least, most);
  }
}
