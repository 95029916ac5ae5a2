package dynamorph.typeset.layout;

import dynamorph.typeset.shape.ShapedParagraph;
import java.util.ArrayList;
import java.util.List;
import java.util.function.IntToDoubleFunction;

/**
 * Breaks a paragraph line by line: each line takes as many pieces as fit its measure. A piece that
 * fits no line stands on a line of its own and is reported, never cut.
 */
final class LineBreaker {
  /**
   * A line before it is placed: from {@code start} to {@code end}, of which trailing spaces begin
   * at {@code inkEnd}.
   */
  record Cut(int start, int inkEnd, int end, boolean last, boolean tooWide) {}

  /**
   * How much wider than its measure a line may be before that counts, in points: rounding of
   * single-precision glyphs.
   */
  private static final double SLACK = 0.01;

  private LineBreaker() {}

  /**
   * @param widths sum of the advances before each unit, in points; one more entry for the end
   * @param measure width of the line with the given index, in points
   */
  static List<Cut> lines(ShapedParagraph paragraph, double[] widths, IntToDoubleFunction measure) {
    String text = paragraph.text();
    List<Cut> lines = new ArrayList<>();
    int start = 0;
    while (start < text.length()) {
      double room = measure.applyAsDouble(lines.size()) + SLACK;
      int end = -1;
      for (int at = paragraph.breaks().nextSetBit(start + 1);
          at >= 0;
          at = paragraph.breaks().nextSetBit(at + 1)) {
        boolean fits = widths[inkEnd(text, start, at)] - widths[start] <= room;
        if (!fits && end >= 0) {
          break;
        }
        end = at;
        if (!fits || paragraph.forced().get(at)) {
          break;
        }
      }
      if (end < 0) {
        end = text.length();
      }
      int ink = inkEnd(text, start, end);
      lines.add(new Cut(start, ink, end, false, widths[ink] - widths[start] > room));
      start = end;
    }
    boolean emptyTail = lines.isEmpty() || endsInForcedBreak(text);
    if (emptyTail) {
      lines.add(new Cut(start, start, start, true, false));
    } else {
      Cut tail = lines.removeLast();
      lines.add(new Cut(tail.start, tail.inkEnd, tail.end, true, tail.tooWide));
    }
    return lines;
  }

  private static boolean endsInForcedBreak(String text) {
    char last = text.charAt(text.length() - 1);
    return last == '\u2028' || last == '\u000B' || last == '\f';
  }

  private static int inkEnd(String text, int start, int end) {
    int ink = end;
    while (ink > start && isTrailing(text.charAt(ink - 1))) {
      ink--;
    }
    return ink;
  }

  private static boolean isTrailing(char unit) {
    return unit == ' ' || unit == '\u2028' || unit == '\u000B' || unit == '\t' || unit == '\u3000';
  }
}
