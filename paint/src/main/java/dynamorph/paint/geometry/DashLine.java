package dynamorph.paint.geometry;

import dynamorph.model.cascade.Coat;
import dynamorph.model.value.DashFit;
import io.github.humbleui.skija.Path;
import io.github.humbleui.skija.PathBuilder;
import io.github.humbleui.skija.PathMeasure;
import io.github.humbleui.skija.PathSegment;
import io.github.humbleui.skija.PathVerb;
import io.github.humbleui.types.Point;
import io.github.humbleui.types.Rect;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Lays dashes along the contours of a path. */
public final class DashLine {
  /** Dashes repeated more often than this are not told apart from a solid line. */
  private static final int MOST_REPEATS = 10_000;

  /** A turn sharper than this is a corner, in degrees. */
  private static final double CORNER = 25;

  /** How long a dash of no length is made, in points, so that it has a direction. */
  private static final double DOT = 1e-3;

  /** Joints nearer to each other than this are one, in points. */
  private static final double JOINT = 0.02;

  /** How finely lengths along curves are measured. */
  private static final float PRECISION = 128;

  private DashLine() {}

  /** A dash along a contour, in points from its start; may go past the end of a closed one. */
  public record Dash(double from, double to) {
    public double middle() {
      return (from + to) / 2;
    }
  }

  /**
   * The dashes along the edge of a shape, as open contours, to be stroked; the caller closes the
   * path. Uniting and moving an edge may begin its contours elsewhere and turn them round; dashes
   * begin where those of the shape do all the same (SVG 2, 13.5.6), but for those that are fitted
   * to corners.
   *
   * @param drawn the shape as it was drawn
   */
  public static Path along(Path path, Path drawn, Coat.Dashing dashing) {
    List<Contour> contours = contours(path);
    List<Contour> own = contours(drawn);
    double left = MOST_REPEATS;
    try (PathBuilder dashed = new PathBuilder()) {
      for (Contour contour : contours) {
        try (Path line = contour.path;
            PathMeasure measure = new PathMeasure(line, false, PRECISION)) {
          double length = measure.getLength();
          left -= length / dashing.period();
          if (left < 0) {
            dashed.addPath(line);
          } else {
            List<Dash> dashes = dashes(contour, length, own, dashing);
            dashes.forEach(dash -> add(dashed, measure, length, contour.closed, dash));
          }
        }
      }
      return dashed.detach();
    } finally {
      own.forEach(contour -> contour.path.close());
    }
  }

  private static List<Dash> dashes(
      Contour contour, double length, List<Contour> own, Coat.Dashing dashing) {
    List<Dash> dashes = dashes(length, contour.closed, corners(contour, dashing), dashing);
    boolean begun = contour.closed && dashing.fit() != DashFit.CORNERS;
    return begun
        ? contour.beginning(own).map(begin -> begin.shifted(dashes, length)).orElse(dashes)
        : dashes;
  }

  /**
   * Where dashes begin on a closed contour.
   *
   * @param at along the contour
   * @param back whether they go against its direction
   */
  private record Beginning(double at, boolean back) {
    List<Dash> shifted(List<Dash> dashes, double length) {
      return dashes.stream()
          .map(dash -> {
            double from = back ? at - dash.to : at + dash.from;
            double round = from - Math.floor(from / length) * length;
            return new Dash(round, round + dash.to - dash.from);
          })
          .toList();
    }
  }

  /** The middles of all dashes that {@link #along} lays; none if they are too many to be told. */
  public static List<Point> middles(Path path, Path drawn, Coat.Dashing dashing) {
    List<Point> middles = new ArrayList<>();
    List<Contour> own = contours(drawn);
    double left = MOST_REPEATS;
    for (Contour contour : contours(path)) {
      try (Path line = contour.path;
          PathMeasure measure = new PathMeasure(line, false, PRECISION)) {
        double length = measure.getLength();
        left -= length / dashing.period();
        if (left >= 0) {
          for (Dash dash : dashes(contour, length, own, dashing)) {
            double at = contour.closed ? dash.middle() % length : dash.middle();
            Point point = measure.getPosition((float) at);
            if (point != null) {
              middles.add(point);
            }
          }
        }
      }
    }
    own.forEach(contour -> contour.path.close());
    return left < 0 ? List.of() : middles;
  }

  private static List<Double> corners(Contour contour, Coat.Dashing dashing) {
    return dashing.fit() == DashFit.CORNERS ? contour.corners() : List.of();
  }

  /**
   * Where dashes lie on one contour.
   *
   * @param length of the contour in points
   * @param corners how far along it its corners lie, ascending; a first dash is centred on each
   */
  public static List<Dash> dashes(
      double length, boolean closed, List<Double> corners, Coat.Dashing dashing) {
    double period = dashing.period();
    if (!(length > 0)) {
      return List.of();
    }
    return switch (dashing.fit()) {
      case EXACT -> exact(length, dashing.lengths(), dashing.offset(), 1);
      case CONTOUR -> fitted(length, closed, dashing, period);
      case CORNERS ->
          corners.isEmpty()
              ? fitted(length, closed, dashing, period)
              : between(length, closed, corners, dashing);
    };
  }

