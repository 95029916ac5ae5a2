package dynamorph.app.field;

import dynamorph.model.property.PropertyKey;
import java.util.Optional;
import javafx.scene.Node;

/**
 * An editor for the value of one property.
 *
 * @param <T> type of the value
 */
public interface ValueEditor<T> {
  Node node();

  /** Shows a value, or that there are several. */
  void show(Shown<T> shown);

  /** Takes what the person sets. */
  interface Sink<T> {
    /**
     * @param gesture equal for all values of one drag or one run of nudges
     */
    void set(T value, Optional<Object> gesture);

    /** Tells that what was typed makes no sense. */
    void refuse(String why);
  }

  /**
   * What is to be shown.
   *
   * @param key which property
   * @param value what counts, empty if mixed
   * @param declared as it was set, such as ×1.2; the same as the value if it is absolute
   */
  record Shown<T>(PropertyKey<T> key, Optional<T> value, Optional<T> declared) {}
}
