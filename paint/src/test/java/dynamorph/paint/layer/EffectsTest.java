package dynamorph.paint.layer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.cascade.Coat;
import dynamorph.model.cascade.Effect;
import dynamorph.model.cascade.Finish;
import dynamorph.model.cascade.Paint.Solid;
import dynamorph.model.cascade.Plate;
import dynamorph.model.cascade.Softness;
import dynamorph.model.value.BlendMode;
import dynamorph.model.value.DashFit;
import dynamorph.model.value.GlowSource;
import dynamorph.model.value.Interpolation;
import dynamorph.model.value.PaintBounds;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.SpreadMethod;
import dynamorph.model.value.StrokeCap;
import dynamorph.model.value.StrokeJoin;
import dynamorph.model.value.StrokePosition;
import dynamorph.paint.Pixels;
import dynamorph.paint.effect.CoverageMask;
import dynamorph.typeset.layout.Box;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.types.IRect;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Coats and effects on a rounded box, against what they are made of. */
class EffectsTest {
  private static final int SIZE = 160;
  private static final Coat.Corner ROUND = new Coat.Corner(StrokeJoin.ROUND, 4);
  private static final Coat.Fill FILL = new Coat.Fill(0, ROUND);
  private static final Rgba BLACK = Rgba.BLACK;
  private static final Rgba WHITE = Rgba.WHITE;

  /** The coverage of a pixel at an edge is told in steps of a sixteenth. */
  private static final float EDGE_STEP = 16.5f;

  private static Coat coat(Coat.Shape shape, Rgba colour, Effect... effects) {
    return Coat.inPlace(shape, new Solid(colour), 1, BlendMode.NORMAL, List.of(effects));
  }

  private static Coat.Stroke stroke(double width, StrokePosition position) {
    return new Coat.Stroke(width, position, 0, ROUND, StrokeCap.BUTT, Coat.Dashing.SOLID);
  }

  private static Stencil.Shape box() {
    return PathShape.plate(
        List.of(List.of(new Box(40.3, 45.6, 70.5, 50.2))),
        Plate.Corners.all(12),
        false,
        new MaskCache());
  }

  private static Pixels painted(Finish finish) {
    return Pixels.draw(
        SIZE,
        SIZE,
        canvas -> {
          try (Stencil.Shape box = box()) {
            FinishBrush.paint(canvas, finish, box);
          }
        });
  }

  private static Pixels painted(Coat... coats) {
    return painted(new Finish(List.of(coats), List.of()));
  }

  /** What a shape covers, moved and blurred, by pixel. */
  private static float[] covered(Coat.Shape shape, double across, double down, double deviation) {
    return covered(shape, across, down, Softness.deviation(deviation));
  }

  private static float[] covered(Coat.Shape shape, double across, double down, Softness soft) {
    return CoverageMask.covered(
            IRect.makeWH(SIZE, SIZE),
            canvas -> {
              canvas.translate((float) across, (float) down);
              try (Stencil.Shape box = box();
                  Paint paint = new Paint()) {
                Stencil.draw(canvas, shape, box, paint, Neighbours.NONE);
              }
            })
        .blurred(soft)
        .values();
  }

  private static int alpha(Pixels pixels, int index) {
    return pixels.argb(index % SIZE, index / SIZE) >>> 24;
  }

  @ParameterizedTest
  @CsvSource({"0, 0", "6, 0", "30, 0", "90, 0", "8, 5", "0, 4", "8, -5"})
  void aDropShadowIsTheCoverageMovedGrownAndBlurred(double blur, double spread) {
    Effect shadow =
        new Effect.DropShadow(BLACK, BlendMode.NORMAL, 9.5, 7, soft(blur), spread, true);
    Pixels pixels = painted(coat(FILL, WHITE, shadow));
    float[] wanted = covered(new Coat.Fill(spread, ROUND), 9.5, 7, blur / 2);
    float[] own = covered(FILL, 0, 0, 0);
    for (int index = 0; index < wanted.length; index++) {
      if (own[index] == 0) {
        assertThat(Math.abs(alpha(pixels, index) - wanted[index] * 255)).isLessThan(2f);
      }
    }
  }

