package dynamorph.typeset.layout;

import static dynamorph.typeset.LayoutAssert.assertThatLayout;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.text.TextRange;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.AxisSettings;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Length;
import dynamorph.typeset.Setting;
import dynamorph.typeset.compose.GlyphRun;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class TypesetterTest {
  private static double width(Setting setting) {
    return setting.layout().lines().getFirst().width();
  }

  /**
   * OpenType, axis opsz: in points, within the 9 to 144 that the font has. Widths are those that
   * hb-shape tells: 9067, 8800 and 7481 units at 9, 40 and 144.
   */
  @ParameterizedTest
  @CsvSource({"6, 9067", "9, 9067", "40, 8800", "200, 7481"})
  void largeTextIsDrawnFinerByItself(double size, double units) {
    Setting fraunces =
        Setting.of("Hamburg")
            .with(Properties.FONT_FAMILY, "Fraunces")
            .with(Properties.SIZE, FontSize.points(size));
    Setting off = fraunces.with(Properties.OPTICAL_SIZING, false);
    // sizes within 2.5 % of each other share a face
    assertThat(width(fraunces) / width(off)).isCloseTo(units / 9067, within(0.002));
    Setting byHand = fraunces.with(Properties.FONT_AXES, AxisSettings.parse("opsz=144"));
    assertThat(width(byHand) / width(off)).isCloseTo(7481 / 9067.0, within(0.002));
    Setting plain = Setting.of("Hamburg").with(Properties.SIZE, FontSize.points(size));
    assertThat(width(plain.with(Properties.OPTICAL_SIZING, false))).isEqualTo(width(plain));
  }

  private static final String SENTENCE = "The clock had stopped at ten past four";
  private static final String ARABIC = "\u0633\u0627\u0639\u0629 \u0628\u0631\u062c";

  @Test
  void linesAreFilledOneAfterTheOther() {
    assertThatLayout(Setting.of(SENTENCE).inBox(130))
        .hasLines("The clock had", "stopped at ten", "past four")
        .isWhole()
        .runsForward();
    assertThatLayout(Setting.of(SENTENCE)).hasLines(SENTENCE).isWhole();
  }

  @Test
  void noLineIsWiderThanItsMeasureUnlessOnePieceIs() {
    for (int measure = 20; measure < 300; measure += 7) {
      double width = measure;
      TextLayout layout = Setting.of(SENTENCE).inBox(width).layout();
      for (Line line : layout.lines()) {
        boolean onePiece = !SENTENCE.substring(line.start(), line.end()).strip().contains(" ");
        assertThat(line.width() <= width + 0.01 || onePiece).as("at %s", width).isTrue();
      }
      boolean reported = layout.overset().map(Overset::tooWide).orElse(false);
      assertThat(reported)
          .isEqualTo(layout.lines().stream().anyMatch(line -> line.width() > width + 0.01));
    }
  }

  @Test
  void pointTextIsAsWideAsItsWidestLine() {
    TextLayout layout =
        Setting.of("a\nwide line\nb").with(Properties.ALIGNMENT, Alignment.RIGHT).layout();
    assertThat(layout.width()).isEqualTo(layout.lines().get(1).width());
    assertThat(layout.lines().getFirst().left() + layout.lines().getFirst().width())
        .isEqualTo(layout.width(), within(0.01));
    assertThat(layout.overset()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({"START, 0", "LEFT, 0", "CENTRE, 0.5", "END, 1", "RIGHT, 1", "JUSTIFIED, 0"})
  void alignment(Alignment alignment, double share) {
    Line line =
        Setting.of("Hour")
            .inBox(200)
            .with(Properties.ALIGNMENT, alignment)
            .layout()
            .lines()
            .getFirst();
    assertThat(line.left()).isEqualTo((200 - line.width()) * share, within(0.01));
  }

  @ParameterizedTest
  @CsvSource({"START, 1", "END, 0", "LEFT, 0", "RIGHT, 1"})
  void startAndEndFollowTheDirection(Alignment alignment, double share) {
    Line line =
        Setting.of(ARABIC)
            .inBox(200)
            .with(Properties.ALIGNMENT, alignment)
            .layout()
            .lines()
            .getFirst();
    assertThat(line.rightToLeft()).isTrue();
    assertThat(line.left()).isEqualTo((200 - line.width()) * share, within(0.01));
  }

  @Test
  void justifiedLinesReachBothEdgesButTheLast() {
    List<Line> lines =
        Setting.of(SENTENCE)
            .inBox(130)
            .with(Properties.ALIGNMENT, Alignment.JUSTIFIED)
            .layout()
            .lines();
    assertThat(lines.get(0).width()).isEqualTo(130, within(0.01));
    assertThat(lines.get(1).width()).isEqualTo(130, within(0.01));
    assertThat(lines.get(2).width()).isLessThan(100);
    GlyphRun first = lines.getFirst().runs().getLast();
    assertThat(first.right()[first.right().length - 2]).isEqualTo(130, within(0.1f));
  }

  @Test
  void indentsTakeFromTheMeasure() {
    Setting setting =
        Setting.of(SENTENCE)
            .inBox(130)
            .with(Properties.INDENT_FIRST, Length.em(1))
            .with(Properties.INDENT_START, Length.points(10))
            .with(Properties.INDENT_END, Length.points(5));
    List<Line> lines = setting.layout().lines();
    assertThat(lines.get(0).left()).isEqualTo(30);
    assertThat(lines.get(1).left()).isEqualTo(10);
    assertThat(lines).allMatch(line -> line.left() + line.width() <= 125.01);
  }

  @Test
  void aNegativeFirstIndentHangsOut() {
    Setting setting =
        Setting.of(SENTENCE)
            .inBox(130)
            .with(Properties.INDENT_START, Length.points(20))
            .with(Properties.INDENT_FIRST, Length.points(-20));
    assertThat(setting.layout().lines()).extracting(Line::left).startsWith(0.0, 20.0);
  }

  @ParameterizedTest
  @CsvSource({"auto, 24", "30 pt, 30", "150 %, 30"})
  void leadingIsTheDistanceOfBaselines(String leading, double distance) {
    List<Line> lines =
        Setting.of("one\ntwo").with(Properties.LEADING, Leading.parse(leading)).layout().lines();
    assertThat(lines.get(1).baseline() - lines.get(0).baseline()).isEqualTo(distance, within(1e-6));
    assertThat(lines.getFirst().top()).isEqualTo(0, within(1e-6));
  }

  @Test
  void spaceLiesBetweenParagraphsOnly() {
    Setting setting =
        Setting.of("one\ntwo")
            .with(Properties.SPACE_BEFORE, Length.points(5))
            .with(Properties.SPACE_AFTER, Length.points(8));
    TextLayout layout = setting.layout();
    assertThat(layout.lines().get(1).baseline() - layout.lines().get(0).baseline())
        .isEqualTo(24 + 13, within(1e-6));
    assertThat(layout.lines().getFirst().top()).isEqualTo(0, within(1e-6));
    assertThat(layout.height()).isEqualTo(layout.lines().get(1).bottom());
  }

  @Test
  void theLargestSpanDecidesALine() {
    Span large =
        Span.of("B").withLocal(PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(60)));
    TextLayout layout =
        Setting.of(Story.of(Paragraph.of("one"), Paragraph.of(Span.of("a"), large))).layout();
    assertThat(layout.lines().get(1).baseline() - layout.lines().get(0).baseline())
        .isEqualTo(72, within(1e-6));
  }

  @Test
  void trackingSpacesLettersButNotTheLast() {
    double plain = Setting.of("hour").layout().width();
    double spaced = Setting.of("hour").with(Properties.TRACKING, 100.0).layout().width();
    assertThat(spaced - plain).isEqualTo(3 * 0.1 * 20, within(0.05));
  }

  @Test
  void sizeScalesEverything() {
    TextLayout small = Setting.of("Pendulum").layout();
    TextLayout large = Setting.of("Pendulum").with(Properties.SIZE, FontSize.points(200)).layout();
    assertThat(large.width()).isEqualTo(small.width() * 10, within(0.01));
  }

  @Test
  void whatDoesNotFitAFixedBoxIsOverset() {
    TextLayout layout = Setting.of("one\ntwo\nthree\nfour").inBox(200, 54).layout();
    assertThat(layout.overset()).contains(new Overset(2, 9, false));
    assertThat(layout.shownLines()).hasSize(2);
    assertThat(layout.height()).isEqualTo(54);
    assertThat(layout.overset().orElseThrow().text()).isEqualTo("2 lines do not fit");
    assertThat(Setting.of("one\ntwo").inBox(200).layout().overset()).isEmpty();
  }

  @Test
  void aBoxTooLowForAnythingShowsItsFirstLine() {
    TextLayout layout = Setting.of("one\ntwo").inBox(200, 5).layout();
    assertThat(layout.shownLines()).hasSize(1);
    assertThat(layout.overset()).isPresent();
  }

  @Test
  void mixedDirectionsStandInVisualOrder() {
    assertThatLayout(Setting.of("ab " + ARABIC + " cd"))
        .readsFromLeft(0, "ab " + new StringBuilder(ARABIC).reverse() + " cd")
        .isWhole();
    assertThatLayout(Setting.of(ARABIC + " 1743"))
        .readsFromLeft(0, "1743 " + new StringBuilder(ARABIC).reverse())
        .isWhole();
  }

  @Test
  void aRightToLeftParagraphBreaksIntoRightToLeftLines() {
    Setting setting = Setting.of(ARABIC + " " + ARABIC + " " + ARABIC).inBox(90);
    assertThatLayout(setting).isWhole();
    assertThat(setting.layout().lines().size()).isGreaterThan(1);
    assertThat(setting.layout().lines())
        .allMatch(line -> line.left() >= -0.01 && line.left() + line.width() <= 90.01);
  }

  @Test
  void forcedBreaksEndLinesInAParagraph() {
    assertThatLayout(Setting.of("one\u2028two").inBox(300)).hasLines("one", "two").isWhole();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "\n",
        " ",
        "a\n",
        "\n\na",
        "\u0301",
        "\uD800",
        "x\uDC00y",
        "\u200F",
        "\uFFFF\uFFFE",
        "\t"
      })
  void oddTextsAreSetAllTheSame(String text) {
    assertThatLayout(Setting.of(text).inBox(60)).isWhole();
    assertThatLayout(Setting.of(text)).isWhole();
  }

  @ParameterizedTest
  @EnumSource(BoxFit.class)
  void zeroWidthIsSet(BoxFit fit) {
    Setting setting =
        Setting.of(SENTENCE)
            .with(Properties.BOX, fit)
            .with(Properties.BOX_WIDTH, 0.0)
            .with(Properties.BOX_HEIGHT, 0.0);
    assertThatLayout(setting).isWhole();
  }

  @Test
  void tenThousandCombiningMarksAreSet() {
    assertThatLayout(Setting.of("a" + "\u0301".repeat(10_000)).inBox(60)).isWhole();
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void randomTextsAreWhole(long seed) {
    SplittableRandom random = new SplittableRandom(seed);
    List<String> pieces =
        List.of(
            "hour",
            " ",
            "  ",
            "\n",
            ARABIC,
            "\u6642\u8a08",
            "e\u0301",
            "-",
            "\uD83D\uDD50",
            "(",
            ")",
            "1743",
            "office",
            "\u00A0");
    StringBuilder text = new StringBuilder();
    for (int index = 0; index < 60; index++) {
      text.append(pieces.get(random.nextInt(pieces.size())));
    }
    assertThatLayout(Setting.of(text.toString()).inBox(random.nextInt(10, 200))).isWhole();
  }

  @Test
  void aChangeOfColourOrPlaceSetsNothingAgain() {
    Typesetter typesetter = Setting.typesetter();
    TextLayout layout = Setting.of(SENTENCE).layout(typesetter);
    Setting coloured =
        Setting.of(SENTENCE)
            .with(Properties.POSITION_X, 55.0)
            .with(Properties.PLATE_MINIMUM_WIDTH, Length.points(4));
    assertThat(coloured.layout(typesetter)).isSameAs(layout);
  }

  // --- caret and selection
  // -------------------------------------------------------------------------------------------

  @Test
  void everyCaretIsFoundAgainByItsPlace() {
    Setting setting = Setting.of("The clock\nhad stopped at ten past four").inBox(120);
    TextLayout layout = setting.layout();
    for (int offset = 0; offset <= setting.story().length(); offset++) {
      Caret caret = layout.caretAt(offset);
      int back = layout.offsetAt(caret.along(), (caret.top() + caret.bottom()) / 2);
      boolean atSoftBreak = layout.lines().get(layout.lineAt(offset)).start() == offset;
      assertThat(back == offset || atSoftBreak)
          .as("offset %s came back as %s", offset, back)
          .isTrue();
    }
  }

  @Test
  void caretsOfARightToLeftWordRunLeftwards() {
    TextLayout layout = Setting.of(ARABIC).layout();
    double before = Double.POSITIVE_INFINITY;
    for (int offset = 0; offset <= ARABIC.length(); offset++) {
      double x = layout.caretAt(offset).along();
      assertThat(x).isLessThan(before);
      before = x;
    }
  }

  @Test
  void aCaretStandsInsideALigature() {
    TextLayout layout = Setting.of("ffi").with(Properties.FONT_FAMILY, "EB Garamond").layout();
    assertThat(layout.caretAt(1).along()).isGreaterThan(layout.caretAt(0).along());
    assertThat(layout.caretAt(2).along()).isGreaterThan(layout.caretAt(1).along());
  }

  @Test
  void selectedWordsAreMarkedPerLine() {
    TextLayout layout = Setting.of(SENTENCE).inBox(130).layout();
    assertThat(layout.selection(new TextRange(4, 9))).hasSize(1);
    assertThat(layout.selection(new TextRange(4, 20))).hasSize(2);
    assertThat(layout.selection(TextRange.caret(4))).isEmpty();
    Box word = layout.selection(new TextRange(4, 9)).getFirst();
    assertThat(word.x()).isEqualTo(layout.caretAt(4).along(), within(0.01));
    assertThat(word.right()).isEqualTo(layout.caretAt(9).along(), within(0.01));
  }

  @Test
  void mixedDirectionsAreMarkedInPieces() {
    String text = "ab " + ARABIC + " cd";
    TextLayout layout = Setting.of(text).layout();
    assertThat(layout.selection(new TextRange(0, 5)).size()).isGreaterThan(1);
    assertThat(layout.selection(new TextRange(0, text.length()))).hasSize(1);
  }
}
