package dynamorph.model.value;

import static org.assertj.core.api.Assertions.assertThat;

import org.assertj.core.api.Assertions;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ColourDifferenceTest {
  /** From table 1 of Sharma, Wu and Dalal (2005). */
  @ParameterizedTest
  @CsvSource({
    "50, 2.6772, -79.7751, 50, 0, -82.7485, 2.0425",
    "50, 3.1571, -77.2803, 50, 0, -82.7485, 2.8615",
    "50, -1.3802, -84.2814, 50, 0, -82.7485, 1.0000",
    "50, 0, 0, 50, -1, 2, 2.3669",
    "50, 2.49, -0.001, 50, -2.49, 0.0009, 7.1792",
    "50, 2.5, 0, 73, 25, -18, 27.1492",
    "50, 2.5, 0, 61, -5, 29, 22.8977",
    "50, 2.5, 0, 56, -27, -3, 31.9030",
    "50, 2.5, 0, 58, 24, 15, 19.4535",
    "60.2574, -34.0099, 36.2677, 60.4626, -34.1751, 39.4387, 1.2644",
    "2.0776, 0.0795, -1.1350, 0.9033, -0.0636, -0.5514, 0.9082"
  })
  void isThatOfTheTable(
      double l1, double a1, double b1, double l2, double a2, double b2, double difference) {
    double[] one = {l1, a1, b1};
    double[] other = {l2, a2, b2};
    assertThat(ColourDifference.between(one, other)).isCloseTo(difference, Assertions.within(5e-5));
    assertThat(ColourDifference.between(other, one)).isCloseTo(difference, Assertions.within(5e-5));
  }

  @ParameterizedTest
  @CsvSource({"#ffffff, 100, 0, 0", "#000000, 0, 0, 0", "#ff0000, 53.24, 80.09, 67.20"})
  void theRedOfScreensIsWhereItsPrimariesSay(String hex, double l, double a, double b) {
    double[] lab = ColourDifference.lab(Rgba.parse(hex));
    assertThat(lab).containsExactly(new double[] {l, a, b}, Assertions.within(0.02));
  }
}
