package dynamorph.cli;

import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.layer.DropLocal;
import dynamorph.model.property.Facet;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

@Command(
    name = "drop",
    description = "${bundle:drop-command.drops-local-changes-so-that-what}",
    mixinStandardHelpOptions = true)
final class DropCommand extends EditCommand {
  @Mixin private Selector selector;
  @Mixin private PropertyOption property;

  @Option(
      names = "--facet",
      split = ",",
      paramLabel = "FACET",
      description = "${bundle:drop-command.only-those-of-these-facets}")
  private List<Facet> facets = List.of();

  @Override
  Edit edit(Project project) {
    return new DropLocal(
        selector.in(project),
        property.keys(),
        facets.isEmpty() ? EnumSet.allOf(Facet.class) : Set.copyOf(facets));
  }
}
