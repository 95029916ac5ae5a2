package dynamorph.app.artboards.arrange;

import dynamorph.paint.arrange.Alignment;
import dynamorph.paint.arrange.Axis;
import javafx.scene.Node;
import javafx.scene.shape.SVGPath;

/** Small pictures of how boxes lie on a line, in a square of 14. */
final class ArrangeIcons {
  private ArrangeIcons() {}

  static Node of(Alignment alignment) {
    return path(
        switch (alignment) {
          case LEFT -> "M0 0h1.4v14H0z M3 2h10v4H3z M3 8h6v4H3z";
          case CENTRE -> "M6.3 0h1.4v14H6.3z M1 2h12v4H1z M3.5 8h7v4h-7z";
          case RIGHT -> "M12.6 0H14v14h-1.4z M1 2h10v4H1z M5 8h6v4H5z";
          case TOP -> "M0 0h14v1.4H0z M2 3h4v10H2z M8 3h4v6H8z";
          case MIDDLE -> "M0 6.3h14v1.4H0z M2 1h4v12H2z M8 3.5h4v7H8z";
          case BOTTOM -> "M0 12.6h14V14H0z M2 1h4v10H2z M8 5h4v6H8z";
          case BASELINE ->
              "M0 11.2h14v1.4H0z M0.4 10 3.6 1h1.6l3.2 9H6.7L6 7.8H2.8L2.1 10z"
                  + " M9 6.8h2v3.2H9z M11.2 3.4h2V10h-2z";
        });
  }

  static Node of(Axis axis) {
    return path(
        axis == Axis.ACROSS
            ? "M0 0h1.4v14H0z M12.6 0H14v14h-1.4z M5 3h4v8H5z"
            : "M0 0h14v1.4H0z M0 12.6h14V14H0z M3 5h8v4H3z");
  }

  private static Node path(String content) {
    SVGPath path = new SVGPath();
    path.setContent(content);
    path.getStyleClass().add("arrange-icon");
    return path;
  }
}
