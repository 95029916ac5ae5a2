package dynamorph.model.edit.sheet;

import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.message.Messages;
import dynamorph.model.sheet.view.SheetView;
import java.util.List;

/** Calls a view of the sheet by another name. */
public record RenameSheetView(String name, String to) implements Edit {
  @Override
  public Project applyTo(Project before) {
    List<String> names = before.sheetViews().stream().map(SheetView::name).toList();
    if (!names.contains(name)) {
      throw new EditRefused(Messages.of("sheet-view.is-no-longer-there", name));
    }
    if (to.isBlank()) {
      throw new EditRefused(Messages.of("keep-sheet-view.give-it-a-name"));
    }
    if (to.equals(name)) {
      return before;
    }
    if (names.contains(to)) {
      throw new EditRefused(Messages.of("rename-sheet-view.there-is-one-already", to));
    }
    return before.withSheetViews(
        before.sheetViews().stream()
            .map(view -> view.name().equals(name) ? view.withName(to) : view)
            .toList());
  }

  @Override
  public String label(Project before) {
    return Messages.of("rename-sheet-view.rename", name, to);
  }
}
