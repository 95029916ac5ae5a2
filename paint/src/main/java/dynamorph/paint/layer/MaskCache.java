package dynamorph.paint.layer;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dynamorph.paint.effect.CoverageMask;
import dynamorph.paint.effect.Relief;
import java.util.function.Supplier;

/**
 * Pixels that effects were worked out on, so that a change of one effect leaves the others as they
 * are, and a change of colour blurs nothing. On the heap, as many as some titles take. Safe on any
 * thread.
 */
final class MaskCache {
  private static final long BYTES = 96L << 20;

  private record Held(Object pixels, int bytes) {}

  private final Cache<Object, Held> known =
      Caffeine.newBuilder()
          .executor(Runnable::run)
          .maximumWeight(BYTES)
          .weigher((Object _, Held held) -> held.bytes)
          .build();

  CoverageMask plane(Object key, Supplier<CoverageMask> maker) {
    return (CoverageMask) get(key, maker, plane -> 4 * plane.values().length);
  }

  Relief relief(Object key, Supplier<Relief> maker) {
    return (Relief) get(key, maker, relief -> 8 * relief.light().values().length);
  }

  byte[] picture(Object key, Supplier<byte[]> maker) {
    return (byte[]) get(key, maker, bytes -> bytes.length);
  }

  boolean has(Object key) {
    return known.getIfPresent(key) != null;
  }

  private <T> Object get(
      Object key, Supplier<T> maker, java.util.function.ToIntFunction<T> weight) {
    Held held = known.getIfPresent(key);
    if (held == null) {
      T made = maker.get();
      held = new Held(made, weight.applyAsInt(made) + 200);
      known.put(key, held);
    }
    return held.pixels;
  }
}
