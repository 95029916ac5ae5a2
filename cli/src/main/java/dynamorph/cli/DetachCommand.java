package dynamorph.cli;

import dynamorph.model.Project;
import dynamorph.model.edit.StopFollowing;
import java.io.IOException;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(
    name = "detach",
    description = "Lets layers follow a style no longer; they keep their look as local changes.",
    mixinStandardHelpOptions = true)
final class DetachCommand implements Callable<Integer> {
  @Mixin private ProjectArgument file;
  @Mixin private Selector selector;
  @Mixin private EditOutput output;

  @Option(
      names = "--style",
      required = true,
      paramLabel = "NAME",
      description = "Name or id of the style.")
  private String styleName;

  @Option(names = "--fall-back", description = "Loses the look that the style gave.")
  private boolean fallBack;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    Project project = file.read();
    StopFollowing edit =
        new StopFollowing(selector.in(project), Choosing.style(project, styleName).id(), !fallBack);
    return output.finish(project, edit, spec.commandLine().getOut());
  }
}
