package dynamorph.model.cascade;

import java.util.List;

/**
 * The whole painted appearance.
 *
 * @param coats those that show, in paint order
 * @param effects of everything painted together, in order
 */
public record Finish(List<Coat> coats, List<Effect> effects) {
  /** Nothing is painted. */
  public static final Finish NONE = new Finish(List.of(), List.of());

  public Finish {
    coats = List.copyOf(coats);
    effects = List.copyOf(effects);
  }
}
