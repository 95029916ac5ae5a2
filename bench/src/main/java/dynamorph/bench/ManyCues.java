package dynamorph.bench;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import java.util.ArrayList;
import java.util.List;

/** A film with as many cues as a long one has. */
final class ManyCues {
  private ManyCues() {}

  /** A project with other cues in its film, one every three seconds on its first caption track. */
  static Project in(Project project, int count) {
    Artboard film = project.films().findFirst().orElseThrow();
    Track.Captions track = film.timeline().orElseThrow().captions().findFirst().orElseThrow();
    List<Layer> layers = new ArrayList<>();
    for (int index = 0; index < count; index++) {
      layers.add(
          Layer.of("m" + index, "Cue", "Cue " + index + " says that the clock is wound on Mondays")
              .withTiming(
                  Timing.of(
                      track.id(),
                      Time.ofMillis(index * 3000L),
                      Time.ofMillis(index * 3000L + 2500))));
    }
    return project.mapArtboards(board ->
        board == film
            ? board
                .withLayers(layers)
                .mapTimeline(line -> line.withDuration(Time.ofMillis(count * 3000L)))
            : board);
  }
}
