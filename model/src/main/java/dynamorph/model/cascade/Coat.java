package dynamorph.model.cascade;

import dynamorph.model.value.Rgba;
import dynamorph.model.value.StrokeJoin;
import dynamorph.model.value.StrokePosition;
import java.util.List;

/**
 * One visible layer of paint, ready to draw: lengths in points, colours looked up, opacity in the
 * colour's alpha.
 */
public sealed interface Coat {
  Rgba colour();

  List<DropShadow> shadows();

  /** How far the coat itself reaches beyond the letter edge, in points, without its effects. */
  double outset();

  /** Paints the inside of the letters. */
  record Fill(Rgba colour, List<DropShadow> shadows) implements Coat {
    @Override
    public double outset() {
      return 0;
    }
  }

  /**
   * Paints along the letter edge.
   *
   * @param width points
   */
  record Stroke(
      Rgba colour, double width, StrokePosition position, StrokeJoin join, List<DropShadow> shadows)
      implements Coat {
    /**
     * How far a miter may reach in widths; sharper corners are cut off (the limit of SVG and PDF is
     * 4 or 10).
     */
    public static final double MITER_LIMIT = 4;

    @Override
    public double outset() {
      double reach =
          switch (position) {
            case INSIDE -> 0;
            case CENTRE -> width / 2;
            case OUTSIDE -> width;
          };
      return join == StrokeJoin.MITER ? reach * MITER_LIMIT : reach;
    }
  }

  /**
   * A shadow cast by a coat.
   *
   * @param across offset to the right in points
   * @param down offset downwards in points
   * @param blur twice the standard deviation, in points
   */
  record DropShadow(Rgba colour, double across, double down, double blur) {}
}
