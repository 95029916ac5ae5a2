package dynamorph.cli;

import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.style.SaveIntoStyle;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;

@Command(
    name = "save-into",
    description = "Saves local changes into the styles that are followed.",
    mixinStandardHelpOptions = true)
final class SaveIntoCommand extends EditCommand {
  @Mixin private Selector selector;
  @Mixin private PropertyOption property;

  @Override
  Edit edit(Project project) {
    return new SaveIntoStyle(selector.in(project), property.keys());
  }
}
