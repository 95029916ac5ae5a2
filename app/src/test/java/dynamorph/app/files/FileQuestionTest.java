package dynamorph.app.files;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FileQuestionTest {
  /** The first kind is the one that the dialog begins with. */
  @ParameterizedTest
  @CsvSource({
    "museum, 0, museum.dmkit",
    "museum.dmkit, 0, museum.dmkit",
    "museum.dmkit, 1, museum.tokens.json",
    "museum.dmkit, 2, museum.css",
    "museum.css, 0, museum.css",
    "museum.CSS, 0, museum.CSS",
    "museum.tokens, 1, museum.tokens",
    "museum, 2, museum.css",
    "v1.5, 0, v1.5.dmkit"
  })
  void aNameGetsTheEndingOfTheKindThatWasChosen(String name, int kind, String ended) {
    FileQuestion question = FileQuestion.SAVED_STYLES;
    assertThat(question.ended(name, question.kinds().get(kind))).isEqualTo(ended);
  }
}
