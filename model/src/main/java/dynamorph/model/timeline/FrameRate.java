package dynamorph.model.timeline;

import dynamorph.model.message.Messages;
import java.math.BigInteger;
import java.util.List;
import java.util.Optional;

/**
 * How many frames a second has, as an exact fraction.
 *
 * @param numerator frames, positive
 * @param denominator seconds in which they are shown, positive
 */
public record FrameRate(int numerator, int denominator) {
  public static final FrameRate FILM = new FrameRate(24, 1);
  public static final FrameRate PAL = new FrameRate(25, 1);
  public static final FrameRate NTSC = new FrameRate(30_000, 1001);

  /** Those in use, from slow to fast. */
  public static final List<FrameRate> USUAL =
      List.of(
          new FrameRate(12, 1),
          new FrameRate(15, 1),
          new FrameRate(24_000, 1001),
          FILM,
          PAL,
          NTSC,
          new FrameRate(30, 1),
          new FrameRate(48, 1),
          new FrameRate(50, 1),
          new FrameRate(60_000, 1001),
          new FrameRate(60, 1),
          new FrameRate(120, 1));

  public FrameRate {
    if (numerator < 1 || denominator < 1) {
      throw new IllegalArgumentException(
          Messages.of("frame-rate.a-frame-rate-is-positive-got", numerator, denominator));
    }
    int common = BigInteger.valueOf(numerator).gcd(BigInteger.valueOf(denominator)).intValueExact();
    numerator /= common;
    denominator /= common;
    if (Time.TICKS_PER_SECOND * denominator % numerator != 0
        || numerator > 240L * denominator
        || numerator < denominator) {
      throw new IllegalArgumentException(
          Messages.of("frame-rate.the-frame-rate-is-not-supported", numerator, denominator));
    }
  }

  /**
   * Reads {@code 25}, {@code 30000/1001} or the usual short forms such as {@code 29.97}.
   *
   * @throws IllegalArgumentException saying what is expected
   */
  public static FrameRate parse(String text) {
    String plain = text.strip();
    try {
      int slash = plain.indexOf('/');
      if (slash > 0) {
        return new FrameRate(
            Integer.parseInt(plain.substring(0, slash).strip()),
            Integer.parseInt(plain.substring(slash + 1).strip()));
      }
      double wanted = Double.parseDouble(plain);
      Optional<FrameRate> usual =
          USUAL.stream().filter(rate -> Math.abs(rate.perSecond() - wanted) < 0.006).findFirst();
      return usual.isPresent() ? usual.get() : new FrameRate(Integer.parseInt(plain), 1);
    } catch (NumberFormatException wrong) {
      throw new IllegalArgumentException(
          Messages.of("frame-rate.is-no-frame-rate-write-25", text), wrong);
    }
  }

  public double perSecond() {
    return (double) numerator / denominator;
  }

  /** The whole number of frames that timecode counts to a second: 30 for 29.97. */
  public int nominal() {
    return Math.ceilDiv(numerator, denominator);
  }

  /** Whether timecode can leave out numbers to keep up with the clock (SMPTE ST 12-1). */
  public boolean canDropFrames() {
    return denominator == 1001 && nominal() % 30 == 0;
  }

  public Time frame() {
    return new Time(Time.TICKS_PER_SECOND * denominator / numerator);
  }

  /** When a frame begins. */
  public Time at(long frame) {
    return new Time(Math.multiplyExact(frame, frame().ticks()));
  }

  /** The frame that is seen at a time. */
  public long frameAt(Time time) {
    return Math.floorDiv(time.ticks(), frame().ticks());
  }

  /** The nearest beginning of a frame. */
  public Time snap(Time time) {
    long length = frame().ticks();
    return at(Math.floorDiv(time.ticks() + length / 2, length));
  }

  /** As files write it: {@code 25} or {@code 30000/1001}. */
  @Override
  public String toString() {
    return denominator == 1 ? Integer.toString(numerator) : numerator + "/" + denominator;
  }

  /** As people say it: {@code 25 fps} or {@code 29.97 fps}. */
  public String words() {
    double rounded = Math.round(perSecond() * 1000) / 1000.0;
    String number = denominator == 1 ? Integer.toString(numerator) : Double.toString(rounded);
    return number.replaceFirst("(\\.\\d\\d)\\d$", "$1") + " fps";
  }
}
