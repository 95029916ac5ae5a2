package dynamorph.app.field;

import dynamorph.app.message.Messages;
import dynamorph.model.style.Palette;
import dynamorph.model.value.Colour;
import dynamorph.model.value.GradientStops;
import dynamorph.model.value.GradientStops.Stop;
import dynamorph.model.value.Numbers;
import dynamorph.model.value.OkLab;
import dynamorph.model.value.Rgba;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Cursor;
import javafx.scene.Node;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Button;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.scene.shape.Rectangle;
import org.kordamp.ikonli.feather.Feather;

/**
 * The stops of a gradient on a strip: a click on the strip puts one there, a drag moves it, a drag
 * off the strip or Delete takes it away, the arrows nudge it. Colour, place and opacity of the
 * chosen one stand below.
 */
final class GradientStrip implements ValueEditor<GradientStops> {
  private static final double HEIGHT = 34;
  private static final double BAR = 18;
  private static final double KNOB = 6;

  /** How far off the strip a stop is let go. */
  private static final double OFF = 36;

  private final Editors.Surroundings surroundings;
  private final Sink<GradientStops> sink;
  private final Canvas canvas = new Canvas(100, HEIGHT);
  private final Pane strip = new Pane(canvas);
  private final Rectangle chip = new Rectangle(16, 16);
  private final Button colour = new Button("", chip);
  private final NumberText<Double> place;
  private final NumberText<Double> opacity;
  private final VBox box;
  private List<Stop> stops = List.of();
  private int chosen;
  private Object gesture = new Object();
  private boolean dragging;

  GradientStrip(Editors.Surroundings surroundings, Sink<GradientStops> sink) {
    this.surroundings = surroundings;
    this.sink = sink;
    place = percent(value -> put(with(chosenStop(), value, chosenStop().opacity())));
    opacity = percent(value -> put(with(chosenStop(), chosenStop().position(), value)));
    place.setId("stop-place");
    Tips.on(place, Messages.of("gradient-strip.stop-offset"));
    opacity.setId("stop-opacity");
    Tips.on(opacity, Messages.of("gradient-strip.stop-opacity"));
    chip.setArcWidth(6);
    chip.setArcHeight(6);
    chip.getStyleClass().add("colour-chip");
    colour.setId("stop-colour");
    colour.getStyleClass().add("colour-button");
    colour.setMaxWidth(Double.MAX_VALUE);
    colour.setOnAction(_ -> pickColour());
    Button remove =
        Controls.icon(
            Feather.X, Messages.of("gradient-strip.remove-this-stop-delete"), this::removeChosen);
    HBox row = new HBox(4, colour, place, opacity, remove);
    row.setAlignment(Pos.CENTER_LEFT);
    HBox.setHgrow(colour, Priority.ALWAYS);
    place.setPrefColumnCount(4);
    opacity.setPrefColumnCount(4);
    strip.setMinHeight(HEIGHT);
    strip.setPrefHeight(HEIGHT);
    strip.setFocusTraversable(true);
    strip.setId("gradient-strip");
    strip.getStyleClass().add("gradient-strip");
    strip.setCursor(Cursor.HAND);
    strip.setAccessibleText(Messages.of("gradient-strip.stops-of-the-gradient"));
    strip
        .widthProperty()
        .addListener((_, _, width) -> {
          canvas.setWidth(width.doubleValue());
          draw();
        });
    strip.setOnMousePressed(this::pressed);
    strip.setOnMouseDragged(this::dragged);
    strip.setOnMouseReleased(_ -> dragging = false);
    strip.setOnKeyPressed(this::keyPressed);
    strip.focusedProperty().addListener((_, _, _) -> draw());
    box = new VBox(4, strip, row);
  }

  private NumberText<Double> percent(java.util.function.Consumer<Double> set) {
    return new NumberText<>(
        new NumberText.Values<>() {
          @Override
          public String format(Double value) {
            return Numbers.format(value * 100, 1) + " %";
          }

          @Override
          public Double parse(String text) {
            return Math.clamp(Numbers.parse(text.replace("%", "")) / 100, 0, 1);
          }

          @Override
          public Double nudged(Double value, double steps) {
            return Math.clamp(value + steps / 100, 0, 1);
          }
        },
        new Sink<>() {
          @Override
          public void set(Double value, Optional<Object> nudging) {
            nudging.ifPresent(same -> gesture = same);
            set.accept(value);
          }

          @Override
          public void refuse(String why) {
            sink.refuse(why);
          }
        });
  }

