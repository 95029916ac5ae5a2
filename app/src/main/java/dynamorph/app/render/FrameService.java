package dynamorph.app.render;

import dynamorph.model.Asset;
import dynamorph.model.Project;
import dynamorph.model.timeline.Time;
import dynamorph.model.value.Rgba;
import dynamorph.paint.Pixels;
import dynamorph.paint.film.FootagePainter;
import dynamorph.paint.film.MediaSource;
import dynamorph.paint.film.ProjectStills;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.stage.StageRenderer;
import dynamorph.paint.stage.View;
import java.nio.ByteOrder;
import java.nio.IntBuffer;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.scene.image.PixelBuffer;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Makes frames of the stage on a thread of its own and hands them to the interface thread. Requests
 * that come while a frame is being made replace each other, so the newest is always the next.
 */
public final class FrameService implements AutoCloseable {
  private static final Logger LOG = LoggerFactory.getLogger(FrameService.class);

  /**
   * A frame in the making is given up for a newer one only when it takes longer than this, so that
   * some always come.
   */
  private static final long PATIENCE_NANOS = 250_000_000;

  /** Titles that are seen so soon are painted while there is time. */
  private static final Time AHEAD = Time.ofMillis(3000);

  /** Texts of a film that are painted ahead. */
  private static final int MOST_AHEAD = 60;

  /** One that shows, one on its way to the interface thread, one in the making. */
  private static final int BUFFERS = 3;

  private record Request(
      Project project,
      Scene.Sight sight,
      View view,
      Rgba surround,
      boolean outlines,
      boolean playing,
      Studio studio) {}

  /** Pixels that the toolkit shows; as whole numbers, which it need not put together from bytes. */
  private record Buffer(Pixels pixels, PixelBuffer<IntBuffer> shared, WritableImage image) {
    static Buffer of(int width, int height) {
      Pixels pixels = Pixels.blank(width, height);
      IntBuffer numbers = pixels.bytes().order(ByteOrder.LITTLE_ENDIAN).asIntBuffer();
      PixelBuffer<IntBuffer> shared =
          new PixelBuffer<>(width, height, numbers, PixelFormat.getIntArgbPreInstance());
      return new Buffer(pixels, shared, new WritableImage(shared));
    }
  }

  private final ExecutorService worker = Executors.newSingleThreadExecutor(daemon("frames"));
  private final ExecutorService helpers;
  private final ExecutorService ahead = Executors.newSingleThreadExecutor(patient("ahead"));
  private final int helperCount;
  private final Consumer<Frame> show;
  private final AtomicReference<@Nullable Request> next = new AtomicReference<>();
  private final List<Buffer> buffers = new ArrayList<>();
  private int nextBuffer;
  private @Nullable Studio studio;
  private @Nullable StageRenderer renderer;
  private @Nullable Scene scene;
  private @Nullable Scene still;
  private @Nullable Scene stillOf;
  private @Nullable FootagePainter footage;
  private List<Asset> footageAssets = List.of();
  private final MediaSource media;
  private volatile boolean busy;

  /**
   * @param media gives the pictures under films that the project does not carry
   * @param show takes each finished frame, on the interface thread
   */
  public FrameService(MediaSource media, Consumer<Frame> show) {
    this.media = media;
    this.show = show;
    this.helperCount = Math.max(1, Runtime.getRuntime().availableProcessors() - 1);
    this.helpers = Executors.newFixedThreadPool(helperCount, daemon("tiles"));
  }

  /** Makes threads that do not hold up the end of the program. */
  public static java.util.concurrent.ThreadFactory daemon(String name) {
    return work -> {
      Thread thread = new Thread(work, "dynamorph-" + name);
      thread.setDaemon(true);
      return thread;
    };
  }

  /** Makes threads that leave the machine to others. */
  private static java.util.concurrent.ThreadFactory patient(String name) {
    return work -> {
      Thread thread = daemon(name).newThread(work);
      thread.setPriority(Thread.MIN_PRIORITY);
      return thread;
    };
  }

