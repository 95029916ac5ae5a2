package dynamorph.footage;

import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Media;
import dynamorph.model.timeline.Time;
import dynamorph.paint.film.MediaSource;
import io.github.humbleui.skija.Image;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;

/**
 * The videos and numbered pictures that films of a project are made of. Pictures that were seen are
 * kept for a while, and the next ones are decoded ahead, so that playing need not wait. Safe on any
 * thread.
 */
public final class FootageFiles implements MediaSource, AutoCloseable {
  /** Bytes of pictures kept to be played: three seconds of small ones, a second of large ones. */
  private static final long PLAYED_BYTES = 256L << 20;

  /** Bytes kept where each picture is seldom seen twice. */
  private static final long LOOKED_AT_BYTES = 48L << 20;

  /** How many frames are decoded ahead of one that is played. */
  private static final int AHEAD = 4;

  /** After this time a file that could not be read is tried again. */
  private static final long RETRY_NANOS = TimeUnit.SECONDS.toNanos(3);

  private record Key(Path file, Time at, FrameRate rate, Room room) {
    Key next() {
      return new Key(file, at.plus(rate.frame()), rate, room);
    }
  }

  /** A decoded picture, closed when nobody looks at it and it is not kept any more. */
  private static final class Shot {
    private final Image image;
    private int lookers;
    private boolean kept = true;

    Shot(Image image) {
      this.image = image;
    }

    long bytes() {
      return 4L * image.getWidth() * image.getHeight();
    }
  }

  /** Footage that is open, or why it is not. */
  private static final class Opened {
    private final @Nullable FootageReader reel;
    private final long triedAt = System.nanoTime();

    Opened(@Nullable FootageReader reel) {
      this.reel = reel;
    }

    boolean isWorthRetrying() {
      return reel == null && System.nanoTime() - triedAt > RETRY_NANOS;
    }
  }

  private final Map<Path, Opened> reels = new HashMap<>();
  private final Map<Key, Shot> shots = new LinkedHashMap<>(16, 0.75f, true);
  private final Set<Path> opaque = ConcurrentHashMap.newKeySet();
  private final Object decoding = new Object();
  private final ExecutorService ahead;
  private final long mostBytes;
  private final int framesAhead;
  private long bytes;
  private volatile @Nullable Key lastShown;
  private volatile boolean closed;

  /** For what is played: the next pictures are decoded before they are asked for. */
  public FootageFiles() {
    this(PLAYED_BYTES, AHEAD);
  }

  /**
   * For what is looked at here and there, as by checks. It opens files on its own, or it would send
   * those that are being played to and fro.
   */
  public static FootageFiles besidePlaying() {
    return new FootageFiles(LOOKED_AT_BYTES, 0);
  }

  private FootageFiles(long mostBytes, int framesAhead) {
    this.mostBytes = mostBytes;
    this.framesAhead = framesAhead;
    this.ahead =
        Executors.newSingleThreadExecutor(work -> {
          Thread thread = new Thread(work, "dynamorph-footage");
          thread.setDaemon(true);
          return thread;
        });
  }

  /** Whether media is where it should be. */
  public static boolean isThere(Media media) {
    return !(media instanceof Media.File file)
        || path(file).filter(Files::isRegularFile).isPresent();
  }

  private static Optional<Path> path(Media.File media) {
    try {
      return Optional.of(Path.of(media.path()));
    } catch (InvalidPathException foreign) {
      return Optional.empty();
    }
  }

  /**
   * What a video, or the pictures numbered like one, are.
   *
   * @throws FootageUnreadable saying which and why
   */
  public static FootageInfo facts(Path file, FrameRate rate) throws FootageException {
    try (FootageReader reel = open(file)) {
      return reel.facts(rate);
    }
  }

  /**
   * Shows one picture of a file that is opened for that alone.
   *
   * @param room that it fills
   * @param taker gets the picture, which lives only until it returns
   * @return false if it is missing or cannot be read
   */
  public static boolean still(
      Media.File media, Time at, FrameRate rate, Room room, Consumer<Image> taker) {
    Optional<Path> file = path(media);
    if (file.isEmpty()) {
      return false;
    }
    try (FootageReader reel = open(file.get());
        Image picture = reel.picture(at, rate, room)) {
      taker.accept(picture);
      return true;
    } catch (FootageException missing) {
      return false;
    }
  }

  /** Whether a file is a picture by its name, not a video. */
  public static boolean isPicture(Path file) {
    return ImageSequence.isPicture(file);
  }

