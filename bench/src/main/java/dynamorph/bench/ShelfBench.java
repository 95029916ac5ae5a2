package dynamorph.bench;

import dynamorph.model.Project;
import dynamorph.model.edit.style.ChangeStyle;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.value.FontSize;
import dynamorph.shelf.Action;
import dynamorph.shelf.Change;
import dynamorph.shelf.Shelf;
import dynamorph.shelf.folder.ShelfFolder;
import dynamorph.shelf.follow.PutOnShelf;
import dynamorph.shelf.follow.Update;
import dynamorph.shelf.follow.Updates;
import dynamorph.shelf.projects.ProjectIndex;
import dynamorph.shelf.projects.ProjectUse;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.InstantSource;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.TearDown;
import org.openjdk.jmh.annotations.Warmup;

/** A shelf of 5,000 styles in 100 groups, and 200 projects that have some of them. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 3)
@Measurement(iterations = 4, time = 3)
@Fork(value = 1, jvmArgsAppend = "--enable-native-access=ALL-UNNAMED")
public class ShelfBench {
  private static final int STYLES = 5_000;
  private static final int GROUPS = 100;
  private static final int PROJECTS = 200;

  private Path folder = Path.of("");
  private ShelfFolder warm = at(folder);
  private Shelf shelf;
  private Project project = Project.empty("");
  private ProjectIndex index = new ProjectIndex(folder);
  private int count;

  private static ShelfFolder at(Path folder) {
    return new ShelfFolder(folder, "bench", InstantSource.system(), new SplittableRandom(1));
  }

  /** Puts everything there once. */
  @Setup
  public void fill() throws IOException {
    folder = Files.createTempDirectory("shelf-bench");
    warm = at(folder.resolve("shelf"));
    List<Style> styles = new ArrayList<>();
    for (int number = 0; number < STYLES; number++) {
      styles.add(
          Style.text("s" + number, "Look " + number, "Group " + number % GROUPS)
              .withProperties(
                  PropertySet.EMPTY
                      .with(Properties.SIZE, FontSize.points(8 + number % 60))
                      .with(Properties.TRACKING, (double) (number % 20))
                      .with(Properties.FONT_FAMILY, "EB Garamond"))
              .withNote("made for the bench, number " + number));
    }
    Project all = Project.empty("All").withStyles(StyleBook.of(styles));
    Shelf before = warm.read();
    PutOnShelf put =
        PutOnShelf.of(
            all, before, styles.stream().map(Style::id).toList(), new SplittableRandom(2));
    shelf = warm.apply(put.change(), before).shelf();
    project = put.linked(shelf).applyTo(all);
    index = new ProjectIndex(folder.resolve("projects.json"));
    for (int number = 0; number < PROJECTS; number++) {
      int from = number * 20;
      Project some =
          Project.empty("Project " + number)
              .withStyles(StyleBook.of(project.styles().list().subList(from, from + 100)));
      index.remember(
          ProjectUse.of(folder.resolve("project-" + number + ".dmorph"), some, Instant.EPOCH));
    }
  }

  /** Takes it all away. */
  @TearDown
  public void clear() throws IOException {
    try (Stream<Path> files = Files.walk(folder)) {
      for (Path file : files.sorted((one, other) -> other.compareTo(one)).toList()) {
        Files.delete(file);
      }
    }
  }

  /** Read for the first time by a process that has read others before. */
  @Benchmark
  public Shelf openAnew() throws IOException {
    return at(folder.resolve("shelf")).read();
  }

  /** Read again while nothing changed. */
  @Benchmark
  public Shelf readAgain() throws IOException {
    return warm.read();
  }

  /** What typing a letter into the filter looks through. */
  @Benchmark
  public long search() {
    String wanted = "number " + count++ % 10;
    return shelf.styles().stream()
        .filter(one ->
            (one.name() + " " + one.style().group() + " " + one.style().note())
                .toLowerCase(Locale.ROOT)
                .contains(wanted))
        .count();
  }

  /** A project with everything compared with the shelf. */
  @Benchmark
  public List<Update> compare() {
    return Updates.of(project, shelf);
  }

  /** Where a style is used, over all projects. */
  @Benchmark
  public List<ProjectUse> whereUsed() {
    return index.using(shelf.id(), shelf.styles().get(500).id());
  }

  /** One style renamed on the full shelf. */
  @Benchmark
  public Optional<Action> change() throws IOException {
    Shelf seen = warm.read();
    StyleId id = seen.styles().get(count++ % STYLES).style().id();
    Style style = seen.asProject().styles().get(id);
    return warm.apply(
            Change.of(seen, Action.Kind.RENAME, new ChangeStyle(style.withName("Look r" + count))),
            seen)
        .action();
  }
}
