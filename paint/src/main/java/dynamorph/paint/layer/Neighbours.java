package dynamorph.paint.layer;

import dynamorph.model.cascade.Coat;
import dynamorph.model.cascade.Effect;
import dynamorph.model.value.BlendMode;
import dynamorph.model.value.StrokePosition;
import java.util.List;

/**
 * What other coats do to the letter edge of one. A fill and a stroke outside of it meet at the
 * edge, and each covers a part of the pixels there; painted one over the other, what lies below
 * both would show through by the product of the two parts. So the lower one goes on below the upper
 * one where that hides it.
 *
 * @param covered whether an opaque fill above hides what lies within the edge
 * @param rim how far outside of the edge an opaque stroke above hides what lies there, in points
 */
record Neighbours(boolean covered, double rim) {
  static final Neighbours NONE = new Neighbours(false, 0);

  /** What the coats above one do to it. */
  static Neighbours of(List<Coat> coats, int rank) {
    if (!coats.get(rank).isInPlace()) {
      return NONE;
    }
    List<Coat> above = coats.subList(rank + 1, coats.size());
    return new Neighbours(
        above.stream().anyMatch(Neighbours::covers),
        above.stream().mapToDouble(Neighbours::hidden).max().orElse(0));
  }

  private static boolean covers(Coat coat) {
    return coat.shape() instanceof Coat.Fill fill
        && fill.offset() >= 0
        && coat.transform().isNone()
        && isHiding(coat);
  }

  private static double hidden(Coat coat) {
    return isRim(coat) && isHiding(coat) ? ((Coat.Stroke) coat.shape()).width() : 0;
  }

  private static boolean isHiding(Coat coat) {
    return coat.isOpaque()
        && coat.effects().stream().noneMatch(effect -> effect instanceof Effect.Blur);
  }

  /** A stroke without gaps that begins at the letter edge and lies outside of it. */
  private static boolean isRim(Coat coat) {
    return coat.isInPlace()
        && coat.shape() instanceof Coat.Stroke stroke
        && stroke.position() == StrokePosition.OUTSIDE
        && stroke.offset() == 0
        && stroke.width() > 0
        && stroke.dashing().isSolid();
  }

  private static boolean isPlainFill(Coat coat) {
    return coat.isInPlace() && coat.shape() instanceof Coat.Fill fill && fill.offset() == 0;
  }

  /**
   * Whether a coat and the one above it meet at the letter edge, side by side, and the upper one
   * hides nothing: the two are then added up, since neither can go on below the other.
   */
  static boolean meet(Coat lower, Coat upper) {
    boolean sideBySide = isPlainFill(lower) && isRim(upper) || isRim(lower) && isPlainFill(upper);
    return sideBySide
        && !isHiding(upper)
        && lower.blend() == BlendMode.NORMAL
        && upper.blend() == BlendMode.NORMAL
        && lower.effects().isEmpty()
        && upper.effects().isEmpty();
  }
}
