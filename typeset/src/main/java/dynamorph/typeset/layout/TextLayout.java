package dynamorph.typeset.layout;

import dynamorph.model.text.TextRange;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A story set into lines. Offsets are units of the story; see {@link dynamorph.model.text}.
 *
 * @param width of the box, or of the widest line of point text
 * @param height of the box: of a fixed box as given, else of the lines
 * @param missingFamilies families that another stands in for
 * @param missingGlyphs code points that no font has
 */
public record TextLayout(
    List<Line> lines,
    double width,
    double height,
    Optional<Overset> overset,
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

  /** The offset nearest to a point. */
  public int offsetAt(double x, double y) {
    int index = 0;
    while (index + 1 < lines.size()
        && y > (lines.get(index).bottom() + lines.get(index + 1).top()) / 2) {
      index++;
    }
    return offsetOnLine(index, x);
  }

  /** The offset on a line nearest to a horizontal position. */
  public int offsetOnLine(int index, double x) {
    Line line = lines.get(index);
    int best = line.start();
    double nearest = Double.POSITIVE_INFINITY;
    for (GlyphRun run : line.runs()) {
      for (int cluster = 0; cluster < run.starts().length; cluster++) {
        int units = Math.max(1, run.ends()[cluster] - run.starts()[cluster]);
        for (int unit = 0; unit <= units; unit++) {
          double share = unit / (double) units;
          double at = edge(run, cluster, share);
          int offset = Math.min(run.starts()[cluster] + unit, run.ends()[cluster]);
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
    Line line = lines.get(lineAt(offset));
    return new Caret(caretX(line, offset), line.top(), line.bottom());
  }

  private static double caretX(Line line, int offset) {
    double atEnd = line.rightToLeft() ? line.left() : line.left() + line.width();
    boolean found = false;
    for (GlyphRun run : line.runs()) {
      for (int cluster = 0; cluster < run.starts().length; cluster++) {
        int start = run.starts()[cluster];
        int end = run.ends()[cluster];
        if (offset >= start && offset < end) {
          return edge(run, cluster, (offset - start) / (double) (end - start));
        }
        if (offset == end && !found) {
          atEnd = edge(run, cluster, 1);
          found = true;
        }
      }
    }
    if (line.runs().isEmpty()) {
      return line.left();
    }
    return atEnd;
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
    return boxes;
  }

  /** Width in points by which a selected paragraph break shows. */
  private static final double PARAGRAPH_MARK = 3;

  private static void addMarked(
      List<Box> boxes, Line line, GlyphRun run, int cluster, TextRange range) {
    int start = Math.max(run.starts()[cluster], range.start());
    int end = Math.min(run.ends()[cluster], range.end());
    if (start >= end) {
      return;
    }
    double units = run.ends()[cluster] - run.starts()[cluster];
    double one = edge(run, cluster, (start - run.starts()[cluster]) / units);
    double other = edge(run, cluster, (end - run.starts()[cluster]) / units);
    Box box = Box.between(one, line.top(), other, line.bottom());
    boolean joins =
        !boxes.isEmpty()
            && boxes.getLast().y() == box.y()
            && Math.abs(boxes.getLast().right() - box.x()) < 0.01;
    boxes.add(joins ? boxes.removeLast().with(box) : box);
  }
}
