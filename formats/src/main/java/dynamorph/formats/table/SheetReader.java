package dynamorph.formats.table;

import dynamorph.formats.file.XmlNode;
import dynamorph.formats.file.XmlParts;
import dynamorph.formats.message.Messages;
import dynamorph.model.fill.DataTable.Row;
import java.io.IOException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * Reads the first sheet of a workbook: Office Open XML (ECMA-376, part 1, SpreadsheetML) or
 * OpenDocument (ODF 1.3, part 3). Cells are as they are stored: days as 2026-11-30, numbers with a
 * point.
 */
final class SheetReader {
  private static final int MOST_CELLS = 2_000_000;

  /** A row or column that is repeated more often than this is the empty rest of a sheet. */
  private static final int MOST_REPEATED = 1000;

  /** The formats of numbers that show days without being listed in the file (18.8.30). */
  private static final Set<Integer> DAYS = Set.of(14, 15, 16, 17, 22);

  private SheetReader() {}

  static List<Row> read(Path file) throws IOException {
    try (XmlParts parts = new XmlParts(file)) {
      return parts.names().contains("content.xml") ? openDocument(parts) : workbook(parts, file);
    }
  }

  // --- Office Open XML

  private static List<Row> workbook(XmlParts parts, Path file) throws IOException {
    String name = String.valueOf(file.getFileName());
    List<String> shared = new ArrayList<>();
    parts.find("xl/sharedStrings.xml").stream()
        .flatMap(XmlNode::elements)
        .forEach(item -> shared.add(words(item)));
    List<Boolean> days = days(parts);
    XmlNode sheet =
        parts
            .find(firstSheet(parts))
            .orElseThrow(() -> new IOException(Messages.of("sheet-reader.no-sheet", name)));
    List<Row> rows = new ArrayList<>();
    int cells = 0;
    for (XmlNode row :
        sheet.child("x:sheetData").map(data -> data.elements().toList()).orElse(List.of())) {
      TreeMap<Integer, String> filled = new TreeMap<>();
      int next = 0;
      for (XmlNode cell : row.elements().filter(one -> one.name().equals("x:c")).toList()) {
        int column = column(cell.get("r"), next);
        next = column + 1;
        filled.put(column, value(cell, shared, days));
        if (++cells > MOST_CELLS) {
          throw new IOException(Messages.of("sheet-reader.too-many-cells", name, MOST_CELLS));
        }
      }
      String number = row.get("r", "");
      long line = number.matches("\\d{1,7}") ? Long.parseLong(number) : rows.size() + 1;
      add(rows, line, filled);
    }
    return rows;
  }

  private static void add(List<Row> rows, long line, TreeMap<Integer, String> filled) {
    if (filled.values().stream().allMatch(String::isBlank)) {
      return;
    }
    List<String> cells = new ArrayList<>();
    for (int column = 0; column <= filled.lastKey(); column++) {
      cells.add(filled.getOrDefault(column, ""));
    }
    rows.add(new Row(line, cells));
  }

  /** The words of a string with runs; how they are read is no part of them. */
  private static String words(XmlNode item) {
    StringBuilder words = new StringBuilder();
    for (XmlNode node : item.elements().toList()) {
      switch (node.name()) {
        case "x:t" -> words.append(node.text());
        case "x:r", "x:is" -> words.append(words(node));
        default -> {}
      }
    }
    return words.toString();
  }

  private static String firstSheet(XmlParts parts) throws IOException {
    Optional<String> id =
        parts
            .find("xl/workbook.xml")
            .flatMap(book -> book.child("x:sheets"))
            .flatMap(sheets -> sheets.elements().findFirst())
            .flatMap(sheet -> Optional.ofNullable(sheet.get("r:id")));
    Map<String, String> targets = new HashMap<>();
    parts.find("xl/_rels/workbook.xml.rels").stream()
        .flatMap(XmlNode::elements)
        .forEach(link -> targets.put(link.get("Id", ""), link.get("Target", "")));
    String target = id.map(targets::get).orElse("worksheets/sheet1.xml");
    return target.startsWith("/") ? target.substring(1) : "xl/" + target;
  }

