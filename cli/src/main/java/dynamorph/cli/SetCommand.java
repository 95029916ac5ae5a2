package dynamorph.cli;

import dynamorph.model.Project;
import dynamorph.model.edit.ChangeStyle;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

@Command(
    name = "set",
    description = "Sets values of a style; everything that follows it changes.",
    mixinStandardHelpOptions = true)
final class SetCommand implements Callable<Integer> {
  @Mixin private ProjectArgument file;

  @Option(
      names = "--style",
      required = true,
      paramLabel = "NAME",
      description = "Name or id of the style.")
  private String styleName;

  @Parameters(
      index = "1..*",
      arity = "1..*",
      paramLabel = "property=value",
      description =
          "Such as size=\"48 pt\" or finish/rim/width=\"2 pt\"; with no value the style leaves it open.")
  private List<String> assignments;

  @Option(
      names = {"-o", "--output"},
      required = true,
      paramLabel = "FILE",
      description = "The project to write.")
  private Path output;

  @Override
  public Integer call() throws IOException {
    Project project = file.read();
    Style style = Choosing.style(project, styleName);
    PropertySet values = style.properties();
    for (String assignment : assignments) {
      values = assigned(style, values, assignment, project);
    }
    file.edit(new ChangeStyle(style.withProperties(values)), output);
    return 0;
  }

  private static PropertySet assigned(
      Style style, PropertySet values, String assignment, Project project) {
    int equals = assignment.indexOf('=');
    if (equals < 1) {
      throw new IllegalArgumentException("\"" + assignment + "\": write property=value");
    }
    PropertyKey<?> key = Properties.key(assignment.substring(0, equals));
    if (!style.level().carries(key.property())) {
      throw new IllegalArgumentException(
          key.path() + ": a " + style.level().label() + " style cannot carry it");
    }
    String value = assignment.substring(equals + 1);
    PropertySet changed = value.isBlank() ? values.without(key) : values.withText(key, value);
    checkSwatch(changed, key, project);
    return changed;
  }

  private static void checkSwatch(PropertySet values, PropertyKey<?> key, Project project) {
    boolean unknown =
        values.get(key).orElse(null)
                instanceof dynamorph.model.value.Colour.SwatchReference(String swatch)
            && project.palette().find(swatch).isEmpty();
    if (unknown) {
      throw new IllegalArgumentException(
          key.path() + ": there is no swatch of that id in the palette");
    }
  }
}
