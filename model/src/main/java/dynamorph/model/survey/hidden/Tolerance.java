package dynamorph.model.survey.hidden;

import dynamorph.model.message.Messages;
import dynamorph.model.value.Numbers;

/**
 * How far two looks may lie apart and still be taken for one.
 *
 * @param deltaE of colours, CIEDE2000
 * @param share of sizes and lengths, of the larger one: 0.04 for 4 %
 */
public record Tolerance(double deltaE, double share) {
  /** What an eye hardly sees side by side. */
  public static final Tolerance USUAL = ofStep(1);

  /** Equal looks only. */
  public static final Tolerance NONE = ofStep(0);

  /** The widest that a slider gives. */
  public static final double WIDEST_STEP = 3;

  public Tolerance {
    if (!(deltaE >= 0 && deltaE <= 100 && share >= 0 && share < 1)) {
      throw new IllegalArgumentException(Messages.of("tolerance.is-out-of-range", deltaE, share));
    }
  }

  /**
   * Both at once.
   *
   * @param step 0 for equal looks, 1 for the usual tolerance, up to {@link #WIDEST_STEP}
   */
  public static Tolerance ofStep(double step) {
    return new Tolerance(2.5 * step, 0.04 * step);
  }

  /** The step that gives this share. */
  public double step() {
    return share / 0.04;
  }

  /** Of weights, which run from 1 to 1000. */
  double weight() {
    return 625 * share;
  }

  /** Of tracking and other thousandths of an em. */
  double thousandths() {
    return 250 * share;
  }

  /** For people: {@code ΔE 2.5, 4 %}. */
  public String label() {
    return Messages.of(
        "tolerance.label", Numbers.format(deltaE, 1), Numbers.format(share * 100, 1));
  }
}
