package dynamorph.app.workspace;

import java.util.Optional;

/**
 * Something to tell the person, in a bar that does not get in the way.
 *
 * @param problem whether something went wrong
 * @param action what can be done about it
 */
public record Notice(String text, boolean problem, Optional<Offer> action) {
  /** Something that can be pressed. */
  public record Offer(String label, Runnable run) {}

  public static Notice info(String text) {
    return new Notice(text, false, Optional.empty());
  }

  public static Notice problem(String text) {
    return new Notice(text, true, Optional.empty());
  }

  public static Notice offering(String text, String label, Runnable run) {
    return new Notice(text, false, Optional.of(new Offer(label, run)));
  }
}
