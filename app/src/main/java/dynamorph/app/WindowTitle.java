package dynamorph.app;

import dynamorph.app.workspace.Workspace;
import javafx.beans.binding.Bindings;
import javafx.beans.binding.StringBinding;

/** The title of the window: project, and a dot while it has changes. */
final class WindowTitle {
  private WindowTitle() {}

  static StringBinding of(Workspace workspace) {
    return Bindings.createStringBinding(
        () -> {
          boolean changed = !workspace.historyProperty().get().isSaved();
          return workspace.project().name() + (changed ? " \u2022" : "") + " \u2013 Dynamorph";
        },
        workspace.historyProperty());
  }
}
