package dynamorph.model.shape;

import dynamorph.model.value.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A path while it is drawn: points one after the other, each with a handle that bends the path into
 * and out of it. Coordinates in points of the artboard.
 */
public record PathDraft(List<Knot> knots, boolean closed) {
  public static final PathDraft EMPTY = new PathDraft(List.of(), false);

  /** How finely curves are looked at to find the box around them. */
  private static final int STEPS = 64;

  /**
   * A point of the path.
   *
   * @param handleX how far the outgoing handle lies to the right of it; the incoming one lies
   *     opposite
   * @param handleY how far it lies below
   */
  public record Knot(double x, double y, double handleX, double handleY) {
    boolean isCorner() {
      return handleX == 0 && handleY == 0;
    }
  }

  /** The box around the path. */
  public record Bounds(double x, double y, double width, double height) {}

  public PathDraft {
    knots = List.copyOf(knots);
  }

  public boolean isEmpty() {
    return knots.isEmpty();
  }

  /** With one more corner. */
  public PathDraft plus(double x, double y) {
    List<Knot> more = new ArrayList<>(knots);
    more.add(new Knot(x, y, 0, 0));
    return new PathDraft(more, false);
  }

  /** With the handle of the last point drawn out to a place. */
  public PathDraft bent(double x, double y) {
    if (knots.isEmpty()) {
      return this;
    }
    List<Knot> changed = new ArrayList<>(knots);
    Knot last = changed.removeLast();
    changed.add(new Knot(last.x, last.y, x - last.x, y - last.y));
    return new PathDraft(changed, closed);
  }

  /** Without the last point. */
  public PathDraft shortened() {
    return knots.isEmpty() ? this : new PathDraft(knots.subList(0, knots.size() - 1), false);
  }

  /** Back to its beginning. */
  public PathDraft close() {
    return new PathDraft(knots, true);
  }

  /** Whether a place is near enough to the first point to close the path there. */
  public boolean closesAt(double x, double y, double near) {
    return knots.size() > 1 && Math.hypot(x - knots.getFirst().x, y - knots.getFirst().y) <= near;
  }

  /** The box around the path; empty for fewer than two points. */
  public Optional<Bounds> bounds() {
    if (knots.size() < 2) {
      return Optional.empty();
    }
    double left = Double.POSITIVE_INFINITY;
    double top = Double.POSITIVE_INFINITY;
    double right = Double.NEGATIVE_INFINITY;
    double bottom = Double.NEGATIVE_INFINITY;
    for (int piece = 0; piece < pieces(); piece++) {
      for (int step = 0; step <= STEPS; step++) {
        double[] at = at(piece, step / (double) STEPS);
        left = Math.min(left, at[0]);
        right = Math.max(right, at[0]);
        top = Math.min(top, at[1]);
        bottom = Math.max(bottom, at[1]);
      }
    }
    return Optional.of(new Bounds(left, top, right - left, bottom - top));
  }

  /** How many pieces the path has from point to point. */
  public int pieces() {
    return closed ? knots.size() : Math.max(0, knots.size() - 1);
  }

  private Knot from(int piece) {
    return knots.get(piece);
  }

  private Knot to(int piece) {
    return knots.get((piece + 1) % knots.size());
  }

  /** A place along a piece: across and down, at a share of 0 to 1 of the way. */
  public double[] at(int piece, double share) {
    Knot from = from(piece);
    Knot to = to(piece);
    double back = 1 - share;
    double a = back * back * back;
    double b = 3 * back * back * share;
    double c = 3 * back * share * share;
    double d = share * share * share;
    return new double[] {
      a * from.x + b * (from.x + from.handleX) + c * (to.x - to.handleX) + d * to.x,
      a * from.y + b * (from.y + from.handleY) + c * (to.y - to.handleY) + d * to.y
    };
  }

  /** The path as a shape, in a box of its own. */
  public Optional<Shape.Drawn> shape() {
    return bounds().map(box -> new Shape.Drawn(data(box), box.width, box.height));
  }

  private String data(Bounds box) {
    StringBuilder data = new StringBuilder("M");
    put(data, from(0).x - box.x, from(0).y - box.y);
    for (int piece = 0; piece < pieces(); piece++) {
      Knot from = from(piece);
      Knot to = to(piece);
      if (from.isCorner() && to.isCorner()) {
        data.append("L");
      } else {
        data.append("C");
        put(data, from.x + from.handleX - box.x, from.y + from.handleY - box.y);
        data.append(" ");
        put(data, to.x - to.handleX - box.x, to.y - to.handleY - box.y);
        data.append(" ");
      }
      put(data, to.x - box.x, to.y - box.y);
    }
    return data.append(closed ? "Z" : "").toString();
  }

  private static void put(StringBuilder data, double x, double y) {
    data.append(Numbers.format(x, 3)).append(" ").append(Numbers.format(y, 3));
  }
}