  /** Whether each format of cells shows a day. */
  private static List<Boolean> days(XmlParts parts) throws IOException {
    Map<String, Boolean> own = new HashMap<>();
    List<Boolean> days = new ArrayList<>();
    Optional<XmlNode> styles = parts.find("xl/styles.xml");
    styles.flatMap(root -> root.child("x:numFmts")).stream()
        .flatMap(XmlNode::elements)
        .forEach(format ->
            own.put(
                format.get("numFmtId", ""),
                format
                    .get("formatCode", "")
                    .replaceAll("\"[^\"]*\"|\\[[^\\]]*\\]|\\\\.", "")
                    .matches("(?i).*[dy].*")));
    styles.flatMap(root -> root.child("x:cellXfs")).stream()
        .flatMap(XmlNode::elements)
        .forEach(format -> {
          String id = format.get("numFmtId", "0");
          boolean known = id.matches("\\d{1,4}") && DAYS.contains(Integer.parseInt(id));
          days.add(own.getOrDefault(id, known));
        });
    return days;
  }

  private static int column(@Nullable String reference, int otherwise) {
    if (reference == null || !reference.matches("[A-Z]{1,3}\\d{1,7}")) {
      return otherwise;
    }
    int column = 0;
    for (int index = 0; Character.isLetter(reference.charAt(index)); index++) {
      column = column * 26 + reference.charAt(index) - 'A' + 1;
    }
    return column - 1;
  }

  private static String value(XmlNode cell, List<String> shared, List<Boolean> days) {
    String raw = cell.child("x:v").map(XmlNode::text).orElse("");
    return switch (cell.get("t", "n")) {
      case "s" ->
          raw.matches("\\d{1,9}") && Integer.parseInt(raw) < shared.size()
              ? shared.get(Integer.parseInt(raw))
              : "";
      case "inlineStr" -> words(cell);
      case "b" -> raw.equals("1") ? "yes" : "no";
      case "e" -> "";
      case "n" -> number(raw, isDay(cell.get("s", "0"), days));
      default -> raw;
    };
  }

  private static boolean isDay(String style, List<Boolean> days) {
    return style.matches("\\d{1,6}")
        && Integer.parseInt(style) < days.size()
        && days.get(Integer.parseInt(style));
  }

  /** Days are counted from the end of 1899 (18.17.4.1). */
  private static String number(String raw, boolean day) {
    if (!raw.matches("-?\\d{1,15}(\\.\\d{1,20})?([eE][-+]?\\d{1,3})?")) {
      return raw;
    }
    double value = Double.parseDouble(raw);
    if (day && value >= 1 && value < 3_000_000) {
      return LocalDate.of(1899, 12, 30).plusDays((long) value).toString();
    }
    return value == Math.rint(value) && Math.abs(value) < 1e15
        ? String.valueOf((long) value)
        : String.valueOf(value);
  }

  // --- OpenDocument

  private static List<Row> openDocument(XmlParts parts) throws IOException {
    List<Row> rows = new ArrayList<>();
    Optional<XmlNode> table =
        parts
            .part("content.xml")
            .child("office:body")
            .flatMap(body -> body.child("office:spreadsheet"))
            .flatMap(sheets -> sheets.child("table:table"));
    long line = 0;
    for (XmlNode row : table.map(one -> one.all("table:table-row").toList()).orElse(List.of())) {
      int times = repeated(row.get("table:number-rows-repeated"));
      TreeMap<Integer, String> filled = new TreeMap<>();
      int column = 0;
      for (XmlNode cell : row.elements().toList()) {
        int wide = repeated(cell.get("table:number-columns-repeated"));
        String value = value(cell);
        for (int index = 0; index < wide && wide <= MOST_REPEATED && !value.isEmpty(); index++) {
          filled.put(column + index, value);
        }
        column = Math.min(column + wide, MOST_CELLS);
      }
      for (int index = 0; index < times && times <= MOST_REPEATED; index++) {
        add(rows, line + index + 1, filled);
      }
      line += times;
    }
    return rows;
  }

  private static int repeated(@Nullable String count) {
    return count != null && count.matches("\\d{1,9}") ? Math.max(1, Integer.parseInt(count)) : 1;
  }

  private static String value(XmlNode cell) {
    return switch (cell.get("office:value-type", "string")) {
      case "float", "currency", "percentage" -> number(cell.get("office:value", ""), false);
      case "date" -> cell.get("office:date-value", "").replaceAll("T00:00.*", "");
      case "boolean" -> cell.get("office:boolean-value", "").equals("true") ? "yes" : "no";
      default ->
          String.join(
              "\n",
              cell.elements()
                  .filter(one -> one.name().equals("text:p"))
                  .map(XmlNode::text)
                  .toList());
    };
  }
}
