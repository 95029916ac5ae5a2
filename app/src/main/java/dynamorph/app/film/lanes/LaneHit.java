package dynamorph.app.film.lanes;

import dynamorph.model.Layer;
import dynamorph.model.timeline.Clip;
import dynamorph.model.timeline.Track;
import java.util.Optional;

/**
 * A text or a clip under the pointer.
 *
 * @param part which of its edges is near enough to be dragged
 */
record LaneHit(Track track, Optional<Layer> layer, Optional<Clip> clip, Part part) {
  /** A part of a block on a lane. */
  enum Part {
    IN,
    MIDDLE,
    OUT
  }
}
