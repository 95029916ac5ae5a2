package dynamorph.app.render;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dynamorph.paint.Pixels;
import java.time.Duration;
import java.util.Map;
import java.util.WeakHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.image.PixelBuffer;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Draws small pictures off the interface thread, and remembers them by what they depend on. */
public final class PictureService implements AutoCloseable {
  private static final Logger LOG = LoggerFactory.getLogger(PictureService.class);

  /** How long small pictures wait for the first large one. */
  private static final Duration LONGEST_WAIT = Duration.ofSeconds(3);

  /** Pictures kept: some screens full of them. */
  private static final int KEPT = 2000;

  private final ExecutorService worker =
      Executors.newSingleThreadExecutor(FrameService.daemon("pictures"));
  private final Cache<Object, Image> known = Caffeine.newBuilder().maximumSize(KEPT).build();
  private final Map<ImageView, Object> wanted = new WeakHashMap<>();
  private final AtomicInteger pending = new AtomicInteger();
  private final CountDownLatch begun = new CountDownLatch(1);

  public PictureService() {
    worker.execute(() -> {
      try {
        if (!begun.await(LONGEST_WAIT.toMillis(), TimeUnit.MILLISECONDS)) {
          LOG.debug("small pictures are drawn before the first large one");
        }
      } catch (InterruptedException closed) {
        Thread.currentThread().interrupt();
      }
    });
  }

  /** Begins to draw: what the window is opened for comes first, and has the processors alone. */
  public void begin() {
    begun.countDown();
  }

  /**
   * Puts a picture into a view: at once if it is known, else when it is drawn, unless something
   * else is wanted there by then. To be called on the interface thread.
   *
   * @param key everything that the picture depends on
   */
  public void show(ImageView view, Object key, Supplier<Pixels> draw) {
    if (key.equals(wanted.put(view, key))) {
      return;
    }
    Image ready = known.getIfPresent(key);
    if (ready != null) {
      view.setImage(ready);
      return;
    }
    if (worker.isShutdown()) {
      return;
    }
    pending.incrementAndGet();
    worker.execute(() -> {
      try {
        Image drawn = known.get(key, _ -> image(draw.get()));
        Platform.runLater(() -> {
          if (key.equals(wanted.get(view))) {
            view.setImage(drawn);
          }
        });
      } catch (RuntimeException failed) {
        LOG.error("a picture could not be drawn", failed);
      } finally {
        Platform.runLater(pending::decrementAndGet);
      }
    });
  }

  /** How many pixels of the screen a unit of the window has where a node is shown; 1 if nowhere. */
  public static double scaleOf(Node node) {
    return node.getScene() == null || node.getScene().getWindow() == null
        ? 1
        : node.getScene().getWindow().getOutputScaleX();
  }

  /** Whether no picture waits to be drawn. */
  public boolean isIdle() {
    return pending.get() == 0;
  }

  private static Image image(Pixels pixels) {
    return new WritableImage(
        new PixelBuffer<>(
            pixels.width(), pixels.height(), pixels.bytes(), PixelFormat.getByteBgraPreInstance()));
  }

  @Override
  public void close() {
    worker.shutdownNow();
  }
}
