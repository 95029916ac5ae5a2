package dynamorph.model.merge;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.style.Style;
import dynamorph.model.style.Swatch;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
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

  private static List<Object> own(Project project) {
    return List.of(project.name(), project.language(), project.words(), project.baseStyle());
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
