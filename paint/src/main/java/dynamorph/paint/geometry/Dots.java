package dynamorph.paint.geometry;

import dynamorph.paint.effect.CoverageMask;
import io.github.humbleui.skija.Matrix33;
import io.github.humbleui.types.IRect;
import io.github.humbleui.types.Point;

/**
 * Round dots of one size. What they cover is worked out disc by disc, which takes about a third of
 * the time of a path with as many contours.
 *
 * @param x of the middles, in points
 * @param y as many
 * @param radius in points
 */
public record Dots(float[] x, float[] y, double radius) {
  /** How much the axes of a matrix may differ and still leave discs round. */
  private static final double ROUND = 1e-4;

  /**
   * Places of Gauss and Legendre between -1 and 1, and the weights there; the other half mirrors.
   */
  private static final double[] PLACES = {
    0.1834346424956498, 0.5255324099163290, 0.7966664774136267, 0.9602898564975363
  };

  private static final double[] WEIGHTS = {
    0.3626837833783620, 0.3137066458778873, 0.2223810344533745, 0.1012285362903763
  };

  /**
   * Dots at some places.
   *
   * @param width of each, in points
   */
  public static Dots at(Point[] middles, double width) {
    float[] x = new float[middles.length];
    float[] y = new float[middles.length];
    for (int index = 0; index < x.length; index++) {
      x[index] = middles[index].getX();
      y[index] = middles[index].getY();
    }
    return new Dots(x, y, width / 2);
  }

  /** Whether discs stay round. */
  public static boolean stayRound(Matrix33 matrix) {
    float[] m = matrix.getMat();
    double size = Math.hypot(m[0], m[3]);
    return size > 0
        && Math.abs(Math.hypot(m[1], m[4]) - size) < ROUND * size
        && Math.abs(m[0] * m[1] + m[3] * m[4]) < ROUND * size * size;
  }

  /**
   * What they cover.
   *
   * @param toPixels from points to pixels of the picture, see {@link #stayRound}
   * @param part pixels of the picture
   */
  public CoverageMask covered(Matrix33 toPixels, IRect part) {
    float[] m = toPixels.getMat();
    double size = Math.hypot(m[0], m[3]);
    CoverageMask plane =
        new CoverageMask(
            part.getLeft(),
            part.getTop(),
            part.getWidth(),
            part.getHeight(),
            new float[part.getWidth() * part.getHeight()]);
    for (int dot = 0; dot < x.length; dot++) {
      double middleX = m[0] * x[dot] + m[1] * y[dot] + m[2] - part.getLeft();
      double middleY = m[3] * x[dot] + m[4] * y[dot] + m[5] - part.getTop();
      add(plane, middleX, middleY, radius * size);
    }
    return plane;
  }

  /** Row by row: the share of a row that lies in the disc is an integral over its chords. */
  private static void add(CoverageMask plane, double x, double y, double radius) {
    int first = Math.max(0, (int) Math.floor(y - radius));
    int last = Math.min(plane.height() - 1, (int) Math.floor(y + radius));
    for (int row = first; row <= last; row++) {
      double from = Math.max(row, y - radius) - y;
      double to = Math.min(row + 1, y + radius) - y;
      double half = (to - from) / 2;
      double middle = (to + from) / 2;
      for (int place = 0; place < PLACES.length && half > 0; place++) {
        double weight = WEIGHTS[place] * half;
        addChord(plane, row, x, chord(radius, middle + PLACES[place] * half), weight);
        addChord(plane, row, x, chord(radius, middle - PLACES[place] * half), weight);
      }
    }
  }

  /** Half of the chord at a height over the middle. */
  private static double chord(double radius, double height) {
    return Math.sqrt(Math.max(0, radius * radius - height * height));
  }

  private static void addChord(CoverageMask plane, int row, double x, double half, double weight) {
    double left = Math.max(0, x - half);
    double right = Math.min(plane.width(), x + half);
    if (left >= right) {
      return;
    }
    float[] values = plane.values();
    int from = (int) left;
    int to = (int) right;
    int at = row * plane.width();
    if (from == to) {
      add(values, at + from, (right - left) * weight);
      return;
    }
    add(values, at + from, (from + 1 - left) * weight);
    for (int column = from + 1; column < to; column++) {
      add(values, at + column, weight);
    }
    if (right > to) {
      add(values, at + to, (right - to) * weight);
    }
  }

  private static void add(float[] values, int at, double share) {
    values[at] = (float) Math.min(1, values[at] + share);
  }
}
