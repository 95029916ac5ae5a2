package dynamorph.model.value;

import dynamorph.model.message.Messages;
import java.util.Objects;

/**
 * A length in points, or in em of the text it belongs to. An em length keeps its proportion when
 * the text grows.
 *
 * @param amount finite number, may be negative
 */
public record Length(double amount, Unit unit) {
  /** What one unit of the amount means. */
  public enum Unit {
    /** 1/72 inch. */
    POINT("pt"),
    /** The size of the text. */
    EM("em");

    private final String symbol;

    Unit(String symbol) {
      this.symbol = symbol;
    }

    /** The symbol written behind the number, such as {@code pt}. */
    public String symbol() {
      return symbol;
    }
  }

  public static final Length ZERO = points(0);

  public Length {
    Objects.requireNonNull(unit, "unit");
    if (!Double.isFinite(amount)) {
      throw new IllegalArgumentException(Messages.of("length.a-length-must-be-a-finite", amount));
    }
    amount = amount == 0 ? 0 : amount;
  }

  public static Length points(double amount) {
    return new Length(amount, Unit.POINT);
  }

  public static Length em(double amount) {
    return new Length(amount, Unit.EM);
  }

  /**
   * Reads {@code 3 pt}, {@code 0.1 em}, or a number of points.
   *
   * @throws IllegalArgumentException if there is no number
   */
  public static Length parse(String text) {
    String plain = text.strip();
    for (Unit unit : Unit.values()) {
      if (plain.endsWith(unit.symbol())) {
        String number = plain.substring(0, plain.length() - unit.symbol().length());
        return new Length(Numbers.parse(number), unit);
      }
    }
    return points(Numbers.parse(plain));
  }

  /** This length in points, for text of the given size in points. */
  public double toPoints(double sizeInPoints) {
    return unit == Unit.EM ? amount * sizeInPoints : amount;
  }

  @Override
  public String toString() {
    return Numbers.format(amount) + " " + unit.symbol();
  }
}
