package dynamorph.model.cascade;

import dynamorph.model.value.Anchor;
import dynamorph.model.value.BoxFit;

/**
 * The resolved place of a layer; lengths in points, angle in degrees clockwise.
 *
 * @param width measure of the box; without meaning for a point
 * @param height height of a fixed box
 */
public record Placement(
    Anchor anchor, double x, double y, double rotation, BoxFit fit, double width, double height) {
  /** Where the anchor point lies on an artboard of this width. */
  public double anchorX(double artboardWidth) {
    return anchor.across() * artboardWidth + x;
  }

  /** Where the anchor point lies on an artboard of this height. */
  public double anchorY(double artboardHeight) {
    return anchor.down() * artboardHeight + y;
  }
}
