package dynamorph.paint.effect;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.cascade.Softness;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Compared with the convolution itself, done in double precision. */
class GaussianTest {
  private static final int WIDTH = 203;
  private static final int HEIGHT = 151;

  @ParameterizedTest
  @ValueSource(doubles = {0.4, 0.9, 2.4, 3.05, 5, 6.2, 11, 12.4, 23, 60})
  void differsFromATrueGaussianByLessThanCanBeSeen(double deviation) {
    float[] plane = shapes();
    float[] blurred = Gaussian.blur(plane, WIDTH, HEIGHT, deviation);
    double[] wanted = convolved(plane, deviation);
    double worst = 0;
    for (int index = 0; index < plane.length; index++) {
      worst = Math.max(worst, Math.abs(blurred[index] - wanted[index]));
    }
    assertThat(worst * 255).isLessThan(1);
  }

  /** Against the sum over all pixels of the two-dimensional Gaussian, point by point. */
  @ParameterizedTest
  @CsvSource({
    "9, 0.4, 0",
    "9, 0.4, 90",
    "9, 0.4, 45",
    "9, 0.4, 20",
    "12, 0.3, 110",
    "6, 0.5, -70",
    "3, 0.5, 33"
  })
  void aDirectedBlurIsATrueGaussian(double along, double aspect, double angle) {
    float[] plane = shapes();
    Softness soft = Softness.of(2 * along, aspect, angle);
    float[] blurred = Gaussian.blur(plane, WIDTH, HEIGHT, soft);
    double worst = 0;
    for (int y = 0; y < HEIGHT; y += 3) {
      for (int x = 0; x < WIDTH; x += 3) {
        double wanted = convolvedAt(plane, x, y, along, along * aspect, Math.toRadians(angle));
        worst = Math.max(worst, Math.abs(blurred[y * WIDTH + x] - wanted));
      }
    }
    assertThat(worst * 255).isLessThan(1.5);
  }

  private static double convolvedAt(
      float[] plane, int x, int y, double along, double across, double angle) {
    double cos = Math.cos(angle);
    double sin = Math.sin(angle);
    int reach = (int) Math.ceil(along * 5);
    double sum = 0;
    double weights = 0;
    for (int dy = -reach; dy <= reach; dy++) {
      for (int dx = -reach; dx <= reach; dx++) {
        double u = (dx * cos + dy * sin) / along;
        double v = (dy * cos - dx * sin) / across;
        double weight = Math.exp(-(u * u + v * v) / 2);
        weights += weight;
        boolean inside = x + dx >= 0 && x + dx < WIDTH && y + dy >= 0 && y + dy < HEIGHT;
        sum += inside ? weight * plane[(y + dy) * WIDTH + x + dx] : 0;
      }
    }
    return sum / weights;
  }

  /** What is softened beyond an edge and comes back along a slant counts as well. */
  @ParameterizedTest
  @ValueSource(doubles = {30, -30, 60, -60, 45})
  void nothingIsLostBesideNarrowPlanes(double angle) {
    int wide = 24;
    int high = 20;
    Random random = new Random(3);
    float[] narrow = new float[wide * high];
    float[] plane = new float[WIDTH * HEIGHT];
    for (int index = 0; index < narrow.length; index++) {
      narrow[index] = random.nextFloat();
      plane[(60 + index / wide) * WIDTH + 80 + index % wide] = narrow[index];
    }
    float[] blurred = Gaussian.blur(narrow, wide, high, Softness.of(12, 0.5, angle));
    for (int index = 0; index < narrow.length; index++) {
      double wanted =
          convolvedAt(plane, 80 + index % wide, 60 + index / wide, 6, 3, Math.toRadians(angle));
      assertThat((double) blurred[index]).isCloseTo(wanted, within(2.0 / 255));
    }
  }

