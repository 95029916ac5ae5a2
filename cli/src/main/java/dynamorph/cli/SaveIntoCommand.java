package dynamorph.cli;

import dynamorph.model.Project;
import dynamorph.model.edit.SaveIntoStyle;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import java.io.IOException;
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
    name = "save-into",
    description = "Saves local changes into the styles that are followed.",
    mixinStandardHelpOptions = true)
final class SaveIntoCommand implements Callable<Integer> {
  @Mixin private ProjectArgument file;
  @Mixin private Selector selector;
  @Mixin private EditOutput output;

  @Option(
      names = "--property",
      split = ",",
      paramLabel = "PROPERTY",
      description = "Only these, such as size or finish/fill/colour.")
  private List<String> properties = List.of();

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    Project project = file.read();
    Set<PropertyKey<?>> keys = new HashSet<>();
    properties.forEach(name -> keys.add(Properties.key(name)));
    SaveIntoStyle edit =
        new SaveIntoStyle(
            selector.in(project), keys.isEmpty() ? Optional.empty() : Optional.of(keys));
    return output.finish(project, edit, spec.commandLine().getOut());
  }
}
