package dynamorph.app.film.lanes;

import dynamorph.app.message.Messages;
import dynamorph.app.session.Playback;
import dynamorph.app.session.Workspace;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.edit.film.Retime;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javafx.scene.input.MouseEvent;

/** Moves or trims all selected texts by the same time. */
final class TextDrag implements LaneDrag {
  private final TrackLanes lanes;
  private final Workspace workspace;
  private final Playback playback;
  private final LaneHit hit;
  private final double from;
  private final Object gesture = new Object();
  private final Map<LayerId, Timing> were = new LinkedHashMap<>();
  private boolean begun;

  TextDrag(TrackLanes lanes, Workspace workspace, LaneHit hit, double from) {
    this.lanes = lanes;
    this.workspace = workspace;
    this.playback = workspace.playback();
    this.hit = hit;
    this.from = from;
    Set<TrackId> open = new LinkedHashSet<>();
    lanes.rows().tracks().stream()
        .filter(track -> !track.state().locked())
        .forEach(track -> open.add(track.id()));
    for (Layer layer : playback.board().orElseThrow().layers()) {
      if (workspace.selection().contains(layer.id())
          && layer.track().filter(open::contains).isPresent()) {
        were.put(layer.id(), LaneRows.time(layer));
      }
    }
  }

  @Override
  public void to(MouseEvent event) {
    if (!begun
        && Math.abs(event.getX() - from) < 4
        && lanes.rows().trackAt(event.getY()).equals(Optional.of(hit.track()))) {
      return;
    }
    begun = true;
    Timing own = were.get(hit.layer().orElseThrow().id());
    if (own == null) {
      return;
    }
    Time by = lanes.rows().view().length(event.getX() - from);
    boolean atOut = hit.part() == LaneHit.Part.OUT;
    Time edge = atOut ? own.out() : own.in();
    Time wanted = edge.plus(by);
    Time near =
        event.isAltDown() ? wanted : lanes.snapping().near(wanted, were.keySet(), Optional.empty());
    if (hit.part() == LaneHit.Part.MIDDLE
        && near.equals(playback.timeline().orElseThrow().rate().snap(wanted))) {
      // the end may lie nearer to something than the beginning
      Time end = lanes.snapping().near(own.out().plus(by), were.keySet(), Optional.empty());
      Time other = end.minus(own.length());
      near = isOnFrame(end) ? near : other;
    }
    change(near.minus(edge), event.getY());
  }

  private boolean isOnFrame(Time time) {
    return playback.timeline().orElseThrow().rate().snap(time).equals(time);
  }

  private void change(Time by, double y) {
    Time frame = playback.timeline().orElseThrow().rate().frame();
    Time earliest = were.values().stream().map(Timing::in).min(Time::compareTo).orElseThrow();
    Time possible = hit.part() == LaneHit.Part.OUT ? by : Time.max(by, Time.ZERO.minus(earliest));
    Map<LayerId, Timing> now = new LinkedHashMap<>();
    were.forEach((id, was) -> now.put(id, changed(was, possible, frame, y)));
    workspace.apply(
        new Retime(
            now,
            hit.part() == LaneHit.Part.MIDDLE
                ? Messages.of("track-lanes.move")
                : Messages.of("common.trim")),
        Optional.of(gesture));
  }

  private Timing changed(Timing was, Time by, Time frame, double y) {
    return switch (hit.part()) {
      case IN -> was.between(Time.min(was.in().plus(by), was.out().minus(frame)), was.out());
      case OUT -> was.between(was.in(), Time.max(was.out().plus(by), was.in().plus(frame)));
      case MIDDLE -> {
        Optional<Track> other = lanes.rows().trackAt(y).filter(track -> takes(track));
        Timing moved = was.moved(by);
        yield were.size() == 1 && other.isPresent() ? moved.withTrack(other.get().id()) : moved;
      }
    };
  }

  private boolean takes(Track track) {
    return track.getClass() == hit.track().getClass() && !track.state().locked();
  }

  @Override
  public void end() {
    workspace.endGesture();
  }
}
