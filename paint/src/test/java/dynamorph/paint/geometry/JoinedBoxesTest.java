package dynamorph.paint.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.cascade.Plate.Corners;
import dynamorph.paint.Pixels;
import dynamorph.typeset.layout.Box;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.Path;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class JoinedBoxesTest {
  private static final Box WIDE = new Box(10, 10, 100, 20);
  private static final Box NARROW = new Box(30, 30, 60, 20);

  private static double area(List<Box> run, Corners corners) {
    Pixels pixels =
        Pixels.draw(
            600,
            600,
            canvas -> {
              canvas.clear(0xFFFFFFFF);
              canvas.scale(4, 4);
              fill(canvas, run, corners);
            });
    double dark = 0;
    for (int y = 0; y < 600; y++) {
      for (int x = 0; x < 600; x++) {
        dark += 1 - (pixels.argb(x, y) >> 16 & 0xFF) / 255.0;
      }
    }
    return dark / 16;
  }

  private static void fill(Canvas canvas, List<Box> run, Corners corners) {
    try (Path path = JoinedBoxes.outline(run, corners);
        Paint paint = new Paint()) {
      canvas.drawPath(path, paint);
    }
  }

  @Test
  void cornersThatTurnInwardsAreFilledAsMuchAsOutwardOnesAreCut() {
    // four corners outwards and two pairs of one outwards, one inwards at the steps
    double sharp = 100 * 20 + 60 * 20;
    double cut = (1 - Math.PI / 4) * 4 * 4;
    assertThat(area(List.of(WIDE, NARROW), Corners.SHARP)).isCloseTo(sharp, within(1.0));
    assertThat(area(List.of(WIDE, NARROW), Corners.all(4))).isCloseTo(sharp - 4 * cut, within(1.0));
  }

  @Test
  void aRadiusIsOnlyAsLargeAsItsSidesHaveRoom() {
    Box box = new Box(10, 10, 60, 20);
    assertThat(area(List.of(box), Corners.all(500)))
        .isCloseTo(40 * 20 + Math.PI * 10 * 10, within(3.0));
  }

  @Test
  void eachCornerHasItsOwnRadius() {
    Box box = new Box(10, 10, 60, 40);
    double expected = 60 * 40 - (1 - Math.PI / 4) * (4 * 4 + 6 * 6 + 8 * 8);
    assertThat(area(List.of(box), new Corners(4, 6, 0, 8))).isCloseTo(expected, within(1.5));
  }

  @Test
  void onlyBoxesThatMeetAreOne() {
    Box apart = new Box(30, 55, 60, 20);
    Box beside = new Box(300, 30, 60, 20);
    assertThat(JoinedBoxes.runs(List.of(WIDE, NARROW, apart))).hasSize(2);
    assertThat(JoinedBoxes.runs(List.of(WIDE, beside))).hasSize(2);
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void theOutlineEnclosesJustTheBoxes(long seed) {
    Random random = new Random(seed);
    List<Box> run = new java.util.ArrayList<>();
    double y = 5;
    for (int index = 0; index < 5; index++) {
      double x = 5 + random.nextInt(40);
      double height = 16 + random.nextInt(10);
      run.add(new Box(x, y, 50 + random.nextInt(40), height));
      y += height - random.nextInt(8);
    }
    Pixels united =
        Pixels.draw(
            150,
            150,
            canvas -> {
              canvas.clear(0xFFFFFFFF);
              run.forEach(box -> fill(canvas, List.of(box), Corners.SHARP));
            });
    Pixels joined =
        Pixels.draw(
            150,
            150,
            canvas -> {
              canvas.clear(0xFFFFFFFF);
              fill(canvas, run, Corners.SHARP);
            });
    assertThat(joined.bytes()).isEqualTo(united.bytes());
  }
}
