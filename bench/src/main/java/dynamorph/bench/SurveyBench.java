package dynamorph.bench;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.layer.SetValues;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.sheet.Sheet;
import dynamorph.model.sheet.view.Column;
import dynamorph.model.sheet.view.Grouping;
import dynamorph.model.sheet.view.SheetOrder;
import dynamorph.model.style.Swatch;
import dynamorph.model.survey.hidden.HiddenStyles;
import dynamorph.model.survey.hidden.Tolerance;
import dynamorph.model.survey.rule.RuleSet;
import dynamorph.model.text.TextRange;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Rgba;
import dynamorph.paint.film.MediaSource;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.paint.survey.Survey;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Typesetter;
import dynamorph.typeset.spelling.Speller;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.concurrent.CompletableFuture;
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
import org.pcollections.TreePVector;

/** A mess of 20,000 texts in 300 looks on 200 artboards, every third with a value a little off. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 4)
@Measurement(iterations = 4, time = 4)
@Fork(value = 1, jvmArgsAppend = "--enable-native-access=ALL-UNNAMED")
public class SurveyBench {
  private static final int BOARDS = 200;
  private static final int ON_BOARD = 100;
  private static final int LOOKS = 300;
  private static final List<String> FAMILIES =
      List.of("EB Garamond", "Source Sans 3", "Barlow Condensed", "Caveat");

  private FontLibrary fonts;
  private SceneMaker maker;
  private Scene scene;
  private Scene resized;
  private Scene reworded;
  private Scene shown;
  private Survey warm;
  private Thread rest = new Thread();

  @Setup
  public void make() {
    SplittableRandom random = new SplittableRandom(1);
    List<PropertySet> looks = new ArrayList<>();
    for (int index = 0; index < LOOKS; index++) {
      looks.add(
          PropertySet.EMPTY
              .with(Properties.FONT_FAMILY, FAMILIES.get(index % 4))
              .with(Properties.FONT_WEIGHT, index % 8 < 4 ? 400.0 : 700.0)
              .with(Properties.SIZE, FontSize.points(8 * Math.pow(1.12, index / 8 % 20)))
              .with(
                  Properties.COAT_COLOUR.at(Address.coat("fill")),
                  Colour.of(Rgba.of(20 + index / 160 * 90, 30, 40))));
    }
    Project project = Project.empty("Mess");
    for (int board = 0; board < BOARDS; board++) {
      List<Layer> layers = new ArrayList<>();
      for (int index = 0; index < ON_BOARD; index++) {
        layers.add(text(random, looks, board * ON_BOARD + index));
      }
      project =
          project.plus(
              Artboard.empty("b" + board, "Board " + board, 2000, 2000, LengthUnit.PIXEL)
                  .withLayers(TreePVector.from(layers)));
    }
    for (int grey = 0; grey < 12; grey++) {
      project =
          project.withPalette(
              project
                  .palette()
                  .with(new Swatch("s" + grey, "Grey " + grey, Rgba.of(20 * grey, 30, 40))));
    }
    fonts = FontLibrary.forProject(List.of());
    maker = new SceneMaker(new Typesetter(fonts), new LayerPainter());
    scene = maker.make(project);
    LayerId one = new LayerId("t77");
    resized =
        maker.make(
            SetValues.of(
                    new Target.Layers(List.of(one)), Properties.SIZE.key(), FontSize.points(31))
                .applyTo(project),
            scene);
    reworded =
        maker.make(
            project.mapLayers(
                Set.of(one),
                layer -> layer.withStory(layer.story().replace(new TextRange(0, 7), "Striking"))),
            scene);
    warm = new Survey(new Speller(), MediaSource.NONE);
    warm.of(scene, maker, Optional.empty());
    shown = scene;
  }

  private static Layer text(SplittableRandom random, List<PropertySet> looks, int index) {
    PropertySet look = looks.get(random.nextInt(looks.size()));
    if (random.nextInt(3) == 0) {
      double size = look.get(Properties.SIZE.key()).orElseThrow().over(0);
      look =
          look.with(
              Properties.SIZE,
              FontSize.points(Math.rint(size * random.nextDouble(0.985, 1.015) * 50) / 50));
    }
    int place = index % ON_BOARD;
    return Layer.of("t" + index, "Text " + index, "Winding day " + index)
        .withLocal(look)
        .withFrame(
            PropertySet.EMPTY
                .with(Properties.POSITION_X, 20.0 + place % 5 * 390)
                .with(Properties.POSITION_Y, 20.0 + place / 5 * 98));
  }

  @TearDown
  public void close() {
    fonts.close();
  }

  /** The styles that hide, from nothing. */
  @Benchmark
  public int hiddenStyles() {
    return HiddenStyles.of(scene.project()).within(Tolerance.USUAL).size();
  }

  /** The whole survey, from nothing. */
  @Benchmark
  public int survey() {
    return new Survey(new Speller(), MediaSource.NONE)
        .of(scene, maker, Optional.empty())
        .findings()
        .size();
  }

  /** Until the first report on the way, from nothing. */
  @Benchmark
  public int firstFindings() {
    CompletableFuture<Integer> first = new CompletableFuture<>();
    rest =
        Thread.ofPlatform()
            .start(() ->
                new Survey(new Speller(), MediaSource.NONE)
                    .of(
                        scene,
                        maker,
                        RuleSet.USUAL,
                        Optional.empty(),
                        report -> first.complete(report.findings().size()),
                        first::isDone));
    return first.join();
  }

  /** What is still under way when the first findings are there is not counted. */
  @TearDown(Level.Invocation)
  public void waitForTheRest() throws InterruptedException {
    rest.join();
  }

  /** The whole survey after one text got another size, or its own again. */
  @Benchmark
  public int surveyAfterANewSize() {
    return again(resized);
  }

  /** The whole survey after one word changed, or changed back. */
  @Benchmark
  public int surveyAfterANewWord() {
    return again(reworded);
  }

  private int again(Scene changed) {
    shown = shown == scene ? changed : scene;
    return warm.of(shown, maker, Optional.empty()).findings().size();
  }

  /** All texts as a sheet lists them first. */
  @Benchmark
  public int sheet() {
    return Sheet.of(scene.project(), SheetOrder.USUAL).groups().size();
  }

  /** All texts sorted by size. */
  @Benchmark
  public int sheetBySize() {
    SheetOrder order =
        SheetOrder.USUAL
            .withGrouping(Grouping.NONE)
            .sortedBy(new Column.Value(Properties.SIZE.key()));
    return Sheet.of(scene.project(), order).groups().size();
  }

  /** All texts that a query chooses. */
  @Benchmark
  public int sheetByQuery() {
    return Sheet.of(scene.project(), SheetOrder.USUAL.withQuery("size>30 && font=Caveat"))
        .groups()
        .size();
  }
}
