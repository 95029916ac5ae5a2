package dynamorph.app.files.recovery;

import dynamorph.app.message.Messages;
import dynamorph.app.session.Desk;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.formats.journal.Journal;
import dynamorph.formats.journal.Journals;
import dynamorph.formats.journal.Left;
import dynamorph.formats.journal.Moment;
import dynamorph.model.style.Style;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import javafx.application.Platform;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Writes what is worked on into a journal, beside the interface thread and within half a second.
 * The journal goes when the work is settled: saved, or given up by the person.
 */
public final class JournalKeeper {
  private static final Logger LOG = LoggerFactory.getLogger(JournalKeeper.class);

  /** How long changes are gathered, in milliseconds. */
  private static final long GATHERING = 250;

  /** How long to wait until it is tried again, in milliseconds. */
  private static final long AGAIN = 5_000;

  /** How long a process that is told to end waits for the disk, in seconds. */
  private static final long LAST_WAIT = 3;

  private final Workspace workspace;
  private final Journals journals;
  private final ScheduledExecutorService worker =
      Executors.newSingleThreadScheduledExecutor(work -> {
        Thread thread = new Thread(work, "dynamorph-journal");
        thread.setDaemon(true);
        return thread;
      });
  private final AtomicBoolean waiting = new AtomicBoolean();
  private final Thread lastWord = new Thread(this::flush, "dynamorph-journal-last");

  /** What shall be noted next; written by the interface thread alone. */
  private volatile Moment latest;

  // of the worker alone
  private Optional<Journal> journal = Optional.empty();
  private boolean failing;
  private boolean ended;

  public JournalKeeper(Workspace workspace, Journals journals) {
    this.workspace = workspace;
    this.journals = journals;
    this.latest = present();
    workspace.historyProperty().addListener((_, _, _) -> changed());
    workspace.fileProperty().addListener((_, _, _) -> changed());
    workspace.attempts().presentProperty().addListener((_, _, _) -> changed());
    workspace.openedProperty().addListener((_, _, _) -> begin());
    // a process that is told to end by the system has no other time for it
    Runtime.getRuntime().addShutdownHook(lastWord);
  }

  private Moment present() {
    Optional<Style> draft =
        workspace.attempts().present().desk().filter(Desk::isChanged).map(Desk::draft);
    return new Moment(workspace.historyProperty().get(), workspace.fileProperty().get(), draft);
  }

  private void changed() {
    latest = present();
    writeSoon(GATHERING);
  }

  private void writeSoon(long delay) {
    if (waiting.compareAndSet(false, true)) {
      try {
        worker.schedule(this::write, delay, TimeUnit.MILLISECONDS);
      } catch (RejectedExecutionException closing) {
        // the window is closed, and its work settled
      }
    }
  }

  /** Another project is open: what was open before is settled. */
  private void begin() {
    latest = present();
    run(() -> {
      discard();
      write();
    });
  }

  private void run(Runnable work) {
    try {
      worker.execute(work);
    } catch (RejectedExecutionException closing) {
      // the window is closed, and its work settled
    }
  }

  private void write() {
    waiting.set(false);
    if (ended) {
      // a change that was still waiting when the window was closed
      return;
    }
    Moment moment = latest;
    try {
      if (journal.isEmpty()) {
        if (!moment.isUnsaved()) {
          return;
        }
        journal = Optional.of(journals.begin());
      }
      journal.get().note(moment);
      failing = false;
    } catch (IOException | RuntimeException failed) {
      LOG.error("the journal cannot be written", failed);
      writeSoon(AGAIN);
      if (!failing) {
        failing = true;
        Platform.runLater(() ->
            workspace.tell(
                Notice.problem(
                    Messages.of("journal-keeper.cannot-be-kept", Messages.reason(failed)))));
      }
    }
  }

  private void discard() {
    journal.ifPresent(journals::discard);
    journal = Optional.empty();
  }

  /** Writes what is not written yet, and waits for the disk. */
  public void flush() {
    Future<?> written;
    try {
      written = worker.submit(this::write);
    } catch (RejectedExecutionException closed) {
      return;
    }
    try {
      written.get(LAST_WAIT, TimeUnit.SECONDS);
    } catch (InterruptedException ended) {
      Thread.currentThread().interrupt();
    } catch (TimeoutException | java.util.concurrent.ExecutionException slow) {
      LOG.error("the journal was not written in time", slow);
    }
  }

  /** Finds work that was left, and what was put aside; told on the interface thread. */
  void find(Consumer<Found> told) {
    run(() -> {
      journals.tidy();
      Found found = new Found(journals.left(), journals.aside());
      Platform.runLater(() -> told.accept(found));
    });
  }

  /**
   * Work of earlier processes.
   *
   * @param left what was never settled
   * @param aside what was put aside
   */
  record Found(List<Left> left, List<Left> aside) {}

  /** Opens work as it was left; its old journal goes once the new one has it. */
  void open(Left left) {
    Moment moment = left.moment();
    workspace.restore(moment.history(), moment.file(), moment.draft());
    run(() -> {
      write();
      if (!failing) {
        journals.discard(left);
      }
    });
  }

  void putAside(Left left, Runnable done) {
    run(() -> {
      try {
        journals.putAside(left);
        Platform.runLater(done);
      } catch (IOException failed) {
        Platform.runLater(() -> workspace.tell(Notice.problem(Messages.reason(failed))));
      }
    });
  }

  void delete(Left left, Runnable done) {
    run(() -> {
      journals.discard(left);
      Platform.runLater(done);
    });
  }

  /** Ends it; what is open is settled, so nothing of it is needed any more. */
  public void close() {
    try {
      Runtime.getRuntime().removeShutdownHook(lastWord);
    } catch (IllegalStateException ending) {
      // the process ends: the hook may have run
    }
    run(() -> {
      discard();
      ended = true;
    });
    worker.shutdown();
    try {
      if (!worker.awaitTermination(LAST_WAIT, TimeUnit.SECONDS)) {
        LOG.error("the journal was not closed in time");
      }
    } catch (InterruptedException ended) {
      Thread.currentThread().interrupt();
    }
  }
}
