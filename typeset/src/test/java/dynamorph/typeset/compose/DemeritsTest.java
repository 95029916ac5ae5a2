package dynamorph.typeset.compose;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Fitness classes after D. E. Knuth and M. F. Plass, 1981, and The TeXbook, page 97. */
class DemeritsTest {
  @ParameterizedTest
  @CsvSource({
    "-1, 0",
    "-0.501, 0",
    "-0.5, 1",
    "0, 1",
    "0.5, 1",
    "0.501, 2",
    "1, 2",
    "1.001, 3",
    "40, 3"
  })
  void aLineIsTightDecentLooseOrVeryLoose(double ratio, int fitness) {
    assertThat(Demerits.fitness(ratio)).isEqualTo(fitness);
  }

  @ParameterizedTest
  @CsvSource({"0, 1, 0", "1, 2, 0", "2, 1, 0", "0, 2, 10000", "2, 0, 10000", "1, 3, 10000"})
  void onlyNeighboursMoreThanAClassApartCount(int before, int now, double demerits) {
    Demerits rules = new Demerits(50, false);
    assertThat(rules.after(before, false, now, false)).isEqualTo(demerits);
    assertThat(rules.after(before, true, now, true))
        .as("with a hyphen at the end of both")
        .isEqualTo(demerits + 10000);
  }

  @ParameterizedTest
  @CsvSource({"0, 1", "1, 10201", "-1, 10201", "0.5, 182.25", "2, 641601"})
  void aLineCountsTheSquareOfOneAndItsBadness(double ratio, double demerits) {
    // badness is 100 |ratio|³: (1 + 0)², (1 + 100)², (1 + 12.5)², (1 + 800)²
    assertThat(new Demerits(50, false).line(ratio, false, false, false)).isEqualTo(demerits);
  }
}
