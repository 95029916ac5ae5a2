package dynamorph.model.timeline;

import dynamorph.model.message.Messages;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Frames counted as hours, minutes, seconds and frames, by SMPTE ST 12-1.
 *
 * <p>Drop-frame counting leaves out numbers, never frames: at 29.97 the first two of every minute
 * but each tenth (the first four at 59.94), so that after an hour the timecode is 3.6 ms off the
 * clock instead of 3.6 s. It wraps at 24 hours.
 *
 * @param rate the rate of the frames that are counted
 * @param drop whether numbers are left out; only for 29.97, 59.94 and their like
 */
public record Timecode(FrameRate rate, boolean drop) {
  private static final Pattern FORM =
      Pattern.compile("(-?)(\\d{1,3}):(\\d{1,2}):(\\d{1,2})([:;.,])(\\d{1,3})");

  public Timecode {
    if (drop && !rate.canDropFrames()) {
      throw new IllegalArgumentException(
          Messages.of("timecode.drop-frame-timecode-is-for-29", rate.words()));
    }
  }

  /** How many numbers each minute leaves out. */
  private int left() {
    return drop ? rate.nominal() / 15 : 0;
  }

  private long perMinute() {
    return rate.nominal() * 60L - left();
  }

  private long perTenMinutes() {
    return rate.nominal() * 600L - 9L * left();
  }

  private long perDay() {
    return perTenMinutes() * 6 * 24;
  }

  /** The number of a frame, such as {@code 01:00:00:00}, or {@code 01:00:00;00} if it drops. */
  public String format(long frame) {
    long number = numbered(Math.floorMod(frame, perDay()));
    int nominal = rate.nominal();
    return String.format(
        Locale.ROOT,
        nominal > 100 ? "%02d:%02d:%02d%s%03d" : "%02d:%02d:%02d%s%02d",
        number / nominal / 3600,
        number / nominal / 60 % 60,
        number / nominal % 60,
        drop ? ";" : ":",
        number % nominal);
  }

  private long numbered(long frame) {
    if (!drop) {
      return frame;
    }
    long tens = frame / perTenMinutes();
    long rest = frame % perTenMinutes();
    long firstMinute = rate.nominal() * 60L;
    // the first minute of ten is whole, the nine others begin after the numbers left out
    long minutes = rest < firstMinute ? 0 : (rest - firstMinute) / perMinute() + 1;
    return frame + left() * (tens * 9 + minutes);
  }

  /**
   * The frame that a timecode numbers.
   *
   * @throws IllegalArgumentException if it is malformed, has too many minutes, seconds or frames,
   *     or names a number that drop-frame counting leaves out
   */
  public long parse(String text) {
    Matcher found = FORM.matcher(text.strip());
    if (!found.matches()) {
      throw new IllegalArgumentException(
          Messages.of(
              "timecode.is-no-timecode-write-hours-minutes", text, format(rate.nominal() * 62L)));
    }
    long hours = Long.parseLong(found.group(2));
    long minutes = Long.parseLong(found.group(3));
    long seconds = Long.parseLong(found.group(4));
    long frames = Long.parseLong(found.group(6));
    if (minutes > 59 || seconds > 59 || frames >= rate.nominal()) {
      throw new IllegalArgumentException(
          Messages.of("timecode.has-more-than-59-minutes-or", text, (rate.nominal() - 1)));
    }
    if (drop && frames < left() && seconds == 0 && minutes % 10 != 0) {
      throw new IllegalArgumentException(
          Messages.of(
              "timecode.drop-frame-timecode-leaves-out-the",
              text,
              format(frameOf(hours, minutes, 0, left()))));
    }
    long frame = frameOf(hours, minutes, seconds, frames);
    return found.group(1).isEmpty() ? frame : -frame;
  }

  private long frameOf(long hours, long minutes, long seconds, long frames) {
    long whole = hours * 60 + minutes;
    return (whole * 60 + seconds) * rate.nominal() + frames - left() * (whole - whole / 10);
  }
}
