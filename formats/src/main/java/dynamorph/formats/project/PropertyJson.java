package dynamorph.formats.project;

import dynamorph.formats.message.Messages;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Property values outside of a project file: an object of paths and values. */
public final class PropertyJson {
  private PropertyJson() {}

  /**
   * Reads values.
   *
   * @throws IllegalArgumentException naming the value that is wrong and what was expected
   */
  public static PropertySet read(JsonNode node) {
    if (!node.isObject()) {
      throw new IllegalArgumentException(
          Messages.of("property-json.expected-an-object-of-property-values"));
    }
    PropertySet values = PropertySet.EMPTY;
    for (var entry : node.properties()) {
      values = decoded(values, Properties.key(entry.getKey()), entry.getValue());
    }
    return values;
  }

  /** The values as an object of paths and values. */
  public static ObjectNode write(PropertySet values) {
    ObjectNode node = JsonNodeFactory.instance.objectNode();
    values.keys().forEach(key -> put(node, key.path(), key, values));
    return node;
  }

  /** Puts one value of a set into an object. */
  public static <T> void put(
      ObjectNode node, String field, PropertyKey<T> key, PropertySet values) {
    putValue(node, field, key, values.get(key).orElseThrow());
  }

  /** Puts a value into an object as the key says it. */
  public static <T> void putValue(ObjectNode node, String field, PropertyKey<T> key, T value) {
    switch (key.property().type().encode(value)) {
      case Double number -> node.put(field, number);
      case Boolean flag -> node.put(field, flag);
      case Object text -> node.put(field, text.toString());
    }
  }

  private static <T> PropertySet decoded(PropertySet set, PropertyKey<T> key, JsonNode node) {
    Object plain =
        node.isNumber()
            ? (Object) node.doubleValue()
            : node.isBoolean() ? (Object) node.booleanValue() : node.stringValue("");
    try {
      return set.with(key, key.property().type().decode(plain));
    } catch (IllegalArgumentException wrong) {
      throw new IllegalArgumentException(key.path() + ": " + wrong.getMessage(), wrong);
    }
  }
}
