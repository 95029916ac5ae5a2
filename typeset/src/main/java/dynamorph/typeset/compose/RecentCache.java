package dynamorph.typeset.compose;

import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * What was made for the few keys asked for last. Meant for one text, which is dragged through many
 * settings but shown in few: a handful of comparisons, no housekeeping. Safe on any thread; two
 * that ask at once may both make.
 */
final class RecentCache<K, V> {
  private record Entry<K, V>(K key, V value, @Nullable Entry<K, V> older) {}

  private final int most;
  private volatile @Nullable Entry<K, V> newest;

  /**
   * @param most how many are kept
   */
  RecentCache(int most) {
    this.most = most;
  }

  /** What was made for a key, or else what is made now. */
  V get(K key, Function<? super K, ? extends V> maker) {
    for (Entry<K, V> entry = newest; entry != null; entry = entry.older) {
      if (entry.key.equals(key)) {
        return entry.value;
      }
    }
    V made = maker.apply(key);
    newest = new Entry<>(key, made, first(newest, most - 1));
    return made;
  }

  private static <K, V> @Nullable Entry<K, V> first(@Nullable Entry<K, V> entry, int count) {
    return entry == null || count == 0
        ? null
        : new Entry<>(entry.key, entry.value, first(entry.older, count - 1));
  }
}
