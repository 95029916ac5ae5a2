package dynamorph.paint.artwork;

import static java.util.Objects.requireNonNull;

import dynamorph.model.shape.FillRule;
import dynamorph.model.shape.Shape;
import dynamorph.model.value.Numbers;
import dynamorph.typeset.font.Skia;
import dynamorph.typeset.layout.Box;
import io.github.humbleui.skija.Path;
import io.github.humbleui.skija.PathFillMode;
import io.github.humbleui.skija.PathOp;
import io.github.humbleui.types.Rect;
import java.util.Optional;

/** Paths that come as path data (W3C SVG 2, 9.3), put where they belong. Close it after use. */
public final class PathData implements AutoCloseable {
  private final Path path;

  private PathData(Path path) {
    this.path = path;
  }

  /**
   * A path in its place.
   *
   * @throws IllegalArgumentException if the data cannot be read
   */
  public static PathData of(String data, FillRule inside, Affine place) {
    Skia.ready();
    try (Path read = Path.makeFromSVGString(data)) {
      Path placed = requireNonNull(read.makeTransform(place.matrix()));
      placed.setFillMode(inside == FillRule.EVENODD ? PathFillMode.EVEN_ODD : PathFillMode.WINDING);
      return new PathData(placed);
    }
  }

  /** The box around what it goes around. */
  public Box bounds() {
    Rect box = path.computeTightBounds();
    return new Box(box.getLeft(), box.getTop(), box.getWidth(), box.getHeight());
  }

  /** What lies within both. */
  public PathData within(PathData other) {
    return combined(other, PathOp.INTERSECT);
  }

  /** What lies within either. */
  public PathData with(PathData other) {
    return combined(other, PathOp.UNION);
  }

  /** Of paths that are too wild to be combined nothing is left. */
  private PathData combined(PathData other, PathOp how) {
    Path both = Path.makeCombining(path, other.path, how);
    return new PathData(both == null ? new Path() : both);
  }

  /** Whether it is a box, and then which. */
  public Optional<Box> box() {
    return Optional.ofNullable(path.isRect())
        .map(rect -> new Box(rect.getLeft(), rect.getTop(), rect.getWidth(), rect.getHeight()));
  }

  /** The path as a shape, in the box around it; empty if nothing is left of it. */
  public Optional<Shape.Drawn> shape() {
    if (path.isEmpty() || !path.isFinite()) {
      return Optional.empty();
    }
    Box box = bounds();
    return Optional.of(
        new Shape.Drawn(
            Contour.data(path, box.x(), box.y(), number -> Numbers.format(number, 3)),
            box.width(),
            box.height(),
            Contour.isEvenOdd(path) ? FillRule.EVENODD : FillRule.NONZERO));
  }

  @Override
  public void close() {
    path.close();
  }
}