  /**
   * Asks for a frame; a request that waits is replaced.
   *
   * @param sight the artboards, or a film at a moment
   * @param outlines whether bare geometry is wanted instead of paint
   * @param playing whether the next frame is due in a moment, so that only what is needed is done
   */
  public void request(
      Studio with,
      Project project,
      Scene.Sight sight,
      View view,
      Rgba surround,
      boolean outlines,
      boolean playing) {
    Request request = new Request(project, sight, view, surround, outlines, playing, with);
    boolean waiting = next.getAndSet(request) != null;
    if (!waiting && !worker.isShutdown()) {
      worker.execute(this::work);
    }
  }

  /** Whether nothing waits and nothing is being made. */
  public boolean isIdle() {
    return next.get() == null && !busy;
  }

  private void work() {
    busy = true;
    Request request = next.getAndSet(null);
    try {
      if (request != null) {
        make(request);
      }
    } catch (RuntimeException failed) {
      LOG.error("a frame could not be made", failed);
    } finally {
      busy = false;
    }
  }

  private void make(Request request) {
    StageRenderer renderer = renderer(request.studio);
    Scene before = scene;
    Scene made =
        before == null
            ? request.studio.maker().make(request.project)
            : request.studio.maker().make(request.project, before);
    scene = made;
    Scene seen = inSight(request, made);
    renderer.showOutlines(request.outlines);
    renderer.setFootage(footage(request.project));
    Buffer buffer = buffer(request.view.width(), request.view.height());
    long start = System.nanoTime();
    boolean complete =
        renderer.render(
            seen,
            request.view,
            request.surround,
            buffer.pixels,
            () -> next.get() != null && System.nanoTime() - start > PATIENCE_NANOS);
    if (complete) {
      Platform.runLater(() -> {
        buffer.shared.updateBuffer(_ -> null);
        show.accept(new Frame(seen, made, request.sight, request.view, buffer.image));
      });
      // what is out of sight is set once the frame is on its way
      if (request.sight instanceof Scene.Sight.Film film) {
        renderer.prepare(made.soon(film, AHEAD), request.view, MOST_AHEAD, ahead);
        // while the film stands still, what a seek may show is painted too
        if (!request.playing) {
          renderer.prepare(made.near(film), request.view, MOST_AHEAD, ahead);
        }
      }
      made.setRest(() -> next.get() != null);
    }
  }

  /** Of the artboards the same scene stays in sight while nothing changes. */
  private Scene inSight(Request request, Scene made) {
    if (!(request.sight instanceof Scene.Sight.Still)) {
      return made.in(request.sight);
    }
    Scene known = still;
    if (known == null || stillOf != made) {
      known = made.in(request.sight);
      still = known;
      stillOf = made;
    }
    return known;
  }

  /** With other fonts nothing that was made can be used again. */
  private StageRenderer renderer(Studio wanted) {
    StageRenderer known = renderer;
    if (known == null || wanted != studio) {
      if (known != null) {
        known.close();
      }
      known = new StageRenderer(wanted.maker().painter(), helpers, helperCount);
      studio = wanted;
      scene = null;
      renderer = known;
    }
    return known;
  }

  private FootagePainter footage(Project project) {
    FootagePainter known = footage;
    if (known == null || !footageAssets.equals(project.assets())) {
      footageAssets = project.assets();
      known = new FootagePainter(new ProjectStills(footageAssets, media));
      footage = known;
    }
    return known;
  }

  private Buffer buffer(int width, int height) {
    if (buffers.isEmpty()
        || buffers.getFirst().pixels.width() != width
        || buffers.getFirst().pixels.height() != height) {
      buffers.clear();
      for (int index = 0; index < BUFFERS; index++) {
        buffers.add(Buffer.of(width, height));
      }
    }
    nextBuffer = (nextBuffer + 1) % BUFFERS;
    return buffers.get(nextBuffer);
  }

  @Override
  public void close() {
    worker.shutdownNow();
    helpers.shutdownNow();
    ahead.shutdownNow();
  }
}
