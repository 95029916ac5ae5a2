package dynamorph.bench;

import dynamorph.model.Artboard;
import dynamorph.model.Asset;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.layer.MoveLayers;
import dynamorph.model.edit.layer.SetValues;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.Colour;
import dynamorph.model.value.Rgba;
import dynamorph.paint.Pixels;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.paint.stage.StageRenderer;
import dynamorph.paint.stage.View;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Typesetter;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
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

/**
 * A riveted title at 160 pt on 1280 × 800: a solid shadow, a fill with an inner glow, three offset
 * strokes, and round dots with an inner and two outer glows; from the edit to the finished frame.
 * {@code -Ddynamorph.bench.font=FILE} sets it in another font.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 6, time = 2)
@Fork(value = 1, jvmArgsAppend = "--enable-native-access=ALL-UNNAMED")
public class FinishBench {
  private static final View VIEW = new View(1280, 800, 1, 0, 0);
  private static final Rgba SURROUND = Rgba.of(218, 214, 205);

  /** The finish, as paths and values. */
  static final Map<String, String> RIVETED = riveted();

  @Param({
    "finish/dots/glow/opacity",
    "finish/dots/far/blur",
    "finish/rim/width",
    "finish/fill/colour"
  })
  public String nudged;

  private FontLibrary fonts;
  private Typesetter typesetter;
  private ExecutorService helpers;
  private StageRenderer renderer;
  private LayerPainter painter;
  private Pixels pixels;
  private Project project;
  private Scene scene;
  private int turn;

  private static Map<String, String> riveted() {
    Map<String, String> look = new TreeMap<>();
    look.put("size", "160 pt");
    look.put("finish/shadow/kind", "fill");
    look.put("finish/shadow/order", "-1");
    look.put("finish/shadow/colour", "#c9bfa8");
    look.put("finish/shadow/translate-x", "16 pt");
    look.put("finish/shadow/translate-y", "16 pt");
    look.put("finish/fill/colour", "#1f4d3a");
    look.put("finish/fill/deep/kind", "inner-glow");
    look.put("finish/fill/deep/colour", "#000000");
    look.put("finish/fill/deep/opacity", "0.75");
    look.put("finish/fill/deep/blur", "8 pt");
    stroke(look, "rim", 1, 4, 6, "#8c4a2f");
    stroke(look, "near", 2, 1, 1, "#d9906a");
    stroke(look, "far", 3, 7, 1, "#d9906a");
    stroke(look, "dots", 4, 4, 4, "#ffffff");
    look.put("finish/dots/cap", "round");
    look.put("finish/dots/dashes", "0 pt, 12 pt");
    look.put("finish/dots/dash-fit", "contour");
    look.put("finish/dots/shine/kind", "inner-glow");
    look.put("finish/dots/shine/colour", "#ffe9c4");
    look.put("finish/dots/shine/blur", "2 pt");
    look.put("finish/dots/glow/kind", "outer-glow");
    look.put("finish/dots/glow/colour", "#ffd9a0");
    look.put("finish/dots/glow/opacity", "1");
    look.put("finish/dots/glow/blur", "10 pt");
    look.put("finish/dots/far/kind", "outer-glow");
    look.put("finish/dots/far/order", "-1");
    look.put("finish/dots/far/colour", "#ffb347");
    look.put("finish/dots/far/opacity", "0.5");
    look.put("finish/dots/far/blur", "20 pt");
    return look;
  }

  private static void stroke(
      Map<String, String> look, String coat, int order, int offset, int width, String colour) {
    look.put("finish/" + coat + "/kind", "stroke");
    look.put("finish/" + coat + "/order", String.valueOf(order));
    look.put("finish/" + coat + "/offset", offset + " pt");
    look.put("finish/" + coat + "/width", width + " pt");
    look.put("finish/" + coat + "/join", "round");
    look.put("finish/" + coat + "/colour", colour);
  }

  /** A layer in the finish. */
  static Layer layer(String id, double x, double y, PropertySet over) {
    PropertySet look = PropertySet.EMPTY.with(Properties.FONT_FAMILY, "Anton");
    for (Map.Entry<String, String> value : RIVETED.entrySet()) {
      look = look.withText(Properties.key(value.getKey()), value.getValue());
    }
    PropertySet frame =
        PropertySet.EMPTY.with(Properties.POSITION_X, x).with(Properties.POSITION_Y, y);
    return Layer.of(id, id, "HARBOUR").withFrame(frame).withLocal(look.overlaidBy(over));
  }

  /** A window that shows the title. */
  @Setup(Level.Trial)
  public void open() {
    String file = System.getProperty("dynamorph.bench.font", "");
    PropertySet face = PropertySet.EMPTY;
    if (file.isEmpty()) {
      fonts = FontLibrary.shipped();
    } else {
      Asset asset = asset(Path.of(file));
      var own = FontLibrary.wishFor(asset.name(), asset.bytes());
      face =
          face.with(Properties.FONT_FAMILY, own.family())
              .with(Properties.FONT_WEIGHT, own.weight());
      fonts = FontLibrary.forProject(List.of(asset));
    }
    typesetter = new Typesetter(fonts);
    helpers = Executors.newFixedThreadPool(1);
    pixels = Pixels.blank(VIEW.width(), VIEW.height());
    project =
        Project.empty("Bench")
            .plus(
                Artboard.empty("a", "A", 1280, 800, LengthUnit.PIXEL)
                    .withBackground(Colour.hex("#efe9dc"))
                    .plus(layer("title", 120, 150, face)));
    begin();
  }

  private static Asset asset(Path file) {
    try {
      return new Asset("fonts/" + file.getFileName(), Files.readAllBytes(file));
    } catch (IOException unreadable) {
      throw new UncheckedIOException(unreadable);
    }
  }

  private void begin() {
    if (renderer != null) {
      renderer.close();
    }
    painter = new LayerPainter();
    renderer = new StageRenderer(painter, helpers, 1);
    scene = maker().make(project);
    render();
  }

  private SceneMaker maker() {
    return new SceneMaker(typesetter, painter);
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

  /** The title where it stands. */
  PlacedLayer placed() {
    return scene.boards().getFirst().texts().getFirst();
  }

  /** What was drawn last. */
  Pixels drawn() {
    return pixels;
  }

  /** Nothing of the finish is known; the words are set. */
  @Benchmark
  public boolean first() {
    begin();
    return true;
  }

  /** One value a little up and down. */
  @Benchmark
  public boolean nudge() {
    turn = (turn + 1) % 64;
    String value =
        switch (nudged) {
          case "finish/dots/glow/opacity" -> String.valueOf(1 - turn / 200.0);
          case "finish/dots/far/blur" -> 20 + turn / 8.0 + " pt";
          case "finish/rim/width" -> 6 + turn / 16.0 + " pt";
          default -> new Rgba(0xFF1F4D3A + (turn << 16)).toString();
        };
    PropertySet change = PropertySet.EMPTY.withText(Properties.key(nudged), value);
    project = SetValues.of(target(), change).applyTo(project);
    scene = maker().make(project, scene);
    return render();
  }

  private static Target.Layers target() {
    return new Target.Layers(List.of(new dynamorph.model.LayerId("title")));
  }

  /** The title by a pixel. */
  @Benchmark
  public boolean move() {
    turn = (turn + 1) % 2;
    project = new MoveLayers(target(), turn == 0 ? -1 : 1, 0).applyTo(project);
    scene = maker().make(project, scene);
    return render();
  }
}
