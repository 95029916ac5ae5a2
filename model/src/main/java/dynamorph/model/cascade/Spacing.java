package dynamorph.model.cascade;

import dynamorph.model.value.Kerning;

/**
 * The distances between letters, words and baselines.
 *
 * @param leading points from baseline to baseline
 * @param tracking thousandths of an em
 * @param kernAfter space behind each letter, thousandths of an em
 * @param wordSpacing thousandths of an em on top of the font's own space
 * @param baselineShift points upwards
 */
public record Spacing(
    double leading,
    double tracking,
    Kerning kerning,
    double kernAfter,
    double wordSpacing,
    double baselineShift) {
  /** Space added behind a letter that stands apart from the next, in em. */
  public double letterExtra() {
    return (tracking + kernAfter) / 1000;
  }

  /** How much a join is lengthened where letters join, in em. */
  public double joinExtra() {
    return Math.max(0, tracking) / 1000;
  }

  /**
   * Space added behind a letter, in em.
   *
   * @param cursive whether letters join, which tracking would tear apart
   */
  public double letterExtra(boolean cursive) {
    return cursive ? kernAfter / 1000 : letterExtra();
  }
}
