package dynamorph.typeset.compose;

import dynamorph.model.cascade.ParagraphLook;
import dynamorph.model.value.PunctuationSpacing;
import dynamorph.typeset.shape.FullWidthSigns;
import java.util.function.IntToDoubleFunction;
import org.jspecify.annotations.Nullable;

/**
 * The widths of all lines that a paragraph could have, from one place where a line may end to
 * another, whatever the measure. Place 0 is where the paragraph begins; place {@code n} is
 * candidate {@code n - 1}.
 */
final class LineWidths {
  /**
   * How much wider than its line width a line may be before that counts, in points: rounding of
   * single-precision glyphs.
   */
  static final double SLACK = 0.01;

  /** How uneven a ragged edge may well be, in em. */
  private static final double RAG = 3;

  /** From this on, in em, a sign is as wide as a square. */
  private static final double FULL = 0.9;

  private final Breakpoints candidates;
  private final WidthSums measures;
  private final ParagraphLook settings;
  private final boolean justified;
  private final double rag;
  private final int sameFrom;
  private final @Nullable Tabs tabs;
  private final double[] startWidth;
  private final double[] startStretch;
  private final double[] startShrink;
  private final double[] endWidth;
  private final double[] endStretch;
  private final double[] endShrink;
  private final int[] starts;
  private final double scale;
  private final boolean trimsEdges;

  /**
   * @param first first unit of the first line
   * @param sameFrom from this line on all have the same room
   * @param hyphenWidth width of a hyphen behind a unit
   * @param tabs null if the paragraph has none
   */
  LineWidths(
      Breakpoints candidates,
      WidthSums measures,
      ParagraphLook settings,
      int first,
      int sameFrom,
      IntToDoubleFunction hyphenWidth,
      @Nullable Tabs tabs) {
    this.candidates = candidates;
    this.measures = measures;
    this.settings = settings;
    this.justified = settings.alignment() == dynamorph.model.value.Alignment.JUSTIFIED;
    this.rag = RAG * measures.lookAt(0).size();
    this.sameFrom = sameFrom;
    this.tabs = tabs;
    this.scale = 1;
    this.trimsEdges = settings.breaking().punctuation() == PunctuationSpacing.TRIM_LINE_EDGES;
    int places = candidates.count() + 1;
    this.starts = new int[places];
    this.startWidth = new double[places];
    this.startStretch = new double[places];
    this.startShrink = new double[places];
    this.endWidth = new double[places];
    this.endStretch = new double[places];
    this.endShrink = new double[places];
    for (int place = 0; place < places; place++) {
      int start = place == 0 ? first : candidates.units()[place - 1];
      starts[place] = start;
      startWidth[place] = measures.width(0, start) + hangAtStart(start);
      if (justified) {
        startStretch[place] = measures.stretch(0, start);
        startShrink[place] = measures.shrink(0, start);
      }
      if (place > 0) {
        int ink = candidates.inks()[place - 1];
        boolean hyphen = candidates.hyphens()[place - 1];
        double hyphenated = hyphen ? hyphenWidth.applyAsDouble(ink) : 0;
        endWidth[place] =
            measures.lineWidth(0, ink) + hyphenated - hangAtEnd(ink, hyphen, hyphenated);
        if (justified) {
          endStretch[place] = measures.stretch(0, ink);
          endShrink[place] = measures.shrink(0, ink);
        }
      }
    }
  }

  private LineWidths(
      LineWidths of,
      double scale,
      WidthSums measures,
      ParagraphLook settings,
      int sameFrom,
      @Nullable Tabs tabs) {
    this.candidates = of.candidates;
    this.measures = measures;
    this.settings = settings;
    this.justified = of.justified;
    this.rag = RAG * measures.lookAt(0).size();
    this.sameFrom = sameFrom;
    this.tabs = tabs;
    this.startWidth = of.startWidth;
    this.startStretch = of.startStretch;
    this.startShrink = of.startShrink;
    this.endWidth = of.endWidth;
    this.endStretch = of.endStretch;
    this.endShrink = of.endShrink;
    this.starts = of.starts;
    this.scale = of.scale * scale;
    this.trimsEdges = of.trimsEdges;
  }

  /** The same lines at another size, in a paragraph that may differ in its indents. */
  LineWidths at(
      double factor,
      WidthSums measures,
      ParagraphLook settings,
      int sameFrom,
      @Nullable Tabs tabs) {
    return new LineWidths(this, factor, measures, settings, sameFrom, tabs);
  }

  /** How far the sign at the start of a line hangs out. */
  double hangAtStart(int start) {
    String text = measures.shaped().text();
    if (trimsEdges && start < text.length() && FullWidthSigns.isWhiteBefore(text.charAt(start))) {
      return white(start);
    }
    if (settings.hanging().start() == 0 || start >= text.length()) {
      return 0;
    }
    double share = HangingPunctuation.atStart(text.charAt(start));
    return share == 0 ? 0 : share * settings.hanging().start() * measures.width(start, start + 1);
  }

