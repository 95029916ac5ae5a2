package dynamorph.typeset.layout;

import dynamorph.typeset.font.FontFace;

/**
 * Glyphs of one face, size and look on one line, in visual order. To draw it, put each glyph with
 * its origin at {@code (x[i], line.baseline() + y[i])}.
 *
 * @param paragraph index of the paragraph in the story
 * @param span index of the span in the paragraph
 * @param size points
 * @param x from the left of the layout, in points
 * @param y below the baseline, in points
 * @param starts first unit of the story of each cluster
 * @param ends one past the last unit of the story of each cluster
 * @param left left edge of each cluster, in points
 * @param right right edge of each cluster, in points
 */
public record GlyphRun(
    int paragraph,
    int span,
    FontFace face,
    boolean slanted,
    double size,
    boolean rightToLeft,
    short[] glyphs,
    float[] x,
    float[] y,
    int[] starts,
    int[] ends,
    float[] left,
    float[] right) {
  /**
   * How far letters are leaned when a family has no italic: 12 degrees, as type designers lean an
   * oblique.
   */
  public static final float LEAN = (float) Math.tan(Math.toRadians(12));
}
