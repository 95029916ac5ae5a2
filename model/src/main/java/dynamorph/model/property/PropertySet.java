package dynamorph.model.property;

import java.util.AbstractSet;
import java.util.Arrays;
import java.util.Collections;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.SequencedSet;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;

/**
 * A sparse, immutable set of values by key, in registry order. What is not set is left open. Two
 * sorted arrays, since sets are laid over each other far more often than anything else is done.
 */
public final class PropertySet {
  public static final PropertySet EMPTY = new PropertySet(new PropertyKey<?>[0], new Object[0]);

  private final PropertyKey<?>[] keys;
  private final Object[] values;
  private final int hash;

  private PropertySet(PropertyKey<?>[] keys, Object[] values) {
    this(keys, values, hash(keys, values));
  }

  private PropertySet(PropertyKey<?>[] keys, Object[] values, int hash) {
    this.keys = keys;
    this.values = values;
    this.hash = hash;
  }

  private static int hash(PropertyKey<?>[] keys, Object[] values) {
    int sum = 0;
    for (int index = 0; index < keys.length; index++) {
      sum += hash(keys[index], values[index]);
    }
    return sum;
  }

  /** The hash of a set is the sum of these, so that of a changed set need not be summed anew. */
  private static int hash(PropertyKey<?> key, Object value) {
    return key.hashCode() ^ value.hashCode();
  }

  /** In complete sets the keys of the text stand where they stand in the registry. */
  private int find(PropertyKey<?> key) {
    int place = key.placeInComplete();
    if (place >= 0 && place < keys.length && keys[place].equals(key)) {
      return place;
    }
    int coats = Registry.textCount();
    boolean complete =
        keys.length >= coats && keys[coats - 1].placeInComplete() == coats - 1 && place < 0;
    return Arrays.binarySearch(keys, complete ? coats : 0, keys.length, key);
  }

  /** The value set for a key. */
  @SuppressWarnings("unchecked") // with() files a value only under a key of its own type
  public <T> Optional<T> get(PropertyKey<T> key) {
    int at = find(key);
    return at < 0 ? Optional.empty() : Optional.of((T) values[at]);
  }

  public boolean has(PropertyKey<?> key) {
    return find(key) >= 0;
  }

  public <T> PropertySet with(PropertyKey<T> key, T value) {
    Objects.requireNonNull(value, "value");
    int at = find(key);
    if (at >= 0) {
      Object[] changed = values.clone();
      changed[at] = value;
      return new PropertySet(keys, changed, hash - hash(key, values[at]) + hash(key, value));
    }
    int place = -at - 1;
    PropertyKey<?>[] moreKeys = Arrays.copyOf(keys, keys.length + 1);
    Object[] moreValues = Arrays.copyOf(values, values.length + 1);
    System.arraycopy(keys, place, moreKeys, place + 1, keys.length - place);
    System.arraycopy(values, place, moreValues, place + 1, values.length - place);
    moreKeys[place] = key;
    moreValues[place] = value;
    return new PropertySet(moreKeys, moreValues, hash + hash(key, value));
  }

  /** With a value of the text itself. */
  public <T> PropertySet with(Property<T> property, T value) {
    return with(property.key(), value);
  }

  /** With one value copied from another set, if it has it. */
  public <T> PropertySet withFrom(PropertySet source, PropertyKey<T> key) {
    return source.get(key).map(value -> with(key, value)).orElse(this);
  }

  public PropertySet without(PropertyKey<?> key) {
    return has(key) ? where(other -> !other.equals(key)) : this;
  }

  /** Only the values whose keys pass. */
  public PropertySet where(Predicate<PropertyKey<?>> wanted) {
    int count = 0;
    boolean[] kept = new boolean[keys.length];
    for (int index = 0; index < keys.length; index++) {
      kept[index] = wanted.test(keys[index]);
      count += kept[index] ? 1 : 0;
    }
    if (count == keys.length) {
      return this;
    }
    if (count == 0) {
      return EMPTY;
    }
    PropertyKey<?>[] fewerKeys = new PropertyKey<?>[count];
    Object[] fewerValues = new Object[count];
    int at = 0;
    for (int index = 0; index < keys.length; index++) {
      if (kept[index]) {
        fewerKeys[at] = keys[index];
        fewerValues[at++] = values[index];
      }
    }
    return new PropertySet(fewerKeys, fewerValues);
  }

  /** These values, with those of the other set over them. */
  public PropertySet overlaidBy(PropertySet nearer) {
    if (nearer.keys.length == 0) {
      return this;
    }
    if (keys.length == 0) {
      return nearer;
    }
    return nearer.keys.length <= FEW ? overlaidByFew(nearer) : merged(nearer);
  }

  /** So few keys are looked up one by one. */
  private static final int FEW = 16;

  /** Complete sets have nearly every key already, so mostly only values change. */
  private PropertySet overlaidByFew(PropertySet nearer) {
    Object[] changed = values.clone();
    int sum = hash;
    for (int index = 0; index < nearer.keys.length; index++) {
      int at = find(nearer.keys[index]);
      if (at < 0) {
        return merged(nearer);
      }
      sum += hash(keys[at], nearer.values[index]) - hash(keys[at], changed[at]);
      changed[at] = nearer.values[index];
    }
    return new PropertySet(keys, changed, sum);
  }

