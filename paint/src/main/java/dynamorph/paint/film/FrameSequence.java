package dynamorph.paint.film;

import dynamorph.model.timeline.FrameRate;
import dynamorph.paint.message.Messages;
import dynamorph.paint.scene.Scene;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Locale;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.BooleanSupplier;
import java.util.function.LongConsumer;

/**
 * Writes frames of a film as numbered PNG files, on several threads. A frame whose file is there
 * already is left alone, so a sequence that was broken off goes on where it stopped.
 *
 * @param picture draws the frames
 * @param workers how many frames are drawn at once, at least 1
 */
public record FrameSequence(FilmPicture picture, int workers) {
  /**
   * What is written.
   *
   * @param film the artboard of a film with all its texts
   * @param first number of the first frame, from 0
   * @param last number of the last frame, which is written too
   * @param scale pixels per point
   */
  public record Order(
      Scene.Board film, long first, long last, double scale, FilmPicture.Under under) {
    public Order {
      if (first < 0 || last < first) {
        throw new IllegalArgumentException(
            Messages.of("frame-sequence.a-range-of-frames-goes-from", first, last));
      }
    }

    public long count() {
      return last - first + 1;
    }
  }

  /**
   * How a sequence ended.
   *
   * @param written frames written now
   * @param kept frames whose files were there
   * @param complete whether none is missing
   */
  public record Outcome(long written, long kept, boolean complete) {}

  /** The file of a frame: its number with at least six digits. */
  public static Path file(Path folder, long frame) {
    return folder.resolve(String.format(Locale.ROOT, "%06d.png", frame));
  }

  /**
   * Writes the frames into a folder, which is made if it is missing.
   *
   * @param progress is told how many frames are done after each, on any thread
   * @param cancelled asked before each frame
   * @throws IOException if a frame cannot be written; those before it stay
   */
  public Outcome write(Order order, Path folder, LongConsumer progress, BooleanSupplier cancelled)
      throws IOException {
    Files.createDirectories(folder);
    FrameRate rate = order.film().artboard().timeline().orElseThrow().rate();
    AtomicLong next = new AtomicLong(order.first());
    AtomicLong done = new AtomicLong();
    AtomicInteger written = new AtomicInteger();
    Runnable work =
        () -> {
          for (long frame = next.getAndIncrement();
              frame <= order.last() && !cancelled.getAsBoolean();
              frame = next.getAndIncrement()) {
            Path file = file(folder, frame);
            if (!Files.exists(file)) {
              put(file, picture.png(order.film(), rate.at(frame), order.scale(), order.under()));
              written.incrementAndGet();
            }
            progress.accept(done.incrementAndGet());
          }
        };
    try (ExecutorService helpers = Executors.newFixedThreadPool(workers)) {
      CompletableFuture<?>[] all = new CompletableFuture<?>[workers];
      for (int worker = 0; worker < workers; worker++) {
        all[worker] = CompletableFuture.runAsync(work, helpers);
      }
      CompletableFuture.allOf(all).join();
    } catch (CompletionException failed) {
      if (failed.getCause() instanceof UncheckedIOException wrapped) {
        throw wrapped.getCause();
      }
      throw failed;
    }
    return new Outcome(written.get(), done.get() - written.get(), done.get() == order.count());
  }

  /** Beside its place first: a file that is there is whole. */
  private static void put(Path file, byte[] png) {
    try {
      Path beside = file.resolveSibling(file.getFileName() + ".part");
      Files.write(beside, png);
      Files.move(beside, file, StandardCopyOption.REPLACE_EXISTING);
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }
}
