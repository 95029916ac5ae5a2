package dynamorph.typeset.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.property.Properties;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Kerning;
import dynamorph.model.value.LastLine;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Length;
import dynamorph.model.value.LineBreaking;
import dynamorph.model.value.ListKind;
import dynamorph.model.value.NumberStyle;
import dynamorph.model.value.OverlongWords;
import dynamorph.model.value.ScriptPosition;
import dynamorph.model.value.TabStops;
import dynamorph.model.value.TextCase;
import dynamorph.model.value.VerticalAlignment;
import dynamorph.typeset.LayoutAssert;
import dynamorph.typeset.Setting;
import dynamorph.typeset.compose.GlyphRun;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What columns, lists, tabs, drop capitals and justification do to lines. */
class ComposingTest {
  private static final String PROSE =
      "The restoration of the extraordinary clockwork mechanism took more than seven painstaking"
          + " years of uninterrupted labour, and every keeper since has carried a wedge of felt in"
          + " his pocket and an opinion about where it belongs.";

  private static Setting prose() {
    return Setting.of(PROSE)
        .with(Properties.FONT_FAMILY, "EB Garamond")
        .with(Properties.LANGUAGE, "en-GB");
  }

  @Test
  void hyphenatedLinesEndInAHyphenAndStayInTheirMeasure() {
    List<Line> lines =
        prose()
            .inBox(170)
            .with(Properties.ALIGNMENT, Alignment.JUSTIFIED)
            .with(Properties.LINE_BREAKING, LineBreaking.WHOLE_PARAGRAPH)
            .with(Properties.HYPHENATE, true)
            .layout()
            .lines();
    assertThat(lines).anyMatch(line -> line.set().isHyphenated());
    for (Line line : lines) {
      assertThat(line.width()).isLessThanOrEqualTo(170.02);
      if (!line.endsParagraph()) {
        assertThat(rightEdge(line)).isEqualTo(170, within(0.05));
      }
    }
    assertThat(lines.getLast().set().isHyphenated()).isFalse();
  }

  /**
   * CSS Text 3, overflow-wrap: only a word that fits no line is broken, and on a line of its own.
   */
  @ParameterizedTest
  @EnumSource(LineBreaking.class)
  void wordsLongerThanALineAreBrokenWhereThatIsWanted(LineBreaking breaking) {
    Setting file =
        Setting.of("See clockwork-mechanism_restorationfinalfinal.pdf soon")
            .with(Properties.LINE_BREAKING, breaking)
            .inBox(140);
    assertThat(file.layout().lines()).anyMatch(line -> line.width() > 141);
    Setting broken = file.with(Properties.OVERLONG_WORDS, OverlongWords.BREAK);
    List<Line> lines = broken.layout().lines();
    assertThat(lines).allMatch(line -> line.width() <= 140.02);
    assertThat(lines).noneMatch(line -> line.set().isHyphenated());
    LayoutAssert.assertThatLayout(broken).isWhole();
    String text = broken.story().text();
    assertThat(text.substring(lines.getFirst().start(), lines.getFirst().end()))
        .isEqualTo("See clockwork-");
    assertThat(text.substring(lines.get(1).start(), lines.get(1).end())).startsWith("mechanism_");
    assertThat(broken.inBox(1000).layout().lines()).hasSize(1);
  }

  @ParameterizedTest
  @EnumSource(LineBreaking.class)
  void aBrokenWordBeginsALine(LineBreaking breaking) {
    Setting broken =
        Setting.of("To extraordinarilylongwordwithoutend")
            .with(Properties.LINE_BREAKING, breaking)
            .with(Properties.OVERLONG_WORDS, OverlongWords.BREAK)
            .inBox(130);
    assertThat(broken.layout().lines().getFirst().end()).isEqualTo("To ".length());
  }

  @Test
  void lettersOfSeveralUnitsAreNeverBroken() {
    String letter = "e\u0301\u0323";
    List<Line> lines =
        Setting.of(letter.repeat(20))
            .with(Properties.OVERLONG_WORDS, OverlongWords.BREAK)
            .inBox(35)
            .layout()
            .lines();
    assertThat(lines).hasSizeGreaterThan(4).allMatch(line -> line.end() % letter.length() == 0);
  }

