package dynamorph.paint.geometry;

import io.github.humbleui.skija.Path;
import io.github.humbleui.skija.PathFillMode;
import io.github.humbleui.skija.PathOp;
import io.github.humbleui.types.Point;
import io.github.humbleui.types.Rect;
import java.util.Arrays;

/**
 * Whether a combination of two shapes came out right, asked on some lines across them. Combining
 * paths is a matter of where curves meet, and about one in four hundred comes out with a part
 * missing; on a line it is a matter of counting.
 */
final class LineCheck {
  private static final int LINES = 32;

  /** Where between two lines' worth of height a line lies: seldom where shapes have corners. */
  private static final double PHASE = 0.3819660113;

  /** The most that may be wrong of all lines together, in heights of the shapes. */
  private static final double WRONG = 0.02;

  private static final int CHORDS = 24;

  private final double top;
  private final double step;
  private final long[][] crossings = new long[LINES][16];
  private final int[] counts = new int[LINES];

  private LineCheck(double top, double height) {
    this.step = height / LINES;
    this.top = top + PHASE * step;
  }

  /** Whether a result is what an operation on two shapes should give, as far as lines can tell. */
  static boolean passes(Path one, Path other, PathOp op, Path result) {
    Rect bounds = one.getBounds();
    Rect others = other.getBounds();
    double top = others.isEmpty() ? bounds.getTop() : Math.min(bounds.getTop(), others.getTop());
    double bottom =
        others.isEmpty() ? bounds.getBottom() : Math.max(bounds.getBottom(), others.getBottom());
    double height = bottom - top;
    if (!(height > 0) || !Double.isFinite(height)) {
      return true;
    }
    LineCheck check = new LineCheck(top, height);
    check.add(one, 0);
    check.add(other, 1);
    check.add(result, 2);
    boolean[] evenOdd = {isEvenOdd(one), isEvenOdd(other), isEvenOdd(result)};
    double wrong = 0;
    for (int line = 0; line < LINES; line++) {
      wrong += check.wrong(line, op, evenOdd);
    }
    return wrong <= WRONG * height;
  }

  static boolean isEvenOdd(Path path) {
    return path.getFillMode() == PathFillMode.EVEN_ODD;
  }

  // --- crossings

  private void add(Path path, int shape) {
    PathPieces.tell(path, new Crossed(shape));
  }

  /** Crosses the lines with the pieces of one of the shapes. */
  private final class Crossed implements PathPieces.Taker {
    private final int shape;

    Crossed(int shape) {
      this.shape = shape;
    }

    @Override
    public void move(Point to) {}

    @Override
    public void line(Point from, Point to) {
      LineCheck.this.line(from.getX(), from.getY(), to.getX(), to.getY(), shape);
    }

    @Override
    public void conic(Point from, Point control, Point to, double weight) {
      LineCheck.this.conic(from, control, to, weight, shape);
    }

    @Override
    public void cubic(Point from, Point first, Point second, Point to) {
      LineCheck.this.cubic(from, first, second, to, shape);
    }

    @Override
    public void end(Point at, Point start) {
      line(at, start);
    }
  }

  private void line(double fromX, double fromY, double toX, double toY, int shape) {
    double upper = Math.min(fromY, toY);
    double lower = Math.max(fromY, toY);
    int direction = fromY < toY ? 1 : -1;
    for (int line = first(upper); line < LINES && at(line) < lower; line++) {
      double part = (at(line) - fromY) / (toY - fromY);
      cross(line, fromX + part * (toX - fromX), direction, shape);
    }
  }

  private double at(int line) {
    return top + line * step;
  }

  /** The first line not above a height. */
  private int first(double y) {
    return Math.max(0, (int) Math.ceil((y - top) / step));
  }

