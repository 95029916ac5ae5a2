package dynamorph.app.sheet;

import dynamorph.app.message.Messages;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Selection;
import dynamorph.app.session.Workspace;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.layer.ArrangeLayers;
import dynamorph.model.edit.sheet.ChangeParts;
import dynamorph.model.edit.sheet.SetInRows;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.sheet.Sheet;
import dynamorph.model.sheet.SheetRow;
import dynamorph.model.sheet.view.Column;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;

/** What mouse and keys do in a sheet. */
final class SheetHands {
  private final Workspace workspace;
  private final SheetPane pane;
  private final CellEditing editing;
  private final SheetClipboard clipboard;
  private Optional<SheetRow> anchor = Optional.empty();

  SheetHands(Workspace workspace, SheetPane pane, CellEditing editing) {
    this.workspace = workspace;
    this.pane = pane;
    this.editing = editing;
    this.clipboard = new SheetClipboard(workspace);
  }

  void pressed(MouseEvent event) {
    Optional<SheetRow> row = rowAt(event.getTarget());
    if (row.isEmpty() || event.getButton() != MouseButton.PRIMARY) {
      return;
    }
    SheetRow clicked = row.get();
    pane.focusList();
    if (event.getClickCount() == 2 && !event.isShiftDown() && !event.isShortcutDown()) {
      Optional<Column> column = columnAt(event.getTarget());
      if (column.filter(SheetHands::isEdited).isPresent()) {
        editing.begin(clicked, column.get());
      } else if (isPlace(event.getTarget(), column)) {
        pane.goTo(clicked);
      }
      event.consume();
      return;
    }
    if (event.isShiftDown() && anchor.isPresent()) {
      pane.select(between(anchor.get(), clicked));
    } else if (event.isShortcutDown()) {
      anchor = Optional.of(clicked);
      toggle(clicked);
    } else if (!(event.getClickCount() == 1
        && pane.isSelected(clicked)
        && isSeveral()
        && isCell(event))) {
      anchor = Optional.of(clicked);
      pane.select(List.of(clicked));
    }
  }

  /** The latest comes last, as with layers on the stage. */
  private void toggle(SheetRow row) {
    if (row.words().isEmpty()) {
      workspace.selectionProperty().set(workspace.selection().toggled(row.id()));
      return;
    }
    List<SheetRow> rows = new ArrayList<>(pane.chosen());
    if (!rows.removeIf(one -> one.key().equals(row.key()))) {
      rows.add(row);
    }
    pane.select(rows);
  }

  /** A second click on a value must find the selection that it is meant for. */
  private boolean isSeveral() {
    return pane.chosen().size() > 1;
  }

  private static boolean isCell(MouseEvent event) {
    return columnAt(event.getTarget()).filter(SheetHands::isEdited).isPresent();
  }

  /** Whether two clicks mean the place of a text: its picture, or where and when it stands. */
  private static boolean isPlace(Object target, Optional<Column> column) {
    return column.filter(one -> one == Column.Fact.PLACE || one == Column.Fact.TIME).isPresent()
        || upwards(target)
            .anyMatch(node ->
                node instanceof FrameCard || node.getStyleClass().contains("sheet-picture"));
  }

  private static boolean isEdited(Column column) {
    return column == Column.Fact.WORDS || column instanceof Column.Value;
  }

  private static Optional<SheetRow> rowAt(Object target) {
    return upwards(target)
        .flatMap(node ->
            switch (node) {
              case RowCell cell -> cell.row().stream();
              case FrameCard card -> Stream.of(card.row());
              default -> Stream.empty();
            })
        .findFirst();
  }

  private static Optional<Column> columnAt(Object target) {
    return upwards(target)
        .map(Node::getUserData)
        .filter(Column.class::isInstance)
        .map(Column.class::cast)
        .findFirst();
  }

  /** A node and all that it lies in. */
  private static Stream<Node> upwards(Object target) {
    return target instanceof Node node
        ? Stream.iterate(node, Objects::nonNull, Node::getParent)
        : Stream.empty();
  }

  private List<SheetRow> between(SheetRow one, SheetRow other) {
    List<SheetRow> all = pane.listed();
    int from = indexOf(all, one);
    int to = indexOf(all, other);
    return from < 0 || to < 0
        ? List.of(other)
        : all.subList(Math.min(from, to), Math.max(from, to) + 1);
  }

