package dynamorph.paint.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import dynamorph.model.cascade.Coat;
import dynamorph.model.value.StrokeJoin;
import dynamorph.paint.effect.CoverageMask;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.Path;
import io.github.humbleui.skija.PathBuilder;
import io.github.humbleui.skija.PathDirection;
import io.github.humbleui.skija.PathFillMode;
import io.github.humbleui.skija.PathOp;
import io.github.humbleui.skija.PathVerb;
import io.github.humbleui.types.IRect;
import java.util.Random;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class PlanarArrangementTest {
  private static final int SIDE = 200;
  private static final Coat.Corner ROUND = new Coat.Corner(StrokeJoin.ROUND, 4);

  /** Lines and curves between points of a coarse grid, so that many edges lie on each other. */
  private static Path scribble(Random random, int curves, PathFillMode mode) {
    try (PathBuilder builder = new PathBuilder(mode)) {
      for (int curve = 0; curve < curves; curve++) {
        if (curve % 7 == 0) {
          builder.moveTo(coarse(random), coarse(random));
        }
        switch (random.nextInt(4)) {
          case 0 -> builder.quadTo(coarse(random), coarse(random), coarse(random), coarse(random));
          case 1 ->
              builder.conicTo(coarse(random), coarse(random), coarse(random), coarse(random), 0.7f);
          case 2 ->
              builder.cubicTo(
                  coarse(random),
                  coarse(random),
                  coarse(random),
                  coarse(random),
                  coarse(random),
                  coarse(random));
          default -> builder.lineTo(coarse(random), coarse(random));
        }
      }
      return builder.detach();
    }
  }

  private static float coarse(Random random) {
    return 10 + 15 * random.nextInt(13);
  }

  private static boolean[] pixels(Consumer<Canvas> drawing) {
    CoverageMask plane = CoverageMask.covered(IRect.makeXYWH(0, 0, SIDE, SIDE), drawing);
    boolean[] set = new boolean[SIDE * SIDE];
    for (int pixel = 0; pixel < set.length; pixel++) {
      set[pixel] = plane.values()[pixel] > 0.5f;
    }
    return set;
  }

  private static boolean[] filled(Path path) {
    return pixels(canvas -> {
      try (Paint paint = new Paint().setAntiAlias(false)) {
        canvas.drawPath(path, paint);
      }
    });
  }

  /** The rasteriser tells what lies inside of each by counting, without combining anything. */
  @ParameterizedTest
  @EnumSource(PathOp.class)
  void whatIsInsideIsWhatPixelsSay(PathOp op) {
    Random random = new Random(op.ordinal());
    for (int round = 0; round < 12; round++) {
      PathFillMode mode = round % 2 == 0 ? PathFillMode.WINDING : PathFillMode.EVEN_ODD;
      try (Path one = scribble(random, 5 + 6 * round, mode);
          Path other = scribble(random, 20, PathFillMode.WINDING);
          Path combined = PlanarArrangement.combined(one, other, op).orElseThrow()) {
        boolean[] first = filled(one);
        boolean[] second = filled(other);
        boolean[] result = filled(combined);
        boolean[] wanted = new boolean[result.length];
        for (int pixel = 0; pixel < result.length; pixel++) {
          wanted[pixel] =
              switch (op) {
                case UNION -> first[pixel] || second[pixel];
                case INTERSECT -> first[pixel] && second[pixel];
                case DIFFERENCE -> first[pixel] && !second[pixel];
                case REVERSE_DIFFERENCE -> second[pixel] && !first[pixel];
                case XOR -> first[pixel] != second[pixel];
              };
        }
        assertThat(wrong(wanted, result)).as("round %d", round).isZero();
      }
    }
  }

  /** Of pixels with eight neighbours like them: at edges and needles they may fall to either. */
  private static int wrong(boolean[] wanted, boolean[] result) {
    int wrong = 0;
    for (int y = 1; y < SIDE - 1; y++) {
      for (int x = 1; x < SIDE - 1; x++) {
        int pixel = y * SIDE + x;
        boolean sure = isAmongAlike(wanted, pixel) && isAmongAlike(result, pixel);
        wrong += sure && result[pixel] != wanted[pixel] ? 1 : 0;
      }
    }
    return wrong;
  }

  private static boolean isAmongAlike(boolean[] pixels, int pixel) {
    for (int y = -SIDE; y <= SIDE; y += SIDE) {
      for (int x = -1; x <= 1; x++) {
        if (pixels[pixel + y + x] != pixels[pixel]) {
          return false;
        }
      }
    }
    return true;
  }

  /** The result has no edge inside, so a second time changes nothing. */
  @Test
  void whatWasUnitedStaysAsItIs() {
    Random random = new Random(7);
    try (Path nothing = new Path();
        Path scribble = scribble(random, 60, PathFillMode.WINDING);
        Path once = PlanarArrangement.combined(scribble, nothing, PathOp.UNION).orElseThrow();
        Path twice = PlanarArrangement.combined(once, nothing, PathOp.UNION).orElseThrow()) {
      assertThat(twice.getPointsCount()).isEqualTo(once.getPointsCount());
      assertThat(twice.computeTightBounds()).isEqualTo(once.computeTightBounds());
    }
  }

  /** A paragraph of letters keeps its curves, for the eye and for what is exported. */
  @Test
  void shapesThatLieApartStayCurves() {
    try (PathBuilder builder = new PathBuilder()) {
      for (int circle = 0; circle < 1_000; circle++) {
        builder.addCircle(10 + circle % 40 * 20, 10 + circle / 40 * 20, 8, PathDirection.CLOCKWISE);
      }
      try (Path circles = builder.detach();
          Path united = Edges.united(circles)) {
        assertThat(united.getVerbs()).contains(PathVerb.CONIC).doesNotContain(PathVerb.LINE);
      }
    }
  }

  /** A saw blade of so many teeth is told right on both sides of its edge. */
  @Test
  void edgesOfThousandsOfPointsAreMoved() {
    int teeth = 1_000;
    try (PathBuilder builder = new PathBuilder()) {
      for (int tooth = 0; tooth < 2 * teeth; tooth++) {
        double angle = Math.PI * tooth / teeth;
        double radius = tooth % 2 == 0 ? 60 : 60.5;
        float x = (float) (100 + radius * Math.cos(angle));
        float y = (float) (100 + radius * Math.sin(angle));
        if (tooth == 0) {
          builder.moveTo(x, y);
        } else {
          builder.lineTo(x, y);
        }
      }
      builder.closePath();
      try (Path blade = builder.detach();
          Path grown = Edges.moved(blade, 10, ROUND);
          Path shrunk = Edges.moved(blade, -10, ROUND)) {
        assertThat(count(filled(grown))).isCloseTo(Math.PI * 70.5 * 70.5, byOnePerCent());
        assertThat(count(filled(shrunk))).isCloseTo(Math.PI * 50 * 50, byOnePerCent());
        assertThat(shrunk.computeTightBounds().getWidth()).isBetween(99.8f, 100.2f);
      }
    }
  }

  private static org.assertj.core.data.Percentage byOnePerCent() {
    return org.assertj.core.data.Percentage.withPercentage(1);
  }

  private static double count(boolean[] pixels) {
    int count = 0;
    for (boolean pixel : pixels) {
      count += pixel ? 1 : 0;
    }
    return count;
  }

  /** Curves that cross a hundred million times are drawn as they are. */
  @Test
  void whatCrossesTooOftenStaysWhereItIs() {
    Random random = new Random(3);
    try (PathBuilder builder = new PathBuilder()) {
      builder.moveTo(0, 0);
      for (int curve = 0; curve < 8_000; curve++) {
        builder.quadTo(
            SIDE * random.nextFloat(),
            SIDE * random.nextFloat(),
            SIDE * random.nextFloat(),
            SIDE * random.nextFloat());
      }
      try (Path tangled = builder.detach();
          Path moved = Edges.moved(tangled, 3, ROUND);
          Path shrunk = Edges.moved(tangled, -3, ROUND)) {
        assertThat(moved.getPointsCount()).isEqualTo(tangled.getPointsCount());
        assertThat(shrunk.getPointsCount()).isEqualTo(tangled.getPointsCount());
        assertThatCode(() -> Edges.difference(tangled, moved).close()).doesNotThrowAnyException();
      }
    }
  }
}