  /** Where the last glyph that shows ends. */
  private static double rightEdge(Line line) {
    double edge = 0;
    for (GlyphRun run : line.runs()) {
      for (int glyph = 0; glyph < run.glyphs().length; glyph++) {
        boolean space =
            glyph < run.units().length && run.glyphs()[glyph] == (short) run.face().glyph(' ');
        if (!space) {
          edge = Math.max(edge, line.x() + run.x()[glyph] + run.advances()[glyph]);
        }
      }
    }
    return edge;
  }

  @Test
  void hangingPunctuationStandsOutOfTheColumn() {
    Setting plain =
        Setting.of("\u201COne, two, three\u201D said the keeper of the clock, and wound it.")
            .inBox(150)
            .with(Properties.ALIGNMENT, Alignment.JUSTIFIED);
    Setting hung = plain.with(Properties.HANG_START, 100.0).with(Properties.HANG_END, 100.0);
    assertThat(plain.layout().lines().getFirst().left()).isZero();
    assertThat(hung.layout().lines().getFirst().left()).isLessThan(-5);
    assertThat(hung.layout().lines()).anyMatch(line -> line.left() + line.width() > 151);
  }

  @ParameterizedTest
  @CsvSource({"START, 0", "CENTRE, 0.5", "END, 1"})
  void theLastJustifiedLineStandsWhereItIsTold(LastLine where, double share) {
    Line last =
        prose()
            .inBox(200)
            .with(Properties.ALIGNMENT, Alignment.JUSTIFIED)
            .with(Properties.LAST_LINE, where)
            .layout()
            .lines()
            .getLast();
    assertThat(last.left()).isEqualTo((200 - last.width()) * share, within(0.02));
  }

  @Test
  void lettersAndTheirWidthTakeTheirPartOfTheWhite() {
    Setting justified =
        prose()
            .inBox(170)
            .with(Properties.ALIGNMENT, Alignment.JUSTIFIED)
            .with(Properties.LETTER_SPACING_MAXIMUM, 60.0)
            .with(Properties.GLYPH_SCALING_MAXIMUM, 104.0);
    Line first = justified.layout().lines().getFirst();
    assertThat(rightEdge(first)).isEqualTo(170, within(0.05));
    assertThat(first.runs().getFirst().stretch()).isGreaterThan(1).isLessThanOrEqualTo(1.04001);
  }

  @Test
  void balancedLinesAreAboutEquallyLong() {
    Setting title = Setting.of("How the tower clock of Halm came back to its own time").inBox(330);
    List<Line> ragged = title.layout().lines();
    List<Line> balanced = title.with(Properties.BALANCE, true).layout().lines();
    assertThat(balanced).hasSameSizeAs(ragged);
    assertThat(spread(balanced)).isLessThan(spread(ragged));
  }

  private static double spread(List<Line> lines) {
    var widths = lines.stream().mapToDouble(Line::width).summaryStatistics();
    return widths.getMax() - widths.getMin();
  }

  @Test
  void columnsAreFilledOneAfterTheOther() {
    Setting setting =
        prose().inBox(420, 140).with(Properties.COLUMNS, 3.0).with(Properties.GUTTER, 15.0);
    TextLayout layout = setting.layout();
    assertThat(layout.lines().stream().map(Line::x).distinct()).containsExactly(0.0, 145.0, 290.0);
    assertThat(layout.lines()).allMatch(line -> line.width() <= 130.01);
    LayoutAssert.assertThatLayout(setting).isWhole();
    int second =
        IntStream.range(0, layout.lines().size())
            .filter(line -> layout.lines().get(line).x() > 0)
            .findFirst()
            .orElseThrow();
    int start = layout.lines().get(second).start();
    assertThat(layout.offsetAt(146, 2)).isEqualTo(start);
    assertThat(layout.caretAt(start).along()).isEqualTo(145, within(0.5));
  }

