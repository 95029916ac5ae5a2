package dynamorph.app.background;

import dynamorph.model.Project;
import dynamorph.model.value.Rgba;
import dynamorph.paint.Pixels;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.stage.StageRenderer;
import dynamorph.paint.stage.View;
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

  /** One that shows, one on its way to the interface thread, one in the making. */
  private static final int BUFFERS = 3;

  private record Request(
      Project project, View view, Rgba surround, boolean outlines, Studio studio) {}

  /** Pixels that the toolkit shows without copying. */
  private record Buffer(
      Pixels pixels, PixelBuffer<java.nio.ByteBuffer> shared, WritableImage image) {
    static Buffer of(int width, int height) {
      Pixels pixels = Pixels.blank(width, height);
      PixelBuffer<java.nio.ByteBuffer> shared =
          new PixelBuffer<>(width, height, pixels.bytes(), PixelFormat.getByteBgraPreInstance());
      return new Buffer(pixels, shared, new WritableImage(shared));
    }
  }

  private final ExecutorService worker = Executors.newSingleThreadExecutor(daemon("frames"));
  private final ExecutorService helpers;
  private final int helperCount;
  private final Consumer<Frame> show;
  private final AtomicReference<Request> next = new AtomicReference<>();
  private final List<Buffer> buffers = new ArrayList<>();
  private int nextBuffer;
  private Studio studio;
  private StageRenderer renderer;
  private Scene scene;
  private volatile boolean busy;

  /**
   * @param show takes each finished frame, on the interface thread
   */
  public FrameService(Consumer<Frame> show) {
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

  /**
   * Asks for a frame; a request that waits is replaced.
   *
   * @param outlines whether bare geometry is wanted instead of paint
   */
  public void request(Studio with, Project project, View view, Rgba surround, boolean outlines) {
    boolean waiting = next.getAndSet(new Request(project, view, surround, outlines, with)) != null;
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
    if (request.studio != studio) {
      studio = request.studio;
      scene = null;
      if (renderer != null) {
        renderer.close();
      }
      renderer = new StageRenderer(studio.maker().painter(), helpers, helperCount);
    }
    scene =
        scene == null
            ? studio.maker().make(request.project)
            : studio.maker().make(request.project, scene);
    renderer.showOutlines(request.outlines);
    Buffer buffer = buffer(request.view.width(), request.view.height());
    long start = System.nanoTime();
    boolean complete =
        renderer.render(
            scene,
            request.view,
            request.surround,
            buffer.pixels,
            () -> next.get() != null && System.nanoTime() - start > PATIENCE_NANOS);
    if (complete) {
      Scene shown = scene;
      Platform.runLater(() -> {
        buffer.shared.updateBuffer(_ -> null);
        show.accept(new Frame(shown, request.view, buffer.image));
      });
      // what is out of sight is set once the frame is on its way
      shown.setRest(() -> next.get() != null);
    }
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
  }
}
