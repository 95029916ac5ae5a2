package dynamorph.shelf.template;

import dynamorph.formats.project.ProjectFile;
import dynamorph.formats.project.ProjectReadException;
import dynamorph.model.Project;
import dynamorph.shelf.message.Messages;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.text.Normalizer;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A folder of projects that new ones begin as copies of. One that is deleted is put aside, so that
 * it can come back.
 */
public final class Templates {
  private static final String DELETED = "deleted";

  private final Path folder;

  public Templates(Path folder) {
    this.folder = folder;
  }

  /**
   * A template.
   *
   * @param name as people gave it, which is that of the file without its ending
   */
  public record Template(String name, Path file) {
    /**
     * The project that a new one begins as.
     *
     * @throws ProjectReadException if the file is damaged
     */
    public Project read() throws ProjectReadException {
      return ProjectFile.read(file);
    }
  }

  /**
   * All templates by name.
   *
   * @throws IOException if the folder cannot be read
   */
  public List<Template> list() throws IOException {
    if (!Files.isDirectory(folder)) {
      return List.of();
    }
    try (Stream<Path> files = Files.list(folder)) {
      return files
          .filter(Files::isRegularFile)
          .filter(ProjectFile::isNamedSo)
          .map(Templates::template)
          .sorted(Comparator.comparing(Template::name, String.CASE_INSENSITIVE_ORDER))
          .toList();
    }
  }

  private static Template template(Path file) {
    String name = file.getFileName().toString();
    return new Template(
        name.substring(0, name.length() - ProjectFile.ENDING.length()), file.toAbsolutePath());
  }

  /**
   * Keeps a project as a template. One of the same name stays, and the new one gets a number.
   *
   * @param origin the file that the project was read from, if any
   * @throws IOException if it cannot be written
   */
  public Template save(Project project, Optional<Path> origin) throws IOException {
    Files.createDirectories(folder);
    Path file = free(folder, fileName(project.name()));
    ProjectFile.write(project, file, origin);
    return template(file);
  }

  /**
   * Puts a template aside.
   *
   * @return where it lies now, from which {@link #bringBack} takes it
   * @throws IOException if it is gone already or cannot be moved
   */
  public Path delete(Template template) throws IOException {
    if (!Files.exists(template.file())) {
      throw new NoSuchFileException(Messages.of("templates.is-gone", template.name()));
    }
    Path aside = folder.resolve(DELETED);
    Files.createDirectories(aside);
    Path there = free(aside, template.name());
    return Files.move(template.file(), there);
  }

  /**
   * Brings a template back that was put aside.
   *
   * @throws IOException if it is gone or cannot be moved
   */
  public Template bringBack(Path aside) throws IOException {
    return template(Files.move(aside, free(folder, template(aside).name())));
  }

  /** Letters of any script stay; what file systems do not take becomes a hyphen. */
  private static String fileName(String name) {
    String plain =
        Normalizer.normalize(name, Normalizer.Form.NFC)
            .replaceAll("[\\\\/:*?\"<>|\\p{Cntrl}]+", "-")
            .replaceAll("^[. ]+|[. ]+$", "");
    int most = Math.min(plain.codePointCount(0, plain.length()), 80);
    String shortened = plain.substring(0, plain.offsetByCodePoints(0, most));
    return shortened.isBlank() ? Messages.of("new-project.untitled") : shortened;
  }

  private static Path free(Path folder, String name) {
    Path file = folder.resolve(name + ProjectFile.ENDING);
    for (int number = 2; Files.exists(file); number++) {
      file = folder.resolve(name + " " + number + ProjectFile.ENDING);
    }
    return file;
  }
}