  @Test
  void insideAndOutsideTogetherAreACentredStrokeOfTwiceTheWidth() {
    float[] inside = covered(stroke(5, StrokePosition.INSIDE), 0, 0, 0);
    float[] outside = covered(stroke(5, StrokePosition.OUTSIDE), 0, 0, 0);
    float[] centre = covered(stroke(10, StrokePosition.CENTRE), 0, 0, 0);
    for (int index = 0; index < centre.length; index++) {
      assertThat(Math.abs(inside[index] + outside[index] - centre[index]) * 255)
          .isLessThan(EDGE_STEP);
    }
  }

  @Test
  void aStrokeMovedOutByHalfItsWidthLiesOutside() {
    Coat.Stroke moved =
        new Coat.Stroke(6, StrokePosition.CENTRE, 3, ROUND, StrokeCap.BUTT, Coat.Dashing.SOLID);
    float[] outside = covered(stroke(6, StrokePosition.OUTSIDE), 0, 0, 0);
    float[] wanted = covered(moved, 0, 0, 0);
    double sum = 0;
    for (int index = 0; index < outside.length; index++) {
      float difference = Math.abs(outside[index] - wanted[index]) * 255;
      sum += difference;
      assertThat(difference)
          .as("both edges of a pixel are shared out in two ways")
          .isLessThan(5 * EDGE_STEP);
    }
    assertThat(sum / outside.length).isLessThan(0.2);
  }

  @Test
  void innerEffectsStayInsideTheEdge() {
    float[] own = covered(FILL, 0, 0, 0);
    Pixels pixels =
        painted(
            coat(
                FILL,
                WHITE,
                new Effect.InnerShadow(BLACK, BlendMode.MULTIPLY, 4, 4, soft(8), 1),
                new Effect.InnerGlow(
                    Rgba.parse("#ff0000"), BlendMode.SCREEN, soft(8), 0, GlowSource.EDGE),
                new Effect.Bevel(
                    235, 40, 5, 1, WHITE, BlendMode.SCREEN, BLACK, BlendMode.MULTIPLY)));
    for (int index = 0; index < own.length; index++) {
      assertThat(Math.abs(alpha(pixels, index) - own[index] * 255)).isLessThan(1.6f);
    }
  }

  @Test
  void anInnerShadowIsWhatTheMovedCoverageLeavesOpen() {
    Effect shadow = new Effect.InnerShadow(BLACK, BlendMode.NORMAL, 5, 3, soft(10), 0);
    Pixels pixels = painted(coat(FILL, WHITE, shadow));
    assertInside(pixels, covered(FILL, 5, 3, 5), lit -> lit);
  }

  @Test
  void anInnerGlowShinesFromTheCentreOrTheEdge() {
    Effect centre = new Effect.InnerGlow(BLACK, BlendMode.NORMAL, soft(16), 0, GlowSource.CENTRE);
    assertInside(painted(coat(FILL, WHITE, centre)), covered(FILL, 0, 0, 8), lit -> 1 - lit);
    Effect edge = new Effect.InnerGlow(BLACK, BlendMode.NORMAL, soft(16), 0, GlowSource.EDGE);
    assertInside(painted(coat(FILL, WHITE, edge)), covered(FILL, 0, 0, 8), lit -> lit);
  }

  /** Where the shape is whole, white is darkened by a share that depends on a coverage. */
  private static void assertInside(Pixels pixels, float[] coverage, DoubleUnaryOperator grey) {
    float[] own = covered(FILL, 0, 0, 0);
    for (int index = 0; index < own.length; index++) {
      if (own[index] == 1) {
        int found = pixels.argb(index % SIZE, index / SIZE) & 0xFF;
        assertThat(Math.abs(found - grey.applyAsDouble(coverage[index]) * 255)).isLessThan(2.5f);
      }
    }
  }

