package dynamorph.paint.layer;

import static dynamorph.model.property.Properties.COAT_COLOUR;
import static dynamorph.model.property.Properties.COAT_PAINT;
import static dynamorph.paint.Painting.FILL;
import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.cascade.Paint.Course;
import dynamorph.model.cascade.Paint.Gradient;
import dynamorph.model.cascade.Paint.Radial;
import dynamorph.model.cascade.Paint.Stop;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Interpolation;
import dynamorph.model.value.OkLab;
import dynamorph.model.value.PaintBounds;
import dynamorph.model.value.PaintKind;
import dynamorph.model.value.RadialShape;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.SpreadMethod;
import dynamorph.paint.Painting;
import dynamorph.paint.Pixels;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import dynamorph.typeset.layout.Box;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.Shader;
import java.util.List;
import java.util.function.DoubleBinaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Gradients against their formulas, at every pixel of a box of 200 by 100. */
class GradientShadersTest {
  private static final int WIDTH = 200;
  private static final int HEIGHT = 100;
  private static final Rgba FROM = Rgba.parse("#102040");
  private static final Rgba GREY = Rgba.parse("#808080");
  private static final Rgba TO = Rgba.parse("#f0c080");

  private static Gradient gradient(
      Course course, double angle, double scale, double offset, SpreadMethod repeat) {
    return gradient(course, Radial.PLAIN, angle, scale, offset, repeat);
  }

  private static Gradient gradient(
      Course course,
      Radial radial,
      double angle,
      double scale,
      double offset,
      SpreadMethod repeat) {
    return new Gradient(
        course,
        List.of(new Stop(FROM, 0), new Stop(TO, 1)),
        angle,
        0.5,
        0.5,
        radial,
        scale,
        offset,
        repeat,
        PaintBounds.LAYER,
        Interpolation.SRGB);
  }

  private static Pixels painted(Gradient gradient) {
    return Pixels.draw(
        WIDTH,
        HEIGHT,
        canvas -> {
          try (Shader shader = GradientShaders.of(gradient, new Box(0, 0, WIDTH, HEIGHT));
              Paint paint = new Paint().setShader(shader)) {
            canvas.drawPaint(paint);
          }
        });
  }

  private static void assertFollows(Pixels pixels, DoubleBinaryOperator share) {
    for (int y = 0; y < HEIGHT; y++) {
      for (int x = 0; x < WIDTH; x++) {
        double at = share.applyAsDouble(x + 0.5, y + 0.5);
        int found = pixels.argb(x, y);
        double red = FROM.red() + at * (TO.red() - FROM.red());
        double blue = FROM.blue() + at * (TO.blue() - FROM.blue());
        assertThat(Math.abs((found >> 16 & 0xFF) - red)).as("red at %d, %d", x, y).isLessThan(1.5);
        assertThat(Math.abs((found & 0xFF) - blue)).as("blue at %d, %d", x, y).isLessThan(1.5);
      }
    }
  }

  @Test
  void aLinearGradientRunsAtItsAngleFromCornerToCorner() {
    double angle = Math.toRadians(30);
    double length = WIDTH * Math.cos(angle) + HEIGHT * Math.sin(angle);
    assertFollows(
        painted(gradient(Course.LINEAR, 30, 1, 0, SpreadMethod.PAD)),
        (x, y) -> 0.5 + ((x - 100) * Math.cos(angle) + (y - 50) * Math.sin(angle)) / length);
  }

  @Test
  void scaleAndOffsetCountInLengths() {
    assertFollows(
        painted(gradient(Course.LINEAR, 0, 0.5, 0.25, SpreadMethod.PAD)),
        (x, _) -> Math.clamp((x - 100) / 100 + 0.5 - 0.25, 0, 1));
    assertFollows(
        painted(gradient(Course.LINEAR, 0, 0.4, 0, SpreadMethod.REFLECT)),
        (x, _) -> {
          double at = (x - 100) / 80 + 0.5;
          double turned = at - 2 * Math.floor(at / 2);
          return turned > 1 ? 2 - turned : turned;
        });
  }

  @Test
  void aRadialGradientFillsTheEllipse() {
    assertFollows(
        painted(gradient(Course.RADIAL, 0, 1, 0, SpreadMethod.PAD)),
        (x, y) -> Math.min(1, Math.hypot((x - 100) / 100, (y - 50) / 50)));
  }

  @Test
  void aCircleIsAsWideAsTheLongerSide() {
    Radial circle = new Radial(RadialShape.CIRCLE, 1, 0, 0, 0);
    assertFollows(
        painted(gradient(Course.RADIAL, circle, 0, 0.6, 0, SpreadMethod.PAD)),
        (x, y) -> Math.min(1, Math.hypot(x - 100, y - 50) / 60));
  }

  @Test
  void anEllipseIsTurned() {
    Radial turned = new Radial(RadialShape.CIRCLE, 0.4, 30, 0, 0);
    double cos = Math.sqrt(3) / 2;
    assertFollows(
        painted(gradient(Course.RADIAL, turned, 0, 1, 0, SpreadMethod.PAD)),
        (x, y) -> {
          double along = (x - 100) * cos + (y - 50) / 2;
          double across = (y - 50) * cos - (x - 100) / 2;
          return Math.min(1, Math.hypot(along / 100, across / 40));
        });
  }

