package dynamorph.app.styles.column;

import dynamorph.model.LayerId;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.Target;
import dynamorph.model.style.StyleId;
import java.util.Optional;
import javafx.geometry.Point2D;

/** A place outside the stage that styles can be dropped on; without more it takes none. */
public interface StyleDropTarget {
  StyleDropTarget NONE = new StyleDropTarget() {};

  /** The text that is shown at a point of the window. */
  default Optional<LayerId> layerAt(Point2D inWindow) {
    return Optional.empty();
  }

  /** The texts that what lies at a point of the window stands for. */
  default Optional<Target.Layers> textsAt(Point2D inWindow) {
    return Optional.empty();
  }

  /** What dropping a style would do where no texts are. */
  default Optional<Edit> editAt(Point2D inWindow, StyleId style, boolean onTop) {
    return Optional.empty();
  }

  /** Marks what a style would be dropped on; takes the mark away where that is nothing. */
  default void mark(Point2D inWindow) {}
}
