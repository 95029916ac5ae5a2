package dynamorph.bench;

import dynamorph.model.Project;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.layer.MoveLayers;
import dynamorph.model.edit.style.ChangeStyle;
import dynamorph.model.reach.Followers;
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
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.TearDown;
import org.openjdk.jmh.annotations.Warmup;

/** What an edit costs from the edit to the finished frame, all followers in view, at 1280 × 800. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(value = 1, jvmArgsAppend = "--enable-native-access=ALL-UNNAMED")
public class StyleEditBench {
  private static final View VIEW = new View(1280, 800, 1, 10, 0);
  private static final Rgba SURROUND = Rgba.of(218, 214, 205);

  @Param({"100", "1000"})
  public int followers;

  private FontLibrary fonts;
  private SceneMaker maker;
  private ExecutorService helpers;
  private StageRenderer renderer;
  private Pixels pixels;
  private Project project;
  private Scene scene;
  private boolean heavy;

  /** A window that shows the project. */
  @Setup(Level.Trial)
  public void open() {
    fonts = FontLibrary.shipped();
    maker = new SceneMaker(new Typesetter(fonts), new LayerPainter());
    helpers = Executors.newFixedThreadPool(1);
    renderer = new StageRenderer(maker.painter(), helpers, 1);
    pixels = Pixels.blank(VIEW.width(), VIEW.height());
    project = ManyLayers.project(followers);
    scene = maker.make(project);
    render();
  }

  @TearDown(Level.Trial)
  public void close() {
    renderer.close();
    helpers.shutdown();
    fonts.close();
  }

  private boolean render() {
    return renderer.render(scene, VIEW, SURROUND, pixels, () -> false);
  }

  /** Font, weight, colour and stroke of a style together. */
  @Benchmark
  public boolean styleEditToFrame() {
    heavy = !heavy;
    project = new ChangeStyle(ManyLayers.look(project, heavy)).applyTo(project);
    scene = maker.make(project, scene);
    return render();
  }

  /** The same without painting: the edit, the cascade and the layouts. */
  @Benchmark
  public Scene styleEditToScene() {
    heavy = !heavy;
    project = new ChangeStyle(ManyLayers.look(project, heavy)).applyTo(project);
    scene = maker.make(project, scene);
    return scene;
  }

  /** One text moved by a point. */
  @Benchmark
  public boolean moveToFrame() {
    heavy = !heavy;
    project = new MoveLayers(Target.Layers.of("t7"), heavy ? 1 : -1, 0).applyTo(project);
    scene = maker.make(project, scene);
    return render();
  }

  /** Nothing changed: only copying. */
  @Benchmark
  public boolean sameFrameAgain() {
    return render();
  }

  /** Who follows the style. */
  @Benchmark
  public int countFollowers() {
    return Followers.of(project).of(project.styles().list().getFirst().id()).size();
  }
}
