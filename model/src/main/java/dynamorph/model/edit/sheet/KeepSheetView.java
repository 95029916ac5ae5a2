package dynamorph.model.edit.sheet;

import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.message.Messages;
import dynamorph.model.sheet.view.SheetView;
import java.util.ArrayList;
import java.util.List;

/** Keeps a view of the sheet; it takes the place of one of the same name. */
public record KeepSheetView(SheetView view) implements Edit {
  @Override
  public Project applyTo(Project before) {
    if (view.name().isBlank()) {
      throw new EditRefused(Messages.of("keep-sheet-view.give-it-a-name"));
    }
    List<SheetView> kept = new ArrayList<>(before.sheetViews());
    int at = kept.stream().map(SheetView::name).toList().indexOf(view.name());
    if (at < 0) {
      kept.add(view);
    } else {
      kept.set(at, view);
    }
    return kept.equals(before.sheetViews()) ? before : before.withSheetViews(kept);
  }

  @Override
  public String label(Project before) {
    return Messages.of("keep-sheet-view.keep", view.name());
  }
}
