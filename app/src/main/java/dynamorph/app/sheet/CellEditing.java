package dynamorph.app.sheet;

import dynamorph.app.message.Messages;
import dynamorph.app.session.Workspace;
import dynamorph.model.LayerId;
import dynamorph.model.edit.sheet.SetInRows;
import dynamorph.model.edit.text.ReplaceStories;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.sheet.Column;
import dynamorph.model.sheet.SheetRow;
import dynamorph.typeset.caption.CueText;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Edits cells of a sheet where they stand. */
final class CellEditing {
  private final Workspace workspace;
  private final SheetPane pane;
  private Optional<Place> open = Optional.empty();

  /** A cell that is edited. */
  private record Place(LayerId layer, Column column) {}

  CellEditing(Workspace workspace, SheetPane pane) {
    this.workspace = workspace;
    this.pane = pane;
  }

  /** Whether a cell is edited. */
  boolean isOpen() {
    return open.isPresent();
  }

  boolean isOpen(LayerId id, Column column) {
    return open.filter(new Place(id, column)::equals).isPresent();
  }

  /** Edits a cell where it stands; a value is for all that are selected. */
  void begin(LayerId id, Column column) {
    if (!pane.look().columns().contains(column)) {
      return;
    }
    if (!pane.isSelected(id)) {
      workspace.select(List.of(id));
    }
    open = Optional.empty();
    pane.showAll();
    open = Optional.of(new Place(id, column));
    pane.showRow(id);
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
      List<LayerId> all = pane.listed().stream().map(SheetRow::id).toList();
      int at = all.indexOf(ended.get().layer());
      if (at >= 0 && at + 1 < all.size()) {
        workspace.select(List.of(all.get(at + 1)));
      }
    }
  }

  private void take(Place place, String typed) {
    switch (place.column()) {
      case Column.Fact _ ->
          workspace
              .project()
              .layer(place.layer())
              .filter(layer -> !CueText.inLines(layer.story()).equals(typed))
              .ifPresent(layer ->
                  workspace.apply(
                      new ReplaceStories(
                          Map.of(layer.id(), CueText.retoldInLines(layer.story(), typed)),
                          Messages.of("sheet.edit"))));
      case Column.Value(PropertyKey<?> key) -> {
        boolean changed =
            pane.sheet()
                .flatMap(sheet ->
                    pane.listed().stream()
                        .filter(row -> row.id().equals(place.layer()))
                        .findFirst()
                        .map(row -> sheet.text(row, place.column())))
                .filter(typed::equals)
                .isEmpty();
        if (changed || workspace.selection().layers().size() > 1) {
          workspace.apply(
              new SetInRows(new LinkedHashSet<>(workspace.selection().layers()), key, typed));
        }
      }
    }
  }
}
