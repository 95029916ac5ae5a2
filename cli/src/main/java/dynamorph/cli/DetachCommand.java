package dynamorph.cli;

import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.style.StopFollowing;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

@Command(
    name = "detach",
    description = "${bundle:detach-command.lets-layers-follow-a-style-no}",
    mixinStandardHelpOptions = true)
final class DetachCommand extends EditCommand {
  @Mixin private Selector selector;
  @Mixin private StyleOption style;

  @Option(
      names = "--fall-back",
      description = "${bundle:detach-command.loses-the-look-that-the-style}")
  private boolean fallBack;

  @Override
  Edit edit(Project project) {
    return new StopFollowing(selector.in(project), style.in(project), !fallBack);
  }
}