  @Test
  void aGrowingBoxEvensItsColumns() {
    TextLayout layout =
        prose().inBox(420).with(Properties.COLUMNS, 3.0).with(Properties.GUTTER, 15.0).layout();
    List<Long> lines =
        layout.lines().stream()
            .map(Line::x)
            .distinct()
            .map(x -> layout.lines().stream().filter(line -> line.x() == x).count())
            .toList();
    assertThat(lines).hasSize(3);
    assertThat(lines.getFirst() - lines.getLast()).isBetween(0L, 2L);
    assertThat(layout.overset()).isEmpty();
  }

  @Test
  void noLineOfAParagraphStandsAloneInAColumn() {
    String two = "One two three four five six seven eight nine ten.\n" + PROSE;
    for (int height = 60; height < 200; height += 7) {
      Setting setting =
          Setting.of(two)
              .inBox(420, height)
              .with(Properties.COLUMNS, 3.0)
              .with(Properties.AVOID_WIDOWS_ORPHANS, true);
      List<Line> lines = setting.layout().shownLines();
      for (int index = 1; index < lines.size(); index++) {
        boolean newColumn = lines.get(index).x() != lines.get(index - 1).x();
        boolean goesOn = lines.get(index).paragraph() == lines.get(index - 1).paragraph();
        if (newColumn && goesOn && columnHolds(lines, index - 1) > 2) {
          assertThat(startsParagraph(lines, index - 1)).as("height " + height).isFalse();
          assertThat(lines.get(index).endsParagraph()).as("height " + height).isFalse();
        }
      }
    }
  }

  private static boolean startsParagraph(List<Line> lines, int index) {
    return index == 0 || lines.get(index - 1).paragraph() != lines.get(index).paragraph();
  }

  private static long columnHolds(List<Line> lines, int index) {
    return lines.stream().filter(line -> line.x() == lines.get(index).x()).count();
  }

  @ParameterizedTest
  @EnumSource(VerticalAlignment.class)
  void linesStandInTheHeightOfTheirBox(VerticalAlignment where) {
    TextLayout layout =
        Setting.of("one\ntwo\nthree")
            .inBox(200, 300)
            .with(Properties.VERTICAL_ALIGNMENT, where)
            .layout();
    double top = layout.lines().getFirst().top();
    double bottom = 300 - layout.lines().getLast().bottom();
    switch (where) {
      case TOP -> assertThat(top).isZero();
      case MIDDLE -> assertThat(top).isEqualTo(bottom, within(0.01));
      case BOTTOM -> assertThat(bottom).isEqualTo(0, within(0.01));
      case JUSTIFIED -> assertThat(top + bottom).isEqualTo(0, within(0.01));
    }
  }

  @Test
  void linesStandOnTheBaselineGrid() {
    TextLayout layout =
        Setting.of("one\ntwo\nthree")
            .inBox(200, 300)
            .with(Properties.BASELINE_GRID, 17.0)
            .with(Properties.SPACE_AFTER, Length.points(5))
            .layout();
    double origin = layout.lines().getFirst().baseline();
    assertThat(layout.lines())
        .allSatisfy(
            line -> assertThat((line.baseline() - origin) % 17).isEqualTo(0, within(0.001)));
  }

  @Test
  void aShrinkingBoxSetsItsTextSmallerButNotTooSmall() {
    Setting box =
        prose()
            .inBox(200, 120)
            .with(Properties.BOX, BoxFit.SHRINK)
            .with(Properties.SHRINK_TO, 30.0);
    TextLayout layout = box.layout();
    assertThat(layout.overset()).isEmpty();
    assertThat(layout.scale()).isBetween(0.3, 0.95);
    TextLayout kept = box.with(Properties.SHRINK_TO, 95.0).layout();
    assertThat(kept.scale()).isEqualTo(0.95);
    assertThat(kept.overset()).isPresent();
  }

