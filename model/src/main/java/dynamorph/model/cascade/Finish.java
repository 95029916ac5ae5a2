package dynamorph.model.cascade;

import dynamorph.model.value.BlendMode;
import java.util.List;
import java.util.Optional;

/**
 * The whole painted appearance.
 *
 * @param coats those that show, in paint order
 * @param effects of everything painted together, in order
 * @param group how everything painted, effects included, lies over what is below
 */
public record Finish(List<Coat> coats, List<Effect> effects, Group group) {
  /** Nothing is painted. */
  public static final Finish NONE = new Finish(List.of(), List.of());

  /**
   * How coats and effects are composited as one (W3C Compositing and Blending 1, 3.2).
   *
   * @param opacity of all, from 0 to 1
   * @param mask what lets all show where it is light and opaque (CSS Masking 1, 7.10.1), fitted to
   *     the layer; empty for none
   */
  public record Group(double opacity, BlendMode blend, Optional<Paint> mask) {
    public static final Group PLAIN = new Group(1, BlendMode.NORMAL, Optional.empty());

    /** Whether it makes no difference that coats are one. */
    public boolean isPlain() {
      return equals(PLAIN);
    }
  }

  public Finish {
    coats = List.copyOf(coats);
    effects = List.copyOf(effects);
  }

  /** Coats and effects that lie over what is below one by one. */
  public Finish(List<Coat> coats, List<Effect> effects) {
    this(coats, effects, Group.PLAIN);
  }

  /** Whether each coat is painted for itself, with nothing that belongs to all of them. */
  public boolean isLoose() {
    return effects.isEmpty() && group.isPlain();
  }
}
