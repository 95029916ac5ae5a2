package dynamorph.model.reach;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.shape.Shape;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.value.FontSize;
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
                .plus(Layer.of("d", "Ground", new Shape.Ellipse())));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "style=Label title ; a",
        "style=label ; a",
        "follows=Label Title ; a b",
        "style!=Label title ; b c d",
        "artboard~panel ; a b",
        "artboard~panel && local>0 ; b",
        "local=0 && kind=text ; a c",
        "kind=shape || style=Loan ; b d",
        "!(artboard=Web) && name=title ; a b",
        "size>=40 ; a b",
        "size<40 && font!~Anton ; c d",
        "text~\"bell (cast)\" ; a",
        "id=c||id=d ; c d",
      })
  void layersAreChosenInWords(String query, String expected) {
    assertThat(LayerQuery.parse(query).in(project).stream().map(Object::toString))
        .containsExactly(expected.split(" "));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"", "style", "colour=red", "style=a &&", "(style=a", "local>many", "a=b c)"})
  void whatCannotBeReadIsToldWithItsPlace(String query) {
    assertThatThrownBy(() -> LayerQuery.parse(query))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("at character");
  }

  @Test
  void aWordThatIsNotAFieldIsAnsweredWithThoseThatAre() {
    assertThatThrownBy(() -> LayerQuery.parse("colour=red"))
        .hasMessageContaining("style, follows, artboard");
  }
}
