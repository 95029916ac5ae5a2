package dynamorph.cli;

import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.style.Follow;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

@Command(
    name = "follow",
    description = "${bundle:follow-command.lets-layers-follow-a-style}",
    mixinStandardHelpOptions = true)
final class FollowCommand extends EditCommand {
  @Mixin private Selector selector;
  @Mixin private StyleOption style;
  @Mixin private ApplyArguments options;

  @Option(
      names = "--on-top",
      description = "${bundle:follow-command.adds-it-over-what-is-followed}")
  private boolean onTop;

  @Override
  Edit edit(Project project) {
    return new Follow(selector.in(project), style.in(project), options.options(onTop));
  }
}
