package dynamorph.paint.layer;

import static java.util.Objects.requireNonNull;

import io.github.humbleui.skija.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.function.Supplier;

/**
 * Edges of one layout that took some time to work out. They are kept as bytes of the heap, so that
 * nothing outside of it outlives its use. Safe on any thread; what one works out, others wait for.
 */
final class OutlineCache {
  private static final int MOST = 64;

  private final Map<Object, CompletableFuture<byte[]>> known =
      new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Object, CompletableFuture<byte[]>> eldest) {
          return size() > MOST;
        }
      };

  /**
   * The edge for a key, worked out if it is not known. The caller closes it.
   *
   * @param key by which it is told from other edges of the layout
   */
  Path get(Object key, Supplier<Path> maker) {
    CompletableFuture<byte[]> own = new CompletableFuture<>();
    CompletableFuture<byte[]> other;
    synchronized (known) {
      other = known.putIfAbsent(key, own);
    }
    if (other != null) {
      return requireNonNull(Path.makeFromBytes(other.join()));
    }
    try {
      Path made = maker.get();
      own.complete(made.serializeToBytes());
      return made;
    } catch (RuntimeException failed) {
      synchronized (known) {
        known.remove(key, own);
      }
      own.completeExceptionally(failed);
      throw failed;
    }
  }
}
