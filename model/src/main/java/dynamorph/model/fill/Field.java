package dynamorph.model.fill;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What stands between braces in the words of a pattern: {@code {Price}}, {@code {Price:0.00|free}},
 * {@code {if Loan}}, {@code {if Price > 100}}, {@code {style Kind}}. Doubled braces stand for one.
 *
 * @param start of the opening brace, in UTF-16 units
 * @param end behind the closing brace
 */
public record Field(int start, int end, Kind kind) {
  /** What it does. */
  public sealed interface Kind {
    /**
     * Shows a cell.
     *
     * @param format how numbers and dates are written; as in the table if empty
     * @param otherwise what stands for an empty cell
     */
    record Cell(String column, String format, String otherwise) implements Kind {}

    /** Lets the whole text show only where something holds. */
    record If(Condition condition) implements Kind {}

    /** Lets the text or paragraph follow the style that a cell names. */
    record StyleOf(String column) implements Kind {}

    /** A brace. */
    record Brace(String brace) implements Kind {}
  }

  /** The fields of some words, in order. */
  public static List<Field> in(String text) {
    List<Field> fields = new ArrayList<>();
    int at = 0;
    while (at < text.length()) {
      char unit = text.charAt(at);
      boolean doubled = at + 1 < text.length() && text.charAt(at + 1) == unit;
      if ((unit == '{' || unit == '}') && doubled) {
        fields.add(new Field(at, at + 2, new Kind.Brace(String.valueOf(unit))));
        at += 2;
      } else if (unit == '{') {
        int close = text.indexOf('}', at);
        int other = text.indexOf('{', at + 1);
        if (close > at && (other < 0 || other > close)) {
          int open = at;
          kind(text.substring(at + 1, close))
              .ifPresent(kind -> fields.add(new Field(open, close + 1, kind)));
          at = close + 1;
        } else {
          at++;
        }
      } else {
        at++;
      }
    }
    return fields;
  }

  private static Optional<Kind> kind(String inside) {
    String plain = inside.strip();
    if (plain.isEmpty()) {
      return Optional.empty();
    }
    if (plain.startsWith("if ")) {
      return Condition.parse(plain.substring(3)).map(Kind.If::new);
    }
    if (plain.startsWith("style ")) {
      return Optional.of(new Kind.StyleOf(plain.substring(6).strip()));
    }
    int bar = plain.indexOf('|');
    String otherwise = bar < 0 ? "" : plain.substring(bar + 1);
    String left = bar < 0 ? plain : plain.substring(0, bar);
    int colon = left.indexOf(':');
    String column = (colon < 0 ? left : left.substring(0, colon)).strip();
    String format = colon < 0 ? "" : left.substring(colon + 1).strip();
    return column.isEmpty()
        ? Optional.empty()
        : Optional.of(new Kind.Cell(column, format, otherwise));
  }
}
