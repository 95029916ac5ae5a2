package dynamorph.typeset.layout;

import dynamorph.model.value.WritingMode;

/**
 * The axes of lines in a layout. Lines are set as if all were horizontal: along them to the right,
 * across them down. Vertical lines are then turned by 90 degrees clockwise, so that the first
 * stands on the right; where they follow each other to the right, they are stacked the other way
 * round before.
 *
 * @param depth of all lines, across them, in points; without meaning for horizontal ones
 */
public record LineAxes(WritingMode mode, double depth) {
  public static final LineAxes HORIZONTAL = new LineAxes(WritingMode.HORIZONTAL, 0);

  public boolean isVertical() {
    return mode.isVertical();
  }

  /** How far right a place lies, in points of the layout. */
  public double x(double along, double across) {
    return isVertical() ? depth - across : along;
  }

  /** How far down a place lies, in points of the layout. */
  public double y(double along, double across) {
    return isVertical() ? along : across;
  }

  /** How far along the lines a point of the layout lies. */
  public double along(double x, double y) {
    return isVertical() ? y : x;
  }

  /** How far across the lines a point of the layout lies. */
  public double across(double x, double y) {
    return isVertical() ? depth - x : y;
  }

  /** A box of the lines as it lies in the layout. */
  public Box box(Box ofLines) {
    return isVertical()
        ? new Box(depth - ofLines.bottom(), ofLines.x(), ofLines.height(), ofLines.width())
        : ofLines;
  }
}
