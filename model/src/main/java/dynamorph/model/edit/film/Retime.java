package dynamorph.model.edit.film;

import static java.util.Objects.requireNonNull;

import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.message.Messages;
import dynamorph.model.timeline.Timing;
import java.util.Map;

/**
 * Lets titles and cues be seen at other times, or on other tracks of their film.
 *
 * @param timings by layer; those that are gone are left out
 * @param verb what is done, such as {@code Move}
 */
public record Retime(Map<LayerId, Timing> timings, String verb) implements Edit {
  public Retime {
    timings = Map.copyOf(timings);
  }

  @Override
  public Project applyTo(Project before) {
    return before.mapLayers(
        timings.keySet(),
        layer -> {
          Timing timing = requireNonNull(timings.get(layer.id()));
          return layer.timing().filter(timing::equals).isPresent()
              ? layer
              : layer.withTiming(timing);
        });
  }

  @Override
  public String label(Project before) {
    return Messages.of("retime.text", verb, timings.size());
  }
}
