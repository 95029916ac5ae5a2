package dynamorph.typeset.layout;

import dynamorph.model.cascade.ParagraphLook;
import dynamorph.model.cascade.Placement;
import dynamorph.typeset.compose.ComposedLine;
import dynamorph.typeset.compose.ComposedParagraph;
import dynamorph.typeset.compose.ParagraphKey;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;

/** Stacks lines into the columns of a box. */
final class Columns {
  /** How far below a box a line may reach before it counts as hidden, in points. */
  static final double SLACK = 0.01;

  private final List<ParagraphKey> paragraphs;
  private final Placement.Inside inside;
  private final double step;
  private final int[] starts;
  private final ComposedLine[] all;
  private final int[] paragraphOf;
  private final double[] gaps;

  /** What is kept free below each line, for a drop capital that reaches further than its lines. */
  private final double[] under;

  /** How many lines each paragraph's drop capital reaches over. */
  private final int[] deep;

  private final int first;

  /**
   * @param first the paragraph that comes first; those before it stand in other boxes
   * @param composed the paragraphs from that one on, as many as there can be room for
   * @param width of the box
   */
  Columns(
      List<ParagraphKey> paragraphs,
      int first,
      List<ComposedParagraph> composed,
      Placement.Inside inside,
      double width) {
    this.paragraphs = paragraphs;
    this.first = first;
    this.inside = inside;
    this.step = inside.columnWidth(width) + inside.gutter();
    int count = 0;
    for (ComposedParagraph paragraph : composed) {
      count += paragraph.lines().size();
    }
    this.starts = new int[paragraphs.size()];
    this.all = new ComposedLine[count];
    this.paragraphOf = new int[count];
    this.gaps = new double[count];
    this.under = new double[count];
    this.deep = new int[paragraphs.size()];
    gather(composed);
  }

  private void gather(List<ComposedParagraph> composed) {
    int at = 0;
    int start = 0;
    double gap = 0;
    for (int paragraph = 0; paragraph < paragraphs.size(); paragraph++) {
      ParagraphKey key = paragraphs.get(paragraph);
      starts[paragraph] = start;
      if (paragraph < first || paragraph >= first + composed.size()) {
        start += key.text().length() + 1;
        continue;
      }
      ComposedParagraph lines = composed.get(paragraph - first);
      gaps[at] = gap + (paragraph == first ? 0 : key.settings().spaceBefore());
      for (ComposedLine line : lines.lines()) {
        paragraphOf[at] = paragraph;
        all[at++] = line;
      }
      deep[paragraph] = lines.dropLines();
      int lacking = lines.dropLines() - lines.lines().size();
      under[at - 1] = Math.max(0, lacking) * key.first().leading();
      gap = key.settings().spaceAfter() + under[at - 1];
      start += key.text().length() + 1;
    }
  }

  /**
   * Stacked lines.
   *
   * @param columnOf the column of each line
   * @param hidden how many of the last lines lie below the last column
   * @param bottom of the lowest line and what is kept free below it
   * @param rest first unit of the story that goes on in another box
   */
  record Stack(List<Line> lines, int[] columnOf, int hidden, double bottom, OptionalInt rest) {}

  /** Stacks the lines into columns of a height; an endless one has a single column. */
  Stack stack(double height) {
    return stack(height, false);
  }

  /**
   * Stacks the lines into columns of a height.
   *
   * @param onward whether what finds no room goes on in another box, as in another column
   */
  Stack stack(double height, boolean onward) {
    List<Line> lines = new ArrayList<>(all.length);
    int[] columnOf = new int[all.length];
    int column = 0;
    double baseline = 0;
    double origin = all[0].ascent();
    boolean top = true;
    int hidden = 0;
    for (int index = 0; index < all.length; index++) {
      ComposedLine next = all[index];
      boolean last = column + 1 == inside.columns();
      if (!top && (!last || onward) && isFirst(index) && keep(index).breakBefore()) {
        if (last) {
          return goingOn(lines, columnOf, index);
        }
        column++;
        top = true;
        last = column + 1 == inside.columns();
      }
      double down = top ? next.ascent() : baseline + gaps[index] + next.leading();
      down = onGrid(down, origin);
      boolean below = down + next.descent() + under[index] > height + SLACK;
      if (below && (!last || onward) && !top) {
        int back = kept(index, columnOf, column);
        for (int undone = 0; undone < back; undone++) {
          lines.removeLast();
        }
        if (last) {
          return goingOn(lines, columnOf, index - back);
        }
        index -= back + 1;
        column++;
        top = true;
        continue;
      }
      hidden += below ? 1 : 0;
      int paragraph = paragraphOf[index];
      lines.add(
          new Line(next, paragraph, starts[paragraph], LineAxes.HORIZONTAL, column * step, down));
      columnOf[index] = column;
      baseline = down;
      top = false;
    }
    int behind = paragraphOf[all.length - 1] + 1;
    if (onward && hidden == 0 && behind < paragraphs.size()) {
      return new Stack(lines, columnOf, 0, bottom(lines), OptionalInt.of(starts[behind]));
    }
    // a box that is too low for anything still shows its first line, or the text would seem to be
    // gone
    return new Stack(
        lines,
        columnOf,
        hidden == lines.size() ? hidden - 1 : hidden,
        bottom(lines),
        OptionalInt.empty());
  }

