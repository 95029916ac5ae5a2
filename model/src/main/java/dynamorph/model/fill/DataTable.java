package dynamorph.model.fill;

import java.util.List;
import java.util.Locale;

/**
 * A table, such as a spreadsheet holds.
 *
 * @param columns their names; A, B, C … where the table has no header
 * @param rows cells by column, as many in each row as there are columns
 */
public record DataTable(List<String> columns, List<Row> rows) {
  /**
   * A row.
   *
   * @param line of the file that it begins in, from 1
   */
  public record Row(long line, List<String> cells) {
    public Row {
      cells = List.copyOf(cells);
    }
  }

  public DataTable {
    columns = List.copyOf(columns);
    rows = List.copyOf(rows);
  }

  /** What a column is for. */
  public enum Role {
    /** When the title is first seen. */
    IN,
    /** When it is gone. */
    OUT,
    /** How long it is seen. */
    LENGTH,
    /** What it says. */
    WORDS;

    /** What the name of a column tells. */
    public static Role of(String column) {
      return switch (column.strip().toLowerCase(Locale.ROOT)) {
        case "in", "start", "begin", "from", "tc in", "time in", "in point" -> IN;
        case "out", "end", "to", "until", "tc out", "time out", "out point" -> OUT;
        case "duration", "length", "dur", "seconds" -> LENGTH;
        default -> WORDS;
      };
    }
  }
}
