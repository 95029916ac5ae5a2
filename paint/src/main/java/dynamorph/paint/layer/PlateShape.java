package dynamorph.paint.layer;

import dynamorph.model.cascade.Coat;
import dynamorph.model.value.PaintFit;
import dynamorph.paint.geometry.Edges;
import dynamorph.typeset.layout.Box;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.Path;
import io.github.humbleui.types.RRect;
import java.util.List;

/** A rounded box. */
final class PlateShape implements Stencil.Shape, AutoCloseable {
  private final Box box;
  private final RRect rounded;
  private final Planes planes;
  private Path outline;

  /**
   * @param radius of its corners in points, as far as the box has room for it
   */
  PlateShape(Box box, double radius, Planes planes) {
    this.planes = planes;
    this.box = box;
    float most = (float) Math.min(radius, Math.min(box.width(), box.height()) / 2);
    this.rounded =
        RRect.makeXYWH(
            (float) box.x(), (float) box.y(), (float) box.width(), (float) box.height(), most);
  }

  @Override
  public void draw(Canvas canvas, Paint paint) {
    canvas.drawRRect(rounded, paint);
  }

  @Override
  public Path outline() {
    if (outline == null) {
      outline = Path.makeRRect(rounded);
    }
    return outline;
  }

  @Override
  public Path moved(double distance, Coat.Corner corner) {
    return Edges.moved(outline(), distance, corner);
  }

  @Override
  public Box bounds() {
    return box;
  }

  @Override
  public List<Stencil.Part> parts(PaintFit fit) {
    return List.of(new Stencil.Part(this, box));
  }

  @Override
  public Object identity() {
    return List.of(box, rounded);
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
    if (outline != null) {
      outline.close();
    }
  }
}
