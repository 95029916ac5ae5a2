package dynamorph.app.styles.column;

import dynamorph.model.edit.Target;
import java.util.Optional;
import javafx.geometry.Point2D;
import javafx.scene.Node;

/** Carries looks of the shelf to texts, or into the project. */
record LookCarrier(CardGestures gestures, ShelfPart part) {
  /** A share of its size, so that what lies below is seen. */
  private static final double SMALLER = 0.7;

  /** Picks something up. */
  void pick(Node look) {
    gestures.carry(look.snapshot(null, null), look.getLayoutBounds().getWidth() * SMALLER);
  }

  void move(Point2D inWindow) {
    gestures.moveCarried(inWindow);
    part.markProject(inWindow);
  }

  void letGo() {
    gestures.letGo();
    part.markProject(new Point2D(-1, -1));
  }

  /** The texts that it would be dropped on. */
  Optional<Target.Layers> textsAt(Point2D inWindow) {
    return gestures.textsAt(inWindow);
  }

  /** Whether it would be dropped into the project. */
  boolean isProjectAt(Point2D inWindow) {
    return part.isProjectAt(inWindow);
  }
}