  @Override
  public Node node() {
    return box;
  }

  @Override
  public void show(Shown<GradientStops> shown) {
    stops = shown.value().map(GradientStops::stops).orElse(List.of());
    chosen = Math.clamp(chosen, 0, Math.max(0, stops.size() - 1));
    draw();
  }

  private Stop chosenStop() {
    return stops.isEmpty() ? new Stop(Colour.of(Rgba.BLACK), 0, 1) : stops.get(chosen);
  }

  private static Stop with(Stop stop, double position, double opacity) {
    return new Stop(stop.colour(), Math.clamp(position, 0, 1), Math.clamp(opacity, 0, 1));
  }

  /** Puts another stop in place of the chosen one, which may change its rank. */
  private void put(Stop stop) {
    List<Stop> changed = new ArrayList<>(stops);
    changed.remove(chosen);
    int rank = 0;
    while (rank < changed.size() && changed.get(rank).position() <= stop.position()) {
      rank++;
    }
    changed.add(rank, stop);
    set(changed, rank);
  }

  private void set(List<Stop> changed, int choice) {
    chosen = choice;
    stops = List.copyOf(changed);
    try {
      sink.set(new GradientStops(changed), Optional.of(gesture));
    } catch (IllegalArgumentException tooMany) {
      sink.refuse(Messages.reason(tooMany));
    }
  }

  private void pickColour() {
    gesture = new Object();
    new ColourPicker(
            surroundings,
            new Sink<>() {
              @Override
              public void set(Colour value, Optional<Object> picking) {
                gesture = picking.orElseGet(Object::new);
                put(new Stop(value, chosenStop().position(), chosenStop().opacity()));
              }

              @Override
              public void refuse(String why) {
                sink.refuse(why);
              }
            })
        .open(colour, rgba(chosenStop()));
  }

  private void removeChosen() {
    if (stops.size() > 1) {
      gesture = new Object();
      List<Stop> changed = new ArrayList<>(stops);
      changed.remove(chosen);
      set(changed, Math.min(chosen, changed.size() - 1));
    } else {
      sink.refuse(Messages.of("gradient-strip.a-gradient-has-at-least-one"));
    }
  }

  // --- pointer and keys

  private double room() {
    return Math.max(1, canvas.getWidth() - 2 * KNOB);
  }

  private double x(Stop stop) {
    return KNOB + stop.position() * room();
  }

  private void pressed(MouseEvent event) {
    strip.requestFocus();
    gesture = new Object();
    if (stops.isEmpty()) {
      return;
    }
    int near = nearest(event.getX());
    if (Math.abs(x(stops.get(near)) - event.getX()) <= KNOB + 2) {
      chosen = near;
      draw();
      if (event.getClickCount() == 2) {
        pickColour();
        return;
      }
    } else {
      double at = Math.clamp((event.getX() - KNOB) / room(), 0, 1);
      insert(at);
    }
    dragging = true;
    event.consume();
  }

  private int nearest(double x) {
    int near = 0;
    for (int index = 1; index < stops.size(); index++) {
      if (Math.abs(x(stops.get(index)) - x) < Math.abs(x(stops.get(near)) - x)) {
        near = index;
      }
    }
    return near;
  }

  /** A new stop has the colour that the gradient has there. */
  private void insert(double at) {
    int rank = 0;
    while (rank < stops.size() && stops.get(rank).position() <= at) {
      rank++;
    }
    Rgba mixed = at(at);
    List<Stop> changed = new ArrayList<>(stops);
    changed.add(
        rank, new Stop(Colour.of(new Rgba(mixed.argb() | 0xFF000000)), at, mixed.alpha() / 255.0));
    set(changed, rank);
  }

