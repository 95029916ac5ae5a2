package dynamorph.cli;

import dynamorph.cli.message.Messages;
import dynamorph.formats.project.PropertyJson;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.Colour;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Property values as a project file has them: an object of paths and values. */
final class JsonValues {
  private static final JsonMapper MAPPER = JsonMapper.builder().build();

  private JsonValues() {}

  /**
   * Reads values from a file of their own.
   *
   * @throws IllegalArgumentException naming the value that is wrong and what was expected
   */
  static PropertySet read(Path file) throws IOException {
    if (!Files.isRegularFile(file)) {
      throw new IllegalArgumentException(Messages.of("json-values.there-is-no-file", file));
    }
    JsonNode root;
    try {
      root = MAPPER.readTree(Files.readString(file));
    } catch (JacksonException broken) {
      throw new IllegalArgumentException(
          Messages.of(
              "json-values.line-is-no-json",
              file,
              broken.getLocation().getLineNr(),
              broken.getOriginalMessage()),
          broken);
    }
    try {
      PropertySet values = PropertyJson.read(root);
      refuseSwatches(values);
      return values;
    } catch (IllegalArgumentException wrong) {
      throw new IllegalArgumentException(file + ": " + wrong.getMessage(), wrong);
    }
  }

  /** Outside of a project there is no palette. */
  private static void refuseSwatches(PropertySet values) {
    for (PropertyKey<?> key : values.keys()) {
      boolean named =
          values
              .get(key)
              .map(value -> value.toString().contains(Colour.SwatchReference.PREFIX))
              .orElse(false);
      if (named) {
        throw new IllegalArgumentException(
            Messages.of("json-values.swatches-belong-to-a-project-write", key.path()));
      }
    }
  }
}
