package dynamorph.typeset.shape;

import dynamorph.typeset.font.FontFace;

/**
 * A stretch of a paragraph in one face, script, direction and span, shaped. Clusters and glyphs are
 * in visual order, left to right.
 *
 * @param span index of the span
 * @param level bidi level; odd is right to left
 * @param slanted whether the glyphs must be leaned
 * @param clusters first glyph of each cluster, and one past the last glyph
 * @param starts first unit of each cluster in the paragraph's own text
 * @param ends one past the last unit of each cluster
 * @param advances width of each cluster, in em
 * @param x where each glyph stands to the right of its cluster's origin, in em
 * @param y where each glyph stands below the baseline, in em
 */
public record ShapedRun(
    int span,
    FontFace face,
    boolean slanted,
    int level,
    short[] glyphs,
    int[] clusters,
    int[] starts,
    int[] ends,
    float[] advances,
    float[] x,
    float[] y) {
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
}
