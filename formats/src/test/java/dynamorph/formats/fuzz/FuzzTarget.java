package dynamorph.formats.fuzz;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;

/** What {@code scripts/fuzz} runs under Jazzer; the reader is named by {@code fuzz.reader}. */
public final class FuzzTarget {
  private static final Reader READER =
      Reader.valueOf(System.getProperty("fuzz.reader").toUpperCase(Locale.ROOT).replace('-', '_'));

  private FuzzTarget() {}

  /** Called by Jazzer; what is thrown is a find. */
  public static void fuzzerTestOneInput(byte[] input) {
    try {
      READER.read(input);
    } catch (IOException told) {
      if (told.getMessage() == null || told.getMessage().isBlank()) {
        throw new IllegalStateException("refused without a reason", told);
      }
    }
  }

  /** Writes the sound inputs of the reader into a folder. */
  public static void main(String[] arguments) throws IOException {
    Path folder = Files.createDirectories(Path.of(arguments[0]));
    List<byte[]> seeds = READER.seeds();
    for (int seed = 0; seed < seeds.size(); seed++) {
      Files.write(folder.resolve("seed-" + seed), seeds.get(seed));
    }
  }
}
