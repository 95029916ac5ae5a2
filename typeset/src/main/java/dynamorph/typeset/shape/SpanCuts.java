package dynamorph.typeset.shape;

import dynamorph.typeset.harfbuzz.HarfBuzzShaper;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Cuts a run that was shaped as one into its spans, which differ in paint alone: no letter moves
 * where its colour changes.
 */
final class SpanCuts {
  /** Features that make one glyph of letters by the font's choice, not by the script's rules. */
  private static final List<String> LIGATURES = List.of("liga", "clig", "dlig", "hlig");

  private final ShapedRun run;

  /** One past the last unit of each span, in the text as it was typed. */
  private final int[] spanEnds;

  SpanCuts(int[] spanEnds, ShapedRun run) {
    this.run = run;
    this.spanEnds = spanEnds;
  }

  private int spanAt(int unit) {
    int at = Arrays.binarySearch(spanEnds, unit);
    int span = at < 0 ? -at - 1 : at + 1;
    // empty spans end where the one before does
    while (span < spanEnds.length - 1 && spanEnds[span] <= unit) {
      span++;
    }
    return Math.min(span, spanEnds.length - 1);
  }

  /**
   * Settings that take apart the ligatures whose letters are painted differently, in units of the
   * text as it is shown; none if there are no such.
   */
  List<HarfBuzzShaper.Feature> apart(CaseMapping shown) {
    if (spanAt(run.start()) == spanAt(run.end() - 1)) {
      return List.of();
    }
    List<HarfBuzzShaper.Feature> apart = new ArrayList<>();
    for (int cluster = 0; cluster < run.clusterCount(); cluster++) {
      int start = run.starts()[cluster];
      int end = run.ends()[cluster];
      if (end - start > 1 && spanAt(start) != spanAt(end - 1)) {
        int from = lowerBound(shown.source(), start);
        int to = lowerBound(shown.source(), end);
        LIGATURES.forEach(tag -> apart.add(new HarfBuzzShaper.Feature(tag, 0, from, to)));
      }
    }
    return apart;
  }

  /** The first shown unit that comes from a typed one or a later one. */
  private static int lowerBound(int[] source, int typed) {
    int low = 0;
    int high = source.length;
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (source[middle] < typed) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    return low;
  }

  /** The run of each span, in the order of the text. */
  List<ShapedRun> runs() {
    if (spanAt(run.start()) == spanAt(run.end() - 1) && spanAt(run.start()) == run.span()) {
      return List.of(run);
    }
    List<ShapedRun> runs = new ArrayList<>();
    int from = 0;
    while (from < run.clusterCount()) {
      int span = spanAt(run.starts()[from]);
      int to = from + 1;
      while (to < run.clusterCount() && spanAt(run.starts()[to]) == span) {
        to++;
      }
      runs.add(run.part(span, from, to));
      from = to;
    }
    return run.rightToLeft() ? runs.reversed() : runs;
  }
}
