package dynamorph.cli;

import dynamorph.cli.message.Messages;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import picocli.CommandLine.Option;

/** Where the project of an edit goes, or that only its reach is wanted. */
final class EditOutput {
  @Option(
      names = {"-o", "--output"},
      paramLabel = "FILE",
      description = "${bundle:edit-output.the-project-to-write}")
  private Path output;

  @Option(
      names = "--dry-run",
      description = "${bundle:edit-output.prints-what-would-change-and-which}")
  private boolean dryRun;

  @Option(names = "--json", description = "${bundle:edit-output.with-dry-run-prints-json-instead}")
  private boolean json;

  /** Applies the edit: writes the project, or tells what it would change. */
  int finish(ProjectArgument file, Project before, Edit edit, PrintWriter out) throws IOException {
    if (output == null && !dryRun) {
      throw new IllegalArgumentException(Messages.of("edit-output.say-where-to-with-o-file"));
    }
    Project after = edit.applyTo(before);
    if (dryRun) {
      new ReachPrinter(before, after).print(out, json);
    }
    if (output != null) {
      file.write(after, output);
    }
    return 0;
  }
}
