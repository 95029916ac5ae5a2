package dynamorph.paint.geometry;

import dynamorph.model.cascade.Coat;
import dynamorph.model.value.StrokeJoin;
import dynamorph.typeset.layout.Box;
import io.github.humbleui.skija.PathBuilder;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Contours at a distance from those of a shape, on the side of its outside only, before they are
 * united.
 *
 * <p>Moving a contour outwards sweeps an area once for each piece that passes over it, and so
 * raises the winding number there: what has another one than 0 in the end is the shape and what
 * lies within the distance of it (Chen and McMains, <i>Polygon Offsetting by Computing Winding
 * Numbers</i>, 2005). For that no piece may pass backwards. Corners that turn inwards therefore go
 * by way of the corner itself, and where a curve is bent inwards more tightly than the distance
 * allows it is taken as its tangents.
 *
 * <p>Against uniting a shape with a stroke along its edge, there is half of the curves to unite or
 * less, and stroked curves that are folded leave gaps.
 */
final class OffsetContours {
  /** How far curves may be from where they should, in points. */
  private static final double TOLERANCE = 1 / 256.0;

  /** Curves that turn by less, in radians, are taken as they are. */
  private static final double FLAT = 1e-3;

  /** Lines whose directions differ by less, in radians, are one. */
  private static final double STRAIGHT = 1e-4;

  /** The most that a piece turns that is folded all along, and one that is in part. */
  private static final double MOST_FOLDED_TURN = Math.PI / 2;

  private static final double MIXED_TURN = Math.PI / 12;

  private static final int SAMPLES = 5;

  /** The most that a piece turns that is taken as one quadratic curve. */
  private static final double MOST_TURN = Math.PI / 3;

  private static final int MOST_HALVINGS = 12;

  private final double distance;
  private final Coat.Corner corner;
  private final PathBuilder out;

  /**
   * A piece of a contour, and what it is moved to.
   *
   * @param start where it goes at its beginning
   * @param end where it goes at its end
   * @param control of the quadratic curve that it is moved to; null for a line
   */
  private record Piece(Vec from, Vec start, Vec to, Vec end, @Nullable Vec control) {}

  /**
   * @param distance points, more than 0
   * @param out takes the contours
   */
  OffsetContours(double distance, Coat.Corner corner, PathBuilder out) {
    this.distance = distance;
    this.corner = corner;
    this.out = out;
  }

  /** Adds a contour whose outside lies where x turns away from y. */
  void add(ClosedContour contour) {
    if (isFilled(contour)) {
      return;
    }
    List<Piece> pieces = new ArrayList<>();
    for (Curve curve : contour.curves()) {
      divide(curve, MOST_HALVINGS, pieces);
    }
    Join[] joins = new Join[pieces.size()];
    for (int index = 0; index < joins.length; index++) {
      joins[index] = Join.of(pieces.get(index), pieces.get((index + 1) % joins.length), distance);
    }
    for (int index = 0; index < joins.length; index++) {
      Piece piece = pieces.get(index);
      Join before = joins[(index + joins.length - 1) % joins.length];
      if (index == 0) {
        begin(before, piece);
      }
      along(piece, joins[index]);
      turn(piece, joins[index], pieces.get((index + 1) % joins.length), index == joins.length - 1);
    }
    out.closePath();
  }

  /** Whether it is a hole in which no place is farther from its edge than the distance. */
  private boolean isFilled(ClosedContour contour) {
    Box box = contour.box();
    return corner.join() != StrokeJoin.BEVEL
        && Math.min(box.width(), box.height()) <= 2 * distance
        && contour.area() < 0;
  }

  // --- pieces

