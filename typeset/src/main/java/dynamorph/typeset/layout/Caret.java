package dynamorph.typeset.layout;

/**
 * Where a caret stands: a straight line across its line of text.
 *
 * @param along how far along the line of text, in points
 * @param top where it begins across it, in points of the axes
 * @param bottom where it ends across it
 */
public record Caret(double along, double top, double bottom, LineAxes axes) {
  /** The caret as a box without width, or without height in vertical text, in the layout. */
  public Box box() {
    return axes.box(new Box(along, top, 0, bottom - top));
  }
}
