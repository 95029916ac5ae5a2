package dynamorph.model.cascade;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleId;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.pcollections.PVector;

/**
 * What lies below each layer. Most layers stand on the project's plain text; those of artboards
 * with a base style of their own and the cues of caption tracks do not.
 */
final class Inheritance {
  private record Board(Optional<StyleId> base, PVector<Layer> layers) {}

  private record Lane(
      Track.Captions track, InheritedStyles silent, Map<String, InheritedStyles> spoken) {}

  private final InheritedStyles plain;
  private final List<Board> boards;
  private final List<Track.Captions> tracks;
  private final Map<LayerId, InheritedStyles> byLayer;
  private final Map<TrackId, Lane> lanes;

  private Inheritance(
      InheritedStyles plain,
      List<Board> boards,
      List<Track.Captions> tracks,
      Map<LayerId, InheritedStyles> byLayer,
      Map<TrackId, Lane> lanes) {
    this.plain = plain;
    this.boards = boards;
    this.tracks = tracks;
    this.byLayer = byLayer;
    this.lanes = lanes;
  }

  static Inheritance of(Project project) {
    Map<LayerId, InheritedStyles> byLayer = new HashMap<>();
    List<Board> boards = boards(project);
    for (Board board : boards) {
      InheritedStyles inherited = InheritedStyles.plain(board.base());
      board.layers().forEach(layer -> byLayer.put(layer.id(), inherited));
    }
    Map<TrackId, Lane> lanes = new HashMap<>();
    for (Artboard film : project.films().toList()) {
      film.timeline()
          .orElseThrow()
          .captions()
          .forEach(track -> lanes.put(track.id(), lane(track, project.baseOf(film))));
    }
    return new Inheritance(
        InheritedStyles.plain(project.baseStyle()), boards, tracks(project), byLayer, lanes);
  }

  private static List<Board> boards(Project project) {
    return project.artboards().stream()
        .filter(artboard -> artboard.baseStyle().isPresent())
        .map(artboard -> new Board(artboard.baseStyle(), artboard.layers()))
        .toList();
  }

  private static List<Track.Captions> tracks(Project project) {
    return project
        .films()
        .flatMap(film -> film.timeline().stream())
        .flatMap(Timeline::captions)
        .toList();
  }

  private static Lane lane(Track.Captions track, Optional<StyleId> base) {
    PropertySet local =
        PropertySet.EMPTY.with(Properties.LANGUAGE, track.language()).overlaidBy(track.local());
    Map<String, InheritedStyles> spoken = new HashMap<>();
    for (String speaker : track.speakers().keySet()) {
      spoken.put(speaker, new InheritedStyles(base, track.taken(speaker), local));
    }
    return new Lane(track, new InheritedStyles(base, track.follows(), local), spoken);
  }

  /** Itself if every layer still has the same inherited styles. */
  Inheritance follow(Project project) {
    if (isSame(project)) {
      return this;
    }
    Inheritance changed = of(project);
    return changed.byLayer.equals(byLayer) && changed.lanes.equals(lanes) ? this : changed;
  }

  private boolean isSame(Project project) {
    List<Board> now = boards(project);
    if (now.size() != boards.size() || !tracks(project).equals(tracks)) {
      return false;
    }
    for (int index = 0; index < now.size(); index++) {
      if (now.get(index).layers() != boards.get(index).layers()
          || !now.get(index).base().equals(boards.get(index).base())) {
        return false;
      }
    }
    return true;
  }

  InheritedStyles of(Layer layer) {
    Optional<Timing> timing = layer.timing();
    if (timing.isPresent()) {
      Lane lane = lanes.get(timing.get().track());
      if (lane != null) {
        return lane.spoken().getOrDefault(timing.get().speaker(), lane.silent());
      }
    }
    return byLayer.isEmpty() ? plain : byLayer.getOrDefault(layer.id(), plain);
  }

  /** The caption track of a layer, if it is a cue. */
  Optional<TrackId> trackOf(Layer layer) {
    return layer.track().filter(lanes::containsKey);
  }
}
