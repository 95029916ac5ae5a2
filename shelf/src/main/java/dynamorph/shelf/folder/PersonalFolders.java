package dynamorph.shelf.folder;

import java.nio.file.Path;
import java.time.InstantSource;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Properties;
import java.util.random.RandomGenerator;
import org.jspecify.annotations.Nullable;

/**
 * Where the person's own data lie: by the XDG Base Directory Specification on Linux, in the usual
 * folders elsewhere.
 *
 * @param environment of the process
 * @param system properties of the process
 */
public record PersonalFolders(Map<String, String> environment, Properties system) {
  /** Names another folder for the shelf. */
  public static final String VARIABLE = "DYNAMORPH_SHELF";

  public static PersonalFolders ofProcess() {
    return new PersonalFolders(System.getenv(), System.getProperties());
  }

  /** The folder of everything of the person's own; {@code dynamorph.home} names another. */
  public Path home() {
    String given = system.getProperty("dynamorph.home");
    if (given != null) {
      return Path.of(given);
    }
    Path user = Path.of(system.getProperty("user.home"));
    String name = system.getProperty("os.name", "").toLowerCase(Locale.ROOT);
    if (name.startsWith("windows")) {
      return set("APPDATA").map(Path::of).orElse(user).resolve("Dynamorph");
    }
    if (name.startsWith("mac")) {
      return user.resolve("Library/Application Support/Dynamorph");
    }
    return set("XDG_DATA_HOME")
        .map(Path::of)
        .filter(Path::isAbsolute)
        .orElse(user.resolve(".local/share"))
        .resolve("dynamorph");
  }

  /**
   * The folder of the shelf.
   *
   * @param given on the command line, which counts most; then the environment variable
   */
  public Path shelf(@Nullable Path given) {
    return Optional.ofNullable(given)
        .or(() -> set(VARIABLE).map(Path::of))
        .orElseGet(() -> home().resolve("shelf"));
  }

  /** The shelf in a folder, in the name of the person who is logged in. */
  public ShelfFolder open(Path folder) {
    return new ShelfFolder(
        folder,
        system.getProperty("user.name", ""),
        InstantSource.system(),
        RandomGenerator.getDefault());
  }

  private Optional<String> set(String variable) {
    return Optional.ofNullable(environment.get(variable)).filter(value -> !value.isBlank());
  }
}
