package dynamorph.model.cascade;

import dynamorph.model.value.BlendMode;
import dynamorph.model.value.DashFit;
import dynamorph.model.value.StrokeCap;
import dynamorph.model.value.StrokeJoin;
import dynamorph.model.value.StrokePosition;
import java.util.List;

/**
 * One visible layer of paint, ready to draw: lengths in points, colours looked up.
 *
 * @param shape what is painted
 * @param paint what it is painted with
 * @param opacity of the coat and its effects, 0 to 1
 * @param blend how it is mixed with what lies below
 */
public record Coat(
    Shape shape, Paint paint, double opacity, BlendMode blend, List<Effect> effects) {
  public Coat {
    effects = List.copyOf(effects);
  }

  /** Whether nothing shows through it. */
  public boolean isOpaque() {
    return opacity == 1 && blend == BlendMode.NORMAL && paint.isOpaque();
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
   * @param phase how far into them a contour begins
   */
  public record Dashing(List<Double> lengths, double phase, DashFit fit) {
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
  }
}
