package dynamorph.formats.project;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.Swatch;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import java.util.List;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Turns a project into the JSON documents of a file, version 1. What is empty is left out. */
final class ProjectWriter {
  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

  private ProjectWriter() {}

  static ObjectNode header(String format) {
    return NODES
        .objectNode()
        .put(Names.FORMAT_NAME, format)
        .put(Names.FORMAT_VERSION, Names.VERSION);
  }

  static String entryOf(Artboard artboard) {
    return Names.ARTBOARD_FOLDER + artboard.id() + ".json";
  }

  static ObjectNode project(Project project) {
    ObjectNode node =
        NODES.objectNode().put(Names.NAME, project.name()).put(Names.LANGUAGE, project.language());
    project.baseStyle().ifPresent(id -> node.put(Names.BASE_STYLE, id.value()));
    if (!project.words().isEmpty()) {
      ArrayNode words = node.putArray(Names.WORDS);
      project.words().forEach(words::add);
    }
    ArrayNode palette = node.putArray(Names.PALETTE);
    for (Swatch swatch : project.palette().swatches()) {
      palette
          .addObject()
          .put(Names.ID, swatch.id())
          .put(Names.NAME, swatch.name())
          .put(Names.COLOUR, swatch.colour().toString());
    }
    ArrayNode artboards = node.putArray(Names.ARTBOARDS);
    project.artboards().forEach(artboard -> artboards.add(entryOf(artboard)));
    return node;
  }

  static ObjectNode styles(Project project) {
    ObjectNode node = NODES.objectNode();
    ArrayNode styles = node.putArray(Names.STYLES);
    project.styles().stream().forEach(style -> styles.add(style(style)));
    return node;
  }

  private static ObjectNode style(Style style) {
    ObjectNode node =
        NODES.objectNode().put(Names.ID, style.id().value()).put(Names.NAME, style.name());
    if (!style.group().isEmpty()) {
      node.put(Names.GROUP, style.group());
    }
    node.put(Names.LEVEL, style.level().label());
    style.basedOn().ifPresent(id -> node.put(Names.BASED_ON, id.value()));
    if (!style.sample().isEmpty()) {
      node.put(Names.SAMPLE, style.sample());
    }
    style.label().ifPresent(label -> node.put(Names.LABEL, label.label()));
    if (!style.note().isEmpty()) {
      node.put(Names.NOTE, style.note());
    }
    properties(node, Names.PROPERTIES, style.properties());
    return node;
  }

  static ObjectNode artboard(Artboard artboard) {
    ObjectNode node =
        NODES
            .objectNode()
            .put(Names.ID, artboard.id().value())
            .put(Names.NAME, artboard.name())
            .put(Names.WIDTH, artboard.width())
            .put(Names.HEIGHT, artboard.height())
            .put(Names.UNIT, artboard.unit().symbol())
            .put(Names.BACKGROUND, artboard.background().toString())
            .put(Names.X, artboard.x())
            .put(Names.Y, artboard.y());
    artboard.baseStyle().ifPresent(id -> node.put(Names.BASE_STYLE, id.value()));
    ArrayNode layers = node.putArray(Names.LAYERS);
    artboard.layers().forEach(layer -> layers.add(layer(layer)));
    return node;
  }

  private static ObjectNode layer(Layer layer) {
    ObjectNode node =
        NODES.objectNode().put(Names.ID, layer.id().value()).put(Names.NAME, layer.name());
    properties(node, Names.FRAME, layer.frame());
    follows(node, Names.FOLLOWS, layer.follows());
    properties(node, Names.LOCAL, layer.local());
    follows(node, Names.MUTED, layer.muted().stream().sorted().toList());
    layer.figure().ifPresent(figure -> node.set(Names.SHAPE, Figures.write(figure)));
    ArrayNode paragraphs = node.putArray(Names.PARAGRAPHS);
    layer.story().paragraphs().forEach(paragraph -> paragraphs.add(paragraph(paragraph)));
    return node;
  }

  private static ObjectNode paragraph(Paragraph paragraph) {
    ObjectNode node = NODES.objectNode();
    paragraph.follows().ifPresent(id -> node.put(Names.FOLLOWS, id.value()));
    properties(node, Names.LOCAL, paragraph.local());
    ArrayNode spans = node.putArray(Names.SPANS);
    for (Span span : paragraph.spans()) {
      ObjectNode child = spans.addObject().put(Names.TEXT, span.text());
      follows(child, Names.FOLLOWS, span.follows());
      properties(child, Names.LOCAL, span.local());
    }
    return node;
  }

  private static void follows(ObjectNode node, String field, List<StyleId> follows) {
    if (!follows.isEmpty()) {
      ArrayNode list = node.putArray(field);
      follows.forEach(id -> list.add(id.value()));
    }
  }

  private static void properties(ObjectNode node, String field, PropertySet values) {
    if (!values.isEmpty()) {
      ObjectNode object = node.putObject(field);
      values.keys().forEach(key -> put(object, key, values));
    }
  }

  private static <T> void put(ObjectNode object, PropertyKey<T> key, PropertySet values) {
    Object json = key.property().type().encode(values.get(key).orElseThrow());
    switch (json) {
      case Double number -> object.put(key.path(), number);
      case Boolean flag -> object.put(key.path(), flag);
      default -> object.put(key.path(), json.toString());
    }
  }
}
