package dynamorph.typeset.caption;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The cues of a track in the order in which they are seen. What changes their times gives the new
 * timings by layer, for an edit to apply.
 */
public record CueList(Track.Captions track, List<Layer> cues) {
  /** Captions are mostly told apart by their in points; those that share one keep their order. */
  private static final Comparator<Layer> BY_TIME =
      Comparator.comparing((Layer cue) -> time(cue).in()).thenComparing(cue -> time(cue).out());

  public CueList {
    cues = cues.stream().sorted(BY_TIME).toList();
  }

  public static CueList of(Artboard film, Track.Captions track) {
    return new CueList(track, film.on(track.id()));
  }

  /** When a cue is seen. */
  public static Timing time(Layer cue) {
    return cue.timing().orElseThrow();
  }

  /** Characters that are read: line breaks and spaces at the ends do not count. */
  public static int characters(Layer cue) {
    String text = cue.story().text().replaceAll("[\\n\\u2028\\u2029]+", " ").strip();
    return text.codePointCount(0, text.length());
  }

  /** Characters a second that have to be read. */
  public static double readingSpeed(Layer cue) {
    return characters(cue) / time(cue).length().seconds();
  }

  /** The words as lines, as they are broken by hand. */
  public static List<String> lines(Layer cue) {
    return List.of(cue.story().text().split("[\\n\\u2028\\u2029]", -1));
  }

  public int indexOf(LayerId id) {
    for (int index = 0; index < cues.size(); index++) {
      if (cues.get(index).id().equals(id)) {
        return index;
      }
    }
    return -1;
  }

  /** The cue that is seen at a moment; the last of several. */
  public Optional<Layer> at(Time moment) {
    return cues.reversed().stream().filter(cue -> time(cue).isLive(moment)).findFirst();
  }

  /** All cues that begin at a moment or later, moved. None is moved before zero. */
  public Map<LayerId, Timing> shifted(Time from, Time by) {
    List<Layer> later = cues.stream().filter(cue -> !time(cue).in().isBefore(from)).toList();
    Time least = later.stream().map(cue -> time(cue).in()).min(Time::compareTo).orElse(Time.ZERO);
    Time possible = Time.max(by, Time.ZERO.minus(least));
    return timings(later, cue -> time(cue).moved(possible));
  }

  /** Times that were meant for one rate of frames, as they are at another: {@code from / to}. */
  public Map<LayerId, Timing> stretched(long numerator, long denominator) {
    return timings(
        cues,
        cue -> {
          Time in = time(cue).in().times(numerator, denominator);
          Time out = time(cue).out().times(numerator, denominator);
          return time(cue).between(in, Time.max(out, in.plus(new Time(1))));
        });
  }

  /**
   * Cues that nearly touch their followers, made to last until them.
   *
   * @param most gaps up to this are closed
   */
  public Map<LayerId, Timing> gapsClosed(Time most) {
    Map<LayerId, Timing> changed = new LinkedHashMap<>();
    for (int index = 0; index + 1 < cues.size(); index++) {
      Timing own = time(cues.get(index));
      Time next = time(cues.get(index + 1)).in();
      Time gap = next.minus(own.out());
      if (gap.isAfter(Time.ZERO) && !gap.isAfter(most)) {
        changed.put(cues.get(index).id(), own.between(own.in(), next));
      }
    }
    return changed;
  }

  /** Cues that are still seen when the next begins, made to end there. */
  public Map<LayerId, Timing> overlapsCut() {
    Map<LayerId, Timing> changed = new LinkedHashMap<>();
    for (int index = 0; index + 1 < cues.size(); index++) {
      Timing own = time(cues.get(index));
      Time next = time(cues.get(index + 1)).in();
      if (own.out().isAfter(next) && own.in().isBefore(next)) {
        changed.put(cues.get(index).id(), own.between(own.in(), next));
      }
    }
    return changed;
  }

  /** Cues that stay longer than the rules of the track allow, made to end sooner. */
  public Map<LayerId, Timing> shortened() {
    return timings(
        cues,
        cue -> {
          Timing own = time(cue);
          Time latest = own.in().plus(track.rules().longest());
          return own.out().isAfter(latest) ? own.between(own.in(), latest) : own;
        });
  }

  /**
   * Cues that are read too fast or stay too short, made to last as long as they need where there is
   * room before the next one, and then to begin earlier where there is room after the one before.
   */
  public Map<LayerId, Timing> spread() {
    Map<LayerId, Timing> changed = new LinkedHashMap<>();
    List<Timing> times = new ArrayList<>(cues.stream().map(CueList::time).toList());
    for (int index = 0; index < cues.size(); index++) {
      Timing own = times.get(index);
      Time needed = needed(cues.get(index));
      if (!own.length().isBefore(needed)) {
        continue;
      }
      Time latest =
          index + 1 < times.size()
              ? times.get(index + 1).in().minus(track.rules().gap())
              : Time.LONGEST;
      Time earliest = index > 0 ? times.get(index - 1).out().plus(track.rules().gap()) : Time.ZERO;
      Time out = Time.max(own.out(), Time.min(own.in().plus(needed), latest));
      Time in = Time.min(own.in(), Time.max(out.minus(needed), earliest));
      if (in.isBefore(out) && !(in.equals(own.in()) && out.equals(own.out()))) {
        times.set(index, own.between(in, out));
        changed.put(cues.get(index).id(), times.get(index));
      }
    }
    return changed;
  }

  /** How long a cue has to stay to be read. */
  public Time needed(Layer cue) {
    Time reading = Time.ofSeconds(characters(cue) / track.rules().readingSpeed());
    // a tick more, so that rounding does not leave it too fast
    return Time.max(reading.plus(new Time(1)), track.rules().shortest());
  }

  private static Map<LayerId, Timing> timings(
      List<Layer> cues, java.util.function.Function<Layer, Timing> change) {
    Map<LayerId, Timing> changed = new LinkedHashMap<>();
    for (Layer cue : cues) {
      Timing now = change.apply(cue);
      if (!now.equals(time(cue))) {
        changed.put(cue.id(), now);
      }
    }
    return changed;
  }
}
