package dynamorph.cli;

import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.Stamp;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

@Command(
    name = "stamp",
    description = "Copies the values of a style onto layers once, without following it.",
    mixinStandardHelpOptions = true)
final class StampCommand extends EditCommand {
  @Mixin private Selector selector;
  @Mixin private MannerOptions manner;

  @Option(
      names = "--style",
      required = true,
      paramLabel = "NAME",
      description = "Name or id of the style.")
  private String styleName;

  @Override
  Edit edit(Project project) {
    return new Stamp(
        selector.in(project), Choosing.style(project, styleName).id(), manner.manner(false));
  }
}
