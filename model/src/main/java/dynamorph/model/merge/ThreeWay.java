package dynamorph.model.merge;

import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * Puts two changes of one thing together (the three-way merge of version control): what only one
 * side changed is taken from it. Where both changed the same value otherwise, mine stays and the
 * place is noted.
 */
final class ThreeWay {
  private final List<Conflict> conflicts = new ArrayList<>();

  List<Conflict> conflicts() {
    return List.copyOf(conflicts);
  }

  /** Whose thing it is, and which of its parts. */
  record Place(Conflict.Kind kind, String of, Conflict.Part part) {
    Place(Conflict.Kind kind, String of) {
      this(kind, of, new Conflict.Part.Whole());
    }

    Place field(String id) {
      return new Place(kind, of, new Conflict.Part.Field(id));
    }
  }

  <T> T value(T base, T mine, T theirs, Place place) {
    if (Objects.equals(mine, theirs) || Objects.equals(theirs, base)) {
      return mine;
    }
    if (!Objects.equals(mine, base)) {
      collide(place);
      return mine;
    }
    return theirs;
  }

  void collide(Place place) {
    conflicts.add(new Conflict(place.kind(), place.of(), place.part()));
  }

  PropertySet properties(PropertySet base, PropertySet mine, PropertySet theirs, Place place) {
    Set<PropertyKey<?>> changed = new LinkedHashSet<>(theirs.keys());
    changed.addAll(base.keys());
    PropertySet merged = mine;
    for (PropertyKey<?> key : changed) {
      Place at = new Place(place.kind(), place.of(), new Conflict.Part.Value(key));
      merged = property(key, base, mine, theirs, merged, at);
    }
    return merged;
  }

  private <T> PropertySet property(
      PropertyKey<T> key,
      PropertySet base,
      PropertySet mine,
      PropertySet theirs,
      PropertySet merged,
      Place place) {
    Optional<T> value = value(base.get(key), mine.get(key), theirs.get(key), place);
    return value.isPresent() ? merged.with(key, value.get()) : merged.without(key);
  }

  /** Merges one thing that all three have. */
  interface Items<T> {
    T merge(T base, T mine, T theirs);

    /** What somebody took away while the other changed it. */
    Place place(T item);
  }

  /**
   * Merges lists of things with ids. Theirs that are new come behind what they come behind in
   * theirs; what one side took away is gone, unless the other changed it. Where only they changed
   * the order, it is theirs.
   */
  <K, T> List<T> list(
      List<T> base, List<T> mine, List<T> theirs, Function<T, K> id, Items<T> items) {
    if (base.equals(theirs) || mine.equals(theirs)) {
      return mine;
    }
    Map<K, T> bases = byId(base, id);
    Map<K, T> ours = byId(mine, id);
    Map<K, T> others = byId(theirs, id);
    Map<K, T> merged = new LinkedHashMap<>();
    for (Map.Entry<K, T> entry : ours.entrySet()) {
      kept(bases.get(entry.getKey()), entry.getValue(), others.get(entry.getKey()), items)
          .ifPresent(item -> merged.put(entry.getKey(), item));
    }
    for (Map.Entry<K, T> entry : others.entrySet()) {
      T before = bases.get(entry.getKey());
      if (!ours.containsKey(entry.getKey())
          && (before == null || !before.equals(entry.getValue()))) {
        if (before != null) {
          // I took it away, they went on with it
          collide(items.place(entry.getValue()));
        }
        merged.put(entry.getKey(), entry.getValue());
      }
    }
    boolean mineAsBefore = order(bases, ours).equals(order(ours, bases));
    return mineAsBefore ? ordered(merged, others, ours) : ordered(merged, ours, others);
  }

  /** What becomes of a thing that I have. */
  private <T> Optional<T> kept(@Nullable T base, T mine, @Nullable T theirs, Items<T> items) {
    if (theirs != null) {
      return Optional.of(
          base == null ? bothNew(mine, theirs, items) : items.merge(base, mine, theirs));
    }
    if (base == null) {
      return Optional.of(mine);
    }
    if (!base.equals(mine)) {
      collide(items.place(mine));
      return Optional.of(mine);
    }
    return Optional.empty();
  }

  private <T> T bothNew(T mine, T theirs, Items<T> items) {
    if (!mine.equals(theirs)) {
      collide(items.place(mine));
    }
    return mine;
  }

  /** The ids of the first that the second has too, in their order. */
  private static <K, T> List<K> order(Map<K, T> first, Map<K, T> second) {
    return first.keySet().stream().filter(second::containsKey).toList();
  }

  /** In the order of a leading list; what that has not stands behind what it follows elsewhere. */
  private static <K, T> List<T> ordered(Map<K, T> merged, Map<K, T> leading, Map<K, T> other) {
    List<K> order = new ArrayList<>(leading.keySet());
    order.retainAll(merged.keySet());
    @Nullable K last = null;
    for (K key : other.keySet()) {
      if (merged.containsKey(key) && !leading.containsKey(key)) {
        order.add(last == null ? 0 : order.indexOf(last) + 1, key);
      }
      if (order.contains(key)) {
        last = key;
      }
    }
    for (K key : merged.keySet()) {
      if (!leading.containsKey(key) && !other.containsKey(key)) {
        order.add(key);
      }
    }
    return order.stream().map(key -> Objects.requireNonNull(merged.get(key))).toList();
  }

  private static <K, T> Map<K, T> byId(List<T> list, Function<T, K> id) {
    Map<K, T> map = new LinkedHashMap<>();
    list.forEach(item -> map.put(id.apply(item), item));
    return map;
  }
}
