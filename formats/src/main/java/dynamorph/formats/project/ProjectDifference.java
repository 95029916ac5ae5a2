package dynamorph.formats.project;

import dynamorph.formats.message.Messages;
import dynamorph.formats.project.ListDifference.Run;
import dynamorph.model.Artboard;
import dynamorph.model.Asset;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.pcollections.PVector;
import org.pcollections.TreePVector;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * What changed between two states of a project, as JSON: small when the change is, since only
 * layers, styles and artboards that differ are in it, and assets by name. Objects are written as in
 * the documents of a project file.
 */
public final class ProjectDifference {
  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;
  private static final String CHANGED = "changed";
  private static final String AT = "at";
  private static final String REMOVED = "removed";
  private static final String ADDED = "added";
  private static final String HEAD = "head";
  private static final String ASSETS = "assets";
  private static final String HASH = "hash";

  /** Keeps the bytes of assets, each once, and gives them back. */
  public interface Assets {
    /** Keeps an asset and returns what it is found by again. */
    String keep(Asset asset) throws IOException;

    /**
     * The bytes kept for that.
     *
     * @throws IOException if they are not there any more
     */
    byte[] find(String hash) throws IOException;
  }

  private ProjectDifference() {}

  /**
   * The difference of two states.
   *
   * @throws IOException if an asset cannot be kept
   */
  public static ObjectNode between(Project before, Project after, Assets kept) throws IOException {
    ObjectNode node = NODES.objectNode();
    if (!headOf(before).equals(headOf(after))) {
      node.set(HEAD, ProjectWriter.head(after));
    }
    if (before.styles() != after.styles()) {
      var styles = ListDifference.of(before.styles().list(), after.styles().list(), Object::equals);
      put(node, Names.STYLES, styles, ProjectWriter::style);
    }
    if (before.artboards() != after.artboards()) {
      artboards(node, before.artboards(), after.artboards());
    }
    if (!before.assets().equals(after.assets())) {
      ArrayNode assets = node.putArray(ASSETS);
      for (Asset asset : after.assets()) {
        assets.addObject().put(Names.NAME, asset.name()).put(HASH, kept.keep(asset));
      }
    }
    return node;
  }

  private static List<Object> headOf(Project project) {
    return List.of(
        project.name(),
        project.language(),
        project.words(),
        project.palette(),
        project.exports(),
        project.survey(),
        project.documents(),
        project.baseStyle());
  }

  private static void artboards(ObjectNode node, List<Artboard> before, List<Artboard> after) {
    ListDifference<Artboard> boards =
        ListDifference.of(before, after, (one, other) -> one.id().equals(other.id()));
    put(node, Names.ARTBOARDS, boards, ProjectWriter::artboard);
    List<Artboard> placed = boards.applyTo(before);
    ArrayNode changed = NODES.arrayNode();
    for (int index = 0; index < after.size(); index++) {
      Artboard from = placed.get(index);
      Artboard to = after.get(index);
      if (from != to && !from.equals(to)) {
        changed.add(changed(index, from, to));
      }
    }
    if (!changed.isEmpty()) {
      node.set(CHANGED, changed);
    }
  }

  private static ObjectNode changed(int index, Artboard from, Artboard to) {
    ObjectNode node = NODES.objectNode().put(AT, index);
    ObjectNode head = ProjectWriter.artboardHead(to);
    if (!head.equals(ProjectWriter.artboardHead(from))) {
      node.set(HEAD, head);
    }
    put(
        node,
        Names.LAYERS,
        ListDifference.of(from.layers(), to.layers(), Object::equals),
        ProjectWriter::layer);
    return node;
  }

  private static <T> void put(
      ObjectNode node, String name, ListDifference<T> difference, Function<T, ObjectNode> write) {
    if (difference.isEmpty()) {
      return;
    }
    ArrayNode runs = node.putArray(name);
    for (Run<T> run : difference.runs()) {
      ObjectNode one = runs.addObject().put(AT, run.at()).put(REMOVED, run.removed());
      ArrayNode added = one.putArray(ADDED);
      run.added().forEach(item -> added.add(write.apply(item)));
    }
  }

