package dynamorph.app.survey;

import dynamorph.app.message.Messages;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

/** Asks why a finding is to stay as it is; nothing need be said. */
final class IgnoreField extends HBox {
  private final TextField note = new TextField();

  IgnoreField(Consumer<String> ignore, Runnable cancel) {
    super(6);
    setAlignment(Pos.CENTER_LEFT);
    note.setPromptText(Messages.of("survey.why"));
    note.setAccessibleText(Messages.of("survey.why"));
    note.setId("ignore-note");
    note.setMinWidth(60);
    HBox.setHgrow(note, Priority.ALWAYS);
    note.setOnAction(_ -> end(ignore));
    note.setOnKeyPressed(event -> {
      if (event.getCode() == KeyCode.ESCAPE) {
        cancel.run();
        event.consume();
      }
    });
    Button done = new Button(Messages.of("survey.ignore"));
    done.setId("ignore-done");
    done.setMinWidth(Region.USE_PREF_SIZE);
    done.setOnAction(_ -> end(ignore));
    getChildren().addAll(note, done);
  }

  /** What comes after it is shown only when nobody writes here any more. */
  private void end(Consumer<String> ignore) {
    String why = note.getText();
    note.setDisable(true);
    ignore.accept(why);
  }

  /** Puts the caret into it. */
  void begin() {
    note.requestFocus();
  }
}
