package dynamorph.model.reach;

import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BiPredicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Chooses styles by what a person types to find them: words that stand in their name, group, notes
 * or family, and values, all of which must fit: {@code label size>40 alignment=centre}. A value
 * that does not look like one is a word.
 */
public final class StyleFilter {
  private static final Pattern TERM = Pattern.compile("([a-z][a-z/-]*)(!=|<=|>=|=|~|<|>)(.+)");
  private static final Pattern NUMBER = Pattern.compile("[-+]?\\d+(?:\\.\\d+)?");
  private static final String FONT = "font";

  private final List<BiPredicate<String, PropertySet>> wanted = new ArrayList<>();

  private StyleFilter(String text) {
    for (String part : text.strip().toLowerCase(Locale.ROOT).split("\\s+")) {
      if (!part.isEmpty()) {
        wanted.add(term(part).orElse((words, _) -> words.contains(part)));
      }
    }
  }

  /** Reads what was typed; there is nothing that cannot be read. */
  public static StyleFilter of(String text) {
    return new StyleFilter(text);
  }

  /** Whether nothing was typed, so that everything fits. */
  public boolean isEmpty() {
    return wanted.isEmpty();
  }

  /**
   * Whether a style fits.
   *
   * @param words what is said about it, in lower case
   * @param values what it gives, with what it is based on
   */
  public boolean fits(String words, PropertySet values) {
    return wanted.stream().allMatch(one -> one.test(words, values));
  }

  private static Optional<BiPredicate<String, PropertySet>> term(String part) {
    Matcher matcher = TERM.matcher(part);
    if (!matcher.matches()) {
      return Optional.empty();
    }
    String path = matcher.group(1).equals(FONT) ? Properties.FONT_FAMILY.id() : matcher.group(1);
    String comparison = matcher.group(2);
    String value = matcher.group(3);
    try {
      PropertyKey<?> key = Properties.key(path);
      return Optional.of((_, values) -> fits(values, key, comparison, value));
    } catch (IllegalArgumentException noProperty) {
      return Optional.empty();
    }
  }

  private static <T> boolean fits(
      PropertySet values, PropertyKey<T> key, String comparison, String wanted) {
    Optional<String> own =
        values
            .get(key)
            .map(key.property().type()::format)
            .map(text -> text.toLowerCase(Locale.ROOT));
    if (own.isEmpty()) {
      return comparison.equals("!=");
    }
    OptionalDouble number = number(own.get());
    OptionalDouble other = number(wanted);
    boolean both = number.isPresent() && other.isPresent();
    return switch (comparison) {
      case "=" -> both ? number.equals(other) : own.get().equals(wanted);
      case "!=" -> both ? !number.equals(other) : !own.get().equals(wanted);
      case "~" -> own.get().contains(wanted);
      case "<" -> both && number.getAsDouble() < other.getAsDouble();
      case "<=" -> both && number.getAsDouble() <= other.getAsDouble();
      case ">" -> both && number.getAsDouble() > other.getAsDouble();
      default -> both && number.getAsDouble() >= other.getAsDouble();
    };
  }

  /** The number that a text begins with, whatever its unit; none of a multiple. */
  private static OptionalDouble number(String text) {
    Matcher matcher = NUMBER.matcher(text);
    return matcher.lookingAt()
        ? OptionalDouble.of(Double.parseDouble(matcher.group()))
        : OptionalDouble.empty();
  }
}
