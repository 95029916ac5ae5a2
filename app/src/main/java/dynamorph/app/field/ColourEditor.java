package dynamorph.app.field;

import dynamorph.model.style.Palette;
import dynamorph.model.style.Swatch;
import dynamorph.model.value.Colour;
import dynamorph.model.value.Rgba;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.scene.paint.CycleMethod;
import javafx.scene.paint.LinearGradient;
import javafx.scene.paint.Stop;
import javafx.scene.shape.Rectangle;
import javafx.stage.Popup;

/**
 * Chooses a colour: a swatch of the palette, which stays live, or any colour by field, hue strip or
 * number.
 */
final class ColourEditor implements ValueEditor<Colour> {
  private static final double PICKER_WIDTH = 216;
  private static final double PICKER_HEIGHT = 120;
  private static final double STRIP_HEIGHT = 14;

  private final Editors.Surroundings surroundings;
  private final Sink<Colour> sink;
  private final Rectangle chip = new Rectangle(16, 16);
  private final Button button = new Button("", chip);
  private Rgba current = Rgba.BLACK;
  private double hue;

  ColourEditor(Editors.Surroundings surroundings, Sink<Colour> sink) {
    this.surroundings = surroundings;
    this.sink = sink;
    chip.setArcWidth(6);
    chip.setArcHeight(6);
    chip.getStyleClass().add("colour-chip");
    button.getStyleClass().add("colour-button");
    button.setContentDisplay(ContentDisplay.LEFT);
    button.setMaxWidth(Double.MAX_VALUE);
    button.setOnAction(_ -> open());
  }

  @Override
  public Node node() {
    return button;
  }

  @Override
  public void show(Shown<Colour> shown) {
    Palette palette = surroundings.palette();
    if (shown.value().isEmpty()) {
      button.setText("mixed");
      chip.setFill(Color.TRANSPARENT);
      return;
    }
    current = palette.colour(shown.value().get());
    chip.setFill(color(current));
    button.setText(name(palette, shown.value().get()));
    button.setAccessibleText(shown.key().label() + " " + button.getText());
  }

  static String name(Palette palette, Colour colour) {
    return switch (colour) {
      case Colour.SwatchReference reference ->
          palette.find(reference.swatch()).map(Swatch::name).orElse("missing swatch");
      case Colour.Literal literal -> literal.value().toString();
    };
  }

  static Color color(Rgba rgba) {
    return Color.rgb(rgba.red(), rgba.green(), rgba.blue(), rgba.alpha() / 255.0);
  }

  private static Rgba rgba(Color color) {
    return new Rgba(
        (int) Math.round(color.getOpacity() * 255) << 24
            | (int) Math.round(color.getRed() * 255) << 16
            | (int) Math.round(color.getGreen() * 255) << 8
            | (int) Math.round(color.getBlue() * 255));
  }

  private void open() {
    Popup popup = new Popup();
    popup.setAutoHide(true);
    popup.setHideOnEscape(true);
    VBox content = new VBox(10, swatches(popup), field(), hueStrip(), hexRow(popup));
    content.getStyleClass().add("colour-popup");
    content.setPadding(new Insets(12));
    content.getStylesheets().setAll(button.getScene().getStylesheets());
    popup.getContent().add(content);
    hue = color(current).getHue();
    redraw();
    var corner = button.localToScreen(0, button.getHeight() + 4);
    popup.show(button, Math.max(0, corner.getX() - 60), corner.getY());
  }

  private Node swatches(Popup popup) {
    FlowPane pane = new FlowPane(4, 4);
    pane.setPrefWrapLength(PICKER_WIDTH);
    for (Swatch swatch : surroundings.palette().swatches()) {
      Rectangle square = new Rectangle(24, 24, color(swatch.colour()));
      square.setArcWidth(8);
      square.setArcHeight(8);
      square.getStyleClass().add("colour-chip");
      Button choose = new Button("", square);
      choose.getStyleClass().add("swatch-button");
      choose.setTooltip(new Tooltip(swatch.name() + " " + swatch.colour()));
      choose.setAccessibleText("Swatch " + swatch.name());
      choose.setOnAction(_ -> {
        sink.set(Colour.swatch(swatch.id()), Optional.empty());
        popup.hide();
      });
      pane.getChildren().add(choose);
    }
    return pane;
  }

