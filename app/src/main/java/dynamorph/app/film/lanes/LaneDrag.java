package dynamorph.app.film.lanes;

import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;

/** A drag over the lanes, from the press to the release of the mouse. */
interface LaneDrag {
  /** The mouse is at a place of the lanes. */
  void to(MouseEvent event);

  /** The mouse was released. */
  default void end() {}

  /** Paints over the lanes while it lasts. */
  default void paint(GraphicsContext g, LaneColours colours) {}
}
