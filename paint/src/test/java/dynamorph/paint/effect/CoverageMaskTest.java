package dynamorph.paint.effect;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.cascade.Softness;
import dynamorph.model.value.Rgba;
import dynamorph.paint.Pixels;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.types.IRect;
import io.github.humbleui.types.Rect;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CoverageMaskTest {
  private static CoverageMask random(int x, int y, int width, int height) {
    SplittableRandom random = new SplittableRandom(11);
    float[] values = new float[width * height];
    for (int index = 0; index < values.length; index++) {
      values[index] = random.nextInt(256) / 255f;
    }
    return new CoverageMask(x, y, width, height, values);
  }

  @Test
  void aPlaneTellsHowMuchOfEachPixelIsCovered() {
    CoverageMask plane =
        CoverageMask.covered(
            IRect.makeLTRB(5, 5, 15, 15),
            canvas -> {
              try (Paint paint = new Paint()) {
                canvas.drawRect(Rect.makeLTRB(7, 8, 10.5f, 12), paint);
              }
            });
    assertThat(plane.values()[(8 - 5) * 10 + 7 - 5]).isEqualTo(1);
    assertThat(plane.values()[(8 - 5) * 10 + 10 - 5]).isCloseTo(0.5f, within(0.01f));
    assertThat(plane.values()[(7 - 5) * 10 + 7 - 5]).isZero();
  }

  @Test
  void whatIsPaddedHasNothingAroundAndThePartIsTheSameAgain() {
    CoverageMask plane = random(3, 4, 9, 7);
    CoverageMask padded = plane.padded(IRect.makeLTRB(-2, 1, 20, 16));
    assertThat(padded.part(IRect.makeLTRB(3, 4, 12, 11)).values()).isEqualTo(plane.values());
    double sum = 0;
    for (float value : padded.values()) {
      sum += value;
    }
    double own = 0;
    for (float value : plane.values()) {
      own += value;
    }
    assertThat(sum).isCloseTo(own, within(1e-3));
  }

  @Test
  void aBlurOfThePaddedPlaneIsTheSameHoweverMuchIsAround() {
    CoverageMask plane = random(10, 10, 12, 12);
    CoverageMask near = plane.padded(IRect.makeLTRB(0, 0, 32, 32)).blurred(Softness.deviation(2));
    CoverageMask far =
        plane.padded(IRect.makeLTRB(-20, -20, 60, 60)).blurred(Softness.deviation(2));
    IRect middle = IRect.makeLTRB(4, 4, 28, 28);
    float[] one = near.part(middle).values();
    float[] other = far.part(middle).values();
    for (int index = 0; index < one.length; index++) {
      assertThat(one[index]).isCloseTo(other[index], within(1e-4f));
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"#000000", "#ffffff", "#c8643280", "#12345610", "#ff000000"})
  void theImageInAColourLiesOverTheGroundAsTheFormulaSays(String colour) {
    CoverageMask plane = random(0, 0, 40, 20);
    Rgba wanted = Rgba.parse(colour);
    Pixels coloured =
        Pixels.draw(
            40,
            20,
            canvas -> {
              canvas.clear(0xFF8090A0);
              try (Image image = plane.image(wanted)) {
                canvas.drawImage(image, 0, 0);
              }
            });
    int[] ground = {0xA0, 0x90, 0x80};
    int[] ink = {wanted.blue(), wanted.green(), wanted.red()};
    for (int y = 0; y < 20; y++) {
      for (int x = 0; x < 40; x++) {
        double alpha = plane.values()[y * 40 + x] * wanted.alpha() / 255.0;
        for (int channel = 0; channel < 3; channel++) {
          double exact = ink[channel] * alpha + ground[channel] * (1 - alpha);
          int shown = coloured.argb(x, y) >> 8 * channel & 0xFF;
          // one step by rounding, and one by how canvases copy pixels in whole numbers
          assertThat((double) shown).isCloseTo(Math.rint(exact), within(2.0));
        }
      }
    }
  }

  @Test
  void invertedTwiceItIsTheSame() {
    CoverageMask plane = random(0, 0, 6, 5);
    float[] twice = plane.inverted().inverted().values();
    for (int index = 0; index < twice.length; index++) {
      assertThat(twice[index]).isCloseTo(plane.values()[index], within(1e-6f));
    }
  }
}
