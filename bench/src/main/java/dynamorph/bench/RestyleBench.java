package dynamorph.bench;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.edit.style.ChangeStyle;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.Colour;
import dynamorph.model.value.EffectKind;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Length;
import dynamorph.model.value.StrokePosition;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.stage.View;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * Font size, colour, stroke and shadow of a style change together, from the edit to the first
 * correct frame at 1920 × 1080: so many texts of four words in five columns, of which 135 are in
 * sight, or all if there are but a hundred.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4, time = 3)
@Measurement(iterations = 5, time = 3)
@Fork(
    value = 1,
    jvmArgsAppend = {"--enable-native-access=ALL-UNNAMED", "-Xms2g", "-Xmx2g"})
public class RestyleBench extends FrameBench {
  private static final View VIEW = new View(1920, 1080, 1, 0, 0);
  private static final String[] WORDS =
      "harbour lantern river stone orbit velvet signal meadow copper winter".split(" ");
  private static final Address FILL = Address.coat("fill");
  private static final Address RIM = Address.coat("rim");

  @Param({"100", "1000", "10000"})
  public int texts;

  private Project project;
  private Scene scene;
  private boolean second;

  @Setup
  public void open() {
    project = project();
    scene = maker.make(project);
    render();
  }

  private boolean render() {
    return render(scene, VIEW);
  }

  private Project project() {
    Style style = Style.text("t", "Text", "").withProperties(values(false));
    double step = texts == 100 ? 108 : 40;
    List<Layer> layers = new ArrayList<>();
    for (int index = 0; index < texts; index++) {
      String words =
          WORDS[index % 10]
              + " "
              + WORDS[index / 10 % 10]
              + " "
              + WORDS[(index * 7 + 3) % 10]
              + " "
              + index;
      layers.add(
          Layer.of("t" + index, "T", words)
              .withFollows(List.of(style.id()))
              .withFrame(
                  PropertySet.EMPTY
                      .with(Properties.POSITION_X, 10.0 + index % 5 * 384)
                      .with(Properties.POSITION_Y, 10 + index / 5 * step)));
    }
    double height = Math.min(28_000, 40 + texts / 5 * step);
    return Project.empty("Restyle")
        .withStyles(StyleBook.of(List.of(style)))
        .plus(Artboard.empty("a", "A", 1920, height, LengthUnit.POINT).withLayers(layers));
  }

  private static PropertySet values(boolean second) {
    Address shadow = FILL.effect("shadow");
    return PropertySet.EMPTY
        .with(Properties.FONT_FAMILY, "Source Sans 3")
        .with(Properties.SIZE, FontSize.points(second ? 25 : 24))
        .with(Properties.COAT_COLOUR.at(FILL), Colour.hex(second ? "#602030" : "#203060"))
        .with(Properties.COAT_KIND.at(RIM), CoatKind.STROKE)
        .with(Properties.COAT_ORDER.at(RIM), 1.0)
        .with(Properties.COAT_COLOUR.at(RIM), Colour.hex(second ? "#ffd700" : "#ffffff"))
        .with(Properties.STROKE_POSITION.at(RIM), StrokePosition.CENTRE)
        .with(Properties.STROKE_WIDTH.at(RIM), Length.points(second ? 0.75 : 0.5))
        .with(Properties.EFFECT_KIND.at(shadow), EffectKind.DROP_SHADOW)
        .with(Properties.EFFECT_COLOUR.at(shadow), Colour.hex("#000000"))
        .with(Properties.SHADOW_X.at(shadow), Length.points(2))
        .with(Properties.SHADOW_Y.at(shadow), Length.points(second ? 3 : 2))
        .with(Properties.SHADOW_BLUR.at(shadow), Length.points(4));
  }

  /** From the edit to the pixels of the view. */
  @Benchmark
  public boolean editToFrame() {
    second = !second;
    Style style = project.styles().list().getFirst();
    project = new ChangeStyle(style.withProperties(values(second))).applyTo(project);
    scene = maker.make(project, scene);
    return render();
  }
}
