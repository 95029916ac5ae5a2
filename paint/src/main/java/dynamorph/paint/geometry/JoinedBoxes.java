package dynamorph.paint.geometry;

import static java.util.Objects.requireNonNull;

import dynamorph.model.cascade.Plate.Corners;
import dynamorph.typeset.layout.Box;
import io.github.humbleui.skija.Matrix33;
import io.github.humbleui.skija.Path;
import io.github.humbleui.skija.PathBuilder;
import io.github.humbleui.types.Point;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Boxes that stand on each other as one shape without seams. Corners are rounded, those that turn
 * inwards too, as far as their sides have room (as in CSS Backgrounds 3, 5.5).
 */
public final class JoinedBoxes {
  /** Sides that are nearer than this many points are one. */
  private static final double SAME = 1e-3;

  private JoinedBoxes() {}

  /**
   * Boxes in runs of those that meet the one before.
   *
   * @param boxes from the top; beside each other, in any order, if they are those of vertical lines
   */
  public static List<List<Box>> runs(List<Box> boxes, boolean vertical) {
    return vertical
        ? runs(fromTheLeft(boxes)).stream().map(JoinedBoxes::transposed).toList()
        : runs(boxes);
  }

  /** Boxes beside each other as boxes below each other: their two axes changed for each other. */
  private static List<Box> fromTheLeft(List<Box> boxes) {
    return transposed(boxes.stream().sorted(Comparator.comparingDouble(Box::x)).toList());
  }

  private static List<Box> transposed(List<Box> boxes) {
    return boxes.stream().map(box -> new Box(box.y(), box.x(), box.height(), box.width())).toList();
  }

  /** Boxes, from the top, in runs of those that meet the one before. */
  public static List<List<Box>> runs(List<Box> boxes) {
    List<List<Box>> runs = new ArrayList<>();
    for (Box box : boxes) {
      boolean joins = !runs.isEmpty() && meet(runs.getLast().getLast(), box);
      if (!joins) {
        runs.add(new ArrayList<>());
      }
      runs.getLast().add(box);
    }
    return runs;
  }

  private static boolean meet(Box above, Box below) {
    return below.y() <= above.bottom() + SAME
        && below.bottom() >= above.y()
        && below.x() < above.right()
        && below.right() > above.x();
  }

  /**
   * The outline of boxes that meet. The caller closes it.
   *
   * @param run at least one, from the top, or from the left if they are those of vertical lines
   */
  public static Path outline(List<Box> run, Corners corners, boolean vertical) {
    if (!vertical) {
      return outline(run, corners);
    }
    Corners changed =
        new Corners(
            corners.topLeft(), corners.bottomLeft(), corners.bottomRight(), corners.topRight());
    try (Path path = outline(transposed(run), changed)) {
      return requireNonNull(path.makeTransform(TRANSPOSED));
    }
  }

  private static final Matrix33 TRANSPOSED = new Matrix33(0, 1, 0, 1, 0, 0, 0, 0, 1);

  /**
   * The outline of boxes below each other, clockwise; see {@link #outline(List, Corners, boolean)}.
   */
  public static Path outline(List<Box> run, Corners corners) {
    List<Point> points = polygon(run);
    float[] radii = radii(points, corners);
    int count = points.size();
    try (PathBuilder path = new PathBuilder()) {
      for (int index = 0; index < count; index++) {
        Point before = points.get((index + count - 1) % count);
        Point corner = points.get(index);
        Point after = points.get((index + 1) % count);
        float radius = radii[index];
        Point from = towards(corner, before, radius);
        if (index == 0) {
          path.moveTo(from);
        } else {
          path.lineTo(from);
        }
        if (radius > 0) {
          // the conic of a quarter of a circle
          path.conicTo(corner, towards(corner, after, radius), (float) Math.sqrt(0.5));
        }
      }
      return path.closePath().detach();
    }
  }

