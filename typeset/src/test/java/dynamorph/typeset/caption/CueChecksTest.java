package dynamorph.typeset.caption;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Layer;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The rules hold up to their limits: 20 characters a second, 1 to 7 s, 80 ms, 2 lines of 42. */
class CueChecksTest {
  private static final Track.Captions TRACK = Track.Captions.of("t", "T", "en");

  private static Layer cue(long in, long out, String words) {
    return Layer.of("c" + in, "Cue", words)
        .withTiming(Timing.of(TRACK.id(), Time.ofMillis(in), Time.ofMillis(out)));
  }

  private static List<String> told(Layer... cues) {
    return CueChecks.of(new CueList(TRACK, List.of(cues)), 0).stream()
        .map(problem -> problem.kind() + " " + problem.detail())
        .toList();
  }

  @Test
  void twentyCharactersASecondCanBeRead() {
    assertThat(told(cue(0, 1000, "x".repeat(20)))).isEmpty();
    assertThat(told(cue(0, 2000, "x".repeat(41))))
        .containsExactly("TOO_FAST 20.5 characters per second, 20 at most");
  }

  @Test
  void aCueStaysForOneToSevenSeconds() {
    assertThat(told(cue(0, 1000, "ok"))).isEmpty();
    assertThat(told(cue(0, 990, "ok"))).containsExactly("TOO_SHORT 0.99 s, 1 s at least");
    assertThat(told(cue(0, 7000, "ok"))).isEmpty();
    assertThat(told(cue(0, 7250, "ok"))).containsExactly("TOO_LONG 7.25 s, 7 s at most");
  }

  @Test
  void cuesTouchOrAreEightyMillisecondsApart() {
    assertThat(told(cue(0, 2000, "ok"), cue(2000, 4000, "ok"))).isEmpty();
    assertThat(told(cue(0, 2000, "ok"), cue(2080, 4000, "ok"))).isEmpty();
    assertThat(told(cue(0, 2000, "ok"), cue(2070, 4000, "ok")))
        .containsExactly("GAP 0.07 s to the next, 0.08 s at least");
    assertThat(told(cue(0, 2000, "ok"), cue(1500, 4000, "ok")))
        .containsExactly("OVERLAP by 0.5 s with the next");
  }

  @Test
  void twoLinesOfFortyTwoCharacters() {
    String line = "x".repeat(42);
    assertThat(told(cue(0, 7000, line + "\u2028" + line))).isEmpty();
    assertThat(told(cue(0, 7000, line + "x\u2028ok")))
        .containsExactly("LINE_LENGTH 43 characters in a line, 42 at most");
    assertThat(told(cue(0, 7000, "a\u2028b\u2028c"))).containsExactly("LINES 3 lines, 2 at most");
    // characters outside the basic plane are two units and one character
    assertThat(told(cue(0, 7000, "\ud83d\udd14".repeat(42) + "\u2028ok"))).isEmpty();
    assertThat(told(cue(0, 7000, line + " ok"))).as("broken by its box").isEmpty();
  }

  @Test
  void whatHasNoWordsIsToldThatAlone() {
    assertThat(told(cue(0, 100, " \u2028 "))).containsExactly("EMPTY it has no words");
  }
}
