package dynamorph.cli;

import dynamorph.cli.message.Messages;
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
    description = "${bundle:derive-command.derives-a-style-from-another-it}",
    mixinStandardHelpOptions = true)
final class DeriveCommand extends EditCommand {

  @Option(
      names = "--from",
      required = true,
      paramLabel = "NAME",
      description = "${bundle:derive-command.the-style-that-it-is-based}")
  private String from;

  @Option(
      names = "--name",
      required = true,
      paramLabel = "NAME",
      description = "${bundle:derive-command.what-it-is-called}")
  private String name;

  @Parameters(
      index = "1..*",
      arity = "0..*",
      paramLabel = "property=value",
      description = "${bundle:derive-command.what-it-sets}")
  private List<String> assignments = List.of();

  @Override
  Edit edit(Project project) {
    if (project.styles().named(name).isPresent()) {
      throw new IllegalArgumentException(
          Messages.of("derive-command.there-is-a-style-called-already", name));
    }
    Style base = ProjectLookup.style(project, from);
    AddStyle empty = AddStyle.derived(base, freeId(project), name);
    Style derived =
        empty
            .style()
            .withProperties(
                Assignments.over(PropertySet.EMPTY, assignments, base.level(), project));
    return new AddStyle(derived, Messages.of("derive-command.derive"));
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
