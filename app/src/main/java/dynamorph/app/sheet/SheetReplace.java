package dynamorph.app.sheet;

import dynamorph.app.field.Controls;
import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.model.edit.text.ReplaceWords;
import dynamorph.model.reach.WordSearch;
import dynamorph.model.sheet.RowSearch;
import dynamorph.model.sheet.Sheet;
import dynamorph.model.sheet.SheetRow;
import dynamorph.model.text.WordQuery;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.feather.Feather;

/**
 * Finds words in the rows that are selected, or in all that are listed, and replaces them. Each row
 * shows what would become of its words before anything is changed.
 */
final class SheetReplace extends VBox {
  private final Workspace workspace;
  private final SheetPane pane;
  private final TextField words = field("sheet-find", "find-pane.find");
  private final TextField replacement = field("sheet-replacement", "find-pane.replace-with");
  private final CheckBox matchCase = new CheckBox(Messages.of("find-pane.match-case"));
  private final CheckBox wholeWords = new CheckBox(Messages.of("find-pane.whole-words"));
  private final Label count = new Label();
  private final Button replace = new Button(Messages.of("find-pane.replace-all"));
  private final CheckBox only = new CheckBox(Messages.of("sheet-replace.only"));

  /** In all rows, so that those without can be left out. */
  private Map<SheetRow.Key, List<WordSearch.Hit>> found = Map.of();

  /** Rows whose words were replaced stay listed until others are looked for. */
  private Set<SheetRow.Key> done = Set.of();

  /** In the rows that are meant. */
  private Map<SheetRow.Key, List<WordSearch.Hit>> hits = Map.of();

  SheetReplace(Workspace workspace, SheetPane pane) {
    super(8);
    this.workspace = workspace;
    this.pane = pane;
    getStyleClass().add("sheet-replace");
    setId("sheet-replace");
    count.setId("sheet-replace-count");
    count.getStyleClass().add("quiet");
    replace.setId("sheet-replace-all");
    replace.setMinWidth(USE_PREF_SIZE);
    Tips.on(replace, Messages.of("sheet-replace.help"));
    HBox fields =
        new HBox(
            8,
            words,
            replacement,
            replace,
            Controls.icon(Feather.X, Messages.of("common.close-esc"), this::close));
    fields.setAlignment(Pos.CENTER_LEFT);
    FlowPane options = new FlowPane(14, 6, matchCase, wholeWords, only, count);
    options.setRowValignment(VPos.CENTER);
    getChildren().addAll(fields, options);
    only.setId("sheet-replace-only");
    only.setSelected(true);
    words
        .textProperty()
        .addListener((_, _, _) -> {
          done = Set.of();
          pane.update();
        });
    replacement.textProperty().addListener((_, _, _) -> pane.showAll());
    for (CheckBox box : List.of(matchCase, wholeWords, only)) {
      box.selectedProperty().addListener((_, _, _) -> pane.update());
    }
    words.setOnAction(_ -> replacement.requestFocus());
    replacement.setOnAction(_ -> replaceAll());
    replace.setOnAction(_ -> replaceAll());
    addEventFilter(
        KeyEvent.KEY_PRESSED,
        event -> {
          if (event.getCode() == KeyCode.ESCAPE) {
            close();
            event.consume();
          }
        });
    workspace
        .selectionProperty()
        .addListener((_, _, _) -> {
          if (isVisible()) {
            search();
            pane.showAll();
          }
        });
    managedProperty().bind(visibleProperty());
    setVisible(false);
  }

  private static TextField field(String id, String prompt) {
    TextField field = new TextField();
    field.setId(id);
    field.setPromptText(Messages.of(prompt));
    field.setAccessibleText(Messages.of(prompt));
    field.setMinWidth(80);
    HBox.setHgrow(field, Priority.ALWAYS);
    return field;
  }

  /**
   * Opens it.
   *
   * @param asked what is asked for in the sheet; taken over if it is nothing but words
   */
  void open(String asked) {
    setVisible(true);
    if (!asked.isBlank() && !Sheet.isQuery(asked)) {
      words.setText(asked.strip());
    }
    words.requestFocus();
    words.selectAll();
    pane.update();
  }

  private void close() {
    setVisible(false);
    done = Set.of();
    pane.focusList();
    pane.update();
  }

  private Optional<WordQuery> query() {
    return isVisible() && !words.getText().isEmpty()
        ? Optional.of(
            new WordQuery(words.getText(), matchCase.isSelected(), wholeWords.isSelected()))
        : Optional.empty();
  }

  /** Looks for the words anew, as when other rows are listed or selected. */
  void search() {
    Optional<WordQuery> query = query();
    List<SheetRow> rows = isVisible() ? pane.rows() : List.of();
    found = query.map(asked -> RowSearch.hits(workspace.project(), asked, rows)).orElse(Map.of());
    // several that are selected are meant, whether they are left out of the list or not
    List<SheetRow> selected = rows.stream().filter(pane::isSelected).toList();
    boolean some = selected.size() > 1;
    hits = new LinkedHashMap<>(found);
    if (some) {
      hits.keySet().retainAll(selected.stream().map(SheetRow::key).collect(Collectors.toSet()));
    }
    String within =
        some
            ? Messages.of("sheet-replace.in-selected", pane.counted(selected.size()))
            : Messages.of("sheet-replace.in-listed", pane.counted(rows.size()));
    count.setText(
        query.isEmpty()
            ? within
            : hits.isEmpty()
                ? Messages.of("sheet-replace.no-place", within)
                : Messages.of("sheet-replace.places", places(), hits.size(), within));
    replace.setDisable(hits.isEmpty());
  }

  /** Whether a row is listed; those without the words are left out if that is wanted. */
  boolean isListed(SheetRow row) {
    return !only.isSelected()
        || query().isEmpty()
        || found.containsKey(row.key())
        || done.contains(row.key());
  }

  private int places() {
    return hits.values().stream().mapToInt(List::size).sum();
  }

  /** The places in a row whose words would be replaced, from its first letter. */
  List<WordSearch.Hit> hits(SheetRow row) {
    return hits.getOrDefault(row.key(), List.of());
  }

  /** What would stand in their place. */
  String replacement() {
    return replacement.getText();
  }

  private void replaceAll() {
    int places = places();
    if (places == 0) {
      return;
    }
    ReplaceWords edit =
        new ReplaceWords(hits.values().stream().flatMap(List::stream).toList(), replacement());
    Set<SheetRow.Key> rows = Set.copyOf(hits.keySet());
    if (workspace.apply(edit)) {
      done = rows;
      workspace.tell(
          Notice.offering(
              Messages.of("find-pane.replaced-in", Messages.of("find-pane.place", places)),
              Messages.of("common.undo"),
              workspace::undo));
    }
  }
}
