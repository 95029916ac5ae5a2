package dynamorph.paint.effect;

import dynamorph.model.cascade.Softness;

/**
 * A Gaussian that is wider in one direction, as two of one dimension: along the rows, and along
 * slanted lines from row to row (Geusebroek, Smeulders, van de Weijer: Fast anisotropic Gauss
 * filtering, 2003). Rows are moved aside until those lines are columns, with cubics in between
 * (Catmull, Rom: A class of local interpolating splines, 1974), and back afterwards.
 */
final class AnisotropicGaussian {
  /** Slopes below this move no row by a hundredth of a pixel. */
  private static final double UPRIGHT = 1e-6;

  private AnisotropicGaussian() {}

  /**
   * The plane, blurred.
   *
   * @param soft in square pixels
   */
  static float[] blur(float[] plane, int width, int height, Softness soft) {
    if (soft.yy() < soft.xx()) {
      Softness turned = new Softness(soft.yy(), soft.xy(), soft.xx());
      float[] columns = transposed(plane, width, height);
      return transposed(blur(columns, height, width, turned), height, width);
    }
    double slope = soft.xy() / soft.yy();
    double along = Math.sqrt(Math.max(0, soft.xx() - slope * soft.xy()));
    double down = Math.sqrt(soft.yy());
    if (Math.abs(slope) < UPRIGHT) {
      return columns(rows(plane, width, height, along), width, height, down);
    }
    // room on both sides for what the farthest row is moved by, and what is softened beyond
    int room = (int) Math.ceil(Math.abs(slope) * height / 2 + Gaussian.REACH * along) + 2;
    int wide = width + 2 * room;
    float[] slanted = new float[wide * height];
    for (int y = 0; y < height; y++) {
      shift(plane, y * width, width, slanted, y * wide, wide, aside(slope, y, height) - room);
    }
    float[] soften = columns(rows(slanted, wide, height, along), wide, height, down);
    float[] out = new float[width * height];
    for (int y = 0; y < height; y++) {
      shift(soften, y * wide, wide, out, y * width, width, room - aside(slope, y, height));
    }
    return within(out, plane);
  }

  private static double aside(double slope, int row, int height) {
    return slope * (row - (height - 1) / 2.0);
  }

  /** Takes a row from another, whose values begin some columns later; beyond it lies nothing. */
  private static void shift(
      float[] from, int start, int length, float[] to, int at, int count, double later) {
    int whole = (int) Math.floor(later);
    float part = (float) (later - whole);
    float before = part * (-0.5f + part * (1 - 0.5f * part));
    float near = 1 + part * part * (1.5f * part - 2.5f);
    float next = part * (0.5f + part * (2 - 1.5f * part));
    float after = part * part * (0.5f * part - 0.5f);
    int first = Math.max(0, -whole - 2);
    int last = Math.min(count, length - whole + 1);
    for (int x = first; x < last; x++) {
      int place = x + whole;
      float sum = 0;
      sum += place >= 1 && place <= length ? before * from[start + place - 1] : 0;
      sum += place >= 0 && place < length ? near * from[start + place] : 0;
      sum += place >= -1 && place + 1 < length ? next * from[start + place + 1] : 0;
      sum += place >= -2 && place + 2 < length ? after * from[start + place + 2] : 0;
      to[at + x] = sum;
    }
  }

  /** Cubics reach beyond what they lie between. */
  private static float[] within(float[] values, float[] plane) {
    float most = 0;
    for (float value : plane) {
      most = Math.max(most, value);
    }
    for (int index = 0; index < values.length; index++) {
      values[index] = Math.clamp(values[index], 0, most);
    }
    return values;
  }

  private static float[] rows(float[] plane, int width, int height, double deviation) {
    return deviation < Gaussian.LEAST
        ? plane
        : transposed(
            columns(transposed(plane, width, height), height, width, deviation), height, width);
  }

  /** Columns, blurred; from a few pixels on at half the height, as {@link Gaussian} does. */
  private static float[] columns(float[] plane, int width, int height, double deviation) {
    if (deviation < Gaussian.HALVED) {
      return Gaussian.down(plane, width, height, deviation);
    }
    int halfHeight = height / 2 + 3;
    float[] half = new float[width * halfHeight];
    for (int y = 0; y < halfHeight; y++) {
      add(half, y, plane, 2 * y - 3, width, height, 0.125f);
      add(half, y, plane, 2 * y - 2, width, height, 0.375f);
      add(half, y, plane, 2 * y - 1, width, height, 0.375f);
      add(half, y, plane, 2 * y, width, height, 0.125f);
    }
    float[] soft = columns(half, width, halfHeight, Math.sqrt(deviation * deviation - 1.5) / 2);
    float[] out = new float[width * height];
    for (int y = 0; y < height; y++) {
      int near = y / 2 + 1;
      add(out, y, soft, near, width, halfHeight, 0.75f);
      add(out, y, soft, y % 2 == 0 ? near - 1 : near + 1, width, halfHeight, 0.25f);
    }
    return out;
  }

  private static void add(
      float[] to, int row, float[] from, int other, int width, int height, float weight) {
    if (other < 0 || other >= height) {
      return;
    }
    for (int x = 0; x < width; x++) {
      to[row * width + x] += weight * from[other * width + x];
    }
  }

  private static float[] transposed(float[] plane, int width, int height) {
    float[] turned = new float[plane.length];
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        turned[x * height + y] = plane[y * width + x];
      }
    }
    return turned;
  }
}
