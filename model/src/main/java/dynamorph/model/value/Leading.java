package dynamorph.model.value;

import dynamorph.model.message.Messages;

/** The distance from baseline to baseline. */
public sealed interface Leading {
  /**
   * What automatic leading is of the size. A fifth of air is the setting that most text faces are
   * drawn for; the font's own line height differs too much between families to keep a column steady
   * when one word changes face.
   */
  double AUTOMATIC_SHARE = 1.2;

  /** The leading in points for text of the given size in points. */
  double at(double sizeInPoints);

  /** So many points, whatever the size. */
  record Absolute(double points) implements Leading {
    public Absolute {
      if (!(points >= 0 && points <= FontSize.LARGEST)) {
        throw new IllegalArgumentException(
            Messages.of("leading.leading-lies-between-0-and-10000", Numbers.format(points)));
      }
    }

    @Override
    public double at(double sizeInPoints) {
      return points;
    }

    @Override
    public String toString() {
      return Numbers.format(points) + " pt";
    }
  }

  /** A share of the size: 1.4 is 140 %. */
  record Relative(double share) implements Leading {
    public Relative {
      if (!(share >= 0 && share <= 10)) {
        throw new IllegalArgumentException(
            Messages.of("leading.leading-lies-between-0-and-1000", share * 100));
      }
    }

    @Override
    public double at(double sizeInPoints) {
      return share * sizeInPoints;
    }

    @Override
    public String toString() {
      return Numbers.format(share * 100) + " %";
    }
  }

  /** {@link #AUTOMATIC_SHARE} of the size. */
  record Automatic() implements Leading {
    @Override
    public double at(double sizeInPoints) {
      return AUTOMATIC_SHARE * sizeInPoints;
    }

    @Override
    public String toString() {
      return "auto";
    }
  }

  Leading AUTOMATIC = new Automatic();

  /** Reads {@code auto}, {@code 14}, {@code 14 pt}, {@code 140 %} or {@code ×1.4}. */
  static Leading parse(String text) {
    String plain = text.strip();
    if (plain.equalsIgnoreCase("auto")) {
      return AUTOMATIC;
    }
    if (plain.endsWith("%")) {
      return new Relative(Numbers.parse(plain.substring(0, plain.length() - 1)) / 100);
    }
    if (plain.startsWith("\u00d7") || plain.startsWith("x")) {
      return new Relative(Numbers.parse(plain.substring(1)));
    }
    String number = plain.endsWith("pt") ? plain.substring(0, plain.length() - 2) : plain;
    return new Absolute(Numbers.parse(number));
  }
}
