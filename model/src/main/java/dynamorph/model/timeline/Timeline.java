package dynamorph.model.timeline;

import dynamorph.model.message.Messages;
import dynamorph.model.value.ItemState;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/**
 * What makes an artboard a film: its texts are seen for a time each, over footage.
 *
 * @param timecode how its frames are numbered, which says the frame rate too
 * @param firstFrame the number of its first frame, as timecode counts
 * @param duration after which it is over, at least one frame
 * @param tracks from the top of the picture to the bottom, captions included
 */
public record Timeline(Timecode timecode, long firstFrame, Time duration, List<Track> tracks) {
  public Timeline {
    Objects.requireNonNull(timecode, "timecode");
    tracks = List.copyOf(tracks);
    if (firstFrame < 0) {
      throw new IllegalArgumentException(
          Messages.of("timeline.the-first-timecode-is-not-negative"));
    }
    if (duration.isBefore(timecode.rate().frame()) || duration.isAfter(Time.LONGEST)) {
      throw new IllegalArgumentException(
          Messages.of("timeline.a-timeline-lasts-from-one-frame", duration));
    }
    Set<TrackId> ids = new HashSet<>();
    for (Track track : tracks) {
      if (!ids.add(track.id())) {
        throw new IllegalArgumentException(
            Messages.of("timeline.two-tracks-have-the-id", track.id()));
      }
    }
  }

  public static Timeline of(FrameRate rate, Time duration) {
    return new Timeline(new Timecode(rate, false), 0, duration, List.of());
  }

  public FrameRate rate() {
    return timecode.rate();
  }

  /** How many frames it has. */
  public long frames() {
    return rate().frameAt(duration.plus(rate().frame()).minus(new Time(1)));
  }

  /** The first timecode as a time of the day, as clocks count it. */
  public Time startOfDay() {
    return timecode.drop()
        ? rate().at(firstFrame).floorToMillis()
        : Time.ofSeconds(firstFrame, rate().nominal());
  }

  /** The timecode of a moment. */
  public String codeAt(Time time) {
    return timecode.format(firstFrame + rate().frameAt(time));
  }

  /**
   * The moment that a timecode names; the nearest frame within the timeline.
   *
   * @throws IllegalArgumentException if it is malformed
   */
  public Time timeOf(String code) {
    return rate().at(Math.clamp(frameOf(code), 0, Math.max(0, frames() - 1)));
  }

  /**
   * The frame that a timecode names, from 0; it may lie outside of the film.
   *
   * @throws IllegalArgumentException if it is no timecode
   */
  public long frameOf(String code) {
    return timecode.parse(code) - firstFrame;
  }

  public Optional<Track> track(TrackId id) {
    return tracks.stream().filter(track -> track.id().equals(id)).findFirst();
  }

  public Stream<Track.Captions> captions() {
    return tracks.stream().filter(Track.Captions.class::isInstance).map(Track.Captions.class::cast);
  }

  public Stream<Track.Titles> titles() {
    return tracks.stream().filter(Track.Titles.class::isInstance).map(Track.Titles.class::cast);
  }

  public Stream<Track.Footage> footage() {
    return tracks.stream().filter(Track.Footage.class::isInstance).map(Track.Footage.class::cast);
  }

  /** A name that no track has: that of a language in itself, with a number if need be. */
  public String freeName(String language) {
    Locale locale = Locale.forLanguageTag(language);
    String own = locale.getDisplayLanguage(locale);
    String name =
        own.isBlank() ? language : own.substring(0, 1).toUpperCase(locale) + own.substring(1);
    List<String> taken = tracks.stream().map(Track::name).toList();
    String free = name;
    for (int count = 2; taken.contains(free); count++) {
      free = name + " " + count;
    }
    return free;
  }

  public Timeline withTimecode(Timecode changed) {
    return new Timeline(changed, firstFrame, duration, tracks);
  }

  public Timeline withFirstFrame(long changed) {
    return new Timeline(timecode, changed, duration, tracks);
  }

  public Timeline withDuration(Time changed) {
    return new Timeline(timecode, firstFrame, changed, tracks);
  }

  /** With the media of every clip changed; the same if none is. */
  public Timeline mapMedia(UnaryOperator<Media> change) {
    return mapTracks(track ->
        track instanceof Track.Footage footage
            ? footage.withClips(
                footage.clips().stream()
                    .map(clip -> clip.withMedia(change.apply(clip.media())))
                    .toList())
            : track);
  }

  public Timeline withTracks(List<Track> changed) {
    return new Timeline(timecode, firstFrame, duration, changed);
  }

  /** With another track, below the others of its kind: titles over captions over footage. */
  public Timeline plus(Track track) {
    List<Track> more = new ArrayList<>(tracks);
    int at = 0;
    for (int index = 0; index < more.size(); index++) {
      if (rank(more.get(index)) <= rank(track)) {
        at = index + 1;
      }
    }
    more.add(at, track);
    return withTracks(more);
  }

  private static int rank(Track track) {
    return switch (track) {
      case Track.Titles _ -> 0;
      case Track.Captions _ -> 1;
      case Track.Footage _ -> 2;
    };
  }

  /** With one caption track shown and the other languages hidden. */
  public Timeline showingCaptions(TrackId shown) {
    return mapCaptions(track -> {
      boolean hidden = !track.id().equals(shown);
      return track.state().hidden() == hidden
          ? track
          : (Track.Captions) track.withState(new ItemState(hidden, track.state().locked()));
    });
  }

  /** With every track changed; itself if none changes. */
  public Timeline mapTracks(UnaryOperator<Track> change) {
    List<Track> changed = tracks.stream().map(change).toList();
    return changed.equals(tracks) ? this : withTracks(changed);
  }

  /** With every caption track changed. */
  public Timeline mapCaptions(UnaryOperator<Track.Captions> change) {
    return mapTracks(
        track -> track instanceof Track.Captions captions ? change.apply(captions) : track);
  }
}
