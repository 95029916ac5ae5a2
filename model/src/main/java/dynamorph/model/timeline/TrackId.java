package dynamorph.model.timeline;

import dynamorph.model.message.Messages;
import java.util.Objects;

/** Names a track within its project. */
public record TrackId(String value) implements Comparable<TrackId> {
  public TrackId {
    Objects.requireNonNull(value, "value");
    if (value.isBlank()) {
      throw new IllegalArgumentException(Messages.of("track-id.the-id-of-a-track-is"));
    }
  }

  @Override
  public int compareTo(TrackId other) {
    return value.compareTo(other.value);
  }

  @Override
  public String toString() {
    return value;
  }
}
