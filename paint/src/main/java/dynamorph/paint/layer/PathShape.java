package dynamorph.paint.layer;

import dynamorph.model.cascade.Coat;
import dynamorph.model.cascade.Plate;
import dynamorph.model.value.PaintBounds;
import dynamorph.paint.geometry.Edges;
import dynamorph.paint.geometry.JoinedBoxes;
import dynamorph.typeset.layout.Box;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.Path;
import io.github.humbleui.skija.PathBuilder;
import io.github.humbleui.types.Rect;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;

/** A path as a shape: a plate, or a single glyph. Close it after use. */
final class PathShape implements Stencil.Shape {
  private final Path path;
  private final Box bounds;
  private final Object identity;
  private final MaskCache planes;
  private final List<PathShape> parts;
  private final boolean open;

  private PathShape(
      Path path,
      Box bounds,
      Object identity,
      MaskCache planes,
      List<PathShape> parts,
      boolean open) {
    this.open = open;
    this.parts = List.copyOf(parts);
    this.path = path;
    this.bounds = bounds;
    this.identity = identity;
    this.planes = planes;
  }

  /**
   * A plate.
   *
   * @param runs its boxes, in runs of those that are one
   */
  static PathShape plate(
      List<List<Box>> runs, Plate.Corners corners, boolean vertical, MaskCache planes) {
    List<PathShape> parts = new ArrayList<>();
    for (List<Box> run : runs) {
      Box bounds = run.stream().reduce(Box::with).orElseThrow();
      Object identity = List.of(run, corners);
      parts.add(
          new PathShape(
              JoinedBoxes.outline(run, corners, vertical),
              bounds,
              identity,
              planes,
              List.of(),
              false));
    }
    if (parts.size() == 1) {
      return parts.getFirst();
    }
    try (PathBuilder all = new PathBuilder()) {
      parts.forEach(part -> all.addPath(part.path));
      Box bounds = parts.stream().map(PathShape::bounds).reduce(Box::with).orElse(Box.EMPTY);
      return new PathShape(all.detach(), bounds, List.of(runs, corners), planes, parts, false);
    }
  }

  /**
   * A shape in its box.
   *
   * @param open whether its path has ends, so that it has no inside and outside
   */
  static PathShape shape(Path path, Box box, Object identity, boolean open, MaskCache planes) {
    return new PathShape(path, box, identity, planes, List.of(), open);
  }

  /** A shape of its own from a path that is closed by someone else. */
  static PathShape copyOf(Path path, MaskCache planes) {
    Rect rect = path.computeTightBounds();
    Box bounds = new Box(rect.getLeft(), rect.getTop(), rect.getWidth(), rect.getHeight());
    try (PathBuilder builder = new PathBuilder(path)) {
      return new PathShape(builder.detach(), bounds, new Object(), planes, List.of(), false);
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
    return open ? new Path(path) : Edges.moved(path, distance, corner);
  }

  @Override
  public Path kept(Object key, Supplier<Path> maker) {
    return maker.get();
  }

  @Override
  public Stencil.Shape again() {
    List<PathShape> own = parts.stream().map(part -> (PathShape) part.again()).toList();
    return new PathShape(new Path(path), bounds, identity, planes, own, open);
  }

  @Override
  public Box bounds() {
    return bounds;
  }

  @Override
  public List<Stencil.Part> parts(PaintBounds fit) {
    return fit == PaintBounds.LAYER || parts.isEmpty()
        ? List.of(new Stencil.Part(this, bounds))
        : parts.stream().map(part -> new Stencil.Part(part, part.bounds)).toList();
  }

  @Override
  public Object identity() {
    return identity;
  }

  @Override
  public MaskCache planes() {
    return planes;
  }

  @Override
  public boolean keepsEdges() {
    return false;
  }

  @Override
  public boolean isOpen() {
    return open;
  }

  @Override
  public boolean overlaps() {
    return false;
  }

  @Override
  public void close() {
    path.close();
    parts.forEach(PathShape::close);
  }
}
