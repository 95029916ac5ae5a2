package dynamorph.formats.project;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.Project;
import dynamorph.model.random.RandomProjects;
import dynamorph.model.style.StyleBundle;
import java.io.IOException;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class KitFileTest {
  @TempDir private Path folder;
  private final Project project = new RandomProjects(5).project();

  @Test
  void whatIsWrittenIsReadAgain() throws IOException {
    StyleBundle bundle = StyleBundle.all(project);
    Path file = folder.resolve("all.dmkit");
    KitFile.write("All", bundle, file);
    StyleBundle read = KitFile.read(file);
    assertThat(read.swatches()).isEqualTo(bundle.swatches());
    assertThat(read.styles()).containsExactlyInAnyOrderElementsOf(bundle.styles());
  }

  @Test
  void stylesAreReadFromAProjectToo() throws IOException {
    Path file = folder.resolve("p.dmorph");
    ProjectFile.write(project, file);
    assertThat(KitFile.read(file).styles())
        .containsExactlyInAnyOrderElementsOf(project.styles().list());
  }

  @Test
  void aKitIsNoProject() throws IOException {
    Path file = folder.resolve("all.dmkit");
    KitFile.write("All", StyleBundle.all(project), file);
    assertThatThrownBy(() -> ProjectFile.read(file))
        .isInstanceOf(ProjectReadException.class)
        .hasMessageContaining("expected \"dynamorph-project\", found \"dynamorph-kit\"");
  }
}
