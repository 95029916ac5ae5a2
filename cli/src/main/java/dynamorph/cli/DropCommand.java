package dynamorph.cli;

import dynamorph.model.Project;
import dynamorph.model.edit.DropLocal;
import dynamorph.model.property.Facet;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import java.io.IOException;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(
    name = "drop",
    description = "Drops local changes, so that what is followed shows again.",
    mixinStandardHelpOptions = true)
final class DropCommand implements Callable<Integer> {
  @Mixin private ProjectArgument file;
  @Mixin private Selector selector;
  @Mixin private EditOutput output;

  @Option(
      names = "--property",
      split = ",",
      paramLabel = "PROPERTY",
      description = "Only these, such as size or finish/fill/colour.")
  private List<String> properties = List.of();

  @Option(
      names = "--facet",
      split = ",",
      paramLabel = "FACET",
      description = "Only those of these facets.")
  private List<Facet> facets = List.of();

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    Project project = file.read();
    Set<PropertyKey<?>> keys = new HashSet<>();
    properties.forEach(name -> keys.add(Properties.key(name)));
    DropLocal edit =
        new DropLocal(
            selector.in(project),
            keys.isEmpty() ? Optional.empty() : Optional.of(keys),
            facets.isEmpty() ? EnumSet.allOf(Facet.class) : Set.copyOf(facets));
    return output.finish(project, edit, spec.commandLine().getOut());
  }
}
