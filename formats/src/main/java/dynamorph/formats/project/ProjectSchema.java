package dynamorph.formats.project;

import dynamorph.model.export.ExportFormat;
import dynamorph.model.export.ExportPreset;
import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.ValueType;
import dynamorph.model.style.ColourLabel;
import dynamorph.model.timeline.Media;
import dynamorph.model.timeline.Time;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * The JSON Schemas (2020-12) of the documents in a project file, made from the property registry.
 */
public final class ProjectSchema {
  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;
  private static final String COLOUR =
      "^(#([0-9a-f]{3}|[0-9a-f]{6}|[0-9a-f]{8})|swatch:[a-z0-9][a-z0-9-]*)$";
  private static final String ID = "^[A-Za-z0-9_.-]+$";

  private ProjectSchema() {}

  /** The schemas by file name. */
  public static Map<String, String> files() {
    JsonMapper json = JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();
    Map<String, String> files = new TreeMap<>();
    files.put("header.schema.json", json.writeValueAsString(header()) + "\n");
    files.put("project.schema.json", json.writeValueAsString(project()) + "\n");
    files.put("styles.schema.json", json.writeValueAsString(styles()) + "\n");
    files.put("artboard.schema.json", json.writeValueAsString(artboard()) + "\n");
    files.put("rules.schema.json", json.writeValueAsString(RuleSetSchema.document()) + "\n");
    files.put("finish.schema.json", json.writeValueAsString(finish()) + "\n");
    return files;
  }

  /** A finish in a file of its own, which may say something about the letters too. */
  private static ObjectNode finish() {
    return document("A finish for the command line: the values of a style, without swatches.")
        .setAll(properties());
  }

  private static ObjectNode header() {
    ObjectNode schema = document("The first document of a project file.");
    fields(
        schema,
        Map.of(
            Names.FORMAT_NAME, choice(List.of(Names.FORMAT, Names.KIT_FORMAT)),
            Names.FORMAT_VERSION, NODES.objectNode().put("const", Names.VERSION)),
        List.of(Names.FORMAT_NAME, Names.FORMAT_VERSION));
    return schema;
  }

  private static ObjectNode project() {
    ObjectNode schema = document("What belongs to the project as a whole.");
    ObjectNode swatch = NODES.objectNode();
    fields(
        swatch,
        Map.of(
            Names.ID,
            pattern("^[a-z0-9][a-z0-9-]*$"),
            Names.NAME,
            text(),
            Names.COLOUR,
            pattern(COLOUR),
            Names.ORIGIN,
            origin()),
        List.of(Names.ID, Names.NAME, Names.COLOUR));
    fields(
        schema,
        Map.of(
            Names.NAME, text(),
            Names.LANGUAGE, text(),
            Names.WORDS, list(text()),
            Names.BASE_STYLE, pattern(ID),
            Names.PALETTE, list(swatch),
            Names.EXPORTS, list(export()),
            Names.SURVEY, RuleSetSchema.settings(),
            Names.DOCUMENTS, list(ImportedJson.schema()),
            Names.SHEET_VIEWS, list(SheetViewJson.schema()),
            Names.ARTBOARDS, list(text())),
        List.of(Names.NAME, Names.LANGUAGE, Names.PALETTE, Names.ARTBOARDS));
    schema.putObject("$defs").set("properties", properties());
    return schema;
  }

  /** Where a style or swatch is on a shelf. */
  static ObjectNode origin() {
    ObjectNode origin = NODES.objectNode();
    fields(
        origin,
        Map.of(
            Names.SHELF, pattern(ID),
            Names.ENTRY, pattern(ID),
            Names.AT_VERSION, pattern(ID)),
        List.of(Names.SHELF, Names.ENTRY, Names.AT_VERSION));
    return origin;
  }

