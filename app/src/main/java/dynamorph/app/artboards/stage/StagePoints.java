package dynamorph.app.artboards.stage;

import dynamorph.paint.scene.PlanePoint;
import dynamorph.paint.scene.Scene;
import dynamorph.typeset.layout.Box;
import java.util.Optional;
import javafx.geometry.Point2D;
import javafx.scene.canvas.GraphicsContext;

/** Between points of the stage's node and those of the plane that the artboards lie on. */
record StagePoints(StageView stage) {
  /** How far off a text a click may be and still hit it. */
  private static final double TOLERANCE = 3;

  /** What lies at a point of the node, or nearly there. */
  Optional<Scene.Found> hit(double x, double y) {
    double tolerance = TOLERANCE * stage.pixelRatio() / stage.view().scale();
    return stage.scene().flatMap(scene -> scene.at(planeX(x), planeY(y), tolerance));
  }

  /** The offset in the words of a text that is nearest to a point of the node. */
  int offsetAt(Scene.Found found, double x, double y) {
    PlanePoint point =
        found
            .text()
            .toLayout(
                planeX(x) - found.board().artboard().x(), planeY(y) - found.board().artboard().y());
    int offset = found.text().layout().offsetAt(point.x(), point.y());
    return TextKeys.atEdge(found.text().story().text(), offset);
  }

  /** The point of the plane that lies at a point of the node. */
  Point2D onPlane(double x, double y) {
    return new Point2D(planeX(x), planeY(y));
  }

  private double planeX(double x) {
    return stage.view().toPlaneX(x * stage.pixelRatio());
  }

  private double planeY(double y) {
    return stage.view().toPlaneY(y * stage.pixelRatio());
  }

  /** A box of the node on the plane. */
  Box toPlane(Box box) {
    return Box.between(planeX(box.x()), planeY(box.y()), planeX(box.right()), planeY(box.bottom()));
  }

  /** Where a place of the plane lies in the node. */
  double x(double planeX) {
    return stage.view().toPixelX(planeX) / stage.pixelRatio();
  }

  double y(double planeY) {
    return stage.view().toPixelY(planeY) / stage.pixelRatio();
  }

  /** Units of the node for a point of the plane. */
  double scale() {
    return stage.view().scale() / stage.pixelRatio();
  }

  /** A box of a layout, scaled to units of the node. */
  Box scaled(Box layout) {
    double scale = scale();
    return new Box(
        layout.x() * scale, layout.y() * scale, layout.width() * scale, layout.height() * scale);
  }

  /** A box of the plane in the node. */
  Box inNode(Box plane) {
    Box pixels = stage.view().toPixels(plane);
    double ratio = stage.pixelRatio();
    return new Box(
        pixels.x() / ratio, pixels.y() / ratio, pixels.width() / ratio, pixels.height() / ratio);
  }

  /** Saves the state and lets the context count in the text's own coordinates, unscaled. */
  void enter(GraphicsContext g, Scene.Found found) {
    double ratio = stage.pixelRatio();
    g.save();
    g.translate(
        stage.view().toPixelX(found.board().artboard().x() + found.text().anchorX()) / ratio,
        stage.view().toPixelY(found.board().artboard().y() + found.text().anchorY()) / ratio);
    g.rotate(found.text().look().placement().rotation());
    g.translate(-found.text().pivotX() * scale(), -found.text().pivotY() * scale());
  }
}
