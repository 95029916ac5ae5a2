package dynamorph.cli;

import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.style.AddStyle;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import java.util.List;
import java.util.Locale;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

@Command(
    name = "derive",
    description = "Derives a style from another: it sets what is given and follows the rest.",
    mixinStandardHelpOptions = true)
final class DeriveCommand extends EditCommand {

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

  @Override
  Edit edit(Project project) {
    if (project.styles().named(name).isPresent()) {
      throw new IllegalArgumentException("there is a style called \"" + name + "\" already");
    }
    Style base = ProjectLookup.style(project, from);
    AddStyle empty = AddStyle.derived(base, freeId(project), name);
    Style derived =
        empty
            .style()
            .withProperties(
                Assignments.over(PropertySet.EMPTY, assignments, base.level(), project));
    return new AddStyle(derived, "Derive");
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