  private Stack goingOn(List<Line> lines, int[] columnOf, int next) {
    int paragraph = paragraphOf[next];
    int unit = isFirst(next) ? 0 : all[next].start();
    return new Stack(lines, columnOf, 0, bottom(lines), OptionalInt.of(starts[paragraph] + unit));
  }

  private double bottom(List<Line> lines) {
    double bottom = lines.isEmpty() ? 0 : Double.NEGATIVE_INFINITY;
    for (int index = 0; index < lines.size(); index++) {
      bottom = Math.max(bottom, lines.get(index).bottom() + under[index]);
    }
    return bottom;
  }

  private double onGrid(double baseline, double origin) {
    double grid = inside.grid();
    if (grid <= 0 || baseline <= origin) {
      return baseline;
    }
    return origin + Math.ceil((baseline - origin) / grid - 1e-6) * grid;
  }

  /**
   * How many lines before a column's end go along to the next, so that what belongs together is.
   */
  private int kept(int index, int[] columnOf, int column) {
    int top = index - 1;
    while (top > 0 && columnOf[top - 1] == column) {
      top--;
    }
    // a column is never emptied for this
    int own = inParagraph(index);
    int begins = own;
    while (begins > top && isFirst(begins) && keep(begins - 1).withNext()) {
      begins = inParagraph(begins - 1);
    }
    return begins > top ? index - begins : own > top ? index - own : 0;
  }

  /** The first line that goes over to the next column, as its own paragraph wants it. */
  private int inParagraph(int index) {
    ParagraphLook.Keep keep = keep(index);
    int begin = index;
    while (!isFirst(begin)) {
      begin--;
    }
    // a drop capital stands beside all of its lines
    boolean beside = index - begin < deep[paragraphOf[index]];
    if (begin == index || keep.together() || beside) {
      return begin;
    }
    if (!keep.edges()) {
      return index;
    }
    int begins = all[index].isLast() ? index - 1 : index;
    return begins - 1 <= begin ? begin : begins;
  }

  private ParagraphLook.Keep keep(int index) {
    return paragraphs.get(paragraphOf[index]).settings().breaking().keep();
  }

  private boolean isFirst(int index) {
    return index == 0 || paragraphOf[index - 1] != paragraphOf[index];
  }

  /** Stacks the lines into columns of the lowest height at which all fit. */
  Stack balanced() {
    Stack single = stack(Double.POSITIVE_INFINITY);
    if (inside.columns() == 1) {
      return single;
    }
    double low = single.bottom() / inside.columns() / 2;
    double high = single.bottom();
    for (int halving = 0; halving < 20 && high - low > SLACK; halving++) {
      double middle = (low + high) / 2;
      Stack tried = stack(middle);
      if (tried.hidden == 0 && tried.bottom() <= middle + SLACK) {
        high = middle;
      } else {
        low = middle;
      }
    }
    return stack(stack(high).bottom());
  }

  /** Moves the lines of each column to their place in the height. */
  List<Line> aligned(Stack stack, double height) {
    List<Line> lines = new ArrayList<>(stack.lines.size());
    int from = 0;
    while (from < stack.lines.size()) {
      int to = from;
      while (to < stack.lines.size() && stack.columnOf[to] == stack.columnOf[from]) {
        to++;
      }
      lines.addAll(aligned(stack.lines.subList(from, to), height - under[to - 1]));
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
