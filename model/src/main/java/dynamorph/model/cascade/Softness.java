package dynamorph.model.cascade;

/**
 * How far a Gaussian softens, and in which direction most: its covariance, in square points or
 * pixels. One that follows another adds to it.
 */
public record Softness(double xx, double xy, double yy) {
  public static final Softness NONE = new Softness(0, 0, 0);

  /** Differences in direction below this share are none. */
  private static final double ROUND = 1e-9;

  /** The same in all directions, by its standard deviation. */
  public static Softness deviation(double deviation) {
    return new Softness(deviation * deviation, 0, deviation * deviation);
  }

  /**
   * A blur.
   *
   * @param blur twice the standard deviation in its main direction
   * @param aspect what it is across that direction, in parts of it
   * @param angle of the main direction, in degrees clockwise from rightwards
   */
  public static Softness of(double blur, double aspect, double angle) {
    if (aspect == 1) {
      return deviation(blur / 2);
    }
    double along = blur * blur / 4;
    double across = along * aspect * aspect;
    double cos = Math.cos(Math.toRadians(angle));
    double sin = Math.sin(Math.toRadians(angle));
    return new Softness(
        along * cos * cos + across * sin * sin,
        (along - across) * cos * sin,
        along * sin * sin + across * cos * cos);
  }

  /** This one after another. */
  public Softness plus(Softness other) {
    return new Softness(xx + other.xx, xy + other.xy, yy + other.yy);
  }

  /** The largest standard deviation in any direction. */
  public double widest() {
    return Math.sqrt((xx + yy) / 2 + spread());
  }

  /** The smallest standard deviation in any direction. */
  public double narrowest() {
    return Math.sqrt(Math.max(0, (xx + yy) / 2 - spread()));
  }

  private double spread() {
    return xy == 0 ? Math.abs(xx - yy) / 2 : Math.hypot((xx - yy) / 2, xy);
  }

  /** Whether it is the same in all directions. */
  public boolean isRound() {
    return spread() <= ROUND * (xx + yy);
  }
}
