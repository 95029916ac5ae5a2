package dynamorph.cli;

import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.style.Stamp;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;

@Command(
    name = "stamp",
    description = "${bundle:stamp-command.copies-the-values-of-a-style}",
    mixinStandardHelpOptions = true)
final class StampCommand extends EditCommand {
  @Mixin private Selector selector;
  @Mixin private StyleOption style;
  @Mixin private ApplyArguments options;

  @Override
  Edit edit(Project project) {
    return new Stamp(selector.in(project), style.in(project), options.options(false));
  }
}