  /** How many pictures are numbered like one and follow it, with it; 1 if it has no number. */
  public static int numberedLike(Path picture) {
    try {
      return ImageSequence.isPicture(picture) ? ImageSequence.from(picture).count() : 1;
    } catch (FootageException missing) {
      return 0;
    }
  }

  private static FootageReader open(Path file) throws FootageException {
    return ImageSequence.isPicture(file) ? ImageSequence.from(file) : VideoFile.open(file);
  }

  /** What is missing is shown as opaque stripes. */
  @Override
  public boolean isOpaque(Media media) {
    return media instanceof Media.File file && path(file).filter(opaque::contains).isPresent();
  }

  @Override
  public boolean show(Media media, Time at, FrameRate rate, Room room, Consumer<Image> taker) {
    Optional<Path> file = media instanceof Media.File from ? path(from) : Optional.empty();
    if (file.isEmpty() || closed) {
      return false;
    }
    // pictures come in their own size, whatever is asked for
    Key key = new Key(file.get(), at, rate, isPicture(file.get()) ? Room.ANY : room);
    boolean another = !key.equals(lastShown);
    lastShown = key;
    Optional<Shot> shot = lookedAt(key);
    if (shot.isEmpty()) {
      shot = decoded(key);
    }
    if (another && shot.isPresent()) {
      decodeAhead(key);
    }
    shot.ifPresent(seen -> {
      try {
        taker.accept(seen.image);
      } finally {
        leave(seen);
      }
    });
    return shot.isPresent();
  }

  private void decodeAhead(Key from) {
    if (closed || framesAhead == 0) {
      return;
    }
    ahead.execute(() -> {
      Key next = from;
      for (int step = 0; step < framesAhead && from.equals(lastShown) && !closed; step++) {
        next = next.next();
        Optional<Shot> known = lookedAt(next);
        (known.isPresent() ? known : decoded(next)).ifPresent(this::leave);
      }
    });
  }

  /** A picture that is kept, as seen by one more; {@link #leave} it. */
  private Optional<Shot> lookedAt(Key key) {
    synchronized (shots) {
      Shot shot = shots.get(key);
      if (shot != null) {
        shot.lookers++;
      }
      return Optional.ofNullable(shot);
    }
  }

  private Optional<Shot> decoded(Key key) {
    synchronized (decoding) {
      // somebody may have decoded it while this waited
      Optional<Shot> known = lookedAt(key);
      if (known.isPresent() || closed) {
        return known;
      }
      Opened opened = reels.get(key.file);
      if (opened == null || opened.isWorthRetrying()) {
        opened = new Opened(openOrNull(key.file));
        reels.put(key.file, opened);
      }
      if (opened.reel == null) {
        return Optional.empty();
      }
      try {
        Shot shot = new Shot(opened.reel.picture(key.at, key.rate, key.room));
        if (!isPicture(key.file) && shot.image.isOpaque()) {
          opaque.add(key.file);
        } else {
          opaque.remove(key.file);
        }
        return Optional.of(keep(key, shot));
      } catch (FootageException broken) {
        opened.reel.close();
        reels.put(key.file, new Opened(null));
        opaque.remove(key.file);
        return Optional.empty();
      }
    }
  }

  private static @Nullable FootageReader openOrNull(Path file) {
    try {
      return open(file);
    } catch (FootageException missing) {
      return null;
    }
  }

  private Shot keep(Key key, Shot shot) {
    synchronized (shots) {
      shot.lookers++;
      shots.put(key, shot);
      bytes += shot.bytes();
      var oldest = shots.entrySet().iterator();
      while (bytes > mostBytes && shots.size() > 1) {
        Shot old = oldest.next().getValue();
        oldest.remove();
        drop(old);
      }
      return shot;
    }
  }

  private void drop(Shot shot) {
    bytes -= shot.bytes();
    shot.kept = false;
    if (shot.lookers == 0) {
      shot.image.close();
    }
  }

  private void leave(Shot shot) {
    synchronized (shots) {
      shot.lookers--;
      if (shot.lookers == 0 && !shot.kept) {
        shot.image.close();
      }
    }
  }

  @Override
  public void close() {
    closed = true;
    ahead.shutdownNow();
    synchronized (decoding) {
      reels.values().stream().filter(one -> one.reel != null).forEach(one -> one.reel.close());
      reels.clear();
    }
    synchronized (shots) {
      shots.values().forEach(this::drop);
      shots.clear();
    }
  }
}
