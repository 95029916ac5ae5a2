package dynamorph.app.sheet;

import dynamorph.app.message.Messages;
import dynamorph.app.session.Workspace;
import dynamorph.model.edit.sheet.ChangeParts;
import dynamorph.model.edit.sheet.SetInRows;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.sheet.SheetRow;
import dynamorph.model.sheet.view.Column;
import dynamorph.typeset.caption.CueText;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Edits cells of a sheet where they stand. */
final class CellEditing {
  private final Workspace workspace;
  private final SheetPane pane;
  private Optional<Place> open = Optional.empty();

  /** A cell that is edited. */
  private record Place(SheetRow row, Column column) {}

  CellEditing(Workspace workspace, SheetPane pane) {
    this.workspace = workspace;
    this.pane = pane;
  }

  /** Whether a cell is edited. */
  boolean isOpen() {
    return open.isPresent();
  }

  boolean isOpen(SheetRow row, Column column) {
    return open.filter(
            place -> place.row().key().equals(row.key()) && place.column().equals(column))
        .isPresent();
  }

  /** Edits a cell where it stands; a value is for all that are selected. */
  void begin(SheetRow row, Column column) {
    if (!pane.look().columns().contains(column)) {
      return;
    }
    if (!pane.isSelected(row)) {
      pane.select(List.of(row));
    }
    open = Optional.empty();
    pane.showAll();
    open = Optional.of(new Place(row, column));
    pane.showRow(row);
  }

  /**
   * Ends editing.
   *
   * @param typed what is taken; nothing if it is given up
   * @param next whether the next text is selected then
   */
  void end(Optional<String> typed, boolean next) {
    Optional<Place> ended = open;
    if (ended.isEmpty()) {
      return;
    }
    open = Optional.empty();
    pane.focusList();
    ended.ifPresent(place -> typed.ifPresent(text -> take(place, text)));
    pane.showAll();
    if (next && ended.get().column() == Column.Fact.WORDS) {
      List<SheetRow.Key> all = pane.listed().stream().map(SheetRow::key).toList();
      int at = all.indexOf(ended.get().row().key());
      if (at >= 0 && at + 1 < all.size()) {
        pane.select(List.of(pane.listed().get(at + 1)));
      }
    }
  }

  private void take(Place place, String typed) {
    switch (place.column()) {
      case Column.Fact _ -> {
        if (!CueText.inLines(place.row().layer().story()).equals(typed)) {
          workspace.apply(
              new ChangeParts(
                  Map.of(place.row(), story -> CueText.retoldInLines(story, typed)),
                  Messages.of("sheet.edit")));
        }
      }
      case Column.Value(PropertyKey<?> key) -> {
        boolean changed =
            pane.sheet()
                .flatMap(sheet ->
                    pane.listed().stream()
                        .filter(row -> row.key().equals(place.row().key()))
                        .findFirst()
                        .map(row -> sheet.text(row, place.column())))
                .filter(typed::equals)
                .isEmpty();
        if (changed || pane.chosen().size() > 1) {
          workspace.apply(new SetInRows(SheetRow.target(pane.chosen()), key, typed));
        }
      }
    }
  }
}
