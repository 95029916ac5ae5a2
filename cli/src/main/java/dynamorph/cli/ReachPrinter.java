package dynamorph.cli;

import dynamorph.cli.message.Messages;
import dynamorph.footage.FootageFiles;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.reach.Reach;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.value.Colour;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.reach.Examination;
import dynamorph.paint.reach.Problem;
import dynamorph.paint.reach.ReachedText;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Typesetter;
import java.io.PrintWriter;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Tells what an edit changes: who, which values, and which problems it makes. */
final class ReachPrinter {
  /** A value of a layer that changes; at its first letter. */
  private record Change<T>(PropertyKey<T> key, Optional<T> before, Optional<T> after) {
    String text() {
      return key.path() + " " + text(before) + " \u2192 " + text(after);
    }

    private String text(Optional<T> value) {
      return value.map(one -> key.property().type().format(one)).orElse("\u2013");
    }

    void put(ObjectNode node) {
      ObjectNode change = node.putObject(key.path());
      before.ifPresent(value -> Json.putValue(change, "before", key, value));
      after.ifPresent(value -> Json.putValue(change, "after", key, value));
    }
  }

  private final Project before;
  private final Project after;
  private final Cascade cascadeBefore;
  private final Cascade cascadeAfter;

  ReachPrinter(Project before, Project after) {
    this.before = before;
    this.after = after;
    this.cascadeBefore = Cascade.of(before);
    this.cascadeAfter = cascadeBefore.follow(after);
  }

  /** Prints lines for people, or one JSON object. */
  void print(PrintWriter out, boolean json) {
    List<ReachedText> texts = texts();
    if (json) {
      Json.print(out, node(texts));
      return;
    }
    out.println(
        texts.isEmpty()
            ? Messages.of("reach-printer.no-text-looks-different")
            : Messages.of("reach-printer.text-changes", texts.size()));
    for (ReachedText text : texts) {
      String changes = changes(text).stream().map(Change::text).collect(Collectors.joining("; "));
      String problems =
          text.problems().stream()
              .map(problem ->
                  "  ["
                      + (problem.isNew() ? "new: " : "")
                      + problem.kind().label()
                      + ", "
                      + problem.detail()
                      + "]")
              .collect(Collectors.joining());
      out.println(place(text) + "  " + changes + problems);
    }
    out.flush();
  }

  private List<ReachedText> texts() {
    Set<LayerId> reached = Reach.between(before, after);
    try (FontLibrary fonts = FontLibrary.forProject(after.assets());
        FootageFiles footage = new FootageFiles()) {
      SceneMaker maker = new SceneMaker(new Typesetter(fonts), new LayerPainter());
      Scene scene = maker.make(before);
      Examination examination =
          new Examination(Optional.of(scene), maker.make(after, scene), maker.painter(), footage);
      return reached.stream()
          .flatMap(id -> examination.glance(id).stream())
          .map(examination::look)
          .sorted(ReachedText.MOST_URGENT)
          .toList();
    }
  }

  private static String place(ReachedText text) {
    return text.after().board().artboard().name() + "/" + text.after().text().layer().name();
  }

  private ObjectNode node(List<ReachedText> texts) {
    ObjectNode node = Json.NODES.objectNode().put("changed", texts.size());
    ArrayNode list = node.putArray("texts");
    for (ReachedText text : texts) {
      ObjectNode entry =
          list.addObject()
              .put("layer", text.id().value())
              .put("artboard", text.after().board().artboard().name())
              .put("name", text.after().text().layer().name())
              .put("change", Math.round(text.change() * 1000) / 1000.0);
      ObjectNode values = entry.putObject("values");
      changes(text).forEach(change -> change.put(values));
      ArrayNode problems = entry.putArray("problems");
      for (Problem problem : text.problems()) {
        problems
            .addObject()
            .put("kind", problem.kind().label())
            .put("detail", problem.detail())
            .put("new", problem.isNew());
      }
    }
    return node;
  }

  private List<Change<?>> changes(ReachedText text) {
    PropertySet was =
        before
            .layer(text.id())
            .map(layer -> values(cascadeBefore, layer))
            .orElse(PropertySet.EMPTY);
    PropertySet is = values(cascadeAfter, text.after().text().layer());
    Set<PropertyKey<?>> keys = new TreeSet<>(was.keys());
    keys.addAll(is.keys());
    List<Change<?>> changes = new ArrayList<>();
    for (PropertyKey<?> key : keys) {
      change(key, was, is).ifPresent(changes::add);
    }
    return changes;
  }

  private <T> Optional<Change<T>> change(PropertyKey<T> key, PropertySet was, PropertySet is) {
    if (was.get(key).equals(is.get(key))) {
      Optional<T> before = painted(cascadeBefore, was.get(key));
      Optional<T> after = painted(cascadeAfter, is.get(key));
      return before.equals(after)
          ? Optional.empty()
          : Optional.of(new Change<>(key, before, after));
    }
    boolean onlySaidOtherwise =
        was.has(key) == is.has(key) && Coats.value(was, key).equals(Coats.value(is, key));
    return onlySaidOtherwise
        ? Optional.empty()
        : Optional.of(new Change<>(key, was.get(key), is.get(key)));
  }

  /** A colour as it is painted, so that a swatch with another colour is told. */
  @SuppressWarnings("unchecked") // a colour stays a colour
  private static <T> Optional<T> painted(Cascade cascade, Optional<T> value) {
    return value.map(
        one -> one instanceof Colour colour ? (T) Colour.of(cascade.colour(colour)) : one);
  }

  private static PropertySet values(Cascade cascade, Layer layer) {
    Paragraph paragraph = layer.story().paragraphs().getFirst();
    Span span = paragraph.spans().getFirst();
    return cascade.valuesWithPlacement(layer, paragraph, span);
  }
}
