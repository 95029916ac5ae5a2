package dynamorph.cli;

import dynamorph.cli.message.Messages;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.reach.Followers;
import dynamorph.model.reach.LocalChanges;
import dynamorph.model.style.Style;
import java.io.IOException;
import java.io.PrintWriter;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

@Command(
    name = "info",
    description = "${bundle:info-command.lists-artboards-layers-and-styles-who}",
    mixinStandardHelpOptions = true)
final class InfoCommand implements Callable<Integer> {
  @Mixin private ProjectArgument file;

  @Option(names = "--json", description = "${bundle:info-command.prints-json-instead-of-lines}")
  private boolean json;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    Project project = file.read();
    PrintWriter out = spec.commandLine().getOut();
    if (json) {
      Json.print(out, info(project));
    } else {
      print(out, project);
    }
    return 0;
  }

  private static ObjectNode info(Project project) {
    ObjectNode node = Json.NODES.objectNode().put("name", project.name());
    project.baseStyle().ifPresent(id -> node.put("baseStyle", project.styles().get(id).name()));
    ArrayNode artboards = node.putArray("artboards");
    project.artboards().forEach(board -> artboards.add(artboard(project, board)));
    Followers followers = Followers.of(project);
    ArrayNode styles = node.putArray("styles");
    project.styles().stream().forEach(style -> styles.add(style(project, followers, style)));
    return node;
  }

  private static ObjectNode artboard(Project project, Artboard board) {
    ObjectNode node =
        Json.NODES
            .objectNode()
            .put("id", board.id().value())
            .put("name", board.name())
            .put("size", board.sizeText());
    ArrayNode layers = node.putArray("layers");
    board.layers().forEach(layer -> layers.add(layer(project, layer)));
    return node;
  }

  private static ObjectNode layer(Project project, Layer layer) {
    ObjectNode node =
        Json.NODES
            .objectNode()
            .put("id", layer.id().value())
            .put("name", layer.name())
            .put("text", layer.story().text());
    ArrayNode follows = node.putArray("follows");
    ProjectLookup.names(project, layer.follows()).forEach(follows::add);
    ArrayNode inside = node.putArray("followedInside");
    Followers.followed(layer).stream()
        .filter(id -> !layer.follows().contains(id))
        .sorted()
        .forEach(id -> inside.add(project.styles().get(id).name()));
    ArrayNode local = node.putArray("localChanges");
    for (LocalChanges.Change change : LocalChanges.of(layer)) {
      ObjectNode entry =
          local
              .addObject()
              .put("level", change.level().name().toLowerCase(java.util.Locale.ROOT))
              .put("property", change.key().path());
      if (change.paragraph() >= 0) {
        entry.put("paragraph", change.paragraph());
      }
      if (change.span() >= 0) {
        entry.put("span", change.span());
      }
    }
    return node;
  }

  private static ObjectNode style(Project project, Followers followers, Style style) {
    ObjectNode node =
        Json.NODES
            .objectNode()
            .put("id", style.id().value())
            .put("name", style.name())
            .put("group", style.group())
            .put("level", style.level().id());
    style.basedOn().ifPresent(id -> node.put("basedOn", project.styles().get(id).name()));
    node.set("properties", Json.values(style.properties()));
    node.put("followers", followers.of(style.id()).size());
    node.put(
        "deviating",
        followers.of(style.id()).stream().filter(follower -> follower.localChanges() > 0).count());
    return node;
  }

  private static void print(PrintWriter out, Project project) {
    out.println(project.name());
    for (Artboard board : project.artboards()) {
      out.println("  " + board.name() + "  " + board.sizeText());
      for (Layer layer : board.layers()) {
        int local = LocalChanges.count(layer);
        String follows =
            Followers.followed(layer).isEmpty()
                ? Messages.of("info-command.follows-nothing")
                : Messages.of(
                    "info-command.follows",
                    String.join(
                        ", ",
                        ProjectLookup.names(
                            project, Followers.followed(layer).stream().sorted().toList())));
        out.println(
            "    "
                + layer.name()
                + " ("
                + layer.id()
                + ")  "
                + follows
                + (local == 0 ? "" : Messages.of("info-command.local-changes", local)));
      }
    }
    Followers followers = Followers.of(project);
    out.println(Messages.of("info-command.styles"));
    for (Style style : project.styles().list()) {
      out.println(
          Messages.of(
              "info-command.followers",
              (style.group().isEmpty() ? "" : style.group() + "/"),
              style.name(),
              style.level().label(),
              followers.of(style.id()).size()));
    }
  }
}
