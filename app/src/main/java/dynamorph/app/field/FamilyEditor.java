package dynamorph.app.field;

import dynamorph.app.message.Messages;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/** Shows a family's name; a click opens the list of families. */
final class FamilyEditor implements ValueEditor<String> {
  private final Button button = new Button();
  private final Label name = new Label();
  private Optional<String> current = Optional.empty();

  FamilyEditor(Families families, Sink<String> sink) {
    button.getStyleClass().add("family-button");
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    HBox line = new HBox(6, name, gap, new FontIcon(Feather.CHEVRON_DOWN));
    line.setAlignment(Pos.CENTER_LEFT);
    name.setMinWidth(0);
    line.prefWidthProperty().bind(button.widthProperty().subtract(18));
    button.setGraphic(line);
    button.setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
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
    name.setText(current.orElse(Messages.of("common.mixed")));
    button.setAccessibleText(Messages.of("family-editor.family", name.getText()));
  }
}
