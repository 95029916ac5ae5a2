package dynamorph.app.field;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NumberInTextTest {
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "0.2 em, 0.5 em | 1 | 1 | 0.21 em, 0.5 em",
        "0.2 em, 0.5 em | 10 | -2 | 0.2 em, 0.48 em",
        "8 pt, 0 pt, 8 pt, 0 pt | 6 | 1 | 8 pt, 0.5 pt, 8 pt, 0 pt",
        "8 pt, 2 pt | -1 | 1 | 8.5 pt, 2.5 pt",
        "0 pt, 7 pt | 0 | -3 | 0 pt, 7 pt",
        "3 pt | 4 | 10 | 8 pt",
        "wght=400, opsz=9 | 6 | 2 | wght=401, opsz=9",
        "none | 2 | 5 | none"
      })
  void theNumberAtTheCaretIsNudgedOrAllOfThem(String text, int caret, double steps, String nudged) {
    assertThat(NumberInText.nudged(text, caret, steps)).isEqualTo(nudged);
  }
}
