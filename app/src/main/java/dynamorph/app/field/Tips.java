package dynamorph.app.field;

import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.animation.PauseTransition;
import javafx.event.EventHandler;
import javafx.scene.Node;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;
import javafx.util.Duration;
import org.jspecify.annotations.Nullable;

/**
 * Says what a control is for when the pointer rests on it. One tooltip serves all: with one of its
 * own for each control, which is a window with a scene, a tenth of the start went into them.
 */
public final class Tips {
  private static final Object KEY = Tips.class;
  private static final Duration REST = Duration.millis(600);
  private static final Duration SHOWN = Duration.seconds(12);

  /** From the pointer's hot spot, so that the pointer covers no words, in pixels. */
  private static final double BESIDE = 8;

  private static final double BELOW = 18;

  private static final EventHandler<MouseEvent> POINTER = Tips::pointer;
  private static final PauseTransition RESTING = new PauseTransition(REST);
  private static final PauseTransition SHOWING = new PauseTransition(SHOWN);
  private static @Nullable Tooltip tooltip;
  private static @Nullable Node over;

  /** Who clicks knows what the control is for, until the pointer comes again. */
  private static @Nullable Node clicked;

  private static double x;
  private static double y;

  static {
    RESTING.setOnFinished(_ -> show());
    SHOWING.setOnFinished(_ -> hide());
  }

  /** Keys in words: the id of an action in angle brackets, perhaps in round ones as well. */
  private static final Pattern KEYS = Pattern.compile("\\s*\\(?<([a-z]+\\.[a-z-]+)>\\)?");

  private static UnaryOperator<String> keys = _ -> "";

  private Tips() {}

  /**
   * Says which keys actions have.
   *
   * @param ofAction the keys of an action by its id, as people read them; empty for none
   */
  public static void setKeys(UnaryOperator<String> ofAction) {
    keys = ofAction;
  }

  /** Words with the keys of the actions that they name, which go where an action has none. */
  public static String withKeys(String words) {
    return KEYS.matcher(words)
        .replaceAll(found -> {
          String own = keys.apply(found.group(1));
          String shown = found.group().replaceAll("<.*>", Matcher.quoteReplacement(own));
          return own.isEmpty() ? "" : Matcher.quoteReplacement(shown);
        });
  }

  /** Gives a node its tip, or none with no words; screen readers have it as help. */
  public static void on(Node node, @Nullable String words) {
    boolean had = node.getProperties().containsKey(KEY);
    if (words == null || words.isBlank()) {
      if (had) {
        node.getProperties().remove(KEY);
        node.setAccessibleHelp(null);
        node.removeEventHandler(MouseEvent.ANY, POINTER);
      }
      return;
    }
    node.getProperties().put(KEY, words);
    node.setAccessibleHelp(withKeys(words));
    if (!had) {
      node.addEventHandler(MouseEvent.ANY, POINTER);
    }
    if (node == over && tooltip != null) {
      tooltip.setText(withKeys(words));
    }
  }

  /** The tip of a node, or nothing. */
  private static @Nullable String of(Node node) {
    return (String) node.getProperties().get(KEY);
  }

  private static void pointer(MouseEvent event) {
    Node node = (Node) event.getSource();
    if (event.getEventType() == MouseEvent.MOUSE_ENTERED) {
      hide();
      over = node;
      rest(event);
    } else if (event.getEventType() == MouseEvent.MOUSE_MOVED && !isShowing()) {
      // out of a control with a tip into what is around it, which was entered before
      if (over == null && clicked != node) {
        over = node;
      }
      if (over == node) {
        rest(event);
      }
    } else if (event.getEventType() == MouseEvent.MOUSE_PRESSED) {
      hide();
      clicked = over;
      over = null;
    } else if (event.getEventType() == MouseEvent.MOUSE_EXITED) {
      if (over == node) {
        hide();
        over = null;
      }
      if (clicked == node) {
        clicked = null;
      }
    }
  }

  private static void rest(MouseEvent event) {
    x = event.getScreenX();
    y = event.getScreenY();
    RESTING.playFromStart();
  }

  private static boolean isShowing() {
    return tooltip != null && tooltip.isShowing();
  }

  private static void show() {
    Node node = over;
    String words = node == null ? null : of(node);
    if (node == null
        || words == null
        || node.getScene() == null
        || node.getScene().getWindow() == null
        || !node.getScene().getWindow().isShowing()) {
      return;
    }
    if (tooltip == null) {
      tooltip = new Tooltip();
    }
    tooltip.setText(withKeys(words));
    tooltip.show(node, x + BESIDE, y + BELOW);
    SHOWING.playFromStart();
  }

  private static void hide() {
    RESTING.stop();
    SHOWING.stop();
    if (tooltip != null) {
      tooltip.hide();
    }
  }
}
