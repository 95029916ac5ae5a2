package dynamorph.app.files;

import dynamorph.app.files.versions.VersionKeeper;
import dynamorph.formats.file.SafeFile;
import dynamorph.shelf.folder.PersonalFolders;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Where the application keeps what belongs to the person and not to a project. */
public final class UserFolder {
  private static final Logger LOG = LoggerFactory.getLogger(UserFolder.class);
  private static final int MOST_RECENT = 10;
  private static final String RECENT = "recent.txt";
  private static final String WELCOMED = "welcomed";
  private static final String DAMAGED = ".damaged";

  private final Path folder;
  private final Path looks;
  private final Optional<Path> shelf;

  private static final String VERSIONS = "versions.txt";
  private static final String OFF = "off";

  public UserFolder(Path folder) {
    this(
        folder, folder, Optional.ofNullable(System.getenv(PersonalFolders.VARIABLE)).map(Path::of));
  }

  private UserFolder(Path folder, Path looks, Optional<Path> shelf) {
    this.folder = folder;
    this.looks = looks;
    this.shelf = shelf.filter(named -> !named.toString().isBlank());
  }

  /** The same folder with another shelf, and with its own memory of which projects have what. */
  public UserFolder withShelfOfItsOwn(String name) {
    return new UserFolder(folder, folder.resolve(name), Optional.empty());
  }

  /**
   * The folder given by {@code dynamorph.home}, else the place that the system has for such data.
   */
  public static UserFolder standard() {
    return new UserFolder(PersonalFolders.ofProcess().home());
  }

  /** The file that the log goes to. */
  public Path log() {
    return folder.resolve("dynamorph.log");
  }

  public Path folder() {
    return folder;
  }

  /** Where the shelf of the person lies; an environment variable may name another place. */
  public Path shelf() {
    return shelf.orElseGet(() -> looks.resolve("shelf"));
  }

  /** Where it is remembered which projects have looks from a shelf. */
  public Path projectIndex() {
    return looks.resolve("projects.json");
  }

  /** Where the reports of updates of other projects lie, with the earlier files. */
  public Path updates() {
    return looks.resolve("updates");
  }

  /** Where projects lie that new ones begin as. */
  public Path templates() {
    return folder.resolve("templates");
  }

  /** Where projects lie that came with a shelf. */
  public Path projects() {
    return looks.resolve("projects");
  }

  /**
   * The lines of a small file of the person's own; none if it is not there. What cannot be read is
   * put aside, so that the file can be written again.
   */
  public List<String> lines(String name) {
    Path file = folder.resolve(name);
    try {
      return Files.exists(file) ? Files.readAllLines(file, StandardCharsets.UTF_8) : List.of();
    } catch (IOException damaged) {
      LOG.warn("{} cannot be read and is put aside", name, damaged);
      putAside(file);
      return List.of();
    }
  }

  private static void putAside(Path file) {
    try {
      Path aside = file.resolveSibling(file.getFileName() + DAMAGED);
      Files.move(file, aside, StandardCopyOption.REPLACE_EXISTING);
    } catch (IOException stays) {
      LOG.warn("{} cannot be put aside", file.getFileName(), stays);
    }
  }

  /** Keeps the lines of a small file; that they cannot be kept hinders nobody. */
  public void keepLines(String name, List<String> lines) {
    write(name, String.join("\n", lines));
  }

  /** Files opened or saved lately that are still there, latest first. */
  public List<Path> recent() {
    return lines(RECENT).stream()
        .map(UserFolder::path)
        .flatMap(Optional::stream)
        .filter(Files::isRegularFile)
        .toList();
  }

  private static Optional<Path> path(String line) {
    try {
      return line.isBlank() ? Optional.empty() : Optional.of(Path.of(line));
    } catch (InvalidPathException damaged) {
      return Optional.empty();
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

  /** Takes a file off the list of the latest; it stays where it is. */
  public void forget(Path file) {
    List<Path> files = new ArrayList<>(recent());
    files.remove(file);
    write(RECENT, String.join("\n", files.stream().map(Path::toString).toList()));
  }

  /** Whether the person has closed the welcome. */
  public boolean isWelcomed() {
    return Files.exists(folder.resolve(WELCOMED));
  }

  public void setWelcomed() {
    write(WELCOMED, "");
  }

  /** Whether saved versions of projects are kept; they are, unless the person said otherwise. */
  public VersionKeeper.Setting keepsVersions() {
    return new VersionKeeper.Setting() {
      @Override
      public boolean isOn() {
        return !lines(VERSIONS).contains(OFF);
      }

      @Override
      public void setOn(boolean on) {
        keepLines(VERSIONS, on ? List.of() : List.of(OFF));
      }
    };
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
