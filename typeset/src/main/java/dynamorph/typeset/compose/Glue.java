package dynamorph.typeset.compose;

import dynamorph.model.cascade.ParagraphLook.Justification;

/**
 * How the white of one line is shared out.
 *
 * @param word factor of the spaces between words
 * @param letter space between letters, in em
 * @param glyph factor of the width of letters
 * @param gap space between East Asian letters, in em
 * @param sign share of the white of full-width signs that is taken away
 * @param join how much joins are lengthened, in em
 */
record Glue(double word, double letter, double glyph, double gap, double sign, double join) {
  /** Spaces between words get as much as gaps, which are so many times wider than a space. */
  private static final double SPACES = 4;

  /** What an East Asian gap gives when the line is stretched by its full measure, in em. */
  static final double GAP_STRETCH = 0.25;

  /** Longer joins look like lines, in em; what is still missing goes between words. */
  private static final double LONGEST_JOIN = 1.2;

  /** The desired spacing. */
  static Glue best(Justification limits) {
    return new Glue(limits.word().best(), limits.letter().best(), limits.glyph().best(), 0, 0, 0);
  }

  /** A spacing, and how wide it makes its line. */
  record Filled(Glue spread, double width) {}

  /**
   * The spacing that fills a room. In a tight line words, letters and their width give way first,
   * within their limits, then the white of full-width signs (JLREQ 3.8.3). In a loose one what is
   * missing beyond all limits goes into joins, and then between words and East Asian letters alike
   * (JLREQ 3.8.4).
   *
   * @param sums what the line has at its best
   */
  static Filled filling(Justification limits, WidthSums.Sums sums, double lineWidth) {
    double lack = lineWidth - sums.width();
    if (lack < 0) {
      double plain = sums.shrink() - sums.signs();
      double ratio = plain > 0 ? Math.max(-1, lack / plain) : 0;
      double rest = Math.min(0, lack - ratio * plain);
      double sign = sums.signs() > 0 ? Math.min(1, -rest / sums.signs()) : 0;
      double width = sums.width() + ratio * plain - sign * sums.signs();
      return new Filled(at(limits, ratio, 0, 0, sign, 0), width);
    }
    double ratio = sums.stretch() > 0 ? Math.min(1, lack / sums.stretch()) : 1;
    double beyond = Math.max(0, lack - ratio * sums.stretch());
    double join = sums.joins() > 0 ? Math.min(LONGEST_JOIN, beyond / sums.joins()) : 0;
    double rest = beyond - join * sums.joins();
    double room = sums.gaps() + SPACES * sums.spaces();
    if (room > 0) {
      double gap = rest / room;
      return new Filled(at(limits, ratio, SPACES * gap, gap, 0, join), lineWidth);
    }
    return new Filled(at(limits, ratio, 0, 0, 0, join), lineWidth - rest);
  }

  private static Glue at(
      Justification limits, double ratio, double word, double gap, double sign, double join) {
    return new Glue(
        towards(limits.word(), ratio) + word,
        towards(limits.letter(), ratio),
        towards(limits.glyph(), ratio),
        Math.max(0, ratio) * GAP_STRETCH + gap,
        sign,
        join);
  }

  private static double towards(Justification.Range range, double ratio) {
    return ratio >= 0
        ? range.best() + ratio * (range.most() - range.best())
        : range.best() + ratio * (range.best() - range.least());
  }
}
