package dynamorph.model.property;

import dynamorph.model.message.Messages;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Length;
import dynamorph.model.value.Numbers;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/**
 * The type of a property's values: how they are read, written, and kept in range.
 *
 * <p>In files a value is a JSON string, number or boolean; {@link #encode} and {@link #decode} go
 * between that and the value. For people and the command line it is text; {@link #format} and
 * {@link #parse} do that.
 *
 * @param <T> the Java type of the values
 */
public sealed interface ValueType<T> {
  /** The value as people write it. */
  default String format(T value) {
    return value.toString();
  }

  /** The value as the window tells it, in the language of the person. */
  default String label(T value) {
    return format(value);
  }

  /**
   * Reads what a person wrote.
   *
   * @throws IllegalArgumentException saying what was expected
   */
  T parse(String text);

  /** The value as JSON holds it: a String, a Double or a Boolean. */
  default Object encode(T value) {
    return format(value);
  }

  /** What JSON holds, as a value. */
  default T decode(Object json) {
    if (json instanceof String text) {
      return parse(text);
    }
    throw new IllegalArgumentException(
        Messages.of("value-type.expected-found", expected(), describe(json)));
  }

  /** What a value looks like, for error messages: {@code a length such as "3 pt"}. */
  String expected();

  private static String describe(Object json) {
    return json instanceof String text ? "\"" + text + "\"" : String.valueOf(json);
  }

  /** Any words, such as the name of a font family. */
  record Words(String expected) implements ValueType<String> {
    @Override
    public String parse(String text) {
      if (text.isBlank()) {
        throw new IllegalArgumentException(
            Messages.of("value-type.expected-found-nothing", expected));
      }
      return text.strip();
    }
  }

  /** A plain number within a range, both ends included. */
  record Number(double least, double most, String unit) implements ValueType<Double> {
    @Override
    public Double parse(String text) {
      String plain = text.strip();
      boolean withUnit = !unit.isEmpty() && plain.endsWith(unit);
      return checked(
          Numbers.parse(withUnit ? plain.substring(0, plain.length() - unit.length()) : plain));
    }

    @Override
    public String format(Double value) {
      return Numbers.format(value);
    }

    @Override
    public Object encode(Double value) {
      return value;
    }

    @Override
    public Double decode(Object json) {
      if (json instanceof java.lang.Number number) {
        return checked(number.doubleValue());
      }
      throw new IllegalArgumentException(
          Messages.of("value-type.expected-found", expected(), describe(json)));
    }

    private double checked(double value) {
      if (!(value >= least && value <= most)) {
        throw new IllegalArgumentException(
            Messages.of(
                "value-type.expected-found",
                expected(),
                (Double.isFinite(value) ? Numbers.format(value) : value)));
      }
      return value == 0 ? 0 : value;
    }

    @Override
    public String expected() {
      return Messages.of(
          "value-type.a-number-from-to", Numbers.format(least), Numbers.format(most));
    }
  }

  /** Yes or no. */
  record Flag() implements ValueType<Boolean> {
    @Override
    public Boolean parse(String text) {
      return switch (text.strip().toLowerCase(Locale.ROOT)) {
        case "true", "yes", "on" -> true;
        case "false", "no", "off" -> false;
        default ->
            throw new IllegalArgumentException(
                Messages.of("value-type.expected-true-or-false-found", text));
      };
    }

    @Override
    public Object encode(Boolean value) {
      return value;
    }

    @Override
    public Boolean decode(Object json) {
      if (json instanceof Boolean flag) {
        return flag;
      }
      throw new IllegalArgumentException(
          Messages.of("value-type.expected-true-or-false-found-2", describe(json)));
    }

    @Override
    public String expected() {
      return Messages.of("value-type.true-or-false");
    }
  }

  /** A length in points or em, whose amount lies within a range in points. */
  record Lengths(double least, double most) implements ValueType<Length> {
    @Override
    public Length parse(String text) {
      return checked(Length.parse(text));
    }

    private Length checked(Length length) {
      if (length.amount() < least || length.amount() > most) {
        throw new IllegalArgumentException(
            Messages.of("value-type.expected-found", expected(), length));
      }
      return length;
    }

    @Override
    public String expected() {
      return Messages.of(
          "value-type.a-length-from-to-such-as", Numbers.format(least), Numbers.format(most));
    }
  }

  /** Text size, absolute or relative. */
  record Sizes() implements ValueType<FontSize> {
    @Override
    public FontSize parse(String text) {
      return FontSize.parse(text);
    }

    @Override
    public String expected() {
      return Messages.of("value-type.a-size-such-as-12-pt");
    }
  }

  /** Leading, absolute, relative or automatic. */
  record Leadings() implements ValueType<Leading> {
    @Override
    public Leading parse(String text) {
      return Leading.parse(text);
    }

    @Override
    public String expected() {
      return Messages.of("value-type.leading-such-as-auto-14-pt");
    }
  }

  /** A colour, literal or a swatch. */
  record Colours() implements ValueType<Colour> {
    @Override
    public Colour parse(String text) {
      return Colour.parse(text);
    }

    @Override
    public String expected() {
      return Messages.of("value-type.a-colour-such-as-1f4d3a-or");
    }
  }

  /** One of the constants of an enumeration, written in kebab case. */
  record Choice<E extends Enum<E>>(Class<E> type) implements ValueType<E> {
    /** All constants, in order. */
    public List<E> options() {
      return List.of(type.getEnumConstants());
    }

    @Override
    public String format(E value) {
      return value.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    @Override
    public E parse(String text) {
      String wanted = FormerNames.presentChoice(type, text.strip().toLowerCase(Locale.ROOT));
      return options().stream()
          .filter(option -> format(option).equals(wanted))
          .findFirst()
          .orElseThrow(() ->
              new IllegalArgumentException(
                  Messages.of("value-type.expected-found-2", expected(), text.strip())));
    }

    @Override
    public String label(E value) {
      return Messages.of("choice." + kebab(type.getSimpleName()) + "." + format(value));
    }

    private static String kebab(String name) {
      return name.replaceAll("(?<=[a-z])(?=[A-Z])", "-").toLowerCase(Locale.ROOT);
    }

    /** The constants as they are written. */
    public Stream<String> names() {
      return options().stream().map(this::format);
    }

    @Override
    public String expected() {
      return Messages.of("value-type.one-of", String.join(", ", names().toList()));
    }
  }

  /**
   * A value with a small grammar of its own, written as text.
   *
   * @param reader reads it, or throws an IllegalArgumentException saying what was expected
   * @param pattern a regular expression that everything written matches
   */
  record Written<V>(
      Class<V> type, java.util.function.Function<String, V> reader, String pattern, String expected)
      implements ValueType<V> {
    @Override
    public V parse(String text) {
      return reader.apply(text);
    }
  }
}
