package dynamorph.bench;

import dynamorph.model.Artboard;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.Rgba;
import dynamorph.paint.Pixels;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.paint.stage.StageRenderer;
import dynamorph.paint.stage.View;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Typesetter;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
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
import org.openjdk.jmh.annotations.TearDown;
import org.openjdk.jmh.annotations.Warmup;

/** Two hundred layers in the riveted finish, all in view at 1280 × 800. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(value = 1, jvmArgsAppend = "--enable-native-access=ALL-UNNAMED")
public class FinishViewBench {
  private static final int ACROSS = 10;
  private static final int DOWN = 20;
  private static final Rgba SURROUND = Rgba.of(218, 214, 205);

  private FontLibrary fonts;
  private ExecutorService helpers;
  private StageRenderer renderer;
  private Pixels pixels;
  private Scene scene;
  private View view;
  private int turn;

  /** A window that shows them all. */
  @Setup(Level.Trial)
  public void open() {
    fonts = FontLibrary.shipped();
    SceneMaker maker = new SceneMaker(new Typesetter(fonts), new LayerPainter());
    helpers = Executors.newFixedThreadPool(1);
    renderer = new StageRenderer(maker.painter(), helpers, 1);
    Artboard board = Artboard.empty("a", "A", 8600, 5200, LengthUnit.PIXEL);
    for (int index = 0; index < ACROSS * DOWN; index++) {
      board =
          board.plus(
              FinishBench.layer(
                  "t" + index,
                  60 + index % ACROSS * 850,
                  20 + index / ACROSS * 255,
                  PropertySet.EMPTY));
    }
    scene = maker.make(Project.empty("Bench").plus(board));
    view = new View(1280, 800, 0.148, 4, 4);
    pixels = Pixels.blank(view.width(), view.height());
    render();
  }

  private boolean render() {
    return renderer.render(scene, view, SURROUND, pixels, () -> false);
  }

  @TearDown(Level.Trial)
  public void close() {
    renderer.close();
    helpers.shutdown();
    fonts.close();
  }

  /** The view by a few pixels. */
  @Benchmark
  public boolean pan() {
    turn = (turn + 1) % 2;
    view = view.panned(turn == 0 ? -3 : 3, 0);
    return render();
  }

  /** Another scale, until everything is sharp again. */
  @Benchmark
  public boolean zoom() {
    turn++;
    // never a scale that was there before
    view = new View(1280, 800, 0.13 + 0.018 * (turn * 0.618 % 1), 4, 4);
    return render();
  }
}
