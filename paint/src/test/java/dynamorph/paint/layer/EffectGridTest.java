package dynamorph.paint.layer;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.cascade.Softness;
import dynamorph.typeset.layout.Box;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Surface;
import io.github.humbleui.types.IRect;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;

class EffectGridTest {
  private static final Box BOX = new Box(10, 20, 30, 40);

  private static void on(Consumer<Canvas> work) {
    try (Surface surface = Surface.makeRasterN32Premul(200, 150)) {
      work.accept(surface.getCanvas());
    }
  }

  @Test
  void aCanvasMovedByWholePixelsHasTheSameGridAndAnotherShift() {
    on(canvas -> {
      canvas.translate(3.25f, 4.5f);
      EffectGrid grid = EffectGrid.of(canvas);
      EffectGrid.Shift shift = EffectGrid.Shift.of(canvas);
      canvas.translate(17, -40);
      assertThat(EffectGrid.of(canvas)).isEqualTo(grid);
      assertThat(EffectGrid.Shift.of(canvas))
          .isEqualTo(new EffectGrid.Shift(shift.x() + 17, shift.y() - 40));
      canvas.translate(0.5f, 0);
      assertThat(EffectGrid.of(canvas)).isNotEqualTo(grid);
    });
  }

  @Test
  void thePartOfABoxIsWhereItIsDrawnLessTheShift() {
    on(canvas -> {
      canvas.translate(50, 30);
      canvas.scale(2, 2);
      IRect part = EffectGrid.of(canvas).part(BOX, 0, 0, EffectGrid.Shift.of(canvas).clip(canvas));
      assertThat(part.getLeft()).isBetween(17, 20);
      assertThat(part.getTop()).isBetween(37, 40);
      assertThat(part.getRight()).isBetween(80, 83);
      // the clip ends at 150, which is 120 of the grid; a few pixels beyond it still count
      assertThat(part.getBottom()).isBetween(120, 123);
    });
  }

  @Test
  void aWideBlurIsWorkedOutOnCoarserPixels() {
    on(canvas -> {
      EffectGrid fine = EffectGrid.of(canvas);
      assertThat(fine.forBlur(Softness.of(10, 1, 0))).isEqualTo(fine);
      EffectGrid coarse = fine.forBlur(Softness.of(400, 1, 0));
      assertThat(coarse.coarseness()).isGreaterThan(1);
      assertThat(coarse.pixels(Softness.of(400, 1, 0)).widest()).isLessThan(20);
      assertThat(coarse.scale() * coarse.coarseness()).isEqualTo(fine.scale());
    });
  }

  /** What is narrow in one direction needs fine pixels; directions turn with the canvas. */
  @Test
  void aDirectionIsTurnedWithTheCanvas() {
    on(canvas -> {
      canvas.rotate(30);
      canvas.scale(2, 2);
      EffectGrid grid = EffectGrid.of(canvas);
      Softness level = Softness.of(400, 0.01, 0);
      assertThat(grid.forBlur(level)).isEqualTo(grid);
      Softness turned = grid.pixels(level);
      // along 30 degrees clockwise, 400 by 4: squares and products of sines
      assertThat(turned.xx()).isBetween(120_003.9, 120_004.1);
      assertThat(turned.yy()).isBetween(40_011.9, 40_012.1);
      assertThat(turned.xy()).isBetween(69_275.0, 69_275.2);
    });
  }

  @Test
  void whatLiesOutsideOfAPartHasNone() {
    on(canvas -> {
      IRect far = IRect.makeLTRB(500, 500, 600, 600);
      IRect none = EffectGrid.of(canvas).part(BOX, 0, 0, far, 1);
      assertThat(none.getWidth() * none.getHeight()).isZero();
    });
  }

  @Test
  void directionsTurnWithTheCanvas() {
    on(canvas -> {
      canvas.rotate(30);
      double direction = EffectGrid.of(canvas).direction(60);
      assertThat(Math.toDegrees(direction))
          .isCloseTo(90, org.assertj.core.api.Assertions.within(1e-3));
    });
  }
}
