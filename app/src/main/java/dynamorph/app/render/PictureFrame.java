package dynamorph.app.render;

import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.image.ImageView;
import javafx.scene.layout.StackPane;
import org.jspecify.annotations.Nullable;

/** A small picture in a frame of one size, as large as fits. */
public final class PictureFrame extends StackPane {
  /** The line around it, on both sides. */
  private static final int BORDER = 2;

  private final ImageView view = new ImageView();
  private final double shape;
  private boolean yielding;

  /**
   * @param width of the picture, in pixels
   * @param height of the picture, in pixels
   */
  public PictureFrame(int width, int height) {
    shape = (double) height / width;
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

  /** Gets smaller where there is no room beside it, and the picture with it. */
  public PictureFrame yielding() {
    yielding = true;
    setMinSize(0, USE_PREF_SIZE);
    setPrefHeight(USE_COMPUTED_SIZE);
    setMaxHeight(USE_PREF_SIZE);
    view.fitWidthProperty().bind(widthProperty().subtract(BORDER));
    return this;
  }

  @Override
  public @Nullable Orientation getContentBias() {
    return yielding ? Orientation.HORIZONTAL : super.getContentBias();
  }

  @Override
  protected double computePrefHeight(double width) {
    return yielding && width >= 0
        ? Math.round((width - BORDER) * shape) + BORDER
        : super.computePrefHeight(width);
  }
}
