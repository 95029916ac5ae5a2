package dynamorph.app.field;

import dynamorph.app.message.Messages;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Swatch;
import dynamorph.model.value.Colour;
import dynamorph.model.value.ColourNames;
import dynamorph.model.value.ColourText;
import dynamorph.model.value.Numbers;
import dynamorph.model.value.Rgba;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.image.PixelWriter;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.scene.shape.Rectangle;
import javafx.stage.Popup;
import org.kordamp.ikonli.feather.Feather;

/**
 * Chooses a colour: a swatch of the palette, which stays live; one used lately; one from anywhere
 * in the window; or any by field, strip, number or name. Says how well it can be read on what lies
 * behind.
 */
final class ColourPicker {
  private static final int WIDTH = 262;
  private static final int FIELD_HEIGHT = 118;
  private static final int STRIP_HEIGHT = 14;

  private static ColourSpace space = ColourSpace.HSB;

  private final Editors.Surroundings surroundings;
  private final ValueEditor.Sink<Colour> sink;
  private final Popup popup = new Popup();
  private final WritableImage fieldPixels = new WritableImage(WIDTH, FIELD_HEIGHT);
  private final Canvas field = new Canvas(WIDTH, FIELD_HEIGHT);
  private final Canvas strip = new Canvas(WIDTH, STRIP_HEIGHT);
  private final Canvas alphaStrip = new Canvas(WIDTH, STRIP_HEIGHT);
  private final List<TextField> numbers = new ArrayList<>();
  private final TextField written = new TextField();
  private final Label contrast = new Label();
  private Rgba current = Rgba.BLACK;
  private double hue;
  private Object gesture = new Object();

  ColourPicker(Editors.Surroundings surroundings, ValueEditor.Sink<Colour> sink) {
    this.surroundings = surroundings;
    this.sink = sink;
  }

  /** Opens below a node. */
  void open(Node below, Rgba start) {
    current = start;
    takeHue();
    popup.setAutoHide(true);
    popup.setHideOnEscape(true);
    VBox content =
        new VBox(
            8,
            swatches(),
            spaces(),
            field(),
            strip(),
            alphaStrip(),
            numberRow(),
            writtenRow(below),
            lastRow());
    content.setId("colour-picker");
    content.getStyleClass().add("colour-popup");
    content.setPadding(new Insets(12));
    content.getStylesheets().setAll(below.getScene().getStylesheets());
    popup.getContent().setAll(content);
    popup.setOnHidden(_ -> {
      if (!current.equals(start)) {
        surroundings.usedColour(current);
      }
    });
    redraw();
    var corner = below.localToScreen(0, below.getBoundsInLocal().getHeight() + 4);
    popup.show(below, Math.max(0, corner.getX() - 60), corner.getY());
  }

  private Node swatches() {
    FlowPane pane = new FlowPane(4, 4);
    pane.setPrefWrapLength(WIDTH);
    Palette palette = surroundings.palette();
    for (Swatch swatch : palette.swatches()) {
      pane.getChildren()
          .add(
              chip(
                  swatch.colour(),
                  24,
                  Messages.of("common.swatch", swatch.name()),
                  () -> {
                    current = swatch.colour();
                    sink.set(Colour.swatch(swatch.id()), Optional.empty());
                    popup.hide();
                  }));
    }
    List<Rgba> recent = surroundings.recentColours();
    if (recent.isEmpty()) {
      return pane;
    }
    FlowPane lately = new FlowPane(3, 3);
    lately.setPrefWrapLength(WIDTH);
    for (Rgba colour : recent) {
      lately
          .getChildren()
          .add(
              chip(
                  colour,
                  15,
                  Messages.of("colour-picker.recent", colour),
                  () -> take(colour, new Object())));
    }
    return new VBox(6, pane, lately);
  }

  private static Button chip(Rgba colour, double size, String help, Runnable work) {
    Rectangle square = new Rectangle(size, size, color(colour));
    square.setArcWidth(size / 3);
    square.setArcHeight(size / 3);
    square.getStyleClass().add("colour-chip");
    Button choose = new Button("", square);
    choose.getStyleClass().add("swatch-button");
    Tips.on(choose, help + " " + colour);
    choose.setAccessibleText(help);
    choose.setOnAction(_ -> work.run());
    return choose;
  }

  static Color color(Rgba rgba) {
    return Color.rgb(rgba.red(), rgba.green(), rgba.blue(), rgba.alpha() / 255.0);
  }

  private Node spaces() {
    ToggleGroup group = new ToggleGroup();
    HBox row = new HBox();
    row.getStyleClass().add("segments");
    for (ColourSpace one : ColourSpace.values()) {
      ToggleButton choose = new ToggleButton(one.label());
      choose.setToggleGroup(group);
      choose.setId("space-" + one.name().toLowerCase(java.util.Locale.ROOT));
      Tips.on(choose, one.help());
      choose.setSelected(one == space);
      choose.setMaxWidth(Double.MAX_VALUE);
      choose.setOnAction(_ -> {
        space = one;
        choose.setSelected(true);
        takeHue();
        redraw();
      });
      HBox.setHgrow(choose, Priority.ALWAYS);
      row.getChildren().add(choose);
    }
    return row;
  }

