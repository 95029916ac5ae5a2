package dynamorph.model;

import dynamorph.model.value.Numbers;

/** The unit in which an artboard's lengths are shown; the model itself counts in points. */
public enum LengthUnit {
  POINT("pt", 1),
  MILLIMETRE("mm", 72 / 25.4),
  INCH("in", 72),
  /** A pixel of a screen artboard is one point, so that it exports at its own size at scale 1. */
  PIXEL("px", 1);

  private final String symbol;
  private final double points;

  LengthUnit(String symbol, double points) {
    this.symbol = symbol;
    this.points = points;
  }

  public String symbol() {
    return symbol;
  }

  public double toPoints(double amount) {
    return amount * points;
  }

  public double fromPoints(double inPoints) {
    return inPoints / points;
  }

  /** A length in points, written in this unit to a hundredth, without the symbol. */
  public String format(double inPoints) {
    return Numbers.format(fromPoints(inPoints), 2);
  }
}
