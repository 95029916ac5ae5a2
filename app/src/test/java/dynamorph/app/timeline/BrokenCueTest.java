package dynamorph.app.timeline;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Layer;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Breaking the words of a cue into other lines, and what the lanes show of time. */
class BrokenCueTest {
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "one two three | one two/three | one two/three",
        "one/two three | one two/three | one two/three",
        "one / two/three | one two three | one two three",
        "one  two | one/two | one/two",
        "\u6642\u8a08\u306f\u56db\u6642 | \u6642\u8a08\u306f/\u56db\u6642 | \u6642\u8a08\u306f/\u56db\u6642"
      })
  void breaksStandWhereTheLinesEnd(String words, String lines, String expected) {
    Layer cue = Layer.of("c", "c", words.replace('/', '\u2028'));
    Story broken = FilmActions.broken(cue, List.of(lines.split("/")));
    assertThat(broken.text().replace('\u2028', '/').replaceAll(" +", " ")).isEqualTo(expected);
  }

  @Test
  void wordsKeepTheirLook() {
    Span loud =
        Span.of("two three ").withLocal(PropertySet.EMPTY.with(Properties.FONT_WEIGHT, 700.0));
    Layer cue =
        Layer.of("c", "c", "")
            .withStory(Story.of(Paragraph.of(Span.of("one "), loud, Span.of("four"))));
    Story broken = FilmActions.broken(cue, List.of("one two", "three four"));
    assertThat(broken.text()).isEqualTo("one two\u2028three four");
    assertThat(broken.spanAt(6).local()).isEqualTo(loud.local());
    assertThat(broken.spanAt(11).local()).isEqualTo(loud.local());
    assertThat(broken.spanAt(broken.length()).local()).isEqualTo(PropertySet.EMPTY);
  }

  @Test
  void whatIsUnderThePointerStaysThereWhenTheLanesAreZoomed() {
    LaneView view = new LaneView(4, 20);
    LaneView near = view.zoomed(3, 200);
    assertThat(near.time(200)).isEqualTo(view.time(200));
    assertThat(near.x(near.time(321))).isCloseTo(321, org.assertj.core.api.Assertions.within(0.01));
    assertThat(view.panned(-1000).start()).as("nothing is before the beginning").isZero();
    assertThat(view.step() * view.scale()).isGreaterThanOrEqualTo(84);
    assertThat(near.step()).isLessThanOrEqualTo(view.step());
  }
}