  /** Grey has no hue of its own, so the strip stays where it is. */
  private void takeHue() {
    hue = space.hue(current).orElse(hue);
  }

  private Node field() {
    field.setOnMousePressed(event -> {
      gesture = new Object();
      pickInField(event);
    });
    field.setOnMouseDragged(this::pickInField);
    return field;
  }

  private void pickInField(MouseEvent event) {
    double across = Math.clamp(event.getX() / WIDTH, 0, 1);
    double up = 1 - Math.clamp(event.getY() / FIELD_HEIGHT, 0, 1);
    set(space.inField(across, up, hue).faded(current.alpha() / 255.0), gesture);
  }

  private Node strip() {
    strip.setOnMousePressed(event -> {
      gesture = new Object();
      pickHue(event);
    });
    strip.setOnMouseDragged(this::pickHue);
    return strip;
  }

  private void pickHue(MouseEvent event) {
    hue = Math.clamp(event.getX() / WIDTH, 0, 1) * 360;
    set(space.turned(current, hue).faded(current.alpha() / 255.0), gesture);
  }

  private Node alphaStrip() {
    alphaStrip.setOnMousePressed(event -> {
      gesture = new Object();
      pickAlpha(event);
    });
    alphaStrip.setOnMouseDragged(this::pickAlpha);
    return alphaStrip;
  }

  private void pickAlpha(MouseEvent event) {
    int alpha = (int) Math.round(Math.clamp(event.getX() / WIDTH, 0, 1) * 255);
    set(new Rgba(alpha << 24 | current.argb() & 0xFFFFFF), gesture);
  }

  /** Another colour that has a hue of its own. */
  private void take(Rgba colour, Object picking) {
    current = colour;
    takeHue();
    set(colour, picking);
  }

  private void set(Rgba colour, Object picking) {
    current = colour;
    sink.set(Colour.of(colour), Optional.of(picking));
    redraw();
  }

  private Node numberRow() {
    HBox row = new HBox(6);
    numbers.clear();
    for (int index = 0; index < 4; index++) {
      TextField number = new TextField();
      number.getStyleClass().add("number-text");
      number.setPrefColumnCount(4);
      number.setId("colour-part-" + (index + 1));
      int part = index;
      number.setOnAction(_ -> takeNumbers());
      number.addEventFilter(
          KeyEvent.KEY_PRESSED,
          event -> {
            switch (event.getCode()) {
              case UP -> nudge(part, event.isShiftDown() ? 10 : 1);
              case DOWN -> nudge(part, event.isShiftDown() ? -10 : -1);
              default -> {
                return;
              }
            }
            event.consume();
          });
      HBox.setHgrow(number, Priority.ALWAYS);
      numbers.add(number);
      row.getChildren().add(number);
    }
    Tips.on(numbers.get(3), Messages.of("colour-picker.opacity-in-percent"));
    numbers.get(3).setAccessibleText(Messages.of("colour-picker.opacity-in-percent"));
    return row;
  }

  private void takeNumbers() {
    try {
      double[] parts = new double[4];
      for (int index = 0; index < 4; index++) {
        parts[index] = Numbers.parse(numbers.get(index).getText().replace("%", ""));
      }
      take(space.of(parts).faded(Math.clamp(parts[3] / 100, 0, 1)), new Object());
    } catch (IllegalArgumentException wrong) {
      sink.refuse(Messages.reason(wrong));
      redraw();
    }
  }

  private void nudge(int part, double steps) {
    double[] parts = Arrays.copyOf(space.parts(current, hue), 4);
    parts[3] = current.alpha() / 2.55;
    parts[part] += steps * space.step(part);
    if (space.isHue(part)) {
      hue = (parts[part] % 360 + 360) % 360;
    }
    set(space.of(parts).faded(Math.clamp(parts[3] / 100, 0, 1)), gesture);
  }

