package dynamorph.typeset.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Length;
import dynamorph.typeset.Setting;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * How lines are stacked: what keeps together, on which grid, how high they are, how they shrink.
 */
class ColumnsTest {
  private static final double LEADING = 20;

  /** Paragraphs of lines that end by line separators, in two columns of so many lines. */
  private static List<Long> linesPerColumn(int lines, boolean keep, int... paragraphs) {
    StringBuilder text = new StringBuilder();
    for (int paragraph = 0; paragraph < paragraphs.length; paragraph++) {
      text.append(paragraph == 0 ? "" : "\n");
      for (int line = 0; line < paragraphs[paragraph]; line++) {
        text.append(line == 0 ? "" : "\u2028").append("ab");
      }
    }
    TextLayout layout =
        Setting.of(text.toString())
            .with(Properties.LEADING, new Leading.Absolute(LEADING))
            .with(Properties.COLUMNS, 3.0)
            .with(Properties.AVOID_WIDOWS_ORPHANS, keep)
            .inBox(300, (lines - 1) * LEADING + 30)
            .layout();
    return layout.lines().stream()
        .map(Line::left)
        .distinct()
        .map(left -> layout.lines().stream().filter(line -> line.left() == left).count())
        .toList();
  }

  @Test
  void theLastOfThreeLinesTakesTheOthersAlong() {
    // line by line: four and one; the last line alone would be a widow, one line with it an orphan
    assertThat(linesPerColumn(4, false, 2, 3)).containsExactly(4L, 1L);
    assertThat(linesPerColumn(4, true, 2, 3)).containsExactly(2L, 3L);
  }

  @Test
  void theLastOfFourLinesTakesOneAlong() {
    assertThat(linesPerColumn(5, false, 2, 4)).containsExactly(5L, 1L);
    assertThat(linesPerColumn(5, true, 2, 4)).containsExactly(4L, 2L);
  }

  @Test
  void theFirstLineOfAParagraphDoesNotStayAlone() {
    assertThat(linesPerColumn(3, false, 2, 3)).containsExactly(3L, 2L);
    assertThat(linesPerColumn(3, true, 2, 3)).containsExactly(2L, 3L);
  }

  @ParameterizedTest
  @CsvSource({"12, 12, 12", "12, 13, 24", "12, 24, 24", "12, 24.1, 36", "10, 0.5, 10"})
  void baselinesStandOnTheNextLineOfTheGrid(double grid, double leading, double expected) {
    TextLayout layout =
        Setting.of("one\ntwo\nthree")
            .with(Properties.SIZE, FontSize.points(8))
            .with(Properties.LEADING, new Leading.Absolute(leading))
            .with(Properties.BASELINE_GRID, grid)
            .inBox(200, 400)
            .layout();
    for (int line = 1; line < 3; line++) {
      assertThat(layout.lines().get(line).baseline() - layout.lines().get(line - 1).baseline())
          .as("from line %d to the next", line)
          .isCloseTo(expected, within(1e-6));
    }
  }

  @ParameterizedTest
  @CsvSource({"0, 0", "-6, 6", "6, 0"})
  void loweredLettersReachFurtherDown(double shift, double further) {
    Span plain = Span.of("low");
    Span shifted =
        Span.of("er")
            .withLocal(PropertySet.EMPTY.with(Properties.BASELINE_SHIFT, Length.points(shift)));
    double usual = Setting.of("lower").layout().lines().getFirst().descent();
    double own =
        Setting.of(new Story(List.of(Paragraph.of(plain, shifted))))
            .layout()
            .lines()
            .getFirst()
            .descent();
    assertThat(own - usual).isCloseTo(further, within(1e-6));
  }

  @Test
  void aShrinkingBoxTakesTheLargestSizeThatFits() {
    Setting setting =
        Setting.of("A line that is a good deal longer than its box is wide, so that it shrinks.")
            .with(Properties.SIZE, FontSize.points(40))
            .with(Properties.SHRINK_TO, 10.0)
            .inBox(300, 90);
    double shrunk = size(setting.with(Properties.BOX, BoxFit.SHRINK).layout());
    assertThat(fits(setting, shrunk)).isTrue();
    // whole percents of 40 pt
    assertThat(fits(setting, shrunk + 0.4)).as("one percent larger").isFalse();
  }

  @Test
  void aBoxWithoutWordsIsNeverOverset() {
    assertThat(Setting.of("").with(Properties.BOX, BoxFit.FIXED).inBox(300, 2).layout().overset())
        .as("nothing is lost")
        .isEmpty();
    assertThat(Setting.of("a").with(Properties.BOX, BoxFit.FIXED).inBox(300, 2).layout().overset())
        .isPresent();
  }

  private static boolean fits(Setting setting, double size) {
    return setting.with(Properties.SIZE, FontSize.points(size)).layout().overset().isEmpty();
  }

  private static double size(TextLayout layout) {
    return layout.lines().getFirst().runs().getFirst().size();
  }
}
