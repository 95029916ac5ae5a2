package dynamorph.model.sheet.view;

import dynamorph.model.message.Messages;
import java.util.List;
import java.util.Objects;

/**
 * A way to see the texts of a project that it keeps under a name.
 *
 * @param name what people call it
 * @param columns in their order, each once
 * @param inFrames whether texts are shown where they stand instead of as rows
 * @param pictureWidth of the pictures, in units of the window, from {@value #SMALLEST} to {@value
 *     #LARGEST}
 */
public record SheetView(
    String name, SheetOrder order, List<Column> columns, boolean inFrames, int pictureWidth) {
  public static final int SMALLEST = 64;
  public static final int LARGEST = 360;
  private static final int USUAL_WIDTH = 96;

  /** As a sheet begins: all texts as rows, by style. It has no name. */
  public static final SheetView USUAL =
      new SheetView("", SheetOrder.USUAL, SheetOrder.COLUMNS, false, USUAL_WIDTH);

  public SheetView {
    Objects.requireNonNull(name, "name");
    Objects.requireNonNull(order, "order");
    // in frames whole texts are seen
    order = inFrames ? order.withUnit(RowUnit.TEXT) : order;
    columns = columns.stream().distinct().toList();
    if (pictureWidth < SMALLEST || pictureWidth > LARGEST) {
      throw new IllegalArgumentException(
          Messages.of("sheet-view.picture-width-expected", pictureWidth, SMALLEST, LARGEST));
    }
  }

  public SheetView withName(String changed) {
    return new SheetView(changed, order, columns, inFrames, pictureWidth);
  }
}
