package dynamorph.model.edit.sheet;

import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.message.Messages;
import dynamorph.model.sheet.view.SheetView;
import java.util.List;

/** Deletes a view of the sheet; its texts stay as they are. */
public record DeleteSheetView(String name) implements Edit {
  @Override
  public Project applyTo(Project before) {
    List<SheetView> left =
        before.sheetViews().stream().filter(view -> !view.name().equals(name)).toList();
    if (left.size() == before.sheetViews().size()) {
      throw new EditRefused(Messages.of("sheet-view.is-no-longer-there", name));
    }
    return before.withSheetViews(left);
  }

  @Override
  public String label(Project before) {
    return Messages.of("delete-sheet-view.delete", name);
  }
}
