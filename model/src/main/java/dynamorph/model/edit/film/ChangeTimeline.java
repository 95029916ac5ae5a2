package dynamorph.model.edit.film;

import static java.util.Objects.requireNonNull;

import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.message.Messages;
import dynamorph.model.timeline.Clip;
import dynamorph.model.timeline.Media;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;

/** Changes a film: its time, its tracks, and where on them things lie. */
public sealed interface ChangeTimeline extends Edit {
  private static Project mapped(Project before, ArtboardId film, UnaryOperator<Artboard> change) {
    Artboard board =
        before
            .artboard(film)
            .filter(Artboard::isFilm)
            .orElseThrow(() -> new EditRefused(Messages.of("common.the-film-is-no-longer-in")));
    try {
      Artboard changed = change.apply(board);
      return before.mapArtboards(other -> other == board ? changed : other);
    } catch (IllegalArgumentException impossible) {
      throw new EditRefused(String.valueOf(impossible.getMessage()));
    }
  }

  /** Puts a changed timeline in the place of the one there is. */
  record Put(ArtboardId film, Timeline timeline, String what) implements ChangeTimeline {
    @Override
    public Project applyTo(Project before) {
      return mapped(before, film, board -> board.mapTimeline(_ -> timeline));
    }

    @Override
    public String label(Project before) {
      return what;
    }
  }

  /** Puts a changed track in the place of the one with the same id, or adds it to its kind. */
  record PutTrack(ArtboardId film, Track track) implements ChangeTimeline {
    @Override
    public Project applyTo(Project before) {
      return mapped(before, film, board -> board.mapTimeline(this::changed));
    }

    private Timeline changed(Timeline line) {
      return line.track(track.id()).isEmpty()
          ? line.plus(track)
          : line.mapTracks(other -> other.id().equals(track.id()) ? track : other);
    }

    @Override
    public String label(Project before) {
      boolean there = before.filmOf(track.id()).isPresent();
      return Messages.of(
          there ? "change-timeline.change-track" : "change-timeline.add-track", track.name());
    }
  }

  /** Shows one caption track and hides the other languages. */
  record ShowCaptions(ArtboardId film, TrackId track) implements ChangeTimeline {
    @Override
    public Project applyTo(Project before) {
      return mapped(before, film, board -> board.mapTimeline(line -> line.showingCaptions(track)));
    }

    @Override
    public String label(Project before) {
      String name =
          before
              .filmOf(track)
              .flatMap(board -> board.timeline().flatMap(line -> line.track(track)))
              .map(Track::name)
              .orElse("");
      return Messages.of("change-timeline.show-captions", name);
    }
  }

  /** Moves a track up or down. */
  record MoveTrack(ArtboardId film, TrackId track, int by) implements ChangeTimeline {
    @Override
    public Project applyTo(Project before) {
      return mapped(before, film, board -> board.mapTimeline(this::moved));
    }

    private Timeline moved(Timeline line) {
      List<Track> tracks = new ArrayList<>(line.tracks());
      Optional<Track> moving = line.track(track);
      if (moving.isEmpty()) {
        return line;
      }
      int to = Math.clamp(tracks.indexOf(moving.get()) + by, 0, tracks.size() - 1);
      tracks.remove(moving.get());
      tracks.add(to, moving.get());
      return line.withTracks(tracks);
    }

    @Override
    public String label(Project before) {
      return Messages.of("change-timeline.move-the-track");
    }
  }

  /** Deletes a track with what lies on it. */
  record DeleteTrack(ArtboardId film, TrackId track) implements ChangeTimeline {
    @Override
    public Project applyTo(Project before) {
      return mapped(before, film, this::without);
    }

    private Artboard without(Artboard board) {
      List<Track> kept = new ArrayList<>(board.timeline().orElseThrow().tracks());
      kept.removeIf(other -> other.id().equals(track));
      List<Layer> layers = new ArrayList<>(board.layers());
      layers.removeIf(layer -> layer.track().filter(track::equals).isPresent());
      return board.withLayers(layers).mapTimeline(line -> line.withTracks(kept));
    }

    @Override
    public String label(Project before) {
      return Messages.of(
          "change-timeline.delete-track",
          before
              .filmOf(track)
              .flatMap(board -> board.timeline().orElseThrow().track(track))
              .map(Track::name)
              .orElse(""));
    }
  }

  private static Project withClips(
      Project before, ArtboardId film, TrackId track, UnaryOperator<List<Clip>> change) {
    return mapped(
        before,
        film,
        board ->
            board.mapTimeline(line ->
                line.mapTracks(other ->
                    other instanceof Track.Footage footage && footage.id().equals(track)
                        ? footage.withClips(change.apply(footage.clips()))
                        : other)));
  }

  /** Puts a clip on a footage track, in the place of the one with the same id. */
  record PutClip(ArtboardId film, TrackId track, Clip clip) implements ChangeTimeline {
    @Override
    public Project applyTo(Project before) {
      return withClips(before, film, track, this::changed);
    }

    private List<Clip> changed(List<Clip> clips) {
      List<Clip> kept = new ArrayList<>(clips);
      int at = kept.stream().map(Clip::id).toList().indexOf(clip.id());
      if (at < 0) {
        kept.add(clip);
      } else {
        kept.set(at, clip);
      }
      return kept;
    }

    @Override
    public String label(Project before) {
      return Messages.of("change-timeline.place", clip.name());
    }
  }

  /** Takes a clip away. */
  record DeleteClip(ArtboardId film, TrackId track, String clip) implements ChangeTimeline {
    @Override
    public Project applyTo(Project before) {
      return withClips(
          before,
          film,
          track,
          clips -> clips.stream().filter(one -> !one.id().equals(clip)).toList());
    }

