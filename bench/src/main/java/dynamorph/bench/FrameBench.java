package dynamorph.bench;

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
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Level;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.TearDown;
import org.openjdk.jmh.annotations.Warmup;

/** What benchmarks of finished frames have in common: the shipped fonts and a stage's renderer. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(value = 1, jvmArgsAppend = "--enable-native-access=ALL-UNNAMED")
public abstract class FrameBench {
  private static final Rgba SURROUND = Rgba.of(218, 214, 205);

  private final FontLibrary fonts = FontLibrary.shipped();
  private final ExecutorService helpers = Executors.newFixedThreadPool(1);
  final SceneMaker maker = new SceneMaker(new Typesetter(fonts), new LayerPainter());
  private final StageRenderer renderer = new StageRenderer(maker.painter(), helpers, 1);
  private Pixels pixels = Pixels.blank(1, 1);

  /** Paints a scene; returns whether it was finished. */
  final boolean render(Scene scene, View view) {
    if (pixels.width() != view.width() || pixels.height() != view.height()) {
      pixels = Pixels.blank(view.width(), view.height());
    }
    return renderer.render(scene, view, SURROUND, pixels, () -> false);
  }

  @TearDown(Level.Trial)
  public void close() {
    renderer.close();
    helpers.shutdown();
    fonts.close();
  }
}
