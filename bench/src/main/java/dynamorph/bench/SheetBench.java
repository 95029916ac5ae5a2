package dynamorph.bench;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.sheet.Sheet;
import dynamorph.model.sheet.view.Column;
import dynamorph.model.sheet.view.Grouping;
import dynamorph.model.sheet.view.SheetOrder;
import dynamorph.model.value.FontSize;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.pcollections.TreePVector;

/**
 * A hundred thousand texts in 300 looks on a thousand artboards, listed once and then otherwise.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 3)
@Measurement(iterations = 4, time = 3)
@Fork(1)
public class SheetBench {
  private static final int BOARDS = 1_000;
  private static final int ON_BOARD = 100;
  private static final int LOOKS = 300;
  private static final SheetOrder FLAT = SheetOrder.USUAL.withGrouping(Grouping.NONE);

  private Project project;
  private Optional<Sheet> listed;

  @Setup
  public void make() {
    SplittableRandom random = new SplittableRandom(1);
    List<PropertySet> looks = new ArrayList<>();
    for (int index = 0; index < LOOKS; index++) {
      looks.add(
          PropertySet.EMPTY
              .with(Properties.FONT_FAMILY, index % 2 == 0 ? "EB Garamond" : "Caveat")
              .with(Properties.FONT_WEIGHT, index % 8 < 4 ? 400.0 : 700.0)
              .with(Properties.SIZE, FontSize.points(8 + index / 8 % 20)));
    }
    project = Project.empty("Mess");
    for (int board = 0; board < BOARDS; board++) {
      List<Layer> layers = new ArrayList<>();
      for (int index = 0; index < ON_BOARD; index++) {
        int number = board * ON_BOARD + index;
        layers.add(
            Layer.of("t" + number, "Text " + number, "Winding day " + number)
                .withLocal(looks.get(random.nextInt(LOOKS))));
      }
      project =
          project.plus(
              Artboard.empty("b" + board, "Board " + board, 2000, 2000, LengthUnit.PIXEL)
                  .withLayers(TreePVector.from(layers)));
    }
    listed = Optional.of(Sheet.of(project, SheetOrder.USUAL));
  }

  private int list(SheetOrder order) {
    return Sheet.of(project, order, listed).groups().size();
  }

  /** From nothing, by style. */
  @Benchmark
  public int fromNothing() {
    return Sheet.of(project, SheetOrder.USUAL).groups().size();
  }

  @Benchmark
  public int bySize() {
    return list(FLAT.sortedBy(new Column.Value(Properties.SIZE.key())));
  }

  /** No two of them are alike. */
  @Benchmark
  public int byWords() {
    return list(FLAT.sortedBy(Column.Fact.WORDS));
  }

  @Benchmark
  public int groupedByLook() {
    return list(SheetOrder.USUAL.withGrouping(Grouping.LOOK));
  }

  @Benchmark
  public int withWords() {
    return list(FLAT.withQuery("day 77"));
  }

  @Benchmark
  public int withValues() {
    return list(FLAT.withQuery("size>20 && font=Caveat && tracking<1"));
  }
}
