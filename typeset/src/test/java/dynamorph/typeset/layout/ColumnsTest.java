package dynamorph.typeset.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Length;
import dynamorph.typeset.Setting;
import java.util.ArrayList;
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

  /** Two columns, told by the letter of each line; capitals are paragraphs of that kind. */
  private static String columns(int lines, Property<Boolean> kept, String... paragraphs) {
    List<Paragraph> story = new ArrayList<>();
    for (String paragraph : paragraphs) {
      boolean own = Character.isUpperCase(paragraph.charAt(0));
      story.add(
          Paragraph.of(String.join("\u2028", paragraph.split("")))
              .withLocal(own ? PropertySet.EMPTY.with(kept, true) : PropertySet.EMPTY));
    }
    TextLayout layout =
        Setting.of(new Story(story))
            .with(Properties.LEADING, new Leading.Absolute(LEADING))
            .with(Properties.COLUMNS, 3.0)
            .inBox(300, (lines - 1) * LEADING + 30)
            .layout();
    StringBuilder told = new StringBuilder();
    double column = 0;
    for (Line line : layout.lines()) {
      told.append(line.x() > column ? "|" : "");
      told.append(String.join("", paragraphs).charAt(told.toString().replace("|", "").length()));
      column = line.x();
    }
    return told.toString();
  }

  @Test
  void aHeadingStaysWithTheTextBelowIt() {
    assertThat(columns(3, Properties.KEEP_WITH_NEXT, "aa", "h", "bb")).isEqualTo("aah|bb");
    assertThat(columns(3, Properties.KEEP_WITH_NEXT, "aa", "H", "bb")).isEqualTo("aa|Hbb");
    // two headings below each other go together
    assertThat(columns(4, Properties.KEEP_WITH_NEXT, "aa", "H", "K", "bb")).isEqualTo("aa|HKbb");
    // of a longer one only the end goes along
    assertThat(columns(3, Properties.KEEP_WITH_NEXT, "a", "HH", "bb")).isEqualTo("aH|Hbb");
    // where there is nothing but headings a column is not left empty
    assertThat(columns(2, Properties.KEEP_WITH_NEXT, "H", "H", "H", "H")).isEqualTo("HH|HH");
  }

  @Test
  void theLinesOfAParagraphStayTogetherWhereTheyHaveRoom() {
    assertThat(columns(3, Properties.KEEP_LINES_TOGETHER, "aa", "bb")).isEqualTo("aab|b");
    assertThat(columns(3, Properties.KEEP_LINES_TOGETHER, "aa", "BB")).isEqualTo("aa|BB");
    assertThat(columns(3, Properties.KEEP_LINES_TOGETHER, "BBBB")).isEqualTo("BBB|B");
  }

  @Test
  void aParagraphBeginsAColumnIfAskedFor() {
    assertThat(columns(5, Properties.BREAK_BEFORE, "a", "b", "c")).isEqualTo("abc");
    assertThat(columns(5, Properties.BREAK_BEFORE, "a", "B", "c")).isEqualTo("a|Bc");
    assertThat(columns(5, Properties.BREAK_BEFORE, "A", "B", "c")).isEqualTo("A|Bc");
    // behind the last column there is none
    assertThat(columns(5, Properties.BREAK_BEFORE, "a", "B", "C", "D")).isEqualTo("a|B|CD");
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
