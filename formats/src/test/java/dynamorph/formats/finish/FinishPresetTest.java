package dynamorph.formats.finish;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.cascade.Finish;
import dynamorph.model.edit.style.ApplyFinish;
import dynamorph.model.property.Address;
import dynamorph.model.property.CoatProperties;
import dynamorph.model.property.Facet;
import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.random.RandomProjects;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Length;
import dynamorph.model.value.Rgba;
import dynamorph.paint.Pixels;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.paint.specimen.SpecimenPainter;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Typesetter;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class FinishPresetTest {
  private static final FontLibrary FONTS = FontLibrary.shipped();

  static Stream<FinishPreset> all() {
    return FinishPreset.all().stream();
  }

  @Test
  void thereAreTwentyFourInNamedGroups() {
    assertThat(FinishPreset.all()).hasSize(24);
    assertThat(FinishPreset.all().stream().map(FinishPreset::name).distinct()).hasSize(24);
    assertThat(FinishPreset.all().stream().collect(Collectors.groupingBy(FinishPreset::group)))
        .hasSize(4)
        .allSatisfy((_, group) -> assertThat(group).hasSize(6));
  }

  @ParameterizedTest
  @MethodSource("all")
  void eachIsOnlyAFinishAndGrowsWithItsText(FinishPreset finish) {
    for (PropertyKey<?> key : finish.values().keys()) {
      assertThat(key.property().facet()).isEqualTo(Facet.FINISH);
      if (finish.values().get(key).orElseThrow() instanceof Length length) {
        assertThat(length.unit() == Length.Unit.EM || length.amount() == 0)
            .as("%s is in em", key.path())
            .isTrue();
      }
    }
  }

  @Test
  void eachLooksLikeNoOtherEvenOnOneGround() {
    SpecimenPainter painter =
        new SpecimenPainter(new SceneMaker(new Typesetter(FONTS), new LayerPainter()));
    PropertySet large = PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(40));
    Set<Object> pictures = new HashSet<>();
    for (FinishPreset finish : FinishPreset.all()) {
      Pixels pixels =
          painter.drawnWith(
              large.overlaidBy(finish.values()), "Hour", Rgba.parse("#888888"), 120, 60, 1);
      Set<Integer> colours = new HashSet<>();
      for (int y = 0; y < 60; y++) {
        for (int x = 0; x < 120; x++) {
          colours.add(pixels.argb(x, y));
        }
      }
      assertThat(colours)
          .as("%s is more than ground and ink", finish.name())
          .hasSizeGreaterThan(30);
      pictures.add(pixels.bytes());
    }
    assertThat(pictures).hasSize(24);
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6})
  void whoeverWearsOneHasItsCoatsAndNoOthersAndCanTakeAnother(long seed) {
    Project project = new RandomProjects(seed).project();
    List<Layer> layers = project.layers().toList();
    for (FinishPreset finish : List.of(FinishPreset.all().get(6), FinishPreset.all().get(15))) {
      ApplyFinish applied =
          new ApplyFinish(
              layers.stream().map(Layer::id).toList(), finish.style(), FinishPreset::isOne);
      project = applied.applyTo(project);
      Cascade cascade = Cascade.of(project);
      Finish bare =
          Cascade.of(Project.empty("bare"))
              .resolve(Layer.of("bare", "bare", "x").withLocal(finish.values()))
              .finish();
      for (Layer layer : project.layers().toList()) {
        PropertySet values = cascade.values(layer);
        assertThat(Coats.of(values, Address.FINISH)).hasSameSizeAs(bare.coats());
        for (Property<?> property : CoatProperties.OF_ALL_COATS) {
          PropertyKey<?> key = property.at(Address.whole(Address.FINISH));
          assertThat((Object) Coats.value(values, key))
              .as("%s", key)
              .isEqualTo(Coats.value(finish.values(), key));
        }
        assertThat(layer.follows().stream().filter(FinishPreset::isOne))
            .containsExactly(finish.style().id());
        assertThat(values.get(Properties.FONT_FAMILY.key()))
            .as("the letters stay as they are")
            .isEqualTo(
                cascade
                    .values(
                        layer.withFollows(
                            layer.follows().stream()
                                .filter(id -> !FinishPreset.isOne(id))
                                .toList()))
                    .get(Properties.FONT_FAMILY.key()));
      }
    }
  }
}
