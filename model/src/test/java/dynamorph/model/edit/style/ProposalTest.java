package dynamorph.model.edit.style;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.Target;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.style.Swatch;
import dynamorph.model.text.TextRange;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Rgba;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a style that is about to be kept would hold and be called. */
class ProposalTest {
  private static final Address FILL = Address.coat("fill");
  private static final LayerId ONE = new LayerId("one");
  private static final StyleId LABEL = new StyleId("label");

  private static Project project(String words, PropertySet local) {
    return Project.empty("P")
        .withPalette(new Palette(List.of(new Swatch("copper", "Copper", Rgba.of(170, 80, 40)))))
        .withStyles(
            StyleBook.of(
                List.of(
                    Style.text("label", "Label", "Labels")
                        .withProperties(
                            PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(20))))))
        .plus(
            Artboard.empty("a", "A", 100, 100, LengthUnit.POINT)
                .plus(Layer.of("one", "One", words).withLocal(local)));
  }

  private static PropertySet plain(double size, String colour) {
    return PropertySet.EMPTY
        .with(Properties.FONT_FAMILY, "Anton")
        .with(Properties.SIZE, FontSize.points(size))
        .with(Properties.COAT_COLOUR.at(FILL), Colour.hex(colour));
  }

  @ParameterizedTest
  @CsvSource({
    "48, #000000, 'Anton title, black'",
    "20, #ffffff, 'Anton heading, white'",
    "9, #808080, 'Anton text, grey'",
    "9, #cc1111, 'Anton text, red'",
    "9, #1111cc, 'Anton text, blue'",
    "9, #a9522b, 'Anton text, copper'",
    "9, #b0e8b0, 'Anton text, light green'"
  })
  void plainTextIsNamedByFaceRoleAndColour(double size, String colour, String name) {
    Project project = project("Hour", plain(size, colour));
    String proposed = Proposal.of(project, new Target.Layers(List.of(ONE))).name();
    assertThat(proposed).isEqualTo(name);
  }

  @Test
  void longTextIsBodyWhateverItsSize() {
    Project project =
        project("The great wheel turns once an hour. ".repeat(8), plain(40, "#000000"));
    Proposal proposal = Proposal.of(project, new Target.Layers(List.of(ONE)));
    assertThat(proposal.name()).isEqualTo("Anton body, black");
    assertThat(proposal.sample().length()).isLessThanOrEqualTo(40);
    assertThat(proposal.sample()).isEqualTo("The great wheel turns once an hour. The");
  }

  @Test
  void aTakenNameSaysMore() {
    Project project = project("Hour", plain(48, "#000000"));
    Target one = new Target.Layers(List.of(ONE));
    for (int kept = 0; kept < 4; kept++) {
      Proposal proposal = Proposal.of(project, one);
      assertThat(project.styles().named(proposal.name())).isEmpty();
      project =
          project.withStyles(
              project.styles().with(Style.text("kept-" + kept, proposal.name(), "")));
    }
    assertThat(project.styles().list())
        .extracting(Style::name)
        .containsExactly(
            "Label",
            "Anton title, black",
            "Anton title, 48 pt",
            "Anton title, black, 48 pt",
            "Anton title, Anton, black, 48 pt");
  }

  @Test
  void theSelectionDecidesTheLevelAndItCanBeChanged() {
    Project project = project("Hour bell", PropertySet.EMPTY);
    Target.Words words = new Target.Words(ONE, new TextRange(0, 4));
    Target.Words caret = new Target.Words(ONE, TextRange.caret(2));
    assertThat(Proposal.of(project, words).level()).isEqualTo(StyleLevel.CHARACTER);
    assertThat(Proposal.of(project, caret).level()).isEqualTo(StyleLevel.PARAGRAPH);
    Proposal whole = Proposal.of(project, words, StyleLevel.TEXT);
    assertThat(whole.source())
        .as("then all of the text follows it")
        .isInstanceOf(Target.Layers.class);
    assertThat(whole.level()).isEqualTo(StyleLevel.TEXT);
  }

  @Test
  void onlyWhatALevelCarriesIsProposed() {
    PropertySet centred =
        PropertySet.EMPTY
            .with(Properties.ALIGNMENT, Alignment.CENTRE)
            .with(Properties.TRACKING, 30.0);
    Project project = project("Hour bell", centred);
    for (StyleLevel level : StyleLevel.values()) {
      Proposal proposal = Proposal.of(project, new Target.Words(ONE, new TextRange(0, 4)), level);
      assertThat(proposal.values().keys())
          .allMatch(key -> level.carries(key.property()) && key.countsOn(level.level()));
      assertThat(proposal.values().keys()).containsAll(proposal.different());
      assertThat(proposal.values().has(Properties.ALIGNMENT.key()))
          .isEqualTo(level != StyleLevel.CHARACTER);
    }
  }

  @Test
  void aStyleOfTheProposalHoldsWhatIsTicked() {
    Project followed =
        project("Hour", plain(48, "#000000")).mapLayers(layer -> layer.withFollows(List.of(LABEL)));
    Proposal proposal = Proposal.of(followed, new Target.Layers(List.of(ONE)));
    assertThat(proposal.basedOn()).contains(LABEL);
    assertThat(proposal.group()).isEqualTo("Labels");
    Set<PropertyKey<?>> ticked = Set.of(Properties.SIZE.key());
    Style style = proposal.style(new StyleId("x"), "X", ticked, Optional.of(LABEL));
    assertThat(List.<Object>copyOf(style.properties().keys()))
        .containsExactly(Properties.SIZE.key());
    assertThat(style.basedOn()).contains(LABEL);
  }

  @Test
  void withoutATextThereIsNothingToKeep() {
    Project project = project("Hour", PropertySet.EMPTY);
    assertThatThrownBy(() -> Proposal.of(project, new Target.Layers(List.of(new LayerId("gone")))))
        .isInstanceOf(EditRefused.class)
        .hasMessage("Select a text whose look shall be kept.");
  }
}