  private static int indexOf(List<SheetRow> rows, SheetRow wanted) {
    for (int index = 0; index < rows.size(); index++) {
      if (rows.get(index).key().equals(wanted.key())) {
        return index;
      }
    }
    return -1;
  }

  void key(KeyEvent event) {
    if (editing.isOpen()) {
      return;
    }
    if (event.isShortcutDown()) {
      if (event.getCode() == KeyCode.A) {
        pane.select(pane.listed());
        event.consume();
      } else if (event.getCode() == KeyCode.F) {
        pane.find();
        event.consume();
      } else if (event.getCode() == KeyCode.C) {
        pane.sheet()
            .ifPresent(shown -> clipboard.copy(shown, pane.chosen(), pane.look().columns()));
        event.consume();
      } else if (event.getCode() == KeyCode.V) {
        pane.sheet()
            .ifPresent(shown -> clipboard.paste(shown, pane.chosen(), pane.look().columns()));
        event.consume();
      } else if (event.getCode() == KeyCode.D) {
        fillDown();
        event.consume();
      }
      return;
    }
    switch (event.getCode()) {
      case DOWN -> move(1, event);
      case UP -> move(-1, event);
      case RIGHT -> moveInFrames(1, event);
      case LEFT -> moveInFrames(-1, event);
      case ENTER -> {
        latest().ifPresent(pane::goTo);
        event.consume();
      }
      case F2 -> {
        if (!pane.look().inFramesProperty().get()) {
          latest().ifPresent(row -> editing.begin(row, Column.Fact.WORDS));
        }
        event.consume();
      }
      case DELETE -> {
        delete();
        event.consume();
      }
      case ESCAPE -> {
        workspace.select(List.of());
        event.consume();
      }
      default -> {}
    }
  }

  /** Texts go whole; of parts only their letters. */
  private void delete() {
    Selection selected = workspace.selection();
    if (!selected.passages().isEmpty()) {
      workspace.apply(ChangeParts.delete(pane.chosen()));
    } else if (!selected.isEmpty()) {
      workspace.apply(new ArrangeLayers.Delete(selected.layers()));
    }
  }

  /** Gives all selected texts the values that the first of them has in the columns shown. */
  private void fillDown() {
    List<SheetRow> rows = pane.chosen();
    Optional<Sheet> shown = pane.sheet();
    if (rows.size() < 2 || shown.isEmpty()) {
      workspace.tell(Notice.info(Messages.of("sheet.select-several-to-fill")));
      return;
    }
    Target others = SheetRow.target(rows.subList(1, rows.size()));
    List<Edit> edits = new ArrayList<>();
    for (Column column : pane.look().columns()) {
      if (column instanceof Column.Value(PropertyKey<?> key)) {
        edits.add(new SetInRows(others, key, "=" + shown.get().text(rows.getFirst(), column)));
      }
    }
    String label = Messages.of("sheet.fill-down", rows.size() - 1);
    if (!edits.isEmpty() && workspace.apply(Edit.together(label, edits.toArray(Edit[]::new)))) {
      workspace.tell(Notice.offering(label, Messages.of("common.undo"), workspace::undo));
    }
  }

  private Optional<SheetRow> latest() {
    List<SheetRow> rows = pane.chosen();
    Selection now = workspace.selection();
    return rows.stream()
        .filter(row ->
            now.passages().isEmpty()
                ? row.id().equals(now.layers().getLast())
                : row.words().filter(now.passages().getLast()::equals).isPresent())
        .findFirst();
  }

  private void moveInFrames(int by, KeyEvent event) {
    if (pane.look().inFramesProperty().get()) {
      step(by, event);
    }
  }

  private void move(int by, KeyEvent event) {
    step(by * (pane.look().inFramesProperty().get() ? pane.look().across() : 1), event);
  }

  private void step(int by, KeyEvent event) {
    List<SheetRow> all = pane.listed();
    if (all.isEmpty()) {
      return;
    }
    int at = latest().map(row -> indexOf(all, row)).orElse(-1);
    SheetRow next = all.get(at < 0 ? 0 : Math.clamp(at + (long) by, 0, all.size() - 1));
    if (event.isShiftDown() && anchor.isPresent()) {
      List<SheetRow> range = new ArrayList<>(between(anchor.get(), next));
      range.removeIf(row -> row.key().equals(next.key()));
      range.add(next);
      pane.select(range);
    } else {
      anchor = Optional.of(next);
      pane.select(List.of(next));
    }
    pane.reveal(next);
    event.consume();
  }
}
