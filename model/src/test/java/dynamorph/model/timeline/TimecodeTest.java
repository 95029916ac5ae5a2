package dynamorph.model.timeline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TimecodeTest {
  private static final Timecode DROP = new Timecode(FrameRate.NTSC, true);
  private static final long TEN_HOURS = 10 * 3600;

  @ParameterizedTest
  @CsvSource({
    "0, 00:00:00;00",
    "1799, 00:00:59;29",
    "1800, 00:01:00;02",
    "3597, 00:01:59;29",
    "3598, 00:02:00;02",
    "17981, 00:09:59;29",
    "17982, 00:10:00;00",
    "107892, 01:00:00;00",
    "2589407, 23:59:59;29",
    "2589408, 00:00:00;00"
  })
  void dropFrameLeavesOutTwoNumbersAMinuteButEachTenth(long frame, String code) {
    assertThat(DROP.format(frame)).isEqualTo(code);
    if (frame < 2_589_408) {
      assertThat(DROP.parse(code)).isEqualTo(frame);
    }
  }

  @Test
  void countingOneByOneAgreesWithTheArithmeticForADay() {
    Timecode fast = new Timecode(new FrameRate(60_000, 1001), true);
    for (Timecode timecode : new Timecode[] {DROP, fast}) {
      int nominal = timecode.rate().nominal();
      int hours = 0;
      int minutes = 0;
      int seconds = 0;
      int frames = 0;
      for (long frame = 0; frame < 24L * 3600 * nominal / 8; frame++) {
        String counted = String.format("%02d:%02d:%02d;%02d", hours, minutes, seconds, frames);
        if (frames < 5 || frames > nominal - 2) {
          assertThat(timecode.format(frame)).isEqualTo(counted);
          assertThat(timecode.parse(counted)).isEqualTo(frame);
        }
        if (++frames == nominal) {
          frames = 0;
          if (++seconds == 60) {
            seconds = 0;
            hours += minutes == 59 ? 1 : 0;
            minutes = (minutes + 1) % 60;
            frames = minutes % 10 == 0 ? 0 : nominal / 15;
          }
        }
      }
    }
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"12", "15", "23.976", "24", "25", "29.97", "30", "48", "50", "59.94", "60"})
  void anyFrameIsFoundAgainByItsTimecodeAndByItsTime(String text) {
    FrameRate rate = FrameRate.parse(text);
    SplittableRandom random = new SplittableRandom(3);
    Timecode plain = new Timecode(rate, false);
    for (int index = 0; index < 2000; index++) {
      long frame = random.nextLong(rate.nominal() * TEN_HOURS);
      assertThat(plain.parse(plain.format(frame))).isEqualTo(frame);
      assertThat(rate.frameAt(rate.at(frame))).isEqualTo(frame);
      assertThat(rate.frameAt(new Time(rate.at(frame + 1).ticks() - 1))).isEqualTo(frame);
      assertThat(rate.snap(new Time(rate.at(frame).ticks() + 7))).isEqualTo(rate.at(frame));
    }
    assertThat(FrameRate.parse(rate.toString())).isEqualTo(rate);
  }

  @Test
  void timesDoNotDriftOverTenHours() {
    Time added = Time.ZERO;
    long frames = FrameRate.NTSC.frameAt(Time.ofMillis(TEN_HOURS * 1000));
    for (long frame = 0; frame < frames; frame++) {
      added = added.plus(FrameRate.NTSC.frame());
    }
    assertThat(added).isEqualTo(Time.ofSeconds(frames * 1001, 30_000));
    assertThat(Time.ofMillis(TEN_HOURS * 1000).millis()).isEqualTo(TEN_HOURS * 1000);
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "12", "00:61:00:00", "00:00:00:30", "00:01:00;00", "aa:bb:cc:dd"})
  void whatIsNoTimecodeIsRefused(String text) {
    assertThatThrownBy(() -> DROP.parse(text))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining(text);
  }

  @Test
  void onlyTheRatesOfTelevisionDropFrames() {
    assertThatThrownBy(() -> new Timecode(FrameRate.PAL, true)).hasMessageContaining("25 fps");
    assertThatThrownBy(() -> FrameRate.parse("0")).hasMessageContaining("positive");
    assertThatThrownBy(() -> FrameRate.parse("7/13")).hasMessageContaining("not supported");
    assertThatThrownBy(() -> FrameRate.parse("fast")).hasMessageContaining("29.97");
    assertThat(FrameRate.NTSC.words()).isEqualTo("29.97 fps");
    assertThat(FrameRate.parse("23.98").words()).isEqualTo("23.97 fps");
  }

  /** At 25 frames a second a frame has 3,600,000 of the 90,000,000 ticks of a second. */
  @ParameterizedTest
  @CsvSource({
    "0, 0",
    "1799999, 0",
    "1800000, 1",
    "3599999, 1",
    "3600000, 1",
    "5399999, 1",
    "5400000, 2",
    "-1, 0",
    "-1800001, -1"
  })
  void aMomentIsSnappedToTheNearestFrame(long ticks, long frame) {
    assertThat(FrameRate.PAL.snap(new Time(ticks))).isEqualTo(new Time(frame * 3_600_000));
  }
}
