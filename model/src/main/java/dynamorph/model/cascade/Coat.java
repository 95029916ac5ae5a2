package dynamorph.model.cascade;

import dynamorph.model.value.BlendMode;
import dynamorph.model.value.DashFit;
import dynamorph.model.value.PaintBounds;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.StrokeCap;
import dynamorph.model.value.StrokeJoin;
import dynamorph.model.value.StrokePosition;
import java.util.List;
import java.util.Optional;

/**
 * One visible layer of paint, ready to draw: lengths in points, colours looked up.
 *
 * @param shape what is painted
 * @param paint what it is painted with
 * @param opacity of the coat and its effects, 0 to 1
 * @param blend how it is mixed with what lies below
 * @param transform how it is moved, scaled and rotated
 * @param copies that lie below it
 */
public record Coat(
    Shape shape,
    Paint paint,
    double opacity,
    BlendMode blend,
    Transform transform,
    Copies copies,
    List<Effect> effects) {
  public Coat {
    effects = List.copyOf(effects);
  }

  /** A coat that lies where the letters are, once. */
  public static Coat inPlace(
      Shape shape, Paint paint, double opacity, BlendMode blend, List<Effect> effects) {
    return new Coat(shape, paint, opacity, blend, Transform.NONE, Copies.NONE, effects);
  }

  /** The same coat, mixed in another way. */
  public Coat withBlend(BlendMode changed) {
    return new Coat(shape, paint, opacity, changed, transform, copies, effects);
  }

  /** Whether nothing shows through it. */
  public boolean isOpaque() {
    return opacity == 1 && blend == BlendMode.NORMAL && paint.isOpaque();
  }

  /** Whether it lies where the letters are, once. */
  public boolean isInPlace() {
    return transform.isNone() && copies.count() == 0;
  }

  /**
   * How a coat is moved, scaled and rotated, clockwise, about the middle of what it is painted on.
   *
   * @param translateX points to the right
   * @param translateY points downwards
   * @param scaleX 1 for as it is, negative for mirrored
   * @param rotation degrees
   * @param origin what has that middle
   */
  public record Transform(
      double translateX,
      double translateY,
      double scaleX,
      double scaleY,
      double rotation,
      PaintBounds origin) {
    public static final Transform NONE = new Transform(0, 0, 1, 1, 0, PaintBounds.LAYER);

    public boolean isNone() {
      return isMoved() && translateX == 0 && translateY == 0;
    }

    /** Whether it is moved at most, which is the same about any middle. */
    public boolean isMoved() {
      return scaleX == 1 && scaleY == 1 && rotation == 0;
    }
  }

  /**
   * Copies of a coat, each below the one before, and moved on, scaled and rotated by one step.
   *
   * @param stepX points to the right
   * @param stepY points downwards
   * @param scale 1 for as it is
   * @param rotation degrees clockwise
   * @param endColour what the colours go over into
   * @param endOpacity of the last copy, 0 to 1
   */
  public record Copies(
      int count,
      double stepX,
      double stepY,
      double scale,
      double rotation,
      Optional<Rgba> endColour,
      double endOpacity) {
    public static final Copies NONE = new Copies(0, 0, 0, 1, 0, Optional.empty(), 1);

    /** Whether they are moved at most. */
    public boolean areMoved() {
      return scale == 1 && rotation == 0;
    }
  }

  /** What of the letters, or of the plate, a coat paints. */
  public sealed interface Shape {
    /** How far its outermost edge lies beyond the letter edge, in points; never negative. */
    double outset();

    Corner corner();
  }

  /**
   * How edges turn corners.
   *
   * @param miterLimit how far a miter may reach, in parts of the width
   */
  public record Corner(StrokeJoin join, double miterLimit) {
    double reach(double width) {
      return Math.max(0, join == StrokeJoin.MITER ? width * miterLimit : width);
    }
  }

  /**
   * Paints what the edge encloses.
   *
   * @param offset points by which the edge is moved outwards
   */
  public record Fill(double offset, Corner corner) implements Shape {
    @Override
    public double outset() {
      return corner.reach(offset);
    }
  }

  /**
   * Paints along the edge.
   *
   * @param width points
   * @param offset points by which the edge is moved outwards
   */
  public record Stroke(
      double width,
      StrokePosition position,
      double offset,
      Corner corner,
      StrokeCap cap,
      Dashing dashing)
      implements Shape {
    /** Points from the letter edge to the outer side of the stroke; negative if inside. */
    public double outer() {
      return offset
          + switch (position) {
            case INSIDE -> 0;
            case CENTRE -> width / 2;
            case OUTSIDE -> width;
          };
    }

    /** Points from the letter edge to the inner side of the stroke. */
    public double inner() {
      return outer() - width;
    }

    @Override
    public double outset() {
      double caps = dashing.isSolid() ? 0 : width;
      return corner.reach(outer()) + caps;
    }
  }

  /**
   * Dashes along a stroke, in points.
   *
   * @param lengths dash, gap, dash, and so on; an even number of them, or none
   * @param offset how far into them a contour begins
   */
  public record Dashing(List<Double> lengths, double offset, DashFit fit) {
    public static final Dashing SOLID = new Dashing(List.of(), 0, DashFit.EXACT);

    public Dashing {
      lengths = List.copyOf(lengths);
    }

    /** How long one repeat is; never nothing. */
    public double period() {
      double sum = lengths.stream().mapToDouble(Double::doubleValue).sum();
      return Math.max(sum, 1e-9);
    }

    public boolean isSolid() {
      return lengths.isEmpty();
    }

    /** Whether all dashes are of no length, at least this far from each other. */
    public boolean isDotted(double apart) {
      for (int index = 0; index < lengths.size(); index++) {
        double length = lengths.get(index);
        if (index % 2 == 0 ? length > 0 : length < apart) {
          return false;
        }
      }
      return !isSolid();
    }
  }
}
