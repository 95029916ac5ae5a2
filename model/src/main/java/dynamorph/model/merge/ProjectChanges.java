package dynamorph.model.merge;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.style.Style;
import dynamorph.model.style.Swatch;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;

/** What differs between two states of a project, thing by thing. */
public final class ProjectChanges {
  private ProjectChanges() {}

  /** What became of a thing. */
  public enum Fate {
    ADDED,
    CHANGED,
    REMOVED
  }

  /**
   * A thing that differs.
   *
   * @param name as it is called now, or was if it is gone; empty for the project itself
   */
  public record Change(Conflict.Kind kind, String name, Fate fate) {}

  /**
   * Every thing that differs: swatches, styles, artboards, texts, files, then the project itself.
   */
  public static List<Change> between(Project before, Project after) {
    List<Change> changes = new ArrayList<>();
    add(changes, Conflict.Kind.SWATCH, swatches(before), swatches(after), Swatch::name);
    add(changes, Conflict.Kind.STYLE, styles(before), styles(after), Style::name);
    add(changes, Conflict.Kind.ARTBOARD, boards(before), boards(after), Artboard::name);
    add(changes, Conflict.Kind.TEXT, layers(before), layers(after), Layer::name);
    if (!before.assets().equals(after.assets())) {
      changes.add(new Change(Conflict.Kind.FILE, "", Fate.CHANGED));
    }
    if (!own(before).equals(own(after))) {
      changes.add(new Change(Conflict.Kind.PROJECT, "", Fate.CHANGED));
    }
    return changes;
  }

  /**
   * A thing that differs, as it was and as it is.
   *
   * @param before empty if it is new
   * @param after empty if it is gone
   */
  public record Pair<T>(Optional<T> before, Optional<T> after) {
    /** What became of it. */
    public Fate fate() {
      return before.isEmpty() ? Fate.ADDED : after.isEmpty() ? Fate.REMOVED : Fate.CHANGED;
    }

    /** As it was; as it is, if it is new. */
    public T any() {
      return before.or(() -> after).orElseThrow();
    }
  }

  /** The swatches that differ. */
  public static List<Pair<Swatch>> swatchPairs(Project before, Project after) {
    return pairs(swatches(before), swatches(after));
  }

  /** The styles whose own values or names differ. */
  public static List<Pair<Style>> stylePairs(Project before, Project after) {
    return pairs(styles(before), styles(after));
  }

  /** The artboards that differ, their layers counted in. */
  public static List<Pair<Artboard>> artboardPairs(Project before, Project after) {
    return pairs(
        byId(before.artboards().stream(), Artboard::id),
        byId(after.artboards().stream(), Artboard::id));
  }

  private static <T> List<Pair<T>> pairs(Map<Object, T> before, Map<Object, T> after) {
    Set<Object> ids = new LinkedHashSet<>(before.keySet());
    ids.addAll(after.keySet());
    return ids.stream()
        .map(id ->
            new Pair<T>(Optional.ofNullable(before.get(id)), Optional.ofNullable(after.get(id))))
        .filter(pair -> !pair.before().equals(pair.after()))
        .toList();
  }

  private static List<Object> own(Project project) {
    return List.of(
        project.name(),
        project.language(),
        project.words(),
        project.baseStyle(),
        project.exports(),
        project.survey(),
        project.documents(),
        project.sheetViews());
  }

  private static Map<Object, Swatch> swatches(Project project) {
    return byId(project.palette().swatches().stream(), Swatch::id);
  }

  private static Map<Object, Style> styles(Project project) {
    return byId(project.styles().stream(), Style::id);
  }

  /** Without their layers, which are things of their own. */
  private static Map<Object, Artboard> boards(Project project) {
    return byId(
        project.artboards().stream().map(board -> board.withLayers(List.of())), Artboard::id);
  }

  private static Map<Object, Layer> layers(Project project) {
    return byId(project.layers(), Layer::id);
  }

  private static <T> Map<Object, T> byId(Stream<T> things, Function<T, Object> id) {
    Map<Object, T> map = new LinkedHashMap<>();
    things.forEach(thing -> map.put(id.apply(thing), thing));
    return map;
  }

  private static <T> void add(
      List<Change> changes,
      Conflict.Kind kind,
      Map<Object, T> before,
      Map<Object, T> after,
      Function<T, String> name) {
    after.forEach((id, thing) -> {
      T was = before.get(id);
      if (was == null) {
        changes.add(new Change(kind, name.apply(thing), Fate.ADDED));
      } else if (!Objects.equals(was, thing)) {
        changes.add(new Change(kind, name.apply(thing), Fate.CHANGED));
      }
    });
    before.forEach((id, thing) -> {
      if (!after.containsKey(id)) {
        changes.add(new Change(kind, name.apply(thing), Fate.REMOVED));
      }
    });
  }
}
