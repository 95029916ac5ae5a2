package dynamorph.formats.project;

import static java.util.Objects.requireNonNull;

import dynamorph.model.Project;
import dynamorph.model.timeline.Media;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.function.UnaryOperator;

/**
 * Paths of footage. In a project that is open they are absolute; in its file they begin at the
 * file's folder where they can, so that a project and its footage may be moved together.
 */
final class MediaPaths {
  private MediaPaths() {}

  /** As they are written into a file. */
  static Project relative(Project project, Path file) {
    Path folder = folder(file);
    return changed(
        project,
        path ->
            path.isAbsolute() && folder.getRoot().equals(path.getRoot())
                ? folder.relativize(path.normalize())
                : path);
  }

  /** As they are in a project that was read from a file. */
  static Project absolute(Project project, Path file) {
    Path folder = folder(file);
    return changed(project, path -> folder.resolve(path).normalize());
  }

  private static Path folder(Path file) {
    return requireNonNull(file.toAbsolutePath().normalize().getParent(), "a file is in a folder");
  }

  private static Project changed(Project project, UnaryOperator<Path> change) {
    return project.mapMedia(media ->
        media instanceof Media.File(String path) ? new Media.File(changed(path, change)) : media);
  }

  /** With slashes on every machine; what is no path on this one stays as it is. */
  private static String changed(String path, UnaryOperator<Path> change) {
    try {
      return change.apply(Path.of(path)).toString().replace('\\', '/');
    } catch (InvalidPathException foreign) {
      return path;
    }
  }
}
