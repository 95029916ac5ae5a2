package dynamorph.app.action;

import dynamorph.app.message.Messages;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;

/** Which keys can be a shortcut. */
public final class KeyRules {
  /** Where the caret goes in words, and what is deleted there. */
  private static final Set<KeyCode> OF_WORDS =
      Set.of(
          KeyCode.LEFT,
          KeyCode.RIGHT,
          KeyCode.HOME,
          KeyCode.END,
          KeyCode.BACK_SPACE,
          KeyCode.DELETE);

  private KeyRules() {}

  /** The keys that are held down; empty as long as only Shift, Ctrl and the like are. */
  public static Optional<KeyCombination> of(KeyEvent event) {
    KeyCode code = event.getCode();
    if (code.isModifierKey() || code == KeyCode.UNDEFINED || code == KeyCode.CAPS) {
      return Optional.empty();
    }
    List<KeyCombination.Modifier> held = new ArrayList<>();
    if (event.isShortcutDown()) {
      held.add(KeyCombination.SHORTCUT_DOWN);
    } else if (event.isControlDown()) {
      held.add(KeyCombination.CONTROL_DOWN);
    }
    if (event.isAltDown()) {
      held.add(KeyCombination.ALT_DOWN);
    }
    if (event.isShiftDown()) {
      held.add(KeyCombination.SHIFT_DOWN);
    }
    return Optional.of(new KeyCodeCombination(code, held.toArray(KeyCombination.Modifier[]::new)));
  }

  /** Whether keys cannot be mistaken for typing. */
  public static boolean isShortcut(KeyEvent event) {
    return event.isShortcutDown()
        || event.isControlDown()
        || event.isAltDown()
        || event.getCode().isFunctionKey();
  }

  /** Why keys cannot be a shortcut. */
  public static Optional<String> problem(KeyCombination keys) {
    if (!(keys instanceof KeyCodeCombination combination)) {
      return Optional.of(Messages.of("key-rules.no-key"));
    }
    KeyCode code = combination.getCode();
    boolean held =
        combination.getShortcut() == KeyCombination.ModifierValue.DOWN
            || combination.getControl() == KeyCombination.ModifierValue.DOWN
            || combination.getAlt() == KeyCombination.ModifierValue.DOWN;
    if (!held && !code.isFunctionKey()) {
      return Optional.of(Messages.of("key-rules.for-typing"));
    }
    if (OF_WORDS.contains(code)) {
      return Optional.of(Messages.of("key-rules.of-words"));
    }
    return Optional.empty();
  }
}