  @Test
  void aDropCapitalIsAsDeepAsItsLines() {
    Setting setting = prose().inBox(220).with(Properties.DROP_LINES, 3.0);
    TextLayout layout = setting.layout();
    GlyphRun capital = layout.lines().getFirst().runs().getFirst();
    assertThat(capital.glyphs()).hasSize(1);
    assertThat(capital.starts()).containsExactly(0);
    double below = layout.lines().get(2).baseline() - layout.lines().getFirst().baseline();
    assertThat((double) capital.y()[0]).isEqualTo(below, within(0.01));
    double top = below - capital.size() * capital.face().lines().capHeight();
    assertThat(top).isEqualTo(-20 * capital.face().lines().capHeight(), within(0.01));
    assertThat(layout.lines().get(2).left()).isGreaterThan(20);
    assertThat(layout.lines().get(3).left()).isZero();
    LayoutAssert.assertThatLayout(setting).isWhole();
  }

  @ParameterizedTest
  @CsvSource({
    "DECIMAL, 4, 4.",
    "LOWER_LETTERS, 28, ab.",
    "UPPER_ROMAN, 1944, MCMXLIV.",
    "LOWER_ROMAN, 9, ix."
  })
  void numbersAreWrittenAsTheListSays(NumberStyle style, double first, String mark) {
    Setting setting =
        Setting.of("wind it")
            .inBox(300)
            .with(Properties.LIST, ListKind.NUMBERS)
            .with(Properties.LIST_NUMBERS, style)
            .with(Properties.LIST_START, first);
    GlyphRun marks = setting.layout().lines().getFirst().runs().getFirst();
    assertThat(marks.starts()).as("no part of the text").isEmpty();
    assertThat(marks.glyphs()).hasSize(mark.length());
    assertThat(marks.glyphs()[0] & 0xFFFF).isEqualTo(marks.face().glyph(mark.charAt(0)));
  }

  @Test
  void listsCountOnAndHang() {
    List<Line> lines =
        Setting.of("one and a little more than that\ntwo")
            .inBox(120)
            .with(Properties.LIST, ListKind.NUMBERS)
            .with(Properties.INDENT_START, Length.points(30))
            .with(Properties.INDENT_FIRST, Length.points(-30))
            .layout()
            .lines();
    assertThat(lines).allMatch(line -> line.left() == 30);
    GlyphRun second = lines.getLast().runs().getFirst();
    assertThat(second.glyphs()[0] & 0xFFFF).isEqualTo(second.face().glyph('2'));
    assertThat(second.x()[0]).isZero();
  }

  @Test
  void tabsGoToTheirStopsAndLeadersFillTheWay() {
    Line line =
        Setting.of("oil\t12.50\tsee")
            .inBox(400)
            .with(Properties.TAB_STOPS, TabStops.parse("100 decimal '.', 300 end"))
            .layout()
            .lines()
            .getFirst();
    double point = edgeOf(line, 6, true);
    assertThat(point).isEqualTo(100, within(0.1));
    assertThat(edgeOf(line, 12, false)).isEqualTo(300, within(0.1));
    assertThat(line.runs().getLast().glyphs().length).as("leader").isGreaterThan(5);
  }

  private static double edgeOf(Line line, int unit, boolean left) {
    for (GlyphRun run : line.runs()) {
      for (int cluster = 0; cluster < run.starts().length; cluster++) {
        if (run.starts()[cluster] == unit) {
          return left ? run.left()[cluster] : run.right()[cluster];
        }
      }
    }
    throw new AssertionError("no cluster at " + unit);
  }

  @Test
  void smallCapitalsAreTheFontsOwnOrMadeFromCapitals() {
    Setting own =
        Setting.of("Hour")
            .with(Properties.FONT_FAMILY, "EB Garamond")
            .with(Properties.CASE, TextCase.SMALL_CAPITALS);
    assertThat(own.layout().lines().getFirst().runs()).hasSize(1);
    Setting made = own.with(Properties.FONT_FAMILY, "Caveat");
    List<GlyphRun> runs = made.layout().lines().getFirst().runs();
    assertThat(runs).hasSize(2);
    assertThat(runs.getLast().size()).isLessThan(runs.getFirst().size());
    assertThat(runs.getLast().glyphs()[0] & 0xFFFF).isEqualTo(runs.getLast().face().glyph('O'));
  }

