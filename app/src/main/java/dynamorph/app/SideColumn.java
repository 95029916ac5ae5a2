package dynamorph.app;

import dynamorph.app.session.Attempt;
import dynamorph.app.session.Workspace;
import dynamorph.app.window.LatePane;
import java.util.function.Predicate;
import java.util.function.Supplier;
import javafx.beans.binding.Bindings;
import javafx.beans.binding.BooleanBinding;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;

/** The column at the right: the inspector, or the pane of what is being tried. */
final class SideColumn extends StackPane {
  private static final double WIDTH = 310;

  private final Workspace workspace;

  /** The panes of what is being tried, made when they are first wanted. */
  record Panes(
      Supplier<? extends Region> desk,
      Supplier<? extends Region> keeping,
      Supplier<? extends Region> finishPresets,
      Supplier<? extends Region> deletion,
      Supplier<? extends Region> swatch,
      Supplier<? extends Region> styleImport,
      Supplier<? extends Region> document,
      Supplier<? extends Region> fill,
      Supplier<? extends Region> updates) {}

  SideColumn(Workspace workspace, Region inspector, Panes panes) {
    this.workspace = workspace;
    BooleanBinding free = during(Attempt::leavesInspector);
    BooleanBinding choosing = free.and(workspace.view().finishPresetsProperty());
    inspector.visibleProperty().bind(free.and(choosing.not()));
    getChildren()
        .addAll(
            inspector,
            LatePane.during(during(attempt -> attempt.desk().isPresent()), panes.desk()::get),
            LatePane.during(during(Attempt::isKeeping), panes.keeping()::get),
            LatePane.during(choosing, panes.finishPresets()::get),
            LatePane.during(
                during(attempt -> attempt.deletion().isPresent()), panes.deletion()::get),
            LatePane.during(during(attempt -> attempt.swatch().isPresent()), panes.swatch()::get),
            LatePane.during(
                during(attempt -> attempt.styleImport().isPresent()), panes.styleImport()::get),
            LatePane.during(
                during(attempt -> attempt.document().isPresent()), panes.document()::get),
            LatePane.during(during(attempt -> attempt.fill().isPresent()), panes.fill()::get),
            LatePane.during(during(Attempt::isUpdating), panes.updates()::get));
    setPrefWidth(WIDTH);
    setMinWidth(WIDTH);
    setMaxWidth(WIDTH);
  }

  private BooleanBinding during(Predicate<Attempt> wanted) {
    return Bindings.createBooleanBinding(
        () -> wanted.test(workspace.attempts().present()), workspace.attempts().presentProperty());
  }
}
