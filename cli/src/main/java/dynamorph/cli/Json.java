package dynamorph.cli;

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
    ObjectNode node = NODES.objectNode();
    set.keys().forEach(key -> put(node, key, set));
    return node;
  }

  private static <T> void put(ObjectNode node, PropertyKey<T> key, PropertySet set) {
    putValue(node, key.path(), key, set.get(key).orElseThrow());
  }

  static <T> void putValue(ObjectNode node, String field, PropertyKey<T> key, T value) {
    switch (key.property().type().encode(value)) {
      case Double number -> node.put(field, number);
      case Boolean flag -> node.put(field, flag);
      case Object text -> node.put(field, text.toString());
    }
  }
}
