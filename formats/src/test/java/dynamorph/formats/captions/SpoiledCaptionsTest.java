package dynamorph.formats.captions;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.edit.importing.CaptionList;
import dynamorph.model.timeline.Time;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Assertions;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Files that are spoiled at random are read as far as they go, or refused with a reason. */
class SpoiledCaptionsTest {
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
    byte[] sound = CaptionSamples.bytes(format);
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
          // XML is refused whole; a byte too many moves all blocks behind it
          int least =
              switch (format) {
                case TTML -> 50;
                case EBU_STL -> 250;
                default -> 400;
              };
          assertThat(read).as("what is spoiled a little is still read").isGreaterThan(least);
        });
  }
}