  private PropertySet merged(PropertySet nearer) {
    PropertyKey<?>[] mergedKeys = new PropertyKey<?>[keys.length + nearer.keys.length];
    Object[] mergedValues = new Object[mergedKeys.length];
    int mine = 0;
    int theirs = 0;
    int at = 0;
    int sum = hash + nearer.hash;
    while (mine < keys.length && theirs < nearer.keys.length) {
      int order = keys[mine] == nearer.keys[theirs] ? 0 : keys[mine].compareTo(nearer.keys[theirs]);
      if (order < 0) {
        mergedKeys[at] = keys[mine];
        mergedValues[at++] = values[mine++];
      } else {
        mergedKeys[at] = nearer.keys[theirs];
        mergedValues[at++] = nearer.values[theirs++];
        if (order == 0) {
          sum -= hash(keys[mine], values[mine]);
          mine++;
        }
      }
    }
    int left = keys.length - mine;
    System.arraycopy(keys, mine, mergedKeys, at, left);
    System.arraycopy(values, mine, mergedValues, at, left);
    at += left;
    int more = nearer.keys.length - theirs;
    System.arraycopy(nearer.keys, theirs, mergedKeys, at, more);
    System.arraycopy(nearer.values, theirs, mergedValues, at, more);
    at += more;
    return at == mergedKeys.length
        ? new PropertySet(mergedKeys, mergedValues, sum)
        : new PropertySet(Arrays.copyOf(mergedKeys, at), Arrays.copyOf(mergedValues, at), sum);
  }

  /**
   * With every value changed; itself if none changes.
   *
   * @param change gives a value of the same type
   */
  public PropertySet mapValues(UnaryOperator<Object> change) {
    Object[] changed = values;
    for (int index = 0; index < values.length; index++) {
      Object after = change.apply(values[index]);
      if (!after.equals(values[index])) {
        changed = changed == values ? values.clone() : changed;
        changed[index] = after;
      }
    }
    return changed == values ? this : new PropertySet(keys, changed);
  }

  /** The keys, in registry order. */
  public SequencedSet<PropertyKey<?>> keys() {
    return new Keys(keys);
  }

  /** The keys of coats and effects, in registry order; they stand behind those of the text. */
  public List<PropertyKey<?>> keysOfCoats() {
    int from = keys.length;
    while (from > 0 && keys[from - 1].address() != Address.TEXT) {
      from--;
    }
    return Collections.unmodifiableList(Arrays.asList(keys).subList(from, keys.length));
  }

  /** The keys as a set that needs no copy. */
  private static final class Keys extends AbstractSet<PropertyKey<?>>
      implements SequencedSet<PropertyKey<?>> {
    private final PropertyKey<?>[] keys;

    Keys(PropertyKey<?>[] keys) {
      this.keys = keys;
    }

    @Override
    public Iterator<PropertyKey<?>> iterator() {
      return Arrays.asList(keys).iterator(); // which removes nothing
    }

    private List<PropertyKey<?>> asList() {
      return Collections.unmodifiableList(Arrays.asList(keys));
    }

    @Override
    public int size() {
      return keys.length;
    }

    @Override
    public boolean contains(Object key) {
      return key instanceof PropertyKey<?> wanted && Arrays.binarySearch(keys, wanted) >= 0;
    }

    @Override
    public PropertyKey<?> getFirst() {
      return asList().getFirst();
    }

    @Override
    public SequencedSet<PropertyKey<?>> reversed() {
      return new java.util.LinkedHashSet<>(asList().reversed());
    }
  }

  public boolean isEmpty() {
    return keys.length == 0;
  }

  public int size() {
    return keys.length;
  }

  /** Builds a set from text, as the command line gives it: {@code size=12 pt}. */
  public static PropertySet parse(Map<String, String> texts) {
    PropertySet set = EMPTY;
    for (Map.Entry<String, String> entry : texts.entrySet()) {
      set = set.withText(Properties.key(entry.getKey()), entry.getValue());
    }
    return set;
  }

  /** With a value read from text; the error names the property. */
  public <T> PropertySet withText(PropertyKey<T> key, String text) {
    try {
      return with(key, key.property().type().parse(text));
    } catch (IllegalArgumentException wrong) {
      throw new IllegalArgumentException(key.path() + ": " + wrong.getMessage(), wrong);
    }
  }

  @Override
  public boolean equals(Object other) {
    return this == other
        || other instanceof PropertySet set
            && set.hash == hash
            && Arrays.equals(keys, set.keys)
            && Arrays.equals(values, set.values);
  }

  @Override
  public int hashCode() {
    return hash;
  }

  @Override
  public String toString() {
    StringBuilder text = new StringBuilder("{");
    for (int index = 0; index < keys.length; index++) {
      text.append(index == 0 ? "" : ", ").append(keys[index]).append('=').append(values[index]);
    }
    return text.append('}').toString();
  }
}
