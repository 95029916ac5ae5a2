package dynamorph.model.value;

import dynamorph.model.message.Messages;

/** The size of text: absolute, or relative to the size that would be inherited. */
public sealed interface FontSize {
  /** The smallest size that text is set at, in points. */
  double SMALLEST = 0.1;

  /** The largest size that text is set at, in points: 3.5 metres. */
  double LARGEST = 10_000;

  /**
   * The size in points when {@code inherited} (points) is what the walk beyond this value yields.
   */
  double over(double inherited);

  /** A size of so many points. */
  record Absolute(double points) implements FontSize {
    public Absolute {
      if (!(points >= SMALLEST && points <= LARGEST)) {
        throw new IllegalArgumentException(
            Messages.of(
                "font-size.a-size-lies-between-and-10000", SMALLEST, Numbers.format(points)));
      }
    }

    @Override
    public double over(double inherited) {
      return points;
    }

    @Override
    public String toString() {
      return Numbers.format(points) + " pt";
    }
  }

  /** A multiple of the inherited size. */
  record Times(double factor) implements FontSize {
    public Times {
      if (!(factor >= 0.01 && factor <= 100)) {
        throw new IllegalArgumentException(
            Messages.of("font-size.a-relative-size-lies-between-0", factor));
      }
    }

    @Override
    public double over(double inherited) {
      return clamp(inherited * factor);
    }

    @Override
    public String toString() {
      return "\u00d7" + Numbers.format(factor);
    }
  }

  /** So many points more (or fewer) than the inherited size. */
  record Plus(double points) implements FontSize {
    public Plus {
      if (!(Math.abs(points) <= LARGEST)) {
        throw new IllegalArgumentException(
            Messages.of("font-size.a-size-difference-lies-within-10000", points));
      }
    }

    @Override
    public double over(double inherited) {
      return clamp(inherited + points);
    }

    @Override
    public String toString() {
      return (points < 0 ? "\u2212" : "+") + Numbers.format(Math.abs(points)) + " pt";
    }
  }

  static FontSize points(double points) {
    return new Absolute(points);
  }

  private static double clamp(double points) {
    return Math.clamp(points, SMALLEST, LARGEST);
  }

  /**
   * Reads {@code 12}, {@code 12 pt}, {@code ×1.6}, {@code x1.6}, {@code 160 %}, {@code +2 pt} or
   * {@code -2 pt}.
   */
  static FontSize parse(String text) {
    String plain = text.strip();
    if (plain.startsWith("\u00d7") || plain.startsWith("x") || plain.startsWith("*")) {
      return new Times(Numbers.parse(plain.substring(1)));
    }
    if (plain.endsWith("%")) {
      return new Times(Numbers.parse(plain.substring(0, plain.length() - 1)) / 100);
    }
    String number = plain.endsWith("pt") ? plain.substring(0, plain.length() - 2) : plain;
    boolean signed = plain.startsWith("+") || plain.startsWith("-") || plain.startsWith("\u2212");
    return signed ? new Plus(Numbers.parse(number)) : new Absolute(Numbers.parse(number));
  }
}
