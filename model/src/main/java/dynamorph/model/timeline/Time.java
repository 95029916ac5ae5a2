package dynamorph.model.timeline;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Locale;

/**
 * A point or a length of time, exact. A second has 90,000,000 ticks: the smallest number that holds
 * whole frames at every usual rate, the thousandths over 1001 included, whole milliseconds and
 * microseconds, the 90 kHz of broadcast streams and the 10 MHz of caption files.
 *
 * @param ticks of 1/90,000,000 s; may be negative
 */
public record Time(long ticks) implements Comparable<Time> {
  public static final long TICKS_PER_SECOND = 90_000_000;
  public static final Time ZERO = new Time(0);

  /** A thousand hours; nothing that is shown is longer. */
  public static final Time LONGEST = ofMillis(3_600_000_000L);

  private static final long TICKS_PER_MILLI = TICKS_PER_SECOND / 1000;

  public static Time ofMillis(long millis) {
    return new Time(Math.multiplyExact(millis, TICKS_PER_MILLI));
  }

  /** The nearest tick to a fraction of a second. */
  public static Time ofSeconds(long numerator, long denominator) {
    return new Time(TICKS_PER_SECOND).times(numerator, denominator);
  }

  public static Time ofSeconds(double seconds) {
    return new Time(Math.round(seconds * TICKS_PER_SECOND));
  }

  public double seconds() {
    return (double) ticks / TICKS_PER_SECOND;
  }

  /** Nearest whole milliseconds. */
  public long millis() {
    return Math.floorDiv(ticks + TICKS_PER_MILLI / 2, TICKS_PER_MILLI);
  }

  /** The last whole millisecond that is not after it. */
  public Time floorToMillis() {
    return new Time(ticks - Math.floorMod(ticks, TICKS_PER_MILLI));
  }

  public Time plus(Time other) {
    return new Time(Math.addExact(ticks, other.ticks));
  }

  public Time minus(Time other) {
    return new Time(Math.subtractExact(ticks, other.ticks));
  }

  /** This length a number of times over, to the nearest tick. */
  public Time times(long numerator, long denominator) {
    return new Time(
        new BigDecimal(ticks)
            .multiply(BigDecimal.valueOf(numerator))
            .divide(BigDecimal.valueOf(denominator), 0, RoundingMode.HALF_EVEN)
            .longValueExact());
  }

  public boolean isBefore(Time other) {
    return ticks < other.ticks;
  }

  public boolean isAfter(Time other) {
    return ticks > other.ticks;
  }

  public static Time min(Time one, Time other) {
    return one.ticks <= other.ticks ? one : other;
  }

  public static Time max(Time one, Time other) {
    return one.ticks >= other.ticks ? one : other;
  }

  @Override
  public int compareTo(Time other) {
    return Long.compare(ticks, other.ticks);
  }

  /** Hours, minutes, seconds and milliseconds: {@code 00:01:02.500}. */
  @Override
  public String toString() {
    long millis = Math.abs(millis());
    return String.format(
        Locale.ROOT,
        "%s%02d:%02d:%02d.%03d",
        ticks < 0 ? "-" : "",
        millis / 3_600_000,
        millis / 60_000 % 60,
        millis / 1000 % 60,
        millis % 1000);
  }
}
