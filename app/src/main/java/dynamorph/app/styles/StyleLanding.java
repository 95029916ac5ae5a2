package dynamorph.app.styles;

import dynamorph.model.LayerId;
import dynamorph.model.edit.Edit;
import dynamorph.model.style.StyleId;
import java.util.Optional;
import javafx.geometry.Point2D;

/** A place outside the stage that styles can be dropped on. */
public interface StyleLanding {
  /** Has no room for any. */
  StyleLanding NONE =
      new StyleLanding() {
        @Override
        public Optional<LayerId> layerAt(Point2D inWindow) {
          return Optional.empty();
        }

        @Override
        public Optional<Edit> over(Point2D inWindow, StyleId style, boolean onTop) {
          return Optional.empty();
        }
      };

  /** The text that is shown at a point of the window. */
  Optional<LayerId> layerAt(Point2D inWindow);

  /**
   * What else dropping a style at a point of the window would do; marks the place, or takes the
   * mark away where nothing can be dropped.
   */
  Optional<Edit> over(Point2D inWindow, StyleId style, boolean onTop);
}
