package dynamorph.app.artboards.stage;

import dynamorph.app.action.Actions;
import dynamorph.app.session.ViewSettings;
import javafx.beans.property.BooleanProperty;

/** What can be done with the view of the stage. */
public final class StageActions {
  private static final double ZOOM_STEP = 1.25;

  private final StageView stage;
  private final ViewSettings view;

  public StageActions(StageView stage, ViewSettings view) {
    this.stage = stage;
    this.view = view;
  }

  public void register(Actions actions) {
    actions.add("view.reach", "Shortcut+R", () -> toggle(view.reachProperty()));
    actions.add("view.all-artboards", "Shortcut+0", stage::fitAll);
    actions.add("view.selection", "Shortcut+2", stage::fitSelection);
    actions.add("view.actual-size", "Shortcut+1", () -> stage.zoomTo(1));
    actions.add("view.zoom-in", "Shortcut+EQUALS", () -> stage.zoom(ZOOM_STEP));
    actions.add("view.zoom-out", "Shortcut+MINUS", () -> stage.zoom(1 / ZOOM_STEP));
    actions.add("view.outlines", "F9", () -> toggle(view.outlinesProperty()));
    actions.add("view.rulers", "F4", () -> toggle(view.rulersProperty()));
    actions.add("view.stage-alone", "F11", () -> toggle(view.stageAloneProperty()));
    actions.add("view.styles-column", "", () -> toggleColumn(view.stylesColumnProperty()));
    actions.add("view.side-column", "", () -> toggleColumn(view.sideColumnProperty()));
    actions.add("view.snapping", "Shift+F4", () -> toggle(view.snappingProperty()));
  }

  /** Who asks for a column while the stage is alone wants to see it. */
  private void toggleColumn(BooleanProperty column) {
    column.set(view.stageAloneProperty().get() || !column.get());
    view.stageAloneProperty().set(false);
  }

  private static void toggle(BooleanProperty property) {
    property.set(!property.get());
  }
}
