package dynamorph.app.sheet;

import dynamorph.model.sheet.Sheet;
import dynamorph.model.sheet.SheetRow;
import java.util.List;

/** One line of the list that a sheet is. */
sealed interface SheetItem {
  /** The name of a group of texts. */
  record Heading(Sheet.Group group, boolean folded) implements SheetItem {}

  /** One text with its values. */
  record Line(SheetRow row) implements SheetItem {}

  /** Some texts beside each other, in their frames. */
  record Strip(List<SheetRow> rows) implements SheetItem {}
}
