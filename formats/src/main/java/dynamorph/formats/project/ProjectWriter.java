package dynamorph.formats.project;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.export.ExportPreset;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Origin;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.Swatch;
import dynamorph.model.survey.rule.SurveySettings;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.timeline.CaptionRules;
import dynamorph.model.timeline.Clip;
import dynamorph.model.timeline.Media;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import dynamorph.model.value.ItemState;
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
    ObjectNode node = head(project);
    ArrayNode artboards = node.putArray(Names.ARTBOARDS);
    project.artboards().forEach(artboard -> artboards.add(entryOf(artboard)));
    return node;
  }

  /** All of a project's own, without what has documents of its own. */
  static ObjectNode head(Project project) {
    ObjectNode node =
        NODES.objectNode().put(Names.NAME, project.name()).put(Names.LANGUAGE, project.language());
    project.baseStyle().ifPresent(id -> node.put(Names.BASE_STYLE, id.value()));
    if (!project.words().isEmpty()) {
      ArrayNode words = node.putArray(Names.WORDS);
      project.words().forEach(words::add);
    }
    ArrayNode palette = node.putArray(Names.PALETTE);
    project.palette().swatches().forEach(swatch -> palette.add(swatch(swatch)));
    if (!project.exports().isEmpty()) {
      ArrayNode exports = node.putArray(Names.EXPORTS);
      project.exports().forEach(preset -> exports.add(export(preset)));
    }
    if (!project.survey().equals(SurveySettings.USUAL)) {
      node.set(Names.SURVEY, RuleSetJson.node(project.survey()));
    }
    if (!project.documents().isEmpty()) {
      ArrayNode documents = node.putArray(Names.DOCUMENTS);
      project.documents().forEach(document -> documents.add(ImportedJson.node(document)));
    }
    if (!project.sheetViews().isEmpty()) {
      ArrayNode views = node.putArray(Names.SHEET_VIEWS);
      project.sheetViews().forEach(view -> views.add(SheetViewJson.node(view)));
    }
    return node;
  }

  private static ObjectNode export(ExportPreset preset) {
    ObjectNode node =
        NODES
            .objectNode()
            .put(Names.NAME, preset.name())
            .put(Names.FILE_FORMAT, preset.format().id())
            .put(Names.RESOLUTION, preset.resolution())
            .put(Names.QUALITY, preset.quality())
            .put(Names.BACKGROUND, preset.background())
            .put(Names.FILE_NAME, preset.fileName().text());
    ExportPreset.Document document = preset.document();
    if (!document.equals(ExportPreset.Document.PLAIN)) {
      node.put(Names.ONE_PER_ARTBOARD, document.onePerArtboard())
          .put(Names.BLEED, document.bleed())
          .put(Names.CROP_MARKS, document.cropMarks());
    }
    ExportPreset.Film film = preset.film();
    if (!film.equals(ExportPreset.Film.PLAIN)) {
      node.put(Names.SOUND, film.sound())
          .put(Names.CAPTION_TRACKS, film.captions())
          .put(Names.CHAPTERS, film.chapters());
    }
    return node;
  }

  static ObjectNode styles(Project project) {
    ObjectNode node = NODES.objectNode();
    ArrayNode styles = node.putArray(Names.STYLES);
    project.styles().stream().forEach(style -> styles.add(style(style)));
    return node;
  }

  static ObjectNode swatch(Swatch swatch) {
    ObjectNode node =
        NODES
            .objectNode()
            .put(Names.ID, swatch.id())
            .put(Names.NAME, swatch.name())
            .put(Names.COLOUR, swatch.colour().toString());
    swatch.origin().ifPresent(origin -> node.set(Names.ORIGIN, origin(origin)));
    return node;
  }

  private static ObjectNode origin(Origin origin) {
    return NODES
        .objectNode()
        .put(Names.SHELF, origin.shelf())
        .put(Names.ENTRY, origin.entry())
        .put(Names.AT_VERSION, origin.version());
  }

  static ObjectNode style(Style style) {
    ObjectNode node =
        NODES.objectNode().put(Names.ID, style.id().value()).put(Names.NAME, style.name());
    if (!style.group().isEmpty()) {
      node.put(Names.GROUP, style.group());
    }
    node.put(Names.LEVEL, style.level().id());
    style.basedOn().ifPresent(id -> node.put(Names.BASED_ON, id.value()));
    if (!style.sample().isEmpty()) {
      node.put(Names.SAMPLE, style.sample());
    }
    style.label().ifPresent(label -> node.put(Names.LABEL, label.id()));
    if (!style.note().isEmpty()) {
      node.put(Names.NOTE, style.note());
    }
    style.origin().ifPresent(origin -> node.set(Names.ORIGIN, origin(origin)));
    properties(node, Names.PROPERTIES, style.properties());
    return node;
  }

  static ObjectNode artboard(Artboard artboard) {
    ObjectNode node = artboardHead(artboard);
    ArrayNode layers = node.putArray(Names.LAYERS);
    artboard.layers().forEach(layer -> layers.add(layer(layer)));
    return node;
  }

  /** All of an artboard but its layers. */
  static ObjectNode artboardHead(Artboard artboard) {
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
    artboard.timeline().ifPresent(line -> node.set(Names.TIMELINE, timeline(line)));
    return node;
  }

  static ObjectNode layer(Layer layer) {
    ObjectNode node =
        NODES.objectNode().put(Names.ID, layer.id().value()).put(Names.NAME, layer.name());
    properties(node, Names.FRAME, layer.frame());
    follows(node, Names.FOLLOWS, layer.follows());
    properties(node, Names.LOCAL, layer.local());
    follows(node, Names.MUTED, layer.muted().stream().sorted().toList());
    layer.timing().ifPresent(timing -> node.set(Names.TIMING, timing(timing)));
    state(node, layer.state());
    layer.continues().ifPresent(box -> node.put(Names.CONTINUES, box.value()));
    layer.shape().ifPresent(shape -> node.set(Names.SHAPE, ShapeJson.write(shape)));
    ArrayNode paragraphs = node.putArray(Names.PARAGRAPHS);
    layer.story().paragraphs().forEach(paragraph -> paragraphs.add(paragraph(paragraph)));
    return node;
  }

  private static void state(ObjectNode node, ItemState state) {
    if (state.hidden()) {
      node.put(Names.HIDDEN, true);
    }
    if (state.locked()) {
      node.put(Names.LOCKED, true);
    }
  }

  private static ObjectNode timeline(Timeline timeline) {
    ObjectNode node = NODES.objectNode().put(Names.FRAME_RATE, timeline.rate().toString());
    if (timeline.timecode().drop()) {
      node.put(Names.DROP_FRAME, true);
    }
    if (timeline.firstFrame() != 0) {
      node.put(Names.FIRST_FRAME, timeline.firstFrame());
    }
    node.put(Names.DURATION, timeline.duration().ticks());
    ArrayNode tracks = node.putArray(Names.TRACKS);
    timeline.tracks().forEach(track -> tracks.add(track(track)));
    return node;
  }

  private static ObjectNode track(Track track) {
    ObjectNode node =
        NODES.objectNode().put(Names.ID, track.id().value()).put(Names.NAME, track.name());
    state(node, track.state());
    switch (track) {
      case Track.Titles _ -> node.put(Names.KIND, Names.TITLES);
      case Track.Footage footage -> {
        node.put(Names.KIND, Names.FOOTAGE);
        ArrayNode clips = node.putArray(Names.CLIPS);
        footage.clips().forEach(clip -> clips.add(clip(clip)));
      }
      case Track.Captions captions -> {
        node.put(Names.KIND, Names.CAPTIONS).put(Names.LANGUAGE, captions.language());
        follows(node, Names.FOLLOWS, captions.follows());
        properties(node, Names.LOCAL, captions.local());
        if (!captions.speakers().isEmpty()) {
          ObjectNode speakers = node.putObject(Names.SPEAKERS);
          captions.speakers().forEach((name, style) -> speakers.put(name, style.value()));
        }
        if (!captions.rules().equals(CaptionRules.USUAL)) {
          node.set(Names.RULES, rules(captions.rules()));
        }
      }
    }
    return node;
  }

  private static ObjectNode clip(Clip clip) {
    ObjectNode node = NODES.objectNode().put(Names.ID, clip.id()).put(Names.NAME, clip.name());
    switch (clip.media()) {
      case Media.Drawn(var scenery) -> node.put(Names.DRAWN, scenery.id());
      case Media.Still(var asset) -> node.put(Names.IMAGE, asset);
      case Media.File(var path) -> node.put(Names.FILE, path);
    }
    return node.put(Names.IN, clip.in().ticks())
        .put(Names.OUT, clip.out().ticks())
        .put(Names.START, clip.start().ticks());
  }

  private static ObjectNode rules(CaptionRules rules) {
    return NODES
        .objectNode()
        .put(Names.LINES, rules.lines())
        .put(Names.LINE_LENGTH, rules.lineLength())
        .put(Names.READING_SPEED, rules.readingSpeed())
        .put(Names.SHORTEST, rules.shortest().ticks())
        .put(Names.LONGEST, rules.longest().ticks())
        .put(Names.GAP, rules.gap().ticks());
  }

  private static ObjectNode timing(Timing timing) {
    ObjectNode node =
        NODES
            .objectNode()
            .put(Names.TRACK, timing.track().value())
            .put(Names.IN, timing.in().ticks())
            .put(Names.OUT, timing.out().ticks());
    if (!timing.fadeIn().equals(Time.ZERO)) {
      node.put(Names.FADE_IN, timing.fadeIn().ticks());
    }
    if (!timing.fadeOut().equals(Time.ZERO)) {
      node.put(Names.FADE_OUT, timing.fadeOut().ticks());
    }
    if (!timing.speaker().isEmpty()) {
      node.put(Names.SPEAKER, timing.speaker());
    }
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
      if (!span.ruby().isEmpty()) {
        child.put(Names.RUBY, span.ruby());
      }
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
