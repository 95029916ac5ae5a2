package dynamorph.typeset.caption;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.timeline.CaptionRules;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class CueTextTest {
  private static final PropertySet BOLD = PropertySet.EMPTY.with(Properties.FONT_WEIGHT, 700.0);
  private static final Story STYLED =
      Story.of(
          Paragraph.of(Span.of("one "), Span.of("two three ").withLocal(BOLD), Span.of("four")));

  private static Story story(String words) {
    return Story.of(words.replace('/', CueText.BREAK));
  }

  private static String shown(Story story) {
    return story.text().replace(CueText.BREAK, '/');
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "one two three | one two/three | one two/three",
        "one/two three | one two/three | one two/three",
        "one/two/three | one two three | one two three",
        "one  two | one/two | one/two",
        "one | one | one",
        "\u6642\u8a08\u306f\u56db\u6642 | \u6642\u8a08\u306f/\u56db\u6642 | \u6642\u8a08\u306f/\u56db\u6642"
      })
  void breaksStandWhereTheLinesEnd(String words, String lines, String expected) {
    assertThat(shown(CueText.broken(story(words), List.of(lines.split("/"))))).isEqualTo(expected);
  }

  @Test
  void brokenWordsKeepTheirLook() {
    Story broken = CueText.broken(STYLED, List.of("one two", "three four"));
    assertThat(shown(broken)).isEqualTo("one two/three four");
    assertThat(broken.spanAt(6).local()).isEqualTo(BOLD);
    assertThat(broken.spanAt(11).local()).isEqualTo(BOLD);
    assertThat(broken.spanAt(broken.length()).local()).isEqualTo(PropertySet.EMPTY);
  }

  @Test
  void anyWordsAreBrokenAsTheRulesWantAndBrokenAgainToTheSame() {
    SplittableRandom random = new SplittableRandom(9);
    List<String> words = List.of("a", "clock,", "the", "winding", "\u6642\u8a08", "of", "tooth.");
    for (int round = 0; round < 400; round++) {
      StringBuilder text = new StringBuilder("x");
      for (int word = 0; word <= random.nextInt(30); word++) {
        text.append(random.nextInt(6) == 0 ? "/" : random.nextInt(5) == 0 ? "  " : " ")
            .append(words.get(random.nextInt(words.size())));
      }
      Story story = story(text.toString());
      List<String> lines = CaptionLineBreaker.lines(story.text(), "en", CaptionRules.USUAL);
      Story broken = CueText.broken(story, lines);
      assertThat(shown(broken).replaceAll(" +", " ")).isEqualTo(String.join("/", lines));
      assertThat(CueText.broken(broken, lines)).isEqualTo(broken);
    }
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "one six three four",
        "one two three four five",
        "zero one two three four",
        "",
        "four"
      })
  void wordsThatAreRetoldAreThoseWords(String words) {
    assertThat(CueText.retold(STYLED, words).text()).isEqualTo(words);
  }

  @Test
  void whatIsNotRetoldKeepsItsLook() {
    Story retold = CueText.retold(STYLED, "1 two three 4");
    assertThat(retold.spanAt(4).local()).isEqualTo(BOLD);
    assertThat(retold.spanAt(1).local()).isEqualTo(PropertySet.EMPTY);
    assertThat(retold.spanAt(retold.length()).local()).isEqualTo(PropertySet.EMPTY);
  }

  @Test
  void halvesHaveAllWordsButTheSpacesBetween() {
    CueText.Halves halves = CueText.halves(STYLED, 8);
    assertThat(halves.first().text()).isEqualTo("one two");
    assertThat(halves.second().text()).isEqualTo("three four");
    assertThat(halves.second().spanAt(2).local()).isEqualTo(BOLD);
    assertThat(CueText.halves(story("one/two"), 4).second().text()).isEqualTo("two");
  }
}
