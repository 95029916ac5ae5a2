package dynamorph.app.field;

import java.util.Optional;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/** Shows a family's name; a press opens the list of families. */
final class FamilyEditor implements ValueEditor<String> {
  private final Button button = new Button("", new FontIcon(Feather.CHEVRON_DOWN));
  private Optional<String> current = Optional.empty();

  FamilyEditor(Families families, Sink<String> sink) {
    button.getStyleClass().add("family-button");
    button.setContentDisplay(ContentDisplay.RIGHT);
    button.setMaxWidth(Double.MAX_VALUE);
    button.setAccessibleRole(AccessibleRole.COMBO_BOX);
    button.setOnAction(_ ->
        FontChooser.open(button, families, current, family -> sink.set(family, Optional.empty())));
  }

  @Override
  public Node node() {
    return button;
  }

  @Override
  public void show(Shown<String> shown) {
    current = shown.value();
    button.setText(current.orElse("mixed"));
  }
}