  private void divide(Curve curve, int halvings, List<Piece> pieces) {
    Vec start = curve.startDirection();
    Vec end = curve.endDirection();
    if (curve.straight() || halvings == 0) {
      line(curve.from(), curve.to(), pieces);
      return;
    }
    double turn = Math.abs(angle(start, end));
    int folds = folds(curve);
    if (folds > 0 && turn < (folds == SAMPLES ? MOST_FOLDED_TURN : MIXED_TURN)) {
      tangents(curve, start, end, pieces);
    } else if (folds == 0 && turn < MOST_TURN) {
      Piece piece = smooth(curve, start, end);
      if (isClose(piece, curve)) {
        pieces.add(piece);
      } else {
        halve(curve, halvings, pieces);
      }
    } else {
      halve(curve, halvings, pieces);
    }
  }

  /**
   * Lines along both ends to where they meet. They lie within the shape, so what is moved from them
   * is not farther from it than the distance; what they lack is reached from both sides.
   */
  private void tangents(Curve curve, Vec start, Vec end, List<Piece> pieces) {
    Vec across = curve.to().minus(curve.from());
    double turn = start.cross(end);
    double along = across.cross(end) / turn;
    double back = start.cross(across) / turn;
    if (Math.abs(turn) > FLAT && along > 0 && back > 0) {
      Vec corner = curve.from().plus(start.times(along));
      line(curve.from(), corner, pieces);
      line(corner, curve.to(), pieces);
    } else {
      line(curve.from(), curve.to(), pieces);
    }
  }

  /** Adds a line, or makes the one before longer if it goes the same way. */
  private void line(Vec from, Vec to, List<Piece> pieces) {
    Vec way = Curve.line(from, to).startDirection();
    Vec begin = from;
    if (!pieces.isEmpty() && pieces.getLast().control == null) {
      Piece before = pieces.getLast();
      if (before.end.dot(way) > 0 && Math.abs(before.end.cross(way)) < STRAIGHT) {
        begin = before.from;
        way = Curve.line(begin, to).startDirection();
        pieces.removeLast();
      }
    }
    pieces.add(new Piece(begin, way, to, way, null));
  }

  private void halve(Curve curve, int halvings, List<Piece> pieces) {
    divide(curve.half(false), halvings - 1, pieces);
    divide(curve.half(true), halvings - 1, pieces);
  }

  /** At how many of some places it is bent inwards more tightly than the distance allows. */
  private int folds(Curve curve) {
    if (curve.turnsOneWay()) {
      return 0;
    }
    int folds = 0;
    for (int sample = 0; sample < SAMPLES; sample++) {
      double curvature = curve.curvature((double) sample / (SAMPLES - 1));
      folds += 1 + distance * curvature <= 0 ? 1 : 0;
    }
    return folds;
  }

  /** A quadratic curve with the directions of the curve at its ends. */
  private Piece smooth(Curve curve, Vec start, Vec end) {
    Vec from = moved(curve.from(), start);
    Vec to = moved(curve.to(), end);
    double turn = start.cross(end);
    @Nullable Vec control = null;
    if (Math.abs(turn) > FLAT) {
      Vec between = to.minus(from);
      double along = between.cross(end) / turn;
      double back = start.cross(between) / turn;
      control = along > 0 && back > 0 ? from.plus(start.times(along)) : null;
    }
    return new Piece(curve.from(), start, curve.to(), end, control);
  }

  private boolean isClose(Piece piece, Curve curve) {
    Vec from = moved(piece.from, piece.start);
    Vec to = moved(piece.to, piece.end);
    Vec middle =
        piece.control == null
            ? from.towards(to, 0.5)
            : from.towards(to, 0.5).towards(piece.control, 0.5);
    Vec direction = curve.middleDirection();
    Vec wanted = moved(curve.at(0.5), direction);
    return Math.abs(middle.minus(wanted).cross(direction)) < TOLERANCE;
  }

  private Vec moved(Vec place, Vec direction) {
    return place.plus(direction.aside().times(distance));
  }

  /** From one direction to another, in radians, -π to π. */
  private static double angle(Vec from, Vec to) {
    return Math.atan2(from.cross(to), from.dot(to));
  }

  // --- corners

  /** What lies between two pieces. */
  private enum Kind {
    /** Nothing. */
    SMOOTH,
    /** A gap to be filled. */
    OUTWARD,
    /** The moved pieces cross each other. */
    INWARD,
    /** Two lines that are cut off where they cross. */
    CUT
  }

