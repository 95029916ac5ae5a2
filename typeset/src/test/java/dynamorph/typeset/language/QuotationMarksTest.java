package dynamorph.typeset.language;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class QuotationMarksTest {
  @ParameterizedTest
  @CsvSource(
      quoteCharacter = '`',
      value = {
        "en, \"the clock\" isn't 'late', \u201Cthe clock\u201D isn\u2019t \u2018late\u2019",
        "de, \"die Uhr\" (\"sp\u00E4t\"), \u201Edie Uhr\u201C (\u201Esp\u00E4t\u201C)",
        "fr, l'heure \"juste\", l\u2019heure \u00AB\u202Fjuste\u202F\u00BB",
        "sv, \"klockan\", \u201Dklockan\u201D"
      })
  void straightMarksBecomeThoseOfTheLanguage(String language, String typed, String set) {
    QuotationMarks quotes = QuotationMarks.of(language);
    StringBuilder text = new StringBuilder();
    for (char sign : typed.toCharArray()) {
      boolean straight = sign == '"' || sign == '\'';
      text.append(straight ? quotes.mark(sign, text) : String.valueOf(sign));
    }
    assertThat(text).hasToString(set);
  }
}
