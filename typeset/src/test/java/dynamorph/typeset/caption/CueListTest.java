package dynamorph.typeset.caption;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CueListTest {
  private static final Track.Captions TRACK = Track.Captions.of("t", "T", "en");

  private static Layer cue(String id, long in, long out, String words) {
    return Layer.of(id, id, words)
        .withTiming(Timing.of(TRACK.id(), Time.ofMillis(in), Time.ofMillis(out)));
  }

  private static CueList list(Layer... cues) {
    return new CueList(TRACK, List.of(cues));
  }

  private static CueList with(CueList list, Map<LayerId, Timing> timings) {
    return new CueList(
        list.track(),
        list.cues().stream()
            .map(cue -> timings.containsKey(cue.id()) ? cue.withTiming(timings.get(cue.id())) : cue)
            .toList());
  }

  private static List<CueProblem.Kind> kinds(CueList list) {
    return CueChecks.of(list).stream().map(CueProblem::kind).toList();
  }

  @Test
  void charactersAreCountedAsTheyAreRead() {
    assertThat(CueList.characters(cue("a", 0, 1000, "one\u2028two \ud83d\udd14"))).isEqualTo(9);
    assertThat(CueList.readingSpeed(cue("a", 0, 2000, "ten chars!"))).isEqualTo(5);
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void spreadCuesAreNoWorseAndKeepTheirOrder(long seed) {
    SplittableRandom random = new SplittableRandom(seed);
    List<Layer> cues = new ArrayList<>();
    long at = 0;
    for (int index = 0; index < 60; index++) {
      long in = at + 100 + random.nextInt(2500);
      long out = in + 300 + random.nextInt(2500);
      at = out;
      cues.add(cue("c" + index, in, out, "x".repeat(5 + random.nextInt(60))));
    }
    CueList before = new CueList(TRACK, cues);
    CueList after = with(before, before.spread());
    assertThat(after.cues().stream().map(Layer::id))
        .containsExactlyElementsOf(before.cues().stream().map(Layer::id).toList());
    for (int index = 0; index < 60; index++) {
      Layer was = before.cues().get(index);
      Layer is = after.cues().get(index);
      assertThat(CueList.readingSpeed(is)).isLessThanOrEqualTo(CueList.readingSpeed(was));
      if (index > 0) {
        Time gap = CueList.time(is).in().minus(CueList.time(after.cues().get(index - 1)).out());
        assertThat(gap).isGreaterThanOrEqualTo(TRACK.rules().gap());
      }
    }
    assertThat(CueChecks.of(after)).hasSizeLessThanOrEqualTo(CueChecks.of(before).size());
    assertThat(with(after, after.spread()).cues()).as("once is enough").isEqualTo(after.cues());
  }

  @Test
  void shiftingNeverGoesBeforeTheBeginning() {
    CueList list = list(cue("a", 500, 2000, "a"), cue("b", 3000, 4000, "b"));
    CueList earlier = with(list, list.shifted(Time.ZERO, Time.ofMillis(-900)));
    assertThat(CueList.time(earlier.cues().get(0)).in()).isEqualTo(Time.ZERO);
    assertThat(CueList.time(earlier.cues().get(1)).in()).isEqualTo(Time.ofMillis(2500));
    CueList some = with(list, list.shifted(Time.ofMillis(1000), Time.ofMillis(250)));
    assertThat(CueList.time(some.cues().get(0)).in()).isEqualTo(Time.ofMillis(500));
    assertThat(CueList.time(some.cues().get(1)).in()).isEqualTo(Time.ofMillis(3250));
  }

  @Test
  void stretchingThereAndBackIsExact() {
    CueList list = list(cue("a", 41_000, 83_000, "a"));
    CueList there = with(list, list.stretched(24, 25));
    assertThat(CueList.time(there.cues().getFirst()).in()).isEqualTo(Time.ofMillis(39_360));
    assertThat(with(there, there.stretched(25, 24)).cues()).isEqualTo(list.cues());
  }

  @Test
  void gapsAreClosedAndOverlapsCut() {
    CueList list =
        list(
            cue("a", 0, 1000, "a"),
            cue("b", 1200, 3000, "b"),
            cue("c", 2500, 4000, "c"),
            cue("d", 6000, 7000, "d"));
    assertThat(list.gapsClosed(Time.ofMillis(500)).keySet()).containsExactly(new LayerId("a"));
    CueList cut = with(list, list.overlapsCut());
    assertThat(CueList.time(cut.cues().get(1)).out()).isEqualTo(Time.ofMillis(2500));
    assertThat(list.at(Time.ofMillis(2700)).orElseThrow().id()).isEqualTo(new LayerId("c"));
    assertThat(list.at(Time.ofMillis(5000))).isEmpty();
  }
}
