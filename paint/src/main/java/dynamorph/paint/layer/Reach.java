package dynamorph.paint.layer;

import dynamorph.model.cascade.Coat;
import dynamorph.typeset.layout.Box;
import java.util.List;

/** How far coats and their effects reach beyond the shape they are painted on. */
final class Reach {
  /** A Gaussian blur is drawn as nothing beyond three standard deviations. */
  private static final double DEVIATIONS = 3;

  private Reach() {}

  static Box of(Box shape, Coat coat) {
    Box own = shape.grown(coat.outset(), coat.outset());
    Box reach = own;
    for (Coat.DropShadow shadow : coat.shadows()) {
      double blur = shadow.blur() / 2 * DEVIATIONS;
      reach = reach.with(own.moved(shadow.across(), shadow.down()).grown(blur, blur));
    }
    return reach;
  }

  static Box of(Box shape, List<Coat> coats) {
    return coats.stream().map(coat -> of(shape, coat)).reduce(Box::with).orElse(shape);
  }
}
