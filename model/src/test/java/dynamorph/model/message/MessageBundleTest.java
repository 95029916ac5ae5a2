package dynamorph.model.message;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.message.sample.Sample;
import java.util.List;
import java.util.Locale;
import java.util.MissingResourceException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MessageBundleTest {
  private final MessageBundle english = MessageBundle.of(Sample.class, Locale.ENGLISH);
  private final MessageBundle polish = MessageBundle.of(Sample.class, Locale.of("pl"));

  @Test
  void aTextWithoutFormsIsFilledAsWritten() {
    assertThat(english.text("plain")).isEqualTo("Nothing to fill in");
    assertThat(english.text("quoted", "Ada")).isEqualTo("It's Ada's");
    assertThat(english.text("braces", "this")).isEqualTo("{literal} and this");
  }

  @ParameterizedTest
  @CsvSource({"0, 0 cues", "1, 1 cue", "2, 2 cues", "12000, '12,000 cues'"})
  void englishHasTwoForms(int count, String expected) {
    assertThat(english.text("cue", count)).isEqualTo(expected);
  }

  /** The rules of Unicode CLDR. */
  @ParameterizedTest
  @CsvSource({
    "1, 1 napis",
    "3, 3 napisy",
    "5, 5 napis\u00F3w",
    "12, 12 napis\u00F3w",
    "22, 22 napisy"
  })
  void anotherLanguageHasFormsOfItsOwn(int count, String expected) {
    assertThat(polish.text("cue", count)).isEqualTo(expected);
  }

  @Test
  void whatIsNotTranslatedIsEnglish() {
    assertThat(polish.text("plain")).isEqualTo("Nothing to fill in");
  }

  @Test
  void numbersThatChooseNoFormAreNotGrouped() {
    assertThat(english.text("named", 1, 12000)).isEqualTo("12000 in 1 cue");
  }

  @Test
  void wordsAreListedAsTheLanguageDoes() {
    assertThat(english.list(List.of("a"))).isEqualTo("a");
    assertThat(english.list(List.of("a", "b"))).isEqualTo("a and b");
    assertThat(polish.list(List.of("a", "b"))).isEqualTo("a i b");
  }

  @Test
  void anUnknownKeyIsNamed() {
    assertThatThrownBy(() -> english.text("none"))
        .isInstanceOf(MissingResourceException.class)
        .hasMessageContaining("none");
  }
}