  /** Two coats that lie over each other are one: what is below them shows through both alike. */
  @Test
  void coatsAreOneGroup() {
    Finish.Group half = new Finish.Group(0.5, BlendMode.NORMAL, Optional.empty());
    Coat below = coat(FILL, BLACK);
    Coat above = coat(FILL, WHITE);
    Pixels pixels = painted(new Finish(List.of(below, above), List.of(), half));
    int middle = pixels.argb(SIZE / 2, SIZE / 2);
    assertThat(middle >>> 24).isBetween(127, 128);
    assertThat(middle & 0xFF).as("white, premultiplied or not").isGreaterThan(120);
  }

  /** From left to right from black, which hides, to white, by the luminance of sRGB values. */
  @Test
  void aMaskLetsShowWhereItIsLight() {
    dynamorph.model.cascade.Paint ramp =
        new dynamorph.model.cascade.Paint.Gradient(
            dynamorph.model.cascade.Paint.Course.LINEAR,
            List.of(
                new dynamorph.model.cascade.Paint.Stop(BLACK, 0),
                new dynamorph.model.cascade.Paint.Stop(WHITE, 1)),
            0,
            0.5,
            0.5,
            dynamorph.model.cascade.Paint.Radial.PLAIN,
            1,
            0,
            SpreadMethod.PAD,
            PaintBounds.LAYER,
            Interpolation.SRGB);
    Finish.Group masked = new Finish.Group(1, BlendMode.NORMAL, Optional.of(ramp));
    Effect glow = new Effect.OuterGlow(BLACK, BlendMode.NORMAL, soft(0), 5, false);
    float[] grown = covered(new Coat.Fill(5, ROUND), 0, 0, 0);
    Pixels pixels = painted(new Finish(List.of(coat(FILL, BLACK)), List.of(glow), masked));
    int seen = 0;
    for (int index = 0; index < grown.length; index++) {
      if (grown[index] == 1) {
        double share = Math.clamp((index % SIZE + 0.5 - 40.3) / 70.5, 0, 1);
        assertThat(alpha(pixels, index) / 255.0).isCloseTo(share, within(0.02));
        seen++;
      }
    }
    assertThat(seen).isGreaterThan(1000);
  }

  private static Softness soft(double blur) {
    return Softness.of(blur, 1, 0);
  }

  /** What has a direction is worked out beyond what shows, wherever the canvas cuts it. */
  @ParameterizedTest
  @CsvSource({"24, 0, 0", "24, 0.2, 90", "30, 0.3, 45", "30, 0.1, 160"})
  void aDirectedBlurIsAGaussian(double blur, double aspect, double angle) {
    Softness soft = Softness.of(blur, aspect, angle);
    Pixels pixels = painted(coat(FILL, BLACK, new Effect.Blur(soft)));
    float[] wanted = covered(FILL, 0, 0, soft);
    for (int index = 0; index < wanted.length; index++) {
      assertThat(Math.abs(alpha(pixels, index) - wanted[index] * 255)).isLessThan(3f);
    }
  }

  @ParameterizedTest
  @ValueSource(doubles = {3, 20, 70})
  void aBlurIsAGaussian(double blur) {
    Pixels pixels = painted(coat(FILL, BLACK, new Effect.Blur(soft(blur))));
    float[] wanted = covered(FILL, 0, 0, blur / 2);
    for (int index = 0; index < wanted.length; index++) {
      assertThat(Math.abs(alpha(pixels, index) - wanted[index] * 255)).isLessThan(2f);
    }
  }

  @Test
  void effectsOfTheWholeFinishSeeAllCoatsAtOnce() {
    Effect shadow = new Effect.DropShadow(BLACK, BlendMode.NORMAL, 0, 30, soft(4), 0, false);
    Coat fill = coat(FILL, WHITE);
    Coat rim = coat(stroke(6, StrokePosition.OUTSIDE), WHITE);
    Pixels pixels = painted(new Finish(List.of(fill, rim), List.of(shadow)));
    float[] grown = covered(new Coat.Fill(6, ROUND), 0, 30, 2);
    float[] own = covered(new Coat.Fill(6, ROUND), 0, 0, 0);
    for (int index = 0; index < grown.length; index++) {
      if (own[index] == 0) {
        assertThat(Math.abs(alpha(pixels, index) - grown[index] * 255)).isLessThan(EDGE_STEP);
      }
    }
  }

