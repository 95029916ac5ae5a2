package dynamorph.formats.captions;

import dynamorph.model.LayerId;
import dynamorph.model.cascade.Placement;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.RubyBase;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timing;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.WritingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A cue as it goes into a file.
 *
 * @param key its place as on a numeric block, 1 to 9; 2 is the middle of the foot
 * @param x where it stands across the frame, 0 to 100; empty if that is the middle
 * @param y where it stands down the frame, 0 to 100; empty if that is where its track stands
 * @param mode how its lines run
 * @param place with lengths in points of the frame
 * @param basePlace the same before it sets anything itself
 * @param follows styles of its own, beside those of the track
 * @param local values of its own
 * @param base complete values of its words before it or they set anything themselves
 * @param timing exactly, with its fades
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
    WritingMode mode,
    Placement place,
    Placement basePlace,
    List<StyleId> follows,
    PropertySet local,
    PropertySet base,
    Timing timing) {
  /**
   * Words of one look.
   *
   * @param colour where it is not that of the track
   * @param follows character styles of the words
   * @param values complete
   * @param ruby how they are read; empty for nothing
   */
  record Run(
      String text,
      boolean bold,
      boolean italic,
      boolean underline,
      Optional<Rgba> colour,
      List<StyleId> follows,
      PropertySet local,
      PropertySet values,
      String ruby) {
    Run withText(String changed) {
      return new Run(changed, bold, italic, underline, colour, follows, local, values, ruby);
    }
  }

  /**
   * Words that stand under the same ruby.
   *
   * @param ruby empty for words without one
   */
  record Base(String ruby, List<Run> runs) {}

  /** The words, those that are read together together. */
  List<Base> bases() {
    List<Base> bases = new ArrayList<>();
    for (Run run : runs) {
      boolean goesOn = !bases.isEmpty() && bases.getLast().ruby.equals(run.ruby);
      if (!goesOn) {
        bases.add(new Base(run.ruby, new ArrayList<>()));
      }
      bases.getLast().runs.add(run);
    }
    return bases.stream().flatMap(WrittenCue::overLetters).toList();
  }

  /** Parts of a ruby stand over a letter each, which files say by bases of one letter. */
  private static Stream<Base> overLetters(Base base) {
    if (base.ruby.isEmpty() || base.runs.size() > 1) {
      return Stream.of(base);
    }
    Run run = base.runs.getFirst();
    return new RubyBase(0, run.text.length(), run.ruby)
        .overLetters(run.text).stream()
            .map(part ->
                new Base(
                    part.ruby(),
                    List.of(run.withText(run.text.substring(part.start(), part.end())))));
  }

  String text() {
    StringBuilder text = new StringBuilder();
    runs.forEach(run -> text.append(run.text()));
    return text.toString();
  }
}
