package dynamorph.typeset.layout;

/** An upright rectangle in points, y down; width and height are never negative. */
public record Box(double x, double y, double width, double height) {
  public static final Box EMPTY = new Box(0, 0, 0, 0);

  /** The box between two corners in any order. */
  public static Box between(double x1, double y1, double x2, double y2) {
    return new Box(Math.min(x1, x2), Math.min(y1, y2), Math.abs(x2 - x1), Math.abs(y2 - y1));
  }

  public double right() {
    return x + width;
  }

  public double bottom() {
    return y + height;
  }

  public boolean contains(double px, double py) {
    return px >= x && px <= right() && py >= y && py <= bottom();
  }

  public boolean overlaps(Box other) {
    return other.x < right() && x < other.right() && other.y < bottom() && y < other.bottom();
  }

  /** Grown by so much on all sides. */
  public Box grown(double across, double down) {
    return new Box(
        x - across, y - down, Math.max(0, width + 2 * across), Math.max(0, height + 2 * down));
  }

  public Box moved(double across, double down) {
    return new Box(x + across, y + down, width, height);
  }

  /** The smallest box around both. */
  public Box with(Box other) {
    double left = Math.min(x, other.x);
    double top = Math.min(y, other.y);
    return new Box(
        left,
        top,
        Math.max(right(), other.right()) - left,
        Math.max(bottom(), other.bottom()) - top);
  }
}
