package dynamorph.paint.layer;

import static dynamorph.paint.Painting.count;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.Asset;
import dynamorph.model.cascade.Coat;
import dynamorph.model.cascade.Finish;
import dynamorph.model.cascade.Paint;
import dynamorph.model.cascade.Plate;
import dynamorph.model.value.BlendMode;
import dynamorph.model.value.OkLab;
import dynamorph.model.value.PaintBounds;
import dynamorph.model.value.PatternTile;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.StrokeJoin;
import dynamorph.paint.Pixels;
import dynamorph.typeset.layout.Box;
import io.github.humbleui.skija.EncoderPNG;
import io.github.humbleui.skija.Surface;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Coats moved, copied and patterned, on a square whose pixels can be worked out. */
class PosesAndTilesTest {
  private static final Rgba RED = Rgba.of(255, 0, 0);
  private static final Rgba BLUE = Rgba.of(0, 0, 255);
  private static final Coat.Fill FILL = new Coat.Fill(0, new Coat.Corner(StrokeJoin.MITER, 4));
  private static final Box SQUARE = new Box(60, 60, 20, 20);

  private static Pixels painted(Coat... coats) {
    return painted(SQUARE, coats);
  }

  private static Pixels painted(Box box, Coat... coats) {
    return Pixels.draw(
        200,
        200,
        canvas -> {
          canvas.clear(0xFFFFFFFF);
          try (Stencil.Shape shape =
              PathShape.plate(List.of(List.of(box)), Plate.Corners.SHARP, false, new MaskCache())) {
            FinishBrush.paint(canvas, new Finish(List.of(coats), List.of()), shape);
          }
        });
  }

  private static Coat coat(Paint paint, Coat.Transform pose, Coat.Copies copies) {
    return new Coat(FILL, paint, 1, BlendMode.NORMAL, pose, copies, List.of());
  }

  private static Coat red(Coat.Transform pose, Coat.Copies copies) {
    return coat(new Paint.Solid(RED), pose, copies);
  }

  @Test
  void aCoatIsScaledAndTurnedAboutTheMiddleAndThenMoved() {
    Coat.Transform pose = new Coat.Transform(40, 10, 2, 0.5, 90, PaintBounds.LAYER);
    Pixels pixels = painted(red(pose, Coat.Copies.NONE));
    // 40 wide and 10 high, turned a quarter: 10 wide and 40 high about (110, 80)
    assertThat(count(pixels, RED)).isEqualTo(400);
    assertThat(pixels.argb(105, 60)).isEqualTo(RED.argb());
    assertThat(pixels.argb(114, 99)).isEqualTo(RED.argb());
    assertThat(pixels.argb(104, 80)).isNotEqualTo(RED.argb());
  }

  @Test
  void copiesLieBelowEachOtherAStepApartInColoursThatGoOverIntoTheLast() {
    Coat.Copies copies = new Coat.Copies(4, 10, 0, 1, 0, Optional.of(BLUE), 1);
    Pixels pixels = painted(red(Coat.Transform.NONE, copies));
    assertThat(count(pixels, RED)).as("the coat itself, on top").isEqualTo(400);
    assertThat(count(pixels, BLUE)).as("what shows of the last copy").isEqualTo(200);
    int between = pixels.argb(60 + 20 + 15, 70);
    assertThat(between).isNotEqualTo(RED.argb()).isNotEqualTo(BLUE.argb());
    assertThat(between).isEqualTo(OkLab.mixed(RED, BLUE, 0.5).argb());
  }

  @Test
  void copiesFadeAndShrinkStepByStep() {
    Coat.Copies copies = new Coat.Copies(2, 30, 0, 0.5, 0, Optional.empty(), 0.5);
    Pixels pixels = painted(red(Coat.Transform.NONE, copies));
    // a half as large, half opaque in the end: 5 by 5 about (130, 70)
    assertThat(pixels.argb(130, 70) & 0xFF).isCloseTo(127, within(2));
    assertThat(pixels.argb(126, 70)).isEqualTo(0xFFFFFFFF);
    assertThat(pixels.argb(100, 70) & 0xFF).as("three quarters").isCloseTo(64, within(2));
  }

  @Test
  void anyNumberOfCopiesOfAnyScaleIsPaintedWithoutHarm() {
    Coat.Copies copies = new Coat.Copies(500, 0, 0, 10, 7, Optional.empty(), 1);
    Coat.Transform pose = new Coat.Transform(0, 0, 0, -100, 0, PaintBounds.GLYPH);
    assertThat(count(painted(red(Coat.Transform.NONE, copies)), RED)).isEqualTo(200 * 200);
    assertThat(count(painted(red(pose, copies)), RED)).isZero();
  }

