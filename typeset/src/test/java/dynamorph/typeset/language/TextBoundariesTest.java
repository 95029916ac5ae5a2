package dynamorph.typeset.language;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.value.TextDirection;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Boundaries of texts, and texts that stand in for others. */
class TextBoundariesTest {
  private static final String FAMILY = "\uD83D\uDC69\u200D\uD83D\uDC67";

  @Test
  void lettersAreWhatPeopleSee() {
    assertThat(TextBoundaries.graphemes("")).containsExactly(0);
    assertThat(TextBoundaries.graphemes("e\u0301a")).containsExactly(0, 2, 3);
    assertThat(TextBoundaries.graphemes(FAMILY + "!")).containsExactly(0, 5, 6);
    assertThat(TextBoundaries.graphemes("\uD83C\uDDF3\uD83C\uDDF1\uD83C\uDDE7\uD83C\uDDEA"))
        .as("two flags")
        .containsExactly(0, 4, 8);
  }

  @ParameterizedTest
  @CsvSource({
    "en, well-made clock, '5,10,15'",
    "en, 12 % more, '3,5,9'",
    "ja, \u6642\u8A08\u3002\u5854, '1,3,4'",
    "en, at 10:30 exactly, '3,9,16'"
  })
  void linesMayEndAt(String language, String text, String ends) {
    assertThat(TextBoundaries.lines(text, language))
        .isEqualTo(Arrays.stream(ends.split(",")).map(Integer::valueOf).toList());
  }

  @Test
  void wordsAreFoundInScriptsWithoutSpaces() {
    assertThat(TextBoundaries.words("the keeper's clock", "en"))
        .containsExactly(0, 3, 4, 12, 13, 18);
    assertThat(TextBoundaries.words("\u0E2A\u0E27\u0E31\u0E2A\u0E14\u0E35\u0E0A\u0E32\u0E27", "th"))
        .as("a greeting and whom it greets")
        .contains(0, 6, 9);
  }

  @Test
  void levelsTellTheDirectionOfEachLetter() {
    String mixed = "ab \u05D0\u05D1 12";
    assertThat(TextBoundaries.levels(mixed, TextDirection.LEFT_TO_RIGHT))
        .containsExactly(0, 0, 0, 1, 1, 1, 2, 2);
    assertThat(TextBoundaries.levels(mixed, TextDirection.RIGHT_TO_LEFT))
        .containsExactly(2, 2, 1, 1, 1, 1, 2, 2);
    assertThat(TextBoundaries.levels("\u05D0 a", TextDirection.AUTOMATIC))
        .as("the first strong letter decides")
        .containsExactly(1, 1, 2);
    assertThat(TextBoundaries.levels("", TextDirection.AUTOMATIC)).isEmpty();
  }

  @ParameterizedTest
  @EnumSource(Placeholder.class)
  void placeholderTextIsLikeProse(Placeholder script) {
    String text = script.words(400);
    assertThat(script.words(400)).as("the same each time").isEqualTo(text);
    assertThat(text.lines().count()).as("paragraphs").isGreaterThan(2);
    assertThat(text.strip()).isEqualTo(text);
    if (script == Placeholder.JAPANESE) {
      return;
    }
    for (String paragraph : text.split("\n")) {
      assertThat(paragraph).endsWith(".");
      for (String sentence : paragraph.split("\\. |\\.$")) {
        List<String> words = List.of(sentence.split(" "));
        assertThat(words).hasSizeBetween(5, 20);
        assertThat(Character.isLowerCase(words.getFirst().codePointAt(0))).isFalse();
        for (int word = 1; word < words.size(); word++) {
          assertThat(words.get(word)).isNotEqualToIgnoringCase(words.get(word - 1));
        }
      }
    }
  }

  @ParameterizedTest
  @ValueSource(ints = {0, 1, 2, 5, 17, 100})
  void placeholderTextHasTheWordsAskedFor(int count) {
    String text = Placeholder.LATIN.words(count);
    assertThat(text.isEmpty() ? 0 : text.split("[ \n]+").length).isEqualTo(count);
  }

  @Test
  void placeholderTextFillsButDoesNotOverflow() {
    Set<Integer> asked = new HashSet<>();
    String text =
        Placeholder.GREEK.filling(words -> {
          asked.add(words);
          return words <= 137;
        });
    assertThat(text).isEqualTo(Placeholder.GREEK.words(137));
    assertThat(asked).as("found by halving").hasSizeLessThan(20);
  }

  @Test
  void placeholderTextUsesLettersOfItsScript() {
    for (Placeholder script : Placeholder.values()) {
      Character.UnicodeScript expected =
          switch (script) {
            case LATIN -> Character.UnicodeScript.LATIN;
            case GREEK -> Character.UnicodeScript.GREEK;
            case CYRILLIC -> Character.UnicodeScript.CYRILLIC;
            case ARABIC -> Character.UnicodeScript.ARABIC;
            case HEBREW -> Character.UnicodeScript.HEBREW;
            case JAPANESE -> Character.UnicodeScript.HIRAGANA;
          };
      Set<Character.UnicodeScript> found = new HashSet<>();
      script.words(60).codePoints().mapToObj(Character.UnicodeScript::of).forEach(found::add);
      found.removeAll(Set.of(Character.UnicodeScript.COMMON, Character.UnicodeScript.HAN));
      assertThat(found).as(script.label()).containsExactly(expected);
    }
  }
}