    @Override
    public String label(Project before) {
      return Messages.of("change-timeline.delete-the-clip");
    }
  }

  /**
   * Says where media is found now.
   *
   * @param paths by the paths that were
   */
  record FindMedia(Map<String, String> paths) implements ChangeTimeline {
    public FindMedia {
      paths = Map.copyOf(paths);
    }

    @Override
    public Project applyTo(Project before) {
      return before.mapMedia(media ->
          media instanceof Media.File(String path)
              ? new Media.File(paths.getOrDefault(path, path))
              : media);
    }

    @Override
    public String label(Project before) {
      return Messages.of("change-timeline.relink-footage");
    }
  }

  /**
   * Cuts texts in two at a moment; both halves look the same and follow the same styles.
   *
   * @param halves by the id of the text the id of its second half
   */
  record Split(ArtboardId film, Map<LayerId, LayerId> halves, Time at) implements ChangeTimeline {
    public Split {
      halves = Map.copyOf(halves);
    }

    @Override
    public Project applyTo(Project before) {
      return mapped(before, film, this::split);
    }

    private Artboard split(Artboard board) {
      List<Layer> layers = new ArrayList<>();
      for (Layer layer : board.layers()) {
        Optional<Timing> timing = layer.timing();
        boolean cut =
            halves.containsKey(layer.id())
                && timing.isPresent()
                && timing.get().in().isBefore(at)
                && at.isBefore(timing.get().out());
        if (!cut) {
          layers.add(layer);
          continue;
        }
        Timing whole = timing.get();
        layers.add(
            layer.withTiming(whole.between(whole.in(), at).withFades(whole.fadeIn(), Time.ZERO)));
        layers.add(
            layer
                .withId(requireNonNull(halves.get(layer.id())))
                .withTiming(whole.between(at, whole.out()).withFades(Time.ZERO, whole.fadeOut())));
      }
      return board.withLayers(layers);
    }

    @Override
    public String label(Project before) {
      return Messages.of("change-timeline.split-text", halves.size());
    }
  }

  /** Takes texts away and moves what comes later on their tracks into the gap. */
  record DeleteClosingGap(ArtboardId film, Set<LayerId> layers) implements ChangeTimeline {
    public DeleteClosingGap {
      layers = Set.copyOf(layers);
    }

    @Override
    public Project applyTo(Project before) {
      return mapped(before, film, this::closed);
    }

    private Artboard closed(Artboard board) {
      Map<TrackId, List<Timing>> gone = new HashMap<>();
      List<Layer> kept = new ArrayList<>();
      for (Layer layer : board.layers()) {
        if (layers.contains(layer.id())) {
          layer
              .timing()
              .ifPresent(timing ->
                  gone.computeIfAbsent(timing.track(), _ -> new ArrayList<>()).add(timing));
        } else {
          kept.add(layer);
        }
      }
      return board.withLayers(
          kept.stream()
              .map(layer -> layer.withTiming(layer.timing().map(own -> moved(own, gone))))
              .toList());
    }

    private static Timing moved(Timing own, Map<TrackId, List<Timing>> gone) {
      Time closed = Time.ZERO;
      for (Timing gap : gone.getOrDefault(own.track(), List.of())) {
        if (!own.in().isBefore(gap.out())) {
          closed = closed.plus(gap.length());
        }
      }
      return own.moved(Time.ZERO.minus(Time.min(closed, own.in())));
    }

    @Override
    public String label(Project before) {
      return Messages.of("change-timeline.delete-text-and-close-the-gap", layers.size());
    }
  }

  /** Joins cues into the first of them: its look, all words, the time of all together. */
  record Merge(ArtboardId film, List<LayerId> cues) implements ChangeTimeline {
    public Merge {
      cues = List.copyOf(cues);
    }

    @Override
    public Project applyTo(Project before) {
      if (cues.size() < 2) {
        throw new EditRefused(Messages.of("change-timeline.select-two-cues-or-more-to"));
      }
      return mapped(before, film, this::merged);
    }

    private Artboard merged(Artboard board) {
      Map<LayerId, Layer> there = new HashMap<>();
      board.layers().forEach(layer -> there.put(layer.id(), layer));
      Layer first = requireNonNull(there.get(cues.getFirst()));
      Layer joined = first;
      for (LayerId id : cues.subList(1, cues.size())) {
        Layer next = requireNonNull(there.get(id));
        Timing timing = joined.timing().orElseThrow();
        Timing other = next.timing().orElseThrow();
        if (!other.track().equals(timing.track())) {
          throw new EditRefused(Messages.of("change-timeline.only-cues-of-one-track-can"));
        }
        int end = joined.story().length();
        joined =
            joined
                .withStory(
                    joined
                        .story()
                        .replace(new dynamorph.model.text.TextRange(end, end), " ")
                        .replace(
                            new dynamorph.model.text.TextRange(end + 1, end + 1), next.story()))
                .withTiming(
                    timing.between(
                        Time.min(timing.in(), other.in()), Time.max(timing.out(), other.out())));
      }
      Layer whole = joined;
      List<Layer> kept = new ArrayList<>(board.layers());
      kept.removeIf(layer -> cues.indexOf(layer.id()) > 0);
      kept.replaceAll(layer -> layer.id().equals(whole.id()) ? whole : layer);
      return board.withLayers(kept);
    }

    @Override
    public String label(Project before) {
      return Messages.of("change-timeline.merge-cue", cues.size());
    }
  }
}
