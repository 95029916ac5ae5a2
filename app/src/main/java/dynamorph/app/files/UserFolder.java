package dynamorph.app.files;

import dynamorph.formats.file.SafeFile;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Where the application keeps what belongs to the person and not to a project. */
public final class UserFolder {
  private static final Logger LOG = LoggerFactory.getLogger(UserFolder.class);
  private static final int MOST_RECENT = 10;
  private static final String RECENT = "recent.txt";
  private static final String WELCOMED = "welcomed";

  private final Path folder;

  public UserFolder(Path folder) {
    this.folder = folder;
  }

  /**
   * The folder given by {@code dynamorph.home}, else the place that the system has for such data.
   */
  public static UserFolder standard() {
    String given = System.getProperty("dynamorph.home");
    if (given != null) {
      return new UserFolder(Path.of(given));
    }
    String data = System.getenv("XDG_DATA_HOME");
    Path home = Path.of(System.getProperty("user.home"));
    return new UserFolder(
        data == null || data.isBlank()
            ? home.resolve(".local/share/dynamorph")
            : Path.of(data, "dynamorph"));
  }

  /** The file that the log goes to. */
  public Path log() {
    return folder.resolve("dynamorph.log");
  }

  public Path folder() {
    return folder;
  }

  /** The lines of a small file of the person's own; none if it is not there. */
  public List<String> lines(String name) {
    try {
      return Files.readAllLines(folder.resolve(name), StandardCharsets.UTF_8);
    } catch (IOException _) {
      return List.of();
    }
  }

  /** Keeps the lines of a small file; that they cannot be kept hinders nobody. */
  public void keepLines(String name, List<String> lines) {
    try {
      Files.createDirectories(folder);
      Files.write(folder.resolve(name), lines, StandardCharsets.UTF_8);
    } catch (IOException unwritable) {
      LOG.warn("{} cannot be kept", name, unwritable);
    }
  }

  /** Files opened or saved lately that are still there, latest first. */
  public List<Path> recent() {
    try {
      return Files.readAllLines(folder.resolve(RECENT), StandardCharsets.UTF_8).stream()
          .map(Path::of)
          .filter(Files::isRegularFile)
          .toList();
    } catch (IOException none) {
      return List.of();
    }
  }

  /** Remembers a file as the latest. */
  public void remember(Path file) {
    List<Path> files = new ArrayList<>(recent());
    files.remove(file.toAbsolutePath());
    files.addFirst(file.toAbsolutePath());
    String lines =
        String.join("\n", files.stream().limit(MOST_RECENT).map(Path::toString).toList());
    write(RECENT, lines);
  }

  /** Whether the person has closed the welcome. */
  public boolean isWelcomed() {
    return Files.exists(folder.resolve(WELCOMED));
  }

  public void setWelcomed() {
    write(WELCOMED, "");
  }

  private void write(String name, String text) {
    try {
      Files.createDirectories(folder);
      SafeFile.write(
          folder.resolve(name), stream -> stream.write(text.getBytes(StandardCharsets.UTF_8)));
    } catch (IOException notKept) {
      LOG.warn("could not write {} in the user folder", name, notKept);
    }
  }
}
