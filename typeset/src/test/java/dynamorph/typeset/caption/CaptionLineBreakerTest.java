package dynamorph.typeset.caption;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Layer;
import dynamorph.model.text.TextRange;
import dynamorph.model.timeline.CaptionRules;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Track;
import java.time.Duration;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CaptionLineBreakerTest {
  private static CaptionRules rules(int lines, int length) {
    return new CaptionRules(
        lines, length, 20, Time.ofMillis(1000), Time.ofMillis(7000), Time.ofMillis(80));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "en | short enough | short enough",
        "en | She winds it on Mondays, and on Tuesdays we listen. | She winds it on Mondays,/and on Tuesdays we listen.",
        "en | There was straw behind the minute wheel of the clock. | There was straw behind/the minute wheel of the clock.",
        "de | Die Uhr blieb um zehn nach vier stehen und niemand fragte. | Die Uhr blieb um zehn nach vier/stehen und niemand fragte.",
        "ja | \u6642\u8a08\u306f\u56db\u6642\u5341\u5206\u3067\u6b62\u307e\u3063\u305f\u3002\u4e09\u5341\u5e74\u8ab0\u3082\u5c0b\u306d\u306a\u304b\u3063\u305f\u3002\u4eca\u306f\u52d5\u304f\u3002\u3088\u304f\u52d5\u304f\u3002\u305d\u308c\u3060\u3051\u3002 | \u6642\u8a08\u306f\u56db\u6642\u5341\u5206\u3067\u6b62\u307e\u3063\u305f\u3002\u4e09\u5341\u5e74\u8ab0\u3082\u5c0b\u306d\u306a\u304b\u3063\u305f\u3002/\u4eca\u306f\u52d5\u304f\u3002\u3088\u304f\u52d5\u304f\u3002\u305d\u308c\u3060\u3051\u3002"
      })
  void linesBreakAtSense(String language, String text, String expected) {
    List<String> lines = CaptionLineBreaker.lines(text, language, rules(2, 37));
    assertThat(String.join("/", lines)).isEqualTo(expected);
  }

  @Test
  void aLineNeverEndsInAnArticleWhereItNeedNot() {
    List<String> lines =
        CaptionLineBreaker.lines(
            "Someone had filed a little from the edge of the tooth each year", "en", rules(2, 42));
    assertThat(lines).hasSize(2);
    assertThat(lines.getFirst()).doesNotMatch(".* (a|the|of|from|each)$");
  }

  @Test
  void nothingIsLostAndNoLineIsTooLongUnlessAWordIs() {
    SplittableRandom random = new SplittableRandom(5);
    List<String> words =
        List.of("a", "clock", "the", "winding,", "of", "escapement", "and", "tooth.", "by", "I");
    for (int round = 0; round < 500; round++) {
      StringBuilder text = new StringBuilder();
      for (int word = 0; word <= random.nextInt(40); word++) {
        text.append(words.get(random.nextInt(words.size())))
            .append(random.nextInt(5) == 0 ? "  " : " ");
      }
      int length = 12 + random.nextInt(40);
      List<String> lines = CaptionLineBreaker.lines(text.toString(), "en", rules(2, length));
      assertThat(String.join(" ", lines))
          .isEqualTo(text.toString().replaceAll("\\s+", " ").strip());
      assertThat(lines).allMatch(line -> line.length() <= length);
    }
  }

  @Test
  void lettersThatAreReadTogetherStayOnOneLine() {
    Track.Captions track = Track.Captions.of("t", "T", "ja").withRules(rules(2, 8));
    String letters = "\u6642\u8a08\u6642\u8a08\u6642\u8a08\u6642\u8a08\u6642\u8a08";
    Layer plain = Layer.of("c", "C", letters);
    assertThat(CaptionLineBreaker.lines(plain, track))
        .containsExactly(letters.substring(0, 5), letters.substring(5));
    Layer read =
        plain.withStory(plain.story().mapSpans(new TextRange(3, 7), span -> span.withRuby("toki")));
    assertThat(CaptionLineBreaker.lines(read, track).getFirst().length()).isIn(3, 7);
  }

  @Test
  void aWordThatIsTooLongStaysWhole() {
    assertThat(CaptionLineBreaker.lines("x".repeat(90) + " and more", "en", rules(2, 42)))
        .containsExactly("x".repeat(90), "and more");
  }

  @Test
  void veryLongTextIsBrokenInTime() {
    Assertions.assertTimeoutPreemptively(
        Duration.ofSeconds(20),
        () ->
            CaptionLineBreaker.lines(
                "seven words make quite a good line ".repeat(280), "en", rules(2, 42)));
  }
}