  private record Join(Kind kind, Optional<Vec> cut) {
    static Join of(Piece piece, Piece next, double distance) {
      double cross = piece.end.cross(next.start);
      boolean ahead = piece.end.dot(next.start) > 0;
      if (ahead && Math.abs(cross) < FLAT) {
        return new Join(Kind.SMOOTH, Optional.empty());
      }
      if (cross > 0 || !ahead && Math.abs(cross) < FLAT) {
        return new Join(Kind.OUTWARD, Optional.empty());
      }
      double back = distance * Math.tan(-angle(piece.end, next.start) / 2);
      boolean room =
          piece.control == null
              && next.control == null
              && back < piece.to.minus(piece.from).length() / 2
              && back < next.to.minus(next.from).length() / 2;
      if (!room) {
        return new Join(Kind.INWARD, Optional.empty());
      }
      Vec moved = piece.to.plus(piece.end.aside().times(distance));
      return new Join(Kind.CUT, Optional.of(moved.minus(piece.end.times(back))));
    }
  }

  private void begin(Join before, Piece piece) {
    Vec at = before.cut.orElseGet(() -> moved(piece.from, piece.start));
    out.moveTo((float) at.x(), (float) at.y());
  }

  private void along(Piece piece, Join after) {
    Vec to = after.cut.orElseGet(() -> moved(piece.to, piece.end));
    if (piece.control == null) {
      line(to);
    } else {
      quadratic(piece.control, to);
    }
  }

  /**
   * @param last whether the contour ends there, so that the last line is drawn by closing it
   */
  private void turn(Piece piece, Join join, Piece next, boolean last) {
    Vec to = moved(next.from, next.start);
    switch (join.kind) {
      case SMOOTH, CUT -> {}
      case INWARD -> {
        line(piece.to);
        lineUnless(last, to);
      }
      case OUTWARD -> {
        switch (corner.join()) {
          case ROUND -> round(piece.to, piece.end, next.start);
          case MITER -> {
            pointed(piece, next);
            lineUnless(last, to);
          }
          case BEVEL -> lineUnless(last, to);
        }
      }
    }
  }

  private void lineUnless(boolean last, Vec to) {
    if (!last) {
      line(to);
    }
  }

  /** Goes to where the edges meet, unless that is farther than the limit. */
  private void pointed(Piece piece, Piece next) {
    double half = angle(piece.end, next.start) / 2;
    double farther = Math.cos(half);
    if (farther > 0 && 1 / farther <= corner.miterLimit()) {
      line(moved(piece.to, piece.end).plus(piece.end.times(distance * Math.tan(half))));
    }
  }

  private void round(Vec centre, Vec from, Vec to) {
    double turn = angle(from, to);
    turn = turn < 0 ? turn + 2 * Math.PI : turn;
    int arcs = (int) Math.ceil(turn / (Math.PI / 2) - 1e-6);
    double half = turn / arcs / 2;
    for (int arc = 1; arc <= arcs; arc++) {
      Vec end = arc == arcs ? to : turned(from, 2 * half * arc);
      Vec middle = turned(from, half * (2 * arc - 1));
      Vec control = centre.plus(middle.aside().times(distance / Math.cos(half)));
      Vec at = moved(centre, end);
      out.conicTo(
          (float) control.x(),
          (float) control.y(),
          (float) at.x(),
          (float) at.y(),
          (float) Math.cos(half));
    }
  }

  private static Vec turned(Vec direction, double angle) {
    double cos = Math.cos(angle);
    double sin = Math.sin(angle);
    return new Vec(
        direction.x() * cos - direction.y() * sin, direction.x() * sin + direction.y() * cos);
  }

  private void line(Vec to) {
    out.lineTo((float) to.x(), (float) to.y());
  }

  private void quadratic(Vec control, Vec to) {
    out.quadTo((float) control.x(), (float) control.y(), (float) to.x(), (float) to.y());
  }
}
