package dynamorph.footage.sound;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.footage.FfmpegPrograms;
import dynamorph.footage.SampleVideo;
import dynamorph.model.timeline.Clip;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Media;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import dynamorph.model.value.ItemState;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The sound of films, from footage that is silent but for a second from its second 2 on. */
class FilmSoundTest {
  private static final int RATE = 44_100;

  @TempDir private static Path folder;
  private static Path footage;

  @BeforeAll
  static void makeFootage() throws IOException {
    footage = video("sound.mp4", "aac", 1, 12_000);
  }

  private static Path video(String name, String codec) throws IOException {
    return video(name, codec, 1, 12_000);
  }

  /**
   * @param channels that all sound alike
   * @param loudest sample, of 32,768
   */
  private static Path video(String name, String codec, int channels, int loudest)
      throws IOException {
    Path silent = SampleVideo.write(folder.resolve("silent-" + name), 100, "25");
    ByteBuffer samples =
        ByteBuffer.allocate(4 * RATE * 2 * channels).order(ByteOrder.LITTLE_ENDIAN);
    for (int at = 0; at < 4 * RATE; at++) {
      boolean heard = at >= 2 * RATE && at < 3 * RATE;
      for (int channel = 0; channel < channels; channel++) {
        samples.putShort((short) (heard ? loudest * Math.sin(at * 2 * Math.PI * 700 / RATE) : 0));
      }
    }
    Path file = folder.resolve(name);
    FfmpegPrograms.ffmpeg(
        samples.array(),
        "-y",
        "-i",
        silent.toString(),
        "-f",
        "s16le",
        "-ar",
        String.valueOf(RATE),
        "-ac",
        String.valueOf(channels),
        "-i",
        "-",
        "-c:v",
        "copy",
        "-c:a",
        codec,
        file.toString());
    return file;
  }

  private static Clip clip(Path file, long in, long out, long start) {
    return new Clip(
        "c" + in,
        "c",
        new Media.File(file.toString()),
        Time.ofMillis(in),
        Time.ofMillis(out),
        Time.ofMillis(start));
  }

  private static Track.Footage track(String id, boolean hidden, Clip... clips) {
    return new Track.Footage(new TrackId(id), id, new ItemState(hidden, false), List.of(clips));
  }

  private static Timeline line(Track... tracks) {
    return Timeline.of(FrameRate.PAL, Time.ofMillis(8000)).withTracks(List.of(tracks));
  }

  /** When something is heard, in milliseconds: the first and the last loud sample. */
  private static long[] heard(Timeline line, int step) throws IOException {
    // one channel of 12,000 of 32,768 is as loud in both
    return heard(line, step, 12_000 / 32_768f);
  }

  private static long[] heard(Timeline line, int step, float loud) throws IOException {
    float[] left = new float[8 * Sound.RATE];
    float[] right = new float[left.length];
    try (FilmSound sound = FilmSound.of(line).orElseThrow()) {
      for (int at = 0; at < left.length; at += step) {
        sound.add(at, left, right, at, Math.min(step, left.length - at));
      }
    }
    float loudest = 0;
    int first = -1;
    int last = -1;
    for (int at = 0; at < left.length; at++) {
      loudest = Math.max(loudest, Math.abs(left[at]));
      if (Math.abs(left[at]) > 0.1) {
        assertThat(right[at]).isEqualTo(left[at], within(0.001f));
        first = first < 0 ? at : first;
        last = at;
      }
    }
    assertThat(loudest).isCloseTo(loud, within(0.03f));
    return new long[] {first * 1000L / Sound.RATE, last * 1000L / Sound.RATE};
  }

  private static void isHeard(Timeline line, long from, long to) throws IOException {
    long[] heard = heard(line, 1024);
    assertThat(heard[0]).isCloseTo(from, within(15L));
    assertThat(heard[1]).isCloseTo(to, within(15L));
  }

  @ParameterizedTest
  @ValueSource(ints = {960, 1024, 2000, 100_000})
  void footageIsHeardWhereItLies(int step) throws IOException {
    long[] heard = heard(line(track("a", false, clip(footage, 1000, 5000, 0))), step);
    assertThat(heard[0]).isCloseTo(3000, within(15L));
    assertThat(heard[1]).isCloseTo(4000, within(15L));
  }

  /** Two channels stay as they are; the loudest of six still fit into two. */
  @Test
  void channelsKeepTheirLoudness() throws IOException {
    for (int channels : new int[] {2, 6}) {
      Path file = video("c" + channels + ".mov", "pcm_s16le", channels, 24_000);
      heard(line(track("a", false, clip(file, 0, 4000, 0))), 1024, 24_000 / 32_768f);
    }
  }

  @Test
  void cutsAreHeard() throws IOException {
    isHeard(line(track("a", false, clip(footage, 1000, 5000, 500))), 2500, 3500);
    isHeard(line(track("a", false, clip(footage, 0, 600, 2300))), 0, 600);
    isHeard(
        line(track("a", false, clip(footage, 0, 2500, 0), clip(footage, 2500, 4000, 2800))),
        2000,
        2700);
  }

  /** The later clip in the list covers what lies below it; another track does not. */
  @Test
  void whatIsCoveredInItsTrackIsSilent() throws IOException {
    Clip silent = clip(footage, 0, 2500, 0);
    isHeard(
        line(track("a", false, clip(footage, 0, 4000, 0), silent.moved(Time.ZERO))), 2000, 3000);
    Clip over = clip(footage, 1500, 2500, 0);
    isHeard(line(track("a", false, clip(footage, 0, 4000, 0), over)), 2500, 3000);
    isHeard(
        line(track("a", false, clip(footage, 0, 4000, 0)), track("b", false, over)), 2000, 3000);
  }

  @Test
  void whatHasNoSoundHasNone() throws IOException {
    assertThat(FilmSound.of(line(track("a", true, clip(footage, 0, 4000, 0))))).isEmpty();
    Path silent = SampleVideo.write(folder.resolve("none.mp4"), 5, "25");
    assertThat(FilmSound.of(line(track("a", false, clip(silent, 0, 4000, 0))))).isEmpty();
    Path missing = folder.resolve("missing.mp4");
    assertThat(FilmSound.of(line(track("a", false, clip(missing, 0, 4000, 0))))).isEmpty();
  }

  @Test
  void footageOfOtherFormatsIsHeardAtTheSameTime() throws IOException {
    isHeard(line(track("a", false, clip(video("s.mkv", "flac"), 0, 4000, 0))), 2000, 3000);
    isHeard(line(track("a", false, clip(video("s.mov", "pcm_s16le"), 0, 4000, 0))), 2000, 3000);
    isHeard(line(track("a", false, clip(video("s.ts", "aac"), 0, 4000, 0))), 2000, 3000);
  }
}
