package dynamorph.shelf.folder;

import dynamorph.formats.project.ProjectSchema;
import dynamorph.shelf.Action;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** The JSON Schemas (2020-12) of the files of a shelf. */
public final class ShelfSchema {
  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;
  private static final String ID = "^[A-Za-z0-9][A-Za-z0-9_-]*$";
  private static final String VERSION = "^[0-9a-f]{16}$";

  private ShelfSchema() {}

  /** The schemas by file name. */
  public static Map<String, String> files() {
    JsonMapper json = JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();
    Map<String, String> files = new TreeMap<>();
    files.put("shelf-entry.schema.json", json.writeValueAsString(entry()) + "\n");
    files.put("shelf-action.schema.json", json.writeValueAsString(action()) + "\n");
    return files;
  }

  private static ObjectNode entry() {
    ObjectNode schema = document("A style or swatch of a shelf, with its versions.");
    ObjectNode properties = schema.putObject("properties");
    properties.putObject("format").put("const", "dynamorph-shelf-entry");
    properties.putObject("formatVersion").put("const", 1);
    properties.set("id", pattern(ID));
    properties.putObject("now").put("$ref", "#/$defs/content");
    properties
        .putObject("versions")
        .put("type", "array")
        .put("minItems", 1)
        .putObject("items")
        .put("$ref", "#/$defs/version");
    required(schema, "format", "formatVersion", "id", "now", "versions");
    return closed(schema);
  }

  private static ObjectNode action() {
    ObjectNode schema = document("Something that was done to a shelf.");
    ObjectNode properties = schema.putObject("properties");
    properties.putObject("format").put("const", "dynamorph-shelf-action");
    properties.putObject("formatVersion").put("const", 1);
    properties.set("id", pattern(VERSION));
    properties.set("time", text());
    properties.set("author", text());
    ArrayNode kinds = properties.putObject("kind").putArray("enum");
    Arrays.stream(Action.Kind.values()).map(Action.Kind::id).forEach(kinds::add);
    properties.set("undoes", pattern(VERSION));
    ObjectNode versions = NODES.objectNode().put("type", "array").put("minItems", 1);
    versions.putObject("items").put("$ref", "#/$defs/version");
    ObjectNode entries = properties.putObject("entries").put("type", "object");
    entries.set("propertyNames", pattern(ID));
    entries.set("additionalProperties", versions);
    required(schema, "format", "formatVersion", "id", "time", "author", "kind", "entries");
    return closed(schema);
  }

  /** With what both say of versions, styles and swatches. */
  private static ObjectNode document(String description) {
    ObjectNode schema = NODES.objectNode();
    schema
        .put("$schema", "https://json-schema.org/draft/2020-12/schema")
        .put("description", description)
        .put("type", "object");
    return schema;
  }

  private static ObjectNode closed(ObjectNode schema) {
    schema.put("additionalProperties", false);
    JsonMapper json = JsonMapper.builder().build();
    ObjectNode styles =
        (ObjectNode)
            json.readTree(Objects.requireNonNull(ProjectSchema.files().get("styles.schema.json")));
    ObjectNode project =
        (ObjectNode)
            json.readTree(Objects.requireNonNull(ProjectSchema.files().get("project.schema.json")));
    ObjectNode definitions = schema.putObject("$defs");
    definitions.set("properties", styles.path("$defs").path("properties"));
    definitions.set("style", styles.path("properties").path("styles").path("items"));
    definitions.set("swatch", project.path("properties").path("palette").path("items"));
    definitions.set("content", content(NODES.objectNode()));
    ObjectNode version = NODES.objectNode();
    version.set("version", pattern(VERSION));
    version.putObject("parents").put("type", "array").set("items", pattern(VERSION));
    version.set("time", text());
    version.set("author", text());
    version.set("note", text());
    ObjectNode whole = content(version);
    required(whole, "version", "parents", "time");
    definitions.set("version", whole);
    return schema;
  }

  /** What is kept, with what else is said about it: just one of a style, a swatch and nothing. */
  private static ObjectNode content(ObjectNode more) {
    more.putObject("style").put("$ref", "#/$defs/style");
    more.putObject("swatch").put("$ref", "#/$defs/swatch");
    more.putObject("deleted").put("const", true);
    more.putObject("tags").put("type", "array").set("items", text());
    more.putObject("assets")
        .put("type", "object")
        .set("additionalProperties", pattern("^[0-9a-f]{64}$"));
    ObjectNode content = NODES.objectNode().put("type", "object");
    content.set("properties", more);
    content.put("additionalProperties", false);
    ArrayNode kinds = content.putArray("oneOf");
    List.of("style", "swatch", "deleted")
        .forEach(kind -> kinds.addObject().putArray("required").add(kind));
    return content;
  }

  private static void required(ObjectNode schema, String... fields) {
    ArrayNode required = schema.putArray("required");
    Arrays.stream(fields).forEach(required::add);
  }

  private static ObjectNode text() {
    return NODES.objectNode().put("type", "string");
  }

  private static ObjectNode pattern(String pattern) {
    return text().put("pattern", pattern);
  }
}
