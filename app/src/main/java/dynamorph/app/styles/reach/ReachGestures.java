package dynamorph.app.styles.reach;

import dynamorph.app.artboards.stage.StageView;
import dynamorph.app.session.Workspace;
import dynamorph.model.LayerId;
import dynamorph.model.flow.LinkedBoxes;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.scene.input.KeyCode;

/** What clicking a tile does: goes there, selects, or leaves the text out of the change. */
final class ReachGestures {
  private final Workspace workspace;
  private final StageView stage;

  private final boolean selects;

  /**
   * @param selects whether a click selects even while a style is edited, which otherwise leaves the
   *     selection alone
   */
  ReachGestures(Workspace workspace, StageView stage, boolean selects) {
    this.workspace = workspace;
    this.stage = stage;
    this.selects = selects;
  }

  void install(ReachTile tile, LayerId id) {
    tile.setUserData(id);
    tile.setOnMouseReleased(event -> {
      if (event.isShiftDown() || event.isShortcutDown()) {
        workspace.selectionProperty().set(workspace.selection().toggled(id));
        event.consume();
      }
    });
    tile.setOnAction(_ -> {
      if (selects || workspace.attempts().present().desk().isEmpty()) {
        workspace.select(List.of(id));
      }
      stage.reveal(id);
    });
    tile.setOnKeyPressed(event -> {
      if (event.getCode() == KeyCode.X && !event.isShortcutDown()) {
        flipHeldBack(Set.of(id));
        event.consume();
      }
    });
    tile.onLeaveOut(() -> flipHeldBack(Set.of(id)));
  }

  /**
   * Leaves texts out of the pending change, or puts them back if all of them are left out; of one
   * that flows through several boxes all keep their look.
   */
  void flipHeldBack(Set<LayerId> ids) {
    if (workspace.attempts().pending().isEmpty()) {
      return;
    }
    LinkedBoxes links = LinkedBoxes.of(workspace.project());
    Set<LayerId> texts = ids.stream().map(links::first).collect(Collectors.toSet());
    Set<LayerId> held = new HashSet<>(workspace.attempts().heldBackProperty().get());
    if (held.containsAll(texts)) {
      held.removeAll(texts);
    } else {
      held.addAll(texts);
    }
    workspace.attempts().heldBackProperty().set(Set.copyOf(held));
  }
}
