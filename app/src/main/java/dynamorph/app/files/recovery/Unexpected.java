package dynamorph.app.files.recovery;

import dynamorph.app.message.Messages;
import dynamorph.app.session.Notice;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.util.ArrayDeque;
import java.util.Collections;
import java.util.Deque;
import java.util.IdentityHashMap;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * What happens when something goes wrong that nobody expected: a report goes to the log, the person
 * is told in a sentence, and the work goes on. When it happens again and again, a copy is offered
 * to be saved.
 */
public final class Unexpected implements Thread.UncaughtExceptionHandler {
  private static final Logger LOG = LoggerFactory.getLogger(Unexpected.class);
  private static final Duration SOON = Duration.ofMinutes(1);
  private static final int OFTEN = 3;
  private static final int MOST_CAUSES = 8;

  private final Supplier<String> doing;
  private final Consumer<Notice> told;
  private final Runnable saveCopy;
  private final InstantSource clock;
  private final Deque<Instant> lately = new ArrayDeque<>();

  /**
   * @param doing the id of the action that was run last
   * @param told takes what the person is told, on whichever thread something failed
   * @param saveCopy asks where to save the project
   */
  public Unexpected(
      Supplier<String> doing, Consumer<Notice> told, Runnable saveCopy, InstantSource clock) {
    this.doing = doing;
    this.told = told;
    this.saveCopy = saveCopy;
    this.clock = clock;
  }

  @Override
  public void uncaughtException(Thread thread, Throwable failure) {
    String report = report(thread.getName(), failure);
    LOG.error(report);
    told.accept(notice(failure));
  }

  private synchronized Notice notice(Throwable failure) {
    Instant now = clock.instant();
    lately.addLast(now);
    while (lately.getFirst().isBefore(now.minus(SOON))) {
      lately.removeFirst();
    }
    String kind = failure.getClass().getSimpleName();
    if (lately.size() < OFTEN) {
      return Notice.problem(Messages.of("unexpected.something-went-wrong", kind));
    }
    return new Notice(
        Messages.of("unexpected.again-and-again", kind),
        true,
        java.util.List.of(new Notice.Offer.Press(Messages.of("unexpected.save-a-copy"), saveCopy)));
  }

  /**
   * Where and in what something failed. The messages of exceptions are left out, since they may
   * hold words of the project.
   */
  String report(String thread, Throwable failure) {
    StringBuilder report = new StringBuilder("unexpected");
    line(report, "action", doing.get());
    line(report, "thread", thread);
    for (String property : new String[] {"java.runtime.version", "javafx.version", "os.name"}) {
      line(report, property, System.getProperty(property, ""));
    }
    Set<Throwable> seen = Collections.newSetFromMap(new IdentityHashMap<>());
    for (Throwable cause = failure;
        cause != null && seen.size() < MOST_CAUSES && seen.add(cause);
        cause = cause.getCause()) {
      report.append('\n').append(cause.getClass().getName());
      for (StackTraceElement frame : cause.getStackTrace()) {
        report.append("\n\tat ").append(frame);
      }
    }
    return report.toString();
  }

  private static void line(StringBuilder report, String what, String value) {
    report.append('\n').append(what).append(": ").append(value);
  }
}
