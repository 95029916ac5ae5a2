package dynamorph.typeset.layout;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.property.Properties;
import dynamorph.model.text.Story;
import dynamorph.model.text.TextRange;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.LineBreaking;
import dynamorph.typeset.Setting;
import dynamorph.typeset.compose.ComposedLine;
import dynamorph.typeset.compose.ParagraphKey;
import dynamorph.typeset.shape.ShapedParagraph;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** What is not done again when something changes, and texts of unusual size. */
class SettingAgainTest {
  private static final Story LONG =
      Story.of(
          IntStream.range(0, 60)
              .mapToObj(number -> "Paragraph " + number + " of the long story of the tower clock.")
              .collect(Collectors.joining("\n")));

  private final Typesetter typesetter = Setting.typesetter();

  private static Setting columns(Story story) {
    return Setting.of(story)
        .inBox(500, 3000)
        .with(Properties.COLUMNS, 2.0)
        .with(Properties.ALIGNMENT, Alignment.JUSTIFIED)
        .with(Properties.LINE_BREAKING, LineBreaking.WHOLE_PARAGRAPH);
  }

  @Test
  void typingSetsOnlyTheParagraphThatIsTypedIn() {
    List<Line> before = columns(LONG).layout(typesetter).lines();
    int at = LONG.startOf(30) + 4;
    Story typed = LONG.replace(TextRange.caret(at), "xyz");
    List<Line> after = columns(typed).layout(typesetter).lines();
    assertThat(set(after, 29)).isEqualTo(set(before, 29));
    assertThat(set(after, 31)).isEqualTo(set(before, 31));
    assertThat(set(after, 30)).isNotEqualTo(set(before, 30));
    assertThat(after.getLast().start()).isEqualTo(before.getLast().start() + 3);
  }

  /** The lines of a paragraph, which have no equality but their own. */
  private static List<ComposedLine> set(List<Line> lines, int paragraph) {
    return lines.stream().filter(line -> line.paragraph() == paragraph).map(Line::set).toList();
  }

  @Test
  void anotherSizeOrWidthShapesNothing() {
    Setting small = columns(LONG);
    Setting large = small.with(Properties.SIZE, FontSize.points(31));
    ShapedParagraph one = shaped(small);
    assertThat(shaped(large)).isSameAs(one);
    assertThat(shaped(small.with(Properties.TRACKING, 10.0))).isNotSameAs(one);
    assertThat(shaped(small.with(Properties.LEADING_AUTO, 200.0))).isSameAs(one);
  }

  private ShapedParagraph shaped(Setting setting) {
    ParagraphKey key = Typesetter.paragraphs(setting.story(), setting.look()).getFirst();
    return typesetter.composer().shape(key.shapeKey());
  }

  @Test
  void aChangeOfColourGivesTheSameLayout() {
    Setting setting = columns(LONG);
    Setting coloured =
        setting.with(Properties.UNDERLINE, true).with(Properties.DECORATION_THICKNESS, 300.0);
    assertThat(coloured.layout(typesetter)).isSameAs(setting.layout(typesetter));
  }

  @Test
  void aMegabyteWithoutASpaceIsOneLineAndReported() {
    TextLayout layout = Setting.of("x".repeat(1_000_000)).inBox(100).layout();
    assertThat(layout.lines()).hasSize(1);
    assertThat(layout.overset().orElseThrow().tooWide()).isTrue();
    assertThat(layout.offsetAt(1e9, 5)).isEqualTo(1_000_000);
  }

  @Test
  void tenThousandMarksStandOnOneLetter() {
    TextLayout layout = Setting.of("e" + "\u0301".repeat(10_000)).inBox(100).layout();
    assertThat(layout.lines()).hasSize(1);
    assertThat(layout.width()).isEqualTo(100);
  }

  @Test
  void aMeasureOfNothingGivesEachPieceItsLine() {
    TextLayout layout = Setting.of("some words here").inBox(0).layout();
    assertThat(layout.lines()).hasSize(3);
    assertThat(layout.overset()).isPresent();
  }

  @Test
  void emptyParagraphsKeepTheirHeight() {
    TextLayout layout = Setting.of("\n\n").inBox(100).layout();
    assertThat(layout.lines()).hasSize(3);
    assertThat(layout.lines().get(1).baseline()).isGreaterThan(layout.lines().get(0).baseline());
  }
}
