package dynamorph.app.render;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.timeline.Time;
import dynamorph.paint.Pixels;
import dynamorph.paint.export.ArtboardPicture;
import dynamorph.paint.film.FilmPicture;
import dynamorph.paint.film.FootagePainter;
import dynamorph.paint.film.MediaSource;
import dynamorph.paint.film.TitleMoment;
import dynamorph.paint.scene.Scene;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Stream;

/** Small pictures of artboards and films in states of a project that need not be the open one. */
public final class StatePictures {
  private final Supplier<Studio> current;
  private final MediaSource footage;

  /**
   * @param current the studio of the project that is open
   */
  public StatePictures(Supplier<Studio> current, MediaSource footage) {
    this.current = current;
    this.footage = footage;
  }

  /**
   * An artboard, or a frame of a film, as large as fits, with twice the pixels. Any thread.
   *
   * @param other another state of it, if there is one: a film is shown where the two first differ
   * @param width in points
   * @param height in points
   */
  public Pixels draw(
      Project project, Artboard board, Optional<Artboard> other, int width, int height) {
    double scale = 2 * Math.min(width / board.width(), height / board.height());
    Studio studio = current.get();
    if (studio.fits(project)) {
      return drawn(studio, project, board, other, scale);
    }
    try (Studio.Own own = Studio.own(project)) {
      return drawn(own.studio(), project, board, other, scale);
    }
  }

  private Pixels drawn(
      Studio studio, Project project, Artboard board, Optional<Artboard> other, double scale) {
    Scene.Board scene = studio.maker().make(project).board(board.id()).orElseThrow();
    if (!board.isFilm()) {
      return new ArtboardPicture(studio.maker().painter()).pixels(scene, scale);
    }
    return new FilmPicture(studio.maker().painter(), FootagePainter.of(project, footage))
        .pixels(scene, moment(board, other), scale);
  }

  /** In the middle of the first title or cue that differs; of the first at all if none does. */
  static Time moment(Artboard film, Optional<Artboard> other) {
    List<Layer> own = film.layers();
    List<Layer> others = other.<List<Layer>>map(Artboard::layers).orElse(List.of());
    Set<Layer> both = new HashSet<>(own);
    both.retainAll(new HashSet<>(others));
    return TitleMoment.ofFirst(
            Stream.concat(own.stream(), others.stream()).filter(one -> !both.contains(one)))
        .or(() -> TitleMoment.ofFirst(own.stream()))
        .orElse(Time.ZERO);
  }
}
