package dynamorph.model.cascade;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Swatch;
import dynamorph.model.value.BlendMode;
import dynamorph.model.value.BoxLengths;
import dynamorph.model.value.PaintBounds;
import dynamorph.model.value.PatternTile;
import dynamorph.model.value.PlateExtent;
import dynamorph.model.value.Rgba;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Patterns, poses, copies and plates are read out of values, for text of 50 points. */
class CoatsReadTest {
  private static ResolvedLayer resolved(String... settings) {
    PropertySet look = PropertySet.EMPTY.withText(Properties.key("size"), "50 pt");
    for (String setting : settings) {
      String[] parts = setting.split("=");
      look = look.withText(Properties.key(parts[0]), parts[1]);
    }
    Project project =
        Project.empty("P")
            .withPalette(
                new Palette(List.of(new Swatch("copper", "Copper", Rgba.parse("#b0562a")))));
    return Cascade.of(project).resolve(Layer.of("t", "t", "x").withLocal(look));
  }

  private static Coat coat(String... settings) {
    return resolved(settings).finish().coats().getFirst();
  }

  @Test
  void aPlainCoatLiesInPlaceOnce() {
    Coat coat = coat();
    assertThat(coat.transform().isNone()).isTrue();
    assertThat(coat.copies()).isEqualTo(Coat.Copies.NONE);
    assertThat(coat.isInPlace()).isTrue();
  }

  @Test
  void aPoseIsReadInPointsSharesAndDegrees() {
    Coat coat =
        coat(
            "finish/fill/translate-x=0.1 em",
            "finish/fill/translate-y=-3 pt",
            "finish/fill/scale-x=150",
            "finish/fill/scale-y=-50",
            "finish/fill/rotation=30",
            "finish/fill/transform-origin=glyph");
    assertThat(coat.transform())
        .isEqualTo(new Coat.Transform(5, -3, 1.5, -0.5, 30, PaintBounds.GLYPH));
    assertThat(coat.transform().isMoved()).isFalse();
    assertThat(coat.isInPlace()).isFalse();
    Coat moved = coat("finish/fill/translate-x=1 pt");
    assertThat(moved.transform().isMoved()).isTrue();
    assertThat(moved.transform().isNone()).isFalse();
  }

  @Test
  void copiesAreReadWithTheirStepAndLastColour() {
    Coat coat =
        coat(
            "finish/fill/copies=12",
            "finish/fill/step-x=0.02 em",
            "finish/fill/step-y=2 pt",
            "finish/fill/step-scale=90",
            "finish/fill/step-rotation=5",
            "finish/fill/end-colour=swatch:copper",
            "finish/fill/end-opacity=0.25");
    assertThat(coat.copies())
        .as("the colour counts only where colours are stepped")
        .isEqualTo(new Coat.Copies(12, 1, 2, 0.9, 5, Optional.empty(), 0.25));
    Coat stepped =
        coat(
            "finish/fill/copies=2",
            "finish/fill/colours-stepped=true",
            "finish/fill/end-colour=swatch:copper");
    assertThat(stepped.copies().endColour()).contains(Rgba.parse("#b0562a"));
    assertThat(stepped.copies().areMoved()).isTrue();
    assertThat(coat.copies().areMoved()).isFalse();
  }

  @Test
  void aPatternIsReadWithItsColoursAndPlace() {
    Coat coat =
        coat(
            "finish/fill/paint=pattern",
            "finish/fill/tile=hatch",
            "finish/fill/colour=swatch:copper",
            "finish/fill/tile-background=#11223344",
            "finish/fill/tile-size=0.2 em",
            "finish/fill/tile-weight=25",
            "finish/fill/tile-angle=15",
            "finish/fill/tile-x=1 pt",
            "finish/fill/tile-y=0.1 em",
            "finish/fill/fit=line");
    assertThat(coat.paint())
        .isEqualTo(
            new Paint.Pattern(
                PatternTile.HATCH,
                Rgba.parse("#b0562a"),
                Rgba.parse("#11223344"),
                10,
                0.25,
                15,
                1,
                5,
                PaintBounds.LINE,
                Optional.empty()));
    assertThat(coat.isOpaque()).as("its ground shows through").isFalse();
    assertThat(coat("finish/fill/paint=pattern", "finish/fill/tile-background=#ffffff").isOpaque())
        .isTrue();
  }

