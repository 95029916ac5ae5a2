package dynamorph.paint.arrange;

import dynamorph.typeset.layout.Box;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What things on an artboard snap to: edges and centres of the artboard and of other things, the
 * baselines of other texts, and gaps that others have between them. An edge snaps to edges, a
 * centre to centres, a baseline to baselines; everything but a baseline snaps to the centre of the
 * artboard.
 */
public final class SnapLines {
  /** Lines nearer to each other than this are one, in points. */
  private static final double SAME = 1e-6;

  private enum Kind {
    EDGE,
    CENTRE,
    BASELINE
  }

  /** A line across an axis, and the box that it belongs to. */
  private record Line(Kind kind, double at, Box of) {
    boolean fits(Line other) {
      return kind == other.kind;
    }
  }

  private final Box artboard;
  private final List<Arranged> others;
  private final List<Line> across;
  private final List<Line> down;

  /**
   * @param artboard at its own origin
   * @param areas other frames on it, such as those that every screen shows
   * @param others what is not moved
   */
  public SnapLines(Box artboard, List<Box> areas, List<Arranged> others) {
    this.artboard = artboard;
    this.others = List.copyOf(others);
    this.across = lines(Axis.ACROSS, areas);
    this.down = lines(Axis.DOWN, areas);
  }

  private List<Line> lines(Axis axis, List<Box> areas) {
    List<Line> lines = new ArrayList<>();
    Stream.concat(Stream.of(artboard), areas.stream())
        .forEach(frame -> lines.addAll(ofBox(axis, frame)));
    lines.add(new Line(Kind.EDGE, axis.middle(artboard), artboard));
    others.forEach(other -> lines.addAll(of(axis, other)));
    return List.copyOf(lines);
  }

  private static List<Line> of(Axis axis, Arranged thing) {
    List<Line> lines = new ArrayList<>(ofBox(axis, thing.box()));
    if (axis == Axis.DOWN) {
      thing.baselines().forEach(at -> lines.add(new Line(Kind.BASELINE, at, thing.box())));
    }
    return lines;
  }

  private static List<Line> ofBox(Axis axis, Box box) {
    return List.of(
        new Line(Kind.EDGE, axis.low(box), box),
        new Line(Kind.EDGE, axis.high(box), box),
        new Line(Kind.CENTRE, axis.middle(box), box));
  }

  private List<Line> all(Axis axis) {
    return axis == Axis.ACROSS ? across : down;
  }

  /**
   * Where something that is moved comes to lie.
   *
   * @param moving in its place before it snaps
   * @param tolerance how far it may be moved on, in points
   */
  public Snap moved(Arranged moving, double tolerance) {
    double right = shift(Axis.ACROSS, of(Axis.ACROSS, moving), moving.box(), tolerance);
    double below = shift(Axis.DOWN, of(Axis.DOWN, moving), moving.box(), tolerance);
    Arranged there = moving.moved(right, below);
    List<Snap.Guide> guides = new ArrayList<>();
    List<Snap.Gap> gaps = new ArrayList<>();
    for (Axis axis : Axis.values()) {
      guides.addAll(guides(axis, of(axis, there), there.box()));
      gaps.addAll(equalGaps(axis, there.box()));
    }
    return new Snap(right, below, guides, gaps);
  }

  /**
   * Where the sides of a box that is made larger or smaller come to lie.
   *
   * @param box before it snaps
   * @param right -1 where its left side is moved, 1 where its right side is, 0 for neither
   * @param below -1 where its upper side is moved, 1 where its lower side is, 0 for neither
   * @param tolerance how far a side may be moved on, in points
   */
  public Snap resized(Box box, int right, int below, double tolerance) {
    double sideways = side(Axis.ACROSS, box, right, tolerance);
    double upright = side(Axis.DOWN, box, below, tolerance);
    List<Snap.Guide> guides = new ArrayList<>();
    if (right != 0) {
      guides.addAll(guides(Axis.ACROSS, List.of(edge(Axis.ACROSS, box, right, sideways)), box));
    }
    if (below != 0) {
      guides.addAll(guides(Axis.DOWN, List.of(edge(Axis.DOWN, box, below, upright)), box));
    }
    return new Snap(sideways, upright, guides, List.of());
  }

  private double side(Axis axis, Box box, int which, double tolerance) {
    return which == 0
        ? 0
        : nearest(axis, List.of(edge(axis, box, which, 0)))
            .filter(by -> Math.abs(by) <= tolerance)
            .orElse(0.0);
  }

  private static Line edge(Axis axis, Box box, int which, double by) {
    return new Line(Kind.EDGE, (which < 0 ? axis.low(box) : axis.high(box)) + by, box);
  }

