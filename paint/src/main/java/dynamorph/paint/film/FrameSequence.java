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
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Writes frames of a film as numbered PNG files, on several threads. A frame whose file is there
 * already is left alone, so a sequence that was broken off goes on where it stopped; frames of
 * another state of the film are written again.
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
   * @param state tells this state of the film, with all that its frames depend on, from others
   */
  public record Order(
      Scene.Board film,
      long first,
      long last,
      double scale,
      FilmPicture.Under under,
      String state) {
    public Order {
      if (first < 0 || last < first) {
        throw new IllegalArgumentException(
            Messages.of("frame-sequence.a-range-of-frames-goes-from", first, last));
      }
    }

    public long count() {
      return last - first + 1;
    }

    /** What all frames that belong together have in common. */
    private String key() {
      return state + " " + scale + " " + under;
    }
  }

  /**
   * How a sequence ended.
   *
   * @param written frames written now
   * @param kept frames whose files were there
   * @param strangers numbered files beside them that show another state of the film
   * @param complete whether none is missing
   */
  public record Outcome(long written, long kept, long strangers, boolean complete) {}

  /** Says in a folder which state of a film its frames show. */
  private static final String STATE = ".frames";

  private static final Pattern FRAME = Pattern.compile("(\\d{6,})\\.png");

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
    long strangers = makeRoom(order, folder);
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
    return new Outcome(
        written.get(), done.get() - written.get(), strangers, done.get() == order.count());
  }

  /**
   * Takes frames away that are about to be written and show another state: a sequence that is then
   * broken off has none of them. Returns how many others there are.
   */
  private static long makeRoom(Order order, Path folder) throws IOException {
    Path state = folder.resolve(STATE);
    String known = Files.exists(state) ? Files.readString(state) : "";
    if (known.equals(order.key())) {
      return 0;
    }
    long strangers = 0;
    try (Stream<Path> files = Files.list(folder)) {
      for (Path file : files.toList()) {
        Matcher frame = FRAME.matcher(file.getFileName().toString());
        if (frame.matches()) {
          long number = Long.parseLong(frame.group(1));
          if (number >= order.first() && number <= order.last()) {
            Files.delete(file);
          } else {
            strangers++;
          }
        }
      }
    }
    Files.writeString(state, order.key());
    return strangers;
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
