package dynamorph.model.fill;

import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A condition on a cell: that it is filled ({@code Loan}), empty ({@code not Loan}), or compared
 * ({@code Price >= 100}, {@code Kind = map}). Numbers are compared as numbers, words whatever their
 * case.
 *
 * @param comparison empty to ask whether it is filled
 */
public record Condition(boolean not, String column, String comparison, String value) {
  private static final Pattern COMPARED = Pattern.compile("([^<>=!]+)(<=|>=|!=|<|>|=)([^<>=!]*)");

  /** Reads a condition; empty if there is none. */
  static Optional<Condition> parse(String text) {
    String plain = text.strip();
    boolean not = plain.startsWith("not ");
    String rest = not ? plain.substring(4).strip() : plain;
    Matcher compared = COMPARED.matcher(rest);
    if (compared.matches()) {
      return Optional.of(
          new Condition(
              not,
              compared.group(1).strip(),
              compared.group(2),
              compared.group(3).strip().replaceAll("^\"|\"$", "")));
    }
    return rest.isEmpty() ? Optional.empty() : Optional.of(new Condition(not, rest, "", ""));
  }

  /** Whether it holds for a row. */
  boolean holds(Function<String, String> cells) {
    return not != isTrue(cells.apply(column).strip());
  }

  private boolean isTrue(String cell) {
    if (comparison.isEmpty()) {
      return !cell.isEmpty() && !NO.contains(" " + cell.toLowerCase(Locale.ROOT) + " ");
    }
    Optional<Double> mine = CellFormat.number(cell);
    Optional<Double> other = CellFormat.number(value);
    int order =
        mine.isPresent() && other.isPresent()
            ? Double.compare(mine.get(), other.get())
            : cell.compareToIgnoreCase(value);
    return switch (comparison) {
      case "=" -> order == 0;
      case "!=" -> order != 0;
      case "<" -> order < 0;
      case ">" -> order > 0;
      case "<=" -> order <= 0;
      default -> order >= 0;
    };
  }

  /** What spreadsheets write for false. */
  private static final String NO = " no false 0 ";
}