  private Rgba at(double at) {
    Stop before = stops.getFirst();
    for (Stop stop : stops) {
      if (stop.position() >= at) {
        double span = stop.position() - before.position();
        double share = span <= 0 ? 1 : Math.clamp((at - before.position()) / span, 0, 1);
        return OkLab.mixed(rgba(before), rgba(stop), share);
      }
      before = stop;
    }
    return rgba(before);
  }

  private Rgba rgba(Stop stop) {
    Palette palette = surroundings.palette();
    return palette.colour(stop.colour()).faded(stop.opacity());
  }

  private void dragged(MouseEvent event) {
    if (!dragging || stops.isEmpty()) {
      return;
    }
    boolean off = event.getY() < -OFF || event.getY() > HEIGHT + OFF;
    if (off && stops.size() > 1) {
      dragging = false;
      removeChosen();
    } else {
      double at = Math.clamp((event.getX() - KNOB) / room(), 0, 1);
      put(with(chosenStop(), Math.rint(at * 1000) / 1000, chosenStop().opacity()));
    }
    event.consume();
  }

  private void keyPressed(KeyEvent event) {
    double step = event.isShiftDown() ? 0.1 : 0.01;
    Stop stop = chosenStop();
    switch (event.getCode()) {
      case LEFT -> put(with(stop, stop.position() - step, stop.opacity()));
      case RIGHT -> put(with(stop, stop.position() + step, stop.opacity()));
      case TAB -> {
        int next = chosen + (event.isShiftDown() ? -1 : 1);
        if (next < 0 || next >= stops.size()) {
          return;
        }
        chosen = next;
        draw();
      }
      case DELETE, BACK_SPACE -> removeChosen();
      case ENTER -> pickColour();
      default -> {
        return;
      }
    }
    event.consume();
  }

  // --- drawing

  private void draw() {
    GraphicsContext g = canvas.getGraphicsContext2D();
    double width = canvas.getWidth();
    g.clearRect(0, 0, width, HEIGHT);
    boolean any = !stops.isEmpty();
    place.show(any ? Optional.of(chosenStop().position()) : Optional.empty());
    opacity.show(any ? Optional.of(chosenStop().opacity()) : Optional.empty());
    colour.setText(
        any
            ? ColourEditor.name(surroundings.palette(), chosenStop().colour())
            : Messages.of("common.mixed"));
    chip.setFill(any ? ColourPicker.color(rgba(chosenStop())) : Color.TRANSPARENT);
    if (!any) {
      return;
    }
    drawBar(g);
    for (int index = 0; index < stops.size(); index++) {
      if (index != chosen) {
        drawKnob(g, stops.get(index), false);
      }
    }
    drawKnob(g, chosenStop(), true);
  }

  private void drawBar(GraphicsContext g) {
    double cell = BAR / 2;
    for (int column = 0; column * cell < room(); column++) {
      for (int row = 0; row < 2; row++) {
        g.setFill((column + row) % 2 == 0 ? Color.WHITE : Color.web("#c9c6c0"));
        g.fillRect(KNOB + column * cell, row * cell, Math.min(cell, room() - column * cell), cell);
      }
    }
    for (double x = 0; x < room(); x += 2) {
      g.setFill(ColourPicker.color(at(x / room())));
      g.fillRect(KNOB + x, 0, 2, BAR);
    }
  }

  private void drawKnob(GraphicsContext g, Stop stop, boolean isChosen) {
    double x = x(stop);
    double top = BAR + 2;
    double[] xs = {x, x + KNOB, x + KNOB, x - KNOB, x - KNOB};
    double[] ys = {top - 4, top + 2, HEIGHT - 1, HEIGHT - 1, top + 2};
    g.setFill(ColourPicker.color(new Rgba(rgba(stop).argb() | 0xFF000000)));
    g.fillPolygon(xs, ys, 5);
    g.setStroke(isChosen ? Color.web("#0E6B63") : Color.web("#6d6a63"));
    g.setLineWidth(isChosen ? 2.4 : 1);
    g.strokePolygon(xs, ys, 5);
    if (isChosen && strip.isFocused()) {
      g.setLineWidth(1);
      g.setStroke(Color.WHITE);
      g.strokeLine(x - 2, HEIGHT - 4, x + 2, HEIGHT - 4);
    }
  }
}
