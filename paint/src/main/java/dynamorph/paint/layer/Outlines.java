package dynamorph.paint.layer;

import io.github.humbleui.skija.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Supplier;

/**
 * Edges of one layout that took some time to work out. They are kept as bytes of the heap, so that
 * nothing outside of it outlives its use. Safe on any thread.
 */
final class Outlines {
  private static final int MOST = 64;

  private final Map<Object, byte[]> known =
      new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Object, byte[]> eldest) {
          return size() > MOST;
        }
      };

  /**
   * The edge for a key, worked out if it is not known. The caller closes it.
   *
   * @param key by which it is told from other edges of the layout
   */
  Path get(Object key, Supplier<Path> maker) {
    byte[] bytes;
    synchronized (known) {
      bytes = known.get(key);
    }
    if (bytes != null) {
      return Path.makeFromBytes(bytes);
    }
    Path made = maker.get();
    synchronized (known) {
      known.put(key, made.serializeToBytes());
    }
    return made;
  }
}
