package dynamorph.app.field;

import java.util.Optional;
import javafx.scene.control.TextInputDialog;
import javafx.stage.Window;
import org.jspecify.annotations.Nullable;

/** Asks for a line of words, such as a name. */
public final class NameQuestion {
  private NameQuestion() {}

  /**
   * Asks, and waits for the answer.
   *
   * @param owner the window that it stands over, if any
   * @param label what the words are
   * @param start the words that stand there at first
   * @return the words without blanks around them; empty if there are none, or nobody wants to say
   */
  public static Optional<String> ask(
      @Nullable Window owner, String title, String label, String start) {
    TextInputDialog dialog = new TextInputDialog(start);
    if (owner != null) {
      dialog.initOwner(owner);
    }
    dialog.setTitle(title);
    dialog.setHeaderText(null);
    dialog.setGraphic(null);
    dialog.setContentText(label);
    return dialog.showAndWait().map(String::strip).filter(text -> !text.isEmpty());
  }
}
