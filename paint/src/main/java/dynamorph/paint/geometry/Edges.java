package dynamorph.paint.geometry;

import dynamorph.model.cascade.Coat;
import dynamorph.model.value.StrokeCap;
import dynamorph.model.value.StrokeJoin;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.PaintMode;
import io.github.humbleui.skija.PaintStrokeCap;
import io.github.humbleui.skija.PaintStrokeJoin;
import io.github.humbleui.skija.Path;
import io.github.humbleui.skija.PathBuilder;
import io.github.humbleui.skija.PathOp;
import io.github.humbleui.types.Rect;

/** Moves the edges of shapes. The caller closes every path it is given. */
public final class Edges {
  /** Curves are kept to a sixteenth of a point at this scale. */
  private static final float PRECISION = 8;

  private static final float MOST_ENLARGED = 64;

  /** Farther out single precision gets coarse. */
  private static final double FARTHEST = 50_000;

  /**
   * A bevel goes by way of the corner itself, also where curves join smoothly, and shapes with so
   * many edges on top of each other are not united rightly. With this limit smooth joints stay
   * smooth, and what turns by more than 11 degrees is bevelled.
   */
  private static final float ALMOST_BEVEL = 1.005f;

  private Edges() {}

  /** The same area, its contours not crossing each other. */
  public static Path united(Path shape) {
    try (Path nothing = new Path()) {
      return combined(shape, nothing, PathOp.UNION);
    }
  }

  /**
   * The shape grown by a distance, or shrunk by a negative one: the union of the shape with a
   * stroke along its edge, or the difference from it.
   *
   * @param distance points
   */
  public static Path moved(Path shape, double distance, Coat.Corner corner) {
    if (distance == 0) {
      return united(shape);
    }
    try (Path along = stroked(shape, 2 * Math.abs(distance), corner, StrokeCap.BUTT)) {
      return combined(shape, along, distance > 0 ? PathOp.UNION : PathOp.DIFFERENCE);
    }
  }

  /** What lies in one shape and not in another. */
  public static Path difference(Path one, Path other) {
    return combined(one, other, PathOp.DIFFERENCE);
  }

  /** What lies in both of two shapes. */
  public static Path common(Path one, Path other) {
    return combined(one, other, PathOp.INTERSECT);
  }

  /** What lies in either of two shapes. */
  public static Path union(Path one, Path other) {
    return combined(one, other, PathOp.UNION);
  }

  /** The area that a stroke along a path covers. The caller closes it. */
  public static Path stroked(Path shape, double width, Coat.Corner corner, StrokeCap cap) {
    try (Paint paint = new Paint();
        PathBuilder builder = new PathBuilder()) {
      setStroke(paint, width, corner, cap);
      if (corner.join() == StrokeJoin.BEVEL) {
        paint.setStrokeJoin(PaintStrokeJoin.MITER).setStrokeMiter(ALMOST_BEVEL);
      }
      shape.fillWithPaint(paint, builder, PRECISION);
      return builder.detach();
    }
  }

  /** Makes a paint draw along edges. */
  public static void setStroke(Paint paint, double width, Coat.Corner corner, StrokeCap cap) {
    paint
        .setMode(PaintMode.STROKE)
        .setStrokeWidth((float) width)
        .setStrokeMiter((float) corner.miterLimit())
        .setStrokeJoin(join(corner.join()))
        .setStrokeCap(
            switch (cap) {
              case BUTT -> PaintStrokeCap.BUTT;
              case ROUND -> PaintStrokeCap.ROUND;
              case SQUARE -> PaintStrokeCap.SQUARE;
            });
  }

  private static PaintStrokeJoin join(StrokeJoin join) {
    return switch (join) {
      case MITER -> PaintStrokeJoin.MITER;
      case ROUND -> PaintStrokeJoin.ROUND;
      case BEVEL -> PaintStrokeJoin.BEVEL;
    };
  }

  /**
   * Two shapes as one; where that cannot be worked out, both on top of each other. Curves are told
   * apart by a quarter of a unit there, so it is done on enlarged shapes.
   */
  private static Path combined(Path one, Path other, PathOp op) {
    float scale = enlargement(one, other);
    try (Path large = one.makeScale(scale);
        Path otherLarge = other.makeScale(scale);
        Path combined = Path.makeCombining(large, otherLarge, op)) {
      if (combined != null) {
        return combined.makeScale(1 / scale);
      }
    }
    try (PathBuilder builder = new PathBuilder(one)) {
      if (op == PathOp.UNION) {
        builder.addPath(other);
      }
      return builder.detach();
    }
  }

  /** A power of two, so that nothing is lost by it. */
  private static float enlargement(Path one, Path other) {
    double farthest = Math.max(farthest(one.getBounds()), farthest(other.getBounds()));
    float scale = MOST_ENLARGED;
    while (scale > 1 && farthest * scale > FARTHEST) {
      scale /= 2;
    }
    return scale;
  }

  private static double farthest(Rect bounds) {
    return Math.max(
        Math.max(Math.abs(bounds.getLeft()), Math.abs(bounds.getRight())),
        Math.max(Math.abs(bounds.getTop()), Math.abs(bounds.getBottom())));
  }
}
