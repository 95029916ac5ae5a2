package dynamorph.formats.versions;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import dynamorph.formats.versions.Versions.Version;
import dynamorph.model.Asset;
import dynamorph.model.Project;
import dynamorph.model.random.RandomProjects;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class VersionsTest {
  private static final Instant NOON = Instant.parse("2026-03-01T12:00:00Z");

  @TempDir private Path folder;

  /** Long after what is written: then nobody is about to list an asset. */
  private final Instant now = Instant.now().plus(Duration.ofDays(3));

  private Path file(String name) throws IOException {
    Path file = folder.resolve(name);
    return Files.exists(file) ? file : Files.writeString(file, "");
  }

  private Versions versions() {
    return new Versions(folder.resolve("versions"), () -> now);
  }

  private static Project project(int number) {
    return new RandomProjects(number).project().withName("State " + number);
  }

  private static List<String> names(List<Version> versions) {
    return versions.stream().map(version -> version.project().name()).toList();
  }

  @Test
  void theLastTwentyAreKeptByEveryProcess() throws IOException {
    Path hour = file("hour.dmorph");
    List<Project> saved = new ArrayList<>();
    for (int state = 0; state < 47; state++) {
      saved.add(project(state));
      versions().keep(hour, saved.getLast(), NOON.plusSeconds(state));
      List<Version> kept = versions().of(hour);
      int first = Math.max(0, state + 1 - Versions.MOST);
      assertThat(kept).extracting(Version::project).isEqualTo(saved.subList(first, state + 1));
      assertThat(kept.getLast().time()).isEqualTo(NOON.plusSeconds(state));
    }
    assertThat(versions().of(file("other.dmorph"))).isEmpty();
  }

  @Test
  void whatWasSavedTwiceIsOne() throws IOException {
    Path hour = file("hour.dmorph");
    versions().keep(hour, project(1), NOON);
    versions().keep(hour, project(1), NOON.plusSeconds(9));
    assertThat(versions().of(hour)).hasSize(1);
    versions().keep(hour, project(2), NOON.plusSeconds(10));
    versions().keep(hour, project(1), NOON.plusSeconds(11));
    assertThat(names(versions().of(hour))).containsExactly("State 1", "State 2", "State 1");
  }

  @Test
  void aFileIsTheSameByEveryName() throws IOException {
    Path hour = file("hour.dmorph");
    versions().keep(hour, project(1), NOON);
    Path link = Files.createSymbolicLink(folder.resolve("link.dmorph"), hour);
    assertThat(versions().of(link)).hasSize(1);
    assertThat(versions().of(folder.resolve("versions/../hour.dmorph"))).hasSize(1);
  }

  /** Wherever the log is cut or spoiled, what lies before is there, and it goes on from there. */
  @Test
  void whatIsDamagedCostsOnlyWhatComesAfter() throws IOException {
    Path hour = file("hour.dmorph");
    for (int state = 0; state < 4; state++) {
      versions().keep(hour, project(state), NOON);
    }
    Path log = log();
    byte[] whole = Files.readAllBytes(log);
    for (int length = 0; length < whole.length; length += Math.max(1, whole.length / 40)) {
      Files.write(log, java.util.Arrays.copyOf(whole, length));
      List<String> left = names(versions().of(hour));
      List<String> all = List.of("State 0", "State 1", "State 2", "State 3");
      assertThat(left).isEqualTo(all.subList(0, left.size()));
      versions().keep(hour, project(9), NOON);
      List<String> after = new ArrayList<>(left);
      after.add("State 9");
      assertThat(names(versions().of(hour))).isEqualTo(after);
    }
    Files.write(log, whole);
    try (RandomAccessFile spoiling = new RandomAccessFile(log.toFile(), "rw")) {
      spoiling.seek(whole.length - 3);
      spoiling.write(0x55);
    }
    assertThat(names(versions().of(hour))).containsExactly("State 0", "State 1", "State 2");
  }

  private Path log() throws IOException {
    try (Stream<Path> all = Files.walk(folder.resolve("versions"))) {
      return all.filter(path -> path.endsWith("log")).findFirst().orElseThrow();
    }
  }

  @Test
  void theOldestGoWhereThereIsNoRoom() throws IOException {
    Path hour = file("hour.dmorph");
    Versions small = new Versions(folder.resolve("versions"), () -> now, 20_000);
    for (int state = 0; state < 30; state++) {
      small.keep(hour, project(state), NOON);
    }
    assertThat(Files.size(log())).isLessThan(80_000);
    assertThat(names(small.of(hour))).endsWith("State 28", "State 29");
  }

  @Test
  void assetsAreKeptOnceAndGoWithTheLastThatNeedsThem() throws IOException {
    Asset bell = new Asset("fonts/Bell.ttf", new byte[50_000]);
    Path hour = file("hour.dmorph");
    Path copy = file("copy.dmorph");
    for (int state = 0; state < 3; state++) {
      versions().keep(hour, project(state).withAssets(List.of(bell)), NOON);
      versions().keep(copy, project(state).withAssets(List.of(bell)), NOON);
    }
    assertThat(versions().of(copy).getFirst().project().assets()).containsExactly(bell);
    versions().forget(hour);
    assertThat(versions().of(hour)).isEmpty();
    assertThat(assets()).isEqualTo(1);
    versions().forget(copy);
    assertThat(assets()).isZero();
    assertThatCode(() -> versions().forget(copy)).doesNotThrowAnyException();
  }

  /** An image that was replaced again and again lay there for ever. */
  @Test
  void assetsOfStatesThatAreGoneGo() throws IOException {
    Path hour = file("hour.dmorph");
    for (int state = 0; state < 70; state++) {
      Asset image = new Asset("images/map.png", new byte[] {(byte) state});
      versions().keep(hour, project(1).withAssets(List.of(image)), NOON.plusSeconds(state));
    }
    assertThat(assets()).as("of the states that are left, and the slack").isLessThanOrEqualTo(31);
    List<Version> kept = versions().of(hour);
    assertThat(kept).hasSize(Versions.MOST);
    for (int back = 0; back < Versions.MOST; back++) {
      assertThat(kept.get(Versions.MOST - 1 - back).project().assets().getFirst().bytes())
          .containsExactly(69 - back);
    }
  }

  private long assets() throws IOException {
    try (Stream<Path> all = Files.list(folder.resolve("versions/assets"))) {
      return all.count();
    }
  }
}
