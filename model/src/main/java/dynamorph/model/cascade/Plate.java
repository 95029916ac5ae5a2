package dynamorph.model.cascade;

import dynamorph.model.value.PlateExtent;
import java.util.List;

/**
 * The box behind a layer's text; lengths in points. Without coats there is none.
 *
 * @param leastWidth how wide it is at least
 */
public record Plate(
    PlateExtent around, Padding padding, Corners corners, double leastWidth, Finish finish) {
  /** How far it reaches beyond the text. */
  public record Padding(double above, double right, double below, double left) {
    public static final Padding NONE = new Padding(0, 0, 0, 0);
  }

  /** The radii of its corners. */
  public record Corners(double topLeft, double topRight, double bottomRight, double bottomLeft) {
    public static final Corners SHARP = new Corners(0, 0, 0, 0);

    /** The same radius for all. */
    public static Corners all(double radius) {
      return new Corners(radius, radius, radius, radius);
    }
  }

  /** No plate. */
  public static final Plate NONE =
      new Plate(PlateExtent.LAYER, Padding.NONE, Corners.SHARP, 0, Finish.NONE);

  public List<Coat> coats() {
    return finish.coats();
  }
}
