package dynamorph.model.reach;

import dynamorph.model.Layer;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Address;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Length;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoublePredicate;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * A value that a query asks for. A layer has what any of its letters has.
 *
 * @param key of a property; of a coat only what has the coat can have the value
 */
record AskedValue<T>(PropertyKey<T> key) {
  /**
   * Those that have a value.
   *
   * @throws IllegalArgumentException saying what was expected, if it is none of this property
   */
  Values equalTo(String written) {
    T asked = key.property().type().parse(written);
    return any(value ->
        value instanceof String words ? words.equalsIgnoreCase(written) : value.equals(asked));
  }

  /** Those that have a value with some letters in it, as files write it. */
  Values containing(String part) {
    String lower = part.toLowerCase(Locale.ROOT);
    return any(
        value -> key.property().type().format(value).toLowerCase(Locale.ROOT).contains(lower));
  }

  /**
   * Those that have a larger or smaller value; one in another unit is neither.
   *
   * @param holds of the difference to what was written
   * @throws IllegalArgumentException if the values of this property are no amounts
   */
  Values compared(String written, DoublePredicate holds) {
    T asked = key.property().type().parse(written);
    if (difference(asked, asked).isEmpty()) {
      throw new IllegalArgumentException(
          Messages.of("layer-query.has-no-amount", key.property().label()));
    }
    return any(value -> {
      OptionalDouble by = difference(value, asked);
      return by.isPresent() && holds.test(by.getAsDouble());
    });
  }

  private static OptionalDouble difference(Object value, Object asked) {
    return switch (value) {
      case Double number when asked instanceof Double other -> OptionalDouble.of(number - other);
      case FontSize size when asked instanceof FontSize other ->
          OptionalDouble.of(size.over(0) - other.over(0));
      case Length length when asked instanceof Length other && length.unit() == other.unit() ->
          OptionalDouble.of(length.amount() - other.amount());
      case Leading.Absolute leading when asked instanceof Leading.Absolute other ->
          OptionalDouble.of(leading.points() - other.points());
      case Leading.Relative leading when asked instanceof Leading.Relative other ->
          OptionalDouble.of(leading.share() - other.share());
      default -> OptionalDouble.empty();
    };
  }

  private Values any(Predicate<T> wanted) {
    return (cascade, layer) -> of(cascade, layer).anyMatch(wanted);
  }

  private Stream<T> of(Cascade cascade, Layer layer) {
    return layer.story().paragraphs().stream()
        .flatMap(paragraph ->
            paragraph.spans().stream()
                .flatMap(span -> value(cascade.values(layer, paragraph, span)).stream()));
  }

  private Optional<T> value(PropertySet values) {
    return key.address().equals(Address.TEXT)
        ? Optional.of(Coats.value(values, key))
        : values.get(key);
  }

  /** Whether a layer has what is asked for. */
  interface Values {
    boolean in(Cascade cascade, Layer layer);
  }
}
