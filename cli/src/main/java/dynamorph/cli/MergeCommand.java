package dynamorph.cli;

import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.style.MergeStyles;
import dynamorph.model.style.StyleId;
import java.util.List;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

@Command(
    name = "merge",
    description = "${bundle:merge-command.makes-several-styles-one-what-followed}",
    mixinStandardHelpOptions = true)
final class MergeCommand extends EditCommand {

  @Option(
      names = "--into",
      required = true,
      paramLabel = "NAME",
      description = "${bundle:merge-command.the-style-that-stays}")
  private String into;

  @Option(
      names = "--style",
      required = true,
      paramLabel = "NAME",
      description = "${bundle:merge-command.one-that-goes-may-be-repeated}")
  private List<String> styleNames;

  @Override
  Edit edit(Project project) {
    List<StyleId> others =
        styleNames.stream().map(name -> ProjectLookup.style(project, name).id()).toList();
    return new MergeStyles(ProjectLookup.style(project, into).id(), others);
  }
}
