package dynamorph.typeset.compose;

/**
 * The demerits of a choice of lines: D. E. Knuth and M. F. Plass, <i>Breaking paragraphs into
 * lines</i>, Software: Practice and Experience 11 (1981). Demerits of adjacent lines are those of
 * plain TeX; the line penalty is not, since a paragraph in a box has no reason to save lines at the
 * cost of even spacing, and nothing is added for a hyphen in the last line but one.
 *
 * @param hyphen the penalty of a hyphen
 * @param keepLastWord whether a single word on the last line counts
 */
record Demerits(double hyphen, boolean keepLastWord) {
  /** Adjacent lines whose fitness classes differ by more than one: TeX's adjdemerits. */
  private static final double ADJACENT_DEMERITS = 10_000;

  /** Two hyphenated lines in a row: TeX's doublehyphendemerits. */
  private static final double DOUBLE_HYPHEN_DEMERITS = 10_000;

  /** The most that a line can count for the one before it. */
  static final double MOST_AFTER = ADJACENT_DEMERITS + DOUBLE_HYPHEN_DEMERITS;

  private static final double LINE_PENALTY = 1;

  /** A single word on the last line, where that is not wanted. */
  private static final double LONE_WORD = 1e8;

  /** A line that ends inside of a word that is longer than a line, but need not have begun it. */
  static final double EMERGENCY = 1e10;

  /** A line that cannot be shrunk into its line width. */
  private static final double TOO_WIDE = 1e12;

  /** Spacing so loose that more of it makes no difference. */
  static final double LOOSEST = 1e4;

  /**
   * The fitness class of a line by its adjustment ratio: 0 tight, 1 decent, 2 loose, 3 very loose.
   */
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
    double sum = (LINE_PENALTY + badness) * (LINE_PENALTY + badness);
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
    double sum = Math.abs(fitnessBefore - fitness) > 1 ? ADJACENT_DEMERITS : 0;
    return hyphenBefore && hyphenated ? sum + DOUBLE_HYPHEN_DEMERITS : sum;
  }

  /** The largest ratio that a line may have and still count no more than a bound. */
  static double ratioFor(double bound) {
    if (!(bound > LINE_PENALTY * LINE_PENALTY)) {
      return 0;
    }
    double badness = Math.sqrt(bound) - LINE_PENALTY;
    double ratio = badness <= 0 ? 0 : Math.cbrt(badness / 100);
    return ratio >= LOOSEST * (1 - 1e-9) ? Double.POSITIVE_INFINITY : ratio;
  }
}
