package dynamorph.paint.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.cascade.Coat;
import dynamorph.model.value.DashFit;
import dynamorph.paint.effect.CoverageMask;
import io.github.humbleui.skija.Matrix33;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.PaintMode;
import io.github.humbleui.skija.PaintStrokeCap;
import io.github.humbleui.skija.Path;
import io.github.humbleui.types.IRect;
import io.github.humbleui.types.Point;
import io.github.humbleui.types.Rect;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DotsTest {
  private static final IRect PART = IRect.makeXYWH(-30, -20, 160, 120);

  private static Coat.Dashing dotted(double gap) {
    return new Coat.Dashing(List.of(0.0, gap), 0, DashFit.CONTOUR);
  }

  private static Point[] middles(Path line, double gap) {
    return DashLine.middles(line, line, dotted(gap)).toArray(Point[]::new);
  }

  private static Path oval() {
    return Path.makeOval(Rect.makeXYWH(3.3f, 4.7f, 61, 43));
  }

  @ParameterizedTest
  @CsvSource({"1, 4", "0.15, 4", "1.7, 1.7", "0.6, 9"})
  void whatTheyCoverIsTheirArea(double scale, double width) {
    try (Path line = oval()) {
      Dots dots = Dots.at(middles(line, 10), width);
      CoverageMask plane = dots.covered(Matrix33.makeScale((float) scale), PART);
      double sum = 0;
      for (float value : plane.values()) {
        sum += value;
      }
      double disc = Math.PI * width * width / 4 * scale * scale;
      assertThat(sum / (dots.x().length * disc)).isCloseTo(1, within(0.002));
    }
  }

  private static final int FINER = 16;

  /**
   * Compared with the stroke, drawn sixteen times as large and averaged; what is drawn is sampled
   * by lines itself. Drawn as large as it is it differs by up to 64.
   */
  @ParameterizedTest
  @CsvSource({"1, 4, 0", "0.37, 4, 0", "1.6, 7, 0", "1.2, 5, 33"})
  void theyAreTheStrokeWithRoundCaps(float scale, double width, float turn) {
    Matrix33 matrix = Matrix33.makeScale(scale).makeConcat(Matrix33.makeRotate(turn));
    try (Path line = oval();
        Path dashes = DashLine.along(line, line, dotted(12));
        Paint paint =
            new Paint()
                .setAntiAlias(true)
                .setMode(PaintMode.STROKE)
                .setStrokeWidth((float) width)
                .setStrokeCap(PaintStrokeCap.ROUND)) {
      CoverageMask large =
          CoverageMask.covered(
              IRect.makeXYWH(
                  PART.getLeft() * FINER,
                  PART.getTop() * FINER,
                  PART.getWidth() * FINER,
                  PART.getHeight() * FINER),
              canvas -> {
                canvas.scale(FINER, FINER);
                canvas.concat(matrix);
                canvas.drawPath(dashes, paint);
              });
      CoverageMask plane = Dots.at(middles(line, 12), width).covered(matrix, PART);
      double worst = 0;
      for (int index = 0; index < plane.values().length; index++) {
        int x = index % plane.width();
        int y = index / plane.width();
        worst = Math.max(worst, Math.abs(average(large, x, y) - plane.values()[index]));
      }
      assertThat(worst * 255).isLessThan(6);
    }
  }

  private static double average(CoverageMask large, int x, int y) {
    double sum = 0;
    for (int row = 0; row < FINER; row++) {
      for (int column = 0; column < FINER; column++) {
        sum += large.values()[(y * FINER + row) * large.width() + x * FINER + column];
      }
    }
    return sum / FINER / FINER;
  }

  @Test
  void discsAreRoundOnlyInSquareMatrices() {
    assertThat(Dots.stayRound(Matrix33.makeRotate(20).makeConcat(Matrix33.makeScale(3)))).isTrue();
    assertThat(Dots.stayRound(Matrix33.makeScale(1, 2))).isFalse();
    assertThat(Dots.stayRound(Matrix33.makeSkew(0.2f, 0))).isFalse();
  }
}
