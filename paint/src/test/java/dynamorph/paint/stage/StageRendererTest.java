package dynamorph.paint.stage;

import static dynamorph.paint.Painting.FILL;
import static dynamorph.paint.Painting.SURROUND;
import static dynamorph.paint.Painting.text;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.layer.ChangeShape;
import dynamorph.model.edit.layer.MoveLayers;
import dynamorph.model.edit.layer.SetValues;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.shape.Shape;
import dynamorph.model.value.Colour;
import dynamorph.model.value.Rgba;
import dynamorph.paint.Painting;
import dynamorph.paint.Pixels;
import dynamorph.paint.export.ArtboardPicture;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.typeset.layout.Box;
import io.github.humbleui.skija.Image;
import java.util.SplittableRandom;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.Test;

class StageRendererTest {
  private final SceneMaker maker = Painting.maker();
  private final Project project =
      Painting.project(
          text("one", "Hour", PropertySet.EMPTY),
          text("two", "Bell", PropertySet.EMPTY.with(Properties.ROTATION, 30.0)));

  private Pixels render(StageRenderer renderer, Scene scene, View view) {
    Pixels pixels = Pixels.blank(view.width(), view.height());
    assertThat(renderer.render(scene, view, SURROUND, pixels, () -> false)).isTrue();
    return pixels;
  }

  private StageRenderer renderer() {
    return new StageRenderer(maker.painter(), Runnable::run, 0);
  }

  @Test
  void theStageShowsWhatIsExported() {
    Pixels stage = Painting.stage(project, 2);
    Scene scene = maker.make(project);
    byte[] png = new ArtboardPicture(maker.painter()).png(scene.boards().getFirst(), 2);
    try (Image image = Image.makeDeferredFromEncodedBytes(png)) {
      assertThat(image.getWidth()).isEqualTo(400);
      Pixels exported = Pixels.draw(400, 200, canvas -> canvas.drawImage(image, 0, 0));
      // tiles lie on whole pixels and letters on fractions, so edges may differ in the last bit
      assertThat(Painting.difference(stage, exported)).isLessThan(1);
    }
  }

  @Test
  void aFrameFromTilesIsTheFrameDrawnAfresh() {
    View view = new View(400, 200, 2, 0, 0);
    Scene scene = maker.make(project);
    try (StageRenderer renderer = renderer();
        StageRenderer fresh = renderer()) {
      render(renderer, scene, view);
      View panned = view.panned(13, -7);
      assertThat(Painting.difference(render(renderer, scene, panned), render(fresh, scene, panned)))
          .isZero();
    }
  }

  @Test
  void aChangeOfOneTextShowsAndLeavesTheOther() {
    View view = new View(400, 200, 2, 0, 0);
    Scene scene = maker.make(project);
    Project changed =
        SetValues.of(
                Target.Layers.of("one"),
                Properties.COAT_COLOUR.at(FILL),
                Colour.of(Rgba.of(255, 0, 0)))
            .applyTo(project);
    Scene next = maker.make(changed, scene);
    try (StageRenderer renderer = renderer();
        StageRenderer fresh = renderer()) {
      Pixels before = render(renderer, scene, view);
      Pixels after = render(renderer, next, view);
      assertThat(Painting.count(before, Rgba.of(255, 0, 0))).isZero();
      assertThat(Painting.count(after, Rgba.of(255, 0, 0))).isPositive();
      assertThat(Painting.difference(after, render(fresh, next, view))).isZero();
    }
  }

  /** What stands around the artboards is left from frame to frame, also where texts reach out. */
  @Test
  void aPictureThatIsDrawnOverAgainIsTheFrameDrawnAfresh() {
    SplittableRandom random = new SplittableRandom(11);
    Pixels[] targets = {Pixels.blank(400, 300), Pixels.blank(400, 300)};
    Project now = project;
    View view = new View(400, 300, 1.5, 40, 40);
    try (StageRenderer renderer = renderer()) {
      for (int step = 0; step < 60; step++) {
        if (random.nextInt(4) == 0) {
          view = view.panned(random.nextInt(-60, 60), random.nextInt(-40, 40));
        } else if (random.nextInt(2) == 0) {
          int across = random.nextInt(-70, 70);
          now = new MoveLayers(Target.Layers.of("one"), across, 0).applyTo(now);
        }
        Scene scene = maker.make(now);
        Pixels target = targets[step % 2];
        renderer.render(scene, view, SURROUND, target, () -> false);
        try (StageRenderer fresh = renderer()) {
          Pixels whole = Pixels.blank(400, 300);
          fresh.render(scene, view, SURROUND, whole, () -> false);
          assertThat(Painting.difference(target, whole)).as("step %d", step).isZero();
        }
      }
    }
  }

  @Test
  void helpersPaintTheSamePixels() {
    View view = new View(400, 200, 2, 5, 5);
    Scene scene = maker.make(project);
    try (ExecutorService pool = Executors.newFixedThreadPool(2);
        StageRenderer alone = renderer();
        StageRenderer helped = new StageRenderer(new LayerPainter(), pool, 2)) {
      assertThat(Painting.difference(render(alone, scene, view), render(helped, scene, view)))
          .isZero();
    }
  }

  @Test
  void anOutdatedFrameIsGivenUp() {
    View view = new View(400, 200, 2, 0, 0);
    try (StageRenderer renderer = renderer()) {
      assertThat(
              renderer.render(
                  maker.make(project), view, SURROUND, Pixels.blank(400, 200), () -> true))
          .isFalse();
    }
  }

