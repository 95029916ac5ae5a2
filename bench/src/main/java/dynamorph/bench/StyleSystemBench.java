package dynamorph.bench;

import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Population;
import dynamorph.model.cascade.SharedLook;
import dynamorph.model.edit.History;
import dynamorph.model.edit.style.ChangeStyle;
import dynamorph.model.reach.Followers;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Level;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.openjdk.jmh.infra.Blackhole;

/** The style system on 100,000 texts and 500 styles; see {@link StyleSystem}. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 10, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(
    value = 1,
    jvmArgsAppend = {"-Xms3g", "-Xmx3g"})
public class StyleSystemBench {
  private Project project;
  private Cascade cascade;
  private Population population;
  private Followers followers;
  private History history;
  private boolean large;

  @Setup(Level.Trial)
  public void open() {
    project = StyleSystem.project();
    cascade = Cascade.of(project);
    project.layers().forEach(cascade::resolve);
    followers = Followers.of(project);
    population = Population.of(project);
    history = History.opened(project).apply(edit());
  }

  private ChangeStyle edit() {
    large = !large;
    return new ChangeStyle(StyleSystem.changed(project, large));
  }

  /**
   * The base style changes; then every combination of sources is resolved once, and every text has
   * the look of its combination.
   */
  @Benchmark
  public void editToAllResolved(Blackhole hole) {
    project = edit().applyTo(project);
    cascade = cascade.follow(project);
    population = population.follow(project);
    List<SharedLook> looks = population.resolve(cascade);
    for (var board : project.artboards()) {
      for (int combination : population.on(board)) {
        hole.consume(looks.get(combination));
      }
    }
  }

  /** The same, asking for each text by itself, with its place. */
  @Benchmark
  public void editToEachResolved(Blackhole hole) {
    project = edit().applyTo(project);
    cascade = cascade.follow(project);
    for (var board : project.artboards()) {
      for (Layer layer : board.layers()) {
        hole.consume(cascade.resolve(layer));
      }
    }
  }

  /** The counts of all 500 styles for a project that is seen for the first time. */
  @Benchmark
  public int reachCountsOfUnknownProject() {
    return counts(Followers.of(project));
  }

  /** The same after an edit of the base style. */
  @Benchmark
  public int reachCountsAfterAnEdit() {
    project = edit().applyTo(project);
    followers = followers.follow(project);
    return counts(followers);
  }

  private int counts(Followers counted) {
    int sum = 0;
    for (var style : project.styles().list()) {
      sum += counted.count(style.id()).all();
    }
    return sum;
  }

  /** An edit of the base style is taken back and done again. */
  @Benchmark
  public History undoAndRedo() {
    history = history.undo().redo();
    return history;
  }
}
