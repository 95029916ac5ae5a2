package dynamorph.app.artboards.stage;

import dynamorph.model.value.WritingMode;
import dynamorph.typeset.layout.TextLayout;
import java.util.Optional;
import javafx.scene.input.KeyCode;

/** Where the arrow keys lead in lines that are not horizontal. */
final class CaretKeys {
  private CaretKeys() {}

  /** The key that does on a horizontal line what a key does in a text. */
  static KeyCode onLine(KeyCode key, Optional<TextLayout> text) {
    WritingMode mode = text.map(set -> set.axes().mode()).orElse(WritingMode.HORIZONTAL);
    if (!mode.isVertical()) {
      return key;
    }
    boolean leftwards = mode == WritingMode.VERTICAL_RIGHT_TO_LEFT;
    return switch (key) {
      case UP -> KeyCode.LEFT;
      case DOWN -> KeyCode.RIGHT;
      case LEFT -> leftwards ? KeyCode.DOWN : KeyCode.UP;
      case RIGHT -> leftwards ? KeyCode.UP : KeyCode.DOWN;
      default -> key;
    };
  }
}