  private static ObjectNode export() {
    ObjectNode preset = NODES.objectNode();
    fields(
        preset,
        Map.ofEntries(
            Map.entry(Names.NAME, text()),
            Map.entry(
                Names.FILE_FORMAT,
                choice(Arrays.stream(ExportFormat.values()).map(ExportFormat::id).toList())),
            Map.entry(
                Names.RESOLUTION,
                number(ExportPreset.LEAST_RESOLUTION, ExportPreset.MOST_RESOLUTION)),
            Map.entry(Names.QUALITY, number(1, 100)),
            Map.entry(Names.BACKGROUND, flag()),
            Map.entry(Names.FILE_NAME, text()),
            Map.entry(Names.ONE_PER_ARTBOARD, flag()),
            Map.entry(Names.BLEED, number(0, ExportPreset.MOST_BLEED)),
            Map.entry(Names.CROP_MARKS, flag()),
            Map.entry(Names.SOUND, flag()),
            Map.entry(Names.CAPTION_TRACKS, flag()),
            Map.entry(Names.CHAPTERS, text())),
        List.of(Names.NAME, Names.FILE_FORMAT));
    return preset;
  }

  private static ObjectNode styles() {
    ObjectNode schema = document("The styles, in order.");
    ObjectNode style = NODES.objectNode();
    fields(
        style,
        Map.of(
            Names.ID, pattern(ID),
            Names.NAME, text(),
            Names.GROUP, text(),
            Names.LEVEL, choice(List.of("text", "paragraph", "character")),
            Names.BASED_ON, pattern(ID),
            Names.SAMPLE, text(),
            Names.LABEL, choice(Arrays.stream(ColourLabel.values()).map(ColourLabel::id).toList()),
            Names.NOTE, text(),
            Names.ORIGIN, origin(),
            Names.PROPERTIES, reference()),
        List.of(Names.ID, Names.NAME, Names.LEVEL));
    fields(schema, Map.of(Names.STYLES, list(style)), List.of(Names.STYLES));
    schema.putObject("$defs").set("properties", properties());
    return schema;
  }

  private static ObjectNode artboard() {
    ObjectNode schema = document("One artboard with its layers, lowest first.");
    ObjectNode span = NODES.objectNode();
    fields(
        span,
        Map.of(
            Names.TEXT, text(),
            Names.FOLLOWS, list(pattern(ID)),
            Names.LOCAL, reference(),
            Names.RUBY, text()),
        List.of(Names.TEXT));
    ObjectNode paragraph = NODES.objectNode();
    fields(
        paragraph,
        Map.of(Names.FOLLOWS, pattern(ID), Names.LOCAL, reference(), Names.SPANS, list(span)),
        List.of(Names.SPANS));
    ObjectNode layer = NODES.objectNode();
    fields(
        layer,
        Map.ofEntries(
            Map.entry(Names.ID, pattern(ID)),
            Map.entry(Names.NAME, text()),
            Map.entry(Names.FRAME, reference()),
            Map.entry(Names.FOLLOWS, list(pattern(ID))),
            Map.entry(Names.LOCAL, reference()),
            Map.entry(Names.MUTED, list(pattern(ID))),
            Map.entry(Names.SHAPE, shape()),
            Map.entry(Names.TIMING, timing()),
            Map.entry(Names.HIDDEN, flag()),
            Map.entry(Names.LOCKED, flag()),
            Map.entry(Names.CONTINUES, pattern(ID)),
            Map.entry(Names.PARAGRAPHS, list(paragraph).put("minItems", 1))),
        List.of(Names.ID, Names.NAME, Names.PARAGRAPHS));
    fields(
        schema,
        Map.ofEntries(
            Map.entry(Names.ID, pattern(ID)),
            Map.entry(Names.NAME, text()),
            Map.entry(Names.WIDTH, number(1, 28_346.5)),
            Map.entry(Names.HEIGHT, number(1, 28_346.5)),
            Map.entry(Names.UNIT, choice(List.of("pt", "mm", "in", "px"))),
            Map.entry(Names.BACKGROUND, pattern(COLOUR)),
            Map.entry(Names.X, NODES.objectNode().put("type", "number")),
            Map.entry(Names.Y, NODES.objectNode().put("type", "number")),
            Map.entry(Names.BASE_STYLE, pattern(ID)),
            Map.entry(Names.TIMELINE, timeline()),
            Map.entry(Names.LAYERS, list(layer))),
        Names.OF_ARTBOARD);
    schema.putObject("$defs").set("properties", properties());
    return schema;
  }

