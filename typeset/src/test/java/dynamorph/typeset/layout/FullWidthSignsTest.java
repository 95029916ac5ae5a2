package dynamorph.typeset.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.property.Properties;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.LineBreaking;
import dynamorph.model.value.PunctuationSpacing;
import dynamorph.model.value.WritingMode;
import dynamorph.typeset.Setting;
import dynamorph.typeset.compose.GlyphRun;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** White of full-width signs, by the pairs of W3C, Requirements for Japanese Text Layout, 3.1. */
class FullWidthSignsTest {
  private static final double SIZE = 20;

  private static Setting japanese(String text) {
    return Setting.of(text)
        .with(Properties.FONT_FAMILY, "Noto Sans JP")
        .with(Properties.LANGUAGE, "ja");
  }

  private static double ems(Setting setting) {
    return setting.layout().lines().getFirst().width() / SIZE;
  }

  /** Squares of the whole, and what is trimmed where two meet. */
  @ParameterizedTest
  @CsvSource({
    "\u6642\u3002\u6642, 3", // a full stop keeps its white before a letter
    "\u6642\u300C\u6642, 3",
    "\u300D\u300C, 1.5", // closing, opening
    "\u3002\u300C, 1.5", // full stop, opening
    "\u3001\u300D, 1.5", // comma, closing
    "\u300D\u300D, 1.5",
    "\u300D\u3002, 1.5",
    "\u300C\u300C, 1.5", // opening, opening
    "\u300D\u30FB\u300C, 2", // closing, middle dot, opening
    "\uFF08\u300C\u6642\u300D\u3002\uFF09, 4.5"
  })
  void whereSignsMeetHalfAnEmIsTrimmed(String text, double squares) {
    assertThat(ems(japanese(text))).isCloseTo(squares, within(0.001));
    assertThat(
            ems(japanese(text).with(Properties.WRITING_MODE, WritingMode.VERTICAL_RIGHT_TO_LEFT)))
        .isCloseTo(squares, within(0.001));
    assertThat(
            ems(japanese(text).with(Properties.PUNCTUATION_SPACING, PunctuationSpacing.FULL_WIDTH)))
        .isCloseTo(text.length(), within(0.001));
  }

  /**
   * JLREQ 3.8.3: a justified line of 9.9 squares takes a tenth sign, if one of them gives what
   * lacks; a full stop does not.
   */
  @ParameterizedTest
  @CsvSource({
    "\u3001, 10, 0",
    "\u300D, 10, 0",
    "\u300C, 10, 0.1",
    "\u30FB, 10, 0.05",
    "\u3002, 9, 0",
    "\u6642, 9, 0"
  })
  void aTightLineTakesTheWhiteOfSigns(String sign, int taken, double moved) {
    String clock = "\u6642\u8A08";
    String text = clock + sign + "\u6642" + clock.repeat(12);
    Setting justified =
        japanese(text)
            .with(Properties.ALIGNMENT, Alignment.JUSTIFIED)
            .with(Properties.LINE_BREAKING, LineBreaking.WHOLE_PARAGRAPH)
            .inBox(9.9 * SIZE);
    Line line = justified.layout().lines().getFirst();
    assertThat(line.end()).isEqualTo(taken);
    assertThat(line.width()).isCloseTo(9.9 * SIZE, within(0.01));
    if (taken == 10) {
      GlyphRun run = line.runs().getFirst();
      assertThat((double) run.x()[2]).isCloseTo((2 - moved) * SIZE, within(0.01));
      assertThat((double) run.x()[3]).as("what follows").isCloseTo(2.9 * SIZE, within(0.01));
    }
  }

  /** As the fonts' own half widths (halt) have it: the glyph moves into what it lost. */
  @Test
  void anOpeningBracketMovesIntoItsWhite() {
    GlyphRun run = japanese("\u300C\u300C").layout().lines().getFirst().runs().getFirst();
    assertThat((double) run.x()[1]).isCloseTo(SIZE / 2, within(0.01));
    assertThat((double) run.left()[1]).isCloseTo(SIZE, within(0.01));
    assertThat((double) run.advances()[1]).isCloseTo(SIZE / 2, within(0.01));
  }

  /** In traditional Chinese full stops stand in the middle of their squares. */
  @Test
  void stopsInTheMiddleOfTheirSquareKeepIt() {
    Setting taiwan = japanese("\u3002\u300C").with(Properties.LANGUAGE, "zh-Hant");
    assertThat(ems(taiwan)).isCloseTo(2, within(0.001));
  }

  @ParameterizedTest
  @EnumSource(
      value = WritingMode.class,
      names = {"HORIZONTAL", "VERTICAL_RIGHT_TO_LEFT"})
  void linesBeginAndEndWithoutWhiteIfAskedFor(WritingMode mode) {
    // five squares a line: brackets at the edges give way to a sixth letter
    Setting lines =
        japanese("\u300C\u6642\u6642\u6642\u6642\u3001\u300C\u6642\u6642\u6642\u6642\u3002")
            .with(Properties.WRITING_MODE, mode)
            .inBox(5 * SIZE, 200)
            .with(Properties.BOX_HEIGHT, mode.isVertical() ? 5 * SIZE : 200);
    Setting trimmed =
        lines.with(Properties.PUNCTUATION_SPACING, PunctuationSpacing.TRIM_LINE_EDGES);
    List<Integer> ends = new ArrayList<>();
    trimmed.layout().lines().forEach(line -> ends.add(line.end()));
    assertThat(ends).containsExactly(6, 12);
    assertThat(lines.layout().lines()).hasSizeGreaterThan(2);
    Line first = trimmed.layout().lines().getFirst();
    assertThat(first.left()).isCloseTo(-SIZE / 2, within(0.01));
    // the comma lost its white to the bracket behind it: at the end there is none left to take
    Setting narrower =
        trimmed
            .with(Properties.BOX_WIDTH, mode.isVertical() ? 200 : 4.9 * SIZE)
            .with(Properties.BOX_HEIGHT, mode.isVertical() ? 4.9 * SIZE : 200);
    assertThat(narrower.layout().lines().getFirst().end()).isLessThan(6);
  }

  /** A proportional quotation mark has no square to be trimmed. */
  @Test
  void signsOfLatinFontsAreLeftAsTheyAre() {
    Setting latin = Setting.of("\u201D\u201C\u2019\u2019");
    assertThat(latin.layout().lines().getFirst().width())
        .isEqualTo(
            latin
                .with(Properties.PUNCTUATION_SPACING, PunctuationSpacing.FULL_WIDTH)
                .layout()
                .lines()
                .getFirst()
                .width());
  }
}
