package dynamorph.app.sheet;

import dynamorph.app.message.Messages;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.formats.table.WordTable;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.sheet.ChangeParts;
import dynamorph.model.edit.sheet.SetInRows;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.sheet.Sheet;
import dynamorph.model.sheet.SheetRow;
import dynamorph.model.sheet.view.Column;
import dynamorph.model.text.Story;
import dynamorph.typeset.caption.CueText;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * Cells of selected texts to and from a spreadsheet, as text with tabs between columns. With the
 * names of columns in the first row cells go to these, without to the words.
 */
final class SheetClipboard {
  private final Workspace workspace;

  SheetClipboard(Workspace workspace) {
    this.workspace = workspace;
  }

  void copy(Sheet sheet, List<SheetRow> rows, List<Column> columns) {
    StringBuilder table = new StringBuilder();
    CSVFormat format = CSVFormat.TDF;
    table.append(format.format(columns.stream().map(Column::label).toArray())).append("\n");
    for (SheetRow row : rows) {
      table
          .append(
              format.format(
                  columns.stream()
                      .map(column ->
                          WordTable.guarded(
                              column == Column.Fact.WORDS
                                  ? CueText.inLines(row.layer().story())
                                  : sheet.text(row, column)))
                      .toArray()))
          .append("\n");
    }
    ClipboardContent content = new ClipboardContent();
    content.putString(table.toString());
    Clipboard.getSystemClipboard().setContent(content);
    workspace.tell(Notice.info(Messages.of("sheet.copied", rows.size())));
  }

  /**
   * Puts the rows that lie on the clipboard on the selected texts, in the order of the sheet. What
   * is as the sheet shows it is left alone: a text of several sizes keeps them.
   */
  void paste(Sheet sheet, List<SheetRow> rows, List<Column> shown) {
    String text = Clipboard.getSystemClipboard().getString();
    if (text == null || text.isBlank() || rows.isEmpty()) {
      workspace.tell(Notice.info(Messages.of("sheet.nothing-to-paste")));
      return;
    }
    List<List<String>> table = new ArrayList<>();
    try (CSVParser parser =
        CSVFormat.TDF.builder().setTrim(false).get().parse(new StringReader(text))) {
      for (CSVRecord found : parser) {
        table.add(found.toList());
      }
    } catch (IOException | UncheckedIOException | IllegalStateException broken) {
      workspace.tell(
          Notice.problem(Messages.of("sheet.no-table", String.valueOf(broken.getMessage()))));
      return;
    }
    List<Optional<Column>> columns = columns(table.getFirst(), shown);
    boolean named = columns.stream().anyMatch(Optional::isPresent);
    List<List<String>> cells = named ? table.subList(1, table.size()) : table;
    apply(sheet, rows, cells, named ? columns : List.of(Optional.of(Column.Fact.WORDS)));
  }

  private static List<Optional<Column>> columns(List<String> names, List<Column> shown) {
    return names.stream()
        .map(name ->
            shown.stream().filter(column -> column.label().equals(name.strip())).findFirst())
        .toList();
  }

  private void apply(
      Sheet sheet, List<SheetRow> rows, List<List<String>> cells, List<Optional<Column>> columns) {
    Map<SheetRow, UnaryOperator<Story>> stories = new LinkedHashMap<>();
    List<Edit> edits = new ArrayList<>();
    int count = Math.min(rows.size(), cells.size());
    for (int index = 0; index < count; index++) {
      SheetRow shown = rows.get(index);
      List<String> row = cells.get(index);
      for (int at = 0; at < Math.min(row.size(), columns.size()); at++) {
        String cell = WordTable.unguarded(row.get(at));
        switch (columns.get(at).orElse(null)) {
          case Column.Fact fact when fact == Column.Fact.WORDS ->
              stories.put(shown, story -> CueText.retoldInLines(story, cell));
          case Column.Value column when cell.equals(sheet.text(shown, column)) -> {}
          case Column.Value(PropertyKey<?> key) ->
              edits.add(new SetInRows(SheetRow.target(List.of(shown)), key, "=" + cell));
          case null, default -> {}
        }
      }
    }
    if (!stories.isEmpty()) {
      // values first: they name letters where these stand now
      edits.add(new ChangeParts(stories, Messages.of("sheet.edit")));
    }
    String label = Messages.of("sheet.paste-into", count);
    if (!edits.isEmpty() && workspace.apply(Edit.together(label, edits.toArray(Edit[]::new)))) {
      workspace.tell(Notice.offering(label, Messages.of("common.undo"), workspace::undo));
    }
  }
}
