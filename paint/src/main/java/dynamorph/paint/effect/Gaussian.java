package dynamorph.paint.effect;

/**
 * Gaussian blur of one plane of values, beyond whose edges lies nothing. Blurs of more than a few
 * pixels are done at half the size, and that at half again: four neighbours are averaged with the
 * weights 1, 3, 3, 1 and interpolated back with 3, 1, each of which is a blur of variance 3/4; the
 * blur in between makes up the rest of the variance. What remains of the difference is below 1/255.
 */
public final class Gaussian {
  /** From this standard deviation on, half the pixels do. */
  private static final double HALVED = 6.5;

  /** Below this a blur is not to be seen. */
  private static final double LEAST = 0.05;

  /** How many standard deviations a kernel reaches. */
  private static final double REACH = 3.6;

  private Gaussian() {}

  /**
   * The plane, blurred.
   *
   * @param plane {@code height} rows of {@code width} values
   * @param deviation standard deviation in pixels
   * @return a new plane of the same size
   */
  public static float[] blur(float[] plane, int width, int height, double deviation) {
    if (deviation < LEAST || width == 0 || height == 0) {
      return plane.clone();
    }
    if (deviation < HALVED) {
      float[] kernel = kernel(deviation);
      return down(across(plane, width, height, kernel), width, height, kernel);
    }
    int halfWidth = width / 2 + 3;
    int halfHeight = height / 2 + 3;
    float[] half = halved(plane, width, height, halfWidth, halfHeight);
    float[] blurred = blur(half, halfWidth, halfHeight, Math.sqrt(deviation * deviation - 1.5) / 2);
    return doubled(blurred, halfWidth, width, height);
  }

  /** Weights from the middle outwards; twice their sum without the middle one is 1. */
  private static float[] kernel(double deviation) {
    int reach = (int) Math.ceil(deviation * REACH);
    double[] weights = new double[reach + 1];
    double sum = 0;
    for (int index = 0; index <= reach; index++) {
      weights[index] = Math.exp(-0.5 * index * index / (deviation * deviation));
      sum += index == 0 ? weights[index] : 2 * weights[index];
    }
    float[] kernel = new float[reach + 1];
    for (int index = 0; index <= reach; index++) {
      kernel[index] = (float) (weights[index] / sum);
    }
    return kernel;
  }

  /** What 1 is as a whole number. */
  private static final float WHOLE = 1 << 16;

  /**
   * Rows, blurred, as whole numbers. Sums are of another type than what is summed, since only then
   * is the compiler sure that they are not the same, and makes vector instructions of the loops.
   */
  private static int[] across(float[] plane, int width, int height, float[] kernel) {
    int reach = kernel.length - 1;
    int[] out = new int[plane.length];
    int[] row = new int[width + 2 * reach];
    float[] sum = new float[width];
    for (int y = 0; y < height; y++) {
      if (take(row, plane, y * width, reach, width)) {
        start(sum, row, reach, kernel[0]);
        for (int step = 1; step <= reach; step++) {
          addBoth(sum, row, reach - step, reach + step, kernel[step]);
        }
        round(out, y * width, sum);
      }
    }
    return out;
  }

  /**
   * @return whether there is anything in the row
   */
  private static boolean take(int[] row, float[] plane, int from, int reach, int width) {
    int any = 0;
    for (int x = 0; x < width; x++) {
      int value = (int) (plane[from + x] * WHOLE);
      row[reach + x] = value;
      any |= value;
    }
    return any != 0;
  }

  private static void start(float[] sum, int[] row, int from, float weight) {
    for (int x = 0; x < sum.length; x++) {
      sum[x] = weight * row[from + x];
    }
  }

  private static void addBoth(float[] sum, int[] row, int one, int other, float weight) {
    for (int x = 0; x < sum.length; x++) {
      sum[x] += weight * (row[x + one] + row[x + other]);
    }
  }

  private static void round(int[] out, int to, float[] sum) {
    for (int x = 0; x < sum.length; x++) {
      out[to + x] = (int) (sum[x] + 0.5f);
    }
  }

  private static float[] down(int[] plane, int width, int height, float[] kernel) {
    float[] out = new float[plane.length];
    float[] sum = new float[width];
    for (int y = 0; y < height; y++) {
      java.util.Arrays.fill(sum, 0);
      for (int step = 1 - kernel.length; step < kernel.length; step++) {
        int from = y + step;
        if (from >= 0 && from < height) {
          add(sum, plane, from * width, kernel[Math.abs(step)] / WHOLE);
        }
      }
      System.arraycopy(sum, 0, out, y * width, width);
    }
    return out;
  }

  private static void add(float[] sum, int[] plane, int from, float weight) {
    for (int x = 0; x < sum.length; x++) {
      sum[x] += weight * plane[from + x];
    }
  }

  /** Averages of four by four, with a column and a row more before. */
  private static float[] halved(
      float[] plane, int width, int height, int halfWidth, int halfHeight) {
    float[] half = new float[halfWidth * halfHeight];
    float[] row = new float[halfWidth];
    for (int y = 0; y < height; y++) {
      java.util.Arrays.fill(row, 0);
      int from = y * width;
      for (int x = 0; x < width; x++) {
        float value = plane[from + x] * 0.125f;
        int at = x / 2 + 1;
        row[at] += 3 * value;
        row[at + (x % 2 == 0 ? -1 : 1)] += value;
      }
      int near = y / 2 + 1;
      int far = near + (y % 2 == 0 ? -1 : 1);
      for (int x = 0; x < halfWidth; x++) {
        half[near * halfWidth + x] += row[x] * 0.375f;
        half[far * halfWidth + x] += row[x] * 0.125f;
      }
    }
    return half;
  }

  private static float[] doubled(float[] half, int halfWidth, int width, int height) {
    float[] out = new float[width * height];
    float[] row = new float[halfWidth];
    for (int y = 0; y < height; y++) {
      int near = (y / 2 + 1) * halfWidth;
      int far = near + (y % 2 == 0 ? -halfWidth : halfWidth);
      boolean inside = far + halfWidth <= half.length;
      for (int x = 0; x < halfWidth; x++) {
        row[x] = 0.75f * half[near + x] + (inside ? 0.25f * half[far + x] : 0);
      }
      int to = y * width;
      for (int x = 0; x < width; x++) {
        int at = x / 2 + 1;
        int beside = at + (x % 2 == 0 ? -1 : 1);
        out[to + x] = 0.75f * row[at] + (beside < halfWidth ? 0.25f * row[beside] : 0);
      }
    }
    return out;
  }
}
