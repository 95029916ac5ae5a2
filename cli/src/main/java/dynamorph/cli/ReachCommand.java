package dynamorph.cli;

import dynamorph.cli.message.Messages;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.style.ChangeStyle;
import dynamorph.model.edit.style.SetSwatch;
import dynamorph.model.style.Style;
import dynamorph.model.style.Swatch;
import dynamorph.model.value.ColourText;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(
    name = "reach",
    description = {"${bundle:reach-command.tells-what-a-change-of-a}"},
    mixinStandardHelpOptions = true)
final class ReachCommand implements Callable<Integer> {
  @Mixin private ProjectArgument file;

  @Option(
      names = "--style",
      paramLabel = "NAME",
      description = "${bundle:reach-command.name-or-id-of-the-style}")
  private String styleName;

  @Option(
      names = "--swatch",
      paramLabel = "NAME=COLOUR",
      description = "${bundle:reach-command.a-swatch-with-another-colour-such}")
  private String swatch;

  @Parameters(
      index = "1..*",
      arity = "0..*",
      paramLabel = "property=value",
      description = "${bundle:reach-command.what-the-style-would-set-with}")
  private List<String> assignments = List.of();

  @Option(names = "--json", description = "${bundle:reach-command.prints-json-instead-of-lines}")
  private boolean json;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    Project project = file.read();
    List<Edit> edits = new ArrayList<>();
    if (styleName != null) {
      Style style = ProjectLookup.style(project, styleName);
      edits.add(
          new ChangeStyle(
              style.withProperties(
                  Assignments.over(style.properties(), assignments, style.level(), project))));
    } else if (!assignments.isEmpty()) {
      throw new IllegalArgumentException(
          Messages.of("reach-command.say-which-style-with-style-name"));
    }
    if (swatch != null) {
      edits.add(new SetSwatch(swatch(project)));
    }
    if (edits.isEmpty()) {
      throw new IllegalArgumentException(
          Messages.of("reach-command.say-what-changes-style-name-property"));
    }
    Edit edit = Edit.together(Messages.of("reach-command.reach"), edits.toArray(Edit[]::new));
    new ReachPrinter(project, edit.applyTo(project)).print(spec.commandLine().getOut(), json);
    return 0;
  }

  private Swatch swatch(Project project) {
    int equals = swatch.lastIndexOf('=');
    if (equals < 1) {
      throw new IllegalArgumentException(Messages.of("reach-command.write-name-colour", swatch));
    }
    Swatch known = ProjectLookup.swatch(project, swatch.substring(0, equals));
    return known.withColour(ColourText.parse(swatch.substring(equals + 1).strip()));
  }
}
