package dynamorph.paint.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.cascade.Coat;
import dynamorph.model.value.Slant;
import dynamorph.model.value.StrokeJoin;
import dynamorph.paint.effect.Plane;
import dynamorph.typeset.font.FontLibrary;
import io.github.humbleui.skija.Font;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.Path;
import io.github.humbleui.skija.PathMeasure;
import io.github.humbleui.types.IRect;
import io.github.humbleui.types.Rect;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class EdgesTest {
  private static final int SCALE = 16;

  /** In square points. */
  private static double area(Path path) {
    Plane plane =
        Plane.covered(
            IRect.makeXYWH(-20 * SCALE, -20 * SCALE, 60 * SCALE, 60 * SCALE),
            canvas -> {
              canvas.scale(SCALE, SCALE);
              try (Paint paint = new Paint().setAntiAlias(true)) {
                canvas.drawPath(path, paint);
              }
            });
    double sum = 0;
    for (float value : plane.values()) {
      sum += value;
    }
    return sum / SCALE / SCALE;
  }

  @ParameterizedTest
  @CsvSource({
    "2, MITER, 196",
    "2, ROUND, 192.566",
    "2, BEVEL, 188",
    "-2, MITER, 36",
    "-2, ROUND, 36",
    "0, MITER, 100",
    "-6, MITER, 0"
  })
  void aSquareIsMovedByItsJoin(double distance, StrokeJoin join, double wanted) {
    try (Path square = Path.makeRect(Rect.makeXYWH(0, 0, 10, 10));
        Path moved = Edges.moved(square, distance, new Coat.Corner(join, 4))) {
      assertThat(area(moved)).isCloseTo(wanted, within(0.15));
      if (distance > 0) {
        assertThat(moved.computeTightBounds()).isEqualTo(Rect.makeLTRB(-2, -2, 12, 12));
      }
    }
  }

  /** Bevels of curves, which join smoothly, once came out with parts of letters missing. */
  @ParameterizedTest
  @CsvSource({"U, 4", "g, 4", "H, -3", "8, -3"})
  void bevelsOfLettersCoverWhatTheyShould(String letter, double distance) {
    try (FontLibrary fonts = FontLibrary.shipped();
        Font font = fonts.match("EB Garamond", 400, Slant.ITALIC).face().font(160);
        Path glyph = font.getPath(font.getStringGlyphs(letter)[0]).makeOffset(20, 130);
        Path round = Edges.moved(glyph, distance, new Coat.Corner(StrokeJoin.ROUND, 4));
        Path bevel = Edges.moved(glyph, distance, new Coat.Corner(StrokeJoin.BEVEL, 4))) {
      double wanted = sum(round);
      assertThat(sum(bevel)).isBetween(0.985 * wanted, 1.001 * wanted);
    }
  }

  private static double sum(Path path) {
    Plane plane =
        Plane.covered(
            IRect.makeXYWH(0, 0, 200, 200),
            canvas -> {
              try (Paint paint = new Paint().setAntiAlias(true)) {
                canvas.drawPath(path, paint);
              }
            });
    double sum = 0;
    for (float value : plane.values()) {
      sum += value;
    }
    return sum;
  }

  @Test
  void aSharpCornerIsCutOffAtTheLimit() {
    try (Path needle = Path.makeFromSVGString("M0 0 L20 1 L0 2 Z");
        Path pointed = Edges.moved(needle, 1, new Coat.Corner(StrokeJoin.MITER, 100));
        Path cut = Edges.moved(needle, 1, new Coat.Corner(StrokeJoin.MITER, 2))) {
      assertThat(pointed.computeTightBounds().getRight()).isGreaterThan(35);
      assertThat(cut.computeTightBounds().getRight()).isLessThan(22);
    }
  }

  @Test
  void overlappingContoursBecomeOne() {
    try (Path crossing = Path.makeFromSVGString("M0 4 L12 4 L12 8 L0 8 Z M4 0 L8 0 L8 12 L4 12 Z");
        Path united = Edges.united(crossing)) {
      assertThat(area(united)).isCloseTo(80, within(0.1));
      assertThat(new PathMeasure(united).getLength())
          .as("only the outside of a cross is left")
          .isCloseTo(48, within(0.01f));
    }
  }
}
