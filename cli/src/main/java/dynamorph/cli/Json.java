package dynamorph.cli;

import dynamorph.formats.project.PropertyJson;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import java.io.PrintWriter;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** JSON that commands print. */
final class Json {
  static final JsonNodeFactory NODES = JsonNodeFactory.instance;

  private static final JsonMapper MAPPER =
      JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();

  private Json() {}

  static void print(PrintWriter out, ObjectNode node) {
    out.println(MAPPER.writeValueAsString(node));
  }

  static ObjectNode values(PropertySet set) {
    return PropertyJson.write(set);
  }

  static <T> void putValue(ObjectNode node, String field, PropertyKey<T> key, T value) {
    PropertyJson.putValue(node, field, key, value);
  }
}
