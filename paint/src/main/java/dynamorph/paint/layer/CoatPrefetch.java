package dynamorph.paint.layer;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ForkJoinPool;
import java.util.concurrent.atomic.AtomicBoolean;

/**
 * What coats need, worked out on other threads while the coats below are painted. Whoever comes
 * first does a piece of work, and nobody does it twice: without a thread to help, each is done when
 * its coat is painted.
 */
final class CoatPrefetch implements AutoCloseable {
  /** Nothing to be worked out. */
  static final CoatPrefetch NOTHING = new CoatPrefetch(List.of());

  private final List<Work> works;

  /** Something worked out for a coat, on any thread. */
  private static final class Work {
    private final int rank;
    private final int effort;
    private final Runnable task;
    private final AtomicBoolean taken = new AtomicBoolean();
    private final CompletableFuture<Void> done = new CompletableFuture<>();

    Work(int rank, int effort, Runnable task) {
      this.rank = rank;
      this.effort = effort;
      this.task = task;
    }

    int effort() {
      return effort;
    }

    boolean take() {
      return taken.compareAndSet(false, true);
    }

    void doUnlessTaken() {
      if (take()) {
        try {
          task.run();
          done.complete(null);
        } catch (RuntimeException | Error failed) {
          done.completeExceptionally(failed);
        }
      }
    }
  }

  private CoatPrefetch(List<Work> works) {
    this.works = works;
  }

  /** Gathers what is to be worked out. */
  static final class Builder {
    private final List<Work> works = new ArrayList<>();

    /**
     * @param rank of the coat that needs it
     * @param effort how long it takes, roughly
     */
    void add(int rank, int effort, Runnable work) {
      works.add(new Work(rank, effort, work));
    }

    int size() {
      return works.size();
    }

    /** Lets other threads begin: with the longest, so that the others fill the time beside it. */
    CoatPrefetch begin() {
      CoatPrefetch ahead = new CoatPrefetch(works);
      List<Work> longestFirst =
          works.stream().sorted(Comparator.comparingInt(Work::effort).reversed()).toList();
      int helpers = Math.min(works.size(), Runtime.getRuntime().availableProcessors()) - 1;
      for (int helper = 0; helper < helpers; helper++) {
        ForkJoinPool.commonPool().execute(() -> longestFirst.forEach(Work::doUnlessTaken));
      }
      return ahead;
    }
  }

  /** Sees to it that what a coat needs is there. */
  void finish(int rank) {
    for (Work work : works) {
      if (work.rank == rank) {
        work.doUnlessTaken();
        try {
          work.done.join();
        } catch (CompletionException failed) {
          throw failed.getCause() instanceof RuntimeException cause ? cause : failed;
        }
      }
    }
  }

  /** Leaves what was not begun, and waits for what was. */
  @Override
  public void close() {
    for (Work work : works) {
      if (work.take()) {
        work.done.complete(null); // nobody waits for what is left, nor does closing again
      } else {
        work.done.exceptionally(_ -> null).join();
      }
    }
  }
}
