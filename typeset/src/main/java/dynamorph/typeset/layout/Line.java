package dynamorph.typeset.layout;

import dynamorph.model.value.WritingMode;
import dynamorph.typeset.compose.ComposedLine;
import dynamorph.typeset.compose.GlyphRun;
import java.util.List;

/**
 * A line of text in its place.
 *
 * @param set the line as its paragraph has it
 * @param paragraph index of the paragraph in the story
 * @param paragraphStart first unit of the paragraph in the story
 * @param axes that it counts in; all but its box is told in them
 * @param x left of the column, in points
 * @param baseline from the top of the lines, in points
 */
public record Line(
    ComposedLine set, int paragraph, int paragraphStart, LineAxes axes, double x, double baseline) {
  /** First unit of the story. */
  public int start() {
    return paragraphStart + set.start();
  }

  /** One past the last unit of the story on this line, without the paragraph break. */
  public int end() {
    return paragraphStart + set.end();
  }

  /** Where its content begins, in points. */
  public double left() {
    return x + set.left();
  }

  /** Width of its content without trailing spaces, in points. */
  public double width() {
    return set.width();
  }

  /** Height of its tallest face above the baseline, in points. */
  public double ascent() {
    return set.ascent();
  }

  /** Depth of its deepest face below the baseline, in points. */
  public double descent() {
    return set.descent();
  }

  public boolean rightToLeft() {
    return set.rightToLeft();
  }

  public boolean endsParagraph() {
    return set.isLast();
  }

  /** In visual order, left to right; see {@link GlyphRun} for where they stand. */
  public List<GlyphRun> runs() {
    return set.runs();
  }

  public double top() {
    return baseline - ascent();
  }

  public double bottom() {
    return baseline + descent();
  }

  /** The box around it, in points of the layout. */
  public Box box() {
    return axes.box(new Box(left(), top(), width(), ascent() + descent()));
  }

  /** The same line in axes, its top where it is counted from the other side of a depth. */
  Line in(LineAxes turned) {
    double across =
        turned.mode() == WritingMode.VERTICAL_LEFT_TO_RIGHT
            ? turned.depth() - bottom() + ascent()
            : baseline;
    return new Line(set, paragraph, paragraphStart, turned, x, across);
  }

  Line movedDown(double by) {
    return by == 0 ? this : new Line(set, paragraph, paragraphStart, axes, x, baseline + by);
  }
}
