package dynamorph.formats.captions;

import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timecode;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * How a TTML document counts time: its {@code ttp:frameRate}, multiplier and {@code ttp:tickRate}
 * (Timed Text Markup Language 2, 12.3).
 *
 * @param frames a second, before they are multiplied
 * @param ticks a second; 0 for as many as frames
 * @param timecode how the labels of the SMPTE time base number frames; empty where clock times are
 *     those of a clock
 */
record TtmlClock(int frames, int multiplier, int divisor, long ticks, Optional<Timecode> timecode) {
  TtmlClock(int frames, int multiplier, int divisor, long ticks) {
    this(frames, multiplier, divisor, ticks, Optional.empty());
  }

  /**
   * With clock times that are labels of frames (Timed Text Markup Language 2, 7.2.16).
   *
   * @param dropMode as {@code ttp:dropMode} says it
   */
  TtmlClock counting(String dropMode) {
    boolean drops = dropMode.strip().equals("dropNTSC");
    return new TtmlClock(
        frames,
        multiplier,
        divisor,
        ticks,
        rate().map(rate -> new Timecode(rate, drops && rate.canDropFrames())));
  }

  private static final Pattern CLOCK_TIME =
      Pattern.compile("(\\d{1,6}):(\\d{2}):(\\d{2})(?:\\.(\\d{1,12})|:(\\d{1,4})(?:\\.(\\d+))?)?");
  private static final Pattern OFFSET_TIME =
      Pattern.compile("(\\d{1,15}(?:\\.\\d{1,12})?)(h|m|s|ms|f|t)");

  /** What holds where a document says nothing: 30 frames a second. */
  static final TtmlClock USUAL = new TtmlClock(30, 1, 1, 0);

  /** The frame rate that is meant; none for one that no film has. */
  Optional<FrameRate> rate() {
    try {
      return Optional.of(new FrameRate(frames * multiplier, divisor));
    } catch (IllegalArgumentException unusual) {
      return Optional.empty();
    }
  }

  /**
   * Reads a time expression: a clock time, with a fraction or frames, or an offset such as {@code
   * 1.5s}, {@code 90f}, {@code 500t}.
   *
   * @return nothing where it is none
   */
  Optional<Time> time(String text) {
    Matcher clock = CLOCK_TIME.matcher(text.strip());
    if (clock.matches() && timecode.isPresent() && clock.group(4) == null) {
      return label(clock);
    }
    if (clock.matches()) {
      return Optional.of(clockTime(clock));
    }
    Matcher offset = OFFSET_TIME.matcher(text.strip());
    return offset.matches() ? Optional.of(offset(offset)) : Optional.empty();
  }

  private Optional<Time> label(Matcher clock) {
    String frame = clock.group(5) == null ? "00" : clock.group(5);
    String label = clock.group(1) + ":" + clock.group(2) + ":" + clock.group(3) + ":" + frame;
    try {
      Timecode counted = timecode.orElseThrow();
      return Optional.of(counted.rate().at(counted.parse(label)));
    } catch (IllegalArgumentException none) {
      return Optional.empty();
    }
  }

  private Time clockTime(Matcher clock) {
    long seconds =
        Long.parseLong(clock.group(1)) * 3600
            + Long.parseLong(clock.group(2)) * 60
            + Long.parseLong(clock.group(3));
    Time whole = Time.ofSeconds(seconds, 1);
    if (clock.group(4) != null) {
      return whole.plus(Time.ofSeconds(Double.parseDouble("0." + clock.group(4))));
    }
    return clock.group(5) == null
        ? whole
        : whole.plus(ofFrames(Double.parseDouble(clock.group(5))));
  }

  private Time offset(Matcher offset) {
    double number = Double.parseDouble(offset.group(1));
    return switch (offset.group(2)) {
      case "h" -> Time.ofSeconds(number * 3600);
      case "m" -> Time.ofSeconds(number * 60);
      case "ms" -> Time.ofSeconds(number / 1000);
      case "f" -> ofFrames(number);
      case "t" -> Time.ofSeconds(Math.round(number), ticksInSecond());
      default -> Time.ofSeconds(number);
    };
  }

  private long ticksInSecond() {
    return ticks > 0 ? ticks : Math.max(1, (long) frames * multiplier / divisor);
  }

  private Time ofFrames(double count) {
    // frames are counted in thousandths, which no file goes below
    return Time.ofSeconds(Math.round(count * 1000) * divisor, 1000L * frames * multiplier);
  }
}
