package dynamorph.typeset.compose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.typeset.Setting;
import dynamorph.typeset.layout.Line;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Words of joined letters are lengthened at one join each. */
class KashidaTest {
  private static Setting amiri(String words) {
    return Setting.of(words)
        .with(Properties.FONT_FAMILY, "Amiri")
        .with(Properties.SIZE, FontSize.points(20));
  }

  /** The units before which a line's words are lengthened. */
  private static List<Integer> lengthened(Line line, Line plain) {
    List<Integer> units = new ArrayList<>();
    GlyphRun run = line.runs().getFirst();
    GlyphRun natural = plain.runs().getFirst();
    IntStream.range(0, run.starts().length)
        .filter(cluster ->
            run.right()[cluster] - run.left()[cluster]
                > natural.right()[cluster] - natural.left()[cluster] + 0.01)
        .forEach(cluster -> units.add(run.starts()[cluster]));
    return units.reversed();
  }

  @ParameterizedTest
  @CsvSource({
    // behind seen, before all others
    "\u0633\u0644\u0627\u0645, 1",
    // before the final dal, and not before the meem
    "\u0645\u062D\u0645\u062F, 3",
    // before the final heh
    "\u0644\u0647\u0628\u0647, 3",
    // a tatweel that is typed
    "\u062D\u0640\u062D\u062F, 2",
    // nothing joins
    "\u062F\u0627\u0631, -1",
    // Amiri draws these joins above the line of its tatweel
    "\u0628\u0631\u0628, -1",
    "\u0628\u0647\u064A, -1",
    // once in each word
    "\u0633\u062F \u0633\u062F, 1 4"
  })
  void aJoinIsLengthenedWhereScribesDoFirst(String words, String units) {
    Line plain = amiri(words).layout().lines().getFirst();
    Line tracked = amiri(words).with(Properties.TRACKING, 100.0).layout().lines().getFirst();
    String found =
        String.join(" ", lengthened(tracked, plain).stream().map(String::valueOf).toList());
    assertThat(found).isEqualTo(units.equals("-1") ? "" : units);
  }

  /** A word in two colours is lengthened once, where it is in one. */
  @Test
  void coloursCutNoWord() {
    String word = "\u0645\u062D\u0645\u062F";
    Line whole = amiri(word).with(Properties.TRACKING, 100.0).layout().lines().getFirst();
    for (int cut = 1; cut < word.length(); cut++) {
      PropertySet red =
          PropertySet.EMPTY.with(
              Properties.COAT_COLOUR.at(Address.coat("fill")), Colour.hex("#ff0000"));
      Paragraph parts =
          Paragraph.of(
              Span.of(word.substring(0, cut)), new Span(word.substring(cut), List.of(), red));
      Line coloured =
          new Setting(
                  new Story(List.of(parts)), amiri(word).with(Properties.TRACKING, 100.0).values())
              .layout()
              .lines()
              .getFirst();
      assertThat(coloured.width()).isCloseTo(whole.width(), within(0.001));
      assertThat(coloured.runs().stream().filter(run -> run.starts().length == 0)).hasSize(1);
    }
  }

  /** Tracking of a tenth of an em at two joins, in one place. */
  @Test
  void trackingLengthensByWhatAllJoinsGet() {
    String word = "\u0633\u0644\u0645";
    double plain = amiri(word).layout().lines().getFirst().width();
    double wide = amiri(word).with(Properties.TRACKING, 100.0).layout().lines().getFirst().width();
    assertThat(wide - plain).isCloseTo(2 * 0.1 * 20, within(0.01));
  }

  @Test
  void justifiedLinesAreFilledAndNoLongerThanALineLooks() {
    String words = "\u0627\u0644\u0633\u0644\u0627\u0645 \u0639\u0644\u064A\u0643\u0645 ";
    Setting text =
        amiri(words.repeat(12))
            .with(Properties.ALIGNMENT, Alignment.JUSTIFIED)
            .with(Properties.WORD_SPACING_MAXIMUM, 100.0)
            .inBox(170);
    List<Line> lines = text.layout().lines();
    List<Line> plain = text.with(Properties.KASHIDA, false).layout().lines();
    assertThat(lines).hasSameSizeAs(plain);
    for (int index = 0; index + 1 < lines.size(); index++) {
      assertThat(lines.get(index).width()).isEqualTo(170, within(0.01));
      List<GlyphRun> signs =
          lines.get(index).runs().stream().filter(run -> run.starts().length == 0).toList();
      assertThat(signs).as("tatweels of line %d", index).isNotEmpty();
      for (GlyphRun sign : signs) {
        double advance =
            sign.size()
                * sign.face().shaping().advance(sign.glyphs()[0])
                / sign.face().shaping().unitsPerEm();
        assertThat(sign.glyphs().length * advance * sign.stretch()).isLessThan(1.4 * 20);
      }
    }
  }
}
