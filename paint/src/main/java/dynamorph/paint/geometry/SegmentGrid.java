package dynamorph.paint.geometry;

/**
 * Cells over edges, each with those that pass through it: edges that meet share a cell. That edges
 * are short for the cells makes asking all pairs of a cell a matter of few.
 */
final class SegmentGrid {
  /** Takes two edges that share a cell, the later one first. */
  interface Pair {
    void take(int later, int earlier);
  }

  private static final int MOST_CELLS = 1 << 20;
  private static final int CELLS_PER_EDGE = 2;

  /** No more places in cells are kept. */
  private static final int MOST_VISITS = 1 << 24;

  private final Segments segments;
  private final int left;
  private final int top;
  private final double cell;
  private final int columns;
  private final int rows;

  /** Where the edges of each cell begin in {@link #visitors}, and behind the last. */
  private final int[] begins;

  private int[] visitors = {};

  private SegmentGrid(Segments segments) {
    this.segments = segments;
    int left = Integer.MAX_VALUE;
    int top = Integer.MAX_VALUE;
    int right = Integer.MIN_VALUE;
    int bottom = Integer.MIN_VALUE;
    for (int index = 0; index < segments.count(); index++) {
      left = Math.min(left, segments.left(index));
      top = Math.min(top, segments.top(index));
      right = Math.max(right, segments.right(index));
      bottom = Math.max(bottom, segments.bottom(index));
    }
    this.left = left;
    this.top = top;
    double width = (double) right - left + 1;
    double height = (double) bottom - top + 1;
    double wanted = Math.clamp((double) CELLS_PER_EDGE * segments.count(), 1, MOST_CELLS);
    double square = Math.sqrt(width * height / wanted);
    this.cell = Math.max(square, Math.max(width, height) / wanted);
    this.columns = (int) (width / cell) + 1;
    this.rows = (int) (height / cell) + 1;
    this.begins = new int[columns * rows + 1];
  }

  /**
   * The pairs of edges that share a cell, one that shares several counted for each.
   *
   * @param segments at least one
   * @return {@link Long#MAX_VALUE} if there are too many even to count
   */
  static long pairs(Segments segments) {
    SegmentGrid grid = new SegmentGrid(segments);
    if (!grid.count()) {
      return Long.MAX_VALUE;
    }
    long pairs = 0;
    for (long visits : grid.begins) {
      pairs += visits * (visits - 1) / 2;
    }
    return pairs;
  }

  /**
   * Goes through pairs that share a cell.
   *
   * @param fresh only those of which one has this index or a later one
   * @param limit of pairs
   * @return how many there were; {@link Long#MAX_VALUE} if more than the limit, and none was taken
   */
  static long forEachPair(Segments segments, int fresh, long limit, Pair taker) {
    SegmentGrid grid = new SegmentGrid(segments);
    if (!grid.count()) {
      return Long.MAX_VALUE;
    }
    grid.fill();
    long pairs = grid.pairs(fresh);
    if (pairs > limit) {
      return Long.MAX_VALUE;
    }
    grid.take(fresh, taker);
    return pairs;
  }

  // --- cells

  private interface Visitor {
    void visit(int cell);
  }

  /** Whether few enough places in cells are needed. */
  private boolean count() {
    long visits = 0;
    for (int index = 0; index < segments.count(); index++) {
      visits += visit(index, cell -> begins[cell]++);
      if (visits > MOST_VISITS) {
        return false;
      }
    }
    return true;
  }

  private void fill() {
    int total = 0;
    for (int index = 0; index < begins.length; index++) {
      total += begins[index];
      begins[index] = total;
    }
    visitors = new int[total];
    for (int index = segments.count() - 1; index >= 0; index--) {
      int visitor = index;
      visit(index, cell -> visitors[--begins[cell]] = visitor);
    }
  }

  /** Goes through the cells that an edge passes through, and those that it all but touches. */
  private int visit(int index, Visitor visitor) {
    int visits = 0;
    boolean level = segments.fromY(index) == segments.toY(index);
    int from = row(segments.top(index) - 1.0);
    int to = row(segments.bottom(index) + 1.0);
    for (int row = from; row <= to; row++) {
      double enters = level ? segments.left(index) : at(index, top + row * cell);
      double leaves = level ? segments.right(index) : at(index, top + (row + 1) * cell);
      int first = column(Math.min(enters, leaves) - 1);
      int last = column(Math.max(enters, leaves) + 1);
      for (int column = first; column <= last; column++) {
        visitor.visit(row * columns + column);
      }
      visits += last - first + 1;
    }
    return visits;
  }

  private int row(double y) {
    return Math.clamp((int) ((y - top) / cell), 0, rows - 1);
  }

  private int column(double x) {
    return Math.clamp((int) ((x - left) / cell), 0, columns - 1);
  }

  /** Where an edge that is not level is at a height, or at its end that is nearest to it. */
  private double at(int index, double y) {
    double inside = Math.clamp(y, segments.top(index), segments.bottom(index));
    double part =
        (inside - segments.fromY(index)) / ((double) segments.toY(index) - segments.fromY(index));
    return segments.fromX(index) + part * ((double) segments.toX(index) - segments.fromX(index));
  }

  // --- pairs

  private long pairs(int fresh) {
    long pairs = 0;
    for (int cell = 0; cell + 1 < begins.length; cell++) {
      for (int place = begins[cell]; place < begins[cell + 1]; place++) {
        pairs += visitors[place] >= fresh ? place - begins[cell] : 0;
      }
    }
    return pairs;
  }

  /** The edges of a cell lie in their order. */
  private void take(int fresh, Pair taker) {
    for (int cell = 0; cell + 1 < begins.length; cell++) {
      for (int later = begins[cell + 1] - 1; later > begins[cell]; later--) {
        if (visitors[later] < fresh) {
          break;
        }
        for (int earlier = begins[cell]; earlier < later; earlier++) {
          taker.take(visitors[later], visitors[earlier]);
        }
      }
    }
  }
}
