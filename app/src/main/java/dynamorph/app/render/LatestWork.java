package dynamorph.app.render;

import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import javafx.application.Platform;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Works on requests on a thread of its own, one after another; of those that wait only the latest
 * is worked on. Requests are made on the interface thread.
 */
public final class LatestWork<R> implements AutoCloseable {
  private static final Logger LOG = LoggerFactory.getLogger(LatestWork.class);

  private final String name;
  private final Consumer<R> work;
  private final Consumer<R> failed;
  private final ExecutorService worker;
  private final AtomicReference<@Nullable R> next = new AtomicReference<>();
  private final AtomicInteger pending = new AtomicInteger();

  /**
   * @param name of the thread
   * @param work done beside the interface thread; what it shows it hands over itself
   * @param failed told on the interface thread when work broke off
   */
  public LatestWork(String name, Consumer<R> work, Consumer<R> failed) {
    this.name = name;
    this.work = work;
    this.failed = failed;
    this.worker = Executors.newSingleThreadExecutor(FrameService.daemon(name));
  }

  /** Asks for work; what waits and has not begun is given up for it. */
  public void ask(R request) {
    if (!worker.isShutdown() && next.getAndSet(request) == null) {
      pending.incrementAndGet();
      worker.execute(this::run);
    }
  }

  private void run() {
    @Nullable R request = next.getAndSet(null);
    try {
      if (request != null) {
        work.accept(request);
      }
    } catch (RuntimeException broken) {
      LOG.error("{} broke off", name, broken);
      if (request != null) {
        R lost = request;
        Platform.runLater(() -> failed.accept(lost));
      }
    } finally {
      // after what the work handed over
      Platform.runLater(pending::decrementAndGet);
    }
  }

  /** Whether nothing is left to do, and all that was done is shown. */
  public boolean isIdle() {
    return pending.get() == 0;
  }

  @Override
  public void close() {
    worker.shutdownNow();
  }
}
