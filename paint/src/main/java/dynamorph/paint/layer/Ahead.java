package dynamorph.paint.layer;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ForkJoinPool;
import java.util.concurrent.FutureTask;

/**
 * What coats need, worked out on other threads while the coats below are painted. Whoever comes
 * first does a piece of work, and nobody does it twice: without a thread to help, each is done when
 * its coat is painted.
 */
final class Ahead {
  /** Nothing to be worked out. */
  static final Ahead NOTHING = new Ahead(List.of());

  private final List<Work> works;

  /**
   * Something worked out for a coat, on any thread.
   *
   * @param effort how long it takes, roughly
   */
  private record Work(int rank, int effort, FutureTask<Void> task) {}

  private Ahead(List<Work> works) {
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
      works.add(new Work(rank, effort, new FutureTask<>(work, null)));
    }

    int size() {
      return works.size();
    }

    /** Lets other threads begin: with the longest, so that the others fill the time beside it. */
    Ahead begin() {
      Ahead ahead = new Ahead(works);
      List<Work> longestFirst =
          works.stream().sorted(Comparator.comparingInt(Work::effort).reversed()).toList();
      int helpers = Math.min(works.size(), Runtime.getRuntime().availableProcessors()) - 1;
      for (int helper = 0; helper < helpers; helper++) {
        ForkJoinPool.commonPool().execute(() -> longestFirst.forEach(work -> work.task.run()));
      }
      return ahead;
    }
  }

  /** Sees to it that what a coat needs is there. */
  void finish(int rank) {
    for (Work work : works) {
      if (work.rank == rank) {
        work.task.run();
        await(work.task);
      }
    }
  }

  /** Leaves what was not begun, and waits for the rest. */
  void close() {
    for (Work work : works) {
      if (!work.task.cancel(false)) {
        await(work.task);
      }
    }
  }

  private static void await(FutureTask<Void> task) {
    try {
      task.get();
    } catch (ExecutionException failed) {
      if (failed.getCause() instanceof RuntimeException cause) {
        throw cause;
      }
      throw new IllegalStateException(failed.getCause());
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException("Painting was interrupted.", stopped);
    }
  }
}
