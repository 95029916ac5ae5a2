package dynamorph.footage.encode;

import dynamorph.model.Artboard;
import dynamorph.model.LayerId;
import dynamorph.model.timeline.Clip;
import dynamorph.model.timeline.Media;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Track;
import dynamorph.paint.film.FilmPicture;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;

/**
 * The frames of a film in their order, drawn ahead of whoever takes them. A frame that looks like
 * the one before is not drawn.
 */
public final class DrawnFrames implements AutoCloseable {
  private static final int AHEAD = 2;

  private final FilmPicture picture;
  private final Scene.Board film;
  private final FilmPicture.Under under;
  private final int width;
  private final int height;
  private final long last;
  private final int most;
  private final ExecutorService painters;
  private final Deque<FramePixels> free = new ArrayDeque<>();
  private final Deque<CompletableFuture<Optional<FramePixels>>> drawn = new ArrayDeque<>();
  private long next;
  private Optional<Seen> before = Optional.empty();

  /** What is seen at a moment; two moments that see the same look the same. */
  private record Seen(List<LayerId> texts, List<Double> visibilities, List<String> stills) {}

  /**
   * @param film with all its texts
   * @param first number of the first frame, from 0
   * @param last number of the last frame, which is drawn too
   * @param width of the frames, in pixels
   * @param height of the frames, in pixels
   */
  public DrawnFrames(
      FilmPicture picture,
      Scene.Board film,
      FilmPicture.Under under,
      long first,
      long last,
      int width,
      int height) {
    this.picture = picture;
    this.film = film;
    this.under = under;
    this.next = first;
    this.last = last;
    this.width = width;
    this.height = height;
    // footage is decoded in its order, which several painters would mix up
    int workers = isDecoded() ? 1 : Runtime.getRuntime().availableProcessors();
    this.most = workers + AHEAD;
    this.painters = Executors.newFixedThreadPool(workers);
    for (int index = 0; index < most; index++) {
      free.add(new FramePixels(width, height, under == FilmPicture.Under.NOTHING));
    }
  }

  private Timeline line() {
    return film.artboard().timeline().orElseThrow();
  }

  private boolean isDecoded() {
    return under == FilmPicture.Under.FOOTAGE
        && line()
            .footage()
            .filter(track -> !track.state().hidden())
            .flatMap(track -> track.clips().stream())
            .anyMatch(clip -> clip.media() instanceof Media.File);
  }

  /**
   * The picture of the next frame, to be {@linkplain #giveBack given back}; empty if it looks like
   * the one before.
   */
  public Optional<FramePixels> next() {
    ahead();
    try {
      return drawn.remove().join();
    } catch (CompletionException failed) {
      if (failed.getCause() instanceof RuntimeException own) {
        throw own;
      }
      if (failed.getCause() instanceof Error own) {
        throw own;
      }
      throw failed;
    }
  }

  private void ahead() {
    while (next <= last && drawn.size() < most) {
      Time at = line().rate().at(next);
      Optional<Seen> now = seen(at);
      boolean isSame = now.isPresent() && now.equals(before);
      if (!isSame && free.isEmpty()) {
        return;
      }
      before = now;
      next++;
      if (isSame) {
        drawn.add(CompletableFuture.completedFuture(Optional.empty()));
      } else {
        FramePixels pixels = free.remove();
        drawn.add(
            CompletableFuture.supplyAsync(
                () -> {
                  draw(pixels, at);
                  return Optional.of(pixels);
                },
                painters));
      }
    }
  }

  private void draw(FramePixels pixels, Time at) {
    Artboard artboard = film.artboard();
    pixels.draw(canvas -> {
      canvas.scale((float) (width / artboard.width()), (float) (height / artboard.height()));
      picture.paint(canvas, film, at, under);
    });
  }

  /** Empty where something moves. */
  private Optional<Seen> seen(Time at) {
    List<String> stills = new ArrayList<>();
    if (under == FilmPicture.Under.FOOTAGE) {
      for (Track.Footage track : line().footage().toList()) {
        Optional<Clip> clip = track.state().hidden() ? Optional.empty() : track.at(at);
        if (clip.isPresent() && !(clip.get().media() instanceof Media.Still)) {
          return Optional.empty();
        }
        stills.add(clip.map(Clip::id).orElse(""));
      }
    }
    List<LayerId> texts = new ArrayList<>();
    List<Double> visibilities = new ArrayList<>();
    for (PlacedLayer text : film.liveAt(at).texts()) {
      texts.add(text.layer().id());
      visibilities.add(text.layer().timing().map(timing -> timing.visibility(at)).orElse(1.0));
    }
    return Optional.of(new Seen(texts, visibilities, stills));
  }

  /** Lets a picture be drawn over. */
  public void giveBack(FramePixels pixels) {
    free.add(pixels);
  }

  @Override
  public void close() {
    painters.close();
    while (!drawn.isEmpty()) {
      CompletableFuture<Optional<FramePixels>> one = drawn.remove();
      if (!one.isCompletedExceptionally()) {
        one.join().ifPresent(free::add);
      }
    }
    free.forEach(FramePixels::close);
  }
}
