package dynamorph.model;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.edit.Target;
import dynamorph.model.edit.layer.SetValues;
import dynamorph.model.property.Level;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.random.RandomProjects;
import dynamorph.model.reach.LocalChanges;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.Span;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What stories and artboards remember about themselves is what is so, after edits too. */
class KnownFactsTest {
  static LongStream seeds() {
    return LongStream.range(700, 715);
  }

  private static Stream<PropertySet> inside(Layer layer) {
    return layer.story().paragraphs().stream()
        .flatMap(paragraph ->
            Stream.concat(
                Stream.of(paragraph.local()), paragraph.spans().stream().map(Span::local)));
  }

  private static Stream<StyleId> followedInside(Layer layer) {
    return layer.story().paragraphs().stream()
        .flatMap(paragraph ->
            Stream.concat(
                paragraph.follows().stream(),
                paragraph.spans().stream().flatMap(span -> span.follows().stream())));
  }

  private static void assertKnown(Project project) {
    for (Artboard board : project.artboards()) {
      Set<PropertyKey<?>> byHand = new HashSet<>();
      for (Layer layer : board.layers()) {
        List<PropertySet> locals = Stream.concat(Stream.of(layer.local()), inside(layer)).toList();
        locals.forEach(local -> byHand.addAll(local.keys()));
        assertThat(layer.story().deviatesInside())
            .isEqualTo(inside(layer).anyMatch(local -> !local.isEmpty()));
        assertThat(layer.story().followsInside())
            .isEqualTo(followedInside(layer).findAny().isPresent());
        boolean any = locals.stream().anyMatch(local -> !local.isEmpty());
        assertThat(LocalChanges.any(layer, _ -> true)).isEqualTo(any);
        assertThat(LocalChanges.count(layer)).isEqualTo(LocalChanges.of(layer).size());
        assertThat(LocalChanges.count(layer) > 0).isEqualTo(any);
      }
      assertThat(board.setByHand()).isEqualTo(byHand);
    }
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void factsFollowEveryEdit(long seed) {
    RandomProjects random = new RandomProjects(seed);
    Project project = random.project();
    assertKnown(project);
    for (int step = 0; step < 6; step++) {
      Target target = random.chance() ? random.layers(project) : random.words(project);
      Level level = target instanceof Target.Layers ? Level.LAYER : Level.SPAN;
      project = SetValues.of(target, random.values(3, level)).applyTo(project);
      assertKnown(project);
    }
    assertKnown(project.mapLayers(layer -> layer.withLocal(PropertySet.EMPTY)));
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void thingsAreFoundByTheirIdOnTheirArtboard(long seed) {
    Project project = new RandomProjects(seed).project();
    for (Artboard board : project.artboards()) {
      assertThat(project.artboard(board.id())).contains(board);
      for (Layer layer : board.layers()) {
        assertThat(project.layer(layer.id())).contains(layer);
        assertThat(board.layer(layer.id())).contains(layer);
        assertThat(project.artboardOf(layer.id())).contains(board);
      }
    }
    assertThat(project.layersOf(Set.of(new LayerId("nowhere")))).isEmpty();
    assertThat(project.layer(new LayerId("nowhere"))).isEmpty();
  }
}