  @Test
  void raisedFiguresAreTheFontsOwnOrMadeSmaller() {
    Setting own =
        Setting.of("2")
            .with(Properties.FONT_FAMILY, "EB Garamond")
            .with(Properties.SCRIPT_POSITION, ScriptPosition.SUPERSCRIPT);
    GlyphRun real = own.layout().lines().getFirst().runs().getFirst();
    assertThat(real.size()).isEqualTo(20);
    assertThat(real.glyphs()[0] & 0xFFFF).isNotEqualTo(real.face().glyph('2'));
    GlyphRun made =
        own.with(Properties.FONT_FAMILY, "Amiri").layout().lines().getFirst().runs().getFirst();
    assertThat(made.size()).isLessThan(14);
    assertThat(made.y()[0]).isLessThan(-4);
  }

  @Test
  void opticalKerningBringsOpenPairsTogether() {
    Setting pair = Setting.of("AV").with(Properties.KERNING, Kerning.NONE);
    double plain = pair.layout().width();
    double optical = pair.with(Properties.KERNING, Kerning.OPTICAL).layout().width();
    assertThat(optical).isLessThan(plain - 0.8);
    Setting straight = Setting.of("nn").with(Properties.KERNING, Kerning.NONE);
    assertThat(straight.with(Properties.KERNING, Kerning.OPTICAL).layout().width())
        .isEqualTo(straight.layout().width(), within(0.05));
  }

  @ParameterizedTest
  @ValueSource(strings = {" ", "\u2003", "\u2002\u2009", "\u3000", "\u205F"})
  void spacesAtTheEndOfALineTakeNoRoom(String space) {
    double word = Setting.of("pendulum").layout().width();
    TextLayout layout = Setting.of("pendulum" + space + "pendulum").inBox(word + 0.5).layout();
    assertThat(layout.lines()).hasSize(2);
    assertThat(layout.lines().getFirst().width()).isEqualTo(word, within(1e-6));
    assertThat(layout.overset()).isEmpty();
  }

  @Test
  void aDropCapitalKeepsItsHeightFreeBelowAShortParagraph() {
    Setting setting =
        Setting.of("Hush\nThe bell rings")
            .inBox(220)
            .with(Properties.LEADING, new Leading.Relative(1.2))
            .with(Properties.DROP_LINES, 3.0);
    TextLayout layout = setting.layout();
    // its foot stands on the third baseline of its paragraph, which has one line
    assertThat(layout.lines().get(1).baseline() - layout.lines().getFirst().baseline())
        .isEqualTo(3 * 24.0, within(1e-9));
    double alone =
        Setting.of("Hush")
            .inBox(220)
            .with(Properties.LEADING, new Leading.Relative(1.2))
            .with(Properties.DROP_LINES, 3.0)
            .layout()
            .height();
    double plain =
        Setting.of("Hush")
            .inBox(220)
            .with(Properties.LEADING, new Leading.Relative(1.2))
            .layout()
            .height();
    assertThat(alone - plain).isEqualTo(2 * 24.0, within(1e-9));
  }

  @Test
  void kerningByShapeAndTighterTrackingLeaveJoinedLettersJoined() {
    String greeting = "\u0627\u0644\u0633\u0644\u0627\u0645 \u0639\u0644\u064A\u0643\u0645";
    Setting plain = Setting.of(greeting).with(Properties.FONT_FAMILY, "Amiri");
    GlyphRun set = plain.layout().lines().getFirst().runs().getFirst();
    for (Setting changed :
        List.of(
            plain.with(Properties.KERNING, Kerning.OPTICAL),
            plain.with(Properties.TRACKING, -100.0).with(Properties.KERNING, Kerning.OPTICAL))) {
      GlyphRun run = changed.layout().lines().getFirst().runs().getFirst();
      assertThat(run.glyphs()).isEqualTo(set.glyphs());
      assertThat(run.x()).isEqualTo(set.x());
    }
  }

