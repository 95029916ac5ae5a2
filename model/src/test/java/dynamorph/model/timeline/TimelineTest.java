package dynamorph.model.timeline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.value.ItemState;
import java.util.List;
import org.junit.jupiter.api.Test;

class TimelineTest {
  private static final TrackId TRACK = new TrackId("t");

  private static Time seconds(double seconds) {
    return Time.ofSeconds(seconds);
  }

  @Test
  void aTextAppearsAndVanishesOverItsFades() {
    Timing timing = Timing.of(TRACK, seconds(2), seconds(6)).withFades(seconds(1), seconds(2));
    assertThat(timing.visibility(seconds(1.9))).isZero();
    assertThat(timing.visibility(seconds(2.5))).isEqualTo(0.5, within(1e-9));
    assertThat(timing.visibility(seconds(3.5))).isEqualTo(1);
    assertThat(timing.visibility(seconds(5))).isEqualTo(0.5, within(1e-9));
    assertThat(timing.visibility(seconds(6))).isZero();
  }

  @Test
  void fadesAreNeverLongerThanTheText() {
    Timing timing =
        Timing.of(TRACK, seconds(2), seconds(6))
            .withFades(seconds(1), seconds(2))
            .between(seconds(2), seconds(4));
    assertThat(timing.fadeIn().plus(timing.fadeOut())).isEqualTo(timing.length());
  }

  @Test
  void timesThatMakeNoSenseAreRefused() {
    assertThatThrownBy(() -> Timing.of(TRACK, seconds(2), seconds(2)))
        .hasMessageContaining("00:00:02.000");
    assertThatThrownBy(() -> Timing.of(TRACK, seconds(-1), seconds(2)))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> Timeline.of(FrameRate.PAL, Time.ZERO))
        .hasMessageContaining("one frame");
  }

  @Test
  void aTimelineCountsItsFramesFromItsFirstTimecode() {
    Timeline timeline = Timeline.of(FrameRate.PAL, seconds(10)).withFirstFrame(25 * 3600);
    assertThat(timeline.frames()).isEqualTo(250);
    assertThat(timeline.codeAt(seconds(1.5))).isEqualTo("01:00:01:12");
    assertThat(timeline.timeOf("01:00:01:12")).isEqualTo(seconds(1.48));
    assertThat(timeline.timeOf("09:00:00:00")).as("behind the end").isEqualTo(seconds(9.96));
  }

  @Test
  void theLaterClipIsSeenWhereTwoOverlap() {
    Clip gears = clip("gears", 0, 4);
    Clip dial = clip("dial", 3, 6);
    Track.Footage track = new Track.Footage(TRACK, "Footage", ItemState.OPEN, List.of(gears, dial));
    assertThat(track.at(seconds(3.5))).contains(dial);
    assertThat(track.at(seconds(1))).contains(gears);
    assertThat(track.at(seconds(6))).isEmpty();
    assertThat(dial.mediaTime(seconds(3.5))).isEqualTo(seconds(1.5));
    assertThatThrownBy(() -> Timeline.of(FrameRate.PAL, seconds(9)).plus(track).plus(track))
        .hasMessageContaining("\"t\"");
  }

  private static Clip clip(String id, double from, double to) {
    return new Clip(
        id, id, new Media.Drawn(Media.Scenery.DIAL), seconds(from), seconds(to), seconds(1));
  }
}
