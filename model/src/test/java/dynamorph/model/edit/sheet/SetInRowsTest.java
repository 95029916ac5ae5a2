package dynamorph.model.edit.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.cascade.DominantLook;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Story;
import dynamorph.model.value.FontSize;
import java.util.LinkedHashSet;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.pcollections.TreePVector;

class SetInRowsTest {
  private static final PropertyKey<FontSize> SIZE = Properties.SIZE.key();

  private final Project project =
      Project.empty("P")
          .plus(
              Artboard.empty("a", "Panel", 400, 300, LengthUnit.POINT)
                  .withLayers(
                      TreePVector.from(List.of(text("1", 20), text("2", 30), text("3", 40)))));

  private static Layer text(String id, double size) {
    return Layer.of(id, id, "Winding day")
        .withLocal(PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(size)));
  }

  private static SetInRows of(PropertyKey<?> key, String typed) {
    return new SetInRows(
        new LinkedHashSet<>(List.of(new LayerId("1"), new LayerId("2"))), key, typed);
  }

  private static <T> List<T> values(Project project, PropertyKey<T> key) {
    Cascade cascade = Cascade.of(project);
    return project
        .layers()
        .map(layer -> Coats.value(DominantLook.of(cascade, layer), key))
        .toList();
  }

  @ParameterizedTest
  @CsvSource({
    "24 pt, 24, 24",
    "24, 24, 24",
    "+2, 22, 32",
    "+2 pt, 22, 32",
    "-5, 15, 25",
    "\u22125, 15, 25",
    "\u00d71.1, 22, 33",
    "*2, 40, 60",
    "x0.5, 10, 15",
    "/4, 5, 7.5",
    "+10%, 22, 33",
    "\u00d7 150 %, 30, 45"
  })
  void aSizeIsTheSameForAllOrAStepFromEach(String typed, double first, double second) {
    assertThat(values(of(SIZE, typed).applyTo(project), SIZE))
        .containsExactly(FontSize.points(first), FontSize.points(second), FontSize.points(40));
  }

  @Test
  void wordsOfAnotherSizeTakeTheStepFromTheirOwn() {
    Layer mixed =
        Layer.of("1", "1", "")
            .withStory(
                Story.of(
                    Paragraph.of("Dessa Quill")
                        .withLocal(PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(40))),
                    Paragraph.of("clockmaker at the bench")
                        .withLocal(PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(24)))));
    Project with = project.mapLayers(layer -> layer.id().value().equals("1") ? mixed : layer);
    Project larger = of(SIZE, "\u00d71.5").applyTo(with);
    Cascade cascade = Cascade.of(larger);
    Layer after = larger.layer(new LayerId("1")).orElseThrow();
    assertThat(after.story().paragraphs())
        .extracting(one -> Coats.value(cascade.values(after, one, one.spans().getFirst()), SIZE))
        .containsExactly(FontSize.points(60), FontSize.points(36));
  }

  @Test
  void aNumberBelowZeroIsWrittenAfterAnEqualsSign() {
    PropertyKey<Double> tracking = Properties.TRACKING.key();
    Project spaced = of(tracking, "20").applyTo(project);
    assertThat(values(of(tracking, "-5").applyTo(spaced), tracking))
        .containsExactly(15.0, 15.0, 0.0);
    assertThat(values(of(tracking, "=-5").applyTo(spaced), tracking))
        .containsExactly(-5.0, -5.0, 0.0);
  }

  @Test
  void whatIsNoNumberTakesNoStepAndNothingChanges() {
    assertThatThrownBy(() -> of(Properties.FONT_FAMILY.key(), "+2").applyTo(project))
        .isInstanceOf(EditRefused.class)
        .hasMessageContaining("is no number");
    assertThatThrownBy(() -> of(SIZE, "-20").applyTo(project))
        .isInstanceOf(EditRefused.class)
        .hasMessageContaining("no size");
    assertThatThrownBy(() -> of(SIZE, "large").applyTo(project))
        .isInstanceOf(EditRefused.class)
        .hasMessageContaining("\"large\"");
  }

  @Test
  void aFamilyIsSetOnAll() {
    assertThat(
            values(
                of(Properties.FONT_FAMILY.key(), "Anton").applyTo(project),
                Properties.FONT_FAMILY.key()))
        .startsWith("Anton", "Anton");
  }
}
