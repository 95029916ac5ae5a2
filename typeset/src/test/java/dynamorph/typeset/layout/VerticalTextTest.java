package dynamorph.typeset.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.random.RandomProjects;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.FeatureSettings;
import dynamorph.model.value.Leading;
import dynamorph.model.value.PunctuationSpacing;
import dynamorph.model.value.TateChuYoko;
import dynamorph.model.value.TextOrientation;
import dynamorph.model.value.VerticalAlignment;
import dynamorph.model.value.WritingMode;
import dynamorph.typeset.Setting;
import dynamorph.typeset.compose.GlyphRun;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class VerticalTextTest {
  private static final double SIZE = 20;
  private static final String HOURS = "\u9577\u3044\u6642\u9593\u3002";

  private static Setting vertical(String text) {
    return vertical(Story.of(text));
  }

  private static Setting vertical(Story story) {
    return Setting.of(story)
        .with(Properties.FONT_FAMILY, "Noto Sans JP")
        .with(Properties.LANGUAGE, "ja")
        .with(Properties.LEADING, new Leading.Absolute(30))
        .with(Properties.WRITING_MODE, WritingMode.VERTICAL_RIGHT_TO_LEFT);
  }

  private static List<GlyphRun> runs(Setting setting) {
    return setting.layout().lines().getFirst().runs();
  }

  /** As {@code hb-shape --direction=ttb --script=Hani --language=ja} of HarfBuzz 6 has it. */
  @Test
  void glyphsStandAsTheShaperOfAnotherProgramHasThem() {
    List<Integer> glyphs = new ArrayList<>();
    Setting words =
        vertical("\u300C\u9577\u3044\u3001\u30FC\u3002\u300D")
            .with(Properties.PUNCTUATION_SPACING, PunctuationSpacing.FULL_WIDTH);
    for (GlyphRun run : runs(words)) {
      for (int glyph = 0; glyph < run.glyphs().length; glyph++) {
        // an em each; the origin lies half an em left of the middle, 0.88 em below the top
        double along = (glyphs.size() + 0.88) * SIZE;
        assertThat((double) run.x()[glyph]).isCloseTo(along, within(0.01));
        assertThat((double) run.y()[glyph]).isCloseTo(0.5 * SIZE, within(0.01));
        glyphs.add(run.glyphs()[glyph] & 0xFFFF);
      }
    }
    assertThat(glyphs).containsExactly(3829, 3467, 4505, 3805, 4684, 3806, 3830);
  }

  /** The pair of vkrn as {@code hb-shape --direction=ttb} of HarfBuzz 6 has it: 1050 units. */
  @Test
  void lettersAreSetSolidUnlessPairsAreAskedFor() {
    Setting pair = vertical("\u304D\u3064");
    assertThat(pair.layout().height()).isCloseTo(2 * SIZE, within(0.01));
    assertThat(
            pair.with(Properties.FONT_FEATURES, FeatureSettings.parse("vkrn=1")).layout().height())
        .isCloseTo(2.05 * SIZE, within(0.01));
  }

  @ParameterizedTest
  @CsvSource({
    "A, false",
    "7, false",
    "\u2014, false",
    "\u2026, false",
    "\u6642, true",
    "\u304B, true",
    "\u3002, true",
    "\u30FC, true",
    "\uFF08, true",
    "\uFF21, true",
    "\u2460, true",
    "\u00A9, true"
  })
  void lettersStandAsTheirVerticalOrientationHasIt(String letter, boolean upright) {
    assertThat(runs(vertical(letter)).getFirst().upright()).isEqualTo(upright);
  }

  @Test
  void orientationCanBeSetForAllLetters() {
    Setting words = vertical("\u6642A");
    assertThat(runs(words.with(Properties.TEXT_ORIENTATION, TextOrientation.UPRIGHT)))
        .allMatch(GlyphRun::upright);
    assertThat(runs(words.with(Properties.TEXT_ORIENTATION, TextOrientation.SIDEWAYS)))
        .noneMatch(GlyphRun::upright);
  }

  /** Letters that join make no words upright. */
  @Test
  void arabicIsTurnedWhateverIsAskedFor() {
    Setting arabic =
        vertical("\u0633\u0627\u0639\u0629")
            .with(Properties.FONT_FAMILY, "Amiri")
            .with(Properties.TEXT_ORIENTATION, TextOrientation.UPRIGHT);
    assertThat(runs(arabic)).noneMatch(GlyphRun::upright).allMatch(GlyphRun::rightToLeft);
  }

  @ParameterizedTest
  @CsvSource({
    "7, TWO_DIGITS, 1",
    "12, TWO_DIGITS, 1",
    "123, TWO_DIGITS, 0",
    "123, THREE_DIGITS, 1",
    "2026, FOUR_DIGITS, 1",
    "20261, FOUR_DIGITS, 0",
    "AM, TWO_DIGITS, 0",
    "A.M., ALL, 1",
    "A M, ALL, 2"
  })
  void groupsOfDigitsStandAcrossInTheRoomOfALetter(String group, TateChuYoko set, int squares) {
    Span across = Span.of(group).withLocal(PropertySet.EMPTY.with(Properties.TATE_CHU_YOKO, set));
    Setting words = vertical(Story.of(Paragraph.of(Span.of("\u6642"), across, Span.of("\u6642"))));
    List<GlyphRun> groups =
        runs(words).stream()
            .filter(run -> run.starts()[0] > 0 && run.starts()[0] <= group.length())
            .filter(GlyphRun::upright)
            .toList();
    assertThat(groups).hasSize(squares);
    for (GlyphRun run : groups) {
      assertThat((double) run.right()[0] - run.left()[0]).isCloseTo(SIZE, within(0.01));
      // from the left of the square to its right, and in its middle
      assertThat((double) run.y()[0]).isBetween(0.0, SIZE / 2 + 0.01);
      if (run.glyphs().length > 1) {
        assertThat(run.y()).isSortedAccordingTo((one, other) -> Float.compare(other, one));
      }
    }
  }

  @Test
  void whatStandsAcrossIsNotDivided() {
    Setting words = vertical("\u6642\u6642A-B-C").with(Properties.TATE_CHU_YOKO, TateChuYoko.ALL);
    TextLayout layout =
        words.with(Properties.BOX, BoxFit.GROW).with(Properties.BOX_HEIGHT, 1.0).layout();
    assertThat(layout.lines()).hasSize(1);
  }

  @Test
  void linesFollowEachOtherToTheLeftOrToTheRight() {
    Setting words = vertical(HOURS + "\n" + HOURS + "\n" + HOURS);
    TextLayout left = words.layout();
    // squares of 20 pt, 30 pt apart
    assertThat(left.width()).isCloseTo(80, within(0.01));
    assertThat(left.height()).isCloseTo(100, within(0.01));
    assertThat(left.lines().stream().map(line -> line.box().x())).containsExactly(60.0, 30.0, 0.0);
    TextLayout right =
        words.with(Properties.WRITING_MODE, WritingMode.VERTICAL_LEFT_TO_RIGHT).layout();
    assertThat(right.lines().stream().map(line -> line.box().x())).containsExactly(0.0, 30.0, 60.0);
  }

  @Test
  void aBoxGivesTheLengthOfLinesByItsHeight() {
    TextLayout grown =
        vertical(HOURS + HOURS)
            .with(Properties.BOX, BoxFit.GROW)
            .with(Properties.BOX_HEIGHT, 85.0)
            .layout();
    // four letters; the full stop may not begin the second line
    assertThat(grown.lines()).hasSize(3);
    assertThat(grown.width()).isCloseTo(80, within(0.01));
    assertThat(grown.height()).isEqualTo(85);
    TextLayout narrow = vertical(HOURS + HOURS).inBox(50, 85).layout();
    assertThat(narrow.overset().orElseThrow().hiddenLines()).isEqualTo(1);
    TextLayout middle =
        vertical(HOURS)
            .inBox(100, 200)
            .with(Properties.VERTICAL_ALIGNMENT, VerticalAlignment.MIDDLE)
            .layout();
    assertThat(middle.lines().getFirst().box().x()).isCloseTo(40, within(0.01));
  }

  @Test
  void columnsLieBelowEachOther() {
    TextLayout layout =
        vertical(HOURS + "\n" + HOURS)
            .inBox(30, 220)
            .with(Properties.COLUMNS, 2.0)
            .with(Properties.GUTTER, 20.0)
            .layout();
    assertThat(layout.lines().get(0).box()).isEqualTo(new Box(10, 0, 20, 100));
    assertThat(layout.lines().get(1).box()).isEqualTo(new Box(10, 120, 20, 100));
  }

  @Test
  void rubyStandsOnTheRight() {
    Setting words = vertical(Story.of(Paragraph.of(Span.of("\u6642").withRuby("\u3068\u304D"))));
    Line line = words.layout().lines().getFirst();
    GlyphRun ruby =
        line.runs().stream().filter(run -> run.size() == SIZE / 2).findFirst().orElseThrow();
    assertThat(ruby.upright()).isTrue();
    // from 0.5 em to 1 em right of the middle: its origin is at the left of its square
    assertThat((double) ruby.y()[0]).isCloseTo(-SIZE / 2, within(0.01));
    assertThat(line.box().width()).isCloseTo(SIZE * 1.5, within(0.01));
  }

  @Test
  void aDropCapitalTakesTheSquareOfItsLines() {
    TextLayout layout =
        vertical("\u6642" + HOURS.repeat(4))
            .with(Properties.BOX, BoxFit.GROW)
            .with(Properties.BOX_HEIGHT, 120.0)
            .with(Properties.DROP_LINES, 2.0)
            .layout();
    GlyphRun capital =
        layout.lines().getFirst().runs().stream()
            .max(java.util.Comparator.comparingDouble(GlyphRun::size))
            .orElseThrow();
    // from the outer side of the first line to that of the second: 20 + 30 points
    assertThat(capital.size()).isCloseTo(50, within(0.01));
    // its middle lies between the two, its origin half an em further left
    assertThat((double) capital.y()[0]).isCloseTo(15 + 25, within(0.01));
    assertThat(layout.lines().get(1).left()).isGreaterThanOrEqualTo(50);
    assertThat(layout.lines().get(2).left()).isZero();
  }

  /** Turned text is the horizontal one, turned. */
  @Test
  void turnedLettersAreSetAsInHorizontalLines() {
    String prose =
        "They say the long hour was wound by hand, and that for sixty minutes nobody spoke.";
    Setting flat = Setting.of(prose).inBox(180);
    TextLayout horizontal = flat.layout();
    TextLayout turned =
        flat.with(Properties.WRITING_MODE, WritingMode.VERTICAL_RIGHT_TO_LEFT)
            .with(Properties.BOX_HEIGHT, 180.0)
            .layout();
    assertThat(turned.lines()).hasSameSizeAs(horizontal.lines());
    for (int line = 0; line < horizontal.lines().size(); line++) {
      GlyphRun one = horizontal.lines().get(line).runs().getFirst();
      GlyphRun other = turned.lines().get(line).runs().getFirst();
      assertThat(other.glyphs()).isEqualTo(one.glyphs());
      assertThat(other.x()).isEqualTo(one.x());
    }
  }

  /** Wherever a caret stands, a click there puts it there again. */
  @ParameterizedTest
  @EnumSource(WritingMode.class)
  void aClickOnTheCaretFindsItsPlace(WritingMode mode) {
    RandomProjects random = new RandomProjects(7);
    List<String> pieces =
        List.of("\u9577\u3044", "hour ", "\u3002", "12", "\u30FC", "\n", "\u300C\u6642\u300D", "x");
    for (int round = 0; round < 60; round++) {
      StringBuilder words = new StringBuilder("\u6642");
      for (int piece = random.number(12); piece > 0; piece--) {
        words.append(random.pick(pieces));
      }
      TextLayout layout =
          vertical(words.toString())
              .with(Properties.WRITING_MODE, mode)
              .with(Properties.BOX, BoxFit.FIXED)
              .with(Properties.BOX_WIDTH, 90.0 + random.number(200))
              .with(Properties.BOX_HEIGHT, 90.0 + random.number(200))
              .layout();
      List<Integer> wrong = new ArrayList<>();
      for (int offset = 0; offset <= words.length(); offset++) {
        Box caret = layout.caretAt(offset).box();
        int found = layout.offsetAt(caret.x() + caret.width() / 2, caret.y() + caret.height() / 2);
        if (found != offset) {
          wrong.add(offset);
        }
      }
      assertThat(wrong).as("%s in %s", words, mode).isEmpty();
    }
  }

  @Test
  void stepsLeadDownTheLineAndOverItsEnd() {
    TextLayout layout = vertical("\u9577\u3044\n\u6642").layout();
    CaretPlace place = new CaretPlace(0, false);
    List<Double> down = new ArrayList<>();
    for (int step = 0; step < 3; step++) {
      down.add(layout.caretAt(place).box().y());
      place = layout.beside(place, false, _ -> true);
    }
    assertThat(down).containsExactly(0.0, SIZE, 2 * SIZE);
    assertThat(place.offset()).isEqualTo(3);
    assertThat(layout.caretAt(place).box().x()).isLessThan(layout.caretAt(0).box().x());
  }

  @Test
  void selectedLettersAreMarkedOneBelowTheOther() {
    TextLayout layout = vertical(HOURS).layout();
    List<Box> boxes = layout.selection(new dynamorph.model.text.TextRange(1, 3));
    assertThat(boxes).containsExactly(new Box(0, SIZE, SIZE, 2 * SIZE));
  }
}
