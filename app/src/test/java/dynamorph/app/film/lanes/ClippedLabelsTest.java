package dynamorph.app.film.lanes;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ClippedLabelsTest {
  /** Letters of two widths. */
  private static double width(String words) {
    return words.chars().mapToDouble(letter -> letter % 2 == 0 ? 7.5 : 4).sum();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "Eight days to wind",
        "\u0623\u0644\u0641",
        "\ud83d\ude42\ud83d\ude42\ud83d\ude42",
        "i",
        ""
      })
  void whatIsShownFitsAndIsWhatTheWordsBeginWith(String words) {
    ClippedLabels labels = new ClippedLabels(ClippedLabelsTest::width);
    Random random = new Random(words.hashCode());
    for (int turn = 0; turn < 60; turn++) {
      double room = random.nextDouble() * 160;
      String shown = labels.fitting(words, room);
      assertThat(width(shown)).isLessThanOrEqualTo(room);
      boolean sign = shown.endsWith("\u2026");
      String letters = sign ? shown.substring(0, shown.length() - 1) : shown;
      assertThat(words).startsWith(letters);
      assertThat(sign).isEqualTo(room >= 64 && !letters.equals(words));
      assertThat(letters).as("no half of a sign").doesNotMatch(".*[\\ud800-\\udbff]");
    }
  }
}
