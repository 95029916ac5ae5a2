package dynamorph.formats.project;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.Project;
import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.random.RandomProjects;
import dynamorph.model.style.ColourLabel;
import dynamorph.model.style.Style;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class KitFileTest {
  @TempDir private Path folder;
  private final Project project = new RandomProjects(5).project();

  @Test
  void whatIsWrittenIsReadAgain() throws IOException {
    StyleBundle bundle = StyleBundle.all(project);
    Path file = folder.resolve("all.dmkit");
    KitFile.write("All", bundle, KitAbout.NOTHING, file);
    StyleBundle read = KitFile.read(file).bundle();
    assertThat(read.swatches()).isEqualTo(bundle.swatches());
    assertThat(read.styles()).containsExactlyInAnyOrderElementsOf(bundle.styles());
  }

  @Test
  void stylesAreReadFromAProjectToo() throws IOException {
    Path file = folder.resolve("p.dmorph");
    ProjectFile.write(project, file);
    assertThat(KitFile.read(file).bundle().styles())
        .containsExactlyInAnyOrderElementsOf(project.styles().list());
  }

  @Test
  void aKitIsNoProject() throws IOException {
    Path file = folder.resolve("all.dmkit");
    KitFile.write("All", StyleBundle.all(project), KitAbout.NOTHING, file);
    assertThatThrownBy(() -> ProjectFile.read(file))
        .isInstanceOf(ProjectReadException.class)
        .hasMessageContaining("expected \"dynamorph-project\", found \"dynamorph-kit\"");
  }

  @Test
  void labelsNotesAndBasesTravelInAKit() throws IOException {
    Style base = project.styles().list().getFirst().withNote("Only on enamel.");
    Style derived =
        Style.text("mine", "Mine", "Signs")
            .withBasedOn(Optional.of(base.id()))
            .withLabel(Optional.of(ColourLabel.MOSS));
    Project noted = project.withStyles(project.styles().with(base).with(derived));
    Path file = folder.resolve("one.dmkit");
    KitFile.write(
        "One", StyleBundle.of(noted, List.of(derived.id()), List.of()), KitAbout.NOTHING, file);
    assertThat(KitFile.read(file).bundle().styles()).contains(base, derived);
  }

  @Test
  void aDamagedOrMissingKitIsNamed() throws IOException {
    Path damaged = Files.writeString(folder.resolve("damaged.dmkit"), "no archive");
    assertThatThrownBy(() -> KitFile.read(damaged))
        .isInstanceOf(ProjectReadException.class)
        .hasMessageContaining("damaged.dmkit");
    assertThatThrownBy(() -> KitFile.read(folder.resolve("gone.dmkit")))
        .isInstanceOf(ProjectReadException.class)
        .hasMessageContaining("gone.dmkit");
  }

  @Test
  void whatCannotBeWrittenLeavesTheKitThatWasThere() throws IOException {
    Path file = folder.resolve("all.dmkit");
    KitFile.write("All", StyleBundle.all(project), KitAbout.NOTHING, file);
    byte[] before = Files.readAllBytes(file);
    Path nowhere = folder.resolve("no/such/folder.dmkit");
    assertThatThrownBy(
            () -> KitFile.write("All", StyleBundle.all(project), KitAbout.NOTHING, nowhere))
        .isInstanceOf(IOException.class);
    assertThat(Files.readAllBytes(file)).isEqualTo(before);
    try (Stream<Path> left = Files.list(folder)) {
      assertThat(left).containsExactly(file);
    }
  }

  @Test
  void aKitSaysWhoMadeItAndWhetherSomebodyElseChangedIt() throws IOException {
    Path file = folder.resolve("about.dmkit");
    KitAbout about =
        new KitAbout(" Dessa Okafor ", "CC BY 4.0", "For walls", Optional.of(new byte[] {1, 2}));
    StyleBundle bundle = StyleBundle.all(project);
    KitFile.write("All", bundle, about, file);
    KitFile.Kit read = KitFile.read(file);
    assertThat(read.about()).isEqualTo(about);
    assertThat(read.about().author()).isEqualTo("Dessa Okafor");
    assertThat(read.remarks()).isEmpty();
    assertThat(read.bundle().styles()).containsExactlyInAnyOrderElementsOf(bundle.styles());
    byte[] first = Files.readAllBytes(file);
    KitFile.write("All", bundle, about, file);
    assertThat(file).hasBinaryContent(first);
    try (var zip = java.nio.file.FileSystems.newFileSystem(file)) {
      Path styles = zip.getPath("styles.json");
      Files.writeString(styles, Files.readString(styles).replace("\"styles\"", " \"styles\""));
      Files.delete(zip.getPath("picture.png"));
    }
    KitFile.Kit changed = KitFile.read(file);
    assertThat(changed.bundle().styles()).hasSameSizeAs(bundle.styles());
    assertThat(changed.remarks())
        .containsExactlyInAnyOrder(
            "The kit is not as its author wrote it: picture.png is missing",
            "The kit is not as its author wrote it: styles.json was changed");
  }
}
