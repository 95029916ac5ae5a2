package dynamorph.model.value;

import dynamorph.model.message.Messages;
import java.math.BigDecimal;
import java.math.RoundingMode;

/** How numbers are written for people and for files: no trailing zeros, never in exponent form. */
public final class Numbers {
  /**
   * Finer than any length, angle or share that can be seen; keeps binary noise out of files and
   * fields.
   */
  private static final int DECIMALS = 6;

  private Numbers() {}

  /** The shortest decimal form of a finite number, to a millionth. */
  public static String format(double number) {
    return format(number, DECIMALS);
  }

  /** The shortest decimal form of a finite number, rounded to so many decimals. */
  public static String format(double number, int decimals) {
    BigDecimal rounded =
        BigDecimal.valueOf(number).setScale(decimals, RoundingMode.HALF_UP).stripTrailingZeros();
    return rounded.signum() == 0 ? "0" : rounded.toPlainString();
  }

  /** Reads a finite decimal number; a real minus sign and a decimal comma are understood. */
  public static double parse(String text) {
    String plain = text.strip().replace('\u2212', '-').replace(',', '.');
    try {
      double value = Double.parseDouble(plain);
      if (Double.isFinite(value) && plain.matches("[-+.0-9eE]+")) {
        return value;
      }
    } catch (NumberFormatException notANumber) {
      // told below, in words for people
    }
    throw new IllegalArgumentException(Messages.of("numbers.is-not-a-number", text.strip()));
  }
}
