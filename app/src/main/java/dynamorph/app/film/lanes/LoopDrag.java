package dynamorph.app.film.lanes;

import dynamorph.app.session.Playback;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.scene.input.MouseEvent;

/** Marks the part of a film that is played over and over: from a fixed end to the mouse. */
record LoopDrag(TrackLanes lanes, Playback playback, Time fixed) implements LaneDrag {
  /** The drag that a press on the ruler begins: with Shift anew, else with an end that is there. */
  static Optional<LoopDrag> at(MouseEvent event, TrackLanes lanes, Playback playback) {
    if (event.isShiftDown()) {
      Time fixed = lanes.rows().view().time(event.getX());
      return Optional.of(new LoopDrag(lanes, playback, fixed));
    }
    return endAt(event.getX(), lanes, playback)
        .flatMap(near ->
            playback
                .loopProperty()
                .get()
                .map(loop -> near.equals(loop.from()) ? loop.to() : loop.from()))
        .map(fixed -> new LoopDrag(lanes, playback, fixed));
  }

  /** The end of the loop at a place on the ruler. */
  static Optional<Time> endAt(double x, TrackLanes lanes, Playback playback) {
    return playback
        .loopProperty()
        .get()
        .flatMap(loop ->
            Stream.of(loop.from(), loop.to())
                .filter(end -> Math.abs(lanes.rows().view().x(end) - x) <= LaneRows.EDGE)
                .findFirst());
  }

  @Override
  public void to(MouseEvent event) {
    Timeline line = playback.timeline().orElseThrow();
    Time one = line.rate().snap(fixed);
    Time under = lanes.rows().view().time(event.getX());
    Time other = line.rate().snap(Time.min(under, line.duration()));
    playback
        .loopProperty()
        .set(
            one.equals(other)
                ? Optional.empty()
                : Optional.of(new Playback.Loop(Time.min(one, other), Time.max(one, other))));
  }
}
