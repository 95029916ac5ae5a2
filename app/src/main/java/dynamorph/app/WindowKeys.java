package dynamorph.app;

import dynamorph.app.action.Action;
import dynamorph.app.action.Actions;
import dynamorph.app.artboards.stage.StageView;
import dynamorph.app.field.Eyedropper;
import dynamorph.app.film.action.FilmActions;
import dynamorph.app.session.Attempt;
import dynamorph.app.session.Tool;
import dynamorph.app.session.Workspace;
import dynamorph.app.shortcuts.ShortcutsPane;
import java.util.Optional;
import java.util.Set;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/** The keys that hold in the whole window, wherever the keyboard is. */
final class WindowKeys {
  /** Shortcuts that mean the words of a field while one is typed in. */
  private static final Set<String> OF_FIELDS =
      Set.of(
          "edit.undo",
          "edit.redo",
          "edit.select-all",
          "edit.copy",
          "edit.cut",
          "edit.paste",
          "styles.drop-local",
          "film.ripple-delete");

  private final Workspace workspace;
  private final Scene scene;
  private final StageView stage;
  private final Actions actions;
  private final FilmActions films;

  WindowKeys(
      Workspace workspace, Scene scene, StageView stage, Actions actions, FilmActions films) {
    this.workspace = workspace;
    this.scene = scene;
    this.stage = stage;
    this.actions = actions;
    this.films = films;
  }

  void install() {
    actions.install(scene);
    scene.addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
    scene.addEventFilter(KeyEvent.KEY_RELEASED, this::released);
  }

  private void pressed(KeyEvent event) {
    if (Eyedropper.isOpen(scene) || isTakingAllKeys()) {
      return;
    }
    boolean typing = scene.getFocusOwner() instanceof TextInputControl;
    boolean editingText = workspace.selection().cursor().isPresent() && stage.isFocused();
    Optional<Action> shortcut = shortcut(event, typing);
    if (shortcut.isPresent()) {
      shortcut.get().run();
      event.consume();
    } else if (event.getCode() == KeyCode.ESCAPE && workspace.view().reachProperty().get()) {
      workspace.view().reachProperty().set(false);
      event.consume();
    } else if (event.getCode() == KeyCode.ESCAPE && isTrying() && !typing) {
      workspace.attempts().discardPending();
      event.consume();
    } else if (event.getCode() == KeyCode.B && isTrying() && !typing && !event.isShortcutDown()) {
      workspace.attempts().beforeShownProperty().set(true);
      event.consume();
    } else if (event.getCode() == KeyCode.ESCAPE && workspace.attempts().present().isKeeping()) {
      workspace.attempts().closeKeeping();
      event.consume();
    } else if (!typing && !editingText && isPlain(event)) {
      plainKey(event);
    }
  }

  /**
   * The action of a shortcut, which counts before a list or a field makes something else of the
   * keys. Where text is edited on the stage, the stage itself knows which keys are its own.
   */
  private Optional<Action> shortcut(KeyEvent event, boolean typing) {
    Node focused = scene.getFocusOwner();
    if (focused == null || focused == stage) {
      return Optional.empty();
    }
    return actions.all().stream()
        .filter(action -> action.shortcut().filter(keys -> keys.match(event)).isPresent())
        .filter(action -> action.enabled().get())
        .filter(action -> !typing || !OF_FIELDS.contains(action.id()))
        .filter(action -> typing || !action.id().startsWith("edit."))
        .findFirst();
  }

  /** Whether keys are pressed to be a shortcut, or to be looked for. */
  private boolean isTakingAllKeys() {
    Node focused = scene.getFocusOwner();
    return focused != null && focused.getProperties().containsKey(ShortcutsPane.TAKES_ALL_KEYS);
  }

  private boolean isTrying() {
    return switch (workspace.attempts().present()) {
      case Attempt.Nothing _, Attempt.KeepingStyle _ -> false;
      case Attempt.StyleDraft _,
          Attempt.Reviewing _,
          Attempt.Deleting _,
          Attempt.Importing _,
          Attempt.ImportingDocument _,
          Attempt.Filling _,
          Attempt.SwatchDraft _,
          Attempt.Updating _ ->
          true;
    };
  }

  private static boolean isPlain(KeyEvent event) {
    return !event.isShortcutDown() && !event.isAltDown() && !event.isControlDown();
  }

  private void plainKey(KeyEvent event) {
    switch (event.getCode()) {
      case DELETE, BACK_SPACE -> {
        boolean onFilm = workspace.playback().isOpen() && films.tracks().deleteClip();
        boolean onLanes =
            scene.getFocusOwner() != null && "track-lanes".equals(scene.getFocusOwner().getId());
        if (onFilm) {
          event.consume();
          return;
        }
        if (!stage.isFocused() && !onLanes) {
          return;
        }
        actions.get("edit.delete").run();
      }
      case SPACE -> {
        if (!workspace.playback().isOpen() || scene.getFocusOwner() instanceof ButtonBase) {
          return;
        }
        films.playOrPause();
      }
      case J, K, L -> {
        if (!workspace.playback().isOpen()) {
          return;
        }
        if (event.getCode() == KeyCode.K) {
          workspace.playback().playingProperty().set(false);
        } else {
          workspace.playback().shuttle(event.getCode() == KeyCode.L);
        }
      }
      default -> {
        if (workspace.view().sheetProperty().get()) {
          // tools are for the stage, which is not seen
          return;
        }
        for (Tool tool : Tool.values()) {
          if (event.getCode() == KeyCode.getKeyCode(String.valueOf(tool.key()))) {
            workspace.tools().take(tool);
            event.consume();
          }
        }
        return;
      }
    }
    event.consume();
  }

  private void released(KeyEvent event) {
    if (event.getCode() == KeyCode.B) {
      workspace.attempts().beforeShownProperty().set(false);
    }
  }
}
