package dynamorph.app.artboards.stage;

import dynamorph.app.session.Tool;
import dynamorph.app.session.Workspace;
import dynamorph.model.LayerId;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.layer.MoveLayers;
import java.util.List;
import java.util.Optional;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/** The keys of the stage, when nothing is typed into a text. */
final class StageKeys {
  private final Workspace workspace;
  private final TextKeys keys;
  private final PenTool pen;
  private final SamplerTool sampler;
  private final Runnable spaceChanged;
  private boolean spaceHeld;

  /**
   * @param spaceChanged told when the space bar goes down or up
   */
  StageKeys(
      Workspace workspace, TextKeys keys, PenTool pen, SamplerTool sampler, Runnable spaceChanged) {
    this.workspace = workspace;
    this.keys = keys;
    this.pen = pen;
    this.sampler = sampler;
    this.spaceChanged = spaceChanged;
  }

  /** Whether the space bar is held, so that a drag pans. */
  boolean isSpaceHeld() {
    return spaceHeld;
  }

  void pressed(KeyEvent event) {
    if (workspace.selection().cursor().isPresent()) {
      if (keys.pressed(event)) {
        event.consume();
      }
      return;
    }
    if (workspace.tools().toolProperty().get() == Tool.DRAW && pen.keyPressed(event)) {
      event.consume();
      return;
    }
    boolean plain = !event.isShortcutDown() && !event.isControlDown();
    boolean handled =
        switch (event.getCode()) {
          case SPACE -> {
            spaceHeld = plain;
            spaceChanged.run();
            yield plain;
          }
          case ENTER, F2 -> plain && editSelected();
          case ESCAPE -> {
            if (workspace.tools().toolProperty().get() == Tool.SAMPLER) {
              if (!sampler.stepBack()) {
                workspace.tools().toolProperty().set(Tool.SELECT);
              }
              yield true;
            }
            boolean had = !workspace.selection().isEmpty();
            workspace.select(List.of());
            yield had;
          }
          case LEFT -> nudge(event, -1, 0);
          case RIGHT -> nudge(event, 1, 0);
          case UP -> nudge(event, 0, -1);
          case DOWN -> nudge(event, 0, 1);
          default -> false;
        };
    if (handled) {
      event.consume();
    }
  }

  void released(KeyEvent event) {
    if (event.getCode() == KeyCode.SPACE) {
      spaceHeld = false;
      spaceChanged.run();
    }
  }

  private boolean editSelected() {
    if (workspace.selection().layers().size() != 1) {
      return false;
    }
    LayerId id = workspace.selection().layers().getFirst();
    if (workspace
        .project()
        .layer(id)
        .filter(layer -> layer.isText() && !layer.state().locked() && !layer.state().hidden())
        .isEmpty()) {
      return false;
    }
    keys.edit(id);
    return true;
  }

  /**
   * Points by which an arrow key moves what is selected; with Shift ten times that, with Alt a
   * tenth.
   */
  private boolean nudge(KeyEvent event, int across, int down) {
    if (workspace.selection().isEmpty() || event.isShortcutDown()) {
      return false;
    }
    double step = event.isShiftDown() ? 10 : event.isAltDown() ? 0.1 : 1;
    workspace.apply(
        new MoveLayers(
            new Target.Layers(workspace.selection().layers()), across * step, down * step),
        Optional.of("nudge " + workspace.selection().layers()));
    return true;
  }
}
