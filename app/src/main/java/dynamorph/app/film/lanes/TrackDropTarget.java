package dynamorph.app.film.lanes;

import dynamorph.app.session.Workspace;
import dynamorph.app.styles.column.StyleDropTarget;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.film.ChangeTimeline;
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
public final class TrackDropTarget implements StyleDropTarget {
  private final Workspace workspace;
  private final TrackHeads heads;
  private final TrackLanes lanes;

  public TrackDropTarget(Workspace workspace, TrackHeads heads, TrackLanes lanes) {
    this.workspace = workspace;
    this.heads = heads;
    this.lanes = lanes;
  }

  @Override
  public Optional<LayerId> layerAt(Point2D inWindow) {
    return workspace.playback().isOpen()
        ? lanes.layerAt(lanes.sceneToLocal(inWindow))
        : Optional.empty();
  }

  @Override
  public Optional<Target.Layers> textsAt(Point2D inWindow) {
    return titlesAt(inWindow)
        .map(track -> new Target.Layers(film().on(track.id()).stream().map(Layer::id).toList()))
        .filter(target -> !target.layers().isEmpty());
  }

  @Override
  public Optional<Edit> editAt(Point2D inWindow, StyleId style, boolean onTop) {
    return captionsAt(inWindow)
        .map(track ->
            new ChangeTimeline.PutTrack(
                film().id(), track.withFollows(with(track.follows(), style, onTop))));
  }

  @Override
  public void mark(Point2D inWindow) {
    boolean takes = textsAt(inWindow).isPresent() || captionsAt(inWindow).isPresent();
    heads.showLanding(takes ? heads.trackAt(inWindow) : Optional.empty());
  }

  private Artboard film() {
    return workspace.playback().board().orElseThrow();
  }

  private Optional<Track.Titles> titlesAt(Point2D inWindow) {
    return heads
        .trackAt(inWindow)
        .filter(Track.Titles.class::isInstance)
        .map(Track.Titles.class::cast);
  }

  private Optional<Track.Captions> captionsAt(Point2D inWindow) {
    return heads
        .trackAt(inWindow)
        .filter(Track.Captions.class::isInstance)
        .map(Track.Captions.class::cast);
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
