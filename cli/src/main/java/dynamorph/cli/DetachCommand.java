package dynamorph.cli;

import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.style.StopFollowing;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

@Command(
    name = "detach",
    description = "Lets layers follow a style no longer; they keep their look as local changes.",
    mixinStandardHelpOptions = true)
final class DetachCommand extends EditCommand {
  @Mixin private Selector selector;
  @Mixin private StyleOption style;

  @Option(names = "--fall-back", description = "Loses the look that the style gave.")
  private boolean fallBack;

  @Override
  Edit edit(Project project) {
    return new StopFollowing(selector.in(project), style.in(project), !fallBack);
  }
}
