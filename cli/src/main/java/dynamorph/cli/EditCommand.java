package dynamorph.cli;

import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import java.io.IOException;
import java.util.concurrent.Callable;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Spec;

/** A command that makes one edit of a project, or only tells what it would change. */
abstract class EditCommand implements Callable<Integer> {
  @Mixin private ProjectArgument file;
  @Mixin private EditOutput output;
  @Spec private CommandSpec spec;

  /** The edit that the arguments ask for. */
  abstract Edit edit(Project project);

  @Override
  public Integer call() throws IOException {
    Project project = file.read();
    return output.finish(file, project, edit(project), spec.commandLine().getOut());
  }
}