  /**
   * The state after, out of the state before. What did not change is the very same object in both.
   *
   * @throws IOException if the difference is damaged, does not fit the state or misses an asset
   */
  public static Project applyTo(Project before, JsonNode difference, Assets kept)
      throws IOException {
    try {
      return apply(before, new JsonCursor(difference, ""), kept);
    } catch (JsonCursor.Wrong wrong) {
      throw new IOException(wrong.place() + ": " + wrong.getMessage(), wrong);
    }
  }

  private static Project apply(Project before, JsonCursor node, Assets kept) throws IOException {
    node.only(HEAD, Names.STYLES, Names.ARTBOARDS, CHANGED, ASSETS);
    Optional<JsonCursor> head = node.find(HEAD);
    Palette palette = head.map(ProjectReader::palette).orElse(before.palette());
    StyleBook styles = before.styles();
    Optional<JsonCursor> styleRuns = node.find(Names.STYLES);
    if (styleRuns.isPresent()) {
      ProjectReader reader = new ProjectReader(palette, StyleBook.EMPTY);
      List<Style> list = runs(styleRuns.get(), reader::style, before.styles().list());
      styles = styleRuns.get().checked(() -> StyleBook.of(list));
    }
    ProjectReader reader = new ProjectReader(palette, styles);
    PVector<Artboard> boards = before.artboards();
    Optional<JsonCursor> boardRuns = node.find(Names.ARTBOARDS);
    if (boardRuns.isPresent()) {
      boards = TreePVector.from(runs(boardRuns.get(), reader::artboard, boards));
    }
    for (JsonCursor changed : node.find(CHANGED).map(JsonCursor::list).orElse(List.of())) {
      int at = index(changed.only(AT, HEAD, Names.LAYERS).field(AT), boards.size());
      boards = boards.with(at, changed(boards.get(at), changed, reader));
    }
    List<Asset> assets = before.assets();
    if (node.find(ASSETS).isPresent()) {
      assets = assets(node.field(ASSETS), before.assets(), kept);
    }
    return project(before, head, node, reader, boards, assets);
  }

  private static Project project(
      Project before,
      Optional<JsonCursor> head,
      JsonCursor node,
      ProjectReader reader,
      PVector<Artboard> boards,
      List<Asset> assets) {
    if (head.isPresent()) {
      return reader.project(head.get(), boards, assets);
    }
    StyleBook styles = reader.styles();
    return node.checked(() ->
        new Project(
            before.name(),
            boards,
            styles,
            before.palette(),
            before.baseStyle(),
            before.language(),
            before.words(),
            assets,
            before.exports(),
            before.survey(),
            before.documents(),
            before.sheetViews()));
  }

  private static Artboard changed(Artboard before, JsonCursor node, ProjectReader reader) {
    PVector<Layer> layers =
        node.find(Names.LAYERS)
            .<PVector<Layer>>map(
                runs -> TreePVector.from(runs(runs, reader::layer, before.layers())))
            .orElse(before.layers());
    return node.find(HEAD)
        .map(head -> reader.artboard(head, () -> layers))
        .orElseGet(() -> before.withLayers(layers));
  }

  private static List<Asset> assets(JsonCursor list, List<Asset> before, Assets kept)
      throws IOException {
    List<Asset> assets = new ArrayList<>();
    for (JsonCursor one : list.list()) {
      String name = one.only(Names.NAME, HASH).field(Names.NAME).text();
      byte[] bytes = kept.find(one.field(HASH).text());
      Asset asset = one.checked(() -> new Asset(name, bytes));
      assets.add(before.stream().filter(asset::equals).findFirst().orElse(asset));
    }
    return assets;
  }

  private static <T> List<T> runs(JsonCursor node, Function<JsonCursor, T> read, List<T> before) {
    List<Run<T>> runs =
        node.items(run ->
            new Run<>(
                index(run.only(AT, REMOVED, ADDED).field(AT), before.size() + 1),
                index(run.field(REMOVED), before.size() + 1),
                run.field(ADDED).items(read)));
    return node.checked(() -> new ListDifference<>(runs).applyTo(before));
  }

  private static int index(JsonCursor node, int end) {
    double number = node.number();
    if (number != Math.rint(number) || number < 0 || number >= end) {
      throw node.wrong(Messages.of("project-difference.there-is-no-item", number));
    }
    return (int) number;
  }
}
