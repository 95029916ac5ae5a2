package dynamorph.paint.layer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

class AheadTest {
  @Test
  void eachPieceIsDoneOnceAndBeforeItsCoat() {
    for (int turn = 0; turn < 200; turn++) {
      Ahead.Builder builder = new Ahead.Builder();
      AtomicInteger[] done = new AtomicInteger[9];
      for (int rank = 0; rank < done.length; rank++) {
        AtomicInteger own = new AtomicInteger();
        done[rank] = own;
        builder.add(rank, rank % 4, own::incrementAndGet);
      }
      Ahead ahead = builder.begin();
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
    Ahead.Builder builder = new Ahead.Builder();
    builder.add(0, 0, () -> order.add("short"));
    builder.add(
        1,
        9,
        () -> {
          begun.countDown();
          order.add("long");
        });
    Ahead ahead = builder.begin();
    if (Runtime.getRuntime().availableProcessors() > 1) {
      begun.await();
    }
    ahead.finish(1);
    order.add("painted");
    ahead.close();
    assertThat(order).containsSubsequence("long", "painted");
  }

  @Test
  void whatFailsIsTold() {
    Ahead.Builder builder = new Ahead.Builder();
    builder.add(
        0,
        1,
        () -> {
          throw new IllegalArgumentException("no such edge");
        });
    builder.add(1, 0, () -> {});
    Ahead ahead = builder.begin();
    assertThatThrownBy(() -> ahead.finish(0))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessage("no such edge");
  }
}
