package dynamorph.formats.table;

import dynamorph.formats.file.PlainText;
import dynamorph.formats.message.Messages;
import dynamorph.model.fill.DataTable;
import dynamorph.model.fill.DataTable.Role;
import dynamorph.model.fill.DataTable.Row;
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

/**
 * Reads tables out of CSV files (RFC 4180), with any usual delimiter and encoding, of spreadsheets
 * and JSON.
 */
public final class TableReader {
  /** What files of tables end with. */
  public static final List<String> ENDINGS = List.of(".csv", ".tsv", ".xlsx", ".ods", ".json");

  private static final long LARGEST = 16L << 20;
  private static final int MOST_ROWS = 20_000;
  private static final char[] DELIMITERS = {',', ';', '\t', '|'};

  private TableReader() {}

  /**
   * Reads a file.
   *
   * @throws IOException saying what is wrong, if it is missing, empty, too large or no table
   */
  public static DataTable read(Path file) throws IOException {
    if (!Files.exists(file)) {
      throw new IOException(Messages.of("table-reader.there-is-no-such-file", file.getFileName()));
    }
    if (Files.size(file) > LARGEST) {
      throw new IOException(Messages.of("table-reader.a-table-is-at-most-16", file.getFileName()));
    }
    return parse(PlainText.decode(Files.readAllBytes(file)), file.getFileName().toString());
  }

  /** Whether a file is one by its name. */
  public static boolean isTable(Path file) {
    String name = String.valueOf(file.getFileName()).toLowerCase(Locale.ROOT);
    return ENDINGS.stream().anyMatch(name::endsWith);
  }

  /**
   * Reads a table whose first row names its columns: CSV, a workbook (XLSX, ODS), or a JSON list of
   * objects.
   *
   * @throws IOException saying what is wrong, if it is missing, empty, too large or no table
   */
  public static DataTable withHeader(Path file) throws IOException {
    String name = String.valueOf(file.getFileName());
    if (!Files.isRegularFile(file)) {
      throw new IOException(Messages.of("table-reader.there-is-no-such-file", name));
    }
    if (Files.size(file) > LARGEST) {
      throw new IOException(Messages.of("table-reader.a-table-is-at-most-16", name));
    }
    byte[] bytes = Files.readAllBytes(file);
    boolean archive = bytes.length > 3 && bytes[0] == 'P' && bytes[1] == 'K';
    String text = archive ? "" : PlainText.decode(bytes);
    List<Row> rows =
        archive
            ? SheetReader.read(file)
            : text.stripLeading().startsWith("[") ? JsonTable.rows(text, name) : rows(text, name);
    return headed(rows, name);
  }

  private static DataTable headed(List<Row> all, String name) throws IOException {
    if (all.size() < 2) {
      throw new IOException(Messages.of("table-reader.no-rows", name));
    }
    if (all.size() > MOST_ROWS + 1) {
      throw new IOException(Messages.of("table-reader.a-table-has-at-most-rows", name, MOST_ROWS));
    }
    int width = all.stream().mapToInt(row -> row.cells().size()).max().orElse(1);
    List<Row> rows = all.stream().map(row -> widened(row, width)).toList();
    List<String> columns = new ArrayList<>();
    for (int column = 0; column < width; column++) {
      String title = rows.getFirst().cells().get(column).strip();
      columns.add(title.isEmpty() ? String.valueOf(column + 1) : title);
    }
    return new DataTable(columns, rows.subList(1, rows.size()));
  }

  static DataTable parse(String text, String name) throws IOException {
    return of(rows(text, name));
  }

  private static List<Row> rows(String text, String name) throws IOException {
    if (text.isBlank()) {
      throw new IOException(Messages.of("table-reader.the-table-is-empty", name));
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
              Messages.of("table-reader.a-table-has-at-most-rows", name, MOST_ROWS));
        }
        rows.add(new Row(parser.getCurrentLineNumber(), found.toList()));
      }
      return rows;
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

  private static DataTable of(List<Row> all) {
    int width = all.stream().mapToInt(row -> row.cells().size()).max().orElse(1);
    List<Row> rows = new ArrayList<>(all.stream().map(row -> widened(row, width)).toList());
    boolean header = rows.size() > 1 && isHeader(rows.getFirst());
    List<String> columns = new ArrayList<>();
    for (int column = 0; column < width; column++) {
      String name = header ? rows.getFirst().cells().get(column) : "";
      columns.add(name.isEmpty() ? String.valueOf((char) ('A' + column % 26)) : name);
    }
    return new DataTable(columns, header ? rows.subList(1, rows.size()) : rows);
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