  /** The corners of the outline: down the right sides, then up the left ones. */
  private static List<Point> polygon(List<Box> run) {
    List<Point> points = new ArrayList<>();
    Box first = run.getFirst();
    Box last = run.getLast();
    add(points, first.x(), first.y());
    add(points, first.right(), first.y());
    double floor = first.y();
    for (int index = 0; index + 1 < run.size(); index++) {
      Box above = run.get(index);
      Box below = run.get(index + 1);
      if (Math.abs(above.right() - below.right()) > SAME) {
        floor = Math.max(floor, below.right() > above.right() ? below.y() : above.bottom());
        add(points, above.right(), floor);
        add(points, below.right(), floor);
      }
    }
    add(points, last.right(), last.bottom());
    add(points, last.x(), last.bottom());
    double ceiling = last.bottom();
    for (int index = run.size() - 1; index > 0; index--) {
      Box above = run.get(index - 1);
      Box below = run.get(index);
      if (Math.abs(above.x() - below.x()) > SAME) {
        ceiling = Math.min(ceiling, below.x() < above.x() ? below.y() : above.bottom());
        add(points, below.x(), ceiling);
        add(points, above.x(), ceiling);
      }
    }
    return straightened(points);
  }

  private static void add(List<Point> points, double x, double y) {
    points.add(new Point((float) x, (float) y));
  }

  /** Without corners at which nothing turns. */
  private static List<Point> straightened(List<Point> points) {
    List<Point> kept = new ArrayList<>(points);
    boolean changed = true;
    while (changed && kept.size() > 4) {
      changed = false;
      for (int index = 0; index < kept.size() && !changed; index++) {
        Point before = kept.get((index + kept.size() - 1) % kept.size());
        Point corner = kept.get(index);
        Point after = kept.get((index + 1) % kept.size());
        if (Math.abs(cross(before, corner, after)) < SAME * SAME) {
          kept.remove(index);
          changed = true;
        }
      }
    }
    return kept;
  }

  /** Positive where a clockwise outline turns right. */
  private static double cross(Point before, Point corner, Point after) {
    return (corner.getX() - before.getX()) * (after.getY() - corner.getY())
        - (corner.getY() - before.getY()) * (after.getX() - corner.getX());
  }

  private static float[] radii(List<Point> points, Corners corners) {
    int count = points.size();
    double[] wanted = new double[count];
    for (int index = 0; index < count; index++) {
      Point before = points.get((index + count - 1) % count);
      wanted[index] = wanted(before, points.get(index), points.get((index + 1) % count), corners);
    }
    double[] room = new double[count];
    java.util.Arrays.fill(room, 1);
    for (int index = 0; index < count; index++) {
      int next = (index + 1) % count;
      double both = wanted[index] + wanted[next];
      double side = distance(points.get(index), points.get(next));
      if (both > side) {
        room[index] = Math.min(room[index], side / both);
        room[next] = Math.min(room[next], side / both);
      }
    }
    float[] radii = new float[count];
    for (int index = 0; index < count; index++) {
      radii[index] = (float) (wanted[index] * room[index]);
    }
    return radii;
  }

  /** The radius of a corner by where it points; one that turns inwards takes that of its side. */
  private static double wanted(Point before, Point corner, Point after, Corners corners) {
    boolean down = corner.getY() > before.getY() + SAME || after.getY() > corner.getY() + SAME;
    boolean right = corner.getX() > before.getX() + SAME || after.getX() > corner.getX() + SAME;
    return down
        ? right ? corners.topRight() : corners.bottomRight()
        : right ? corners.topLeft() : corners.bottomLeft();
  }

  private static double distance(Point one, Point other) {
    return Math.hypot(one.getX() - other.getX(), one.getY() - other.getY());
  }

  private static Point towards(Point from, Point to, double by) {
    double length = distance(from, to);
    double share = length == 0 ? 0 : by / length;
    return new Point(
        (float) (from.getX() + share * (to.getX() - from.getX())),
        (float) (from.getY() + share * (to.getY() - from.getY())));
  }
}