  @Test
  void lettersStaySharpWhenZoomedFarIn() {
    View near = new View(300, 200, 64, -64 * 24, -64 * 20);
    try (StageRenderer renderer = renderer()) {
      Pixels pixels = render(renderer, maker.make(project), near);
      int edges = 0;
      for (int y = 0; y < 200; y++) {
        for (int x = 0; x < 300; x++) {
          int red = pixels.argb(x, y) >> 16 & 0xFF;
          edges += red > 20 && red < 235 ? 1 : 0;
        }
      }
      assertThat(edges).as("grey pixels lie along edges only").isLessThan(300 * 200 / 25);
    }
  }

  @Test
  void aSceneSharesWhatDidNotChange() {
    Scene scene = maker.make(project);
    Project moved = new MoveLayers(Target.Layers.of("one"), 5, 0).applyTo(project);
    Scene next = maker.make(moved, scene);
    PlacedLayer untouched = scene.find(new LayerId("two")).orElseThrow().text();
    assertThat(next.find(new LayerId("two")).orElseThrow().text()).isSameAs(untouched);
    PlacedLayer before = scene.find(new LayerId("one")).orElseThrow().text();
    PlacedLayer after = next.find(new LayerId("one")).orElseThrow().text();
    assertThat(after.layout()).isSameAs(before.layout());
    assertThat(after.anchorX()).isEqualTo(before.anchorX() + 5);
    assertThat(maker.make(moved, next)).isSameAs(next);
  }

  @Test
  void pointersHitTurnedTexts() {
    Scene scene = maker.make(project);
    PlacedLayer turned = scene.find(new LayerId("two")).orElseThrow().text();
    var middle = turned.toArtboard(turned.layout().width() / 2, turned.layout().height() / 2);
    assertThat(turned.isHit(middle.x(), middle.y(), 0)).isTrue();
    var back = turned.toLayout(middle.x(), middle.y());
    assertThat(back.x()).isEqualTo((float) turned.layout().width() / 2, within(0.01));
    assertThat(scene.at(middle.x(), middle.y(), 0))
        .map(found -> found.text().layer().name())
        .contains("two");
    assertThat(scene.at(195, 95, 0)).isEmpty();
    assertThat(scene.touching(new Box(0, 0, 200, 100))).hasSize(2);
    assertThat(scene.boardAt(500, 0)).isEmpty();
  }

  @Test
  void zoomingKeepsThePointUnderThePointer() {
    View view = new View(800, 600, 1.5, 40, 30);
    View zoomed = view.zoomed(2, 300, 200);
    assertThat(zoomed.toPlaneX(300)).isEqualTo(view.toPlaneX(300), within(0.5 / zoomed.scale()));
    assertThat(zoomed.toPlaneY(200)).isEqualTo(view.toPlaneY(200), within(0.5 / zoomed.scale()));
    assertThat(view.zoomed(1e9, 0, 0).scale()).isEqualTo(View.LARGEST_SCALE);
    View fitted = View.fitting(new Box(100, 100, 400, 100), 800, 600, 40);
    assertThat(fitted.toPixels(new Box(100, 100, 400, 100)).x()).isEqualTo(40, within(1.0));
  }

  @Test
  void picturesThatAreTooLargeOrEmptyAreRefused() {
    Scene.Board board = maker.make(project).boards().getFirst();
    ArtboardPicture picture = new ArtboardPicture(maker.painter());
    org.assertj.core.api.Assertions.assertThatThrownBy(() -> picture.png(board, 1e4))
        .hasMessageContaining("256 million");
    org.assertj.core.api.Assertions.assertThatThrownBy(() -> picture.png(board, 0))
        .hasMessageContaining("no pixels");
    org.assertj.core.api.Assertions.assertThatThrownBy(() -> picture.png(board, Double.NaN))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void outlinesReplaceThePaintAndItComesBack() {
    Scene scene = maker.make(project);
    View view = new View(200, 100, 1, 0, 0);
    try (StageRenderer renderer = renderer()) {
      Pixels painted = render(renderer, scene, view);
      renderer.showOutlines(true);
      Pixels bare = render(renderer, scene, view);
      assertThat(Painting.count(bare, Rgba.BLACK))
          .isLessThan(Painting.count(painted, Rgba.BLACK) / 4);
      assertThat(bare.bytes()).isNotEqualTo(painted.bytes());
      renderer.showOutlines(false);
      assertThat(render(renderer, scene, view).bytes()).isEqualTo(painted.bytes());
    }
  }

  @Test
  void aShapeThatTakesAnotherFormIsPaintedAnew() {
    PropertySet frame =
        PropertySet.EMPTY
            .with(Properties.BOX_WIDTH, 100.0)
            .with(Properties.BOX_HEIGHT, 60.0)
            .with(Properties.POSITION_X, 20.0)
            .with(Properties.POSITION_Y, 20.0);
    Project shapes = Painting.project(Layer.of("s", "s", Shape.Rectangle.SHARP).withFrame(frame));
    View view = new View(200, 100, 1, 0, 0);
    try (StageRenderer renderer = renderer()) {
      Scene scene = maker.make(shapes);
      int square = Painting.count(render(renderer, scene, view), Rgba.BLACK);
      Project round =
          new ChangeShape(java.util.List.of(new LayerId("s")), _ -> new Shape.Ellipse())
              .applyTo(shapes);
      Scene changed = maker.make(round, scene);
      int ellipse = Painting.count(render(renderer, changed, view), Rgba.BLACK);
      assertThat(square).isEqualTo(100 * 60);
      assertThat((double) ellipse).isCloseTo(Math.PI / 4 * square, within(200.0));
    }
  }
}
