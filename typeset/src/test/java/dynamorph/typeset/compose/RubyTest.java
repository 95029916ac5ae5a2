package dynamorph.typeset.compose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.value.Leading;
import dynamorph.model.value.OverlongWords;
import dynamorph.typeset.Setting;
import dynamorph.typeset.layout.Line;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RubyTest {
  private static final double SIZE = 20;

  private static Setting setting(Span... spans) {
    return Setting.of(Story.of(Paragraph.of(spans)))
        .with(Properties.FONT_FAMILY, "Noto Sans JP")
        .with(Properties.LANGUAGE, "ja");
  }

  private static Span read(String letters, String ruby) {
    return Span.of(letters).withRuby(ruby);
  }

  private static Line line(Span... spans) {
    return setting(spans).layout().lines().getFirst();
  }

  /** Runs of half the size, which no caret stands in. */
  private static List<GlyphRun> over(Line line) {
    return line.runs().stream().filter(run -> run.size() == SIZE / 2).toList();
  }

  private static double left(GlyphRun run) {
    return run.x()[0];
  }

  /** East Asian letters are as wide as high. */
  private static double right(GlyphRun run) {
    return run.x()[run.x().length - 1] + run.size();
  }

  private static double leftOf(Line line, int unit) {
    for (GlyphRun run : line.runs()) {
      for (int cluster = 0; cluster < run.starts().length; cluster++) {
        if (run.starts()[cluster] == unit) {
          return run.left()[cluster];
        }
      }
    }
    throw new AssertionError("no letter at " + unit);
  }

  @Test
  void aNarrowRubyIsSpreadOverItsBaseWithTheSameWhiteAroundEachLetter() {
    Line line = line(read("時時時時", "とき"), Span.of("の"));
    GlyphRun ruby = over(line).getFirst();
    assertThat(ruby.starts()).as("it is no typed text").isEmpty();
    // four letters of 20 hold two of 10, so that 60 is left: 15 at each side and 30 between
    assertThat(left(ruby)).isEqualTo(15, within(0.01));
    assertThat(right(ruby)).isEqualTo(65, within(0.01));
    assertThat(line.width()).isEqualTo(5 * SIZE, within(0.01));
    assertThat(ruby.y()[0]).isEqualTo((float) (-0.94 * SIZE), within(0.01f));
  }

  @Test
  void latinLettersOverABaseStayTogetherInItsMiddle() {
    Line line = line(read("時時時時", "no"));
    GlyphRun ruby = over(line).getFirst();
    double before = left(ruby);
    double gap = ruby.x()[1] - ruby.x()[0];
    assertThat(gap).isLessThan(SIZE / 2);
    assertThat(before).isBetween(30.0, 37.0);
  }

  @ParameterizedTest
  @CsvSource({
    // four letters of 10 over one of 20: kana at both sides give 5 each, so 10 more are needed
    "の, の, 70, 15",
    // one side alone
    "の, 時, 75, 15",
    "時, の, 75, 20",
    "時, 時, 80, 20"
  })
  void aWideRubyReachesOverKanaAndSpreadsItsBaseForTheRest(
      String before, String behind, double width, double from) {
    Line line = line(Span.of(before), read("時", "とときき"), Span.of(behind));
    assertThat(line.width()).isEqualTo(width, within(0.01));
    GlyphRun ruby = over(line).getFirst();
    assertThat(left(ruby)).isEqualTo(from, within(0.01));
    assertThat(right(ruby) - left(ruby)).isEqualTo(40, within(0.01));
    // the letter stands in the middle of its share
    GlyphRun base = line.runs().get(1);
    double own = base.x()[0];
    double share = (leftOf(line, 1) + leftOf(line, 2) - SIZE) / 2;
    assertThat(own).isEqualTo(share, within(0.6));
  }

  /** JLREQ 3.3.8: the kana that it would reach over stands on another line. */
  @Test
  void atTheEndsOfLinesARubyStandsInsideTheMeasure() {
    List<Line> lines =
        setting(Span.of("ののの"), read("時", "ときき"), Span.of("のの")).inBox(3.2 * SIZE).layout().lines();
    assertThat(lines.get(1).start()).isEqualTo(3);
    assertThat(left(over(lines.get(1)).getFirst())).isEqualTo(0, within(0.01));
    List<Line> ends =
        setting(Span.of("のの"), read("時", "ときき"), Span.of("ののの")).inBox(3.3 * SIZE).layout().lines();
    assertThat(ends.getFirst().end()).isEqualTo(3);
    assertThat(right(over(ends.getFirst()).getFirst())).isEqualTo(3 * SIZE, within(0.01));
  }

  @Test
  void aBaseIsNotBrokenInAnEmergency() {
    Setting narrow =
        setting(Span.of("の"), read("時計", "とけい"), Span.of("の"))
            .with(Properties.OVERLONG_WORDS, OverlongWords.BREAK)
            .inBox(1.4 * SIZE);
    assertThat(narrow.layout().lines()).extracting(Line::start).containsExactly(0, 1, 3);
  }

  @Test
  void partsStandOverALetterEach() {
    Line line = line(read("時計", "と け"));
    assertThat(over(line)).hasSize(2);
    assertThat(left(over(line).get(0))).isEqualTo(5, within(0.01));
    assertThat(left(over(line).get(1))).isEqualTo(25, within(0.01));
    assertThat(over(line(read("時計台", "と け")))).as("parts that do not match").hasSize(1);
  }

  @Test
  void lettersOfTwoLooksAreOneBase() {
    Span bold = read("計", "とけい").withLocal(PropertySet.EMPTY.with(Properties.FONT_WEIGHT, 700.0));
    Line line = line(read("時", "とけい"), bold);
    assertThat(over(line)).hasSize(1);
    assertThat(left(over(line).getFirst())).isEqualTo(10.0 / 6, within(0.01));
  }

  @Test
  void lettersOfARubyThatNoFontHasAreTold() {
    assertThat(setting(read("時計", "と\uE123")).layout().missingGlyphs()).containsExactly(0xE123);
    assertThat(setting(read("時計", "とけい")).layout().missingGlyphs()).isEmpty();
  }

  @Test
  void linesDoNotEndInsideABase() {
    // five letters fit, and without a ruby the line would end inside
    Setting plain = setting(Span.of("時計時計時計")).inBox(5 * SIZE);
    assertThat(plain.layout().lines().getFirst().end()).isEqualTo(5);
    Setting read = setting(Span.of("時計時"), read("計時計", "と")).inBox(5 * SIZE);
    assertThat(read.layout().lines().getFirst().end()).isEqualTo(3);
    Setting parts = setting(Span.of("時計時"), read("計時計", "と と と")).inBox(5 * SIZE);
    assertThat(parts.layout().lines().getFirst().end()).isEqualTo(5);
  }

  @Test
  void aLineKeepsRoomForItsRuby() {
    Setting tight =
        setting(Span.of("時計"), Span.of("\u2028"), read("時計", "とけい"))
            .with(Properties.LEADING, new Leading.Relative(1.0));
    List<Line> lines = tight.layout().lines();
    assertThat(lines.get(1).baseline() - lines.get(0).baseline())
        .isEqualTo(1.5 * SIZE, within(0.01));
    Setting wide = tight.with(Properties.LEADING, new Leading.Relative(2.0));
    lines = wide.layout().lines();
    assertThat(lines.get(1).baseline() - lines.get(0).baseline())
        .as("leading that is wide enough stays")
        .isEqualTo(2 * SIZE, within(0.01));
  }
}