  @Test
  void justifiedArabicWithoutKashidaStretchesBetweenWordsAlone() {
    String words = "\u0627\u0644\u0633\u0644\u0627\u0645 \u0639\u0644\u064A\u0643\u0645 ";
    Setting text =
        Setting.of(words.repeat(12))
            .with(Properties.FONT_FAMILY, "Amiri")
            .with(Properties.ALIGNMENT, Alignment.JUSTIFIED)
            .with(Properties.LETTER_SPACING_MAXIMUM, 40.0)
            .with(Properties.KASHIDA, false)
            .inBox(170);
    GlyphRun justified = text.layout().lines().get(1).runs().getFirst();
    GlyphRun natural =
        Setting.of(words)
            .with(Properties.FONT_FAMILY, "Amiri")
            .layout()
            .lines()
            .getFirst()
            .runs()
            .getFirst();
    assertThat(steps(justified)).as("the distances in the two words").containsAll(steps(natural));
    assertThat(text.layout().lines().get(1).width()).isEqualTo(170, within(0.01));
  }

  /** From each glyph to the next, in hundredths of a point; what is before a space is left out. */
  private static Set<Long> steps(GlyphRun run) {
    int space = run.face().glyph(' ');
    Set<Long> steps = new TreeSet<>();
    for (int glyph = 1; glyph + 1 < run.glyphs().length; glyph++) {
      if ((run.glyphs()[glyph - 1] & 0xFFFF) != space) {
        steps.add((long) Math.round((run.x()[glyph] - run.x()[glyph - 1]) * 100));
      }
    }
    return steps;
  }

  @Test
  void lettersAreStretchedShearedAndShifted() {
    Setting plain = Setting.of("Hour").with(Properties.SIZE, FontSize.points(20));
    double width = plain.layout().width();
    Setting wide = plain.with(Properties.HORIZONTAL_SCALE, 150.0).with(Properties.SHEAR, 12.0);
    assertThat(wide.layout().width()).isEqualTo(width * 1.5, within(0.05));
    GlyphRun run = wide.layout().lines().getFirst().runs().getFirst();
    assertThat(run.stretch()).isEqualTo(1.5);
    assertThat(run.skew()).isEqualTo(GlyphRun.LEAN, within(1e-9));
    Setting shifted = plain.with(Properties.BASELINE_SHIFT, Length.points(4));
    assertThat(shifted.layout().lines().getFirst().runs().getFirst().y()[0]).isEqualTo(-4);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"abc \u05D0\u05D1\u05D2 def", "\u0627\u0644\u0633\u0627\u0639\u0629 12 abc"})
  void theCaretStepsAsTheEyeSeesIt(String text) {
    TextLayout layout = Setting.of(text).layout();
    CaretPlace place = new CaretPlace(0, false);
    for (int step = 0; step < text.length() * 2; step++) {
      place = layout.beside(place, true, _ -> true);
    }
    double x = layout.caretAt(place).along();
    assertThat(x).as("the left end").isEqualTo(layout.lines().getFirst().left(), within(0.01));
    int steps = 0;
    CaretPlace next = layout.beside(place, false, _ -> true);
    while (!next.equals(place)) {
      double moved = layout.caretAt(next).along();
      assertThat(moved).as("step " + steps).isGreaterThan(x);
      x = moved;
      place = next;
      next = layout.beside(place, false, _ -> true);
      steps++;
    }
    assertThat(steps).isEqualTo(text.length());
  }

  /** Lines begin behind all letters that are dropped, however many words they are. */
  @Test
  void droppedWordsAreOnNoLineOfTheirOwn() {
    TextLayout layout =
        Setting.of("one two three four five six seven eight nine ten")
            .with(Properties.DROP_LINES, 2.0)
            .with(Properties.DROP_LETTERS, 9.0)
            .inBox(60)
            .layout();
    List<Integer> units = new ArrayList<>();
    for (Line line : layout.lines()) {
      for (GlyphRun run : line.runs()) {
        for (int start : run.starts()) {
          units.add(start);
        }
      }
    }
    assertThat(units).doesNotHaveDuplicates().contains(0, 8, 9);
  }
}
