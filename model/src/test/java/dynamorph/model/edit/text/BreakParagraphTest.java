package dynamorph.model.edit.text;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.edit.style.DeleteStyle;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.text.TextRange;
import dynamorph.model.value.NextStyle;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What style a paragraph has that Enter begins. */
class BreakParagraphTest {
  private static final LayerId TEXT = new LayerId("t");
  private static final PropertySet BOLD = PropertySet.EMPTY.with(Properties.FONT_WEIGHT, 700.0);

  private static Style style(String id, StyleLevel level, String next) {
    PropertySet values = PropertySet.EMPTY.with(Properties.NEXT_STYLE, NextStyle.parse(next));
    return new Style(new StyleId(id), id, "", level, Optional.empty(), values, "");
  }

  /** A heading whose next paragraph is body, and another paragraph behind it. */
  private static Project project() {
    Paragraph heading =
        Paragraph.of(Span.of("How "), new Span("wound", List.of(new StyleId("word")), BOLD))
            .withFollows(Optional.of(new StyleId("heading")))
            .withLocal(PropertySet.EMPTY.with(Properties.DROP_LINES, 2.0));
    return Project.empty("P")
        .withStyles(
            StyleBook.of(
                List.of(
                    style("heading", StyleLevel.PARAGRAPH, "style body"),
                    style("body", StyleLevel.PARAGRAPH, "same"),
                    style("word", StyleLevel.CHARACTER, "same"),
                    style("odd", StyleLevel.PARAGRAPH, "style word"))))
        .plus(
            Artboard.empty("a", "A", 100, 100, LengthUnit.POINT)
                .plus(
                    Layer.of("t", "T", "")
                        .withStory(new Story(List.of(heading, Paragraph.of("Steps"))))));
  }

  private static String broken(Project project, int start, int end) {
    return new BreakParagraph(TEXT, new TextRange(start, end))
        .applyTo(project).layer(TEXT).orElseThrow().story().paragraphs().stream()
            .map(paragraph ->
                paragraph.follows().map(StyleId::value).orElse("none")
                    + (paragraph.local().isEmpty() ? "" : "*")
                    + ":"
                    + paragraph.text())
            .collect(Collectors.joining(" | "));
  }

  @ParameterizedTest
  @CsvSource({
    // behind the end, also where the last words were marked
    "9, 9, heading*:How wound | body: | none:Steps",
    "4, 9, heading*:How  | body: | none:Steps",
    // inside, and at the beginning, both halves stay what they are
    "3, 3, heading*:How | heading*: wound | none:Steps",
    "0, 0, heading*: | heading*:How wound | none:Steps",
    "15, 15, heading*:How wound | none:Steps | none:"
  })
  void theNextStyleComesBehindTheEnd(int start, int end, String expected) {
    assertThat(broken(project(), start, end)).isEqualTo(expected);
  }

  /** Who presses Enter twice leaves a gap, and does not begin the next style before a word. */
  @Test
  void anEmptyParagraphGoesOnInItsOwnStyle() {
    Project empty =
        project()
            .mapLayers(
                java.util.Set.of(TEXT),
                layer ->
                    layer.withStory(
                        new Story(
                            List.of(
                                Paragraph.of("")
                                    .withFollows(Optional.of(new StyleId("heading")))))));
    assertThat(broken(empty, 0, 0)).isEqualTo("heading: | heading:");
  }

  @Test
  void theNewParagraphIsPlain() {
    Project after = new BreakParagraph(TEXT, new TextRange(9, 9)).applyTo(project());
    Paragraph begun = after.layer(TEXT).orElseThrow().story().paragraphs().get(1);
    assertThat(begun.spans()).containsExactly(Span.of(""));
  }

  @Test
  void aStyleThatIsGoneOrIsOfWordsDoesNotFollow() {
    Project gone = new DeleteStyle(new StyleId("body"), Optional.empty()).applyTo(project());
    assertThat(
            gone.styles().get(new StyleId("heading")).properties().get(Properties.NEXT_STYLE.key()))
        .contains(NextStyle.SAME);
    assertThat(broken(gone, 9, 9)).isEqualTo("heading*:How wound | heading*: | none:Steps");
    Project odd =
        project()
            .mapLayers(
                java.util.Set.of(TEXT),
                layer ->
                    layer.withStory(
                        layer
                            .story()
                            .mapParagraphs(
                                one -> one.withFollows(Optional.of(new StyleId("odd"))))));
    assertThat(broken(odd, 9, 9)).startsWith("odd*:How wound | odd*: |");
  }

  @ParameterizedTest
  @ValueSource(strings = {"same", "style body", "style st-1.b"})
  void itIsReadAndWritten(String written) {
    assertThat(NextStyle.parse(written)).hasToString(written);
  }

  @ParameterizedTest
  @ValueSource(strings = {"body", "style", "style a b", "style \u00E9"})
  void nonsenseIsNoStyle(String typed) {
    assertThatThrownBy(() -> NextStyle.parse(typed))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("style");
  }
}
