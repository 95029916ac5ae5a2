package dynamorph.model.cascade;

import dynamorph.model.value.Anchor;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.VerticalAlignment;

/**
 * The resolved place of a layer; lengths in points, angle in degrees clockwise.
 *
 * @param width measure of the box; without meaning for a point
 * @param height height of a fixed box
 */
public record Placement(
    Anchor anchor,
    double x,
    double y,
    double rotation,
    BoxFit fit,
    double width,
    double height,
    Inside inside) {
  /**
   * How a box holds its lines.
   *
   * @param gutter points between columns
   * @param grid points between the lines of the baseline grid; 0 for no grid
   * @param shrinkTo the smallest share of its size that a shrinking box sets text at
   */
  public record Inside(
      int columns, double gutter, VerticalAlignment vertical, double grid, double shrinkTo) {
    /** Width of a column in a box of the given width. */
    public double columnWidth(double width) {
      return Math.max(0, (width - (columns - 1) * gutter) / columns);
    }
  }

  Placement in(BoxFit changed) {
    return new Placement(anchor, x, y, rotation, changed, width, height, inside);
  }

  /** Where the anchor point lies on an artboard of this width. */
  public double anchorX(double artboardWidth) {
    return anchor.across() * artboardWidth + x;
  }

  /** Where the anchor point lies on an artboard of this height. */
  public double anchorY(double artboardHeight) {
    return anchor.down() * artboardHeight + y;
  }
}
