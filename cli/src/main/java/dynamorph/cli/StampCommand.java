package dynamorph.cli;

import dynamorph.model.Project;
import dynamorph.model.edit.Stamp;
import java.io.IOException;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(
    name = "stamp",
    description = "Copies the values of a style onto layers once, without following it.",
    mixinStandardHelpOptions = true)
final class StampCommand implements Callable<Integer> {
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

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    Project project = file.read();
    Stamp edit =
        new Stamp(
            selector.in(project), Choosing.style(project, styleName).id(), manner.manner(false));
    return output.finish(project, edit, spec.commandLine().getOut());
  }
}
