package dynamorph.app.sheet;

import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.property.SourceNames;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Source;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.sheet.Sheet;
import dynamorph.model.sheet.SheetRow;
import dynamorph.model.sheet.view.Column;
import dynamorph.model.text.Paragraph;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;

/** A text as a row: its picture, its words, where it is, and values as columns. */
final class RowCell extends HBox {
  private static final PseudoClass SELECTED = PseudoClass.getPseudoClass("selected");
  private static final PseudoClass UNMARKED = PseudoClass.getPseudoClass("unmarked");

  private final SheetPane pane;
  private final ImageView picture = new ImageView();
  private final StackPane frame = new StackPane(picture);
  private Optional<SheetRow> row = Optional.empty();

  RowCell(SheetPane pane) {
    super(8);
    this.pane = pane;
    getStyleClass().add("sheet-row");
    setAlignment(Pos.CENTER_LEFT);
    frame.getStyleClass().add("sheet-picture");
    // the cell is as wide as the list and never wider
    setMinWidth(0);
    setPrefWidth(0);
  }

  Optional<SheetRow> row() {
    return row;
  }

  void show(SheetRow shown, Sheet sheet) {
    row = Optional.of(shown);
    getChildren().setAll(frame);
    int width = pane.look().pictureWidthProperty().get();
    int height = pane.look().pictureHeight();
    frame.setMinSize(width + 2.0, height + 2.0);
    frame.setMaxSize(width + 2.0, height + 2.0);
    pane.found(shown).ifPresent(found -> pane.pictures().showAlone(picture, found, width, height));
    for (Column column : pane.look().shown()) {
      getChildren().add(cell(shown, column, sheet));
    }
    mark();
  }

  void mark() {
    row.ifPresent(shown -> {
      pseudoClassStateChanged(SELECTED, pane.isSelected(shown));
      pseudoClassStateChanged(UNMARKED, !pane.isMarked(shown));
    });
  }

  private Node cell(SheetRow shown, Column column, Sheet sheet) {
    if (pane.editing().isOpen(shown, column)) {
      return sized(editor(shown, column, sheet), column);
    }
    if (column == Column.Fact.WORDS) {
      Optional<Region> replaced = pane.replaced(shown);
      if (replaced.isPresent()) {
        Region words = replaced.get();
        words.setMaxHeight(ReplacedWords.whole(pane.look().pictureHeight()));
        words.setUserData(column);
        return sized(words, column);
      }
    }
    Label label = new Label(text(shown, column, sheet));
    label.getStyleClass().add("sheet-cell");
    label.setUserData(column);
    if (column == Column.Fact.LOCAL) {
      label.getStyleClass().add("local-text");
    }
    if (column == Column.Fact.WORDS) {
      label.setWrapText(true);
      label.setMaxHeight(pane.look().pictureHeight());
      label.getStyleClass().add("sheet-words");
    }
    if (!(column instanceof Column.Value(PropertyKey<?> key))) {
      if (column == Column.Fact.STYLES && Sheet.local(shown) > 0) {
        Label local = new Label(Messages.of("common.local", Sheet.local(shown)));
        local.getStyleClass().add("badge-local");
        local.setMinWidth(Region.USE_PREF_SIZE);
        label.setMinWidth(0);
        HBox both = new HBox(6, label, local);
        both.setAlignment(Pos.CENTER_LEFT);
        both.setUserData(column);
        return sized(both, column);
      }
      return sized(label, column);
    }
    Region mark = new Region();
    mark.getStyleClass().add("sheet-mark");
    source(sheet.cascade(), shown, key)
        .ifPresent(source -> {
          boolean local =
              source instanceof Source.LocalChange || source instanceof Source.TrackChange;
          mark.getStyleClass().add(local ? "mark-local" : "mark-style");
          Tips.on(label, SourceNames.of(sheet.project(), source));
        });
    HBox value = new HBox(6, mark, label);
    value.setAlignment(Pos.CENTER_LEFT);
    value.setUserData(column);
    label.setMinWidth(0);
    return sized(value, column);
  }

  private Node sized(Region cell, Column column) {
    double width = pane.look().width(column);
    if (SheetLayout.grows(column)) {
      HBox.setHgrow(cell, Priority.ALWAYS);
      cell.setMinWidth(width);
      cell.setPrefWidth(width);
      cell.setMaxWidth(Double.MAX_VALUE);
    } else {
      cell.setMinWidth(width);
      cell.setPrefWidth(width);
      cell.setMaxWidth(width);
    }
    return cell;
  }

  private static String text(SheetRow shown, Column column, Sheet sheet) {
    if (column instanceof Column.Value(PropertyKey<?> key) && sheet.isMixed(shown, key)) {
      return Messages.of("common.mixed");
    }
    String text = sheet.text(shown, column);
    return column == Column.Fact.WORDS ? text.replace('\u2028', '\n').strip() : text;
  }

  /** Where a value comes from; empty for what nobody set. */
  private static Optional<Source> source(Cascade cascade, SheetRow shown, PropertyKey<?> key) {
    Paragraph first = shown.layer().story().paragraphs().getFirst();
    return Optional.of(
            cascade.trace(shown.layer(), first, first.spans().getFirst(), key).winner().source())
        .filter(source -> !(source instanceof Source.Default));
  }

  // --- editing --------------------------------------------------------------------------------

  private Region editor(SheetRow shown, Column column, Sheet sheet) {
    if (column == Column.Fact.WORDS) {
      TextArea area = new TextArea(sheet.text(shown, column).replace('\u2028', '\n'));
      area.setId("sheet-words-editor");
      area.getStyleClass().add("sheet-editor");
      area.setWrapText(true);
      area.setPrefRowCount(2);
      area.setMinHeight(44);
      area.setMaxHeight(Math.max(44, pane.look().pictureHeight()));
      area.addEventFilter(
          KeyEvent.KEY_PRESSED,
          event -> {
            if (event.getCode() == KeyCode.ENTER && !event.isShiftDown()) {
              pane.editing().end(Optional.of(area.getText()), true);
              event.consume();
            } else if (event.getCode() == KeyCode.ENTER) {
              area.replaceSelection("\n");
              event.consume();
            } else if (event.getCode() == KeyCode.TAB) {
              pane.editing().end(Optional.of(area.getText()), true);
              event.consume();
            }
          });
      begin(area, area::selectAll);
      area.focusedProperty()
          .addListener((_, _, focused) -> {
            if (!focused) {
              pane.editing().end(Optional.of(area.getText()), false);
            }
          });
      return area;
    }
    TextField field = new TextField(sheet.text(shown, column));
    field.setId("sheet-value-editor");
    Tips.on(field, Messages.of("sheet.a-value-for-all-selected"));
    field.setOnAction(_ -> pane.editing().end(Optional.of(field.getText()), false));
    field
        .focusedProperty()
        .addListener((_, _, focused) -> {
          if (!focused) {
            pane.editing().end(Optional.empty(), false);
          }
        });
    begin(field, field::selectAll);
    return field;
  }

  private void begin(Node editor, Runnable select) {
    editor.addEventHandler(
        KeyEvent.KEY_PRESSED,
        event -> {
          if (event.getCode() == KeyCode.ESCAPE) {
            pane.editing().end(Optional.empty(), false);
            event.consume();
          }
        });
    javafx.application.Platform.runLater(() -> {
      editor.requestFocus();
      select.run();
    });
  }
}
