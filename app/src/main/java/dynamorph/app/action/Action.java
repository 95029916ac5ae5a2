package dynamorph.app.action;

import java.util.Optional;
import javafx.beans.value.ObservableBooleanValue;
import javafx.scene.input.KeyCombination;

/**
 * Something that can be done.
 *
 * @param id stable; its group and what it does, such as {@code film.split}
 * @param name what people call it
 * @param group heading on the shortcut sheet
 * @param enabled whether it can be done now
 */
public record Action(
    String id,
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
        .map(text -> text.replace("Back Space", "Backspace"))
        .orElse("");
  }
}
