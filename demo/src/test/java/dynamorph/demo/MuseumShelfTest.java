package dynamorph.demo;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.formats.project.ProjectFile;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.shelf.Shelf;
import dynamorph.shelf.folder.ShelfFolder;
import dynamorph.shelf.follow.TakeUpdates;
import dynamorph.shelf.follow.Update;
import dynamorph.shelf.follow.Updates;
import dynamorph.shelf.projects.ProjectIndex;
import dynamorph.shelf.projects.ProjectUse;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.InstantSource;
import java.util.SplittableRandom;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class MuseumShelfTest {
  private static final Path LINKS = Path.of("src/main/resources/dynamorph/demo/shelf.properties");

  @TempDir Path folder;

  /** Run with {@code -Ddynamorph.write-links=true} to write the file anew. */
  @Test
  void theLinksAreThoseOfTheShelf() throws IOException {
    MuseumShelf made = MuseumShelf.make();
    if (Boolean.getBoolean("dynamorph.write-links")) {
      Files.write(LINKS, made.links());
    }
    assertThat(MuseumShelf.linked().equals(made.exhibition())).isTrue();
    assertThat(Files.readAllLines(LINKS)).isEqualTo(made.links());
  }

  @Test
  void theExhibitionLooksAsItDidAndTwoUpdatesWait() {
    MuseumShelf made = MuseumShelf.make();
    Project plain = LongHour.project();
    assertThat(made.exhibition().layers().map(Layer::story).toList())
        .isEqualTo(plain.layers().map(Layer::story).toList());
    assertThat(Updates.newer(made.exhibition(), made.shelf()))
        .extracting(update -> update.mine().name())
        .containsExactly("Label title", "Copper");
    Project taken = TakeUpdates.all(made.exhibition(), made.shelf()).applyTo(made.exhibition());
    assertThat(Updates.of(taken, made.shelf()))
        .allSatisfy(update -> assertThat(update.differences()).isEmpty());
    assertThat(
            Updates.of(made.exhibition(), made.shelf()).stream()
                .flatMap(one -> one.toPut().stream()))
        .isEmpty();
  }

  @Test
  void itIsWrittenOnceWithTwoProjectsThatHaveItsLooks() throws IOException {
    Path shelf = folder.resolve("shelf");
    Path projects = folder.resolve("projects");
    ProjectIndex index = new ProjectIndex(folder.resolve("projects.json"));
    MuseumShelf.writeIfMissing(shelf, projects, index);
    Shelf read = new ShelfFolder(shelf, "", InstantSource.system(), new SplittableRandom(1)).read();
    assertThat(read.entries()).isEqualTo(MuseumShelf.make().shelf().entries());
    assertThat(read.problems()).isEmpty();
    assertThat(index.using(read.id())).allMatch(ProjectUse::isThere).hasSize(2);
    try (Stream<Path> files = Files.list(projects)) {
      for (Path file : files.toList()) {
        Project project = ProjectFile.read(file);
        assertThat(Updates.newer(project, read)).as(project.name()).isNotEmpty();
        assertThat(Updates.newer(project, read))
            .noneMatch(update -> update.differences().stream().anyMatch(Update.Difference::isMine));
        assertThat(project.layers()).allMatch(layer -> !layer.follows().isEmpty());
      }
    }
    Files.delete(folder.resolve("projects/Winding Mondays.dmorph"));
    MuseumShelf.writeIfMissing(shelf, projects, index);
    assertThat(projects.resolve("Winding Mondays.dmorph")).doesNotExist();
  }
}
