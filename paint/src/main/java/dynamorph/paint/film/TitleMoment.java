package dynamorph.paint.film;

import dynamorph.model.Layer;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timing;
import java.util.Comparator;
import java.util.Optional;
import java.util.stream.Stream;

/** When a film is shown by one picture. */
public final class TitleMoment {
  private TitleMoment() {}

  /** The middle of the title or cue that comes first; empty if there is none. */
  public static Optional<Time> ofFirst(Stream<Layer> layers) {
    return layers
        .flatMap(layer -> layer.timing().stream())
        .min(Comparator.comparing(Timing::in))
        .map(timing -> timing.in().plus(timing.length().times(1, 2)));
  }
}
