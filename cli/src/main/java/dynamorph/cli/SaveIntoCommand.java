package dynamorph.cli;

import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.style.SaveIntoStyle;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;

@Command(
    name = "save-into",
    description = "${bundle:save-into-command.saves-local-changes-into-the-styles}",
    mixinStandardHelpOptions = true)
final class SaveIntoCommand extends EditCommand {
  @Mixin private Selector selector;
  @Mixin private PropertyOption property;

  @Override
  Edit edit(Project project) {
    return new SaveIntoStyle(selector.in(project), property.keys());
  }
}
