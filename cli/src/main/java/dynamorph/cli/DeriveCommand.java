package dynamorph.cli;

import dynamorph.model.Project;
import dynamorph.model.edit.AddStyle;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import java.io.IOException;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(
    name = "derive",
    description = "Derives a style from another: it sets what is given and follows the rest.",
    mixinStandardHelpOptions = true)
final class DeriveCommand implements Callable<Integer> {
  @Mixin private ProjectArgument file;
  @Mixin private EditOutput output;

  @Option(
      names = "--from",
      required = true,
      paramLabel = "NAME",
      description = "The style that it is based on.")
  private String from;

  @Option(
      names = "--name",
      required = true,
      paramLabel = "NAME",
      description = "What it is called.")
  private String name;

  @Parameters(
      index = "1..*",
      arity = "0..*",
      paramLabel = "property=value",
      description = "What it sets.")
  private List<String> assignments = List.of();

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    Project project = file.read();
    if (project.styles().named(name).isPresent()) {
      throw new IllegalArgumentException("there is a style called \"" + name + "\" already");
    }
    Style base = Choosing.style(project, from);
    AddStyle empty = AddStyle.derived(base, freeId(project), name);
    Style derived =
        empty
            .style()
            .withProperties(
                Assignments.over(PropertySet.EMPTY, assignments, base.level(), project));
    return output.finish(project, new AddStyle(derived, "Derive"), spec.commandLine().getOut());
  }

  /** An id that reads like the name. */
  private StyleId freeId(Project project) {
    String plain =
        name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("^-|-$", "");
    String start = plain.isEmpty() ? "style" : plain;
    String id = start;
    for (int number = 2; project.styles().find(new StyleId(id)).isPresent(); number++) {
      id = start + "-" + number;
    }
    return new StyleId(id);
  }
}
