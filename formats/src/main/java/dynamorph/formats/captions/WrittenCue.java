package dynamorph.formats.captions;

import dynamorph.model.LayerId;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleId;
import dynamorph.model.timeline.Time;
import dynamorph.model.value.Rgba;
import java.util.List;
import java.util.Optional;

/**
 * A cue as it goes into a file.
 *
 * @param key its place as on a numeric block, 1 to 9; 2 is the middle of the foot
 * @param x where it stands across the frame, 0 to 100; empty if that is the middle
 * @param y where it stands down the frame, 0 to 100; empty if that is where its track stands
 * @param follows styles of its own, beside those of the track
 * @param local values of its own
 */
record WrittenCue(
    LayerId id,
    Time in,
    Time out,
    String speaker,
    List<Run> runs,
    int key,
    Optional<Double> x,
    Optional<Double> y,
    List<StyleId> follows,
    PropertySet local) {
  /**
   * Words of one look.
   *
   * @param colour where it is not that of the track
   * @param follows character styles of the words
   */
  record Run(
      String text,
      boolean bold,
      boolean italic,
      boolean underline,
      Optional<Rgba> colour,
      List<StyleId> follows,
      PropertySet local) {}

  String text() {
    StringBuilder text = new StringBuilder();
    runs.forEach(run -> text.append(run.text()));
    return text.toString();
  }
}
