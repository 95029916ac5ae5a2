package dynamorph.app.export;

import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.formats.export.ExportOutcome;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/** How an export ended, and what is to be known of what it wrote. */
final class ExportReport extends VBox {
  private static final int MOST_SHOWN = 4;

  ExportReport() {
    super(3);
    managedProperty().bind(visibleProperty());
    setVisible(false);
  }

  /** Tells it; returns the sentence of it. */
  String tell(ExportOutcome outcome) {
    getChildren().clear();
    String said =
        Messages.of(
            outcome.complete() ? "export-pane.exported" : "export-pane.stopped",
            outcome.written().size(),
            outcome.unchanged().size());
    Label head = new Label(said);
    head.setId("export-report");
    head.getStyleClass().add("sub-title");
    getChildren().add(head);
    outcome.remarks().stream()
        .limit(MOST_SHOWN)
        .forEach(remark -> getChildren().add(line(remark.toString())));
    if (outcome.remarks().size() > MOST_SHOWN) {
      Label more =
          line(Messages.of("export-pane.more-remarks", outcome.remarks().size() - MOST_SHOWN));
      Tips.on(
          more,
          String.join(
              "\n",
              outcome.remarks().stream()
                  .skip(MOST_SHOWN)
                  .map(ExportOutcome.Remark::toString)
                  .toList()));
      getChildren().add(more);
    }
    setVisible(true);
    return said;
  }

  private static Label line(String text) {
    Label line = new Label(text);
    line.getStyleClass().add("quiet");
    line.setWrapText(true);
    return line;
  }
}
