package dynamorph.paint.layer;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.cascade.Paint.Pattern;
import dynamorph.model.value.PaintBounds;
import dynamorph.model.value.PatternTile;
import dynamorph.model.value.Rgba;
import dynamorph.paint.Painting;
import dynamorph.paint.Pixels;
import dynamorph.paint.artwork.AreaPaint;
import dynamorph.typeset.layout.Box;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.Shader;
import io.github.humbleui.types.Rect;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What files repeat is what the stage works out by formula. */
class TileFormsTest {
  private static final int SIDE = 160;
  private static final Box BOX = new Box(0, 0, SIDE, SIDE);

  private static Pattern pattern(PatternTile tile, double weight, double angle) {
    return new Pattern(
        tile,
        Rgba.BLACK,
        Rgba.parse("#ffe9b0"),
        24,
        weight,
        angle,
        3,
        5,
        PaintBounds.LAYER,
        Optional.empty());
  }

  private static Pixels byFormula(Pattern pattern) {
    return Pixels.draw(
        SIDE,
        SIDE,
        canvas -> {
          try (Shader shader = PatternShaders.of(pattern, BOX, 1);
              Paint paint = new Paint().setShader(shader)) {
            canvas.drawRect(Rect.makeWH(SIDE, SIDE), paint);
          }
        });
  }

  private static Pixels byForm(AreaPaint.Tiled tiled) {
    return Pixels.draw(
        SIDE,
        SIDE,
        canvas -> {
          canvas.clear(tiled.ground().argb());
          canvas.concat(tiled.matrix());
          try (Paint marks = new Paint().setColor(tiled.marks().argb())) {
            for (int column = -14; column < 14; column++) {
              for (int row = -14; row < 14; row++) {
                canvas.save();
                canvas.translate((float) (column * tiled.width()), (float) (row * tiled.height()));
                canvas.clipRect(Rect.makeWH((float) tiled.width(), (float) tiled.height()));
                canvas.drawPath(tiled.form(), marks);
                canvas.restore();
              }
            }
          }
        });
  }

  @ParameterizedTest
  @CsvSource({
    "DOTS, 0.6, 0",
    "DOTS, 0.9, 25",
    "STRIPES, 0.3, 0",
    "STRIPES, 0.7, 40",
    "CHECKS, 0.5, 0",
    "CHECKS, 0.3, 15",
    "CHECKS, 0.8, 0",
    "HATCH, 0.5, 30",
    "WAVES, 0.4, 0",
    "WAVES, 0.6, 70"
  })
  void theFormRepeatedLooksLikeTheFormula(PatternTile tile, double weight, double angle) {
    Pattern pattern = pattern(tile, weight, angle);
    AreaPaint.Tiled form = (AreaPaint.Tiled) PatternShaders.repeated(pattern, BOX).orElseThrow();
    // edges of pixels and of tiles are shared out differently; a form out of place is far off
    assertThat(Painting.difference(byFormula(pattern), byForm(form))).isLessThan(4);
  }

  @Test
  void grainHasNoFormAndAnImageThatIsGoneIsItsGround() {
    assertThat(PatternShaders.repeated(pattern(PatternTile.GRAIN, 0.5, 0), BOX)).isEmpty();
    assertThat(PatternShaders.repeated(pattern(PatternTile.IMAGE, 0.5, 0), BOX))
        .contains(new AreaPaint.Plain(Rgba.parse("#ffe9b0")));
  }

  @Test
  void atAnySizeAPatternOfAPixelOrLessIsItsMeanAndDoesNotShimmer() {
    for (double size : new double[] {0.3, 0.6, 1}) {
      Pattern fine =
          new Pattern(
              PatternTile.STRIPES,
              Rgba.BLACK,
              Rgba.WHITE,
              size,
              0.25,
              0,
              0,
              0,
              PaintBounds.LAYER,
              Optional.empty());
      Pixels pixels = byFormula(fine);
      double sum = 0;
      for (int x = 0; x < SIDE; x++) {
        sum += pixels.argb(x, 20) & 0xFF;
      }
      assertThat(sum / SIDE).as("stripes %s pt apart", size).isBetween(120.0, 240.0);
    }
  }
}
