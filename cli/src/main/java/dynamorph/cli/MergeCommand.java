package dynamorph.cli;

import dynamorph.model.Project;
import dynamorph.model.edit.MergeStyles;
import dynamorph.model.style.StyleId;
import java.io.IOException;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(
    name = "merge",
    description = "Makes several styles one; what followed the others follows the one that stays.",
    mixinStandardHelpOptions = true)
final class MergeCommand implements Callable<Integer> {
  @Mixin private ProjectArgument file;
  @Mixin private EditOutput output;

  @Option(
      names = "--into",
      required = true,
      paramLabel = "NAME",
      description = "The style that stays.")
  private String into;

  @Option(
      names = "--style",
      required = true,
      paramLabel = "NAME",
      description = "One that goes; may be repeated.")
  private List<String> styleNames;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    Project project = file.read();
    List<StyleId> others =
        styleNames.stream().map(name -> Choosing.style(project, name).id()).toList();
    return output.finish(
        project,
        new MergeStyles(Choosing.style(project, into).id(), others),
        spec.commandLine().getOut());
  }
}
