package dynamorph.model.cascade;

import dynamorph.model.value.Anchor;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.FrameArea;
import dynamorph.model.value.VerticalAlignment;
import dynamorph.model.value.WritingMode;

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
    Share share,
    Inside inside) {
  /**
   * What depends on the frame that a text stands in.
   *
   * @param area that the anchor is a point of
   * @param across part of the width of the area, besides the points
   * @param down part of its height
   * @param width of the box as a part of the width of the area; 0 for a width in points
   */
  public record Share(FrameArea area, double across, double down, double width) {
    public static final Share NONE = new Share(FrameArea.FRAME, 0, 0, 0);
  }

  /**
   * How a box holds its lines. In vertical text columns lie below each other.
   *
   * @param gutter points between columns
   * @param grid points between the lines of the baseline grid; 0 for no grid
   * @param shrinkTo the smallest share of its size that a shrinking box sets text at
   */
  public record Inside(
      WritingMode mode,
      int columns,
      double gutter,
      VerticalAlignment vertical,
      double grid,
      double shrinkTo) {
    /** Length of lines in a box that has the given length in their direction. */
    public double columnWidth(double lines) {
      return Math.max(0, (lines - (columns - 1) * gutter) / columns);
    }
  }

  Placement in(BoxFit changed) {
    return new Placement(anchor, x, y, rotation, changed, width, height, share, inside);
  }

  /** Where the anchor point lies on an artboard of this width. */
  public double anchorX(double artboardWidth) {
    return anchor.across() * artboardWidth
        + offset(anchor.across(), share.across, artboardWidth)
        + x;
  }

  /** Where the anchor point lies on an artboard of this height. */
  public double anchorY(double artboardHeight) {
    return anchor.down() * artboardHeight + offset(anchor.down(), share.down, artboardHeight) + y;
  }

  /** How far inwards the area moves a point of the frame, and how far its own share does. */
  private double offset(double at, double part, double size) {
    double area = share.area.share();
    return ((0.5 - at) * (1 - area) + part * area) * size;
  }

  /** The same place with lengths in points only, on an artboard of a size in points. */
  public Placement on(double artboardWidth, double artboardHeight) {
    return share.equals(Share.NONE)
        ? this
        : new Placement(
            anchor,
            anchorX(artboardWidth) - anchor.across() * artboardWidth,
            anchorY(artboardHeight) - anchor.down() * artboardHeight,
            rotation,
            fit,
            share.width == 0 ? width : share.width * share.area.share() * artboardWidth,
            height,
            Share.NONE,
            inside);
  }
}
