package dynamorph.paint.geometry;

import io.github.humbleui.skija.Path;
import io.github.humbleui.skija.PathBuilder;
import io.github.humbleui.skija.PathFillMode;
import io.github.humbleui.skija.PathOp;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.ToIntFunction;
import org.jspecify.annotations.Nullable;

/**
 * Combines shapes of thousands of pieces. Their edges are taken as polygons on a fine grid and cut
 * where they meet; a sweep over the cut edges then tells the winding numbers on both sides of each,
 * and those with the result on one side only are its edge. It takes time in proportion to n log n
 * for n edges that are cut, and refuses what would be cut too often.
 *
 * <p>Coordinates are whole numbers below 2^23, so that the side of an edge on which a point lies is
 * exact.
 */
final class PlanarArrangement {

  private static final double FINEST_GRID = 1 / 1024.0;
  private static final double FARTHEST = 1 << 22;

  /** Curves of fewer pieces are combined as such, whatever they cross. */
  private static final int FEW_PIECES = 300;

  private static final int MOST_PIECES = 20_000;

  /** Pairs of edges that are near each other: more take long as curves. */
  private static final int MANY_PAIRS = 20_000;

  /** So many for each edge come of those beside it alone. */
  private static final int PAIRS_APART = 4;

  /** More take longer than some seconds to cut. */
  private static final int MOST_PAIRS = 8_000_000;

  /** An edge between two nodes, and how the winding number of each shape changes across it. */
  private final class Edge {
    private final int left;
    private final int right;
    private int change;
    private int otherChange;
    private int above;
    private int otherAbove;
    private boolean isLeftward;
    private boolean used;

    Edge(int left, int right) {
      this.left = left;
      this.right = right;
    }

    /** On which side a node lies; more than 0 is above. */
    private long side(int node) {
      return PlanarArrangement.this.side(left, right, node);
    }

    private long sideOf(Edge later) {
      long side = side(later.left);
      return side != 0 ? side : side(later.right);
    }

    private boolean isInside(boolean above) {
      boolean one = LineCheck.isInside(this.above - (above ? 0 : change), evenOdd[0]);
      boolean other = LineCheck.isInside(otherAbove - (above ? 0 : otherChange), evenOdd[1]);
      return LineCheck.isWanted(op, one, other);
    }

    /** Where it goes with the result on its left. */
    private int from() {
      return isLeftward ? right : left;
    }

    private int to() {
      return isLeftward ? left : right;
    }
  }

  private final PathOp op;
  private final boolean[] evenOdd;
  private final double grid;

  /** Ends of edges in the order of the sweep, and so that they sort like it. */
  private final long[] nodes;

  /** In the order of their left ends, then of their right ones. */
  private final List<Edge> edges;

  private PlanarArrangement(Path one, Path other, PathOp op, double grid, Segments cut) {
    this.op = op;
    this.evenOdd = new boolean[] {LineCheck.isEvenOdd(one), LineCheck.isEvenOdd(other)};
    this.grid = grid;
    this.nodes = nodes(cut);
    this.edges = edges(cut);
  }

  /**
   * Whether shapes have so many pieces, or cross so often, that curves would take too long. Letters
   * that lie apart stay curves, however many they are.
   */
  static boolean isBetterFor(Path one, Path other) {
    int pieces = one.getVerbsCount() + other.getVerbsCount();
    return pieces > MOST_PIECES || pieces > FEW_PIECES && isDense(one, other);
  }

  private static boolean isDense(Path one, Path other) {
    Segments polygons = polygons(one, other, grid(one, other));
    long many = Math.max(MANY_PAIRS, (long) PAIRS_APART * polygons.count());
    return polygons.count() > 0 && SegmentGrid.pairs(polygons) > many;
  }

  /** Two shapes as one; the caller closes it. Empty if their edges cross too often to be cut. */
  static Optional<Path> combined(Path one, Path other, PathOp op) {
    double grid = grid(one, other);
    Segments polygons = polygons(one, other, grid);
    if (polygons.count() == 0) {
      return Optional.of(new Path());
    }
    return Noder.cut(polygons, MOST_PAIRS)
        .map(cut -> new PlanarArrangement(one, other, op, grid, cut).combined());
  }

  private static Segments polygons(Path one, Path other, double grid) {
    Segments polygons = new Segments();
    PathPieces.tell(one, new Chords(grid, 0, polygons));
    PathPieces.tell(other, new Chords(grid, 1, polygons));
    return polygons;
  }

  private Path combined() {
    sweep();
    return contours();
  }

  /** A power of two, so that nothing is lost by it. */
  private static double grid(Path one, Path other) {
    double farthest = Math.max(Edges.farthest(one.getBounds()), Edges.farthest(other.getBounds()));
    double grid = FINEST_GRID;
    while (farthest / grid > FARTHEST) {
      grid *= 2;
    }
    return grid;
  }

  // --- nodes and edges

  private static long node(int x, int y) {
    return ((long) x << Integer.SIZE) + y;
  }

  private int x(int node) {
    return (int) ((nodes[node] - y(node)) >> Integer.SIZE);
  }

  private int y(int node) {
    return (int) nodes[node];
  }

  private static long[] nodes(Segments cut) {
    long[] all = new long[2 * cut.count()];
    for (int index = 0; index < cut.count(); index++) {
      all[2 * index] = node(cut.fromX(index), cut.fromY(index));
      all[2 * index + 1] = node(cut.toX(index), cut.toY(index));
    }
    Arrays.sort(all);
    int count = 0;
    for (int index = 0; index < all.length; index++) {
      if (index == 0 || all[index] != all[index - 1]) {
        all[count++] = all[index];
      }
    }
    return Arrays.copyOf(all, count);
  }

