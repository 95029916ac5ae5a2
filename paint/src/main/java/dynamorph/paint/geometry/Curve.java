package dynamorph.paint.geometry;

import dynamorph.typeset.layout.Box;

/**
 * A piece of a contour: a cubic Bézier curve, or a straight line, whose inner points then lie on
 * its ends.
 */
record Curve(Vec from, Vec first, Vec second, Vec to, boolean straight) {
  private static final double NONE = 1e-9;

  static Curve line(Vec from, Vec to) {
    return new Curve(from, from, to, to, true);
  }

  static Curve quadratic(Vec from, Vec control, Vec to) {
    return new Curve(from, from.towards(control, 2 / 3.0), to.towards(control, 2 / 3.0), to, false);
  }

  static Curve cubic(Vec from, Vec first, Vec second, Vec to) {
    return new Curve(from, first, second, to, false);
  }

  boolean isNothing() {
    return isClose(from, to) && (straight || isClose(from, first) && isClose(from, second));
  }

  private static boolean isClose(Vec one, Vec other) {
    return Math.abs(one.x() - other.x()) < NONE && Math.abs(one.y() - other.y()) < NONE;
  }

  Curve reversed() {
    return new Curve(to, second, first, from, straight);
  }

  /** The place at a part of its parameter, 0 to 1. */
  Vec at(double t) {
    if (straight) {
      return from.towards(to, t);
    }
    double s = 1 - t;
    double a = s * s * s;
    double b = 3 * s * s * t;
    double c = 3 * s * t * t;
    double d = t * t * t;
    return new Vec(
        a * from.x() + b * first.x() + c * second.x() + d * to.x(),
        a * from.y() + b * first.y() + c * second.y() + d * to.y());
  }

  /** Where it goes at its beginning, of length 1. */
  Vec startDirection() {
    return direction(from, straight ? to : first, second, to);
  }

  /** Where it goes at its end, of length 1. */
  Vec endDirection() {
    return direction(to, straight ? from : second, first, from).times(-1);
  }

  /** From one place towards the first of some that is not the same. */
  private static Vec direction(Vec place, Vec... others) {
    for (Vec other : others) {
      Vec way = other.minus(place);
      double length = way.length();
      if (length > NONE) {
        return way.times(1 / length);
      }
    }
    return new Vec(1, 0);
  }

  /** Half of it: the first or the second. */
  Curve half(boolean last) {
    Vec middle = at(0.5);
    if (straight) {
      return last ? line(middle, to) : line(from, middle);
    }
    Vec inner = first.towards(second, 0.5);
    if (last) {
      Vec control = second.towards(to, 0.5);
      return new Curve(middle, inner.towards(control, 0.5), control, to, false);
    }
    Vec control = from.towards(first, 0.5);
    return new Curve(from, control, control.towards(inner, 0.5), middle, false);
  }

  /** Where it goes at its middle, of length 1. */
  Vec middleDirection() {
    Vec way = to.plus(second).minus(first).minus(from);
    double length = way.length();
    return length > NONE ? way.times(1 / length) : direction(from, to, second);
  }

  /** Whether it turns from x towards y all along, or not at all. */
  boolean turnsOneWay() {
    Vec start = first.minus(from);
    Vec middle = second.minus(first);
    Vec end = to.minus(second);
    return start.cross(middle) >= 0 && middle.cross(end) >= 0 && start.cross(end) >= 0;
  }

  /**
   * How much it turns at a place, in radians per point, from x towards y; 0 where it stands still.
   */
  double curvature(double t) {
    double s = 1 - t;
    double a = s * s;
    double b = 2 * s * t;
    double c = t * t;
    double wayX =
        a * (first.x() - from.x()) + b * (second.x() - first.x()) + c * (to.x() - second.x());
    double wayY =
        a * (first.y() - from.y()) + b * (second.y() - first.y()) + c * (to.y() - second.y());
    double changeX =
        s * (second.x() - 2 * first.x() + from.x()) + t * (to.x() - 2 * second.x() + first.x());
    double changeY =
        s * (second.y() - 2 * first.y() + from.y()) + t * (to.y() - 2 * second.y() + first.y());
    double squared = wayX * wayX + wayY * wayY;
    return squared < NONE * NONE
        ? 0
        : (wayX * changeY - wayY * changeX) * 2 / 3 / (squared * Math.sqrt(squared));
  }

  /** The box around its ends and inner points, in which it lies. */
  Box box() {
    double left = Math.min(Math.min(from.x(), first.x()), Math.min(second.x(), to.x()));
    double top = Math.min(Math.min(from.y(), first.y()), Math.min(second.y(), to.y()));
    double right = Math.max(Math.max(from.x(), first.x()), Math.max(second.x(), to.x()));
    double bottom = Math.max(Math.max(from.y(), first.y()), Math.max(second.y(), to.y()));
    return new Box(left, top, right - left, bottom - top);
  }

  /** Twice the area between it and the origin, negative if it turns from y towards x (Green). */
  double sweep() {
    if (straight) {
      return from.cross(to);
    }
    return 0.6 * (from.cross(first) + second.cross(to))
        + 0.3 * (from.cross(second) + first.cross(second) + first.cross(to))
        + 0.1 * from.cross(to);
  }
}