  private static ObjectNode time() {
    return NODES
        .objectNode()
        .put("type", "integer")
        .put("minimum", 0)
        .put("maximum", Time.LONGEST.ticks())
        .put("description", "Ticks of 1/90,000,000 s.");
  }

  static ObjectNode flag() {
    return NODES.objectNode().put("type", "boolean");
  }

  private static ObjectNode timing() {
    ObjectNode schema = NODES.objectNode();
    fields(
        schema,
        Map.of(
            Names.TRACK, text(),
            Names.IN, time(),
            Names.OUT, time(),
            Names.FADE_IN, time(),
            Names.FADE_OUT, time(),
            Names.SPEAKER, text()),
        List.of(Names.TRACK, Names.IN, Names.OUT));
    return schema;
  }

  private static ObjectNode timeline() {
    ObjectNode clip = NODES.objectNode();
    fields(
        clip,
        Map.of(
            Names.ID, text(),
            Names.NAME, text(),
            Names.DRAWN,
                choice(Arrays.stream(Media.Scenery.values()).map(Media.Scenery::label).toList()),
            Names.IMAGE, text(),
            Names.FILE, text(),
            Names.IN, time(),
            Names.OUT, time(),
            Names.START, time()),
        List.of(Names.ID, Names.NAME, Names.IN, Names.OUT, Names.START));
    ObjectNode rules = NODES.objectNode();
    fields(
        rules,
        Map.of(
            Names.LINES, number(1, 20),
            Names.LINE_LENGTH, number(4, 400),
            Names.READING_SPEED, number(1, 200),
            Names.SHORTEST, time(),
            Names.LONGEST, time(),
            Names.GAP, time()),
        List.of(
            Names.LINES,
            Names.LINE_LENGTH,
            Names.READING_SPEED,
            Names.SHORTEST,
            Names.LONGEST,
            Names.GAP));
    ObjectNode speakers = NODES.objectNode().put("type", "object");
    speakers.set("additionalProperties", pattern(ID));
    ObjectNode track = NODES.objectNode();
    fields(
        track,
        Map.ofEntries(
            Map.entry(Names.ID, text().put("minLength", 1)),
            Map.entry(Names.NAME, text()),
            Map.entry(Names.KIND, choice(List.of(Names.TITLES, Names.FOOTAGE, Names.CAPTIONS))),
            Map.entry(Names.HIDDEN, flag()),
            Map.entry(Names.LOCKED, flag()),
            Map.entry(Names.CLIPS, list(clip)),
            Map.entry(Names.LANGUAGE, text()),
            Map.entry(Names.FOLLOWS, list(pattern(ID))),
            Map.entry(Names.LOCAL, reference()),
            Map.entry(Names.SPEAKERS, speakers),
            Map.entry(Names.RULES, rules)),
        List.of(Names.ID, Names.NAME, Names.KIND));
    ObjectNode schema = NODES.objectNode();
    fields(
        schema,
        Map.of(
            Names.FRAME_RATE, pattern("^[0-9]+(/[0-9]+)?$"),
            Names.DROP_FRAME, flag(),
            Names.FIRST_FRAME, NODES.objectNode().put("type", "integer").put("minimum", 0),
            Names.DURATION, time(),
            Names.TRACKS, list(track)),
        List.of(Names.FRAME_RATE, Names.DURATION, Names.TRACKS));
    return schema;
  }

  /** What a layer shows instead of words. */
  private static ObjectNode shape() {
    ObjectNode schema = NODES.objectNode();
    ArrayNode kinds = schema.putArray("oneOf");
    ObjectNode corners =
        type(Properties.PLATE_RADIUS.type()).put("description", "Radii of the corners.");
    ObjectNode flag = NODES.objectNode().put("type", "boolean");
    kinds.add(shape(Names.RECTANGLE, Map.of(Names.CORNERS, corners), List.of()));
    kinds.add(shape(Names.ELLIPSE, Map.of(), List.of()));
    kinds.add(shape(Names.LINE, Map.of(Names.RISING, flag), List.of()));
    kinds.add(
        shape(
            Names.POLYGON,
            Map.of(Names.CORNERS, number(3, 100), Names.DEPTH, number(0, 1)),
            List.of(Names.CORNERS)));
    kinds.add(
        shape(
            Names.PATH,
            Map.of(
                Names.DATA, pattern("^\\s*[Mm]"),
                Names.WIDTH, number(0, 1e9),
                Names.HEIGHT, number(0, 1e9),
                Names.FILL_RULE, choice(List.of("nonzero", "evenodd"))),
            List.of(Names.DATA, Names.WIDTH, Names.HEIGHT)));
    kinds.add(shape(Names.IMAGE, Map.of(Names.IMAGE, text()), List.of(Names.IMAGE)));
    return schema;
  }