  private static List<Dash> exact(double length, List<Double> lengths, double phase, double scale) {
    double period = lengths.stream().mapToDouble(Double::doubleValue).sum() * scale;
    List<Dash> dashes = new ArrayList<>();
    double at = -((phase * scale) % period + period) % period;
    for (int index = 0; at < length; index = (index + 1) % lengths.size()) {
      double to = at + lengths.get(index) * scale;
      if (index % 2 == 0 && (to > 0 || at >= 0)) {
        dashes.add(new Dash(Math.max(0, at), Math.min(length, to)));
      }
      at = to;
    }
    return dashes;
  }

  private static List<Dash> fitted(
      double length, boolean closed, Coat.Dashing dashing, double period) {
    double repeats = Math.max(1, Math.round(length / period));
    double scale = length / (repeats * period);
    if (!closed) {
      return exact(length, dashing.lengths(), dashing.offset(), scale);
    }
    // each repeat as a whole, so that a dash over the start is not cut in two
    List<Dash> dashes = new ArrayList<>();
    double phase = dashing.offset() * scale % (period * scale);
    for (int repeat = 0; repeat < repeats; repeat++) {
      double at = repeat * period * scale - phase;
      addRepeat(dashes, at, dashing.lengths(), scale, scale, length);
    }
    return dashes;
  }

  private static void addRepeat(
      List<Dash> dashes,
      double start,
      List<Double> lengths,
      double dashScale,
      double gapScale,
      double length) {
    double at = start;
    for (int index = 0; index < lengths.size(); index += 2) {
      double dash = lengths.get(index) * dashScale;
      double from = at - Math.floor(at / length) * length;
      dashes.add(new Dash(from, from + dash));
      at += dash + lengths.get(index + 1) * gapScale;
    }
  }

  /** From corner to corner whole repeats, which begin and end in the middle of the first dash. */
  private static List<Dash> between(
      double length, boolean closed, List<Double> corners, Coat.Dashing dashing) {
    List<Double> lengths = dashing.lengths();
    double period = 0;
    double drawn = 0;
    for (int index = 0; index < lengths.size(); index++) {
      period += lengths.get(index);
      drawn += index % 2 == 0 ? lengths.get(index) : 0;
    }
    double half = lengths.getFirst() / 2;
    List<Dash> dashes = new ArrayList<>();
    int sides = closed ? corners.size() : corners.size() - 1;
    for (int side = 0; side < sides; side++) {
      double from = corners.get(side);
      double to = side + 1 < corners.size() ? corners.get(side + 1) : corners.getFirst() + length;
      double repeats = Math.max(1, Math.round((to - from) / period));
      while (repeats > 1 && repeats * drawn > to - from) {
        repeats--;
      }
      double gaps = Math.max(0, to - from - repeats * drawn);
      double gapScale = period > drawn ? gaps / (repeats * (period - drawn)) : 0;
      double each = (to - from) / repeats;
      for (int repeat = 0; repeat < repeats; repeat++) {
        addRepeat(dashes, from + repeat * each - half, lengths, 1, gapScale, length);
      }
    }
    if (!closed) {
      dashes.add(new Dash(Math.max(0, corners.getLast() - half), corners.getLast()));
    }
    return dashes;
  }

  private static void add(
      PathBuilder dashed, PathMeasure measure, double length, boolean closed, Dash dash) {
    double from = dash.from;
    double to = Math.max(dash.to, from + DOT);
    if (closed && to > length) {
      measure.getSegment((float) from, (float) length, dashed, true);
      measure.getSegment(0, (float) (to - length), dashed, false);
    } else {
      measure.getSegment(
          (float) Math.min(from, length - DOT), (float) Math.min(to, length), dashed, true);
    }
  }

  /** One contour of a path, and the pieces it is made of. */
  private record Contour(Path path, List<PathSegment> pieces, boolean closed) {
    /**
     * Where the first of the drawn contours begins that lies on this one: at the joint of its
     * pieces that is nearest to such a beginning, and goes where that one goes. Empty if it is
     * where this one begins, too.
     */
    Optional<Beginning> beginning(List<Contour> drawn) {
      double nearest = Double.POSITIVE_INFINITY;
      Contour first = this;
      Rect bounds = path.getBounds();
      for (Contour other : drawn) {
        Point start = other.pieces.getFirst().getP0();
        if (outside(bounds, start) < nearest) {
          double distance = nearest(start);
          // a later one only if it is nearer indeed
          if (distance < nearest - JOINT) {
            nearest = distance;
            first = other;
          }
        }
      }
      PathSegment wanted = first.pieces.getFirst();
      double heading = direction(points(wanted));
      int joint = 0;
      boolean back = false;
      double least = Double.POSITIVE_INFINITY;
      for (int piece = 0; piece < pieces.size(); piece++) {
        if (distance(pieces.get(piece).getP0(), wanted.getP0()) < nearest + JOINT) {
          PathSegment before = pieces.get((piece + pieces.size() - 1) % pieces.size());
          double on = angle(direction(points(pieces.get(piece))), heading);
          double against = angle(direction(points(before).reversed()), heading);
          if (Math.min(on, against) < least) {
            least = Math.min(on, against);
            joint = piece;
            back = against < on;
          }
        }
      }
      if (first == this || joint == 0 && !back) {
        return Optional.empty();
      }
      double at = pieces.subList(0, joint).stream().mapToDouble(DashLine::length).sum();
      return Optional.of(new Beginning(at, back));
    }

