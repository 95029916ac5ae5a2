package dynamorph.app.window;

import dynamorph.app.action.Action;
import dynamorph.app.action.Actions;
import dynamorph.app.session.Workspace;
import java.util.function.Supplier;
import javafx.scene.Scene;

/** What can be done with the window as a whole, and with any change. */
public final class WindowActions {
  private final Workspace workspace;
  private final CommandSearch search;
  private final Supplier<Scene> scene;
  private final Runnable changeTheme;

  public WindowActions(
      Workspace workspace, CommandSearch search, Supplier<Scene> scene, Runnable changeTheme) {
    this.workspace = workspace;
    this.search = search;
    this.scene = scene;
    this.changeTheme = changeTheme;
  }

  /** Undo and redo, which head the actions of editing. */
  public void registerHistory(Actions actions) {
    actions.add("edit.undo", "Shortcut+Z", workspace::undo);
    actions.add("edit.redo", "Shortcut+Shift+Z", workspace::redo);
  }

  public void register(Actions actions) {
    actions.add("view.theme", "", changeTheme);
    Action found = actions.add("view.search", "Ctrl+SPACE", search::begin);
    found.keys().addListener((_, _, _) -> search.showKeys());
    search.showKeys();
    actions.add("view.shortcuts", "F1", () -> ShortcutSheet.show(scene.get(), actions));
  }
}
