package dynamorph.model.property;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.random.RandomProjects;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.LongStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Sets of values behave as sorted maps do, whichever way they came to be. */
class PropertySetTest {
  static LongStream seeds() {
    return LongStream.range(500, 540);
  }

  private static Map<PropertyKey<?>, Object> map(PropertySet set) {
    Map<PropertyKey<?>, Object> map = new TreeMap<>();
    set.keys().forEach(key -> map.put(key, set.get(key).orElseThrow()));
    return map;
  }

  /** The same values put in one by one, in the order of the map. */
  private static PropertySet rebuilt(Map<PropertyKey<?>, Object> map) {
    PropertySet set = PropertySet.EMPTY;
    for (Map.Entry<PropertyKey<?>, Object> entry : map.entrySet()) {
      set = put(set, entry.getKey(), entry.getValue());
    }
    return set;
  }

  @SuppressWarnings("unchecked") // the values come from sets, under keys of their type
  private static <T> PropertySet put(PropertySet set, PropertyKey<T> key, Object value) {
    return set.with(key, (T) value);
  }

  private static void assertSame(PropertySet set, Map<PropertyKey<?>, Object> expected) {
    assertThat(map(set)).isEqualTo(expected);
    assertThat(set.size()).isEqualTo(expected.size());
    assertThat(List.copyOf(set.keys())).isEqualTo(List.copyOf(expected.keySet()));
    PropertySet fresh = rebuilt(expected);
    assertThat(set).isEqualTo(fresh);
    assertThat(set.hashCode()).as("kept up, not summed anew").isEqualTo(fresh.hashCode());
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void layingOverIsPuttingAll(long seed) {
    RandomProjects random = new RandomProjects(seed);
    for (int many : new int[] {0, 1, 5, 15, 18, 60}) {
      PropertySet under = random.values(60, Level.LAYER);
      PropertySet over = random.values(many, Level.LAYER);
      Map<PropertyKey<?>, Object> expected = map(under);
      expected.putAll(map(over));
      assertSame(under.overlaidBy(over), expected);
      Map<PropertyKey<?>, Object> theOtherWay = map(over);
      theOtherWay.putAll(map(under));
      assertSame(over.overlaidBy(under), theOtherWay);
    }
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void layingOverGroupsAsOneLikes(long seed) {
    RandomProjects random = new RandomProjects(seed);
    PropertySet far = random.values(30, Level.LAYER);
    PropertySet middle = random.values(20, Level.LAYER);
    PropertySet near = random.values(10, Level.LAYER);
    assertThat(far.overlaidBy(middle).overlaidBy(near))
        .isEqualTo(far.overlaidBy(middle.overlaidBy(near)));
    assertThat(far.overlaidBy(far)).isEqualTo(far).hasSameHashCodeAs(far);
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void takingOutAndChoosingLeaveTheRest(long seed) {
    RandomProjects random = new RandomProjects(seed);
    PropertySet set = random.values(40, Level.LAYER);
    Facet facet = random.pick(List.of(Facet.values()));
    Map<PropertyKey<?>, Object> chosen = map(set);
    chosen.keySet().removeIf(key -> key.property().facet() != facet);
    assertSame(set.where(key -> key.property().facet() == facet), chosen);
    PropertyKey<?> gone = random.pick(List.copyOf(set.keys()));
    Map<PropertyKey<?>, Object> fewer = map(set);
    fewer.remove(gone);
    assertSame(set.without(gone), fewer);
    assertThat(set.without(gone).has(gone)).isFalse();
    assertThat(set.without(gone).without(gone)).isEqualTo(set.without(gone));
    assertThat(set.without(gone).withFrom(set, gone)).isEqualTo(set);
    assertThat(set.where(_ -> true)).isSameAs(set);
    assertThat(set.where(_ -> false)).isSameAs(PropertySet.EMPTY);
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void aChangedSetLeavesTheOldOneAsItWas(long seed) {
    RandomProjects random = new RandomProjects(seed);
    PropertySet set = random.values(30, Level.LAYER);
    Map<PropertyKey<?>, Object> before = map(set);
    PropertySet over = random.values(30, Level.LAYER);
    over.keys().forEach(key -> set.withFrom(over, key));
    set.overlaidBy(over);
    set.mapValues(value -> value instanceof Boolean on ? Boolean.valueOf(!on) : value);
    assertSame(set, before);
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void mappedValuesStayUnderTheirKeys(long seed) {
    PropertySet set = new RandomProjects(seed).values(50, Level.LAYER);
    PropertySet flipped =
        set.mapValues(value -> value instanceof Boolean on ? Boolean.valueOf(!on) : value);
    Map<PropertyKey<?>, Object> expected = map(set);
    expected.replaceAll((_, value) -> value instanceof Boolean on ? Boolean.valueOf(!on) : value);
    assertSame(flipped, expected);
    assertThat(set.mapValues(value -> value)).isSameAs(set);
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void keysStandInOneOrderWithThoseOfCoatsAtTheEnd(long seed) {
    PropertySet set = new RandomProjects(seed).values(80, Level.LAYER);
    List<PropertyKey<?>> keys = new ArrayList<>(set.keys());
    assertThat(new ArrayList<>(set.keys().reversed())).isEqualTo(keys.reversed());
    for (int index = 1; index < keys.size(); index++) {
      PropertyKey<?> one = keys.get(index - 1);
      PropertyKey<?> next = keys.get(index);
      assertThat(one.compareTo(next)).isNegative();
      assertThat(next.compareTo(one)).isPositive();
    }
    List<PropertyKey<?>> coats =
        keys.stream().filter(key -> !key.address().equals(Address.TEXT)).toList();
    assertThat(set.keysOfCoats()).isEqualTo(coats);
    assertThat(keys).endsWith(coats.toArray(PropertyKey<?>[]::new));
    keys.forEach(key -> assertThat(set.keys().contains(key)).isTrue());
    assertThat(set.keys().contains("size")).isFalse();
  }
}
