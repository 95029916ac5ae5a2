package dynamorph.model.timeline;

import dynamorph.model.message.Messages;
import java.util.Objects;

/**
 * When a title or a cue is seen.
 *
 * @param track where it lies
 * @param in first moment, not before zero
 * @param out first moment when it is gone, after {@code in}
 * @param fadeIn how long it takes to appear, within the time between in and out
 * @param fadeOut how long it takes to vanish
 * @param speaker who says it; empty if that is not told
 */
public record Timing(TrackId track, Time in, Time out, Time fadeIn, Time fadeOut, String speaker) {
  public Timing {
    Objects.requireNonNull(track, "track");
    Objects.requireNonNull(speaker, "speaker");
    if (in.isBefore(Time.ZERO) || !in.isBefore(out) || out.isAfter(Time.LONGEST)) {
      throw new IllegalArgumentException(Messages.of("timing.a-text-is-seen-from-a", in, out));
    }
    Time length = out.minus(in);
    fadeIn = Time.min(Time.max(fadeIn, Time.ZERO), length);
    fadeOut = Time.min(Time.max(fadeOut, Time.ZERO), length.minus(fadeIn));
  }

  public static Timing of(TrackId track, Time in, Time out) {
    return new Timing(track, in, out, Time.ZERO, Time.ZERO, "");
  }

  public Time length() {
    return out.minus(in);
  }

  public boolean isLive(Time at) {
    return !at.isBefore(in) && at.isBefore(out);
  }

  public boolean overlaps(Time from, Time to) {
    return in.isBefore(to) && out.isAfter(from);
  }

  /** How much of it is seen at a moment, 0 to 1. */
  public double visibility(Time at) {
    if (!isLive(at)) {
      return 0;
    }
    double appeared = fadeIn.equals(Time.ZERO) ? 1 : (double) at.minus(in).ticks() / fadeIn.ticks();
    double left = fadeOut.equals(Time.ZERO) ? 1 : (double) out.minus(at).ticks() / fadeOut.ticks();
    return Math.clamp(Math.min(appeared, left), 0, 1);
  }

  public Timing withTrack(TrackId changed) {
    return new Timing(changed, in, out, fadeIn, fadeOut, speaker);
  }

  /** Seen at other times; fades that no longer fit are shortened. */
  public Timing between(Time from, Time to) {
    return new Timing(track, from, to, fadeIn, fadeOut, speaker);
  }

  public Timing moved(Time by) {
    return between(in.plus(by), out.plus(by));
  }

  public Timing withFades(Time changedIn, Time changedOut) {
    return new Timing(track, in, out, changedIn, changedOut, speaker);
  }

  public Timing withSpeaker(String changed) {
    return new Timing(track, in, out, fadeIn, fadeOut, changed);
  }
}
