package dynamorph.app.film.lanes;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dynamorph.app.render.FrameService;
import dynamorph.footage.FootageFiles;
import dynamorph.model.Artboard;
import dynamorph.model.Asset;
import dynamorph.model.Project;
import dynamorph.model.timeline.Clip;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Media;
import dynamorph.model.timeline.Time;
import dynamorph.paint.Pixels;
import dynamorph.paint.film.FootagePainter;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import javafx.application.Platform;
import javafx.scene.image.Image;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;

/**
 * Small pictures of how clips begin. They are made beside the window, from the files themselves and
 * not from those that are open to be played, which would have to wait.
 */
final class ClipPictures {
  /** How high they are shown, in pixels. */
  static final double HEIGHT = 15;

  /** They are made larger than shown, for screens with smaller pixels. */
  private static final int FINER = 2;

  private static final int MOST = 200;

  /** Whoever makes them goes when there is nothing to do. */
  private final ExecutorService makers =
      new ThreadPoolExecutor(
          0, 1, 3, TimeUnit.SECONDS, new LinkedBlockingQueue<>(), FrameService.daemon("clips"));

  private final Cache<Key, Optional<Image>> known =
      Caffeine.newBuilder().executor(Runnable::run).maximumSize(MOST).build();
  private final Set<Key> pending = Collections.synchronizedSet(new HashSet<>());
  private final Runnable redraw;
  private volatile Set<Key> wanted = Set.of();
  private Set<Key> asked = new HashSet<>();

  /**
   * @param stills pictures of the project, where it is one of them
   */
  private record Key(Media media, List<Asset> stills, Time at, FrameRate rate, int width) {}

  /**
   * @param redraw told when one is there that was asked for
   */
  ClipPictures(Runnable redraw) {
    this.redraw = redraw;
  }

  /** Begins another drawing of the lanes: what is not asked for in it is not wanted any more. */
  void begin() {
    asked = new HashSet<>();
  }

  /** How wide the pictures of a film are shown, in pixels. */
  static double width(Artboard film) {
    return Math.max(4, Math.round(HEIGHT * film.width() / film.height()));
  }

  /** Whether the file of a clip is known to hold nothing that can be shown. */
  boolean isUnreadable(Clip clip, Artboard film, Project project) {
    Optional<Image> picture = known.getIfPresent(key(clip, film, project));
    return picture != null && picture.isEmpty();
  }

  private static Key key(Clip clip, Artboard film, Project project) {
    FrameRate rate = film.timeline().orElseThrow().rate();
    Time at = clip.mediaTime(clip.in());
    List<Asset> stills = clip.media() instanceof Media.Still ? project.assets() : List.of();
    return new Key(clip.media(), stills, at, rate, (int) width(film));
  }

  /** The picture of a clip; empty until it is made, and if there is none. */
  Optional<Image> of(Clip clip, Artboard film, Project project) {
    Key key = key(clip, film, project);
    asked.add(key);
    wanted = asked;
    Optional<Image> picture = known.getIfPresent(key);
    if (picture != null) {
      return picture;
    }
    if (pending.add(key)) {
      makers.execute(() -> make(key, clip, film, project));
    }
    return Optional.empty();
  }

  private void make(Key key, Clip clip, Artboard film, Project project) {
    if (!wanted.contains(key)) {
      pending.remove(key);
      return;
    }
    Optional<Image> picture = painted(key, clip, film, project);
    Platform.runLater(() -> {
      pending.remove(key);
      known.put(key, picture);
      redraw.run();
    });
  }

  private static Optional<Image> painted(Key key, Clip clip, Artboard film, Project project) {
    boolean[] missing = new boolean[1];
    FootagePainter painter =
        FootagePainter.of(
            project,
            (media, at, rate, room, taker) -> {
              boolean seen =
                  media instanceof Media.File file
                      && FootageFiles.still(file, at, rate, room, taker);
              missing[0] = !seen;
              return seen;
            });
    int width = key.width * FINER;
    int height = (int) (HEIGHT * FINER);
    Pixels pixels = painter.beginning(clip, key.rate, film.width(), film.height(), width, height);
    if (missing[0]) {
      return Optional.empty();
    }
    WritableImage image = new WritableImage(width, height);
    image
        .getPixelWriter()
        .setPixels(
            0, 0, width, height, PixelFormat.getByteBgraPreInstance(), pixels.bytes(), 4 * width);
    return Optional.of(image);
  }
}
