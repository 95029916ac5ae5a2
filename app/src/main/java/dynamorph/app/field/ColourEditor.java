package dynamorph.app.field;

import dynamorph.app.message.Messages;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Swatch;
import dynamorph.model.value.Colour;
import dynamorph.model.value.Rgba;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.paint.Color;
import javafx.scene.shape.Rectangle;

/** Shows a colour with its name; a click opens the picker. */
final class ColourEditor implements ValueEditor<Colour> {
  private final Editors.Surroundings surroundings;
  private final Rectangle chip = new Rectangle(16, 16);
  private final Button button = new Button("", chip);
  private Rgba current = Rgba.BLACK;

  ColourEditor(Editors.Surroundings surroundings, Sink<Colour> sink) {
    this.surroundings = surroundings;
    chip.setArcWidth(6);
    chip.setArcHeight(6);
    chip.getStyleClass().add("colour-chip");
    button.getStyleClass().add("colour-button");
    button.setContentDisplay(ContentDisplay.LEFT);
    button.setMaxWidth(Double.MAX_VALUE);
    button.setOnAction(_ -> new ColourPicker(surroundings, sink).open(button, current));
  }

  @Override
  public Node node() {
    return button;
  }

  @Override
  public void show(Shown<Colour> shown) {
    Palette palette = surroundings.palette();
    if (shown.value().isEmpty()) {
      button.setText(Messages.of("common.mixed"));
      chip.setFill(Color.TRANSPARENT);
      return;
    }
    current = palette.colour(shown.value().get());
    chip.setFill(ColourPicker.color(current));
    button.setText(name(palette, shown.value().get()));
    button.setAccessibleText(shown.key().label() + " " + button.getText());
  }

  static String name(Palette palette, Colour colour) {
    return switch (colour) {
      case Colour.SwatchReference reference ->
          palette
              .find(reference.swatch())
              .map(Swatch::name)
              .orElse(Messages.of("colour-editor.missing-swatch"));
      case Colour.Literal literal -> literal.value().toString();
    };
  }
}