  private final Canvas field = new Canvas(PICKER_WIDTH, PICKER_HEIGHT);
  private final Canvas strip = new Canvas(PICKER_WIDTH, STRIP_HEIGHT);
  private final TextField hex = new TextField();

  /** Saturation to the right, brightness upwards, for the hue of the strip. */
  private Node field() {
    Object gesture = new Object();
    field.setOnMousePressed(event -> pickInField(event, gesture));
    field.setOnMouseDragged(event -> pickInField(event, gesture));
    return field;
  }

  private void pickInField(MouseEvent event, Object gesture) {
    double saturation = Math.clamp(event.getX() / PICKER_WIDTH, 0, 1);
    double brightness = 1 - Math.clamp(event.getY() / PICKER_HEIGHT, 0, 1);
    pick(Color.hsb(hue, saturation, brightness), gesture);
  }

  private Node hueStrip() {
    Object gesture = new Object();
    strip.setOnMousePressed(event -> pickHue(event, gesture));
    strip.setOnMouseDragged(event -> pickHue(event, gesture));
    return strip;
  }

  private void pickHue(MouseEvent event, Object gesture) {
    hue = Math.clamp(event.getX() / PICKER_WIDTH, 0, 1) * 360;
    Color now = color(current);
    pick(Color.hsb(hue, now.getSaturation(), now.getBrightness()), gesture);
  }

  private void pick(Color picked, Object gesture) {
    current = rgba(picked);
    sink.set(Colour.of(current), Optional.of(gesture));
    redraw();
  }

  private Node hexRow(Popup popup) {
    hex.setPrefColumnCount(9);
    hex.setAccessibleText("Colour as #rrggbb");
    hex.setOnAction(_ -> {
      try {
        current = Rgba.parse(hex.getText());
        sink.set(Colour.of(current), Optional.empty());
        redraw();
      } catch (IllegalArgumentException wrong) {
        sink.refuse(wrong.getMessage());
      }
    });
    Button keep = new Button("Keep as swatch");
    keep.setOnAction(_ -> {
      String id = surroundings.keepSwatch(current);
      if (!id.isEmpty()) {
        sink.set(Colour.swatch(id), Optional.empty());
      }
      popup.hide();
    });
    HBox row = new HBox(8, hex, keep);
    HBox.setHgrow(hex, Priority.ALWAYS);
    return row;
  }

  private void redraw() {
    hex.setText(current.toString());
    GraphicsContext g = field.getGraphicsContext2D();
    g.setFill(Color.hsb(hue, 1, 1));
    g.fillRect(0, 0, PICKER_WIDTH, PICKER_HEIGHT);
    g.setFill(gradient(true, Color.WHITE, Color.color(1, 1, 1, 0)));
    g.fillRect(0, 0, PICKER_WIDTH, PICKER_HEIGHT);
    g.setFill(gradient(false, Color.color(0, 0, 0, 0), Color.BLACK));
    g.fillRect(0, 0, PICKER_WIDTH, PICKER_HEIGHT);
    Color now = color(current);
    double x = now.getSaturation() * PICKER_WIDTH;
    double y = (1 - now.getBrightness()) * PICKER_HEIGHT;
    g.setStroke(now.getBrightness() > 0.6 ? Color.BLACK : Color.WHITE);
    g.setLineWidth(1.6);
    g.strokeOval(x - 5, y - 5, 10, 10);
    GraphicsContext h = strip.getGraphicsContext2D();
    for (int column = 0; column < PICKER_WIDTH; column++) {
      h.setFill(Color.hsb(column / PICKER_WIDTH * 360, 1, 1));
      h.fillRect(column, 0, 1, STRIP_HEIGHT);
    }
    h.setStroke(Color.WHITE);
    h.setLineWidth(2);
    h.strokeRect(hue / 360 * PICKER_WIDTH - 3, 1, 6, STRIP_HEIGHT - 2);
  }

  private static LinearGradient gradient(boolean across, Color from, Color to) {
    return new LinearGradient(
        0,
        0,
        across ? 1 : 0,
        across ? 0 : 1,
        true,
        CycleMethod.NO_CYCLE,
        new Stop(0, from),
        new Stop(1, to));
  }
}
