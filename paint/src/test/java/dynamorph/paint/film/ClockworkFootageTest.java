package dynamorph.paint.film;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.timeline.Media;
import dynamorph.paint.Pixels;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ClockworkFootageTest {
  /** The left and the lower edge show nothing but the ground, which goes from corner to corner. */
  @ParameterizedTest
  @CsvSource({"640, 360", "641, 359", "300, 400", "1, 1"})
  void groundsAreMixedEvenlyFromCornerToCorner(int width, int height) {
    Pixels pixels =
        Pixels.draw(
            width,
            height,
            canvas -> ClockworkFootage.paint(canvas, Media.Scenery.PENDULUM, 0, width, height));
    int first = pixels.argb(0, 0);
    int last = pixels.argb(width - 1, height - 1);
    for (int y = 0; y < height; y++) {
      assertMixed(pixels, 0, y, first, last);
    }
    for (int x = 0; x < width; x++) {
      assertMixed(pixels, x, height - 1, first, last);
    }
  }

  private static void assertMixed(Pixels pixels, int x, int y, int first, int last) {
    double width = pixels.width();
    double height = pixels.height();
    double share = (x * width + y * height) / (width * width + height * height);
    int found = pixels.argb(x, y);
    for (int shift = 0; shift <= 16; shift += 8) {
      int one = first >> shift & 0xFF;
      int other = last >> shift & 0xFF;
      assertThat((found >> shift & 0xFF) * 1.0)
          .as("channel %d at %d, %d", shift, x, y)
          .isEqualTo(one + (other - one) * share, within(1.6));
    }
  }
}
