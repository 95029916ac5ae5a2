package dynamorph.typeset.compose;

/**
 * How bad a choice of lines is: D. E. Knuth and M. F. Plass, <i>Breaking paragraphs into lines</i>,
 * Software: Practice and Experience 11 (1981), with the constants of plain TeX.
 *
 * @param hyphen what a hyphen counts
 * @param keepLastWord whether a single word on the last line counts
 */
record Demerits(double hyphen, boolean keepLastWord) {
  /** Lines whose spacing differs by more than a class from the one before. */
  private static final double UNEVEN = 10_000;

  /** Two hyphens in a row. */
  private static final double HYPHENS_IN_A_ROW = 10_000;

  /** The most that a line can count for the one before it. */
  static final double MOST_AFTER = UNEVEN + HYPHENS_IN_A_ROW;

  /** A single word on the last line, where that is not wanted. */
  private static final double LONE_WORD = 1e8;

  /** A line that cannot be shrunk into its room. */
  private static final double TOO_WIDE = 1e12;

  /** Spacing so loose that more of it makes no difference. */
  static final double LOOSEST = 1e4;

  /** The class of a line by its ratio: 0 tight, 1 decent, 2 loose, 3 very loose. */
  static int fitness(double ratio) {
    if (ratio < -0.5) {
      return 0;
    }
    if (ratio <= 0.5) {
      return 1;
    }
    return ratio <= 1 ? 2 : 3;
  }

  /** What a line counts by itself. */
  double line(double ratio, boolean tooWide, boolean hyphenated, boolean loneWord) {
    double far = Math.abs(Math.min(ratio, LOOSEST));
    double badness = 100 * far * far * far;
    double sum = (1 + badness) * (1 + badness);
    if (hyphenated) {
      sum += hyphen * hyphen;
    }
    if (tooWide) {
      sum += TOO_WIDE;
    }
    if (loneWord && keepLastWord) {
      sum += LONE_WORD;
    }
    return sum;
  }

  /** What a line counts for the one before it. */
  double after(int fitnessBefore, boolean hyphenBefore, int fitness, boolean hyphenated) {
    double sum = Math.abs(fitnessBefore - fitness) > 1 ? UNEVEN : 0;
    return hyphenBefore && hyphenated ? sum + HYPHENS_IN_A_ROW : sum;
  }

  /** The largest ratio that a line may have and still count no more than a bound. */
  static double ratioFor(double bound) {
    if (!(bound > 1)) {
      return 0;
    }
    double badness = Math.sqrt(bound) - 1;
    double ratio = badness <= 0 ? 0 : Math.cbrt(badness / 100);
    return ratio >= LOOSEST * (1 - 1e-9) ? Double.POSITIVE_INFINITY : ratio;
  }
}
