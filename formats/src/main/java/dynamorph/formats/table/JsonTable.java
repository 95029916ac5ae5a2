package dynamorph.formats.table;

import dynamorph.formats.message.Messages;
import dynamorph.model.fill.DataTable.Row;
import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Reads a JSON list of objects as a table: a column for each name, in the order they are met. */
final class JsonTable {
  private static final JsonMapper MAPPER = JsonMapper.builder().build();
  private static final int MOST_COLUMNS = 1000;

  private JsonTable() {}

  static List<Row> rows(String text, String name) throws IOException {
    JsonNode list;
    try {
      list = MAPPER.readTree(text);
    } catch (JacksonException broken) {
      throw new IOException(
          Messages.of("json-table.is-no-json", name, broken.getOriginalMessage()), broken);
    }
    Set<String> columns = new LinkedHashSet<>();
    for (JsonNode item : list) {
      if (!item.isObject()) {
        throw new IOException(Messages.of("json-table.no-list-of-objects", name));
      }
      columns.addAll(item.propertyNames());
    }
    if (columns.size() > MOST_COLUMNS) {
      throw new IOException(Messages.of("json-table.too-many-columns", name, MOST_COLUMNS));
    }
    List<Row> rows = new ArrayList<>();
    rows.add(new Row(0, List.copyOf(columns)));
    for (JsonNode item : list) {
      List<String> cells = new ArrayList<>();
      for (String column : columns) {
        cells.add(cell(item.get(column)));
      }
      rows.add(new Row(rows.size(), cells));
    }
    return rows;
  }

  private static String cell(@org.jspecify.annotations.Nullable JsonNode value) {
    if (value == null || value.isNull() || value.isMissingNode()) {
      return "";
    }
    if (value.isBoolean()) {
      return value.booleanValue() ? "yes" : "no";
    }
    return value.isValueNode() ? value.asString() : value.toString();
  }
}
