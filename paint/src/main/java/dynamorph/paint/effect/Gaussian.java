package dynamorph.paint.effect;

import dynamorph.model.cascade.Softness;

/**
 * Gaussian blur of one plane of values, beyond whose edges lies nothing. Blurs of more than a few
 * pixels are done at half the size, and that at half again: four neighbours are averaged with the
 * weights 1, 3, 3, 1 and interpolated back with 3, 1, each of which is a blur of variance 3/4; the
 * blur in between makes up the rest of the variance. What remains of the difference is below 1/255.
 */
public final class Gaussian {
  /** From this standard deviation on, half the pixels do. */
  static final double HALVED = 3;

  /** Below this a blur is not to be seen. */
  static final double LEAST = 0.05;

  /** How many standard deviations a kernel reaches. */
  static final double REACH = 3.6;

  private Gaussian() {}

  /**
   * The plane, blurred.
   *
   * @param plane {@code height} rows of {@code width} values
   * @param soft in square pixels
   * @return a new plane of the same size
   */
  public static float[] blur(float[] plane, int width, int height, Softness soft) {
    boolean plain = soft.isRound() || soft.widest() < LEAST || width == 0 || height == 0;
    return plain
        ? blur(plane, width, height, soft.widest())
        : AnisotropicGaussian.blur(plane, width, height, soft);
  }

  /**
   * The plane, blurred the same in all directions.
   *
   * @param deviation standard deviation in pixels
   */
  static float[] blur(float[] plane, int width, int height, double deviation) {
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

  /** Columns, blurred by a few pixels at most. */
  static float[] down(float[] plane, int width, int height, double deviation) {
    if (deviation < LEAST) {
      return plane.clone();
    }
    int[] whole = new int[plane.length];
    for (int index = 0; index < plane.length; index++) {
      whole[index] = (int) (plane[index] * WHOLE);
    }
    return down(whole, width, height, kernel(deviation));
  }

  private static float[] down(int[] plane, int width, int height, float[] kernel) {
    float[] out = new float[plane.length];
    float[] sum = new float[width];
    for (int y = 0; y < height; y++) {
      start(sum, plane, y * width, kernel[0] / WHOLE);
      for (int step = 1; step < kernel.length; step++) {
        float weight = kernel[step] / WHOLE;
        int above = y - step;
        int below = y + step;
        if (above >= 0 && below < height) {
          addBoth(sum, plane, above * width, below * width, weight);
        } else if (above >= 0) {
          add(sum, plane, above * width, weight);
        } else if (below < height) {
          add(sum, plane, below * width, weight);
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
    // three empty columns before and some behind, so that no row ends too early
    int[] row = new int[2 * halfWidth + 4];
    for (int y = 0; y < halfHeight; y++) {
      int first = 2 * y - 3;
      if (first >= height || !sumRows(row, plane, width, height, first)) {
        continue;
      }
      int to = y * halfWidth;
      for (int x = 0; x < halfWidth; x++) {
        int at = 2 * x;
        half[to + x] = (3f * (row[at + 1] + row[at + 2]) + row[at] + row[at + 3]) / (8f * WHOLE);
      }
    }
    return half;
  }

  /**
   * Four rows with the weights 1, 3, 3, 1, as whole numbers.
   *
   * @return whether there is anything in them
   */
  private static boolean sumRows(int[] row, float[] plane, int width, int height, int first) {
    int one = within(first, height) * width;
    int two = within(first + 1, height) * width;
    int three = within(first + 2, height) * width;
    int four = within(first + 3, height) * width;
    float far = first >= 0 ? WHOLE / 8 : 0;
    float near = first + 1 >= 0 && first + 1 < height ? 3 * WHOLE / 8 : 0;
    float next = first + 2 >= 0 && first + 2 < height ? 3 * WHOLE / 8 : 0;
    float last = first + 3 < height ? WHOLE / 8 : 0;
    int any = 0;
    for (int x = 0; x < width; x++) {
      int value =
          (int)
              (far * plane[one + x]
                  + near * plane[two + x]
                  + next * plane[three + x]
                  + last * plane[four + x]);
      row[3 + x] = value;
      any |= value;
    }
    return any != 0;
  }

  private static int within(int row, int height) {
    return Math.clamp(row, 0, height - 1);
  }

  /**
   * First along the rows, of which there are still half as many, then down. Columns with even and
   * odd numbers are kept apart to the end, since only neighbours make vector instructions.
   */
  private static float[] doubled(float[] half, int halfWidth, int width, int height) {
    int[] even = new int[half.length - 2];
    int[] odd = new int[half.length - 2];
    between(half, even, 0);
    between(half, odd, 2);
    float[] out = new float[width * height];
    float[] evens = new float[halfWidth - 2];
    float[] odds = new float[halfWidth - 2];
    for (int y = 0; y < height; y++) {
      int near = (y / 2 + 1) * halfWidth;
      int far = y % 2 == 0 ? near - halfWidth : near + halfWidth;
      start(evens, even, near, 0.75f / WHOLE);
      add(evens, even, far, 0.25f / WHOLE);
      start(odds, odd, near, 0.75f / WHOLE);
      add(odds, odd, far, 0.25f / WHOLE);
      interleave(evens, odds, out, y * width, width);
    }
    return out;
  }

  /** Between each value but the first and one of its neighbours, a quarter of the way. */
  private static void between(float[] half, int[] wide, int neighbour) {
    for (int x = 0; x < wide.length; x++) {
      wide[x] = (int) (0.75f * WHOLE * half[x + 1] + 0.25f * WHOLE * half[x + neighbour]);
    }
  }

  private static void interleave(float[] evens, float[] odds, float[] out, int to, int width) {
    int pairs = width / 2;
    for (int x = 0; x < pairs; x++) {
      out[to + 2 * x] = evens[x];
      out[to + 2 * x + 1] = odds[x];
    }
    if (width % 2 == 1) {
      out[to + width - 1] = evens[pairs];
    }
  }
}
