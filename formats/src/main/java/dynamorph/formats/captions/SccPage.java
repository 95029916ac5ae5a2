package dynamorph.formats.captions;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** A memory of closed captions: rows of cells with their letters (CEA-608-E, 4.1). */
final class SccPage {
  /**
   * Letters of one look.
   *
   * @param pen how they look
   */
  record Run(String text, Cea608.Pen pen) {}

  /**
   * What stands in a row.
   *
   * @param row from 1
   * @param column of its first letter, from 0
   * @param length in cells
   */
  record Row(int row, int column, int length, List<Run> runs) {}

  private final char[][] letters = new char[Cea608.ROWS][Cea608.COLUMNS];
  private final Cea608.Pen[][] pens = new Cea608.Pen[Cea608.ROWS][Cea608.COLUMNS];

  void put(int row, int column, char letter, Cea608.Pen pen) {
    letters[row - 1][column] = letter;
    pens[row - 1][column] = pen;
  }

  void clear() {
    for (int row = 1; row <= Cea608.ROWS; row++) {
      clear(row, 0);
    }
  }

  /** Empties a row from a cell on. */
  void clear(int row, int column) {
    Arrays.fill(letters[row - 1], column, Cea608.COLUMNS, '\0');
  }

  boolean isEmpty() {
    return rows().isEmpty();
  }

  /** Moves rows up by one; what leaves their top is gone. */
  void rollUp(int base, int height) {
    for (int row = Math.max(1, base - height + 1); row < base; row++) {
      letters[row - 1] = letters[row].clone();
      pens[row - 1] = pens[row].clone();
    }
    clear(base, 0);
  }

  /** The rows that show anything. */
  List<Row> rows() {
    List<Row> rows = new ArrayList<>();
    for (int row = 1; row <= Cea608.ROWS; row++) {
      Row own = row(row);
      if (own.length > 0) {
        rows.add(own);
      }
    }
    return rows;
  }

  Row row(int row) {
    char[] cells = letters[row - 1];
    int first = 0;
    while (first < cells.length && isBlank(cells[first])) {
      first++;
    }
    int end = cells.length;
    while (end > first && isBlank(cells[end - 1])) {
      end--;
    }
    List<Run> runs = new ArrayList<>();
    Cea608.Pen pen = Cea608.Pen.PLAIN;
    StringBuilder text = new StringBuilder();
    for (int column = first; column < end; column++) {
      boolean blank = isBlank(cells[column]);
      if (!blank && !pens[row - 1][column].equals(pen)) {
        Cea608.Pen next = pens[row - 1][column];
        // the space before plain letters is as plain as they are
        boolean space = next.equals(Cea608.Pen.PLAIN) && text.toString().endsWith(" ");
        if (space) {
          text.setLength(text.length() - 1);
        }
        if (!text.isEmpty()) {
          runs.add(new Run(text.toString(), pen));
        }
        text.setLength(0);
        text.append(space ? " " : "");
        pen = next;
      }
      // codes among the letters take cells: two of them are one space between words
      if (!blank || text.isEmpty() && !runs.isEmpty() || !text.toString().endsWith(" ")) {
        text.append(blank ? ' ' : cells[column]);
      }
    }
    if (!text.isEmpty()) {
      runs.add(new Run(text.toString(), pen));
    }
    return new Row(row, first, end - first, runs);
  }

  private static boolean isBlank(char letter) {
    return letter == '\0' || letter == ' ' || letter == '\u00a0';
  }
}
