package dynamorph.app.action;

import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.value.ObservableBooleanValue;
import javafx.scene.input.KeyCombination;

/**
 * Something that can be done.
 *
 * @param id stable; its group and what it does, such as {@code film.split}
 * @param name what people call it
 * @param group heading on the shortcut sheet
 * @param keys that do it now; a person may choose others
 * @param usual keys
 * @param enabled whether it can be done now
 */
public record Action(
    String id,
    String name,
    String group,
    ReadOnlyObjectProperty<Optional<KeyCombination>> keys,
    Optional<KeyCombination> usual,
    ObservableBooleanValue enabled,
    Runnable work) {
  /** The keys that do it now. */
  public Optional<KeyCombination> shortcut() {
    return keys.get();
  }

  public void run() {
    if (enabled.get()) {
      work.run();
    }
  }

  /** The shortcut as people read it, or nothing. */
  public String shortcutText() {
    return shortcut().map(Action::text).orElse("");
  }

  /** Keys as people read them. */
  public static String text(KeyCombination keys) {
    return keys.getDisplayText().replace("Back Space", "Backspace");
  }
}
