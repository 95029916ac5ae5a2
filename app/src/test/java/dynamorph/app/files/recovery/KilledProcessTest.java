package dynamorph.app.files.recovery;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.demo.LongHour;
import dynamorph.formats.journal.Journals;
import dynamorph.formats.journal.Left;
import dynamorph.model.edit.History;
import dynamorph.model.property.Properties;
import java.io.BufferedReader;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.InstantSource;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Processes that are killed at any moment: what they did until just before is there, whole, with
 * every step. {@code -Dkilled.rounds=1000} for a long run.
 */
class KilledProcessTest {
  private static final int ROUNDS = Integer.getInteger("killed.rounds", 2);

  /**
   * What may be missing, in nanoseconds: a second, and another for a machine that runs other tests
   * as well.
   */
  private static final long LATE = 2_000_000_000;

  @TempDir Path folder;

  @Test
  void atMostTheLastMomentIsMissing() throws Exception {
    Random random = new Random(ROUNDS);
    for (int round = 0; round < ROUNDS; round++) {
      Path journals = Files.createDirectory(folder.resolve("round-" + round));
      // TERM ends in order: the shutdown of the process writes what is missing
      boolean inOrder = round % 2 == 1;
      check(journals, 1_500 + random.nextInt(1_500), inOrder, random.nextBoolean() ? 1 : 40);
    }
  }

  private void check(Path journals, int millis, boolean inOrder, int pause) throws Exception {
    Process process = start(journals, String.valueOf(pause));
    TreeMap<Long, Integer> told = new TreeMap<>();
    int last;
    try (BufferedReader reader = process.inputReader()) {
      last = read(reader, told);
      long end = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(millis);
      while (System.nanoTime() < end) {
        last = read(reader, told);
      }
      // through its handle, since the process itself closes what it has said
      if (inOrder) {
        process.toHandle().destroy();
      } else {
        process.toHandle().destroyForcibly();
      }
      long killed = System.nanoTime();
      for (String line = reader.readLine(); line != null; line = reader.readLine()) {
        last = Integer.parseInt(line);
      }
      assertThat(process.waitFor(20, TimeUnit.SECONDS)).isTrue();
      // what it did a while before it ended; that is nothing if it hardly ran
      Map.Entry<Long, Integer> due = told.floorEntry(inOrder ? killed : killed - LATE);
      int least = due == null ? 0 : due.getValue();
      assertWhole(journals, least, last + 1);
    }
  }

  private static int read(BufferedReader reader, Map<Long, Integer> told) throws IOException {
    int step = Integer.parseInt(reader.readLine());
    told.put(System.nanoTime(), step);
    return step;
  }

  private static Process start(Path journals, String... arguments) throws IOException {
    List<String> command = new ArrayList<>();
    command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
    command.add("-XX:TieredStopAtLevel=1");
    command.add("-cp");
    command.add(System.getProperty("java.class.path"));
    command.add(WorkingProcess.class.getName());
    command.add(journals.toString());
    command.addAll(List.of(arguments));
    return new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.INHERIT).start();
  }

  private static void assertWhole(Path journals, int least, int most) {
    List<Left> left = new Journals(journals, InstantSource.system()).left();
    if (least == 0 && left.isEmpty()) {
      return;
    }
    assertThat(left).hasSize(1);
    History history = left.getFirst().moment().history();
    int steps = history.past().size();
    assertThat(steps).isBetween(least, most);
    for (; steps > 0; steps--, history = history.undo()) {
      assertThat(
              history
                  .present()
                  .layer(WorkingProcess.LAYER)
                  .orElseThrow()
                  .local()
                  .get(Properties.TRACKING.key()))
          .contains((double) steps);
    }
    assertThat(history.present()).isEqualTo(LongHour.project());
  }

  /** A process that has looked for work itself has its own journal still. */
  @Test
  void whatAProcessIsWorkingOnIsNotOffered() throws Exception {
    Process process = start(folder, "30");
    try (BufferedReader reader = process.inputReader()) {
      while (Integer.parseInt(reader.readLine()) < 40 || !isAnythingNoted()) {
        // until it has looked, and a while longer
      }
      assertThat(new Journals(folder, InstantSource.system()).left()).isEmpty();
    } finally {
      process.destroyForcibly();
    }
    assertThat(process.waitFor(20, TimeUnit.SECONDS)).isTrue();
    assertThat(new Journals(folder, InstantSource.system()).left()).hasSize(1);
  }

  /** A busy machine writes later. */
  private boolean isAnythingNoted() throws IOException {
    try (Stream<Path> files = Files.walk(folder)) {
      return files.anyMatch(file -> Files.isRegularFile(file) && file.toFile().length() > 1_000);
    }
  }

  @Test
  void whatWasSettledIsNotOffered() throws Exception {
    Process process = start(folder, "30", "20");
    assertThat(process.inputReader().readAllAsString()).startsWith("1\n").endsWith("20\n");
    assertThat(process.waitFor(20, TimeUnit.SECONDS)).isTrue();
    assertThat(new Journals(folder, InstantSource.system()).left()).isEmpty();
  }
}
