package dynamorph.app.files.versions;

import dynamorph.app.message.Messages;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.formats.versions.Versions;
import dynamorph.formats.versions.Versions.Version;
import dynamorph.model.Project;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.time.InstantSource;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.RejectedExecutionException;
import java.util.function.Consumer;
import javafx.application.Platform;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Keeps what is saved, and finds it again, beside the interface thread. */
public final class VersionKeeper implements AutoCloseable {
  private static final Logger LOG = LoggerFactory.getLogger(VersionKeeper.class);

  /** Whether the person wants saved states to be kept. */
  public interface Setting {
    boolean isOn();

    void setOn(boolean on);
  }

  private final Workspace workspace;
  private final Versions versions;
  private final Setting setting;
  private final InstantSource clock;
  private volatile Runnable kept = () -> {};
  private final ExecutorService worker =
      Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "dynamorph-versions");
        thread.setDaemon(true);
        return thread;
      });

  public VersionKeeper(
      Workspace workspace, Versions versions, Setting setting, InstantSource clock) {
    this.workspace = workspace;
    this.versions = versions;
    this.setting = setting;
    this.clock = clock;
  }

  /** Told on the interface thread when a saved state is kept. */
  void onKept(Runnable told) {
    kept = told;
  }

  Setting setting() {
    return setting;
  }

  /**
   * Keeps what was saved. What lay in the file before is kept first if nothing of it is yet, so
   * that there is a way back behind the first time. Any thread.
   */
  public void saved(Path file, Optional<Version> before, Project project) {
    Instant now = clock.instant();
    run(() -> {
      if (!setting.isOn()) {
        return;
      }
      try {
        if (before.isPresent() && versions.of(file).isEmpty()) {
          versions.keep(file, before.get().project(), before.get().time());
        }
        versions.keep(file, project, now);
        Platform.runLater(kept);
      } catch (IOException full) {
        // the file itself is saved, which is what counts
        LOG.warn("a saved version could not be kept", full);
      }
    });
  }

  /** Finds the saved states of a file, the latest first, and hands them to the interface thread. */
  void find(Path file, Consumer<List<Version>> found) {
    run(() -> {
      try {
        List<Version> all = versions.of(file).reversed();
        Platform.runLater(() -> found.accept(all));
      } catch (IOException unreadable) {
        tell(unreadable);
      }
    });
  }

  /** Forgets all saved states of a file. */
  void forget(Path file, Runnable then) {
    run(() -> {
      try {
        versions.forget(file);
        Platform.runLater(then);
      } catch (IOException locked) {
        tell(locked);
      }
    });
  }

  private void tell(IOException problem) {
    Platform.runLater(() -> workspace.tell(Notice.problem(Messages.reason(problem))));
  }

  private void run(Runnable work) {
    try {
      worker.execute(work);
    } catch (RejectedExecutionException closing) {
      // the window is closed
    }
  }

  /** What was asked for is still done. */
  @Override
  public void close() {
    worker.shutdown();
  }
}
