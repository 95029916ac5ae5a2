package dynamorph.cli;

import dynamorph.model.Project;
import dynamorph.model.edit.Follow;
import java.io.IOException;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(
    name = "follow",
    description = "Lets layers follow a style.",
    mixinStandardHelpOptions = true)
final class FollowCommand implements Callable<Integer> {
  @Mixin private ProjectArgument file;
  @Mixin private Selector selector;
  @Mixin private MannerOptions manner;
  @Mixin private EditOutput output;

  @Option(
      names = "--style",
      required = true,
      paramLabel = "NAME",
      description = "Name or id of the style.")
  private String styleName;

  @Option(names = "--on-top", description = "Adds it over what is followed.")
  private boolean onTop;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    Project project = file.read();
    Follow edit =
        new Follow(
            selector.in(project), Choosing.style(project, styleName).id(), manner.manner(onTop));
    return output.finish(project, edit, spec.commandLine().getOut());
  }
}
