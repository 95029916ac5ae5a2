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
import java.util.Optional;
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

  private static final int MOST_HALVINGS = 3;

  private Edges() {}

  /** The same area, its contours not crossing each other. */
  public static Path united(Path shape) {
    try (Path nothing = new Path()) {
      return combined(shape, nothing, PathOp.UNION);
    }
  }

  /**
   * The shape grown by a distance, or shrunk by a negative one: with round corners, all that is
   * within the distance of it, or all that is farther than that from what is outside. The corners
   * of an edge of many thousand points are rounded where they would cross too often, and one that
   * crosses itself hundreds of thousands of times stays where it is.
   *
   * @param distance points
   */
  public static Path moved(Path shape, double distance, Coat.Corner corner) {
    try (Path nothing = new Path()) {
      Optional<Path> united = attempt(shape, nothing, PathOp.UNION);
      if (united.isEmpty() || distance == 0) {
        return united.orElseGet(() -> copy(shape));
      }
      try (Path edge = united.get()) {
        return movedUnited(edge, distance, corner);
      }
    }
  }

  private static Path copy(Path shape) {
    try (PathBuilder builder = new PathBuilder(shape)) {
      return builder.detach();
    }
  }

  /**
   * The same as {@link #moved} for a shape that is known to be united.
   *
   * @param distance points, not 0
   */
  public static Path movedUnited(Path united, double distance, Coat.Corner corner) {
    return movedUnited(united, distance, corner, MOST_HALVINGS);
  }

  /**
   * With round corners two half steps lead as far as a whole one, and the first smooths out what
   * made the whole one cross itself too often.
   */
  private static Path movedUnited(Path united, double distance, Coat.Corner corner, int halvings) {
    List<ClosedContour> contours = ClosedContour.directed(ClosedContour.of(united));
    Optional<Path> moved =
        distance > 0
            ? grown(contours, distance, corner)
            : shrunk(contours, united.getBounds(), -distance, corner);
    if (moved.isPresent() || halvings == 0) {
      return moved.orElseGet(() -> copy(united));
    }
    Coat.Corner round = new Coat.Corner(StrokeJoin.ROUND, corner.miterLimit());
    try (Path half = movedUnited(united, distance / 2, round, halvings - 1)) {
      return movedUnited(half, distance / 2, round, halvings - 1);
    }
  }

  private static Optional<Path> grown(
      List<ClosedContour> contours, double distance, Coat.Corner corner) {
    try (PathBuilder builder = new PathBuilder(PathFillMode.WINDING)) {
      OffsetContours offset = new OffsetContours(distance, corner, builder);
      contours.forEach(offset::add);
      try (Path raw = builder.detach();
          Path nothing = new Path()) {
        return attempt(raw, nothing, PathOp.UNION);
      }
    }
  }

  /** What is left when all around the shape is grown. */
  private static Optional<Path> shrunk(
      List<ClosedContour> contours, Rect bounds, double distance, Coat.Corner corner) {
    try (PathBuilder builder = new PathBuilder(PathFillMode.WINDING);
        Path within = Path.makeRect(around(bounds, 1))) {
      builder.addRect(around(bounds, 2), PathDirection.CLOCKWISE);
      OffsetContours offset = new OffsetContours(distance, corner, builder);
      contours.forEach(contour -> offset.add(contour.reversed()));
      try (Path around = builder.detach()) {
        return attempt(within, around, PathOp.DIFFERENCE);
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
   * enlarged shapes, and where it does not come out right, on others a little larger. Shapes of
   * thousands of pieces, and those that never come out right, are taken as polygons; where even
   * these cross too often, both lie on top of each other.
   */
  private static Path combined(Path one, Path other, PathOp op) {
    return attempt(one, other, op).orElseGet(() -> onTop(one, other, op));
  }

  private static Optional<Path> attempt(Path one, Path other, PathOp op) {
    if (PlanarArrangement.isBetterFor(one, other)) {
      return PlanarArrangement.combined(one, other, op);
    }
    float scale = enlargement(one, other);
    for (float more : ENLARGED) {
      Path combined = combined(one, other, op, scale * more);
      if (combined != null && LineCheck.passes(one, other, op, combined)) {
        return Optional.of(combined);
      }
      close(combined);
    }
    return PlanarArrangement.combined(one, other, op);
  }

  private static Path onTop(Path one, Path other, PathOp op) {
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

  static double farthest(Rect bounds) {
    return Math.max(
        Math.max(Math.abs(bounds.getLeft()), Math.abs(bounds.getRight())),
        Math.max(Math.abs(bounds.getTop()), Math.abs(bounds.getBottom())));
  }
}
