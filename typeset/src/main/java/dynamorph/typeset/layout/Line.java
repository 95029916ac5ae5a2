package dynamorph.typeset.layout;

import dynamorph.typeset.compose.ComposedLine;
import dynamorph.typeset.compose.GlyphRun;
import java.util.List;

/**
 * A line of text in its place.
 *
 * @param set the line as its paragraph has it
 * @param paragraph index of the paragraph in the story
 * @param paragraphStart first unit of the paragraph in the story
 * @param x left of the column, in points from the left of the layout
 * @param baseline from the top of the layout, in points
 */
public record Line(ComposedLine set, int paragraph, int paragraphStart, double x, double baseline) {
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

  public Box box() {
    return new Box(left(), top(), width(), ascent() + descent());
  }

  Line movedDown(double by) {
    return by == 0 ? this : new Line(set, paragraph, paragraphStart, x, baseline + by);
  }
}
