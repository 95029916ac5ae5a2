package dynamorph.app.field;

import dynamorph.app.message.Messages;
import dynamorph.model.value.Rgba;
import java.util.function.Consumer;
import javafx.scene.Cursor;
import javafx.scene.Scene;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.PixelReader;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Pane;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;

/**
 * Takes a colour from any pixel of the window. A glass beside the pointer shows the pixels around
 * it, enlarged; a click takes the one in the middle, Escape leaves it.
 */
public final class Eyedropper {
  /** Pixels across in the glass; odd, so that one lies in the middle. */
  private static final int SHOWN = 11;

  private static final double ENLARGED = 9;
  private static final double SIZE = SHOWN * ENLARGED;
  private static final double BESIDE = 18;
  private static final String GLASS = "eyedropper-glass";

  private final Scene scene;
  private final Consumer<Rgba> taker;
  private final WritableImage picture;
  private final Pane over = new Pane();
  private final Canvas glass = new Canvas(SIZE, SIZE + 20);

  private Eyedropper(Scene scene, Consumer<Rgba> taker) {
    this.scene = scene;
    this.taker = taker;
    this.picture = scene.snapshot(null);
  }

  /** Begins; the window's root must be a pane that can hold one more. */
  static void start(Scene scene, Consumer<Rgba> taker) {
    if (scene.getRoot() instanceof Pane root) {
      new Eyedropper(scene, taker).begin(root);
    }
  }

  /** Whether one waits for a click in a window; Escape then belongs to it. */
  public static boolean isOpen(Scene scene) {
    // asked at every key, for which looking through the whole window would be too much
    return scene.getRoot() instanceof Pane root
        && root.getChildren().stream().anyMatch(child -> GLASS.equals(child.getId()));
  }

  private void begin(Pane root) {
    over.setId(GLASS);
    over.setCursor(Cursor.CROSSHAIR);
    over.setPickOnBounds(true);
    over.setFocusTraversable(true);
    over.setAccessibleText(Messages.of("eyedropper.click-where-the-colour-is-escape"));
    glass.setManaged(false);
    glass.setMouseTransparent(true);
    over.getChildren().add(glass);
    over.setOnMouseMoved(this::look);
    over.setOnMouseDragged(this::look);
    over.setOnMousePressed(MouseEvent::consume);
    over.setOnMouseReleased(event -> {
      Rgba colour = at(event.getX(), event.getY());
      end(root);
      taker.accept(colour);
      event.consume();
    });
    over.addEventFilter(
        KeyEvent.KEY_PRESSED,
        event -> {
          if (event.getCode() == KeyCode.ESCAPE) {
            end(root);
            event.consume();
          }
        });
    root.getChildren().add(over);
    over.requestFocus();
  }

  private void end(Pane root) {
    root.getChildren().remove(over);
  }

  private Rgba at(double x, double y) {
    PixelReader pixels = picture.getPixelReader();
    return new Rgba(
        pixels.getArgb(
            within(x / scene.getWidth(), picture.getWidth()),
            within(y / scene.getHeight(), picture.getHeight())));
  }

  private static int within(double share, double pixels) {
    return (int) Math.clamp(Math.floor(share * pixels), 0, pixels - 1);
  }

  private void look(MouseEvent event) {
    GraphicsContext g = glass.getGraphicsContext2D();
    g.clearRect(0, 0, SIZE, SIZE + 20);
    int half = SHOWN / 2;
    for (int row = 0; row < SHOWN; row++) {
      for (int column = 0; column < SHOWN; column++) {
        Rgba colour = at(event.getX() + column - half, event.getY() + row - half);
        g.setFill(ColourPicker.color(colour));
        g.fillRect(column * ENLARGED, row * ENLARGED, ENLARGED, ENLARGED);
      }
    }
    g.setStroke(Color.WHITE);
    g.setLineWidth(3);
    g.strokeRect(half * ENLARGED, half * ENLARGED, ENLARGED, ENLARGED);
    g.setStroke(Color.BLACK);
    g.setLineWidth(1);
    g.strokeRect(half * ENLARGED, half * ENLARGED, ENLARGED, ENLARGED);
    g.strokeRect(0.5, 0.5, SIZE - 1, SIZE + 19);
    Rgba middle = at(event.getX(), event.getY());
    g.setFill(Color.WHITE);
    g.fillRect(1, SIZE, SIZE - 2, 19);
    g.setFill(Color.BLACK);
    g.setFont(Font.font("Source Sans 3", 12));
    g.fillText(middle.toString(), 8, SIZE + 14);
    boolean right = event.getX() + BESIDE + SIZE > scene.getWidth();
    boolean below = event.getY() + BESIDE + SIZE + 20 > scene.getHeight();
    glass.setLayoutX(right ? event.getX() - BESIDE - SIZE : event.getX() + BESIDE);
    glass.setLayoutY(below ? event.getY() - BESIDE - SIZE - 20 : event.getY() + BESIDE);
  }
}
