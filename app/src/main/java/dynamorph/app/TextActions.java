package dynamorph.app;

import dynamorph.app.action.Actions;
import dynamorph.app.workspace.Workspace;
import javafx.beans.value.ObservableBooleanValue;

/** The actions that are about words. */
final class TextActions {
  private final MainWindow main;
  private final Workspace workspace;

  TextActions(MainWindow main, Workspace workspace) {
    this.main = main;
    this.workspace = workspace;
  }

  /**
   * Registers them.
   *
   * @param any whether anything is selected
   */
  void list(Actions actions, ObservableBooleanValue any) {
    actions.add("Text", "Find and replace", "Shortcut+F", main.find()::open);
    actions.add(
        "Text",
        "Show hidden letters",
        "Shortcut+Alt+H",
        () -> workspace.hiddenLettersProperty().set(!workspace.hiddenLettersProperty().get()));
  }
}
