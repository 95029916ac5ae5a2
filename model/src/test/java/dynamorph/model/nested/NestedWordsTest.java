package dynamorph.model.nested;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.value.NestedStyles;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Which words take which nested style; places counted by hand. */
class NestedWordsTest {
  /** The words with brackets around those that follow something, and what that is. */
  private static String shown(Paragraph paragraph) {
    return paragraph.spans().stream()
        .map(span ->
            span.follows().isEmpty()
                ? span.text()
                : "["
                    + span.follows().stream().map(StyleId::value).collect(Collectors.joining("+"))
                    + "|"
                    + span.text()
                    + "]")
        .collect(Collectors.joining());
  }

  private static String dressed(String text, String rules) {
    return shown(NestedWords.dressed(Paragraph.of(text), NestedStyles.parse(rules)));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '#',
      value = {
        "The long hour was wound # a: 3 words # [a|The long hour] was wound",
        "\u201CThe long\u201D, hour # a: 2 words # [a|\u201CThe long]\u201D, hour",
        "The long # a: 3 words # [a|The long]",
        "One two three four # a: 1 word; b: 2 words # [a|One][b| two three] four",
        "e\u0301te\u0301 # a: 2 letters # [a|e\u0301t]e\u0301",
        "Four. Past two! Bells # a: 2 sentences # [a|Four. Past two!] Bells",
        "\u6642\u8A08\u306F\u52D5\u304F # a: 1 word # [a|\u6642\u8A08]\u306F\u52D5\u304F",
        "MARTA: Wind it: now # a: up to \":\" # [a|MARTA:] Wind it: now",
        "MARTA: Wind it # a: before \":\" # [a|MARTA]: Wind it",
        "No colon here # a: up to \":\"; b: 1 word # [b|No] colon here",
        "MARTA: Wind it # a: up to \": \"; b: 1 word # [a|MARTA: ][b|Wind] it",
        "At 4:15, 1,200 of 3 # n: every number # At [n|4:15], [n|1,200] of [n|3]",
        "The BBC of O and UNO # c: every capitals # The [c|BBC] of O and [c|UNO]",
        "She \u201Csaid so\u201D # q: every quotation # She [q|\u201Csaid so\u201D]",
        "Hour (of Corven) [now] # b: every bracket # Hour [b|(of Corven)] [b|[now]]",
        "\u6642\u8A08 Long Hour\u3001 # l: every latin # \u6642\u8A08 [l|Long Hour]\u3001",
        "It *was* so *then* # m: matching \"[*][^*]+[*]\" # It [m|*was*] so [m|*then*]",
        "At 4 past # a: 2 words; n: every number # [a|At ][a+n|4] past",
        "The long hour # skip 1 word; a: 1 word # The[a| long] hour",
        "'' # a: 3 words # ''"
      })
  void wordsAreFound(String text, String rules, String expected) {
    assertThat(dressed(text, rules)).isEqualTo(expected);
  }

  /** Styles that the words follow themselves lie on top of those that they are nested in. */
  @Test
  void ownStylesLieOnTopAndStay() {
    Span own = new Span("long hour", List.of(new StyleId("own")), PropertySet.EMPTY);
    Paragraph paragraph = Paragraph.of(Span.of("The "), own);
    assertThat(shown(NestedWords.dressed(paragraph, NestedStyles.parse("a: 2 words"))))
        .isEqualTo("[a|The ][a+own|long][own| hour]");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "none",
        "a: 3 words",
        "skip before \"-\"; skip: 1 word",
        "a: 1 word; b-2.x: 2 letters; c: 1 sentence",
        "a: up to \":\"; b: before \"\\\"; \\\\\"",
        "a: every number; b: every latin",
        "a: matching \"[a-z]+\\\\d;\""
      })
  void rulesAreReadAndWritten(String written) {
    assertThat(NestedStyles.parse(written)).hasToString(written);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "a",
        "a:",
        "a: words",
        "a: 0 words",
        "a: 99999 words",
        "a: 9999999999 words",
        "a: 3 lines",
        "a: up to :",
        "a: up to \"\"",
        "a: matching \"(\"",
        "a: matching \"\"",
        "a: every thing",
        "a: 3 words b: 2 words",
        "a b: 3 words"
      })
  void nonsenseIsNoRule(String typed) {
    assertThatThrownBy(() -> NestedStyles.parse(typed))
        .isInstanceOf(IllegalArgumentException.class)
        .message()
        .isNotBlank();
  }

  /** A pattern of a hostile file takes no longer than the text is long. */
  @Test
  void patternsEnd() {
    NestedStyles rules = NestedStyles.parse("a: matching \"(a*)*b\"");
    Paragraph long_ = Paragraph.of("a".repeat(20_000));
    assertThat(NestedWords.dressed(long_, rules)).isEqualTo(long_);
  }

  @Test
  void wordsWithoutAStyleArePassedOver() {
    NestedStyles rules =
        NestedStyles.parse("b: 2 words; skip 1 letter; a: 1 word; b: every number; b: 1 word");
    assertThat(rules.mapStyles(id -> id.equals("a") ? Optional.of("c") : Optional.empty()))
        .hasToString("skip 2 words; skip 1 letter; c: 1 word");
    assertThat(rules.mapStyles(_ -> Optional.empty())).isEqualTo(NestedStyles.NONE);
  }
}
