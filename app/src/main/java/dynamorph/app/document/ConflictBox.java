package dynamorph.app.document;

import dynamorph.app.field.Controls;
import dynamorph.app.message.Messages;
import dynamorph.formats.document.DocumentUpdate;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** A paragraph that was changed here and in the document, and which of the two is wanted. */
final class ConflictBox extends VBox {
  /**
   * Asks about a paragraph.
   *
   * @param theirs whether that of the document is wanted so far
   * @param chosen is told whether that of the document is wanted
   */
  ConflictBox(
      int index, DocumentUpdate.Conflict conflict, boolean theirs, Consumer<Boolean> chosen) {
    super(4);
    HBox pills = new HBox(6);
    ToggleGroup group = new ToggleGroup();
    for (boolean ours : List.of(true, false)) {
      ToggleButton pill =
          new ToggleButton(Messages.of(ours ? "document.keep-mine" : "document.take-theirs"));
      pill.getStyleClass().add("pill");
      pill.setId((ours ? "document-mine-" : "document-theirs-") + index);
      pill.setToggleGroup(group);
      pill.setSelected(theirs != ours);
      pill.setOnAction(_ -> chosen.accept(!ours));
      pills.getChildren().add(pill);
    }
    String gone = Messages.of("document.no-longer-there");
    Label heading = new Label(Messages.of("document.changed-on-both-sides"));
    heading.getStyleClass().add("section-title");
    getChildren()
        .addAll(
            heading,
            Controls.quiet(
                Messages.of("document.here", conflict.mine().isEmpty() ? gone : conflict.mine())),
            Controls.quiet(
                Messages.of(
                    "document.in-the-document",
                    conflict.theirs().isEmpty() ? gone : conflict.theirs())),
            pills);
    getStyleClass().add("document-conflict");
  }
}
