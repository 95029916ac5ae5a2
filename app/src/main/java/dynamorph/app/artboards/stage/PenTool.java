package dynamorph.app.artboards.stage;

import dynamorph.app.session.Tool;
import dynamorph.app.session.Workspace;
import dynamorph.model.shape.PathDraft;
import dynamorph.typeset.layout.Box;
import java.util.Optional;
import javafx.scene.input.KeyEvent;

/**
 * Draws a path: a click adds a point, a drag bends the path there, a click on the first point
 * closes it. Enter or a double press ends it, Backspace takes the last point back, Escape leaves
 * it.
 */
final class PenTool {
  /** How near the first point a click must be to close the path, in units of the window. */
  private static final double NEAR = 8;

  private final Workspace workspace;
  private final StageView stage;
  private PathDraft draft = PathDraft.EMPTY;

  PenTool(Workspace workspace, StageView stage) {
    this.workspace = workspace;
    this.stage = stage;
  }

  private double scale() {
    return stage.view().scale() / stage.pixelRatio();
  }

  private double planeX(double x) {
    return stage.view().toPlaneX(x * stage.pixelRatio());
  }

  private double planeY(double y) {
    return stage.view().toPlaneY(y * stage.pixelRatio());
  }

  private void set(PathDraft changed) {
    draft = changed;
    stage.setPen(draft, Optional.empty());
  }

  /**
   * @return whether a drag now bends the path
   */
  boolean pressed(double x, double y, int clicks) {
    if (draft.closesAt(planeX(x), planeY(y), NEAR / scale())) {
      set(draft.close());
      finish();
      return false;
    }
    if (clicks >= 2 && draft.knots().size() > 1) {
      finish();
      return false;
    }
    set(draft.plus(planeX(x), planeY(y)));
    return true;
  }

  void dragged(double x, double y) {
    set(draft.bent(planeX(x), planeY(y)));
  }

  void moved(double x, double y) {
    stage.setPen(
        draft,
        draft.isEmpty() ? Optional.empty() : Optional.of(new double[] {planeX(x), planeY(y)}));
  }

  boolean keyPressed(KeyEvent event) {
    if (draft.isEmpty()) {
      return false;
    }
    switch (event.getCode()) {
      case ENTER -> finish();
      case ESCAPE -> set(PathDraft.EMPTY);
      case BACK_SPACE, DELETE -> set(draft.shortened());
      default -> {
        return false;
      }
    }
    return true;
  }

  /** Makes a layer of what was drawn, if it is a path. */
  void finish() {
    PathDraft drawn = draft;
    set(PathDraft.EMPTY);
    drawn
        .shape()
        .ifPresent(shape -> {
          PathDraft.Bounds box = drawn.bounds().orElseThrow();
          Box plane = new Box(box.x(), box.y(), box.width(), box.height());
          if (new NewLayers(workspace, stage).add(shape, plane)
              && workspace.tools().toolProperty().get() == Tool.DRAW) {
            workspace.tools().toolProperty().set(Tool.SELECT);
          }
        });
  }
}
