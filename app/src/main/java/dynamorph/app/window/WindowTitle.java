package dynamorph.app.window;

import dynamorph.app.session.Workspace;
import javafx.beans.binding.Bindings;
import javafx.beans.binding.StringBinding;

/** The title of the window: project, and a dot while it has changes. */
public final class WindowTitle {
  private WindowTitle() {}

  public static StringBinding of(Workspace workspace) {
    return Bindings.createStringBinding(
        () -> {
          boolean changed = !workspace.historyProperty().get().isSaved();
          return workspace.project().name() + (changed ? " \u2022" : "") + " \u2013 Dynamorph";
        },
        workspace.historyProperty());
  }
}