  private Node writtenRow(Node below) {
    written.setId("colour-written");
    written.setAccessibleText(Messages.of("colour-picker.colour-as-rrggbb-a-css-name"));
    Tips.on(written, Messages.of("colour-picker.rrggbb-a-css-name-rgb-hsb"));
    written.setOnAction(_ -> {
      try {
        take(ColourText.parse(written.getText()), new Object());
      } catch (IllegalArgumentException wrong) {
        sink.refuse(Messages.reason(wrong));
      }
    });
    Button dropper =
        Controls.icon(
            Feather.DROPLET,
            Messages.of("colour-picker.eyedropper-pick-a-colour-anywhere-in"),
            () -> fromWindow(below));
    dropper.setId("eyedropper");
    HBox row = new HBox(6, written, dropper);
    HBox.setHgrow(written, Priority.ALWAYS);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private void fromWindow(Node below) {
    popup.hide();
    Eyedropper.start(
        below.getScene(),
        colour -> {
          current = colour;
          sink.set(Colour.of(colour), Optional.empty());
          surroundings.usedColour(colour);
        });
  }

  private Node lastRow() {
    contrast.setId("contrast");
    contrast.getStyleClass().add("quiet");
    contrast.setWrapText(true);
    contrast.setMaxWidth(WIDTH - 110);
    Button keep = new Button(Messages.of("colour-picker.keep-as-swatch"));
    keep.setOnAction(_ -> {
      String id = surroundings.keepSwatch(current);
      if (!id.isEmpty()) {
        sink.set(Colour.swatch(id), Optional.empty());
      }
      popup.hide();
    });
    keep.setMinWidth(javafx.scene.layout.Region.USE_PREF_SIZE);
    HBox.setHgrow(contrast, Priority.ALWAYS);
    contrast.setMaxWidth(Double.MAX_VALUE);
    HBox row = new HBox(6, contrast, keep);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  /** The ratio, and what it is enough for (WCAG 2.2, 1.4.3 and 1.4.6). */
  private String contrastText() {
    Optional<Rgba> ground = surroundings.background();
    if (ground.isEmpty()) {
      return "";
    }
    double ratio = current.over(ground.get()).contrast(ground.get());
    String enough =
        ratio >= 7
            ? "AAA"
            : ratio >= 4.5
                ? "AA"
                : ratio >= 3
                    ? Messages.of("colour-picker.aa-if-large")
                    : Messages.of("colour-picker.hard-to-read");
    return Messages.of("colour-picker.1-on-the-background", Numbers.format(ratio, 1), enough);
  }

  private void redraw() {
    written.setText(ColourNames.of(current).orElse(current.toString()));
    contrast.setText(contrastText());
    double[] parts = space.parts(current, hue);
    List<String> names = space.names();
    for (int index = 0; index < 3; index++) {
      numbers.get(index).setText(Numbers.format(parts[index], space.places(index)));
      Tips.on(numbers.get(index), names.get(index));
      numbers.get(index).setAccessibleText(names.get(index));
    }
    numbers.get(3).setText(Numbers.format(current.alpha() / 2.55, 0) + " %");
    drawField();
    drawStrip();
    drawAlpha();
  }

  private void drawField() {
    PixelWriter pixels = fieldPixels.getPixelWriter();
    for (int y = 0; y < FIELD_HEIGHT; y++) {
      for (int x = 0; x < WIDTH; x += 2) {
        double up = 1 - y / (double) FIELD_HEIGHT;
        int argb = space.inField(x / (double) WIDTH, up, hue).argb();
        pixels.setArgb(x, y, argb);
        pixels.setArgb(x + 1, y, argb);
      }
    }
    GraphicsContext g = field.getGraphicsContext2D();
    g.drawImage(fieldPixels, 0, 0);
    ColourSpace.InField place = space.place(current);
    g.setStroke(current.luminance() > 0.4 ? Color.BLACK : Color.WHITE);
    g.setLineWidth(1.6);
    g.strokeOval(place.across() * WIDTH - 5, (1 - place.up()) * FIELD_HEIGHT - 5, 10, 10);
  }

  private void drawStrip() {
    GraphicsContext g = strip.getGraphicsContext2D();
    for (int column = 0; column < WIDTH; column += 2) {
      double at = column / (double) WIDTH * 360;
      g.setFill(color(space.inStrip(at)));
      g.fillRect(column, 0, 2, STRIP_HEIGHT);
    }
    knob(g, hue / 360);
  }

  private void drawAlpha() {
    GraphicsContext g = alphaStrip.getGraphicsContext2D();
    double cell = STRIP_HEIGHT / 2.0;
    for (int column = 0; column * cell < WIDTH; column++) {
      for (int row = 0; row < 2; row++) {
        g.setFill((column + row) % 2 == 0 ? Color.WHITE : Color.web("#c9c6c0"));
        g.fillRect(column * cell, row * cell, cell, cell);
      }
    }
    for (int column = 0; column < WIDTH; column += 2) {
      g.setFill(
          Color.rgb(current.red(), current.green(), current.blue(), column / (double) (WIDTH - 2)));
      g.fillRect(column, 0, 2, STRIP_HEIGHT);
    }
    knob(g, current.alpha() / 255.0);
  }

  private static void knob(GraphicsContext g, double share) {
    double x = Math.clamp(share * WIDTH, 3, WIDTH - 3.0);
    g.setStroke(Color.BLACK);
    g.setLineWidth(3.4);
    g.strokeRect(x - 3, 1.5, 6, STRIP_HEIGHT - 3);
    g.setStroke(Color.WHITE);
    g.setLineWidth(1.8);
    g.strokeRect(x - 3, 1.5, 6, STRIP_HEIGHT - 3);
  }
}
