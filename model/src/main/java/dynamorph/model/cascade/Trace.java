package dynamorph.model.cascade;

import dynamorph.model.property.PropertyKey;
import java.util.List;

/**
 * Where the value of one property comes from: every level that sets it, nearest first. The first
 * step counts; the others are overridden, or are what a relative value is worked out against.
 */
public record Trace<T>(PropertyKey<T> key, List<Step<T>> steps) {
  /**
   * One level that sets the property.
   *
   * @param declared as it was set, perhaps relative
   * @param computed what it comes to
   */
  public record Step<T>(Source source, T declared, T computed) {}

  public Trace {
    steps = List.copyOf(steps);
  }

  /** The step that counts. */
  public Step<T> winner() {
    return steps.getFirst();
  }
}
