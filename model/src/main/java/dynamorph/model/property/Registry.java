package dynamorph.model.property;

import dynamorph.model.property.Property.Part;
import dynamorph.model.value.Length;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Where properties are put down as they are declared. */
final class Registry {
  /** Ten metres: beyond any panel, and far inside what single precision draws exactly. */
  static final double FAR = 28_346;

  static final ValueType<Length> SIGNED_LENGTH = new ValueType.Lengths(-FAR, FAR);
  static final ValueType<Length> LENGTH = new ValueType.Lengths(0, FAR);

  /** What one, two or four lengths with commas between look like. */
  static final String AROUND =
      "^[0-9.]+ ?(pt|em)?(, ?[0-9.]+ ?(pt|em)?|(, ?[0-9.]+ ?(pt|em)?){3})?$";

  private static final Map<String, Property<?>> TEXT = new LinkedHashMap<>();
  private static final Map<String, Property<?>> COAT = new LinkedHashMap<>();
  private static final Map<String, Property<?>> EFFECT = new LinkedHashMap<>();
  private static final List<Property<?>> ORDER = new ArrayList<>();

  /** By rank: the key of a property of the text, and how many of the text stand before it. */
  private static final List<PropertyKey<?>> TEXT_KEYS = new ArrayList<>();

  private static final List<Integer> TEXT_PLACES = new ArrayList<>();

  private Registry() {}

  static List<Property<?>> order() {
    return ORDER;
  }

  static Map<String, Property<?>> table(Part part) {
    return switch (part) {
      case TEXT -> TEXT;
      case COAT -> COAT;
      case EFFECT -> EFFECT;
    };
  }

  /** A property of the text that moves glyphs. */
  static <T> Property<T> layout(
      String id, Facet facet, Level narrowest, ValueType<T> type, T value, String group) {
    return register(
        new Property<>(id, facet, Part.TEXT, narrowest, type, value, true, group, ORDER.size()));
  }

  /** A property of the text that only repaints. */
  static <T> Property<T> painted(
      String id, Facet facet, Level narrowest, ValueType<T> type, T value, String group) {
    return register(
        new Property<>(id, facet, Part.TEXT, narrowest, type, value, false, group, ORDER.size()));
  }

  static <T> Property<T> coat(String id, ValueType<T> type, T value) {
    return register(
        new Property<>(
            id, Facet.FINISH, Part.COAT, Level.SPAN, type, value, false, "", ORDER.size()));
  }

  static <T> Property<T> effect(String id, ValueType<T> type, T value) {
    return register(
        new Property<>(
            id, Facet.FINISH, Part.EFFECT, Level.SPAN, type, value, false, "", ORDER.size()));
  }

  private static <T> Property<T> register(Property<T> property) {
    boolean ofText = property.part() == Part.TEXT;
    TEXT_PLACES.add(ofText ? TEXT.size() : -1);
    table(property.part()).put(property.id(), property);
    ORDER.add(property);
    TEXT_KEYS.add(ofText ? new PropertyKey<>(property, Address.TEXT) : null);
    return property;
  }

  /** The one key of a property of the text. */
  @SuppressWarnings("unchecked") // the key at a rank is that of the property of the rank
  static <T> PropertyKey<T> textKey(Property<T> property) {
    PropertyKey<?> key = property.rank() < TEXT_KEYS.size() ? TEXT_KEYS.get(property.rank()) : null;
    return key != null && key.property() == property
        ? (PropertyKey<T>) key
        : new PropertyKey<>(property, Address.TEXT);
  }

  /** How many properties of the text there are. */
  static int textCount() {
    return TEXT.size();
  }

  /** How many properties of the text stand before this one, or -1 if it is none of them. */
  static int textPlace(Property<?> property) {
    return property.rank() < TEXT_PLACES.size() ? TEXT_PLACES.get(property.rank()) : -1;
  }
}
