package dynamorph.model.value;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * The same colour in every space. The numbers are those that the Web Platform Tests give for green,
 * and for Adobe RGB worked out by hand from its inverse matrix; they are rounded, so a channel may
 * be one step away.
 */
class ColourSpaceTest {
  @ParameterizedTest
  @CsvSource({
    "srgb, 0, 0.50196, 0",
    "srgb-linear, 0, 0.21586, 0",
    "hsl, 120, 100, 25.098",
    "hwb, 120, 0, 49.8039",
    "lab, 46.277, -47.552, 48.546",
    "lch, 46.277, 67.892, 134.391",
    "oklab, 0.51975, -0.1403, 0.10768",
    "oklch, 0.51975, 0.17686, 142.495",
    "display-p3, 0.21604, 0.49418, 0.13151",
    "a98-rgb, 0.28136, 0.49805, 0.1166",
    "prophoto-rgb, 0.230479, 0.395789, 0.129968",
    "rec2020, 0.235202, 0.431704, 0.085432",
    "xyz-d65, 0.07719, 0.15438, 0.02573",
    "xyz-d50, 0.08312, 0.154746, 0.020961"
  })
  void theGreenOfHtmlIsTheSameInEverySpace(String name, double one, double two, double three) {
    ColourSpace space = ColourSpace.named(name).orElseThrow();
    Rgba rgba = space.toRgba(new double[] {one, two, three}, 1);
    assertThat(rgba.red()).isLessThanOrEqualTo(1);
    assertThat(rgba.green()).isBetween(127, 129);
    assertThat(rgba.blue()).isLessThanOrEqualTo(1);
  }

  @Test
  void xyzAloneMeansDaylight() {
    assertThat(ColourSpace.named("xyz")).contains(ColourSpace.XYZ_D65);
    assertThat(ColourSpace.named("cmyk")).isEmpty();
  }

  @Test
  void aColourThatTheScreenLacksKeepsItsHue() {
    double[] red = {1, 0, 0};
    assertThat(ColourSpace.SRGB.isShown(red)).isTrue();
    assertThat(ColourSpace.DISPLAY_P3.isShown(red)).isFalse();
    Rgba nearest = ColourSpace.DISPLAY_P3.toRgba(red, 0.5);
    assertThat(nearest.alpha()).isEqualTo(128);
    assertThat(nearest.red()).isGreaterThan(245);
    assertThat(nearest.green()).isLessThan(70);
  }
}
