package dynamorph.footage.sound;

import dynamorph.footage.FootageException;
import dynamorph.footage.FootageFiles;
import dynamorph.model.timeline.Clip;
import dynamorph.model.timeline.Media;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableSet;
import java.util.Optional;
import java.util.TreeSet;

/**
 * The sound of a film: in each track of footage the clip that is seen is heard too, and the tracks
 * together. Hidden tracks are silent.
 */
public final class FilmSound implements Sound {
  private final List<Track.Footage> tracks;
  private final Map<Reel, Optional<SoundFile>> files = new HashMap<>();

  /** Each track reads a file on its own, or two would send it to and fro. */
  private record Reel(TrackId track, Path file) {}

  private FilmSound(List<Track.Footage> tracks) {
    this.tracks = tracks;
  }

  /**
   * The sound of a timeline.
   *
   * @return empty if none of its footage has any
   * @throws FootageException if footage that is there cannot be read
   */
  public static Optional<FilmSound> of(Timeline timeline) throws FootageException {
    FilmSound sound =
        new FilmSound(timeline.footage().filter(track -> !track.state().hidden()).toList());
    boolean isHeard = false;
    try {
      isHeard = sound.isHeard();
    } finally {
      if (!isHeard) {
        sound.close();
      }
    }
    return isHeard ? Optional.of(sound) : Optional.empty();
  }

  private boolean isHeard() throws FootageException {
    for (Track.Footage track : tracks) {
      for (Clip clip : track.clips()) {
        if (file(track, clip).isPresent()) {
          return true;
        }
      }
    }
    return false;
  }

  private Optional<SoundFile> file(Track track, Clip clip) throws FootageException {
    if (!(clip.media() instanceof Media.File media) || !FootageFiles.isThere(media)) {
      return Optional.empty();
    }
    Path path = Path.of(media.path());
    if (FootageFiles.isPicture(path)) {
      return Optional.empty();
    }
    Reel reel = new Reel(track.id(), path);
    Optional<SoundFile> known = files.get(reel);
    if (known == null) {
      known = SoundFile.open(path);
      files.put(reel, known);
    }
    return known;
  }

  /** The sample that is heard at a moment. */
  public static long sampleAt(Time time) {
    return Math.floorDiv(time.ticks() * RATE, Time.TICKS_PER_SECOND);
  }

  private static Time timeOf(long sample) {
    return new Time(sample * (Time.TICKS_PER_SECOND / RATE));
  }

  @Override
  public void add(long from, float[] left, float[] right, int offset, int count)
      throws FootageException {
    for (Track.Footage track : tracks) {
      NavigableSet<Long> cuts = cuts(track, from, from + count);
      for (long begin = from; begin < from + count; ) {
        Long cut = cuts.higher(begin);
        long end = cut == null ? from + count : cut;
        Optional<Clip> heard = track.at(timeOf(begin));
        Optional<SoundFile> file = heard.isPresent() ? file(track, heard.get()) : Optional.empty();
        if (file.isPresent()) {
          long start = sampleAt(heard.get().mediaTime(timeOf(begin)));
          int to = offset + (int) (begin - from);
          file.get().add(start, left, right, to, (int) (end - begin));
        }
        begin = end;
      }
    }
  }

  /** Where clips begin or end, so that between them the same one is heard. */
  private static NavigableSet<Long> cuts(Track.Footage track, long from, long to) {
    NavigableSet<Long> cuts = new TreeSet<>();
    for (Clip clip : track.clips()) {
      for (Time edge : List.of(clip.in(), clip.out())) {
        // the first sample that is not before the edge
        long sample = -sampleAt(new Time(-edge.ticks()));
        if (sample > from && sample < to) {
          cuts.add(sample);
        }
      }
    }
    return cuts;
  }

  @Override
  public void close() {
    files.values().forEach(file -> file.ifPresent(SoundFile::close));
    files.clear();
  }
}
