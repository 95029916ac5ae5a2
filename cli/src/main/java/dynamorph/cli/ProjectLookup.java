package dynamorph.cli;

import dynamorph.cli.message.Messages;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.Swatch;
import dynamorph.model.timeline.Track;
import java.util.List;
import java.util.stream.Collectors;

/**
 * Finds the things that a command names: by name or by id, a layer also as {@code Artboard/Layer}.
 */
final class ProjectLookup {
  private ProjectLookup() {}

  static Style style(Project project, String name) {
    return project
        .styles()
        .named(name)
        .orElseThrow(() ->
            new IllegalArgumentException(
                Messages.of(
                    "project-lookup.no-style-is-called-there-are",
                    name,
                    project.styles().stream().map(Style::name).collect(Collectors.joining("; ")))));
  }

  static Swatch swatch(Project project, String name) {
    return project.palette().swatches().stream()
        .filter(swatch -> swatch.name().equalsIgnoreCase(name.strip()) || swatch.id().equals(name))
        .findFirst()
        .orElseThrow(() ->
            new IllegalArgumentException(
                Messages.of(
                    "project-lookup.no-swatch-is-called-there-are",
                    name,
                    project.palette().swatches().stream()
                        .map(Swatch::name)
                        .collect(Collectors.joining("; ")))));
  }

  static Artboard artboard(Project project, String name) {
    return board(project.artboards(), "artboard", name);
  }

  static Artboard film(Project project, String name) {
    return board(project.films().toList(), "film", name);
  }

  private static Artboard board(List<Artboard> boards, String what, String name) {
    return boards.stream()
        .filter(board -> board.name().equalsIgnoreCase(name) || board.id().value().equals(name))
        .findFirst()
        .orElseThrow(() ->
            new IllegalArgumentException(
                Messages.of(
                    "project-lookup.no-is-called-there-are",
                    what,
                    name,
                    boards.stream().map(Artboard::name).collect(Collectors.joining("; ")))));
  }

  /** The track of captions of the name or id, or language. */
  static Track.Captions captions(Project project, String name) {
    List<Track.Captions> tracks =
        project.films().flatMap(film -> film.timeline().orElseThrow().captions()).toList();
    return tracks.stream()
        .filter(track ->
            track.name().equalsIgnoreCase(name)
                || track.id().value().equals(name)
                || track.language().equalsIgnoreCase(name))
        .findFirst()
        .orElseThrow(() ->
            new IllegalArgumentException(
                Messages.of(
                    "project-lookup.no-caption-track-is-called-there",
                    name,
                    tracks.stream().map(Track::name).collect(Collectors.joining("; ")))));
  }

  /** All layers of the name; at least one. */
  static List<Layer> layers(Project project, String name) {
    List<Layer> found =
        project.artboards().stream()
            .flatMap(board -> board.layers().stream().filter(layer -> isCalled(board, layer, name)))
            .toList();
    if (found.isEmpty()) {
      throw new IllegalArgumentException(
          Messages.of("project-lookup.no-layer-is-called-dynamorph-info", name));
    }
    return found;
  }

  /** The one layer of the name. */
  static Layer layer(Project project, String name) {
    List<Layer> found = layers(project, name);
    if (found.size() > 1) {
      String ids =
          found.stream().map(layer -> layer.id().value()).collect(Collectors.joining(", "));
      throw new IllegalArgumentException(
          Messages.of("project-lookup.layers-are-called-say-which-by", found.size(), name, ids));
    }
    return found.getFirst();
  }

  private static boolean isCalled(Artboard board, Layer layer, String name) {
    return layer.id().value().equals(name)
        || layer.name().equalsIgnoreCase(name)
        || (board.name() + "/" + layer.name()).equalsIgnoreCase(name);
  }

  static List<String> names(Project project, List<StyleId> ids) {
    return ids.stream().map(id -> project.styles().get(id).name()).toList();
  }
}
