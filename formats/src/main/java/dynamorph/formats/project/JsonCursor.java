package dynamorph.formats.project;

import dynamorph.formats.message.Messages;
import dynamorph.formats.message.ShortText;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;

/**
 * A place in a JSON document that knows where it is, so that everything wrong is told with its
 * place.
 */
final class JsonCursor {
  /**
   * Something wrong in a document; turned into a {@link ProjectReadException} where the file is
   * known.
   */
  static final class Wrong extends RuntimeException {
    private final String place;

    Wrong(String place, String problem) {
      super(ShortText.of(problem));
      this.place = ShortText.of(place);
    }

    String place() {
      return place;
    }
  }

  private final JsonNode node;
  private final String document;
  private final String pointer;

  JsonCursor(JsonNode node, String document) {
    this(node, document, "");
  }

  private JsonCursor(JsonNode node, String document, String pointer) {
    this.node = node;
    this.document = document;
    this.pointer = pointer;
  }

  Wrong wrong(String problem) {
    return new Wrong(pointer.isEmpty() ? document : document + " " + pointer, problem);
  }

  /** Runs a conversion of the model, whose refusals are told with this place. */
  <T> T checked(java.util.function.Supplier<T> conversion) {
    try {
      return conversion.get();
    } catch (IllegalArgumentException refused) {
      throw wrong(String.valueOf(refused.getMessage()));
    }
  }

  /** The same, with names that are given as a list. */
  JsonCursor only(List<String> known, String... more) {
    return only(Stream.concat(known.stream(), Stream.of(more)).toArray(String[]::new));
  }

  /** Refuses fields that the format does not have. */
  JsonCursor only(String... known) {
    object();
    Set<String> unknown = new LinkedHashSet<>(node.propertyNames());
    Set.of(known).forEach(unknown::remove);
    if (!unknown.isEmpty()) {
      throw wrong(Messages.of("json-cursor.unknown-field", unknown.iterator().next()));
    }
    return this;
  }

  JsonCursor field(String name) {
    return find(name)
        .orElseThrow(() -> wrong(Messages.of("json-cursor.the-field-is-missing", name)));
  }

  Optional<JsonCursor> find(String name) {
    JsonNode child = object().get(name);
    return child == null
        ? Optional.empty()
        : Optional.of(
            new JsonCursor(
                child, document, pointer + "/" + name.replace("~", "~0").replace("/", "~1")));
  }

  private JsonNode object() {
    if (!node.isObject()) {
      throw wrong(Messages.of("json-cursor.expected-an-object-found", kind()));
    }
    return node;
  }

  <T> List<T> items(Function<JsonCursor, T> read) {
    if (!node.isArray()) {
      throw wrong(Messages.of("json-cursor.expected-a-list-found", kind()));
    }
    List<T> items = new ArrayList<>(node.size());
    for (int index = 0; index < node.size(); index++) {
      items.add(read.apply(new JsonCursor(node.get(index), document, pointer + "/" + index)));
    }
    return items;
  }

  List<JsonCursor> list() {
    return items(item -> item);
  }

  Iterable<Map.Entry<String, JsonCursor>> fields() {
    List<Map.Entry<String, JsonCursor>> fields = new ArrayList<>();
    for (String name : object().propertyNames()) {
      fields.add(Map.entry(name, field(name)));
    }
    return fields;
  }

  String text() {
    if (!node.isString()) {
      throw wrong(Messages.of("json-cursor.expected-text-found", kind()));
    }
    return node.stringValue();
  }

  double number() {
    if (!node.isNumber() || !Double.isFinite(node.doubleValue())) {
      throw wrong(Messages.of("json-cursor.expected-a-number-found", kind()));
    }
    return node.doubleValue();
  }

  boolean truth() {
    if (!node.isBoolean()) {
      throw wrong(Messages.of("json-cursor.expected-true-or-false-found", kind()));
    }
    return node.booleanValue();
  }

  /** A string, number or boolean as the registry's codecs take it. */
  Object scalar() {
    if (node.isString()) {
      return node.stringValue();
    }
    if (node.isNumber()) {
      return node.doubleValue();
    }
    if (node.isBoolean()) {
      return node.booleanValue();
    }
    throw wrong(Messages.of("json-cursor.expected-a-value-found", kind()));
  }

  private String kind() {
    return switch (node.getNodeType()) {
      case OBJECT -> Messages.of("json-cursor.an-object");
      case ARRAY -> "a list";
      case STRING -> Messages.of("json-cursor.the-text", node.stringValue());
      case NUMBER -> Messages.of("json-cursor.the-number", node);
      case BOOLEAN -> node.toString();
      case NULL -> "null";
      default -> Messages.of("json-cursor.something-else");
    };
  }
}
