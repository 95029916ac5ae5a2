package dynamorph.app.action;

import java.util.Optional;
import javafx.beans.value.ObservableBooleanValue;
import javafx.scene.input.KeyCombination;

/**
 * Something that can be done.
 *
 * @param group heading on the shortcut sheet
 * @param shortcut in JavaFX notation, such as {@code Shortcut+S}
 */
public record Action(
    String name,
    String group,
    Optional<KeyCombination> shortcut,
    ObservableBooleanValue enabled,
    Runnable work) {
  public void run() {
    if (enabled.get()) {
      work.run();
    }
  }

  /** The shortcut as people read it, or nothing. */
  public String shortcutText() {
    return shortcut
        .map(KeyCombination::getDisplayText)
        .map(text -> text.replace("DIGIT", "").replace("BACK_SPACE", "Backspace"))
        .orElse("");
  }
}
