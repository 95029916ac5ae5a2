package dynamorph.model.edit.layer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.Target;
import dynamorph.model.property.Properties;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class ArrangeLayersTest {
  private static Project project() {
    Artboard board = Artboard.empty("board", "Board", 100, 100, LengthUnit.POINT);
    for (String id : List.of("a", "b", "c", "d")) {
      board = board.plus(Layer.of(id, id, id));
    }
    return Project.empty("P").plus(board);
  }

  private static Set<LayerId> ids(String ids) {
    return Arrays.stream(ids.split("")).map(LayerId::new).collect(Collectors.toSet());
  }

  private static String order(Project project) {
    return project.layers().map(layer -> layer.id().value()).collect(Collectors.joining());
  }

  private static double x(Project project, String id) {
    return project
        .layer(new LayerId(id))
        .flatMap(layer -> layer.frame().get(Properties.POSITION_X.key()))
        .orElse(0.0);
  }

  @Test
  void aStepPassesTheNextLayerAndAnEndIsTheEnd() {
    assertThat(order(new ArrangeLayers.Step(ids("b"), 1).applyTo(project()))).isEqualTo("acbd");
    assertThat(order(new ArrangeLayers.Step(ids("c"), -1).applyTo(project()))).isEqualTo("acbd");
    assertThat(order(new ArrangeLayers.Step(ids("ab"), 1).applyTo(project()))).isEqualTo("cabd");
    Project top = new ArrangeLayers.Step(ids("cd"), 1).applyTo(project());
    assertThat(top).isEqualTo(project());
    assertThat(order(new ArrangeLayers.Step(ids("bd"), 1).applyTo(project()))).isEqualTo("acbd");
  }

  @Test
  void layersComeToLieOnAnotherInTheOrderTheyHad() {
    LayerId c = new LayerId("c");
    assertThat(order(new ArrangeLayers.Order(ids("da"), Optional.of(c)).applyTo(project())))
        .isEqualTo("bcad");
    assertThat(order(new ArrangeLayers.Order(ids("db"), Optional.empty()).applyTo(project())))
        .isEqualTo("bdac");
    assertThat(new ArrangeLayers.Order(ids("c"), Optional.of(c)).applyTo(project()))
        .as("on itself")
        .isEqualTo(project());
  }

  @Test
  void whatIsLockedIsNeitherMovedNorDeleted() {
    Project locked = new ArrangeLayers.Lock(ids("b"), true).applyTo(project());
    Project moved = new MoveLayers(Target.Layers.of("a", "b"), 7, 0).applyTo(locked);
    assertThat(x(moved, "a")).isEqualTo(7);
    assertThat(x(moved, "b")).isZero();
    Map<LayerId, MoveEach.Shift> each =
        Map.of(
            new LayerId("b"), new MoveEach.Shift(3, 0), new LayerId("c"), new MoveEach.Shift(4, 0));
    Project aligned = new MoveEach(each, "Align").applyTo(locked);
    assertThat(x(aligned, "b")).isZero();
    assertThat(x(aligned, "c")).isEqualTo(4);
    assertThat(order(new ArrangeLayers.Delete(ids("abd")).applyTo(locked))).isEqualTo("bc");
    assertThatThrownBy(() -> new ArrangeLayers.Delete(ids("b")).applyTo(locked))
        .isInstanceOf(EditRefused.class)
        .hasMessageContaining("locked");
    assertThat(new ArrangeLayers.Lock(ids("b"), false).applyTo(locked)).isEqualTo(project());
  }
}
