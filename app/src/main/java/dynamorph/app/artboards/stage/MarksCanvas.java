package dynamorph.app.artboards.stage;

import dynamorph.app.session.Workspace;
import dynamorph.model.LayerId;
import dynamorph.paint.scene.Scene;
import dynamorph.typeset.layout.Box;
import java.util.Optional;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.application.Platform;
import javafx.scene.canvas.Canvas;
import javafx.util.Duration;

/**
 * What lies over the artboards: names, frames of selected texts, the caret. One step changes much
 * of it, so it is drawn once for each frame of the window, when all has its place.
 */
final class MarksCanvas extends Canvas {
  private static final Duration BLINK = Duration.millis(530);

  private final Workspace workspace;
  private final StageMarks marks;
  private final Timeline blinking = new Timeline(new KeyFrame(BLINK, _ -> blink()));
  private Optional<Box> marquee = Optional.empty();
  private Optional<LayerId> hovered = Optional.empty();
  private boolean caretOn = true;
  private boolean wanted = true;

  MarksCanvas(Workspace workspace, StageMarks marks) {
    this.workspace = workspace;
    this.marks = marks;
    setMouseTransparent(true);
    setManaged(false);
    Runnable drawing = this::drawWanted;
    sceneProperty()
        .addListener((_, was, now) -> {
          if (was != null) {
            was.removePostLayoutPulseListener(drawing);
          }
          if (now != null) {
            now.addPostLayoutPulseListener(drawing);
          }
        });
    blinking.setCycleCount(Animation.INDEFINITE);
    blinking.play();
  }

  /** Draws with the next frame of the window. */
  void draw() {
    wanted = true;
    Platform.requestNextPulse();
  }

  /** Draws with the caret on. */
  void drawWithCaret() {
    caretOn = true;
    draw();
  }

  void setMarquee(Optional<Box> box) {
    marquee = box;
    draw();
  }

  void setHovered(Optional<LayerId> layer) {
    if (!layer.equals(hovered)) {
      hovered = layer;
      draw();
    }
  }

  Optional<Scene.Found> oversetTagAt(double x, double y) {
    return marks.oversetTagAt(x, y);
  }

  private void drawWanted() {
    if (wanted) {
      wanted = false;
      marks.draw(getGraphicsContext2D(), marquee, hovered, caretOn);
    }
  }

  private void blink() {
    if (workspace.selection().cursor().isPresent()) {
      caretOn = !caretOn;
      draw();
    }
  }

  /** An animation that runs keeps the whole window. */
  void close() {
    blinking.stop();
  }
}
