package dynamorph.paint.layer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;

class CoatPrefetchTest {
  @Test
  void eachPieceIsDoneOnceAndBeforeItsCoat() {
    for (int turn = 0; turn < 200; turn++) {
      CoatPrefetch.Builder builder = new CoatPrefetch.Builder();
      AtomicInteger[] done = new AtomicInteger[9];
      for (int rank = 0; rank < done.length; rank++) {
        AtomicInteger own = new AtomicInteger();
        done[rank] = own;
        builder.add(rank, rank % 4, own::incrementAndGet);
      }
      CoatPrefetch ahead = builder.begin();
      for (int rank = 0; rank < done.length; rank++) {
        ahead.finish(rank);
        assertThat(done[rank]).hasValue(1);
      }
      ahead.close();
      assertThat(done).allMatch(count -> count.get() == 1);
    }
  }

  @Test
  void whatOthersAreStillDoingIsWaitedFor() throws InterruptedException {
    CountDownLatch begun = new CountDownLatch(1);
    ConcurrentLinkedQueue<String> order = new ConcurrentLinkedQueue<>();
    CoatPrefetch.Builder builder = new CoatPrefetch.Builder();
    builder.add(0, 0, () -> order.add("short"));
    builder.add(
        1,
        9,
        () -> {
          begun.countDown();
          order.add("long");
        });
    CoatPrefetch ahead = builder.begin();
    if (Runtime.getRuntime().availableProcessors() > 1) {
      begun.await();
    }
    ahead.finish(1);
    order.add("painted");
    ahead.close();
    assertThat(order).containsSubsequence("long", "painted");
  }

  @Test
  void closingWaitsForWhatIsBeingDoneAndLeavesTheRest() throws InterruptedException {
    CountDownLatch begun = new CountDownLatch(1);
    AtomicInteger done = new AtomicInteger();
    CoatPrefetch.Builder builder = new CoatPrefetch.Builder();
    builder.add(
        0,
        9,
        () -> {
          begun.countDown();
          LockSupport.parkNanos(30_000_000);
          done.incrementAndGet();
        });
    builder.add(1, 0, () -> done.addAndGet(100));
    CoatPrefetch ahead = builder.begin();
    boolean helped = Runtime.getRuntime().availableProcessors() > 1;
    if (helped) {
      begun.await();
    }
    ahead.close();
    ahead.close();
    assertThat(done.get() % 100).isEqualTo(helped ? 1 : 0);
    int after = done.get();
    LockSupport.parkNanos(40_000_000);
    assertThat(done).hasValue(after);
  }

  /** Whoever is first to what was not begun, closing again finds nothing to wait for. */
  @Test
  @Timeout(20)
  void closingAgainNeverWaits() {
    for (int round = 0; round < 200; round++) {
      CoatPrefetch.Builder builder = new CoatPrefetch.Builder();
      for (int work = 0; work < 6; work++) {
        builder.add(work, work, () -> {});
      }
      CoatPrefetch ahead = builder.begin();
      ahead.close();
      ahead.close();
    }
  }

  @Test
  void whatFailsIsTold() {
    CoatPrefetch.Builder builder = new CoatPrefetch.Builder();
    builder.add(
        0,
        1,
        () -> {
          throw new IllegalArgumentException("no such edge");
        });
    builder.add(1, 0, () -> {});
    CoatPrefetch ahead = builder.begin();
    assertThatThrownBy(() -> ahead.finish(0))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessage("no such edge");
  }
}
