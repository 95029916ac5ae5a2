package dynamorph.app.shelf;

import dynamorph.app.field.Controls;
import dynamorph.app.message.Messages;
import dynamorph.shelf.projects.UpdateReport;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/**
 * What updates of other projects did, with a way back for each file.
 *
 * @param reports folder of all reports
 */
record ReportCards(ShelfKeeper keeper, Path reports) {
  /** A report as a card. */
  Node of(UpdateReport report) {
    Label time = new Label(Messages.time(report.time()));
    time.getStyleClass().add("section-title");
    VBox card = new VBox(4, time);
    card.getStyleClass().add("update-card");
    report.items().forEach(item -> card.getChildren().add(row(report, item, card)));
    return card;
  }

  private Node row(UpdateReport report, UpdateReport.Item item, VBox card) {
    Label name = new Label(item.file().getFileName().toString());
    name.setMinWidth(0);
    Label what =
        new Label(
            switch (item.outcome()) {
              case UPDATED -> Messages.of("projects-pane.updated", item.texts());
              case FAILED -> item.said();
              case UNDONE -> Messages.of("projects-pane.undone");
            });
    what.getStyleClass()
        .add(item.outcome() == UpdateReport.Outcome.FAILED ? "problem-text" : "quiet");
    what.setWrapText(true);
    HBox row = new HBox(8, name, what, Controls.gap());
    row.setAlignment(Pos.CENTER_LEFT);
    if (item.outcome() == UpdateReport.Outcome.UPDATED) {
      Hyperlink undo = new Hyperlink(Messages.of("common.undo"));
      undo.setId("undo-" + ProjectsPane.stem(item.file()));
      undo.setOnAction(_ ->
          keeper.run(() -> {
            UpdateReport undone = current(report).undo(item.file());
            keeper.remember(item.file());
            Platform.runLater(() -> {
              VBox again = new VBox(4, card.getChildren().getFirst());
              undone.items().forEach(one -> again.getChildren().add(row(undone, one, card)));
              card.getChildren().setAll(List.copyOf(again.getChildren()));
            });
          }));
      row.getChildren().add(undo);
    }
    return row;
  }

  /** The report as it is now, since others of its files may have been brought back. */
  private UpdateReport current(UpdateReport report) throws IOException {
    return UpdateReport.all(reports).stream()
        .filter(one -> one.folder().equals(report.folder()))
        .findFirst()
        .orElse(report);
  }
}
