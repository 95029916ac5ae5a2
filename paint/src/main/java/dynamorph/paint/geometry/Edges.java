package dynamorph.paint.geometry;

import static java.util.Objects.requireNonNull;

import dynamorph.model.cascade.Coat;
import dynamorph.model.value.StrokeCap;
import dynamorph.model.value.StrokeJoin;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.PaintMode;
import io.github.humbleui.skija.PaintStrokeCap;
import io.github.humbleui.skija.PaintStrokeJoin;
import io.github.humbleui.skija.Path;
import io.github.humbleui.skija.PathBuilder;
import io.github.humbleui.skija.PathDirection;
import io.github.humbleui.skija.PathFillMode;
import io.github.humbleui.skija.PathOp;
import io.github.humbleui.types.Rect;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Moves the edges of shapes. The caller closes every path it is given. */
public final class Edges {
  /** Curves are kept to a sixteenth of a point at this scale. */
  private static final float PRECISION = 8;

  private static final float MOST_ENLARGED = 64;

  /** How much larger shapes are made that did not come out right. */
  private static final float[] ENLARGED = {1, 0.731f, 0.387f, 0.1937f};

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
   * The shape grown by a distance, or shrunk by a negative one: with round corners, all that is
   * within the distance of it, or all that is farther than that from what is outside.
   *
   * @param distance points
   */
  public static Path moved(Path shape, double distance, Coat.Corner corner) {
    Path united = united(shape);
    if (distance == 0) {
      return united;
    }
    try (united) {
      return movedUnited(united, distance, corner);
    }
  }

  /**
   * The same as {@link #moved} for a shape that is known to be united.
   *
   * @param distance points, not 0
   */
  public static Path movedUnited(Path united, double distance, Coat.Corner corner) {
    List<ClosedContour> contours = ClosedContour.directed(ClosedContour.of(united));
    return distance > 0
        ? grown(contours, distance, corner)
        : shrunk(contours, united.getBounds(), -distance, corner);
  }

  private static Path grown(List<ClosedContour> contours, double distance, Coat.Corner corner) {
    try (PathBuilder builder = new PathBuilder(PathFillMode.WINDING)) {
      OffsetContours offset = new OffsetContours(distance, corner, builder);
      contours.forEach(offset::add);
      try (Path raw = builder.detach()) {
        return united(raw);
      }
    }
  }

  /** What is left when all around the shape is grown. */
  private static Path shrunk(
      List<ClosedContour> contours, Rect bounds, double distance, Coat.Corner corner) {
    try (PathBuilder builder = new PathBuilder(PathFillMode.WINDING);
        Path within = Path.makeRect(around(bounds, 1))) {
      builder.addRect(around(bounds, 2), PathDirection.CLOCKWISE);
      OffsetContours offset = new OffsetContours(distance, corner, builder);
      contours.forEach(contour -> offset.add(contour.reversed()));
      try (Path around = builder.detach()) {
        return difference(within, around);
      }
    }
  }

  private static Rect around(Rect bounds, float margin) {
    return Rect.makeLTRB(
        bounds.getLeft() - margin,
        bounds.getTop() - margin,
        bounds.getRight() + margin,
        bounds.getBottom() + margin);
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
   * Two shapes as one. Curves are told apart by a quarter of a unit there, so it is done on
   * enlarged shapes; where it does not come out right, on others a little larger, and where it
   * never does, both lie on top of each other.
   */
  private static Path combined(Path one, Path other, PathOp op) {
    float scale = enlargement(one, other);
    @Nullable Path doubtful = null;
    for (float more : ENLARGED) {
      Path combined = combined(one, other, op, scale * more);
      if (combined != null && LineCheck.passes(one, other, op, combined)) {
        close(doubtful);
        return combined;
      }
      if (doubtful == null) {
        doubtful = combined;
      } else {
        close(combined);
      }
    }
    if (doubtful != null) {
      return doubtful;
    }
    try (PathBuilder builder = new PathBuilder(one)) {
      if (op == PathOp.UNION) {
        builder.addPath(other);
      }
      return builder.detach();
    }
  }

  private static void close(@Nullable Path path) {
    if (path != null) {
      path.close();
    }
  }

  private static @Nullable Path combined(Path one, Path other, PathOp op, float scale) {
    try (Path large = requireNonNull(one.makeScale(scale));
        Path otherLarge = requireNonNull(other.makeScale(scale));
        Path combined = Path.makeCombining(large, otherLarge, op)) {
      return combined == null ? null : combined.makeScale(1 / scale);
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
