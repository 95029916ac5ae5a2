package dynamorph.model.timeline;

import dynamorph.model.message.Messages;
import java.util.Objects;

/**
 * Footage in its place.
 *
 * @param id within its track
 * @param in first moment on the timeline
 * @param out first moment when it is over, after {@code in}
 * @param start which moment of the media is seen at {@code in}
 */
public record Clip(String id, String name, Media media, Time in, Time out, Time start) {
  public Clip {
    Objects.requireNonNull(id, "id");
    Objects.requireNonNull(name, "name");
    Objects.requireNonNull(media, "media");
    if (in.isBefore(Time.ZERO) || !in.isBefore(out) || start.isBefore(Time.ZERO)) {
      throw new IllegalArgumentException(Messages.of("clip.a-clip-runs-from-a-time", in, out));
    }
  }

  public boolean isLive(Time at) {
    return !at.isBefore(in) && at.isBefore(out);
  }

  /** The moment of the media that is seen at a moment of the timeline. */
  public Time mediaTime(Time at) {
    return at.minus(in).plus(start);
  }

  public Clip between(Time from, Time to, Time changedStart) {
    return new Clip(id, name, media, from, to, changedStart);
  }

  public Clip withMedia(Media changed) {
    return new Clip(id, name, changed, in, out, start);
  }

  public Clip moved(Time by) {
    return new Clip(id, name, media, in.plus(by), out.plus(by), start);
  }
}