  /** Edges between the same nodes are one. */
  private List<Edge> edges(Segments cut) {
    long[] all = new long[cut.count()];
    for (int index = 0; index < all.length; index++) {
      long from = Arrays.binarySearch(nodes, node(cut.fromX(index), cut.fromY(index)));
      long to = Arrays.binarySearch(nodes, node(cut.toX(index), cut.toY(index)));
      long ends = Math.min(from, to) << Integer.SIZE | Math.max(from, to) << 2;
      all[index] = ends | (long) cut.shape(index) << 1 | (from < to ? 1 : 0);
    }
    Arrays.sort(all);
    List<Edge> merged = new ArrayList<>(all.length);
    for (int index = 0; index < all.length; index++) {
      if (index == 0 || all[index] >> 2 != all[index - 1] >> 2) {
        merged.add(new Edge((int) (all[index] >> Integer.SIZE), (int) all[index] >> 2));
      }
      int change = (all[index] & 1) == 1 ? 1 : -1;
      if ((all[index] & 2) == 0) {
        merged.getLast().change += change;
      } else {
        merged.getLast().otherChange += change;
      }
    }
    return merged;
  }

  /** More than 0 if a node lies above the line from one to another. */
  private long side(int from, int to, int node) {
    return (long) (x(to) - x(from)) * (y(node) - y(from))
        - (long) (y(to) - y(from)) * (x(node) - x(from));
  }

  /** Which of two edges that do not cross is the lower one, where both are. */
  private static int lower(Edge one, Edge other) {
    if (one == other) {
      return 0;
    }
    long side = one.left <= other.left ? one.sideOf(other) : -other.sideOf(one);
    return side > 0 ? -1 : side < 0 ? 1 : Integer.compare(one.right, other.right);
  }

  /** Edges by one of their ends. */
  private static final class ByNode {
    private final int[] begins;
    private final Edge[] sorted;

    ByNode(List<Edge> edges, int nodes, ToIntFunction<Edge> end) {
      this.begins = new int[nodes + 1];
      this.sorted = new Edge[edges.size()];
      edges.forEach(edge -> begins[end.applyAsInt(edge)]++);
      int total = 0;
      for (int node = 0; node <= nodes; node++) {
        total += begins[node];
        begins[node] = total;
      }
      for (Edge edge : edges.reversed()) {
        sorted[--begins[end.applyAsInt(edge)]] = edge;
      }
    }

    List<Edge> at(int node) {
      return Arrays.asList(sorted).subList(begins[node], begins[node + 1]);
    }
  }

  // --- winding numbers

  private void sweep() {
    ByNode beginning = new ByNode(edges, nodes.length, edge -> edge.left);
    ByNode ending = new ByNode(edges, nodes.length, edge -> edge.right);
    TreeSet<Edge> status = new TreeSet<>(PlanarArrangement::lower);
    for (int node = 0; node < nodes.length; node++) {
      ending.at(node).forEach(status::remove);
      begin(beginning.at(node), status);
    }
  }

  /** Winding numbers from the lowest edge up: what is below it lies above the one before. */
  private static void begin(List<Edge> beginning, TreeSet<Edge> status) {
    beginning.sort(PlanarArrangement::lower);
    status.addAll(beginning);
    for (Edge edge : beginning) {
      Edge below = status.lower(edge);
      edge.above = (below == null ? 0 : below.above) + edge.change;
      edge.otherAbove = (below == null ? 0 : below.otherAbove) + edge.otherChange;
    }
  }

  // --- contours

  private Path contours() {
    List<Edge> result = new ArrayList<>();
    for (Edge edge : edges) {
      boolean above = edge.isInside(true);
      if (above != edge.isInside(false)) {
        edge.isLeftward = !above;
        result.add(edge);
      }
    }
    ByNode leaving = new ByNode(result, nodes.length, Edge::from);
    try (PathBuilder builder = new PathBuilder(PathFillMode.WINDING)) {
      result.stream().filter(edge -> !edge.used).forEach(edge -> contour(edge, leaving, builder));
      return builder.detach();
    }
  }

  private void contour(Edge first, ByNode leaving, PathBuilder builder) {
    List<Integer> corners = new ArrayList<>();
    @Nullable Edge edge = first;
    while (edge != null) {
      edge.used = true;
      int count = corners.size();
      if (count > 1 && side(corners.get(count - 2), corners.get(count - 1), edge.to()) == 0) {
        corners.removeLast();
      }
      corners.add(edge.to());
      edge = next(edge, leaving.at(edge.to()));
    }
    for (int index = 0; index < corners.size(); index++) {
      float x = (float) (x(corners.get(index)) * grid);
      float y = (float) (y(corners.get(index)) * grid);
      if (index == 0) {
        builder.moveTo(x, y);
      } else {
        builder.lineTo(x, y);
      }
    }
    builder.closePath();
  }

  /** Where contours touch, the sharpest turn towards the result, so that they do not cross. */
  private @Nullable Edge next(Edge edge, List<Edge> leaving) {
    @Nullable Edge best = null;
    double sharpest = Double.NEGATIVE_INFINITY;
    for (Edge candidate : leaving) {
      if (!candidate.used) {
        double turn = turn(edge, candidate);
        if (turn > sharpest) {
          sharpest = turn;
          best = candidate;
        }
      }
    }
    return best;
  }

  private double turn(Edge edge, Edge next) {
    double x = x(edge.to()) - x(edge.from());
    double y = y(edge.to()) - y(edge.from());
    double nextX = x(next.to()) - x(next.from());
    double nextY = y(next.to()) - y(next.from());
    return Math.atan2(x * nextY - y * nextX, x * nextX + y * nextY);
  }
}
