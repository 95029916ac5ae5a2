package dynamorph.model.value;

/**
 * One of nine points of a rectangle. A layer's anchor says both which point of the artboard its
 * position is measured from and which point of the layer lies there.
 */
public enum Anchor {
  TOP_LEFT(0, 0),
  TOP(0.5, 0),
  TOP_RIGHT(1, 0),
  LEFT(0, 0.5),
  CENTRE(0.5, 0.5),
  RIGHT(1, 0.5),
  BOTTOM_LEFT(0, 1),
  BOTTOM(0.5, 1),
  BOTTOM_RIGHT(1, 1);

  private final double across;
  private final double down;

  Anchor(double across, double down) {
    this.across = across;
    this.down = down;
  }

  /** Share of the width, from the left. */
  public double across() {
    return across;
  }

  /** Share of the height, from the top. */
  public double down() {
    return down;
  }
}
