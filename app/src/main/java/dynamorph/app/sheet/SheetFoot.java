package dynamorph.app.sheet;

import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Workspace;
import dynamorph.model.sheet.Sheet;
import dynamorph.model.sheet.SheetRow;
import java.util.List;
import javafx.geometry.VPos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Region;

/** What is selected in a sheet, and what is mostly done with it. */
final class SheetFoot extends FlowPane {
  private final Workspace workspace;
  private final SheetPane pane;
  private final Label chosen = new Label();
  private final Label count = new Label();
  private final Button drop = new Button(Messages.of("reach-view.drop-local-changes"));
  private final Button save = new Button(Messages.of("sheet.save-into-style"));
  private final Button keep = new Button(Messages.of("styles-column.keep-this-look"));
  private final Button show = new Button(Messages.of("sheet.show-where-it-stands"));

  SheetFoot(Workspace workspace, SheetPane pane) {
    super(10, 6);
    this.workspace = workspace;
    this.pane = pane;
    getStyleClass().add("sheet-foot");
    setRowValignment(VPos.CENTER);
    chosen.getStyleClass().add("section-title");
    chosen.setMinWidth(Region.USE_PREF_SIZE);
    count.getStyleClass().add("quiet");
    drop.setId("sheet-drop");
    drop.setOnAction(_ -> workspace.deviations().drop());
    save.setOnAction(_ -> workspace.deviations().saveIntoStyle());
    keep.setOnAction(_ -> workspace.attempts().openKeeping());
    show.setOnAction(_ -> pane.chosen().stream().findFirst().ifPresent(pane::goTo));
    show.setId("sheet-go");
    Tips.on(show, Messages.of("sheet.show-where-it-stands-enter"));
    for (Button button : List.of(show, drop, save, keep)) {
      button.setMinWidth(USE_PREF_SIZE);
    }
    count.setMinWidth(USE_PREF_SIZE);
    getChildren().addAll(chosen, show, drop, save, keep, count);
    workspace.selectionProperty().addListener((_, _, _) -> update());
    pane.visibleProperty().addListener((_, _, _) -> update());
    workspace.historyProperty().addListener((_, _, _) -> update());
    update();
  }

  void update() {
    List<SheetRow> selected = pane.chosen();
    chosen.setText(
        selected.isEmpty()
            ? Messages.of("sheet.click-to-select")
            : Messages.of("reach-view.selected", selected.size()));
    boolean local = selected.stream().anyMatch(row -> Sheet.local(row) > 0);
    for (Button button : List.of(show, drop, save, keep)) {
      button.setVisible(!selected.isEmpty());
      button.setManaged(button.isVisible());
    }
    drop.setDisable(!local);
    save.setDisable(!local);
    count.setText(
        pane.sheet()
            .map(
                sheet -> Messages.of("sheet.rows-shown", pane.counted(sheet.texts()), shown(sheet)))
            .orElse(""));
  }

  private static int shown(Sheet sheet) {
    return sheet.groups().stream().mapToInt(group -> group.rows().size()).sum();
  }
}
