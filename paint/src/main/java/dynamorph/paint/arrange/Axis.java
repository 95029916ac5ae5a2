package dynamorph.paint.arrange;

import dynamorph.typeset.layout.Box;

/** A direction of an artboard. */
public enum Axis {
  /** To the right. */
  ACROSS,
  /** Downwards. */
  DOWN;

  /** Where a box begins, in points. */
  public double low(Box box) {
    return this == ACROSS ? box.x() : box.y();
  }

  /** Where a box ends, in points. */
  public double high(Box box) {
    return this == ACROSS ? box.right() : box.bottom();
  }

  public double middle(Box box) {
    return (low(box) + high(box)) / 2;
  }

  public double length(Box box) {
    return high(box) - low(box);
  }

  public Axis other() {
    return this == ACROSS ? DOWN : ACROSS;
  }

  /** Whether two boxes stand beside each other in this direction. */
  boolean areBeside(Box one, Box two) {
    Axis cross = other();
    return cross.low(one) < cross.high(two) && cross.low(two) < cross.high(one);
  }

  Box moved(Box box, double by) {
    return this == ACROSS ? box.moved(by, 0) : box.moved(0, by);
  }
}
