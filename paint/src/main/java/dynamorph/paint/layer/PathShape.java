package dynamorph.paint.layer;

import dynamorph.model.cascade.Coat;
import dynamorph.model.value.PaintFit;
import dynamorph.paint.geometry.Edges;
import dynamorph.typeset.layout.Box;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.Path;
import io.github.humbleui.skija.PathBuilder;
import io.github.humbleui.types.RRect;
import io.github.humbleui.types.Rect;
import java.util.List;

/** A path as a shape of one part: a plate, or a single glyph. Close it after use. */
final class PathShape implements Stencil.Shape {
  private final Path path;
  private final Box bounds;
  private final Object identity;
  private final Planes planes;

  private PathShape(Path path, Box bounds, Object identity, Planes planes) {
    this.path = path;
    this.bounds = bounds;
    this.identity = identity;
    this.planes = planes;
  }

  /**
   * A rounded box.
   *
   * @param radius of its corners in points, as far as the box has room for it
   */
  static PathShape box(Box box, double radius, Planes planes) {
    float most = (float) Math.min(radius, Math.min(box.width(), box.height()) / 2);
    RRect rounded =
        RRect.makeXYWH(
            (float) box.x(), (float) box.y(), (float) box.width(), (float) box.height(), most);
    return new PathShape(Path.makeRRect(rounded), box, rounded, planes);
  }

  /** A shape of its own from a path that is closed by someone else. */
  static PathShape copyOf(Path path, Planes planes) {
    Rect rect = path.computeTightBounds();
    Box bounds = new Box(rect.getLeft(), rect.getTop(), rect.getWidth(), rect.getHeight());
    try (PathBuilder builder = new PathBuilder(path)) {
      return new PathShape(builder.detach(), bounds, new Object(), planes);
    }
  }

  @Override
  public void draw(Canvas canvas, Paint paint) {
    canvas.drawPath(path, paint);
  }

  @Override
  public Path outline() {
    return path;
  }

  @Override
  public Path moved(double distance, Coat.Corner corner) {
    return Edges.moved(path, distance, corner);
  }

  @Override
  public Box bounds() {
    return bounds;
  }

  @Override
  public List<Stencil.Part> parts(PaintFit fit) {
    return List.of(new Stencil.Part(this, bounds));
  }

  @Override
  public Object identity() {
    return identity;
  }

  @Override
  public Planes planes() {
    return planes;
  }

  @Override
  public boolean overlaps() {
    return false;
  }

  @Override
  public void close() {
    path.close();
  }
}
