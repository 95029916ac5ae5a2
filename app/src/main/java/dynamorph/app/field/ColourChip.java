package dynamorph.app.field;

import dynamorph.model.value.Rgba;
import javafx.scene.paint.Color;
import javafx.scene.shape.Rectangle;

/** A small square of a colour. */
public final class ColourChip extends Rectangle {
  /**
   * @param side in units of the window
   */
  public ColourChip(Rgba colour, double side) {
    super(
        side, side, Color.rgb(colour.red(), colour.green(), colour.blue(), colour.alpha() / 255.0));
    getStyleClass().add("colour-chip");
  }
}
