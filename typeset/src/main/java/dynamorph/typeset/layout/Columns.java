package dynamorph.typeset.layout;

import dynamorph.model.cascade.Placement;
import dynamorph.typeset.compose.ComposedLine;
import dynamorph.typeset.compose.ComposedParagraph;
import dynamorph.typeset.compose.ParagraphKey;
import java.util.ArrayList;
import java.util.List;

/** Stacks lines into the columns of a box. */
final class Columns {
  /** How far below a box a line may reach before it counts as hidden, in points. */
  static final double SLACK = 0.01;

  private final List<ParagraphKey> paragraphs;
  private final List<ComposedParagraph> composed;
  private final Placement.Inside inside;
  private final double step;

  /**
   * @param width of the box
   */
  Columns(
      List<ParagraphKey> paragraphs,
      List<ComposedParagraph> composed,
      Placement.Inside inside,
      double width) {
    this.paragraphs = paragraphs;
    this.composed = composed;
    this.inside = inside;
    this.step = inside.columnWidth(width) + inside.gutter();
  }

  /**
   * Stacked lines.
   *
   * @param columnOf the column of each line
   * @param hidden how many of the last lines lie below the last column
   */
  record Stack(List<Line> lines, List<Integer> columnOf, int hidden) {
    double bottom() {
      return lines.stream().mapToDouble(Line::bottom).max().orElse(0);
    }
  }

  /** A line that waits for its place, with the white above it. */
  private record Waiting(
      ComposedLine line, int paragraph, int paragraphStart, double gap, boolean starts) {}

  private List<Waiting> waiting() {
    List<Waiting> lines = new ArrayList<>();
    int start = 0;
    double gap = 0;
    for (int paragraph = 0; paragraph < paragraphs.size(); paragraph++) {
      ParagraphKey key = paragraphs.get(paragraph);
      gap += paragraph == 0 ? 0 : key.settings().spaceBefore();
      boolean first = true;
      for (ComposedLine line : composed.get(paragraph).lines()) {
        lines.add(new Waiting(line, paragraph, start, gap, first));
        gap = 0;
        first = false;
      }
      gap = key.settings().spaceAfter();
      start += key.text().length() + 1;
    }
    return lines;
  }

  /** Stacks the lines into columns of a height; an endless one has a single column. */
  Stack stack(double height) {
    List<Waiting> waiting = waiting();
    List<Line> lines = new ArrayList<>(waiting.size());
    List<Integer> columnOf = new ArrayList<>(waiting.size());
    int column = 0;
    double baseline = 0;
    double origin = waiting.getFirst().line.ascent();
    boolean top = true;
    int hidden = 0;
    for (int index = 0; index < waiting.size(); index++) {
      Waiting next = waiting.get(index);
      double down = top ? next.line.ascent() : baseline + next.gap + next.line.leading();
      down = onGrid(down, origin);
      boolean below = down + next.line.descent() > height + SLACK;
      if (below && column + 1 < inside.columns() && !top) {
        int back = kept(waiting, index, columnOf, column);
        for (int undone = 0; undone < back; undone++) {
          lines.removeLast();
          columnOf.removeLast();
        }
        index -= back + 1;
        column++;
        top = true;
        continue;
      }
      hidden += below ? 1 : 0;
      lines.add(new Line(next.line, next.paragraph, next.paragraphStart, column * step, down));
      columnOf.add(column);
      baseline = down;
      top = false;
    }
    // a box that is too low for anything still shows its first line, or the text would seem to be
    // gone
    return new Stack(lines, columnOf, hidden == lines.size() ? hidden - 1 : hidden);
  }

  private double onGrid(double baseline, double origin) {
    double grid = inside.grid();
    if (grid <= 0 || baseline <= origin) {
      return baseline;
    }
    return origin + Math.ceil((baseline - origin) / grid - 1e-6) * grid;
  }

  /** How many lines before a column's end go along to the next, so that none stands alone. */
  private int kept(List<Waiting> waiting, int index, List<Integer> columnOf, int column) {
    Waiting next = waiting.get(index);
    if (!paragraphs.get(next.paragraph).settings().breaking().keepLines() || next.starts) {
      return 0;
    }
    boolean loneFirst = waiting.get(index - 1).starts;
    boolean loneLast = next.line.isLast();
    int back = loneFirst || loneLast ? 1 : 0;
    if (back == 1 && loneLast && index > 1 && waiting.get(index - 2).starts && !loneFirst) {
      back = 2;
    }
    // a column is never emptied for this
    int inColumn = 0;
    for (int line = columnOf.size() - 1; line >= 0 && columnOf.get(line) == column; line--) {
      inColumn++;
    }
    return back < inColumn ? back : 0;
  }

  /** The lowest height at which all lines fit the columns; that of the lines for one column. */
  double balancedHeight() {
    Stack single = stack(Double.POSITIVE_INFINITY);
    if (inside.columns() == 1) {
      return single.bottom();
    }
    double low = single.bottom() / inside.columns() / 2;
    double high = single.bottom();
    for (int halving = 0; halving < 20 && high - low > SLACK; halving++) {
      double middle = (low + high) / 2;
      if (stack(middle).hidden == 0 && stack(middle).bottom() <= middle + SLACK) {
        high = middle;
      } else {
        low = middle;
      }
    }
    return stack(high).bottom();
  }

  /** Moves the lines of each column to their place in the height. */
  List<Line> aligned(Stack stack, double height) {
    List<Line> lines = new ArrayList<>(stack.lines.size());
    int from = 0;
    while (from < stack.lines.size()) {
      int to = from;
      while (to < stack.lines.size() && stack.columnOf.get(to).equals(stack.columnOf.get(from))) {
        to++;
      }
      lines.addAll(aligned(stack.lines.subList(from, to), height));
      from = to;
    }
    return lines;
  }

  private List<Line> aligned(List<Line> column, double height) {
    double room = height - column.getLast().bottom();
    if (room <= 0) {
      return column;
    }
    return switch (inside.vertical()) {
      case TOP -> column;
      case MIDDLE -> column.stream().map(line -> line.movedDown(room / 2)).toList();
      case BOTTOM -> column.stream().map(line -> line.movedDown(room)).toList();
      case JUSTIFIED -> {
        double gap = column.size() > 1 ? room / (column.size() - 1) : 0;
        List<Line> spread = new ArrayList<>(column.size());
        for (int index = 0; index < column.size(); index++) {
          spread.add(column.get(index).movedDown(gap * index));
        }
        yield spread;
      }
    };
  }
}
