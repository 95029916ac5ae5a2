package dynamorph.app.journey;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.app.artboards.stage.StageView;
import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import javafx.geometry.Rectangle2D;
import javafx.scene.SnapshotParameters;
import javafx.scene.image.Image;
import javafx.scene.paint.Color;
import org.junit.jupiter.api.Test;
import org.testfx.util.WaitForAsyncUtils;

/** Names of artboards, as they are seen between them. */
class ArtboardNamesJourneyTest extends JourneyTest {
  /** A strip of an artboard along its lower edge, as the window shows it. */
  private Image foot(String id) {
    return WaitForAsyncUtils.waitForAsyncFx(
        5_000,
        () -> {
          StageView stage = driver.stage();
          Artboard board = driver.project().artboard(new ArtboardId(id)).orElseThrow();
          double left = stage.view().toPixelX(board.x());
          double right = stage.view().toPixelX(board.x() + board.width());
          double bottom = stage.view().toPixelY(board.y() + board.height());
          SnapshotParameters strip = new SnapshotParameters();
          strip.setViewport(
              new Rectangle2D(Math.ceil(left) + 2, Math.floor(bottom) - 7, right - left - 5, 5));
          return stage.snapshot(strip, null);
        });
  }

  private long inked(Image image, Color ground) {
    long inked = 0;
    for (int y = 0; y < image.getHeight(); y++) {
      for (int x = 0; x < image.getWidth(); x++) {
        Color seen = image.getPixelReader().getColor(x, y);
        inked += Math.abs(seen.getBrightness() - ground.getBrightness()) > 0.08 ? 1 : 0;
      }
    }
    return inked;
  }

  @Test
  void theyLieOverNoOtherArtboardAtAnyZoom() {
    for (int step = 0; step < 3; step++) {
      driver.settle();
      Image image = foot("entrance");
      assertThat(image.getWidth()).isGreaterThan(80);
      assertThat(inked(image, image.getPixelReader().getColor(1, 1)))
          .as("ink of the names of the labels below, on the panel above them")
          .isZero();
      driver.run("Zoom out");
    }
  }
}
