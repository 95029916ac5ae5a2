package dynamorph.model.property;

import java.util.Map;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;

/** A sparse, immutable set of values by key, in registry order. What is not set is left open. */
public final class PropertySet {
  public static final PropertySet EMPTY = new PropertySet(new TreeMap<>());

  private final TreeMap<PropertyKey<?>, Object> values;
  private final int hash;

  private PropertySet(TreeMap<PropertyKey<?>, Object> values) {
    this.values = values;
    this.hash = values.hashCode();
  }

  /** The value set for a key. */
  @SuppressWarnings("unchecked") // with() files a value only under a key of its own type
  public <T> Optional<T> get(PropertyKey<T> key) {
    return Optional.ofNullable((T) values.get(key));
  }

  public boolean has(PropertyKey<?> key) {
    return values.containsKey(key);
  }

  public <T> PropertySet with(PropertyKey<T> key, T value) {
    TreeMap<PropertyKey<?>, Object> changed = new TreeMap<>(values);
    changed.put(key, value);
    return new PropertySet(changed);
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
    if (values.isEmpty()) {
      return this;
    }
    TreeMap<PropertyKey<?>, Object> kept = new TreeMap<>(values);
    kept.keySet().removeIf(wanted.negate());
    return kept.size() == values.size() ? this : kept.isEmpty() ? EMPTY : new PropertySet(kept);
  }

  /** These values, with those of the other set over them. */
  public PropertySet overlaidBy(PropertySet nearer) {
    if (nearer.isEmpty()) {
      return this;
    }
    TreeMap<PropertyKey<?>, Object> merged = new TreeMap<>(values);
    merged.putAll(nearer.values);
    return new PropertySet(merged);
  }

  /**
   * With every value changed; itself if none changes.
   *
   * @param change gives a value of the same type
   */
  public PropertySet mapValues(UnaryOperator<Object> change) {
    TreeMap<PropertyKey<?>, Object> changed = null;
    for (Map.Entry<PropertyKey<?>, Object> entry : values.entrySet()) {
      Object after = change.apply(entry.getValue());
      if (!after.equals(entry.getValue())) {
        changed = changed == null ? new TreeMap<>(values) : changed;
        changed.put(entry.getKey(), after);
      }
    }
    return changed == null ? this : new PropertySet(changed);
  }

  public SortedSet<PropertyKey<?>> keys() {
    return java.util.Collections.unmodifiableSortedSet(
        (SortedSet<PropertyKey<?>>) values.navigableKeySet());
  }

  public boolean isEmpty() {
    return values.isEmpty();
  }

  public int size() {
    return values.size();
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
        || other instanceof PropertySet set && set.hash == hash && set.values.equals(values);
  }

  @Override
  public int hashCode() {
    return hash;
  }

  @Override
  public String toString() {
    return values.toString();
  }
}
