package dynamorph.app.field;

import dynamorph.app.message.Messages;
import java.util.Optional;
import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.Node;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/**
 * A field for a number with a unit. Enter or leaving the field sets what was typed; the up and down
 * arrows nudge and show at once (Shift ten times, Alt a tenth); dragging a handle sideways does the
 * same.
 *
 * @param <T> type of the value
 */
public final class NumberText<T> extends TextField {
  /** What a field knows of its values. */
  public interface Values<T> {
    String format(T value);

    /** Reads what was typed; fails with an IllegalArgumentException that says why. */
    T parse(String text);

    /** The value so many steps further. */
    T nudged(T value, double steps);

    /**
     * The same for a value that is several numbers.
     *
     * @param caret where the caret stands in the text
     */
    default T nudgedAt(T value, double steps, int caret) {
      return nudged(value, steps);
    }
  }

  /** Units of the window that a drag moves for one step. */
  private static final double DRAG_PER_STEP = 3;

  private final Values<T> values;
  private final ValueEditor.Sink<T> sink;
  private Optional<T> value = Optional.empty();
  private String shownText = "";
  private Object gesture = new Object();
  private double dragFrom;
  private double dragged;

  public NumberText(Values<T> values, ValueEditor.Sink<T> sink) {
    this.values = values;
    this.sink = sink;
    getStyleClass().add("number-text");
    setAccessibleRole(AccessibleRole.TEXT_FIELD);
    setPrefColumnCount(6);
    addEventFilter(KeyEvent.KEY_PRESSED, this::keyPressed);
    focusedProperty()
        .addListener((_, _, focused) -> {
          gesture = new Object();
          if (focused) {
            javafx.application.Platform.runLater(this::selectAll);
          } else {
            commit();
          }
        });
  }

  public void show(Optional<T> shown) {
    value = shown;
    shownText = shown.map(values::format).orElse("");
    setPromptText(shown.isEmpty() ? Messages.of("common.mixed") : "");
    if (!getText().equals(shownText)) {
      setText(shownText);
      if (isFocused()) {
        selectAll();
      }
    }
  }

  private void keyPressed(KeyEvent event) {
    if (event.getCode() == KeyCode.ENTER) {
      commit();
      selectAll();
      // with the shortcut key it means something for the whole window
      if (!event.isShortcutDown()) {
        event.consume();
      }
    } else if (event.getCode() == KeyCode.ESCAPE && !getText().equals(shownText)) {
      setText(shownText);
      selectAll();
      event.consume();
    } else if (event.getCode() == KeyCode.UP || event.getCode() == KeyCode.DOWN) {
      double step = event.isShiftDown() ? 10 : event.isAltDown() ? 0.1 : 1;
      nudge(event.getCode() == KeyCode.UP ? step : -step);
      event.consume();
    }
  }

  private void commit() {
    if (getText().equals(shownText)) {
      return;
    }
    try {
      T parsed = values.parse(getText());
      shownText = getText();
      sink.set(parsed, Optional.empty());
      value.ifPresent(now -> show(Optional.of(now)));
    } catch (IllegalArgumentException wrong) {
      sink.refuse(Messages.reason(wrong));
      setText(shownText);
    }
  }

  private void nudge(double steps) {
    if (!getText().equals(shownText)) {
      commit();
    }
    int caret = getSelection().getLength() == getLength() ? -1 : getCaretPosition();
    value.ifPresent(now -> {
      try {
        sink.set(values.nudgedAt(now, steps, caret), Optional.of(gesture));
        if (caret >= 0) {
          positionCaret(Math.min(caret, getLength()));
        }
      } catch (IllegalArgumentException beyondRange) {
        // the end of the range: nothing moves
      }
    });
  }

  /** Lets a node, such as the field's label, be dragged sideways to nudge. */
  public void nudgeBy(Node handle) {
    handle.setCursor(Cursor.H_RESIZE);
    handle.setOnMousePressed(event -> {
      gesture = new Object();
      dragFrom = event.getScreenX();
      dragged = 0;
    });
    handle.setOnMouseDragged(event -> {
      double steps = Math.rint((event.getScreenX() - dragFrom) / DRAG_PER_STEP);
      double factor = event.isShiftDown() ? 10 : event.isAltDown() ? 0.1 : 1;
      if (steps != dragged) {
        nudge((steps - dragged) * factor);
        dragged = steps;
      }
    });
    handle.setOnMouseReleased(_ -> gesture = new Object());
  }
}
