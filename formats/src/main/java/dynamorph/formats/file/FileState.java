package dynamorph.formats.file;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.nio.file.attribute.FileTime;
import java.util.Optional;

/**
 * What tells that a file is still as it was: when that differs, somebody wrote it in between.
 *
 * @param size in bytes
 * @param key what the system tells files apart by, if it does; a file that was replaced has another
 */
public record FileState(long size, FileTime modified, String key) {
  /** How a file is now; empty if there is none. */
  public static Optional<FileState> of(Path file) {
    try {
      BasicFileAttributes now = Files.readAttributes(file, BasicFileAttributes.class);
      return Optional.of(
          new FileState(now.size(), now.lastModifiedTime(), String.valueOf(now.fileKey())));
    } catch (IOException none) {
      return Optional.empty();
    }
  }
}
