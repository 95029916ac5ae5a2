package dynamorph.cli;

import dynamorph.cli.message.Messages;
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
    description = "${bundle:delete-command.deletes-styles-what-follows-them-keeps}",
    mixinStandardHelpOptions = true)
final class DeleteCommand extends EditCommand {

  @Option(
      names = "--style",
      paramLabel = "NAME",
      description = "${bundle:delete-command.name-or-id-may-be-repeated}")
  private List<String> styleNames = List.of();

  @Option(
      names = "--unused",
      description = "${bundle:delete-command.deletes-all-that-nothing-follows-or}")
  private boolean unused;

  @Option(
      names = "--replace-by",
      paramLabel = "NAME",
      description = "${bundle:delete-command.what-followers-follow-instead}")
  private String replacement;

  @Override
  Edit edit(Project project) {
    LinkedHashSet<StyleId> styles = new LinkedHashSet<>();
    styleNames.forEach(name -> styles.add(ProjectLookup.style(project, name).id()));
    if (unused) {
      styles.addAll(DeleteStyles.unused(project).styles());
    } else if (styles.isEmpty()) {
      throw new IllegalArgumentException(
          Messages.of("delete-command.say-which-styles-with-style-name"));
    }
    Optional<StyleId> instead =
        Optional.ofNullable(replacement).map(name -> ProjectLookup.style(project, name).id());
    return new DeleteStyles(styles, instead);
  }
}
