package dynamorph.cli;

import dynamorph.cli.message.Messages;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Source;
import dynamorph.model.cascade.Trace;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import java.io.IOException;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

@Command(
    name = "resolve",
    description = "${bundle:resolve-command.prints-the-values-that-count-for}",
    mixinStandardHelpOptions = true)
final class ResolveCommand implements Callable<Integer> {
  @Mixin private ProjectArgument file;

  @Option(
      names = "--layer",
      required = true,
      paramLabel = "NAME",
      description = "${bundle:resolve-command.name-or-id-of-the-layer}")
  private String layerName;

  @Option(
      names = "--at",
      paramLabel = "N",
      description = "${bundle:resolve-command.offset-of-a-character-in-utf}")
  private Integer at;

  @Option(
      names = "--trace",
      description = "${bundle:resolve-command.prints-every-level-that-sets-each}")
  private boolean trace;

  @Option(names = "--json", description = "${bundle:resolve-command.prints-json-instead-of-lines}")
  private boolean json;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    Project project = file.read();
    Layer layer = ProjectLookup.layer(project, layerName);
    if (at != null && (at < 0 || at >= Math.max(1, layer.story().length()))) {
      throw new IllegalArgumentException(
          Messages.of(
              "resolve-command.at-lies-outside-the-text-which", at, layer.story().length()));
    }
    Spot spot = spot(Cascade.of(project), layer);
    ObjectNode node = Json.NODES.objectNode().put("layer", layer.id().value());
    if (at != null) {
      node.put("at", at);
    }
    ObjectNode values = node.putObject("values");
    for (PropertyKey<?> key : spot.values().keys()) {
      add(values, project, spot, key);
    }
    if (json) {
      Json.print(spec.commandLine().getOut(), node);
    } else {
      values
          .properties()
          .forEach(entry ->
              spec.commandLine().getOut().println(entry.getKey() + "  " + plain(entry.getValue())));
    }
    return 0;
  }

  private static String plain(tools.jackson.databind.JsonNode value) {
    return value.isString() ? value.stringValue() : value.toString();
  }

  /** A place in a layer that has values. */
  private record Spot(
      Cascade cascade, Layer layer, Optional<Paragraph> paragraph, Optional<Span> span) {
    PropertySet values() {
      return span.isPresent()
          ? cascade.values(layer, paragraph.orElseThrow(), span.get())
          : cascade.values(layer);
    }

    <T> Trace<T> trace(PropertyKey<T> key) {
      return span.isPresent()
          ? cascade.trace(layer, paragraph.orElseThrow(), span.get(), key)
          : cascade.trace(layer, key);
    }
  }

  private Spot spot(Cascade cascade, Layer layer) {
    if (at == null) {
      return new Spot(cascade, layer, Optional.empty(), Optional.empty());
    }
    Story story = cascade.dressed(layer).story();
    int index = story.paragraphAt(at);
    Paragraph paragraph = story.paragraphs().get(index);
    boolean lastOfParagraph = at >= story.rangeOf(index).end();
    Span span = story.spanAt(lastOfParagraph ? at : at + 1);
    return new Spot(cascade, layer, Optional.of(paragraph), Optional.of(span));
  }

  private <T> void add(ObjectNode values, Project project, Spot spot, PropertyKey<T> key) {
    T value = spot.values().get(key).orElseThrow();
    if (!trace) {
      Json.putValue(values, key.path(), key, value);
      return;
    }
    ObjectNode entry = values.putObject(key.path());
    Json.putValue(entry, "value", key, value);
    ArrayNode steps = entry.putArray("trace");
    for (Trace.Step<T> step : spot.trace(key).steps()) {
      ObjectNode node = steps.addObject().put("source", describe(project, step.source()));
      Json.putValue(node, "declared", key, step.declared());
      Json.putValue(node, "computed", key, step.computed());
    }
  }

  private static String describe(Project project, Source source) {
    return switch (source) {
      case Source.LocalChange(var level) ->
          Messages.of("resolve-command.local-change-on-the", level.name().toLowerCase(Locale.ROOT));
      case Source.Followed(var _, var followed, var style) ->
          Messages.of(
              "resolve-command.style",
              project.styles().get(style).name(),
              (followed.equals(style)
                  ? ""
                  : Messages.of("resolve-command.through", project.styles().get(followed).name())));
      case Source.OwnFrame() -> Messages.of("resolve-command.own-frame");
      case Source.TrackChange(var track) -> Messages.of("resolve-command.track-by-hand", track);
      case Source.TrackStyle(var track, var followed, var style) ->
          Messages.of(
              "resolve-command.style-of-the-track",
              project.styles().get(style).name(),
              (followed.equals(style)
                  ? ""
                  : Messages.of("resolve-command.through", project.styles().get(followed).name())),
              track);
      case Source.Base(var style) ->
          Messages.of("resolve-command.base-style", project.styles().get(style).name());
      case Source.Default() -> "default";
    };
  }
}
