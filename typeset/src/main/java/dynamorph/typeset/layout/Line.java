package dynamorph.typeset.layout;

import java.util.List;

/**
 * A line of text.
 *
 * @param start first unit of the story
 * @param end one past the last unit of the story on this line, without the paragraph break
 * @param left where its content begins, in points
 * @param width of its content without trailing spaces, in points
 * @param baseline from the top of the layout, in points
 * @param ascent of its tallest face above the baseline, in points
 * @param descent of its deepest face below the baseline, in points
 * @param runs in visual order, left to right
 */
public record Line(
    int paragraph,
    int start,
    int end,
    double left,
    double width,
    double baseline,
    double ascent,
    double descent,
    boolean rightToLeft,
    boolean endsParagraph,
    List<GlyphRun> runs) {
  public double top() {
    return baseline - ascent;
  }

  public double bottom() {
    return baseline + descent;
  }

  public Box box() {
    return new Box(left, top(), width, ascent + descent);
  }

  Line movedDown(double by) {
    return new Line(
        paragraph,
        start,
        end,
        left,
        width,
        baseline + by,
        ascent,
        descent,
        rightToLeft,
        endsParagraph,
        runs);
  }
}
