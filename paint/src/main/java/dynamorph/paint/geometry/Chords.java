package dynamorph.paint.geometry;

import io.github.humbleui.types.Point;

/** Takes the pieces of a path as polygons between whole numbers. */
final class Chords implements PathPieces.Taker {
  /** How far a polygon may be from its curve, in points. */
  private static final double TOLERANCE = 1 / 128.0;

  private static final int MOST_CHORDS = 64;

  private final double grid;
  private final int shape;
  private final Segments segments;
  private int x;
  private int y;

  /**
   * @param grid the unit of the whole numbers, in points
   * @param shape to which the edges belong
   * @param segments takes the edges
   */
  Chords(double grid, int shape, Segments segments) {
    this.grid = grid;
    this.shape = shape;
    this.segments = segments;
  }

  private void add(double toX, double toY) {
    int fromX = x;
    int fromY = y;
    x = (int) Math.rint(toX / grid);
    y = (int) Math.rint(toY / grid);
    segments.add(fromX, fromY, x, y, shape);
  }

  @Override
  public void move(Point to) {
    x = (int) Math.rint(to.getX() / grid);
    y = (int) Math.rint(to.getY() / grid);
  }

  @Override
  public void line(Point from, Point to) {
    add(to.getX(), to.getY());
  }

  /** How many chords are needed if the second differences of a curve are so large. */
  private static int count(double difference, double share) {
    double count = Math.ceil(Math.sqrt(share * difference / TOLERANCE));
    return (int) Math.clamp(count, 1, MOST_CHORDS);
  }

  private static double difference(Point a, Point b, Point c) {
    return Math.hypot(a.getX() - 2 * b.getX() + c.getX(), a.getY() - 2 * b.getY() + c.getY());
  }

  @Override
  public void conic(Point from, Point control, Point to, double weight) {
    int chords = count(difference(from, control, to), 0.25 * Math.max(1, weight));
    for (int chord = 1; chord <= chords; chord++) {
      double t = (double) chord / chords;
      double s = 1 - t;
      double first = s * s;
      double middle = 2 * s * t * weight;
      double last = t * t;
      double all = first + middle + last;
      add(
          (first * from.getX() + middle * control.getX() + last * to.getX()) / all,
          (first * from.getY() + middle * control.getY() + last * to.getY()) / all);
    }
  }

  @Override
  public void cubic(Point from, Point first, Point second, Point to) {
    double difference = Math.max(difference(from, first, second), difference(first, second, to));
    int chords = count(difference, 0.75);
    for (int chord = 1; chord <= chords; chord++) {
      double t = (double) chord / chords;
      double s = 1 - t;
      double a = s * s * s;
      double b = 3 * s * s * t;
      double c = 3 * s * t * t;
      double d = t * t * t;
      add(
          a * from.getX() + b * first.getX() + c * second.getX() + d * to.getX(),
          a * from.getY() + b * first.getY() + c * second.getY() + d * to.getY());
    }
  }

  @Override
  public void end(Point at, Point start) {
    add(start.getX(), start.getY());
  }
}
