package dynamorph.paint.geometry;

/** A place or a direction on the plane, in points; y grows downwards. */
record Vec(double x, double y) {
  Vec plus(Vec other) {
    return new Vec(x + other.x, y + other.y);
  }

  Vec minus(Vec other) {
    return new Vec(x - other.x, y - other.y);
  }

  Vec times(double factor) {
    return new Vec(x * factor, y * factor);
  }

  /** The place some way towards another: 0 here, 1 there. */
  Vec towards(Vec other, double part) {
    return new Vec(x + (other.x - x) * part, y + (other.y - y) * part);
  }

  double dot(Vec other) {
    return x * other.x + y * other.y;
  }

  /** Positive if the other is this, turned by less than half a turn from x towards y. */
  double cross(Vec other) {
    return x * other.y - y * other.x;
  }

  double length() {
    // unlike hypot, which takes its time for numbers that do not occur here
    return Math.sqrt(x * x + y * y);
  }

  /** Turned by a quarter from y towards x. */
  Vec aside() {
    return new Vec(y, -x);
  }
}
