package dynamorph.cli;

import dynamorph.model.Project;
import dynamorph.model.edit.style.ChangeStyle;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

@Command(
    name = "set",
    description = "${bundle:set-command.sets-values-of-a-style-everything}",
    mixinStandardHelpOptions = true)
final class SetCommand implements Callable<Integer> {
  @Mixin private ProjectArgument file;

  @Option(
      names = "--style",
      required = true,
      paramLabel = "NAME",
      description = "${bundle:set-command.name-or-id-of-the-style}")
  private String styleName;

  @Parameters(
      index = "1..*",
      arity = "1..*",
      paramLabel = "property=value",
      description = "${bundle:set-command.such-as-size-48-pt-or}")
  private List<String> assignments;

  @Option(
      names = {"-o", "--output"},
      required = true,
      paramLabel = "FILE",
      description = "${bundle:set-command.the-project-to-write}")
  private Path output;

  @Override
  public Integer call() throws IOException {
    Project project = file.read();
    Style style = ProjectLookup.style(project, styleName);
    PropertySet values = Assignments.over(style.properties(), assignments, style.level(), project);
    file.edit(new ChangeStyle(style.withProperties(values)), output);
    return 0;
  }
}
