package dynamorph.typeset.spelling;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.typeset.language.Placeholder;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class SpellerTest {
  private final Speller speller = new Speller();

  private List<String> wrong(String text, String language, String... own) {
    return speller.misspelt(text, language, Set.of(own)).stream()
        .map(range -> text.substring(range.start(), range.end()))
        .toList();
  }

  @ParameterizedTest
  @CsvSource({
    "en-GB, 'The clokc struck; its weights didn\u2019t move.', clokc",
    "en-US, 'Seven paintsaking years in 1743, at 12pm.', paintsaking",
    "fr, 'L\u2019horlogee de la tour', horlogee",
    "es, 'La torre del relojj', relojj"
  })
  void misspeltWordsAreFoundByTheirLanguage(String language, String text, String word) {
    assertThat(wrong(text, language)).singleElement().asString().contains(word);
  }

  @Test
  void wordsOfTheProjectAreRightAndSoIsALanguageWithoutADictionary() {
    assertThat(wrong("Halm and Oostvoort", "en-GB")).contains("Oostvoort");
    assertThat(wrong("Halm and Oostvoort", "en-GB", "Halm", "Oostvoort")).isEmpty();
    assertThat(wrong("the \u1F65\u03C1\u03B1 and \u0627\u0644\u0633\u0627\u0639\u0629", "en-GB"))
        .as("another script is another language")
        .isEmpty();
    assertThat(wrong("xqzt", "ja")).isEmpty();
    assertThat(speller.knows("ja")).isFalse();
    assertThat(speller.knows("en-AU")).isTrue();
  }

  @Test
  void whatMayHaveBeenMeantIsProposed() {
    assertThat(speller.suggestions("clokc", "en-GB")).contains("clock");
    assertThat(speller.suggestions("clokc", "ja")).isEmpty();
  }

  @ParameterizedTest
  @EnumSource(Placeholder.class)
  void placeholdersHaveTheLengthThatIsAskedFor(Placeholder script) {
    String words = script.words(40);
    assertThat(words).isEqualTo(script.words(40));
    assertThat(script.words(0)).isEmpty();
    if (script != Placeholder.JAPANESE) {
      assertThat(words.split("\\s+")).hasSize(40);
    }
    assertThat(script.filling(count -> count <= 123)).isEqualTo(script.words(123));
  }
}
