package dynamorph.paint.geometry;

import java.util.Arrays;
import java.util.Comparator;
import java.util.Optional;
import java.util.function.IntToLongFunction;

/**
 * Cuts edges where they meet, so that afterwards they meet at their ends only. Cuts lie on whole
 * numbers, which bends edges by up to half a unit and can make them meet others: those that were
 * cut are asked again, until none is (as in snap rounding, Hobby, <i>Practical segment intersection
 * with finite precision output</i>, 1999, by rounds instead of hot pixels).
 */
final class Noder {
  /** Edges that were cut so often only cross by less than a unit. */
  private static final int MOST_ROUNDS = 12;

  private static final int MOST_CUTS = 1_500_000;

  private final Cuts cuts = new Cuts();
  private Segments segments;

  private Noder(Segments segments) {
    this.segments = segments;
  }

  /**
   * The edges, cut.
   *
   * @param limit how many pairs of edges are asked at most
   * @return empty if more would have to be
   */
  static Optional<Segments> cut(Segments segments, long limit) {
    return new Noder(segments).cut(limit);
  }

  private Optional<Segments> cut(long limit) {
    int fresh = 0;
    long left = limit;
    for (int round = 0; round < MOST_ROUNDS && fresh < segments.count(); round++) {
      cuts.clear();
      long pairs = SegmentGrid.forEachPair(segments, fresh, left, this::meet);
      if (pairs > left || cuts.count() > MOST_CUTS) {
        return Optional.empty();
      }
      left -= pairs;
      fresh = divide();
    }
    return Optional.of(segments);
  }

  private void meet(int one, int other) {
    if (!segments.meet(one, other)) {
      return;
    }
    long from = segments.side(one, segments.fromX(other), segments.fromY(other));
    long to = segments.side(one, segments.toX(other), segments.toY(other));
    if (from > 0 && to > 0 || from < 0 && to < 0) {
      return;
    }
    long otherFrom = segments.side(other, segments.fromX(one), segments.fromY(one));
    long otherTo = segments.side(other, segments.toX(one), segments.toY(one));
    if (from != 0 && to != 0 && otherFrom != 0 && otherTo != 0) {
      if (otherFrom > 0 != otherTo > 0) {
        cross(one, other, (double) otherFrom / ((double) otherFrom - otherTo));
      }
      return;
    }
    touch(from, one, segments.fromX(other), segments.fromY(other));
    touch(to, one, segments.toX(other), segments.toY(other));
    touch(otherFrom, other, segments.fromX(one), segments.fromY(one));
    touch(otherTo, other, segments.toX(one), segments.toY(one));
  }

  /**
   * @param part of the first edge that lies before the crossing, 0 to 1
   */
  private void cross(int one, int other, double part) {
    int x = (int) Math.rint(segments.fromX(one) + part * (segments.toX(one) - segments.fromX(one)));
    int y = (int) Math.rint(segments.fromY(one) + part * (segments.toY(one) - segments.fromY(one)));
    cut(one, x, y);
    cut(other, x, y);
  }

  private void touch(long side, int segment, int x, int y) {
    if (side == 0
        && x >= segments.left(segment)
        && x <= segments.right(segment)
        && y >= segments.top(segment)
        && y <= segments.bottom(segment)) {
      cut(segment, x, y);
    }
  }

  private void cut(int segment, int x, int y) {
    boolean atEnd =
        x == segments.fromX(segment) && y == segments.fromY(segment)
            || x == segments.toX(segment) && y == segments.toY(segment);
    if (!atEnd && cuts.count() <= MOST_CUTS) {
      cuts.add(segment, x, y);
    }
  }

  /** Divides what was cut; tells from where on edges are new. */
  private int divide() {
    if (cuts.count() == 0) {
      return segments.count();
    }
    int[] begins = cuts.bySegment(segments.count());
    Segments divided = new Segments();
    for (int segment = 0; segment < segments.count(); segment++) {
      if (begins[segment] == begins[segment + 1]) {
        divided.addFrom(segments, segment);
      }
    }
    int fresh = divided.count();
    for (int segment = 0; segment < segments.count(); segment++) {
      if (begins[segment] < begins[segment + 1]) {
        divide(segment, begins[segment], begins[segment + 1], divided);
      }
    }
    segments = divided;
    return fresh;
  }

  /** Divides one edge at its cuts, which are sorted along it. */
  private void divide(int segment, int begin, int end, Segments divided) {
    cuts.sort(begin, end, cut -> along(segment, cut));
    int shape = segments.shape(segment);
    int x = segments.fromX(segment);
    int y = segments.fromY(segment);
    for (int cut = begin; cut < end; cut++) {
      divided.add(x, y, cuts.x(cut), cuts.y(cut), shape);
      x = cuts.x(cut);
      y = cuts.y(cut);
    }
    divided.add(x, y, segments.toX(segment), segments.toY(segment), shape);
  }

  private long along(int segment, int cut) {
    long x = (long) segments.toX(segment) - segments.fromX(segment);
    long y = (long) segments.toY(segment) - segments.fromY(segment);
    return x * (cuts.x(cut) - segments.fromX(segment))
        + y * (cuts.y(cut) - segments.fromY(segment));
  }

  /** Places at which segments are cut. */
  private static final class Cuts {
    private int[] segments = new int[256];
    private long[] places = new long[256];
    private int count;

    int count() {
      return count;
    }

    void clear() {
      count = 0;
    }

    void add(int segment, int x, int y) {
      if (count == segments.length) {
        segments = Arrays.copyOf(segments, 2 * count);
        places = Arrays.copyOf(places, 2 * count);
      }
      segments[count] = segment;
      places[count++] = (long) x << Integer.SIZE | y & 0xFFFFFFFFL;
    }

    int x(int cut) {
      return (int) (places[cut] >> Integer.SIZE);
    }

    int y(int cut) {
      return (int) places[cut];
    }

    /** Brings those of each segment together; tells where they begin, and behind the last. */
    int[] bySegment(int of) {
      int[] begins = new int[of + 1];
      for (int cut = 0; cut < count; cut++) {
        begins[segments[cut]]++;
      }
      int total = 0;
      for (int segment = 0; segment <= of; segment++) {
        total += begins[segment];
        begins[segment] = total;
      }
      long[] sorted = new long[count];
      for (int cut = count - 1; cut >= 0; cut--) {
        sorted[--begins[segments[cut]]] = places[cut];
      }
      places = sorted;
      segments = new int[count];
      return begins;
    }

    void sort(int begin, int end, IntToLongFunction key) {
      if (end - begin == 1) {
        return;
      }
      long[][] keyed = new long[end - begin][];
      for (int cut = begin; cut < end; cut++) {
        keyed[cut - begin] = new long[] {key.applyAsLong(cut), places[cut]};
      }
      Arrays.sort(keyed, Comparator.comparingLong(pair -> pair[0]));
      for (int cut = begin; cut < end; cut++) {
        places[cut] = keyed[cut - begin][1];
      }
    }
  }
}
