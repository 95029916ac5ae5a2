package dynamorph.app.session;

import java.util.List;

/**
 * Something to tell the person, in a bar that does not get in the way.
 *
 * @param problem whether something went wrong
 * @param offers what can be done about it
 */
public record Notice(String text, boolean problem, List<Offer> offers) {
  /** Something to be done. */
  public sealed interface Offer {
    String label();

    /** Something that can be pressed. */
    record Press(String label, Runnable run) implements Offer {}

    /** Something of which any part can be ticked. */
    record Ticks(String label, List<Tick> ticks) implements Offer {
      public Ticks {
        ticks = List.copyOf(ticks);
      }
    }
  }

  /** One of several that can be ticked; what it does is done at once. */
  public record Tick(String label, boolean on, Runnable flip) {}

  public Notice {
    offers = List.copyOf(offers);
  }

  public static Notice info(String text) {
    return new Notice(text, false, List.of());
  }

  public static Notice problem(String text) {
    return new Notice(text, true, List.of());
  }

  public static Notice offering(String text, String label, Runnable run) {
    return new Notice(text, false, List.of(new Offer.Press(label, run)));
  }

  public static Notice offering(String text, Offer... offers) {
    return new Notice(text, false, List.of(offers));
  }
}