  @Test
  void opacityCountsOnceForACoatAndItsEffects() {
    Effect glow = new Effect.OuterGlow(BLACK, BlendMode.NORMAL, soft(0), 5, false);
    Coat half = Coat.inPlace(FILL, new Solid(BLACK), 0.5, BlendMode.NORMAL, List.of(glow));
    Pixels pixels = painted(half);
    assertThat(pixels.argb(75, 42) >>> 24).as("in the glow").isBetween(126, 129);
    assertThat(pixels.argb(75, 70) >>> 24).as("over the glow").isBetween(190, 193);
  }

  @Test
  void absurdValuesAreDrawnInAMoment() {
    Coat.Dashing dust = new Coat.Dashing(List.of(1e-9, 1e-9), 1e9, DashFit.CORNERS);
    painted(
        coat(
            new Coat.Stroke(1e6, StrokePosition.CENTRE, -1e5, ROUND, StrokeCap.ROUND, dust),
            BLACK,
            new Effect.DropShadow(BLACK, BlendMode.HUE, 1e6, -1e6, soft(1e5), 1e5, true),
            new Effect.Blur(soft(1e5)),
            new Effect.InnerGlow(WHITE, BlendMode.COLOUR, soft(1e5), -1e5, GlowSource.CENTRE)));
    Coat[] many = new Coat[500];
    for (int index = 0; index < many.length; index++) {
      many[index] = coat(stroke(index / 20.0, StrokePosition.CENTRE), Rgba.of(index % 256, 0, 0));
    }
    assertThat(painted(many).argb(40, 70)).isNotZero();
  }

  @ParameterizedTest
  @CsvSource({"OUTSIDE, 4, 3", "INSIDE, 4, 2", "CENTRE, 6, 2.5", "OUTSIDE, 4, -1"})
  void aSpreadStrokeReachesFurtherAtBothSides(
      StrokePosition position, double width, double spread) {
    // it is a centred stroke about its own middle, wider by twice the spread
    double middle =
        switch (position) {
          case OUTSIDE -> width / 2;
          case INSIDE -> -width / 2;
          case CENTRE -> 0;
        };
    Coat.Stroke wider =
        new Coat.Stroke(
            width + 2 * spread,
            StrokePosition.CENTRE,
            middle,
            ROUND,
            StrokeCap.BUTT,
            Coat.Dashing.SOLID);
    float[] wanted = covered(wider, 0, 0, 0);
    float[] spreaded =
        CoverageMask.covered(
                IRect.makeWH(SIZE, SIZE),
                canvas -> {
                  try (Stencil.Shape box = box();
                      Paint paint = new Paint()) {
                    Stencil.drawGrown(canvas, stroke(width, position), box, paint, spread);
                  }
                })
            .values();
    for (int index = 0; index < wanted.length; index++) {
      assertThat(Math.abs(spreaded[index] - wanted[index]) * 255).isLessThan(EDGE_STEP);
    }
  }

  /** Variances add up: two blurs of 6 and 8 under a shadow are one of 10. */
  @Test
  void blursBeforeAShadowSoftenItTogether() {
    Effect shadow = new Effect.DropShadow(BLACK, BlendMode.NORMAL, 44, 0, soft(0), 0, true);
    Pixels two =
        painted(coat(FILL, WHITE, new Effect.Blur(soft(6)), new Effect.Blur(soft(8)), shadow));
    float[] wanted = covered(FILL, 44, 0, 10 / 2.0);
    float[] blurred = covered(FILL, 0, 0, 10 / 2.0);
    int compared = 0;
    for (int index = 0; index < wanted.length; index++) {
      if (blurred[index] == 0 && wanted[index] > 0.02) {
        assertThat(Math.abs(alpha(two, index) - wanted[index] * 255))
            .as(
                "at %d, %d: %d for %.1f",
                index % SIZE, index / SIZE, (int) alpha(two, index), wanted[index] * 255)
            .isLessThan(4f);
        compared++;
      }
    }
    assertThat(compared).isGreaterThan(300);
  }
}
