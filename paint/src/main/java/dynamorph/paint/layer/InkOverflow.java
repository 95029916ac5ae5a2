package dynamorph.paint.layer;

import dynamorph.model.cascade.Coat;
import dynamorph.model.cascade.Effect;
import dynamorph.model.cascade.Finish;
import dynamorph.typeset.layout.Box;
import java.util.List;

/** How far coats and their effects reach beyond the shape they are painted on. */
final class InkOverflow {
  private InkOverflow() {}

  /**
   * @param shape the box around what is painted on
   * @param middle the box about whose middle coats are turned
   */
  static Box of(Box shape, Box middle, Finish finish) {
    Box reach = shape;
    for (Coat coat : finish.coats()) {
      double outset = outset(coat.effects());
      reach = reach.with(new CoatCopies(coat).reach(shape, middle).grown(outset, outset));
    }
    double outset = outset(finish.effects());
    return reach.grown(outset, outset);
  }

  /** How far effects reach beyond what they belong to, in points. */
  static double outset(List<Effect> effects) {
    double blurred = 0;
    double reach = 0;
    for (Effect effect : effects) {
      if (effect instanceof Effect.Blur) {
        blurred += effect.outset();
      }
      reach = Math.max(reach, blurred + effect.outset());
    }
    return reach;
  }
}
