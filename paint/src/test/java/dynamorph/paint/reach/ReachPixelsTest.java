package dynamorph.paint.reach;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.style.ChangeStyle;
import dynamorph.model.property.Properties;
import dynamorph.model.random.RandomProjects;
import dynamorph.model.reach.Reach;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleLevel;
import dynamorph.paint.Painting;
import dynamorph.paint.Pixels;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.stream.LongStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Reach names those whose pixels change, and no others, on random projects. */
class ReachPixelsTest {
  private static final int SIDE = 120;
  private final SceneMaker maker = Painting.maker();

  static LongStream seeds() {
    return LongStream.range(1, 9);
  }

  /** Every layer by itself, small, on its board. */
  private Map<LayerId, Pixels> pictures(Scene scene) {
    LayerPainter painter = new LayerPainter();
    Map<LayerId, Pixels> pictures = new HashMap<>();
    for (Scene.Board board : scene.boards()) {
      double scale = SIDE / board.artboard().width();
      for (PlacedLayer text : board.texts()) {
        pictures.put(
            text.layer().id(),
            Pixels.draw(
                SIDE,
                SIDE,
                canvas -> {
                  canvas.scale((float) scale, (float) scale);
                  text.enter(canvas);
                  painter.paint(canvas, text.layout(), text.look());
                }));
      }
    }
    return pictures;
  }

  private Set<LayerId> differing(Project before, Project after) {
    Scene scene = maker.make(before);
    Map<LayerId, Pixels> earlier = pictures(scene);
    Map<LayerId, Pixels> later = pictures(maker.make(after, scene));
    Set<LayerId> differing = new HashSet<>();
    later.forEach((id, pixels) -> {
      if (!pixels.bytes().equals(earlier.get(id).bytes())) {
        differing.add(id);
      }
    });
    return differing;
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void noPixelChangesInATextThatIsNotNamed(long seed) {
    RandomProjects random = new RandomProjects(seed);
    Project project = random.project();
    Style style = random.pick(project.styles().list());
    Project after =
        new ChangeStyle(style.withProperties(random.values(6, style.level().level())))
            .applyTo(project);
    assertThat(Reach.between(project, after)).containsAll(differing(project, after));
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void aTurnIsSeenInAllThatAreNamedAndShowAnything(long seed) {
    RandomProjects random = new RandomProjects(seed);
    Project project = random.project();
    Style style =
        random.pick(
            project.styles().stream().filter(one -> one.level() == StyleLevel.TEXT).toList());
    Project after =
        new ChangeStyle(style.withProperties(style.properties().with(Properties.ROTATION, 23.0)))
            .applyTo(project);
    Set<LayerId> named = new HashSet<>(Reach.between(project, after));
    Set<LayerId> seen = differing(project, after);
    Map<LayerId, Pixels> earlier = pictures(maker.make(project));
    Map<LayerId, Pixels> later = pictures(maker.make(after));
    assertThat(named).containsAll(seen);
    named.removeIf(id -> project.layer(id).orElseThrow().state().hidden());
    named.removeIf(id -> isEmpty(earlier.get(id)) && isEmpty(later.get(id)));
    assertThat(seen).isEqualTo(named);
  }

  private static boolean isEmpty(Pixels pixels) {
    for (int index = 3; index < pixels.bytes().capacity(); index += 4) {
      if (pixels.bytes().get(index) != 0) {
        return false;
      }
    }
    return true;
  }
}
