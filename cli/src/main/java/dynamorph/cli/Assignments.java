package dynamorph.cli;

import dynamorph.cli.message.Messages;
import dynamorph.model.Project;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.value.Colour;
import java.util.List;

/**
 * Reads values as a command line gives them: {@code size="48 pt"}; with no value one is left open.
 */
final class Assignments {
  private Assignments() {}

  /** Values over others, for a style of a level. */
  static PropertySet over(
      PropertySet values, List<String> assignments, StyleLevel level, Project project) {
    PropertySet changed = values;
    for (String assignment : assignments) {
      changed = over(changed, assignment, level, project);
    }
    return changed;
  }

  private static PropertySet over(
      PropertySet values, String assignment, StyleLevel level, Project project) {
    int equals = assignment.indexOf('=');
    if (equals < 1) {
      throw new IllegalArgumentException(
          Messages.of("assignments.write-property-value", assignment));
    }
    PropertyKey<?> key = Properties.key(assignment.substring(0, equals));
    if (!level.carries(key.property())) {
      throw new IllegalArgumentException(
          Messages.of("assignments.a-style-cannot-carry-it", key.path(), level.label()));
    }
    String value = assignment.substring(equals + 1);
    PropertySet changed = value.isBlank() ? values.without(key) : values.withText(key, value);
    checkSwatch(changed, key, project);
    return changed;
  }

  private static void checkSwatch(PropertySet values, PropertyKey<?> key, Project project) {
    boolean unknown =
        values.get(key).orElse(null) instanceof Colour.SwatchReference(String swatch)
            && project.palette().find(swatch).isEmpty();
    if (unknown) {
      throw new IllegalArgumentException(
          Messages.of("assignments.there-is-no-swatch-of-that", key.path()));
    }
  }
}