  /** How far the sign at the end of a line hangs out. */
  double hangAtEnd(int ink, boolean hyphen, double hyphenWidth) {
    if (trimsEdges && ink > 0 && !hyphen && endsInWhite(ink - 1)) {
      return white(ink - 1);
    }
    if (settings.hanging().end() == 0 || ink == 0) {
      return 0;
    }
    if (hyphen) {
      return HangingPunctuation.atEnd('-') * settings.hanging().end() * hyphenWidth;
    }
    double share = HangingPunctuation.atEnd(measures.shaped().text().charAt(ink - 1));
    return share == 0 ? 0 : share * settings.hanging().end() * measures.width(ink - 1, ink);
  }

  private boolean endsInWhite(int unit) {
    return FullWidthSigns.isWhiteBehind(
        measures.shaped().text().charAt(unit), measures.lookAt(unit).language());
  }

  /** The white of a full-width sign; none if it lost it to a neighbour, or has none. */
  private double white(int unit) {
    double width = measures.width(unit, unit + 1);
    double em = measures.lookAt(unit).size();
    return width >= FULL * em ? FullWidthSigns.WHITE * width : 0;
  }

  String text() {
    return measures.shaped().text();
  }

  Breakpoints candidates() {
    return candidates;
  }

  ParagraphLook settings() {
    return settings;
  }

  int places() {
    return starts.length;
  }

  int start(int place) {
    return starts[place];
  }

  int ink(int place) {
    return candidates.inks()[place - 1];
  }

  boolean isHyphen(int place) {
    return place > 0 && candidates.hyphens()[place - 1];
  }

  /** Whether it lies inside of a word that is longer than a line. */
  boolean isEmergency(int place) {
    return place > 0 && candidates.emergency().get(place - 1);
  }

  /** Whether a line that ends inside of an over-long word could have ended before that word. */
  boolean couldEndEarlier(int from, int to) {
    for (int place = to - 1; place > from; place--) {
      if (!isEmergency(place)) {
        return true;
      }
    }
    return false;
  }

  boolean isForced(int place) {
    return candidates.forced()[place - 1];
  }

  boolean isEnd(int place) {
    return place == starts.length - 1;
  }

  /** From this line on all lines have the same room. */
  int sameFrom() {
    return sameFrom;
  }

  boolean isJustified() {
    return justified;
  }

  /** Width of a line at its best spacing, less what hangs out. */
  double width(int from, int to) {
    double plain = (endWidth[to] - startWidth[from]) * scale;
    return tabs != null && tabs.between(starts[from], ink(to))
        ? plain + tabs.width(starts[from], ink(to))
        : plain;
  }

  double stretch(int from, int to) {
    return justified ? (endStretch[to] - startStretch[from]) * scale : rag;
  }

  double shrink(int from, int to) {
    return justified ? (endShrink[to] - startShrink[from]) * scale : 0;
  }

  /** Whether a line fits a room without being shrunk. */
  boolean fits(int from, int to, double lineWidth) {
    return width(from, to) <= lineWidth + SLACK;
  }

  /** Whether a line fits a room when it is shrunk as far as it may be. */
  boolean canFit(int from, int to, double lineWidth) {
    return width(from, to) - shrink(from, to) <= lineWidth + SLACK;
  }

  /**
   * How far the glue of a line is stretched, in parts of what it may be; negative for shrunk. A
   * line that ends a paragraph or stands before a forced break is not stretched.
   */
  double ratio(int from, int to, double lineWidth) {
    double lack = lineWidth - width(from, to);
    if (lack >= 0) {
      boolean flush = isEnd(to) && !isLastJustified() || isForced(to);
      if (flush || lack <= SLACK) {
        return 0;
      }
      double stretch = stretch(from, to);
      return stretch > 0 ? Math.min(Demerits.LOOSEST, lack / stretch) : Demerits.LOOSEST;
    }
    double shrink = shrink(from, to);
    return lack >= -SLACK ? 0 : shrink > 0 ? Math.max(-1, lack / shrink) : -1;
  }

  private boolean isLastJustified() {
    return justified && settings.lastLine() == dynamorph.model.value.LastLine.JUSTIFIED;
  }

  /** Whether a line has no space inside, so that it is a single word. */
  boolean isSingleWord(int from, int to) {
    int space = measures.shaped().text().indexOf(' ', starts[from]);
    return space < 0 || space >= ink(to);
  }

  /** The line between two places. */
  LineRange cut(int from, int to, double lineWidth) {
    return new LineRange(
        starts[from],
        Math.max(starts[from], ink(to)),
        candidates.units()[to - 1],
        isHyphen(to),
        isEnd(to),
        !canFit(from, to, lineWidth));
  }
}
