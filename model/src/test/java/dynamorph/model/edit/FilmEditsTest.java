package dynamorph.model.edit;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.film.ChangeTimeline;
import dynamorph.model.edit.film.Retime;
import dynamorph.model.random.RandomProjects;
import dynamorph.model.timeline.Clip;
import dynamorph.model.timeline.Media;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import dynamorph.model.value.ItemState;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.LongStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Whatever is done to a film, it stays one: nothing is without a track, nothing is twice. */
class FilmEditsTest {
  static LongStream seeds() {
    return LongStream.range(0, 40);
  }

  private static Edit random(RandomProjects random, Artboard film, int number) {
    Timeline line = film.timeline().orElseThrow();
    Track track = random.pick(line.tracks());
    List<Layer> texts = film.layers().stream().filter(one -> one.timing().isPresent()).toList();
    List<Layer> some = new ArrayList<>();
    for (Layer text : texts) {
      if (random.chance()) {
        some.add(text);
      }
    }
    Time at = line.rate().at(37L * number % Math.max(1, line.frames()));
    List<Edit> all = new ArrayList<>();
    all.add(new ChangeTimeline.PutTrack(film.id(), track.withName("Track " + number)));
    all.add(new ChangeTimeline.MoveTrack(film.id(), track.id(), random.chance() ? 1 : -2));
    all.add(
        new ChangeTimeline.PutTrack(
            film.id(), new Track.Titles(new TrackId("more-" + number), "More", ItemState.OPEN)));
    all.add(new ChangeTimeline.DeleteClip(film.id(), track.id(), "no such clip"));
    all.add(new ChangeTimeline.FindMedia(Map.of("/a.mp4", "/b.mp4")));
    if (line.tracks().size() > 2) {
      all.add(new ChangeTimeline.DeleteTrack(film.id(), track.id()));
    }
    if (track instanceof Track.Footage) {
      all.add(
          new ChangeTimeline.PutClip(
              film.id(),
              track.id(),
              new Clip(
                  "clip-" + number,
                  "Sea",
                  new Media.File("/a.mp4"),
                  at,
                  at.plus(line.rate().frame()),
                  Time.ZERO)));
    }
    if (!some.isEmpty()) {
      Map<LayerId, LayerId> halves = new HashMap<>();
      Map<LayerId, Timing> later = new HashMap<>();
      for (Layer text : some) {
        halves.put(text.id(), new LayerId(text.id().value() + "-" + number));
        later.put(text.id(), text.timing().orElseThrow().moved(line.rate().frame()));
      }
      Set<LayerId> ids = new HashSet<>(some.stream().map(Layer::id).toList());
      all.add(new ChangeTimeline.Split(film.id(), halves, at));
      all.add(new ChangeTimeline.DeleteClosingGap(film.id(), ids));
      all.add(new Retime(later, "Move"));
      List<LayerId> together =
          some.stream()
              .filter(one -> one.track().equals(some.getFirst().track()))
              .map(Layer::id)
              .toList();
      if (together.size() > 1) {
        all.add(new ChangeTimeline.Merge(film.id(), together));
      }
    }
    return random.pick(all);
  }

  private static Optional<Artboard> film(Project project) {
    return project.films().findFirst();
  }

  private static void assertSound(Project project) {
    Artboard film = film(project).orElseThrow();
    Timeline line = film.timeline().orElseThrow();
    assertThat(line.tracks().stream().map(Track::id).toList()).doesNotHaveDuplicates();
    assertThat(project.layers().map(Layer::id).toList()).doesNotHaveDuplicates();
    for (Layer layer : film.layers()) {
      layer
          .timing()
          .ifPresent(timing -> {
            assertThat(line.track(timing.track())).as("the track of %s", layer.id()).isPresent();
            assertThat(timing.in()).isLessThan(timing.out());
            assertThat(timing.fadeIn().plus(timing.fadeOut())).isLessThanOrEqualTo(timing.length());
          });
    }
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void staySoundAndAreUndone(long seed) {
    RandomProjects random = new RandomProjects(seed);
    Project project = random.project();
    if (film(project).isEmpty()) {
      return;
    }
    History history = History.unsaved(project);
    List<Project> states = new ArrayList<>(List.of(project));
    for (int number = 0; number < 25; number++) {
      Project now = history.present();
      Edit edit = random(random, film(now).orElseThrow(), number);
      assertThat(edit.label(now)).isNotBlank();
      History after;
      try {
        after = history.apply(edit);
      } catch (EditRefused refused) {
        assertThat(refused).message().isNotBlank();
        continue;
      }
      assertSound(after.present());
      if (!after.present().equals(now)) {
        states.add(after.present());
      }
      history = after;
    }
    for (int back = states.size() - 1; back >= 0; back--) {
      assertThat(history.present()).isEqualTo(states.get(back));
      history = back > 0 ? history.undo() : history;
    }
    for (int on = 1; on < states.size(); on++) {
      history = history.redo();
      assertThat(history.present()).isEqualTo(states.get(on));
    }
  }
}
