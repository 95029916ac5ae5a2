package dynamorph.paint.geometry;

import java.util.Arrays;

/** Straight edges between whole numbers below 2^23, each of one of two shapes. */
final class Segments {
  private static final int FIELDS = 5;

  private int[] values = new int[64 * FIELDS];
  private int count;

  int count() {
    return count;
  }

  /** Adds an edge, unless it has no length. */
  void add(int fromX, int fromY, int toX, int toY, int shape) {
    if (fromX == toX && fromY == toY) {
      return;
    }
    if ((count + 1) * FIELDS > values.length) {
      values = Arrays.copyOf(values, 2 * values.length);
    }
    int at = count++ * FIELDS;
    values[at] = fromX;
    values[at + 1] = fromY;
    values[at + 2] = toX;
    values[at + 3] = toY;
    values[at + 4] = shape;
  }

  void addFrom(Segments other, int index) {
    add(
        other.fromX(index),
        other.fromY(index),
        other.toX(index),
        other.toY(index),
        other.shape(index));
  }

  int fromX(int index) {
    return values[index * FIELDS];
  }

  int fromY(int index) {
    return values[index * FIELDS + 1];
  }

  int toX(int index) {
    return values[index * FIELDS + 2];
  }

  int toY(int index) {
    return values[index * FIELDS + 3];
  }

  int shape(int index) {
    return values[index * FIELDS + 4];
  }

  int left(int index) {
    return Math.min(fromX(index), toX(index));
  }

  int right(int index) {
    return Math.max(fromX(index), toX(index));
  }

  int top(int index) {
    return Math.min(fromY(index), toY(index));
  }

  int bottom(int index) {
    return Math.max(fromY(index), toY(index));
  }

  /** On which side of a segment's line a point lies: more than 0, less, or 0 on the line. */
  long side(int index, int x, int y) {
    return (long) (toX(index) - fromX(index)) * (y - fromY(index))
        - (long) (toY(index) - fromY(index)) * (x - fromX(index));
  }

  /** Whether the boxes around two of them meet. */
  boolean meet(int one, int other) {
    return left(one) <= right(other)
        && left(other) <= right(one)
        && top(one) <= bottom(other)
        && top(other) <= bottom(one);
  }
}
