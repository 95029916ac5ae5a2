package dynamorph.model.value;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ColourTextTest {
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "RebeccaPurple | #663399",
        "#fc0 | #ffcc00",
        "rgb(12 34 56) | #0c2238",
        "rgb(100%, 0%, 50%) | #ff0080",
        "rgba(255, 0, 0, 0.5) | #ff000080",
        "rgb(1 2 3 / 50%) | #01020380",
        "hsb(0 100% 100%) | #ff0000",
        "hsb(120 50% 80%) | #66cc66",
        "oklch(1 0 0) | #ffffff",
        "oklch(62.8% 0.2577 29.23) | #ff0000",
        "oklch(0.86644 0.294827 142.495) | #00ff00"
      })
  void coloursAreReadAsPeopleWriteThem(String written, String hex) {
    assertThat(ColourText.parse(written)).hasToString(hex);
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "redish", "rgb(1 2)", "oklch(a b c)", "#12345"})
  void whatIsNoColourIsRefusedWithWhatWouldBe(String written) {
    assertThatThrownBy(() -> ColourText.parse(written))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("oklch");
  }

  @Test
  void eachSpaceLeadsBackToTheSameColour() {
    SplittableRandom random = new SplittableRandom(4);
    for (int round = 0; round < 2000; round++) {
      Rgba colour = new Rgba(0xFF000000 | random.nextInt(1 << 24));
      double[] hsb = ColourText.hsb(colour);
      assertThat(ColourText.ofHsb(hsb[0], hsb[1], hsb[2])).isEqualTo(colour);
      double[] lch = OkLab.lch(colour);
      assertThat(OkLab.ofLch(lch[0], lch[1], lch[2], 1)).isEqualTo(colour);
    }
  }

  @Test
  void aColourThatNoScreenShowsKeepsItsLightnessAndHue() {
    Rgba shown = OkLab.ofLch(0.7, 0.5, 200, 1);
    double[] lch = OkLab.lch(shown);
    assertThat(lch[0]).isCloseTo(0.7, within(0.01));
    assertThat(lch[2]).isCloseTo(200, within(2.0));
    assertThat(lch[1]).isLessThan(0.2);
  }

  @Test
  void contrastGoesFromOneToTwentyOne() {
    assertThat(Rgba.WHITE.contrast(Rgba.BLACK)).isCloseTo(21, within(1e-9));
    assertThat(Rgba.parse("#777777").contrast(Rgba.WHITE)).isCloseTo(4.48, within(0.01));
    assertThat(Rgba.WHITE.contrast(Rgba.WHITE)).isEqualTo(1);
  }
}
