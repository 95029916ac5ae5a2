package dynamorph.paint.scene;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.cascade.Placement;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.typeset.layout.Box;
import dynamorph.typeset.layout.TextLayout;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.types.Point;

/**
 * A text where it stands on its artboard. Its own coordinates are those of its layout; they are
 * turned about the anchor.
 *
 * @param anchorX where the anchor lies on the artboard, in points
 * @param anchorY where the anchor lies on the artboard, in points
 * @param ink what is painted, in points of the layout
 */
public record PlacedLayer(
    Layer layer, ResolvedLayer look, TextLayout layout, double anchorX, double anchorY, Box ink) {
  static PlacedLayer of(
      Artboard artboard, Layer layer, ResolvedLayer look, TextLayout layout, Box ink) {
    Placement placement = look.placement();
    return new PlacedLayer(
        layer,
        look,
        layout,
        placement.anchorX(artboard.width()),
        placement.anchorY(artboard.height()),
        ink);
  }

  /** How far right of the layout's left edge the anchor lies. */
  public double pivotX() {
    return look.placement().anchor().across() * layout.width();
  }

  /** How far below the layout's top edge the anchor lies. */
  public double pivotY() {
    return look.placement().anchor().down() * layout.height();
  }

  /** Lets a canvas that counts in points of the artboard count in points of the layout. */
  public void enter(Canvas canvas) {
    canvas.translate((float) anchorX, (float) anchorY);
    canvas.rotate((float) look.placement().rotation());
    canvas.translate((float) -pivotX(), (float) -pivotY());
  }

  /** The point of the artboard where a point of the layout lies. */
  public Point toArtboard(double x, double y) {
    double angle = Math.toRadians(look.placement().rotation());
    double dx = x - pivotX();
    double dy = y - pivotY();
    return new Point(
        (float) (anchorX + dx * Math.cos(angle) - dy * Math.sin(angle)),
        (float) (anchorY + dx * Math.sin(angle) + dy * Math.cos(angle)));
  }

  /** The point of the layout that lies at a point of the artboard. */
  public Point toLayout(double x, double y) {
    double angle = Math.toRadians(look.placement().rotation());
    double dx = x - anchorX;
    double dy = y - anchorY;
    return new Point(
        (float) (pivotX() + dx * Math.cos(angle) + dy * Math.sin(angle)),
        (float) (pivotY() - dx * Math.sin(angle) + dy * Math.cos(angle)));
  }

  /** The upright box on the artboard around a box of the layout. */
  public Box onArtboard(Box box) {
    Box bounds = null;
    double[][] corners = {
      {box.x(), box.y()},
      {box.right(), box.y()},
      {box.x(), box.bottom()},
      {box.right(), box.bottom()}
    };
    for (double[] corner : corners) {
      Point point = toArtboard(corner[0], corner[1]);
      Box dot = new Box(point.getX(), point.getY(), 0, 0);
      bounds = bounds == null ? dot : bounds.with(dot);
    }
    return bounds;
  }

  /** The upright box on the artboard around the layout. */
  public Box bounds() {
    return onArtboard(layout.box());
  }

  /** Whether a point of the artboard hits the text's box or its ink, give or take some points. */
  public boolean isHit(double x, double y, double tolerance) {
    Point point = toLayout(x, y);
    return layout.box().grown(tolerance, tolerance).contains(point.getX(), point.getY());
  }
}