    private double nearest(Point point) {
      return pieces.stream()
          .mapToDouble(piece -> distance(piece.getP0(), point))
          .min()
          .orElse(Double.POSITIVE_INFINITY);
    }

    List<Double> corners() {
      List<Double> corners = new ArrayList<>();
      double at = 0;
      PathSegment before = closed ? pieces.getLast() : null;
      for (PathSegment piece : pieces) {
        if (before == null || turn(before, piece) > CORNER) {
          corners.add(at);
        }
        at += length(piece);
        before = piece;
      }
      if (!closed) {
        corners.add(at);
      }
      return corners;
    }
  }

  private static List<Contour> contours(Path path) {
    List<Contour> contours = new ArrayList<>();
    List<PathSegment> pieces = new ArrayList<>();
    boolean closed = false;
    for (PathSegment piece : path) {
      switch (piece.getVerb()) {
        case MOVE, DONE -> {
          addContour(contours, pieces, closed);
          pieces = new ArrayList<>();
          closed = false;
        }
        case CLOSE -> closed = true;
        case LINE, QUAD, CONIC, CUBIC -> {
          closed |= piece.isClosedContour();
          if (!isPoint(piece)) {
            pieces.add(piece);
          }
        }
      }
    }
    addContour(contours, pieces, closed);
    return contours;
  }

  private static void addContour(List<Contour> contours, List<PathSegment> pieces, boolean closed) {
    if (pieces.isEmpty()) {
      return;
    }
    try (PathBuilder builder = new PathBuilder()) {
      builder.moveTo(pieces.getFirst().getP0());
      pieces.forEach(piece -> append(builder, piece));
      if (closed) {
        builder.closePath();
      }
      contours.add(new Contour(builder.detach(), pieces, closed));
    }
  }

  private static void append(PathBuilder builder, PathSegment piece) {
    switch (piece.getVerb()) {
      case LINE -> builder.lineTo(piece.getP1());
      case QUAD -> builder.quadTo(piece.getP1(), piece.getP2());
      case CONIC -> builder.conicTo(piece.getP1(), piece.getP2(), piece.getConicWeight());
      case CUBIC -> builder.cubicTo(piece.getP1(), piece.getP2(), piece.getP3());
      case MOVE, CLOSE, DONE -> {}
    }
  }

  private static double length(PathSegment piece) {
    if (piece.getVerb() == PathVerb.LINE) {
      return distance(piece.getP0(), piece.getP1());
    }
    try (PathBuilder builder = new PathBuilder()) {
      builder.moveTo(piece.getP0());
      append(builder, piece);
      try (Path path = builder.detach();
          PathMeasure measure = new PathMeasure(path, false, PRECISION)) {
        return measure.getLength();
      }
    }
  }

  private static boolean isPoint(PathSegment piece) {
    return points(piece).stream().allMatch(point -> distance(point, piece.getP0()) < 1e-6);
  }

  private static List<Point> points(PathSegment piece) {
    return switch (piece.getVerb()) {
      case LINE -> List.of(piece.getP0(), piece.getP1());
      case QUAD, CONIC -> List.of(piece.getP0(), piece.getP1(), piece.getP2());
      case CUBIC -> List.of(piece.getP0(), piece.getP1(), piece.getP2(), piece.getP3());
      case MOVE, CLOSE, DONE -> List.of();
    };
  }

  /** How far a point lies outside a box. */
  private static double outside(Rect box, Point point) {
    double across = Math.max(box.getLeft() - point.getX(), point.getX() - box.getRight());
    double down = Math.max(box.getTop() - point.getY(), point.getY() - box.getBottom());
    return Math.hypot(Math.max(0, across), Math.max(0, down));
  }

  /** Between two directions, in radians from 0 to pi. */
  private static double angle(double one, double other) {
    return Math.abs(Math.IEEEremainder(one - other, 2 * Math.PI));
  }

  /** How far the direction turns from the end of one piece to the start of the next, in degrees. */
  private static double turn(PathSegment one, PathSegment next) {
    double end = direction(points(one).reversed()) + Math.PI;
    double start = direction(points(next));
    double turn = Math.abs(Math.IEEEremainder(start - end, 2 * Math.PI));
    return Math.toDegrees(turn);
  }

  private static double direction(List<Point> points) {
    Point from = points.getFirst();
    for (Point to : points) {
      if (distance(from, to) > 1e-4) {
        return Math.atan2(to.getY() - from.getY(), to.getX() - from.getX());
      }
    }
    return 0;
  }

  private static double distance(Point one, Point other) {
    return Math.hypot(one.getX() - other.getX(), one.getY() - other.getY());
  }
}
