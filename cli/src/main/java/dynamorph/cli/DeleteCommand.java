package dynamorph.cli;

import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.style.DeleteStyles;
import dynamorph.model.style.StyleId;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

@Command(
    name = "delete",
    description = "Deletes styles; what follows them keeps its look, or follows another style.",
    mixinStandardHelpOptions = true)
final class DeleteCommand extends EditCommand {

  @Option(names = "--style", paramLabel = "NAME", description = "Name or id; may be repeated.")
  private List<String> styleNames = List.of();

  @Option(names = "--unused", description = "Deletes all that nothing follows or is based on.")
  private boolean unused;

  @Option(
      names = "--replace-by",
      paramLabel = "NAME",
      description = "What followers follow instead.")
  private String replacement;

  @Override
  Edit edit(Project project) {
    LinkedHashSet<StyleId> styles = new LinkedHashSet<>();
    styleNames.forEach(name -> styles.add(ProjectLookup.style(project, name).id()));
    if (unused) {
      styles.addAll(DeleteStyles.unused(project).styles());
    } else if (styles.isEmpty()) {
      throw new IllegalArgumentException("say which styles with --style NAME, or --unused");
    }
    Optional<StyleId> instead =
        Optional.ofNullable(replacement).map(name -> ProjectLookup.style(project, name).id());
    return new DeleteStyles(styles, instead);
  }
}
