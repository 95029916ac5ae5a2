package dynamorph.app.render;

import javafx.scene.Node;
import javafx.scene.image.ImageView;
import javafx.scene.layout.StackPane;

/** A small picture in a frame of one size, as large as fits. */
public final class PictureFrame extends StackPane {
  /** The line around it, on both sides. */
  private static final int BORDER = 2;

  private final ImageView view = new ImageView();

  /**
   * @param width of the picture, in pixels
   * @param height of the picture, in pixels
   */
  public PictureFrame(int width, int height) {
    getStyleClass().add("picture-frame");
    setMinSize(width + BORDER, height + BORDER);
    setPrefSize(width + BORDER, height + BORDER);
    setMaxSize(width + BORDER, height + BORDER);
    view.setPreserveRatio(true);
    view.setFitWidth(width);
    view.setFitHeight(height);
    getChildren().add(view);
  }

  /** What holds the picture. */
  public ImageView view() {
    return view;
  }

  /** With something else in it instead. */
  public PictureFrame holding(Node content) {
    getChildren().setAll(content);
    return this;
  }

  /** Gets narrower where there is no room, and the picture with it. */
  public PictureFrame yielding() {
    setMinWidth(0);
    view.fitWidthProperty().bind(widthProperty().subtract(BORDER));
    return this;
  }
}
