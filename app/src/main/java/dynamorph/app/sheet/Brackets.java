package dynamorph.app.sheet;

import java.util.Locale;
import javafx.scene.layout.Region;
import javafx.scene.shape.SVGPath;

/** Marks what is selected by its four corners. */
final class Brackets extends Region {
  private static final double ARM = 9;

  private final SVGPath corners = new SVGPath();

  Brackets() {
    getStyleClass().add("brackets");
    corners.getStyleClass().add("bracket");
    setMouseTransparent(true);
    getChildren().add(corners);
  }

  @Override
  protected void layoutChildren() {
    double right = getWidth() - 1;
    double bottom = getHeight() - 1;
    corners.setContent(
        String.format(
            Locale.ROOT,
            "M1 %1$f V1 H%1$f M%2$f 1 H%3$f V%1$f M%3$f %4$f V%5$f H%2$f M%1$f %5$f H1 V%4$f",
            ARM,
            right - ARM,
            right,
            bottom - ARM,
            bottom));
  }
}
