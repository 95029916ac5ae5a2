package dynamorph.app;

import dynamorph.app.document.DocumentPane;
import dynamorph.app.fill.FillPane;
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
  private final Workspace workspace;
  private final LatePane<DocumentPane> document;
  private final LatePane<FillPane> fill;

  /** The panes of what is being tried, made when they are first wanted. */
  record Panes(
      Supplier<? extends Region> desk,
      Supplier<? extends Region> keeping,
      Supplier<? extends Region> finishPresets,
      Supplier<? extends Region> deletion,
      Supplier<? extends Region> swatch,
      Supplier<? extends Region> styleImport,
      Supplier<DocumentPane> document,
      Supplier<FillPane> fill,
      Supplier<? extends Region> updates) {}

  SideColumn(Workspace workspace, Region inspector, Panes panes) {
    this.workspace = workspace;
    this.document =
        LatePane.during(during(attempt -> attempt.document().isPresent()), panes.document());
    this.fill = LatePane.during(during(attempt -> attempt.fill().isPresent()), panes.fill());
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
            document,
            fill,
            LatePane.during(during(Attempt::isUpdating), panes.updates()::get));
  }

  /** Ends what panes have under way. */
  void close() {
    document.ifMade(DocumentPane::close);
    fill.ifMade(FillPane::close);
  }

  private BooleanBinding during(Predicate<Attempt> wanted) {
    return Bindings.createBooleanBinding(
        () -> wanted.test(workspace.attempts().present()), workspace.attempts().presentProperty());
  }
}
