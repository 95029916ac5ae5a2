package dynamorph.app.artboards.stage;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class StageMarksTest {
  /** A tag of 100 on a stage of 700: above its box, inside of both sides, gone with its box. */
  @ParameterizedTest
  @CsvSource({"205, 200", "3, 2", "-40, 2", "660, 598", "704, 598", "800, 795"})
  void aTagIsNotCutOffByTheSidesOfTheStage(double box, double tag) {
    assertThat(StageMarks.tagX(box, 100, 700)).isEqualTo(tag);
  }
}
