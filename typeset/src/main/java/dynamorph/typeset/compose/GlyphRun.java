package dynamorph.typeset.compose;

import dynamorph.typeset.font.FontFace;

/**
 * Glyphs of one face, size and look on one line, in visual order. To draw it, put each glyph with
 * its origin at {@code (line.x() + x[i], line.baseline() + y[i])} of the axes of the line. A run
 * that stands for no typed letters, such as a hyphen or a bullet, has glyphs but no clusters.
 *
 * @param span index of the span in the paragraph
 * @param size points
 * @param upright whether the glyphs stand upright on a vertical line, so that they are not turned
 *     with it
 * @param stretch how much wider than drawn the glyphs are
 * @param skew how far the glyphs lean to the right, as a share of their height
 * @param units first unit of the paragraph of the cluster that each glyph belongs to; of ruby the
 *     unit behind the letters that it is set over, of other marks 0
 * @param advances of each glyph, with all that is added behind it, in points
 * @param x from the left of the column, in points
 * @param y below the baseline, in points
 * @param starts first unit of the paragraph of each cluster
 * @param ends one past the last unit of the paragraph of each cluster
 * @param left left edge of each cluster, in points
 * @param right right edge of each cluster, in points
 * @param words what a run without clusters says: the number before a paragraph, ruby; empty for
 *     decoration and for a run that has clusters
 */
public record GlyphRun(
    int span,
    FontFace face,
    double size,
    double stretch,
    double skew,
    boolean rightToLeft,
    boolean upright,
    short[] glyphs,
    int[] units,
    float[] advances,
    float[] x,
    float[] y,
    int[] starts,
    int[] ends,
    float[] left,
    float[] right,
    String words) {
  /**
   * How far letters are leaned when a family has no italic: 12 degrees, as type designers lean an
   * oblique.
   */
  public static final double LEAN = Math.tan(Math.toRadians(12));
}