  /** A line that things share counts before a gap that is as near. */
  private double shift(Axis axis, List<Line> own, Box box, double tolerance) {
    return Stream.concat(
            nearest(axis, own).stream(),
            gapShifts(axis, box).stream().min(Comparator.comparingDouble(Math::abs)).stream())
        .filter(by -> Math.abs(by) <= tolerance)
        .min(Comparator.comparingDouble(Math::abs))
        .orElse(0.0);
  }

  private Optional<Double> nearest(Axis axis, List<Line> own) {
    return own.stream()
        .flatMap(line -> all(axis).stream().filter(line::fits).map(target -> target.at - line.at))
        .min(Comparator.comparingDouble(Math::abs));
  }

  private List<Snap.Guide> guides(Axis axis, List<Line> own, Box box) {
    Axis along = axis.other();
    List<Snap.Guide> guides = new ArrayList<>();
    for (Line line : own) {
      List<Box> on =
          all(axis).stream()
              .filter(target -> line.fits(target) && Math.abs(target.at - line.at) < SAME)
              .map(Line::of)
              .toList();
      if (!on.isEmpty()) {
        double from = on.stream().mapToDouble(along::low).min().orElseThrow();
        double to = on.stream().mapToDouble(along::high).max().orElseThrow();
        guides.add(
            new Snap.Guide(
                axis, line.at, Math.min(from, along.low(box)), Math.max(to, along.high(box))));
      }
    }
    return guides;
  }

  // --- gaps

  /** What stands beside a box in a direction, in order, none over another. */
  private List<Box> beside(Axis axis, Box box) {
    List<Box> row = new ArrayList<>();
    others.stream()
        .map(Arranged::box)
        .filter(other -> axis.length(other) > 0 && axis.areBeside(other, box))
        .sorted(Comparator.comparingDouble(axis::low))
        .forEach(other -> {
          if (row.isEmpty() || axis.low(other) >= axis.high(row.getLast())) {
            row.add(other);
          }
        });
    return row;
  }

  private List<Double> gapShifts(Axis axis, Box box) {
    List<Box> row = beside(axis, box);
    List<Double> shifts = new ArrayList<>();
    for (int index = 1; index < row.size(); index++) {
      Box before = row.get(index - 1);
      Box after = row.get(index);
      double gap = axis.low(after) - axis.high(before);
      if (gap >= axis.length(box)) {
        shifts.add((axis.high(before) + axis.low(after)) / 2 - axis.middle(box));
      }
      if (gap > 0) {
        shifts.add(axis.high(after) + gap - axis.low(box));
        shifts.add(axis.low(before) - gap - axis.high(box));
      }
    }
    return shifts;
  }

  /** The gaps beside a box that another pair in its row has as well. */
  private List<Snap.Gap> equalGaps(Axis axis, Box box) {
    List<Box> row = new ArrayList<>(beside(axis, box));
    if (row.stream().anyMatch(other -> overlap(axis, other, box))) {
      return List.of();
    }
    row.add(box);
    row.sort(Comparator.comparingDouble(axis::low));
    int own = row.indexOf(box);
    List<Snap.Gap> gaps = new ArrayList<>();
    for (int index = 1; index < row.size(); index++) {
      gaps.add(gap(axis, row.get(index - 1), row.get(index)));
    }
    return gaps.stream()
        .filter(gap -> gap.size() > SAME)
        .filter(gap -> touches(gaps, own, gap))
        .toList();
  }

  /** Whether a gap is as large as one of those beside the box, and not alone. */
  private static boolean touches(List<Snap.Gap> gaps, int own, Snap.Gap gap) {
    return Stream.of(own - 1, own)
        .filter(index -> index >= 0 && index < gaps.size())
        .map(gaps::get)
        .filter(beside -> same(beside, gap))
        .anyMatch(
            beside -> gaps.stream().anyMatch(other -> other != beside && same(other, beside)));
  }

  private static boolean same(Snap.Gap one, Snap.Gap two) {
    return Math.abs(one.size() - two.size()) < SAME;
  }

  private static boolean overlap(Axis axis, Box one, Box two) {
    return axis.low(one) < axis.high(two) - SAME && axis.low(two) < axis.high(one) - SAME;
  }

  private static Snap.Gap gap(Axis axis, Box before, Box after) {
    Axis cross = axis.other();
    double low = Math.max(cross.low(before), cross.low(after));
    double high = Math.min(cross.high(before), cross.high(after));
    return new Snap.Gap(axis, axis.high(before), axis.low(after), (low + high) / 2);
  }
}
