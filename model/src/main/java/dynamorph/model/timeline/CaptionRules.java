package dynamorph.model.timeline;

import dynamorph.model.message.Messages;

/**
 * What the captions of a track should keep to.
 *
 * @param lines at most, 1 or more
 * @param lineLength characters at most, 8 or more
 * @param readingSpeed characters a second at most
 * @param shortest time that a cue stays
 * @param longest time that a cue stays
 * @param gap shortest time between two cues that do not touch
 */
public record CaptionRules(
    int lines, int lineLength, double readingSpeed, Time shortest, Time longest, Time gap) {
  public static final CaptionRules USUAL =
      new CaptionRules(2, 42, 20, Time.ofMillis(1000), Time.ofMillis(7000), Time.ofMillis(80));

  public CaptionRules {
    if (lines < 1 || lines > 20 || lineLength < 4 || lineLength > 400) {
      throw new IllegalArgumentException(
          Messages.of("caption-rules.captions-have-1-to-20-lines", lines, lineLength));
    }
    if (!(readingSpeed >= 1 && readingSpeed <= 200)) {
      throw new IllegalArgumentException(
          Messages.of("caption-rules.a-reading-speed-is-1-to", readingSpeed));
    }
    if (shortest.isBefore(Time.ZERO) || longest.isBefore(shortest) || gap.isBefore(Time.ZERO)) {
      throw new IllegalArgumentException(Messages.of("caption-rules.the-shortest-time-of-a-cue"));
    }
  }
}
