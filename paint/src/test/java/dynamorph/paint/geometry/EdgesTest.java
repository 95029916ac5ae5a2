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
import io.github.humbleui.skija.PathBuilder;
import io.github.humbleui.skija.PathDirection;
import io.github.humbleui.skija.PathFillMode;
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

  /** How many pixels a point has, and by how many of them an edge may be elsewhere. */
  private static final int FINE = 4;

  private static final double OFF = 1.5;

  /**
   * Letters with tight curves, holes that close, and contours that overlap, against the distance of
   * each pixel from the letter.
   */
  @ParameterizedTest
  @CsvSource({
    "EB Garamond, g, 1",
    "EB Garamond, &, 4",
    "EB Garamond, e, 12",
    "EB Garamond, S, -3",
    "Anton, 8, 20",
    "Anton, R, 7",
    "Anton, B, -7",
    "Caveat, e, 12",
    "Caveat, Q, -1",
    "Fraunces, A, -3",
    "Fraunces, g, -7",
    "Fraunces, &, 4"
  })
  void roundCornersReachAllWithinTheDistance(String family, String letter, double distance) {
    try (FontLibrary fonts = FontLibrary.shipped();
        Font font = fonts.match(family, 400, Slant.UPRIGHT).face().font(160);
        Path glyph = font.getPath(font.getStringGlyphs(letter)[0]).makeOffset(45, 150);
        Path moved = Edges.moved(glyph, distance, new Coat.Corner(StrokeJoin.ROUND, 4))) {
      boolean grown = distance > 0;
      boolean[] around = covered(grown ? glyph : moved, true);
      boolean[] shape = grown ? around : covered(glyph, false);
      boolean[] result = grown ? covered(moved, true) : not(around);
      double[] squared = squaredDistances(shape, Math.abs(distance) * FINE + 3);
      int wrong = 0;
      for (int pixel = 0; pixel < result.length; pixel++) {
        double away = Math.sqrt(squared[pixel]) - Math.abs(distance) * FINE;
        wrong += away < -OFF && !result[pixel] || away > OFF && result[pixel] ? 1 : 0;
      }
      assertThat(wrong).as("pixels of %d", result.length).isLessThan(25);
    }
  }

  private static final int SIDE = 220 * FINE;

  private static boolean[] covered(Path path, boolean inside) {
    Plane plane =
        Plane.covered(
            IRect.makeXYWH(0, 0, SIDE, SIDE),
            canvas -> {
              canvas.scale(FINE, FINE);
              try (Paint paint = new Paint().setAntiAlias(false)) {
                canvas.drawPath(path, paint);
              }
            });
    boolean[] covered = new boolean[plane.values().length];
    for (int pixel = 0; pixel < covered.length; pixel++) {
      covered[pixel] = plane.values()[pixel] > 0.5f == inside;
    }
    return covered;
  }

  private static boolean[] not(boolean[] pixels) {
    boolean[] others = new boolean[pixels.length];
    for (int pixel = 0; pixel < others.length; pixel++) {
      others[pixel] = !pixels[pixel];
    }
    return others;
  }

  /** From each pixel to the nearest that is set, first down the columns, then along the rows. */
  private static double[] squaredDistances(boolean[] set, double most) {
    double[] down = new double[set.length];
    for (int x = 0; x < SIDE; x++) {
      double above = Double.MAX_VALUE;
      for (int y = 0; y < SIDE; y++) {
        above = set[y * SIDE + x] ? 0 : above + 1;
        down[y * SIDE + x] = above;
      }
      double below = Double.MAX_VALUE;
      for (int y = SIDE - 1; y >= 0; y--) {
        below = set[y * SIDE + x] ? 0 : below + 1;
        down[y * SIDE + x] = Math.min(down[y * SIDE + x], below);
      }
    }
    int reach = (int) Math.ceil(most);
    double[] squared = new double[set.length];
    for (int pixel = 0; pixel < squared.length; pixel++) {
      int x = pixel % SIDE;
      squared[pixel] = most * most * 4;
      for (int other = Math.max(0, x - reach); other <= Math.min(SIDE - 1, x + reach); other++) {
        double height = down[pixel - x + other];
        if (height <= most) {
          double width = other - x;
          squared[pixel] = Math.min(squared[pixel], height * height + width * width);
        }
      }
    }
    return squared;
  }

  /** The points of corners inside a letter are no edges, however far they would reach. */
  @Test
  void mitersOfHolesDoNotShowOutside() {
    try (Path hole = Path.makeFromSVGString("M0 0 L20 0 L20 20 L0 20 Z M8 15 L10 5 L12 15 Z");
        Path moved = Edges.moved(hole, 8, new Coat.Corner(StrokeJoin.MITER, 40))) {
      assertThat(moved.computeTightBounds()).isEqualTo(Rect.makeLTRB(-8, -8, 28, 28));
      assertThat(new PathMeasure(moved).getLength()).isCloseTo(4 * 36, within(0.01f));
    }
  }

  /** Also where the hole goes around the same way as what it lies in. */
  @ParameterizedTest
  @CsvSource({"4, 25", "-1.5, 110.25", "8, 1", "9.5, 0"})
  void roundHolesGetSmallerUntilTheyAreClosed(double distance, double squaredRadius) {
    for (PathDirection direction : PathDirection.values()) {
      try (PathBuilder builder = new PathBuilder(PathFillMode.EVEN_ODD)) {
        builder.addRect(Rect.makeXYWH(-5, -5, 30, 30), PathDirection.CLOCKWISE);
        builder.addCircle(10, 10, 9, direction);
        try (Path ring = builder.detach();
            Path moved = Edges.moved(ring, distance, new Coat.Corner(StrokeJoin.MITER, 4))) {
          double side = 30 + 2 * distance;
          double wanted = side * side - Math.PI * squaredRadius;
          assertThat(area(moved)).as(direction.name()).isCloseTo(wanted, within(0.6));
        }
      }
    }
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
