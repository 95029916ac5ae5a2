package dynamorph.formats.export;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.random.RandomProjects;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Swatch;
import dynamorph.model.text.Story;
import dynamorph.model.value.Rgba;
import java.io.IOException;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Whether frames on the disk can be those of a film as it is. */
class FilmStateTest {
  private static String of(Project project) throws IOException {
    return FilmState.of(project, project.artboards().getFirst());
  }

  private static Project project() {
    return new RandomProjects(7).project();
  }

  @Test
  void whatFramesShowTellsStatesApart() throws IOException {
    Project project = project();
    String before = of(project);
    assertThat(of(project())).as("made again, it is the same").isEqualTo(before);
    LayerId first = project.artboards().getFirst().layers().getFirst().id();
    assertThat(
            of(
                project.mapLayers(layer ->
                    layer.id().equals(first) ? layer.withStory(Story.of("Another")) : layer)))
        .isNotEqualTo(before);
    assertThat(
            of(
                project.withPalette(
                    new Palette(
                        project.palette().swatches().stream()
                            .map(one -> new Swatch(one.id(), one.name(), Rgba.parse("#123456")))
                            .toList()))))
        .isNotEqualTo(before);
  }

  @Test
  void whatTheyDoNotShowDoesNot() throws IOException {
    Project project = project();
    Artboard another =
        Artboard.empty("z", "Z", 10, 10, LengthUnit.POINT).plus(Layer.of("z1", "Z", "z"));
    assertThat(of(project.plus(another).withName("Other").withExports(List.of())))
        .isEqualTo(of(project));
  }
}
