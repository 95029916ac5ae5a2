package dynamorph.model.survey;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Artboard;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class StyleSimilarityTest {
  private static final PropertySet LOOK =
      PropertySet.EMPTY
          .with(Properties.FONT_FAMILY, "Anton")
          .with(Properties.SIZE, FontSize.points(40))
          .with(Properties.COAT_COLOUR.at(Address.coat("fill")), Colour.hex("#22303b"));

  private static Style style(String id, PropertySet values) {
    return Style.text(id, id, "").withProperties(values);
  }

  private static List<StyleSimilarity.Alike> alike(PropertySet candidate, Style... styles) {
    Project project = Project.empty("P").withStyles(StyleBook.of(List.of(styles)));
    return StyleSimilarity.of(project, style("candidate", candidate));
  }

  @Test
  void theSameLookIsFoundHoweverItIsSaid() {
    Style base = style("base", PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(20)));
    Style derived =
        style("derived", LOOK.with(Properties.SIZE, new FontSize.Times(2)))
            .withBasedOn(Optional.of(base.id()));
    assertThat(alike(LOOK, base, derived))
        .singleElement()
        .satisfies(found -> {
          assertThat(found.style()).isEqualTo(derived);
          assertThat(found.isEqual()).isTrue();
        });
  }

  @Test
  void slightDifferencesAreNamedAndLargeOnesMakeAnotherLook() {
    PropertySet near =
        LOOK.with(Properties.SIZE, FontSize.points(41))
            .with(Properties.COAT_COLOUR.at(Address.coat("fill")), Colour.hex("#25333d"));
    assertThat(alike(LOOK, style("near", near)).getFirst().differences())
        .extracting(key -> key.property().id())
        .containsExactlyInAnyOrder("size", "colour");
    assertThat(alike(LOOK, style("large", LOOK.with(Properties.SIZE, FontSize.points(50)))))
        .isEmpty();
    assertThat(alike(LOOK, style("other", LOOK.with(Properties.FONT_FAMILY, "Amiri")))).isEmpty();
  }

  @Test
  void theBaseOfAnArtboardIsProposedByItsSize() {
    Style base = style("base", PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(24)));
    Project project =
        Project.empty("P")
            .withStyles(StyleBook.of(List.of(base)))
            .withBaseStyle(Optional.of(base.id()));
    StyleId id = new StyleId("fresh");
    assertThat(BaseProposal.of(project, 900, 700, id).style()).as("it suits").isEmpty();
    BaseProposal large = BaseProposal.of(project, 2551, 1701, id);
    assertThat(large.isNew()).isTrue();
    assertThat(large.style().orElseThrow().basedOn()).contains(base.id());
    assertThat(large.style().orElseThrow().properties().get(Properties.SIZE.key()))
        .contains(FontSize.points(57));
    Project with =
        project
            .withStyles(project.styles().with(large.style().orElseThrow()))
            .plus(
                Artboard.empty("a", "A", 900, 600, LengthUnit.MILLIMETRE)
                    .withBaseStyle(Optional.of(id)));
    BaseProposal again = BaseProposal.of(with, 2400, 1600, new StyleId("another"));
    assertThat(again.isNew()).as("one that is used so already will do").isFalse();
    assertThat(again.style().map(Style::id)).contains(id);
  }
}
