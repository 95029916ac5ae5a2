package dynamorph.formats.table;

import dynamorph.formats.file.PlainText;
import dynamorph.formats.message.Messages;
import dynamorph.model.edit.importing.TitleTable;
import dynamorph.model.edit.importing.TitleTable.Role;
import dynamorph.model.edit.importing.TitleTable.Row;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** Reads tables of titles out of CSV files (RFC 4180), with any usual delimiter and encoding. */
public final class TitleTableReader {
  private static final long LARGEST = 16L << 20;
  private static final int MOST_ROWS = 20_000;
  private static final char[] DELIMITERS = {',', ';', '\t', '|'};

  private TitleTableReader() {}

  /**
   * Reads a file.
   *
   * @throws IOException saying what is wrong, if it is missing, empty, too large or no table
   */
  public static TitleTable read(Path file) throws IOException {
    if (!Files.exists(file)) {
      throw new IOException(
          Messages.of("title-table-reader.there-is-no-such-file", file.getFileName()));
    }
    if (Files.size(file) > LARGEST) {
      throw new IOException(
          Messages.of("title-table-reader.a-table-is-at-most-16", file.getFileName()));
    }
    return parse(PlainText.decode(Files.readAllBytes(file)), file.getFileName().toString());
  }

  static TitleTable parse(String text, String name) throws IOException {
    if (text.isBlank()) {
      throw new IOException(Messages.of("title-table-reader.the-table-is-empty", name));
    }
    try (CSVParser parser =
        CSVParser.parse(
            text,
            CSVFormat.DEFAULT
                .builder()
                .setDelimiter(delimiter(text))
                .setIgnoreEmptyLines(true)
                .setTrim(true)
                .get())) {
      List<Row> rows = new ArrayList<>();
      for (CSVRecord found : parser) {
        if (rows.size() > MOST_ROWS) {
          throw new IOException(
              Messages.of("title-table-reader.a-table-has-at-most-rows", name, MOST_ROWS));
        }
        rows.add(new Row(parser.getCurrentLineNumber(), found.toList()));
      }
      return of(rows);
    } catch (UncheckedIOException | IllegalStateException broken) {
      throw new IOException(name + ": " + broken.getMessage(), broken);
    }
  }

  /** The delimiter that divides the first lines into most columns, the same number in each. */
  static char delimiter(String text) {
    List<String> first =
        PlainText.lines(text).stream().filter(line -> !line.isBlank()).limit(8).toList();
    char best = ',';
    long most = 0;
    for (char delimiter : DELIMITERS) {
      long least =
          first.stream()
              .map(line -> line.chars().filter(unit -> unit == delimiter).count())
              .min(Comparator.naturalOrder())
              .orElse(0L);
      if (least > most) {
        most = least;
        best = delimiter;
      }
    }
    return best;
  }

  private static TitleTable of(List<Row> all) {
    int width = all.stream().mapToInt(row -> row.cells().size()).max().orElse(1);
    List<Row> rows = new ArrayList<>(all.stream().map(row -> widened(row, width)).toList());
    boolean header = rows.size() > 1 && isHeader(rows.getFirst());
    List<String> columns = new ArrayList<>();
    for (int column = 0; column < width; column++) {
      String name = header ? rows.getFirst().cells().get(column) : "";
      columns.add(name.isEmpty() ? String.valueOf((char) ('A' + column % 26)) : name);
    }
    return new TitleTable(columns, header ? rows.subList(1, rows.size()) : rows);
  }

  private static Row widened(Row row, int width) {
    List<String> cells = new ArrayList<>(row.cells());
    while (cells.size() < width) {
      cells.add("");
    }
    return new Row(row.line(), cells);
  }

  /** A first row that names columns, and holds neither figures nor times. */
  private static boolean isHeader(Row row) {
    boolean plain = row.cells().stream().noneMatch(cell -> cell.matches(".*\\d.*"));
    boolean known =
        row.cells().stream().anyMatch(cell -> Role.of(cell) != Role.WORDS || isWord(cell));
    return plain && known;
  }

  private static boolean isWord(String cell) {
    return List.of(
            "name",
            "names",
            "title",
            "titles",
            "role",
            "line",
            "text",
            "function",
            "job",
            "place",
            "who",
            "what",
            "person",
            "subtitle",
            "first name",
            "last name",
            "speaker",
            "caption")
        .contains(cell.toLowerCase(Locale.ROOT));
  }
}