  /** The share of the way from the focal point through a place to the edge (SVG 1.1, 13.2.3). */
  private static double fromFocus(double x, double y, double focalX, double focalY) {
    double dx = x - focalX;
    double dy = y - focalY;
    double square = dx * dx + dy * dy;
    double half = focalX * dx + focalY * dy;
    double out = 1 - focalX * focalX - focalY * focalY;
    return square / (Math.sqrt(half * half + square * out) - half);
  }

  @Test
  void aFocalPointIsWhereTheColoursStart() {
    Radial focal = new Radial(RadialShape.ELLIPSE, 1, 0, 0.5, -0.25);
    assertFollows(
        painted(gradient(Course.RADIAL, focal, 0, 1, 0, SpreadMethod.PAD)),
        (x, y) -> Math.min(1, fromFocus((x - 100) / 100, (y - 50) / 50, 0.5, -0.25)));
    assertFollows(
        painted(gradient(Course.RADIAL, focal, 0, 0.5, 0.25, SpreadMethod.REFLECT)),
        (x, y) -> {
          double at = fromFocus((x - 100) / 50, (y - 50) / 25, 0.5, -0.25) - 0.25;
          double turned = at - 2 * Math.floor(at / 2);
          return turned > 1 ? 2 - turned : turned;
        });
  }

  /** Every place of the ellipse is reached from a point on its edge, or beyond. */
  @Test
  void aFocalPointStaysWithin() {
    Radial far = new Radial(RadialShape.ELLIPSE, 1, 0, 0.8, -0.8);
    assertThat(Math.hypot(far.focalX(), far.focalY())).isLessThan(1);
    assertThat(far.focalX()).isEqualTo(-far.focalY());
  }

  @Test
  void aConicGradientTurnsClockwiseFromItsAngle() {
    Pixels pixels = painted(gradient(Course.CONIC, 90, 1, 0, SpreadMethod.PAD));
    for (int degrees = 5; degrees < 360; degrees += 10) {
      double angle = Math.toRadians(90 + degrees);
      int x = (int) (100 + 45 * Math.cos(angle));
      int y = (int) (50 + 45 * Math.sin(angle));
      double exact = Math.atan2(y + 0.5 - 50, x + 0.5 - 100) / 2 / Math.PI - 0.25;
      double at = exact - Math.floor(exact);
      double red = FROM.red() + at * (TO.red() - FROM.red());
      assertThat(Math.abs((pixels.argb(x, y) >> 16 & 0xFF) - red)).isLessThan(1.5);
    }
  }

  /** The mean colour of a sweep gradient, which Skia smooths small letters by, is never set. */
  @Test
  void smallLettersAreSmoothedAsIfTheyWereGrey() {
    byte[] grey = alphas(PropertySet.EMPTY.with(COAT_COLOUR.at(FILL), Colour.of(GREY)));
    assertThat(alphas(PropertySet.EMPTY.with(COAT_PAINT.at(FILL), PaintKind.CONIC)))
        .isEqualTo(grey);
  }

  private static byte[] alphas(PropertySet fill) {
    PropertySet small = fill.with(Properties.SIZE, FontSize.points(12));
    Scene scene = Painting.maker().make(Painting.project(Painting.text("t", "tooth hour", small)));
    PlacedLayer text = scene.boards().getFirst().texts().getFirst();
    Pixels pixels =
        Pixels.draw(
            40,
            20,
            canvas -> {
              canvas.scale(0.4f, 0.4f);
              text.enter(canvas);
              new LayerPainter().paint(canvas, text.layout(), text.look());
            });
    byte[] alphas = new byte[40 * 20];
    for (int index = 0; index < alphas.length; index++) {
      alphas[index] = pixels.bytes().get(4 * index + 3);
    }
    assertThat(alphas).isNotEqualTo(new byte[40 * 20]);
    return alphas;
  }

  @ParameterizedTest
  @EnumSource(Interpolation.class)
  void coloursBetweenStopsAreMixedInTheirSpace(Interpolation mixing) {
    Gradient gradient =
        new Gradient(
            Course.LINEAR,
            List.of(new Stop(FROM, 0), new Stop(TO, 1)),
            0,
            0.5,
            0.5,
            Radial.PLAIN,
            1,
            0,
            SpreadMethod.PAD,
            PaintBounds.LAYER,
            mixing);
    Pixels pixels = painted(gradient);
    double[] from = OkLab.of(FROM);
    double[] to = OkLab.of(TO);
    for (int x = 0; x < WIDTH; x++) {
      double at = (x + 0.5) / WIDTH;
      int found = pixels.argb(x, 10);
      if (mixing == Interpolation.OKLAB) {
        double[] lab = OkLab.of(new Rgba(found));
        for (int axis = 0; axis < 3; axis++) {
          double wanted = from[axis] + at * (to[axis] - from[axis]);
          assertThat(Math.abs(lab[axis] - wanted)).isLessThan(0.005);
        }
      } else {
        double red = FROM.red() + at * (TO.red() - FROM.red());
        assertThat(Math.abs((found >> 16 & 0xFF) - red)).isLessThan(1.5);
      }
    }
  }
}
