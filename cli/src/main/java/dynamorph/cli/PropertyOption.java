package dynamorph.cli;

import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import picocli.CommandLine.Option;

/** Which values a command is about, if not all. */
final class PropertyOption {
  @Option(
      names = "--property",
      split = ",",
      paramLabel = "PROPERTY",
      description = "${bundle:property-option.only-these-such-as-size-or}")
  private List<String> properties = List.of();

  Optional<Set<PropertyKey<?>>> keys() {
    Set<PropertyKey<?>> keys = new HashSet<>();
    properties.forEach(name -> keys.add(Properties.key(name)));
    return keys.isEmpty() ? Optional.empty() : Optional.of(keys);
  }
}
