package dynamorph.paint.layer;

import dynamorph.model.value.Rgba;
import dynamorph.paint.Pixels;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.IntPredicate;

/**
 * What is seen in a part of a picture on white. All lengths are in points from the top left of the
 * picture, all areas in square points.
 *
 * @param scale pixels a point
 * @param x0 first column of the part, in pixels
 * @param x1 the column behind its last
 */
record Ink(Pixels pixels, double scale, int x0, int y0, int x1, int y1) {
  private static final int FAINT = 24;
  private static final int NEAR = 40;

  static Ink of(Pixels pixels, double scale) {
    return new Ink(pixels, scale, 0, 0, pixels.width(), pixels.height());
  }

  @Override
  public String toString() {
    return String.format(
        Locale.ROOT,
        "%.1f of ink from (%.1f, %.1f) to (%.1f, %.1f)",
        amount(),
        left(),
        top(),
        right(),
        bottom());
  }

  double left() {
    return first(x0, x1, 1, this::hasInkInColumn) / scale;
  }

  double right() {
    return (first(x1 - 1, x0 - 1, -1, this::hasInkInColumn) + 1) / scale;
  }

  double top() {
    return first(y0, y1, 1, this::hasInkInRow) / scale;
  }

  double bottom() {
    return (first(y1 - 1, y0 - 1, -1, this::hasInkInRow) + 1) / scale;
  }

  double width() {
    return right() - left();
  }

  double height() {
    return bottom() - top();
  }

  double centre() {
    return (left() + right()) / 2;
  }

  /** How much darker than white it is altogether: black counts its area. */
  double amount() {
    double sum = 0;
    for (int y = y0; y < y1; y++) {
      for (int x = x0; x < x1; x++) {
        int argb = pixels.argb(x, y);
        sum += 1 - ((argb >> 16 & 0xFF) + (argb >> 8 & 0xFF) + (argb & 0xFF)) / 765.0;
      }
    }
    return sum / (scale * scale);
  }

  /** The area of a colour, or of what is nearly that. */
  double area(String hex) {
    return sums(hex)[0] / (scale * scale);
  }

  /** The middle of all that has a colour, from the left. */
  double middleX(String hex) {
    double[] sums = some(hex);
    return sums[1] / sums[0] / scale;
  }

  /** The middle of all that has a colour, from the top. */
  double middleY(String hex) {
    double[] sums = some(hex);
    return sums[2] / sums[0] / scale;
  }

  /** How far the uppermost quarter stands to the right of the lowest. */
  double lean() {
    int high = (int) (top() * scale);
    int low = (int) (bottom() * scale);
    int quarter = (low - high) / 4;
    return new Ink(pixels, scale, x0, high, x1, high + quarter).centre()
        - new Ink(pixels, scale, x0, low - quarter, x1, low).centre();
  }

  /** The lines of text, from the top: what white rows divide. */
  List<Ink> lines() {
    List<Ink> lines = new ArrayList<>();
    int start = -1;
    for (int y = y0; y <= y1; y++) {
      boolean ink = y < y1 && hasInkInRow(y);
      if (ink && start < 0) {
        start = y;
      } else if (!ink && start >= 0) {
        lines.add(new Ink(pixels, scale, x0, start, x1, y));
        start = -1;
      }
    }
    return lines;
  }

  /** What white columns divide, from the left. */
  List<Ink> pieces() {
    List<Ink> pieces = new ArrayList<>();
    int start = -1;
    for (int x = x0; x <= x1; x++) {
      boolean ink = x < x1 && hasInkInColumn(x);
      if (ink && start < 0) {
        start = x;
      } else if (!ink && start >= 0) {
        pieces.add(new Ink(pixels, scale, start, y0, x, y1));
        start = -1;
      }
    }
    return pieces;
  }

  /** The widest white between two pieces. */
  double widestGap() {
    List<Ink> pieces = pieces();
    double widest = 0;
    for (int at = 1; at < pieces.size(); at++) {
      widest = Math.max(widest, pieces.get(at).left() - pieces.get(at - 1).right());
    }
    return widest;
  }

  /** The same picture within other edges, in points. */
  Ink within(double left, double top, double right, double bottom) {
    return new Ink(
        pixels,
        scale,
        (int) (left * scale),
        (int) (top * scale),
        (int) (right * scale),
        (int) (bottom * scale));
  }

  boolean isSameAs(Ink other) {
    return pixels.bytes().equals(other.pixels.bytes());
  }

  private double[] some(String hex) {
    double[] sums = sums(hex);
    if (sums[0] == 0) {
      throw new AssertionError("nothing is " + hex + ": " + this);
    }
    return sums;
  }

  private double[] sums(String hex) {
    Rgba colour = Rgba.parse(hex);
    double[] sums = new double[3];
    for (int y = y0; y < y1; y++) {
      for (int x = x0; x < x1; x++) {
        if (isNear(pixels.argb(x, y), colour.argb())) {
          sums[0]++;
          sums[1] += x + 0.5;
          sums[2] += y + 0.5;
        }
      }
    }
    return sums;
  }

  private static boolean isNear(int one, int other) {
    for (int shift = 0; shift <= 16; shift += 8) {
      if (Math.abs((one >> shift & 0xFF) - (other >> shift & 0xFF)) > NEAR) {
        return false;
      }
    }
    return true;
  }

  private static double first(int from, int to, int step, IntPredicate wanted) {
    int at = from;
    while (at != to && !wanted.test(at)) {
      at += step;
    }
    return at;
  }

  private boolean hasInkInColumn(int x) {
    for (int y = y0; y < y1; y++) {
      if (isInk(x, y)) {
        return true;
      }
    }
    return false;
  }

  private boolean hasInkInRow(int y) {
    for (int x = x0; x < x1; x++) {
      if (isInk(x, y)) {
        return true;
      }
    }
    return false;
  }

  private boolean isInk(int x, int y) {
    int argb = pixels.argb(x, y);
    return Math.min(argb >> 16 & 0xFF, Math.min(argb >> 8 & 0xFF, argb & 0xFF)) < 255 - FAINT;
  }
}
