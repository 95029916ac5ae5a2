package dynamorph.app.film.lanes;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Where dragged edges are drawn to: the playhead, the edges of others, the ends of the film. */
record Snapping(Artboard film, Time playhead, LaneView view) {
  /** How near it must be, in pixels. */
  private static final double REACH = 7;

  /** The place that is near a time, else the nearest frame, not counting what moves itself. */
  Time near(Time wanted, Set<LayerId> moving, Optional<String> clip) {
    Time near = film.timeline().orElseThrow().rate().snap(wanted);
    double least = REACH;
    for (Time place : places(moving, clip)) {
      double away = Math.abs(view.x(place) - view.x(wanted));
      if (away < least) {
        least = away;
        near = place;
      }
    }
    return near;
  }

  private List<Time> places(Set<LayerId> moving, Optional<String> clip) {
    Timeline line = film.timeline().orElseThrow();
    List<Time> places = new ArrayList<>(List.of(playhead, Time.ZERO, line.duration()));
    for (Layer layer : film.layers()) {
      if (!moving.contains(layer.id())) {
        layer.timing().ifPresent(timing -> places.addAll(List.of(timing.in(), timing.out())));
      }
    }
    line.footage()
        .flatMap(track -> track.clips().stream())
        .filter(other -> clip.filter(other.id()::equals).isEmpty())
        .forEach(other -> places.addAll(List.of(other.in(), other.out())));
    return places;
  }
}