  private static ObjectNode shape(String kind, Map<String, ObjectNode> own, List<String> required) {
    Map<String, ObjectNode> fields = new TreeMap<>(own);
    fields.put(Names.KIND, NODES.objectNode().put("const", kind));
    List<String> names = new java.util.ArrayList<>(required);
    names.add(Names.KIND);
    ObjectNode schema = NODES.objectNode();
    fields(schema, fields, names);
    return schema;
  }

  /** The sparse set of values, from the registry. */
  static ObjectNode properties() {
    ObjectNode schema = NODES.objectNode().put("type", "object").put("additionalProperties", false);
    ObjectNode plain = schema.putObject("properties");
    ObjectNode patterns = schema.putObject("patternProperties");
    String id = "[a-z0-9][a-z0-9-]*";
    for (Property<?> property : Properties.all()) {
      ObjectNode value = type(property.type()).put("description", property.help());
      switch (property.part()) {
        case TEXT -> plain.set(property.id(), value);
        case COAT -> patterns.set("^(finish|plate)/" + id + "/" + property.id() + "$", value);
        case EFFECT ->
            patterns.set("^(finish|plate)/" + id + "/" + id + "/" + property.id() + "$", value);
      }
    }
    return schema;
  }

  private static ObjectNode type(ValueType<?> type) {
    String number = "[0-9]+(\\.[0-9]+)?";
    return switch (type) {
      case ValueType.Words _ -> text().put("minLength", 1);
      case ValueType.Number(double least, double most, String _) -> number(least, most);
      case ValueType.Flag _ -> NODES.objectNode().put("type", "boolean");
      case ValueType.Lengths _ -> pattern("^-?" + number + " ?(pt|em)$");
      case ValueType.Sizes _ ->
          pattern("^([+\u2212-]?" + number + " ?(pt)?|\u00d7" + number + ")$");
      case ValueType.Leadings _ -> pattern("^(auto|" + number + " ?(pt|%)?)$");
      case ValueType.Colours _ -> pattern(COLOUR);
      case ValueType.Choice<?> choice -> choice(choice.names().toList());
      case ValueType.Written<?> written -> pattern(written.pattern());
    };
  }

  static ObjectNode document(String description) {
    return NODES
        .objectNode()
        .put("$schema", "https://json-schema.org/draft/2020-12/schema")
        .put("description", description);
  }

  static void fields(ObjectNode schema, Map<String, ObjectNode> fields, List<String> required) {
    schema.put("type", "object").put("additionalProperties", false);
    ObjectNode properties = schema.putObject("properties");
    new TreeMap<>(fields).forEach(properties::set);
    ArrayNode names = schema.putArray("required");
    required.forEach(names::add);
  }

  static ObjectNode reference() {
    return NODES.objectNode().put("$ref", "#/$defs/properties");
  }

  static ObjectNode text() {
    return NODES.objectNode().put("type", "string");
  }

  static ObjectNode pattern(String pattern) {
    return text().put("pattern", pattern);
  }

  static ObjectNode number(double least, double most) {
    return NODES.objectNode().put("type", "number").put("minimum", least).put("maximum", most);
  }

  static ObjectNode choice(List<String> options) {
    ObjectNode node = NODES.objectNode();
    ArrayNode values = node.putArray("enum");
    options.forEach(values::add);
    return node;
  }

  static ObjectNode list(ObjectNode items) {
    ObjectNode node = NODES.objectNode().put("type", "array");
    node.set("items", items);
    return node;
  }
}
