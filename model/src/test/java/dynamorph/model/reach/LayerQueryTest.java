package dynamorph.model.reach;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.property.Address;
import dynamorph.model.property.CoatProperties;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.shape.Shape;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Length;
import dynamorph.model.value.Rgba;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class LayerQueryTest {
  private final Project project = project();

  private static Project project() {
    Style label =
        Style.text("label", "Label title", "")
            .withProperties(
                PropertySet.EMPTY
                    .with(Properties.SIZE, FontSize.points(40))
                    .with(Properties.FONT_FAMILY, "Anton"));
    Style loan = Style.text("loan", "Loan", "").withBasedOn(Optional.of(label.id()));
    PropertySet tracked = PropertySet.EMPTY.with(Properties.TRACKING, 5.0);
    return Project.empty("Q")
        .withStyles(StyleBook.of(List.of(label, loan)))
        .plus(
            Artboard.empty("panel", "Panel 1", 100, 100, LengthUnit.MILLIMETRE)
                .plus(
                    Layer.of("a", "Title", "The bell (cast)")
                        .withFollows(List.of(new StyleId("label"))))
                .plus(
                    Layer.of("b", "Title", "A loan")
                        .withFollows(List.of(new StyleId("loan")))
                        .withLocal(tracked)))
        .plus(
            Artboard.empty("web", "Web", 100, 100, LengthUnit.PIXEL)
                .plus(Layer.of("c", "Note", "plain"))
                .plus(Layer.of("d", "Ground", new Shape.Ellipse()))
                .plus(noticed()));
  }

  /** A thin first paragraph and a bold word in the second, with a stroke around all. */
  private static Layer noticed() {
    Span bold = Span.of("today").withLocal(PropertySet.EMPTY.with(Properties.FONT_WEIGHT, 700.0));
    return Layer.of("e", "Notice", "")
        .withStory(
            Story.of(
                Paragraph.of("Open"), Paragraph.of("").withSpans(List.of(Span.of("till "), bold))))
        .withLocal(
            PropertySet.EMPTY
                .with(Properties.ALIGNMENT, Alignment.CENTRE)
                .with(Properties.LEADING, Leading.parse("160 %"))
                .with(CoatProperties.STROKE_WIDTH.at(Address.coat("rim")), Length.points(2))
                .with(
                    Properties.COAT_COLOUR.at(Address.coat("rim")),
                    Colour.of(Rgba.parse("#aa0000"))));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "style=Label title ; a",
        "style=label ; a",
        "follows=Label Title ; a b",
        "style!=Label title ; b c d e",
        "artboard~panel ; a b",
        "artboard~panel && local>0 ; b",
        "local=0 && kind=text ; a c",
        "kind=shape || style=Loan ; b d",
        "!(artboard=Web) && name=title ; a b",
        "size>=40 ; a b",
        "size<40 && font!~Anton ; c d e",
        "tracking>=5 ; b",
        "tracking!=5 ; a c d e",
        "tracking=5 && size=40 pt ; b",
        "leading>150% ; e",
        "leading<150% ; none",
        "alignment=centre ; e",
        "font-weight>600 && size<40 ; e",
        "finish/rim/width>\"1 pt\" ; e",
        "finish/rim/width>0.5em ; none",
        "finish/rim/colour=#aa0000 ; e",
        "finish/fill/colour~swatch ; none",
        "text~\"bell (cast)\" ; a",
        "id=c||id=d ; c d",
      })
  void layersAreChosenInWords(String query, String expected) {
    assertThat(LayerQuery.parse(query).in(project).stream().map(Object::toString))
        .containsExactly(expected.equals("none") ? new String[0] : expected.split(" "));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "style",
        "colour=red",
        "style=a &&",
        "(style=a",
        "local>many",
        "a=b c)",
        "tracking=wide",
        "alignment>centre",
        "size>big"
      })
  void whatCannotBeReadIsToldWithItsPlace(String query) {
    assertThatThrownBy(() -> LayerQuery.parse(query))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("at character");
  }

  @Test
  void whatAPropertyCannotBeIsToldWithWhatItCan() {
    assertThatThrownBy(() -> LayerQuery.parse("local>0 && alignment=middle"))
        .hasMessageContaining("at character 22")
        .hasMessageContaining("centre");
    assertThatThrownBy(() -> LayerQuery.parse("trakcing>2")).hasMessageContaining("tracking");
  }

  @Test
  void aWordThatIsNotAFieldIsAnsweredWithThoseThatAre() {
    assertThatThrownBy(() -> LayerQuery.parse("colour=red"))
        .hasMessageContaining("style, follows, artboard");
  }
}
