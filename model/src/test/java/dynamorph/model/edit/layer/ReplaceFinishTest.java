package dynamorph.model.edit.layer;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.CharacterLook;
import dynamorph.model.cascade.Coats;
import dynamorph.model.cascade.Finish;
import dynamorph.model.cascade.Plate;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.edit.Target;
import dynamorph.model.property.Address;
import dynamorph.model.property.CoatProperties;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.random.RandomProjects;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ReplaceFinishTest {
  private static ResolvedLayer look(Project project, Layer layer) {
    Layer now = project.layer(layer.id()).orElseThrow();
    return Cascade.of(project).resolve(now);
  }

  private static List<Finish> finishes(ResolvedLayer look) {
    return look.paragraphs().stream()
        .flatMap(paragraph -> paragraph.spans().stream())
        .map(CharacterLook::finish)
        .distinct()
        .toList();
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void aPastedFinishIsThatOfTheOther(long seed) {
    Project project = new RandomProjects(seed).project();
    List<Layer> layers = project.layers().toList();
    Layer from = layers.getFirst();
    List<Layer> others = layers.subList(1, layers.size());
    Target target = new Target.Layers(others.stream().map(Layer::id).toList());
    ReplaceFinish put = ReplaceFinish.of(target, ReplaceFinish.ofFirst(project, from));
    Project after = put.applyTo(project);
    Cascade cascade = Cascade.of(after);
    for (Layer other : others) {
      Layer now = after.layer(other.id()).orElseThrow();
      for (Paragraph paragraph : now.story().paragraphs()) {
        for (Span span : paragraph.spans()) {
          assertSameFinish(cascade.values(now, paragraph, span), put.finish());
        }
      }
    }
    assertThat(put.applyTo(after)).as("twice is once").isEqualTo(after);
  }

  /** Values decide, since lengths in em come out differently at another size. */
  private static void assertSameFinish(PropertySet values, PropertySet wanted) {
    List<Address> coats = Coats.of(wanted, Address.FINISH);
    assertThat(Coats.of(values, Address.FINISH)).isEqualTo(coats);
    for (Address coat : coats) {
      assertSame(values, wanted, coat);
      assertThat(Coats.effects(values, coat)).isEqualTo(Coats.effects(wanted, coat));
      Coats.effects(wanted, coat).forEach(effect -> assertSame(values, wanted, effect));
    }
    Address whole = Address.whole(Address.FINISH);
    CoatProperties.OF_ALL_COATS.forEach(property ->
        assertThat((Object) Coats.value(values, property.at(whole)))
            .as("%s of all", property)
            .isEqualTo(Coats.value(wanted, property.at(whole))));
  }

  private static void assertSame(PropertySet values, PropertySet wanted, Address address) {
    Properties.of(address.part())
        .forEach(property ->
            assertThat((Object) Coats.value(values, property.at(address)))
                .as("%s of %s", property, address)
                .isEqualTo(Coats.value(wanted, property.at(address))));
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5})
  void aClearedFinishIsOneFillWithoutAPlate(long seed) {
    Project project = new RandomProjects(seed).project();
    List<Layer> layers = project.layers().toList();
    Target target = new Target.Layers(layers.stream().map(Layer::id).toList());
    Project after = ReplaceFinish.plain(target).applyTo(project);
    Finish plain = Cascade.of(Project.empty("e")).look(Properties.DEFAULTS).finish();
    for (Layer layer : layers) {
      assertThat(finishes(look(after, layer))).containsExactly(plain);
      assertThat(look(after, layer).plate()).isEqualTo(Plate.NONE);
    }
  }
}
