package dynamorph.model;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Few layers are looked through, of many an index is kept: nobody may see which. */
class LayerIndexTest {
  private static Project project(int layersOfEach) {
    Project project = Project.empty("P");
    for (String board : List.of("a", "b", "c")) {
      List<Layer> layers = new ArrayList<>();
      for (int index = 0; index < layersOfEach; index++) {
        layers.add(Layer.of(board + index, "Name", "words"));
      }
      project =
          project.plus(Artboard.empty(board, board, 100, 100, LengthUnit.POINT).withLayers(layers));
    }
    return project;
  }

  @ParameterizedTest
  @ValueSource(ints = {1, 60, 70, 400})
  void aLayerIsFoundWhereItStandsNow(int layersOfEach) {
    Project project = project(layersOfEach);
    LayerId last = new LayerId("c" + (layersOfEach - 1));
    assertThat(project.layer(last)).map(Layer::id).contains(last);
    assertThat(project.artboardOf(last)).map(board -> board.id().value()).contains("c");
    assertThat(project.layer(new LayerId("c" + layersOfEach))).isEmpty();
    Project changed =
        project.mapLayers(layer -> layer.id().equals(last) ? layer.withName("Another") : layer);
    assertThat(changed.layer(last)).map(Layer::name).contains("Another");
    assertThat(project.layer(last)).map(Layer::name).contains("Name");
    Project gone = project.mapArtboards(board -> board.withLayers(List.of()));
    assertThat(gone.layer(last)).isEmpty();
    assertThat(gone.artboardOf(last)).isEmpty();
  }
}
