package dynamorph.formats.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.nio.file.attribute.PosixFilePermissions;
import java.nio.file.attribute.UserDefinedFileAttributeView;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SafeFileTest {
  @TempDir Path folder;

  private static void write(Path file, String words) throws IOException {
    SafeFile.write(file, stream -> stream.write(words.getBytes(StandardCharsets.UTF_8)));
  }

  private List<String> names() throws IOException {
    try (Stream<Path> files = Files.list(folder)) {
      return files.map(file -> file.getFileName().toString()).sorted().toList();
    }
  }

  @Test
  void aFileIsReplacedWithoutATrace() throws IOException {
    Path file = folder.resolve("a.txt");
    write(file, "old");
    write(file, "new");
    assertThat(file).hasContent("new");
    assertThat(names()).containsExactly("a.txt");
  }

  @Test
  void aFailureLeavesWhatWasThere() throws IOException {
    Path file = folder.resolve("a.txt");
    write(file, "old");
    assertThatThrownBy(() ->
            SafeFile.write(
                file,
                stream -> {
                  stream.write(1);
                  throw new FileSystemException(null, null, "No space left on device");
                }))
        .isInstanceOf(IOException.class)
        .hasMessage(file + " cannot be written: the disk is full");
    assertThat(file).hasContent("old");
    assertThat(names()).containsExactly("a.txt");
  }

  @Test
  void aLinkStaysOne() throws IOException {
    Path real = Files.createDirectory(folder.resolve("far")).resolve("real.txt");
    write(real, "old");
    Path link = Files.createSymbolicLink(folder.resolve("link.txt"), Path.of("far", "real.txt"));
    Path second = Files.createSymbolicLink(folder.resolve("second.txt"), link);
    write(second, "new");
    assertThat(link).isSymbolicLink();
    assertThat(second).isSymbolicLink();
    assertThat(real).hasContent("new");
  }

  @Test
  void aLinkToNothingYetIsFollowed() throws IOException {
    Path link = Files.createSymbolicLink(folder.resolve("link.txt"), Path.of("real.txt"));
    write(link, "new");
    assertThat(link).isSymbolicLink();
    assertThat(folder.resolve("real.txt")).hasContent("new");
  }

  @Test
  void linksInACircleAreTold() throws IOException {
    Path link = Files.createSymbolicLink(folder.resolve("a"), Path.of("b"));
    Files.createSymbolicLink(folder.resolve("b"), Path.of("a"));
    assertThatThrownBy(() -> write(link, "new")).hasMessageContaining("circle");
  }

  @Test
  void whoMayReadItAndItsAttributesStay() throws IOException {
    Path file = folder.resolve("a.txt");
    write(file, "old");
    assumeTrue(Files.getFileStore(file).supportsFileAttributeView("posix"));
    Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rw-r-----"));
    UserDefinedFileAttributeView extended =
        Files.getFileAttributeView(file, UserDefinedFileAttributeView.class);
    boolean keepsExtended = Files.getFileStore(file).supportsFileAttributeView("user");
    if (keepsExtended) {
      extended.write("client", ByteBuffer.wrap(new byte[] {7, 8}));
    }
    write(file, "new");
    assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(file)))
        .isEqualTo("rw-r-----");
    if (keepsExtended) {
      ByteBuffer value = ByteBuffer.allocate(2);
      Files.getFileAttributeView(file, UserDefinedFileAttributeView.class).read("client", value);
      assertThat(value.array()).containsExactly(7, 8);
    }
  }

  @Test
  void aFileThatIsReadOnlyIsNotReplaced() throws IOException {
    Path file = folder.resolve("a.txt");
    write(file, "old");
    assumeTrue(Files.getFileStore(file).supportsFileAttributeView("posix"));
    Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("r--r--r--"));
    assertThatThrownBy(() -> write(file, "new"))
        .hasMessage(file + " cannot be written: the file is read-only");
    assertThat(file).hasContent("old");
  }

  /** Systems allow 255 bytes; what is written beside must not need more. */
  @Test
  void theLongestNameCanBeWritten() throws IOException {
    Path file = folder.resolve("n".repeat(248) + ".dmorph");
    write(file, "new");
    assertThat(file).hasContent("new");
  }

  @Test
  void whatInterruptedWritingLeftGoesAfterAnHour() throws IOException {
    Path old = Files.createFile(folder.resolve(".dynamorph-1.part"));
    Files.setLastModifiedTime(old, FileTime.from(Instant.now().minus(Duration.ofMinutes(61))));
    Path present = Files.createFile(folder.resolve(".dynamorph-2.part"));
    Path foreign = Files.createFile(folder.resolve(".other.part"));
    Files.setLastModifiedTime(foreign, FileTime.from(Instant.EPOCH));
    write(folder.resolve("a.txt"), "new");
    assertThat(old).doesNotExist();
    assertThat(present).exists();
    assertThat(foreign).exists();
  }

  @Test
  void aFolderIsNotReplaced() throws IOException {
    Path place = Files.createDirectory(folder.resolve("place"));
    assertThatThrownBy(() -> write(place, "new"))
        .hasMessage(place + " cannot be written: this is a folder");
    assertThatThrownBy(() -> write(folder.resolve("none").resolve("a.txt"), "new"))
        .hasMessageContaining("does not exist");
  }
}