  /** Along one line only: what lies beside it is not touched. */
  @Test
  void aStreakIsOnePixelHigh() {
    float[] plane = new float[WIDTH * HEIGHT];
    plane[75 * WIDTH + 101] = 1;
    float[] level = Gaussian.blur(plane, WIDTH, HEIGHT, Softness.of(20, 0, 0));
    double sum = 0;
    for (int x = 0; x < WIDTH; x++) {
      assertThat(level[74 * WIDTH + x]).isZero();
      sum += level[75 * WIDTH + x];
    }
    assertThat(sum).isCloseTo(1, within(0.01));
  }

  /** Halving and doubling meet edges of every kind. */
  @ParameterizedTest
  @CsvSource({"1, 40", "40, 1", "2, 3", "3, 2", "17, 16", "16, 17", "1, 1"})
  void narrowPlanesAreBlurredLikeWideOnes(int width, int height) {
    Random random = new Random(width * 100L + height);
    float[] plane = new float[width * height];
    for (int index = 0; index < plane.length; index++) {
      plane[index] = random.nextFloat();
    }
    for (double deviation : new double[] {1.2, 3.4, 7.7}) {
      int margin = (int) Math.ceil(deviation * 6);
      int wide = width + 2 * margin;
      float[] padded = new float[wide * (height + 2 * margin)];
      for (int y = 0; y < height; y++) {
        System.arraycopy(plane, y * width, padded, (y + margin) * wide + margin, width);
      }
      float[] wanted = Gaussian.blur(padded, wide, height + 2 * margin, deviation);
      float[] blurred = Gaussian.blur(plane, width, height, deviation);
      for (int y = 0; y < height; y++) {
        for (int x = 0; x < width; x++) {
          assertThat((double) blurred[y * width + x])
              .isCloseTo(wanted[(y + margin) * wide + margin + x], within(1.5 / 255));
        }
      }
    }
  }

  @Test
  void noBlurChangesNothing() {
    float[] plane = shapes();
    assertThat(Gaussian.blur(plane, WIDTH, HEIGHT, 0)).isEqualTo(plane).isNotSameAs(plane);
  }

  @Test
  void keepsWhatIsThereInSum() {
    float[] plane = new float[WIDTH * HEIGHT];
    plane[75 * WIDTH + 101] = 100;
    double sum = 0;
    for (float value : Gaussian.blur(plane, WIDTH, HEIGHT, 8)) {
      sum += value;
    }
    assertThat(sum).isCloseTo(100, within(0.1));
  }

  /** A disc, a bar two pixels wide, a ramp, single pixels, and a block that touches the corner. */
  private static float[] shapes() {
    float[] plane = new float[WIDTH * HEIGHT];
    Random random = new Random(4);
    for (int y = 0; y < HEIGHT; y++) {
      for (int x = 0; x < WIDTH; x++) {
        boolean disc = Math.hypot(x - 60, y - 70) < 31;
        boolean bar = x / 2 == 55 && y > 20;
        boolean block = x > 170 && y > 120;
        boolean dust = random.nextInt(90) == 0;
        float ramp = x > 120 && x < 160 && y > 30 && y < 90 ? (x - 120) / 40f : 0;
        plane[y * WIDTH + x] = disc || bar || block || dust ? 1 : ramp;
      }
    }
    return plane;
  }

  private static double[] convolved(float[] plane, double deviation) {
    int reach = (int) Math.ceil(deviation * 6);
    double[] kernel = new double[2 * reach + 1];
    double sum = 0;
    for (int index = -reach; index <= reach; index++) {
      kernel[index + reach] = Math.exp(-0.5 * index * index / (deviation * deviation));
      sum += kernel[index + reach];
    }
    double[] across = new double[plane.length];
    double[] both = new double[plane.length];
    for (int at = 0; at < plane.length; at++) {
      int x = at % WIDTH;
      for (int step = Math.max(-reach, -x); step <= Math.min(reach, WIDTH - 1 - x); step++) {
        across[at] += plane[at + step] * kernel[step + reach] / sum;
      }
    }
    for (int at = 0; at < plane.length; at++) {
      int y = at / WIDTH;
      for (int step = Math.max(-reach, -y); step <= Math.min(reach, HEIGHT - 1 - y); step++) {
        both[at] += across[at + step * WIDTH] * kernel[step + reach] / sum;
      }
    }
    return both;
  }
}
