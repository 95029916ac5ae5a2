package dynamorph.app.film.lanes;

import dynamorph.app.session.Playback;
import dynamorph.app.session.Workspace;
import dynamorph.model.edit.film.ChangeTimeline;
import dynamorph.model.timeline.Clip;
import dynamorph.model.timeline.Time;
import java.util.Optional;
import java.util.Set;
import javafx.scene.input.MouseEvent;

/** Moves or trims a clip; trimming its beginning keeps its pictures where they are. */
final class ClipDrag implements LaneDrag {
  private final TrackLanes lanes;
  private final Workspace workspace;
  private final Playback playback;
  private final LaneHit hit;
  private final Clip was;
  private final double from;
  private final Object gesture = new Object();

  ClipDrag(TrackLanes lanes, Workspace workspace, LaneHit hit, double from) {
    this.lanes = lanes;
    this.workspace = workspace;
    this.playback = workspace.playback();
    this.hit = hit;
    this.was = hit.clip().orElseThrow();
    this.from = from;
  }

  @Override
  public void to(MouseEvent event) {
    Time frame = playback.timeline().orElseThrow().rate().frame();
    Time edge = hit.part() == LaneHit.Part.OUT ? was.out() : was.in();
    Time wanted = edge.plus(lanes.rows().view().length(event.getX() - from));
    Time near = Time.max(Time.ZERO, lanes.snapping().near(wanted, Set.of(), Optional.of(was.id())));
    Clip now =
        switch (hit.part()) {
          case MIDDLE -> was.moved(near.minus(was.in()));
          case OUT -> was.between(was.in(), Time.max(near, was.in().plus(frame)), was.start());
          case IN -> {
            Time least = Time.max(Time.ZERO, was.in().minus(was.start()));
            Time in = Time.max(least, Time.min(near, was.out().minus(frame)));
            yield was.between(in, was.out(), was.start().plus(in.minus(was.in())));
          }
        };
    if (!now.equals(was) || event.getX() != from) {
      workspace.apply(
          new ChangeTimeline.PutClip(playback.board().orElseThrow().id(), hit.track().id(), now),
          Optional.of(gesture));
    }
  }

  @Override
  public void end() {
    workspace.endGesture();
  }
}
