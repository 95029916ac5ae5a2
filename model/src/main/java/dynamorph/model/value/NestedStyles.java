package dynamorph.model.value;

import com.google.re2j.PatternSyntaxException;
import dynamorph.model.message.Messages;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Which words of a paragraph are in which character style, by where they stand or what they are:
 * {@code "speaker: up to \":\"; lead: 3 words; figure: every number; note: matching \"[*].+\""}. A
 * style is named by its id. None is written {@code none}.
 *
 * <p>Counts and signs are looked for one behind the other, from the beginning of the paragraph; or
 * passed over, as in {@code skip 2 words}; {@code every} and {@code matching} are anywhere in it.
 * Where two meet, the later one lies on top.
 */
public record NestedStyles(List<Rule> rules) {
  public static final NestedStyles NONE = new NestedStyles(List.of());

  /** More than anyone writes; a file with more is refused. */
  public static final int MOST_RULES = 50;

  private static final int MOST_COUNT = 10_000;

  /**
   * Words and the style that they are in.
   *
   * @param style id of a character style; empty for words that are passed over
   */
  public record Rule(String style, Extent extent) {
    public boolean isSkipped() {
      return style.isEmpty();
    }

    @Override
    public String toString() {
      return (isSkipped() ? "skip " : style + ": ") + extent;
    }
  }

  /** Which words. */
  public sealed interface Extent {
    /** Whether it begins where the one before ended. */
    default boolean isInTurn() {
      return this instanceof Count || this instanceof Until;
    }
  }

  /** What is counted. */
  public enum Unit {
    LETTERS,
    WORDS,
    SENTENCES
  }

  /** So many letters, words or sentences. */
  public record Count(int count, Unit unit) implements Extent {
    /**
     * Reads how many.
     *
     * @throws IllegalArgumentException if it is no number, or none that anyone counts to
     */
    public static Count parse(String typed, Unit unit) {
      String digits = typed.strip();
      int count = digits.matches("\\d{1,5}") ? Integer.parseInt(digits) : 0;
      if (count < 1 || count > MOST_COUNT) {
        throw new IllegalArgumentException(
            Messages.of("nested-styles.expected-a-count", MOST_COUNT, digits));
      }
      return new Count(count, unit);
    }

    @Override
    public String toString() {
      String name = unit.name().toLowerCase(Locale.ROOT);
      return count + " " + (count == 1 ? name.substring(0, name.length() - 1) : name);
    }
  }

  /**
   * What stands before signs, or ends with them; nothing if they are not there.
   *
   * @param included whether the signs belong to it
   */
  public record Until(String signs, boolean included) implements Extent {
    @Override
    public String toString() {
      return (included ? "up to " : "before ") + quoted(signs);
    }
  }

  /** What is known by its letters. */
  public enum Kind {
    NUMBER,
    CAPITALS,
    QUOTATION,
    BRACKET,
    LATIN
  }

  /** Everything of a kind. */
  public record Every(Kind kind) implements Extent {
    @Override
    public String toString() {
      return "every " + kind.name().toLowerCase(Locale.ROOT);
    }
  }

  /** Everything that a regular expression finds (RE2, which takes no longer than the text is). */
  public record Matching(String pattern) implements Extent {
    @Override
    public String toString() {
      return "matching " + quoted(pattern);
    }
  }

  private static final String QUOTED = "\"((?:[^\"\\\\]|\\\\.)*)\"";

  private static final Pattern RULE =
      Pattern.compile(
          "\\s*(?:skip\\s|(?<style>[A-Za-z0-9_.-]+)\\s*:)\\s*(?:"
              + "(?<count>\\d+)\\s+(?<unit>letter|word|sentence)s?"
              + "|(?<edge>up\\s+to|before)\\s+"
              + QUOTED.replaceFirst("\\(", "(?<signs>")
              + "|every\\s+(?<kind>number|capitals|quotation|bracket|latin)"
              + "|matching\\s+"
              + QUOTED.replaceFirst("\\(", "(?<pattern>")
              + ")\\s*(?:;|$)");

  public NestedStyles {
    rules = List.copyOf(rules);
  }

  /**
   * Reads rules.
   *
   * @throws IllegalArgumentException naming the part that is none
   */
  public static NestedStyles parse(String text) {
    if (text.isBlank() || text.strip().equalsIgnoreCase("none")) {
      return NONE;
    }
    List<Rule> rules = new ArrayList<>();
    Matcher rule = RULE.matcher(text);
    int at = 0;
    while (at < text.length() && !text.substring(at).isBlank()) {
      if (!rule.region(at, text.length()).lookingAt() || rules.size() == MOST_RULES) {
        throw new IllegalArgumentException(
            Messages.of(
                "nested-styles.expected-a-style-and-its-words", text.substring(at).strip()));
      }
      String style = rule.group("style");
      rules.add(new Rule(style == null ? "" : style, extent(rule)));
      at = rule.end();
    }
    return new NestedStyles(rules);
  }

  private static Extent extent(Matcher rule) {
    if (rule.group("count") != null) {
      return Count.parse(
          rule.group("count"), Unit.valueOf(rule.group("unit").toUpperCase(Locale.ROOT) + "S"));
    }
    if (rule.group("edge") != null) {
      String signs = unquoted(rule.group("signs"));
      if (signs.isEmpty()) {
        throw new IllegalArgumentException(Messages.of("nested-styles.expected-signs"));
      }
      return new Until(signs, !rule.group("edge").equals("before"));
    }
    if (rule.group("kind") != null) {
      return new Every(Kind.valueOf(rule.group("kind").toUpperCase(Locale.ROOT)));
    }
    return new Matching(checked(unquoted(rule.group("pattern"))));
  }

  /**
   * A regular expression that can be used.
   *
   * @throws IllegalArgumentException saying what is wrong with it
   */
  public static String checked(String pattern) {
    try {
      com.google.re2j.Pattern.compile(pattern);
    } catch (PatternSyntaxException wrong) {
      throw new IllegalArgumentException(
          Messages.of("nested-styles.not-a-pattern", pattern, wrong.getDescription()), wrong);
    }
    if (pattern.isEmpty()) {
      throw new IllegalArgumentException(Messages.of("nested-styles.expected-signs"));
    }
    return pattern;
  }

  private static String quoted(String signs) {
    return '"' + signs.replace("\\", "\\\\").replace("\"", "\\\"") + '"';
  }

  private static String unquoted(String signs) {
    return signs.replaceAll("\\\\(.)", "$1");
  }

  public boolean isEmpty() {
    return rules.isEmpty();
  }

  /**
   * With other styles in the place of some. Words of those without another are passed over, so that
   * those behind them stay what they are.
   */
  public NestedStyles mapStyles(Function<String, Optional<String>> change) {
    List<Rule> changed = new ArrayList<>();
    for (Rule rule : rules) {
      Optional<String> other = rule.isSkipped() ? Optional.empty() : change.apply(rule.style);
      if (other.isPresent() || rule.extent.isInTurn()) {
        changed.add(new Rule(other.orElse(""), rule.extent));
      }
    }
    while (!changed.isEmpty() && changed.getLast().isSkipped()) {
      changed.removeLast();
    }
    return changed.equals(rules) ? this : new NestedStyles(changed);
  }

  @Override
  public String toString() {
    return rules.isEmpty()
        ? "none"
        : rules.stream().map(Rule::toString).collect(Collectors.joining("; "));
  }
}