  @Test
  void aPlateIsReadSideBySideAndCornerByCorner() {
    Plate plate =
        resolved(
                "plate/ground/kind=fill",
                "plate-extent=line",
                "plate-padding=1 pt, 0.1 em, 3 pt, 0.2 em",
                "plate-radius=2 pt, 0.1 em",
                "plate-minimum-width=2 em")
            .plate();
    assertThat(plate.around()).isEqualTo(PlateExtent.LINE);
    assertThat(plate.padding()).isEqualTo(new Plate.Padding(1, 5, 3, 10));
    assertThat(plate.corners()).isEqualTo(new Plate.Corners(2, 5, 2, 5));
    assertThat(plate.leastWidth()).isCloseTo(100, within(1e-9));
    assertThat(Plate.Corners.all(3)).isEqualTo(new Plate.Corners(3, 3, 3, 3));
  }

  @Test
  void theSameCoatMixedInAnotherWayIsOtherwiseTheSame() {
    Coat coat = coat("finish/fill/copies=3", "finish/fill/blend=screen");
    Coat plain = coat.withBlend(BlendMode.NORMAL);
    assertThat(plain.blend()).isEqualTo(BlendMode.NORMAL);
    assertThat(plain.withBlend(BlendMode.SCREEN)).isEqualTo(coat);
  }

  @Test
  void effectsBelowCanBeToldWithoutTheirMixing() {
    Coat coat =
        coat(
            "finish/fill/a/kind=drop-shadow",
            "finish/fill/a/blend=multiply",
            "finish/fill/b/kind=outer-glow",
            "finish/fill/b/order=1",
            "finish/fill/b/blend=screen",
            "finish/fill/c/kind=inner-glow",
            "finish/fill/c/order=2",
            "finish/fill/c/blend=overlay");
    assertThat(coat.effects())
        .extracting(Effect::blendBelow)
        .containsExactly(BlendMode.MULTIPLY, BlendMode.SCREEN, BlendMode.NORMAL);
    assertThat(
            coat.effects().stream().limit(2).map(Effect::withNormalBlend).map(Effect::blendBelow))
        .containsOnly(BlendMode.NORMAL);
    assertThat(coat.effects().getLast().withNormalBlend())
        .as("what shines inside mixes with its own coat")
        .isEqualTo(coat.effects().getLast());
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "3 pt | 3 pt",
        "3 pt, 3 pt | 3 pt",
        "1pt,2 pt,1 pt,2pt | 1 pt, 2 pt",
        "0.2 em, 0.5 em | 0.2 em, 0.5 em",
        "1 pt, 2 pt, 3 pt, 4 pt | 1 pt, 2 pt, 3 pt, 4 pt",
        "5 | 5 pt"
      })
  void lengthsAroundABoxAreReadAndWrittenAsShortAsTheyCanBe(String typed, String written) {
    BoxLengths around = BoxLengths.parse(typed);
    assertThat(around).hasToString(written);
    assertThat(BoxLengths.parse(written)).isEqualTo(around);
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "1 pt, 2 pt, 3 pt", "-1 pt", "1 pt, x", "20000 pt", "1,2,3,4,5"})
  void whatIsNotAroundABoxIsRefused(String typed) {
    assertThatThrownBy(() -> BoxLengths.parse(typed)).isInstanceOf(IllegalArgumentException.class);
  }

  /** An odd list is gone through twice, so that dashes and gaps change places (SVG 2, 13.5.6). */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "5 pt | 5 5",
        "5 pt, 3 pt | 5 3",
        "5 pt, 3 pt, 2 pt | 5 3 2 5 3 2",
        "1 pt, 2 pt, 3 pt, 4 pt | 1 2 3 4"
      })
  void dashesAreAnEvenNumberOfLengths(String typed, String lengths) {
    Coat.Stroke stroke =
        (Coat.Stroke)
            coat("finish/fill/kind=stroke", "finish/fill/dashes=" + typed.strip()).shape();
    assertThat(
            stroke.dashing().lengths().stream()
                .map(length -> String.valueOf(Math.round(length)))
                .toList())
        .containsExactly(lengths.strip().split(" "));
  }
}
