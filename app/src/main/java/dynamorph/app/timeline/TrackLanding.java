package dynamorph.app.timeline;

import dynamorph.app.styles.StyleLanding;
import dynamorph.app.workspace.Workspace;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.edit.ChangeTimeline;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.Target;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.timeline.Track;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Point2D;

/**
 * Lets styles be dropped on a timeline: on a title or a cue for itself, on the name of a track for
 * all that lies on it. Cues take styles from their track.
 */
final class TrackLanding implements StyleLanding {
  private final Workspace workspace;
  private final TrackHeads heads;
  private final TrackLanes lanes;

  TrackLanding(Workspace workspace, TrackHeads heads, TrackLanes lanes) {
    this.workspace = workspace;
    this.heads = heads;
    this.lanes = lanes;
  }

  @Override
  public Optional<LayerId> layerAt(Point2D inWindow) {
    return workspace.screening().isOpen()
        ? lanes.layerAt(lanes.sceneToLocal(inWindow))
        : Optional.empty();
  }

  @Override
  public Optional<Edit> over(Point2D inWindow, StyleId style, boolean onTop) {
    Optional<Artboard> film = workspace.screening().board();
    Optional<Edit> edit =
        film.flatMap(
            board -> heads.trackAt(inWindow).flatMap(track -> on(board, track, style, onTop)));
    heads.showLanding(edit.isPresent() ? heads.trackAt(inWindow) : Optional.empty());
    return edit;
  }

  private Optional<Edit> on(Artboard film, Track track, StyleId style, boolean onTop) {
    return switch (track) {
      case Track.Footage _ -> Optional.empty();
      case Track.Captions captions ->
          Optional.of(
              new ChangeTimeline.PutTrack(
                  film.id(), captions.withFollows(with(captions.follows(), style, onTop))));
      case Track.Titles titles -> {
        List<LayerId> all = film.on(titles.id()).stream().map(Layer::id).toList();
        yield all.isEmpty()
            ? Optional.empty()
            : Optional.of(workspace.following().edit(new Target.Layers(all), style, onTop, false));
      }
    };
  }

  /** In the place of those of its level, or over them. */
  private List<StyleId> with(List<StyleId> follows, StyleId style, boolean onTop) {
    StyleLevel level = workspace.project().styles().get(style).level();
    List<StyleId> changed = new ArrayList<>(follows);
    changed.remove(style);
    if (!onTop) {
      changed.removeIf(id -> workspace.project().styles().get(id).level() == level);
    }
    changed.add(style);
    return changed;
  }
}
