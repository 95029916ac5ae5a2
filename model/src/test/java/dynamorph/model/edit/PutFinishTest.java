package dynamorph.model.edit;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Project;
import dynamorph.model.TextLayer;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.CharacterLook;
import dynamorph.model.cascade.Finish;
import dynamorph.model.cascade.Plate;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.property.Properties;
import dynamorph.model.random.RandomProjects;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PutFinishTest {
  private static ResolvedLayer look(Project project, TextLayer layer) {
    TextLayer now =
        project.layers().filter(one -> one.id().equals(layer.id())).findFirst().orElseThrow();
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
    List<TextLayer> layers = project.layers().toList();
    TextLayer from = layers.getFirst();
    List<TextLayer> others = layers.subList(1, layers.size());
    Target target = new Target.Layers(others.stream().map(TextLayer::id).toList());
    PutFinish put = PutFinish.of(target, PutFinish.ofFirst(project, from));
    Project after = put.applyTo(project);
    for (TextLayer other : others) {
      assertThat(PutFinish.of(target, PutFinish.ofFirst(after, current(after, other))).finish())
          .satisfies(values ->
              assertThat(dynamorph.model.cascade.Coats.of(values, "finish"))
                  .isEqualTo(dynamorph.model.cascade.Coats.of(put.finish(), "finish")));
    }
    assertThat(put.applyTo(after)).as("twice is once").isEqualTo(after);
  }

  private static TextLayer current(Project project, TextLayer layer) {
    return project.layers().filter(one -> one.id().equals(layer.id())).findFirst().orElseThrow();
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5})
  void aClearedFinishIsOneFillWithoutAPlate(long seed) {
    Project project = new RandomProjects(seed).project();
    List<TextLayer> layers = project.layers().toList();
    Target target = new Target.Layers(layers.stream().map(TextLayer::id).toList());
    Project after = PutFinish.plain(target).applyTo(project);
    Finish plain = Cascade.of(Project.empty("e")).look(Properties.DEFAULTS).finish();
    for (TextLayer layer : layers) {
      assertThat(finishes(look(after, layer))).containsExactly(plain);
      assertThat(look(after, layer).plate()).isEqualTo(Plate.NONE);
    }
  }
}
