package dynamorph.cli;

import dynamorph.formats.project.ProjectFile;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import picocli.CommandLine.Parameters;

/** The project file that a command works on. */
final class ProjectArgument {
  @Parameters(
      index = "0",
      paramLabel = "FILE",
      description = "${bundle:project-argument.the-project-file}")
  private Path file;

  Project read() throws IOException {
    return ProjectFile.read(file);
  }

  /** Applies an edit and writes the result. */
  void edit(Edit edit, Path output) throws IOException {
    write(edit.applyTo(read()), output);
  }

  /** Writes what was made of the project. */
  void write(Project made, Path output) throws IOException {
    ProjectFile.write(made, output, Optional.of(file));
  }
}
