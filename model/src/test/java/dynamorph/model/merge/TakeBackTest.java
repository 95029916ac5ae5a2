package dynamorph.model.merge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.random.RandomProjects;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.Swatch;
import dynamorph.model.value.Colour;
import dynamorph.model.value.Rgba;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TakeBackTest {
  private static final StyleId LABEL = new StyleId("label");
  private static final StyleId LOAN = new StyleId("loan");

  private static Style style(StyleId id, Optional<StyleId> basedOn, double tracking) {
    return Style.text(id.value(), id.value(), "Labels")
        .withBasedOn(basedOn)
        .withProperties(PropertySet.EMPTY.with(Properties.TRACKING, tracking));
  }

  private static Project project(Style... styles) {
    Layer title = Layer.of("title", "Title", "Wheel").withFollows(List.of(LOAN));
    Artboard board = Artboard.empty("a", "Panel", 100, 100, LengthUnit.POINT).plus(title);
    return Project.empty("Hour")
        .withStyles(StyleBook.of(List.of(styles)))
        .withPalette(new Palette(List.of(new Swatch("ink", "Ink", Rgba.BLACK))))
        .plus(board);
  }

  @Test
  void aStyleComesBackWithWhatItIsBasedOnAndAllElseStays() {
    Project earlier =
        project(style(LABEL, Optional.empty(), 5), style(LOAN, Optional.of(LABEL), 20));
    Project present = earlier.withStyles(StyleBook.of(List.of(style(LOAN, Optional.empty(), 40))));
    Project taken = TakeBack.style(earlier, LOAN).applyTo(present);
    assertThat(taken.styles().get(LOAN)).isEqualTo(earlier.styles().get(LOAN));
    assertThat(taken.styles().find(LABEL)).as("what it is based on").isPresent();
    assertThat(taken.artboards()).isEqualTo(present.artboards());
    assertThat(TakeBack.style(earlier, LOAN).label(present)).isEqualTo("Take back loan");
  }

  @Test
  void anArtboardComesBackWithTheStylesAndSwatchesThatAreGone() {
    Style inked =
        style(LOAN, Optional.empty(), 0)
            .withProperties(
                PropertySet.EMPTY.with(
                    Properties.COAT_COLOUR.at(Address.coat("fill")), Colour.swatch("ink")));
    Project earlier = project(inked);
    Project present = Project.empty("Hour");
    Project taken = TakeBack.artboard(earlier, new ArtboardId("a")).applyTo(present);
    assertThat(taken.artboards()).isEqualTo(earlier.artboards());
    assertThat(taken.styles().get(LOAN)).isEqualTo(inked);
    assertThat(taken.palette()).isEqualTo(earlier.palette());
  }

  @Test
  void aTextThatWasMovedSinceStaysWhereItIs() {
    Project earlier = project(style(LOAN, Optional.empty(), 1));
    Layer title = earlier.layers().findFirst().orElseThrow();
    Project present =
        earlier
            .mapArtboards(board -> board.withLayers(List.of()))
            .plus(Artboard.empty("b", "Web", 50, 50, LengthUnit.POINT).plus(title));
    Project taken = TakeBack.artboard(earlier, new ArtboardId("a")).applyTo(present);
    assertThat(taken.layers().map(layer -> layer.id().value())).containsExactly("title-2", "title");
    assertThat(taken.artboardOf(title.id()).orElseThrow().name()).isEqualTo("Web");
  }

  @Test
  void stylesThatWouldBeBasedOnEachOtherAreRefused() {
    Project earlier = project(style(LOAN, Optional.empty(), 1), style(LABEL, Optional.of(LOAN), 2));
    Project present =
        project(style(LABEL, Optional.empty(), 2), style(LOAN, Optional.of(LABEL), 1));
    TakeBack take = TakeBack.style(earlier, LABEL);
    assertThatThrownBy(() -> take.applyTo(present))
        .isInstanceOf(EditRefused.class)
        .hasMessageStartingWith("It does not go together with what is here: ");
  }

  /** All styles, artboards and swatches taken back are all there was. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void allTakenBackIsWhatWas(long seed) {
    Project earlier = new RandomProjects(seed).project();
    TakeBack all =
        new TakeBack(
            earlier,
            Set.copyOf(earlier.styles().stream().map(Style::id).toList()),
            Set.copyOf(earlier.artboards().stream().map(Artboard::id).toList()),
            Set.copyOf(earlier.palette().swatches().stream().map(Swatch::id).toList()));
    Project taken = all.applyTo(Project.empty("Other"));
    assertThat(taken.artboards()).isEqualTo(earlier.artboards());
    assertThat(taken.styles().list()).containsExactlyInAnyOrderElementsOf(earlier.styles().list());
    assertThat(taken.palette()).isEqualTo(earlier.palette());
  }
}