  private static Paint.Pattern pattern(PatternTile tile, double size, double weight, double angle) {
    return new Paint.Pattern(
        tile,
        Rgba.BLACK,
        Rgba.WHITE,
        size,
        weight,
        angle,
        0,
        0,
        PaintBounds.LAYER,
        Optional.empty());
  }

  /** The share of the square that marks cover. */
  private static double share(Paint.Pattern pattern) {
    Pixels pixels =
        painted(new Box(10, 10, 180, 180), coat(pattern, Coat.Transform.NONE, Coat.Copies.NONE));
    double dark = 0;
    for (int y = 10; y < 190; y++) {
      for (int x = 10; x < 190; x++) {
        dark += 1 - (pixels.argb(x, y) & 0xFF) / 255.0;
      }
    }
    return dark / (180 * 180);
  }

  @ParameterizedTest
  @CsvSource({
    "STRIPES, 18, 0.3, 0, 0.3",
    "STRIPES, 18, 0.3, 37, 0.3",
    "STRIPES, 1.5, 0.5, 20, 0.5",
    "CHECKS, 18, 0.5, 0, 0.5",
    "CHECKS, 12, 0.25, 45, 0.125",
    "HATCH, 18, 0.4, 30, 0.36",
    "DOTS, 18, 0.6, 0, 0.3265",
    "DOTS, 18, 0, 0, 0",
    "STRIPES, 18, 1, 12, 1",
    "WAVES, 20, 0.5, 0, 0.42"
  })
  void marksCoverTheShareThatTheirFormSays(
      PatternTile tile, double size, double weight, double angle, double share) {
    assertThat(share(pattern(tile, size, weight, angle))).isCloseTo(share, within(0.03));
  }

  @Test
  void grainCoversMoreTheMoreItWeighsAndIsTheSameEveryTime() {
    double light = share(pattern(PatternTile.GRAIN, 8, 0.2, 0));
    double heavy = share(pattern(PatternTile.GRAIN, 8, 0.8, 0));
    assertThat(light).isBetween(0.02, 0.4);
    assertThat(heavy).isGreaterThan(light * 2).isLessThan(1);
    assertThat(share(pattern(PatternTile.GRAIN, 8, 0.8, 0))).isEqualTo(heavy);
  }

  @Test
  void stripesStandWhereTheyAreMovedTo() {
    Paint.Pattern moved =
        new Paint.Pattern(
            PatternTile.STRIPES, RED, BLUE, 20, 0.5, 90, 0, 4, PaintBounds.LAYER, Optional.empty());
    Pixels pixels = painted(coat(moved, Coat.Transform.NONE, Coat.Copies.NONE));
    // turned a quarter the bars lie across; the first stands from 5 to 15 points down
    assertThat(pixels.argb(70, 60 + 4 + 6)).isEqualTo(RED.argb());
    assertThat(pixels.argb(70, 60 + 4 + 2)).isEqualTo(BLUE.argb());
    assertThat(pixels.argb(61, 60 + 1)).as("the end of the bar before").isEqualTo(BLUE.argb());
  }

  @Test
  void anImageOfTheProjectIsRepeated() {
    byte[] png;
    try (Surface surface = Surface.makeRasterN32Premul(16, 16)) {
      surface.getCanvas().clear(RED.argb());
      surface
          .getCanvas()
          .drawRect(
              io.github.humbleui.types.Rect.makeXYWH(8, 0, 8, 16),
              new io.github.humbleui.skija.Paint().setColor(BLUE.argb()));
      png = EncoderPNG.encode(surface.makeImageSnapshot()).getBytes();
    }
    Asset asset = new Asset("images/half.png", png);
    Paint.Pattern image =
        new Paint.Pattern(
            PatternTile.IMAGE,
            Rgba.BLACK,
            Rgba.BLACK,
            8,
            1,
            0,
            0,
            0,
            PaintBounds.LAYER,
            Optional.of(asset));
    Pixels pixels = painted(coat(image, Coat.Transform.NONE, Coat.Copies.NONE));
    assertThat(pixels.argb(62, 70)).isEqualTo(RED.argb());
    assertThat(pixels.argb(66, 70)).isEqualTo(BLUE.argb());
    assertThat(pixels.argb(70, 70)).isEqualTo(RED.argb());
    Asset broken = new Asset("images/broken.png", new byte[] {1, 2, 3});
    assertThat(PatternShaders.image(broken)).isEmpty();
  }
}
