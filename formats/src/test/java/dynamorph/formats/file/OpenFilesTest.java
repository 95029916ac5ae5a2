package dynamorph.formats.file;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class OpenFilesTest {
  @TempDir Path folder;

  private Path shared;
  private Path file;

  @BeforeEach
  void write() throws IOException {
    shared = folder.resolve("open");
    file = Files.createFile(folder.resolve("hour.dmorph"));
  }

  @Test
  void anotherWindowIsNoticedAsLongAsItHasTheFile() throws IOException {
    try (OpenFiles one = new OpenFiles(shared);
        OpenFiles other = new OpenFiles(shared)) {
      assertThat(other.isOpenElsewhere(file)).as("nothing is open").isFalse();
      one.note(Optional.of(file));
      assertThat(other.isOpenElsewhere(file)).isTrue();
      assertThat(one.isOpenElsewhere(file)).as("by itself").isFalse();
      Path link = Files.createSymbolicLink(folder.resolve("link.dmorph"), file);
      assertThat(other.isOpenElsewhere(link)).as("by another name").isTrue();
      assertThat(other.isOpenElsewhere(folder.resolve("other.dmorph"))).isFalse();

      one.note(Optional.of(folder.resolve("a")));
      assertThat(other.isOpenElsewhere(file)).as("a shorter name takes its place").isFalse();
      one.note(Optional.of(file));
      one.note(Optional.empty());
      assertThat(other.isOpenElsewhere(file)).isFalse();
    }
    try (Stream<Path> left = Files.list(shared)) {
      assertThat(left).isEmpty();
    }
  }

  /** An entry that nobody holds is of a process that ended. */
  @Test
  void whatAProcessLeftGoes() throws IOException {
    Files.createDirectories(shared);
    Path left = Files.writeString(shared.resolve("left.open"), file.toRealPath().toString());
    try (OpenFiles window = new OpenFiles(shared)) {
      assertThat(window.isOpenElsewhere(file)).isFalse();
    }
    assertThat(left).doesNotExist();
  }

  @Test
  void aFolderThatCannotBeWrittenHindersNobody() throws IOException {
    Path inTheWay = Files.createFile(folder.resolve("file"));
    try (OpenFiles window = new OpenFiles(inTheWay.resolve("open"))) {
      window.note(Optional.of(file));
      assertThat(window.isOpenElsewhere(file)).isFalse();
    }
  }
}
