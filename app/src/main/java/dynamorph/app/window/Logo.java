package dynamorph.app.window;

import static java.util.Objects.requireNonNull;

import javafx.scene.image.Image;
import javafx.scene.shape.SVGPath;

/** A drop that takes another shape: the mark of the program. */
public final class Logo extends SVGPath {
  public Logo() {
    setContent(
        "M0 0 H11 A11 11 0 0 1 22 11 A11 11 0 0 1 0 11 Z M11 5.5 A5.5 5.5 0 1 0 16.5 11 V5.5 Z");
    getStyleClass().add("logo");
  }

  /** What window managers show for a window; the same as of the installed program. */
  public static Image icon() {
    return new Image(requireNonNull(Logo.class.getResourceAsStream("icon.png")));
  }
}
