package dynamorph.typeset.compose;

import dynamorph.model.cascade.ParagraphLook.Justification;

/**
 * How the white of one line is shared out.
 *
 * @param word factor of the spaces between words
 * @param letter space between letters, in em
 * @param glyph factor of the width of letters
 * @param gap space between East Asian letters, in em
 */
record Glue(double word, double letter, double glyph, double gap) {
  /** What an East Asian gap gives when the line is stretched by its full measure, in em. */
  static final double GAP_STRETCH = 0.25;

  /** The desired spacing. */
  static Glue best(Justification limits) {
    return new Glue(limits.word().best(), limits.letter().best(), limits.glyph().best(), 0);
  }

  /** A spacing, and how wide it makes its line. */
  record Filled(Glue spread, double width) {}

  /**
   * The spacing that fills a room.
   *
   * @param sums what the line has at its best
   */
  static Filled filling(Justification limits, WidthSums.Sums sums, double lineWidth) {
    double lack = lineWidth - sums.width();
    if (lack < 0) {
      double ratio = sums.shrink() > 0 ? Math.max(-1, lack / sums.shrink()) : 0;
      return new Filled(at(limits, ratio, 0, 0), sums.width() + ratio * sums.shrink());
    }
    double ratio = sums.stretch() > 0 ? Math.min(1, lack / sums.stretch()) : 1;
    double rest = Math.max(0, lack - ratio * sums.stretch());
    // what is beyond the limits goes between words, where it disturbs least
    if (sums.spaces() > 0) {
      return new Filled(at(limits, ratio, rest / sums.spaces(), 0), lineWidth);
    }
    if (sums.gaps() > 0) {
      return new Filled(at(limits, ratio, 0, rest / sums.gaps()), lineWidth);
    }
    return new Filled(at(limits, ratio, 0, 0), lineWidth - rest);
  }

  private static Glue at(Justification limits, double ratio, double word, double gap) {
    return new Glue(
        towards(limits.word(), ratio) + word,
        towards(limits.letter(), ratio),
        towards(limits.glyph(), ratio),
        Math.max(0, ratio) * GAP_STRETCH + gap);
  }

  private static double towards(Justification.Range range, double ratio) {
    return ratio >= 0
        ? range.best() + ratio * (range.most() - range.best())
        : range.best() + ratio * (range.best() - range.least());
  }
}