  /**
   * A quadratic curve, or a conic with a weight: where it is at a height is a quadratic equation.
   */
  private void conic(Point from, Point control, Point to, double weight, int shape) {
    double upper = Math.min(Math.min(from.getY(), control.getY()), to.getY());
    double lower = Math.max(Math.max(from.getY(), control.getY()), to.getY());
    for (int line = first(upper); line < LINES && at(line) < lower; line++) {
      double y0 = from.getY() - at(line);
      double y1 = (control.getY() - at(line)) * weight;
      double y2 = to.getY() - at(line);
      double a = y0 - 2 * y1 + y2;
      double b = y1 - y0;
      double root = Math.sqrt(b * b - a * y0);
      if (root > 0) {
        // the form that loses nothing when a is small
        double q = b > 0 ? -(b + root) : root - b;
        conicAt(line, q / a, b > 0 ? -1 : 1, from, control, to, weight, shape);
        conicAt(line, y0 / q, b > 0 ? 1 : -1, from, control, to, weight, shape);
      }
    }
  }

  private void conicAt(
      int line,
      double t,
      int direction,
      Point from,
      Point control,
      Point to,
      double weight,
      int shape) {
    if (t >= 0 && t < 1) {
      double s = 1 - t;
      double first = s * s;
      double middle = 2 * s * t * weight;
      double last = t * t;
      double x = first * from.getX() + middle * control.getX() + last * to.getX();
      cross(line, x / (first + middle + last), direction, shape);
    }
  }

  private void cubic(Point from, Point first, Point second, Point to, int shape) {
    double beforeX = from.getX();
    double beforeY = from.getY();
    for (int chord = 1; chord <= CHORDS; chord++) {
      double t = (double) chord / CHORDS;
      double s = 1 - t;
      double a = s * s * s;
      double b = 3 * s * s * t;
      double c = 3 * s * t * t;
      double d = t * t * t;
      double x = a * from.getX() + b * first.getX() + c * second.getX() + d * to.getX();
      double y = a * from.getY() + b * first.getY() + c * second.getY() + d * to.getY();
      line(beforeX, beforeY, x, y, shape);
      beforeX = x;
      beforeY = y;
    }
  }

  /** Kept as whole numbers that sort like the places. */
  private void cross(int line, double x, int direction, int shape) {
    if (counts[line] == crossings[line].length) {
      crossings[line] = Arrays.copyOf(crossings[line], 2 * counts[line]);
    }
    int bits = Float.floatToRawIntBits((float) x);
    int sortable = bits < 0 ? bits ^ 0x7FFFFFFF : bits;
    crossings[line][counts[line]++] = (long) sortable << 32 | shape << 1 | (direction > 0 ? 1 : 0);
  }

  private static double place(long crossing) {
    int sortable = (int) (crossing >> 32);
    return Float.intBitsToFloat(sortable < 0 ? sortable ^ 0x7FFFFFFF : sortable);
  }

  // --- counting

  /** How much of a line is inside where it should not be, or the other way round. */
  private double wrong(int line, PathOp op, boolean[] evenOdd) {
    long[] own = crossings[line];
    Arrays.sort(own, 0, counts[line]);
    int[] winding = new int[3];
    double wrong = 0;
    for (int index = 0; index < counts[line]; index++) {
      if (index > 0 && isWrong(winding, op, evenOdd)) {
        wrong += place(own[index]) - place(own[index - 1]);
      }
      winding[(int) own[index] >> 1] += (own[index] & 1) == 1 ? 1 : -1;
    }
    return wrong;
  }

  private static boolean isWrong(int[] winding, PathOp op, boolean[] evenOdd) {
    boolean one = isInside(winding[0], evenOdd[0]);
    boolean other = isInside(winding[1], evenOdd[1]);
    return isWanted(op, one, other) != isInside(winding[2], evenOdd[2]);
  }

  /** Whether what lies inside of one shape or another belongs to the result. */
  static boolean isWanted(PathOp op, boolean one, boolean other) {
    return switch (op) {
      case DIFFERENCE -> one && !other;
      case INTERSECT -> one && other;
      case UNION -> one || other;
      case XOR -> one != other;
      case REVERSE_DIFFERENCE -> other && !one;
    };
  }

  static boolean isInside(int winding, boolean evenOdd) {
    return evenOdd ? (winding & 1) == 1 : winding != 0;
  }
}
