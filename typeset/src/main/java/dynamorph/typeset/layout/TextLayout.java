package dynamorph.typeset.layout;

import dynamorph.model.text.TextRange;
import dynamorph.typeset.compose.GlyphRun;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.IntPredicate;

/**
 * A story set into lines. Offsets are units of the story; see {@link dynamorph.model.text}.
 *
 * @param width of the box, or of the widest line of point text
 * @param height of the box: of a fixed box as given, else of the lines
 * @param scale share of its size that the text of a shrinking box is set at; 1 for any other
 * @param rest first unit of the story that finds no room and goes on in the next box
 * @param missingFamilies families that another stands in for
 * @param missingGlyphs code points that no font has
 */
public record TextLayout(
    List<Line> lines,
    double width,
    double height,
    double scale,
    Optional<Overset> overset,
    OptionalInt rest,
    Set<String> missingFamilies,
    Set<Integer> missingGlyphs) {
  public TextLayout {
    lines = List.copyOf(lines);
  }

  public Box box() {
    return new Box(0, 0, width, height);
  }

  /** The lines that show: those of a fixed box that lie within it. */
  public List<Line> shownLines() {
    int hidden = overset.map(Overset::hiddenLines).orElse(0);
    return lines.subList(0, lines.size() - hidden);
  }

  /** Whether a caret before a unit stands in it, and in no later box of the story. */
  public boolean reaches(int offset) {
    return rest.isEmpty() || offset < rest.getAsInt();
  }

  /** The box around the content of all lines that show. */
  public Box content() {
    return shownLines().stream().map(Line::box).reduce(Box::with).orElse(new Box(0, 0, width, 0));
  }

  /** Index of the line on which a caret at the offset stands. */
  public int lineAt(int offset) {
    for (int index = lines.size() - 1; index > 0; index--) {
      if (lines.get(index).start() <= offset) {
        return index;
      }
    }
    return 0;
  }

  /** The axes of its lines. */
  public LineAxes axes() {
    return lines.getFirst().axes();
  }

  /** The offset nearest to a point. */
  public int offsetAt(double x, double y) {
    double along = axes().along(x, y);
    double across = axes().across(x, y);
    int index = columnStart(along);
    double column = lines.get(index).x();
    while (index + 1 < lines.size()
        && lines.get(index + 1).x() == column
        && isBehind(across, lines.get(index), lines.get(index + 1))) {
      index++;
    }
    return offsetOnLine(index, along);
  }

  /** Whether a place lies nearer to the second of two lines that follow each other. */
  private static boolean isBehind(double across, Line line, Line next) {
    return next.baseline() >= line.baseline()
        ? across > (line.bottom() + next.top()) / 2
        : across < (line.top() + next.bottom()) / 2;
  }

  /** The first line of the column that a place lies in or behind. */
  private int columnStart(double x) {
    int found = 0;
    for (int index = 1; index < lines.size(); index++) {
      boolean begins = lines.get(index).x() != lines.get(index - 1).x();
      if (begins && lines.get(index).x() <= x) {
        found = index;
      }
    }
    return found;
  }

  /** The offset on a line nearest to a place along it. */
  public int offsetOnLine(int index, double x) {
    Line line = lines.get(index);
    int best = line.start();
    double nearest = Double.POSITIVE_INFINITY;
    for (GlyphRun run : line.runs()) {
      for (int cluster = 0; cluster < run.starts().length; cluster++) {
        int start = line.paragraphStart() + run.starts()[cluster];
        int end = line.paragraphStart() + run.ends()[cluster];
        int units = Math.max(1, end - start);
        for (int unit = 0; unit <= units; unit++) {
          double at = line.x() + edge(run, cluster, unit / (double) units);
          int offset = Math.min(start + unit, end);
          boolean pastBreak = offset == line.end() && !line.endsParagraph();
          if (!pastBreak && Math.abs(at - x) < nearest) {
            nearest = Math.abs(at - x);
            best = offset;
          }
        }
      }
    }
    return best;
  }

  /** Where a caret before the unit at the offset stands. */
  public Caret caretAt(int offset) {
    return caretAt(new CaretPlace(offset, false));
  }

  /** Where a caret stands. */
  public Caret caretAt(CaretPlace place) {
    Line line = lines.get(lineOf(place));
    double x =
        place.trailing()
            ? trailingX(line, place.offset()).orElseGet(() -> caretX(line, place.offset()))
            : caretX(line, place.offset());
    return new Caret(x, line.top(), line.bottom(), line.axes());
  }

  /** Behind the last letter of a line a trailing caret is still on it. */
  private int lineOf(CaretPlace place) {
    int line = lineAt(place.offset());
    boolean behind =
        place.trailing()
            && line > 0
            && lines.get(line).start() == place.offset()
            && !lines.get(line - 1).endsParagraph();
    return behind ? line - 1 : line;
  }

  private static OptionalDouble trailingX(Line line, int offset) {
    int unit = offset - line.paragraphStart();
    for (GlyphRun run : line.runs()) {
      for (int cluster = 0; cluster < run.starts().length; cluster++) {
        int start = run.starts()[cluster];
        int end = run.ends()[cluster];
        if (unit > start && unit <= end) {
          double share = (unit - start) / (double) (end - start);
          return OptionalDouble.of(line.x() + edge(run, cluster, share));
        }
      }
    }
    return OptionalDouble.empty();
  }

  private static double caretX(Line line, int offset) {
    int unit = offset - line.paragraphStart();
    double atEnd = line.rightToLeft() ? line.left() : line.left() + line.width();
    boolean found = false;
    boolean any = false;
    for (GlyphRun run : line.runs()) {
      for (int cluster = 0; cluster < run.starts().length; cluster++) {
        any = true;
        int start = run.starts()[cluster];
        int end = run.ends()[cluster];
        if (unit >= start && unit < end) {
          return line.x() + edge(run, cluster, (unit - start) / (double) (end - start));
        }
        if (unit == end && !found) {
          atEnd = line.x() + edge(run, cluster, 1);
          found = true;
        }
      }
    }
    return any ? atEnd : line.left();
  }

  /** A place where a caret can stand on a line, by its position. */
  private record Stop(double x, CaretPlace place) {}

  /** Places closer than this are one to the eye, in points. */
  private static final double SAME = 0.01;

  /**
   * Where a caret stands after a step to the left or right as the eye sees it, up or down in
   * vertical lines; in text of both directions that may be backwards. At the end of a line it goes
   * on with the next.
   *
   * @param isEdge whether an offset lies between letters, as people see them
   */
  public CaretPlace beside(CaretPlace from, boolean left, IntPredicate isEdge) {
    int index = lineOf(from);
    double x = caretAt(from).along();
    List<Stop> stops = stops(lines.get(index), isEdge);
    Comparator<Stop> byDistance = Comparator.comparingDouble(stop -> Math.abs(stop.x - x));
    return stops.stream()
        .filter(stop -> left ? stop.x < x - SAME : stop.x > x + SAME)
        .min(byDistance.thenComparing(stop -> stop.place.trailing()))
        .map(Stop::place)
        .orElseGet(() -> overLineEnd(index, left == lines.get(index).rightToLeft(), from));
  }

  private CaretPlace overLineEnd(int index, boolean forward, CaretPlace from) {
    if (forward) {
      return index + 1 < lines.size() ? new CaretPlace(lines.get(index + 1).start(), false) : from;
    }
    if (index == 0) {
      return from;
    }
    Line before = lines.get(index - 1);
    return new CaretPlace(before.end(), !before.endsParagraph());
  }

  private static List<Stop> stops(Line line, IntPredicate isEdge) {
    List<Stop> stops = new ArrayList<>();
    for (GlyphRun run : line.runs()) {
      for (int cluster = 0; cluster < run.starts().length; cluster++) {
        int start = line.paragraphStart() + run.starts()[cluster];
        int end = line.paragraphStart() + run.ends()[cluster];
        for (int unit = start; unit <= end; unit++) {
          if (isEdge.test(unit)) {
            double share = end == start ? 0 : (unit - start) / (double) (end - start);
            boolean trailing = unit == end && end > start;
            stops.add(
                new Stop(line.x() + edge(run, cluster, share), new CaretPlace(unit, trailing)));
          }
        }
      }
    }
    return stops;
  }

  /** The range of the line that an offset stands on, without a space at its end. */
  public TextRange lineRange(int offset) {
    Line line = lines.get(lineAt(offset));
    return new TextRange(line.start(), line.end());
  }

  /** Where a share of a cluster's units lies, counted in reading direction. */
  private static double edge(GlyphRun run, int cluster, double share) {
    double left = run.left()[cluster];
    double right = run.right()[cluster];
    return run.rightToLeft() ? right + share * (left - right) : left + share * (right - left);
  }

  /** The boxes that mark a range as selected. */
  public List<Box> selection(TextRange range) {
    List<Box> boxes = new ArrayList<>();
    for (Line line : lines) {
      if (range.end() <= line.start() && !range.isEmpty() || range.start() > line.end()) {
        continue;
      }
      for (GlyphRun run : line.runs()) {
        for (int cluster = 0; cluster < run.starts().length; cluster++) {
          addMarked(boxes, line, run, cluster, range);
        }
      }
      boolean breakMarked =
          line.endsParagraph() && range.start() <= line.end() && range.end() > line.end();
      if (breakMarked) {
        double x = line.rightToLeft() ? line.left() - PARAGRAPH_MARK : line.left() + line.width();
        boxes.add(new Box(x, line.top(), PARAGRAPH_MARK, line.ascent() + line.descent()));
      }
    }
    return boxes.stream().map(axes()::box).toList();
  }

  /** Width in points by which a selected paragraph break shows. */
  private static final double PARAGRAPH_MARK = 3;

  private static void addMarked(
      List<Box> boxes, Line line, GlyphRun run, int cluster, TextRange range) {
    int from = line.paragraphStart() + run.starts()[cluster];
    int to = line.paragraphStart() + run.ends()[cluster];
    int start = Math.max(from, range.start());
    int end = Math.min(to, range.end());
    if (start >= end) {
      return;
    }
    double units = to - from;
    double one = line.x() + edge(run, cluster, (start - from) / units);
    double other = line.x() + edge(run, cluster, (end - from) / units);
    Box box = Box.between(one, line.top(), other, line.bottom());
    boolean joins =
        !boxes.isEmpty()
            && boxes.getLast().y() == box.y()
            && Math.abs(boxes.getLast().right() - box.x()) < 0.01;
    boxes.add(joins ? boxes.removeLast().with(box) : box);
  }
}
