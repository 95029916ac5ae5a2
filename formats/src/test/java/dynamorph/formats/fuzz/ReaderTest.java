package dynamorph.formats.fuzz;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URISyntaxException;
import java.net.URL;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * A short, fixed run of what {@code scripts/fuzz} does for as long as one likes: sound inputs,
 * spoiled at random, and those that once failed, which lie in the folder of the reader.
 */
@Timeout(60)
class ReaderTest {
  private static final int ROUNDS = Integer.getInteger("fuzz.rounds", 150);

  @ParameterizedTest
  @EnumSource
  void readsOrSaysWhy(Reader reader) throws IOException, URISyntaxException {
    for (byte[] found : found(reader)) {
      use(reader, found);
    }
    List<byte[]> seeds = reader.seeds();
    for (byte[] seed : seeds) {
      use(reader, seed);
    }
    Random random = new Random(reader.ordinal());
    for (int round = 0; round < ROUNDS; round++) {
      use(reader, spoiled(seeds.get(random.nextInt(seeds.size())), random));
    }
  }

  private static void use(Reader reader, byte[] input) {
    try {
      reader.read(input);
    } catch (IOException told) {
      assertThat(told.getMessage()).isNotBlank();
    } catch (RuntimeException | Error failed) {
      throw new AssertionError(
          new String(input, java.nio.charset.StandardCharsets.ISO_8859_1), failed);
    }
  }

  private static List<byte[]> found(Reader reader) throws IOException, URISyntaxException {
    URL folder =
        ReaderTest.class.getResource(reader.name().toLowerCase(Locale.ROOT).replace('_', '-'));
    List<byte[]> found = new ArrayList<>();
    if (folder != null) {
      try (Stream<Path> files = Files.list(Path.of(folder.toURI()))) {
        for (Path file : files.sorted().toList()) {
          found.add(Files.readAllBytes(file));
        }
      }
    }
    return found;
  }

  private static byte[] spoiled(byte[] seed, Random random) {
    byte[] spoiled = seed.clone();
    for (int change = random.nextInt(1, 6); change > 0 && spoiled.length > 1; change--) {
      int at = random.nextInt(spoiled.length);
      int length = random.nextInt(Math.min(40, spoiled.length - at));
      switch (random.nextInt(4)) {
        case 0 -> spoiled[at] = (byte) random.nextInt(256);
        case 1 ->
            Arrays.fill(
                spoiled, at, at + length, (byte) "<>{}[]\"'(),:;0-9e".charAt(random.nextInt(17)));
        case 2 -> {
          int from = random.nextInt(spoiled.length - length);
          System.arraycopy(spoiled, from, spoiled, at, length);
        }
        default -> {
          byte[] without = Arrays.copyOf(spoiled, spoiled.length - length);
          System.arraycopy(spoiled, at + length, without, at, Math.max(0, without.length - at));
          spoiled = without;
        }
      }
    }
    return spoiled;
  }
}
