package dynamorph.shelf.projects;

import dynamorph.formats.project.ProjectFile;
import java.io.IOException;
import java.nio.file.FileVisitResult;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.SimpleFileVisitor;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/** Finds projects. */
public final class ProjectFiles {
  private ProjectFiles() {}

  /**
   * The projects in a folder and below, sorted; what may not be looked into is left out.
   *
   * @throws IOException if the folder itself cannot be looked into
   */
  public static List<Path> in(Path folder) throws IOException {
    List<Path> found = new ArrayList<>();
    Files.walkFileTree(
        folder,
        new SimpleFileVisitor<>() {
          @Override
          public FileVisitResult visitFile(Path file, BasicFileAttributes attributes) {
            if (attributes.isRegularFile() && file.toString().endsWith(ProjectFile.ENDING)) {
              found.add(file);
            }
            return FileVisitResult.CONTINUE;
          }

          @Override
          public FileVisitResult visitFileFailed(Path file, IOException closed) throws IOException {
            if (file.equals(folder)) {
              throw closed;
            }
            return FileVisitResult.CONTINUE;
          }
        });
    Collections.sort(found);
    return found;
  }
}
