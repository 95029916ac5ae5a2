package dynamorph.app.artboards.stage;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class StageRulersTest {
  @ParameterizedTest
  @CsvSource({"1, 100", "0.32, 200", "0.56, 100", "0.55, 200", "4, 20", "64, 1", "0.001, 100000"})
  void numbersStandAtRoundDistances(double scale, double step) {
    assertThat(StageRulers.step(scale)).isEqualTo(step);
    assertThat(step * scale).as("pixels between two numbers").isBetween(55.9, 150.0);
  }
}
