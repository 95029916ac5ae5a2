package dynamorph.formats.captions;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.edit.importing.CaptionList;
import dynamorph.model.timeline.Time;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Assertions;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Files that are spoiled at random are read as far as they go, or refused with a reason. */
class SpoiledCaptionsTest {
  private static final String SUBRIP =
      """
      1
      00:00:01,000 --> 00:00:02,500
      <i>The clock</i> <font color="#ff8800">stopped</font>.

      2
      00:00:03,000 --> 00:00:04,000
      {\\an8}Twice.

      """;

  private static final String WEBVTT =
      """
      WEBVTT

      STYLE
      ::cue(.loud) { color: red; font-weight: bold; text-shadow: 1px 2px 3px #000 }

      REGION
      id:low
      width:40%
      regionanchor:0%,100%

      one
      00:01.000 --> 00:02.000 line:10% position:30%,line-left align:start region:low
      <v Ilse>The <c.loud>clock</c> <ruby>時<rt>toki</rt></ruby> &amp; more

      00:03.000 --> 00:04.000
      <00:03.500>Twice.
      """;

  private static final String TTML =
      """
      <?xml version="1.0"?>
      <tt xmlns="http://www.w3.org/ns/ttml" xmlns:tts="http://www.w3.org/ns/ttml#styling"
          xmlns:ttp="http://www.w3.org/ns/ttml#parameter" ttp:frameRate="25" ttp:tickRate="10">
        <head><styling><style xml:id="s" tts:color="red" tts:fontSize="5%"/></styling>
        <layout><region xml:id="r" tts:origin="10% 10%" tts:extent="80% 80%"/></layout></head>
        <body style="s"><div>
          <p begin="1s" end="00:00:02:12" region="r">The <span tts:fontStyle="italic">clock</span></p>
          <p begin="30t" dur="1s">Twice<br/>.</p>
        </div></body>
      </tt>
      """;

  private static String sample(CaptionFiles.Format format) {
    return switch (format) {
      case SUBRIP -> SUBRIP;
      case WEBVTT -> WEBVTT;
      case TTML -> TTML;
    };
  }

  /** Cuts, doubles, swaps and overwrites pieces. */
  private static byte[] spoiled(byte[] bytes, SplittableRandom random) {
    byte[] spoiled = bytes.clone();
    for (int times = 1 + random.nextInt(4); times > 0; times--) {
      int from = random.nextInt(spoiled.length);
      int length = Math.min(spoiled.length - from, 1 + random.nextInt(30));
      switch (random.nextInt(5)) {
        case 0 -> spoiled = joined(Arrays.copyOf(spoiled, from), cut(spoiled, from + length));
        case 1 ->
            spoiled =
                joined(
                    Arrays.copyOf(spoiled, from + length),
                    Arrays.copyOfRange(spoiled, from, spoiled.length));
        case 2 -> spoiled[from] = (byte) random.nextInt(256);
        case 3 ->
            Arrays.fill(
                spoiled, from, from + length, (byte) "<>&:-.,0\n\"".charAt(random.nextInt(10)));
        default -> spoiled = Arrays.copyOf(spoiled, Math.max(1, from));
      }
    }
    return spoiled;
  }

  private static byte[] cut(byte[] bytes, int from) {
    return Arrays.copyOfRange(bytes, Math.min(from, bytes.length), bytes.length);
  }

  private static byte[] joined(byte[] one, byte[] other) {
    byte[] both = Arrays.copyOf(one, one.length + other.length);
    System.arraycopy(other, 0, both, one.length, other.length);
    return both.length == 0 ? new byte[1] : both;
  }

  @ParameterizedTest
  @EnumSource(CaptionFiles.Format.class)
  void neverThrowAnythingElseAndNeverHang(CaptionFiles.Format format) {
    byte[] sound = sample(format).getBytes(StandardCharsets.UTF_8);
    Assertions.assertTimeoutPreemptively(
        Duration.ofSeconds(60),
        () -> {
          int read = 0;
          for (int seed = 0; seed < 1500; seed++) {
            byte[] bytes = spoiled(sound, new SplittableRandom(seed));
            try {
              List<CaptionList.Cue> cues =
                  CaptionFiles.read(bytes, "film." + format.ending(), FrameBox.HD)
                      .captions()
                      .cues();
              read++;
              assertThat(cues)
                  .as("seed %d", seed)
                  .isNotEmpty()
                  .allMatch(cue -> cue.in().isBefore(cue.out()) && !cue.in().isBefore(Time.ZERO));
            } catch (CaptionException told) {
              assertThat(told).as("seed %d", seed).message().isNotBlank();
            }
          }
          // XML is refused whole
          int least = format == CaptionFiles.Format.TTML ? 50 : 400;
          assertThat(read).as("what is spoiled a little is still read").isGreaterThan(least);
        });
  }
}
