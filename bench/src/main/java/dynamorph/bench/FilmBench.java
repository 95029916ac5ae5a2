package dynamorph.bench;

import dynamorph.demo.LongHour;
import dynamorph.formats.captions.CaptionException;
import dynamorph.formats.captions.CaptionFiles;
import dynamorph.formats.captions.FrameBox;
import dynamorph.model.Artboard;
import dynamorph.model.Project;
import dynamorph.model.edit.style.ChangeStyle;
import dynamorph.model.property.Properties;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Rgba;
import dynamorph.paint.Pixels;
import dynamorph.paint.film.FootagePainter;
import dynamorph.paint.film.MediaSource;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.paint.stage.StageRenderer;
import dynamorph.paint.stage.View;
import dynamorph.typeset.caption.CueChecks;
import dynamorph.typeset.caption.CueList;
import dynamorph.typeset.caption.CueProblem;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Typesetter;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.SplittableRandom;
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
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.TearDown;
import org.openjdk.jmh.annotations.Warmup;

/**
 * The film of the demo at 1920 by 1080 pixels: its frames one after the other, frames at random, an
 * edit of the style of 2,000 cues, and captions of 10,000 cues.
 */
@State(org.openjdk.jmh.annotations.Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 4, time = 3)
@Fork(1)
public class FilmBench {
  private static final int CUES = 2000;
  private static final View FULL = new View(1920, 1080, 1, 0, 0);

  private final SplittableRandom random = new SplittableRandom(3);
  private ExecutorService helpers;
  private SceneMaker maker;
  private StageRenderer renderer;
  private Project project;
  private Scene scene;
  private Project many;
  private Scene manyScene;
  private StageRenderer manyRenderer;
  private Pixels target;
  private long frame;
  private boolean large;
  private byte[] subtitles;

  @Setup(Level.Trial)
  public void open() {
    helpers = Executors.newFixedThreadPool(1);
    maker = new SceneMaker(new Typesetter(FontLibrary.shipped()), new LayerPainter());
    renderer = renderer();
    manyRenderer = renderer();
    project = LongHour.project();
    scene = maker.make(project);
    target = Pixels.blank(1920, 1080);
    many = ManyCues.in(project, CUES);
    manyScene = maker.make(many);
    manyScene.setRest(() -> false);
    subtitles = subtitles();
  }

  private StageRenderer renderer() {
    StageRenderer made = new StageRenderer(maker.painter(), helpers, 1);
    made.setFootage(new FootagePainter(MediaSource.NONE));
    return made;
  }

  private static byte[] subtitles() {
    StringBuilder text = new StringBuilder();
    for (int index = 0; index < 10_000; index++) {
      Time in = Time.ofMillis(index * 3000L);
      text.append(index + 1)
          .append('\n')
          .append(in.toString().replace('.', ','))
          .append(" --> ")
          .append(in.plus(Time.ofMillis(2500)).toString().replace('.', ','))
          .append("\nSomeone had filed a little away,\nevery year, <i>they say</i>.\n\n");
    }
    return text.toString().getBytes(StandardCharsets.UTF_8);
  }

  private boolean show(Scene shown, StageRenderer with, Time at) {
    Scene.Sight sight =
        new Scene.Sight.Film(shown.project().films().findFirst().orElseThrow().id(), at);
    return with.render(shown.in(sight), FULL, Rgba.BLACK, target, () -> false);
  }

  /** The next frame of the film while it plays. */
  @Benchmark
  public boolean nextFrame() {
    frame = (frame + 1) % 1800;
    return show(scene, renderer, FrameRate.PAL.at(frame));
  }

  /** Any frame of the film, as when the ruler is dragged over. */
  @Benchmark
  public boolean anyFrame() {
    return show(scene, renderer, FrameRate.PAL.at(random.nextInt(1800)));
  }

  /** The style of 2,000 cues is edited, up to the frame that shows it. */
  @Benchmark
  public boolean styleOfManyCues() {
    large = !large;
    Style style = many.styles().get(new StyleId("caption"));
    many =
        new ChangeStyle(
                style.withProperties(
                    style.properties().with(Properties.SIZE, FontSize.points(large ? 56 : 50))))
            .applyTo(many);
    manyScene = maker.make(many, manyScene);
    return show(manyScene, manyRenderer, Time.ofMillis(30_500));
  }

  /** What words and times of 2,000 cues tell is counted. */
  @Benchmark
  public List<CueProblem> problemsOfManyCues() {
    Artboard film = many.films().findFirst().orElseThrow();
    return CueChecks.of(
        CueList.of(film, film.timeline().orElseThrow().captions().findFirst().orElseThrow()));
  }

  /** Captions of 10,000 cues are read. */
  @Benchmark
  public CaptionFiles.Read manySubtitles() throws CaptionException {
    return CaptionFiles.read(subtitles, "many.srt", FrameBox.HD);
  }

  @TearDown(Level.Trial)
  public void close() {
    renderer.close();
    manyRenderer.close();
    helpers.shutdown();
  }
}
