package dynamorph.typeset.shape;

import dynamorph.model.cascade.Letterforms;
import dynamorph.typeset.font.FontFace;
import java.util.Arrays;
import java.util.BitSet;

/**
 * A stretch of a paragraph in one face, script, direction and span, shaped. Clusters and glyphs are
 * in visual order, left to right.
 *
 * @param span index of the span
 * @param level bidi level; odd is right to left
 * @param orientation how its glyphs stand on the line; the axes of a line are its own, along and
 *     down from its baseline, which runs through the middle of vertical lines
 * @param condensed how its glyphs are narrowed, 1 as drawn
 * @param cursive whether its letters join, so that nothing may come between them
 * @param slanted whether the glyphs must be leaned
 * @param scale share of the span's size that the glyphs are drawn at
 * @param rise how far the glyphs stand above the baseline, in em of the span
 * @param clusters first glyph of each cluster, and one past the last glyph
 * @param starts first unit of each cluster in the paragraph's own text
 * @param ends one past the last unit of each cluster
 * @param advances width of each cluster, in em
 * @param glyphAdvances width of each glyph as it was shaped, in em; what is added to a cluster
 *     stands behind its last glyph
 * @param x where each glyph stands to the right of its cluster's origin, in em
 * @param y where each glyph stands below the baseline, in em
 * @param unsafe clusters before which the text cannot be cut without shaping both sides anew
 */
public record ShapedRun(
    int span,
    FontFace face,
    boolean slanted,
    int level,
    GlyphOrientation orientation,
    double condensed,
    boolean cursive,
    double scale,
    double rise,
    short[] glyphs,
    int[] clusters,
    int[] starts,
    int[] ends,
    float[] advances,
    float[] glyphAdvances,
    float[] x,
    float[] y,
    BitSet unsafe) {
  /**
   * What letters of a vertical line take at each side of its middle, in em: lines are as wide as
   * their squares (W3C, Requirements for Japanese Text Layout, 2.1), whatever stands on them.
   */
  private static final double HALF = 0.5;

  /** The same glyphs with other widths of their clusters. */
  ShapedRun withAdvances(float[] wanted) {
    return withAdvances(wanted, x);
  }

  /** The same glyphs with other widths of their clusters, and in other places. */
  ShapedRun withAdvances(float[] wanted, float[] along) {
    return new ShapedRun(
        span,
        face,
        slanted,
        level,
        orientation,
        condensed,
        cursive,
        scale,
        rise,
        glyphs,
        clusters,
        starts,
        ends,
        wanted,
        glyphAdvances,
        along,
        y,
        unsafe);
  }

  /** Some of its clusters, in visual order, as a run of another span. */
  ShapedRun part(int ofSpan, int from, int to) {
    int first = clusters[from];
    int last = clusters[to];
    int[] own = Arrays.copyOfRange(clusters, from, to + 1);
    Arrays.setAll(own, cluster -> own[cluster] - first);
    return new ShapedRun(
        ofSpan,
        face,
        slanted,
        level,
        orientation,
        condensed,
        cursive,
        scale,
        rise,
        Arrays.copyOfRange(glyphs, first, last),
        own,
        Arrays.copyOfRange(starts, from, to),
        Arrays.copyOfRange(ends, from, to),
        Arrays.copyOfRange(advances, from, to),
        Arrays.copyOfRange(glyphAdvances, first, last),
        Arrays.copyOfRange(x, first, last),
        Arrays.copyOfRange(y, first, last),
        unsafe.get(from, to));
  }

  /** How much longer than drawn its letters are along the line. */
  public double along(Letterforms forms) {
    return isUpright() ? forms.scaleDown() : forms.scaleAcross();
  }

  /** How much longer than drawn its letters are across the line. */
  public double across(Letterforms forms) {
    return isUpright() ? forms.scaleAcross() : forms.scaleDown();
  }

  public boolean isUpright() {
    return orientation == GlyphOrientation.UPRIGHT;
  }

  /** Height above the baseline, in em; half of its square in a vertical line. */
  public double ascent() {
    return orientation == GlyphOrientation.HORIZONTAL ? face.ascent() : HALF;
  }

  /** Depth below the baseline, in em; half of its square in a vertical line. */
  public double descent() {
    return orientation == GlyphOrientation.HORIZONTAL ? face.descent() : HALF;
  }

  public int clusterCount() {
    return advances.length;
  }

  /** First unit of the run in the paragraph's own text. */
  public int start() {
    return starts[rightToLeft() ? starts.length - 1 : 0];
  }

  /** One past the last unit of the run. */
  public int end() {
    return ends[rightToLeft() ? 0 : ends.length - 1];
  }

  public boolean rightToLeft() {
    return (level & 1) == 1;
  }

  /**
   * The first cluster, in visual order, that begins at or behind a unit for text that runs to the
   * right, at or before it for text that runs to the left.
   */
  public int clusterFrom(int unit) {
    int low = 0;
    int high = starts.length;
    while (low < high) {
      int middle = (low + high) >>> 1;
      boolean before = rightToLeft() ? starts[middle] >= unit : starts[middle] < unit;
      if (before) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    return low;
  }
}
