package dynamorph.app.document;

import dynamorph.app.message.Messages;
import dynamorph.model.Artboard;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.control.Label;
import javafx.scene.control.RadioButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.VBox;

/** Where a drawing comes to stand: on an artboard of its own, or on one that is there. */
final class DrawingPlace extends VBox {
  /**
   * Asks for the place.
   *
   * @param there the artboard that it could come to stand on
   * @param here whether it does so far
   * @param chosen is told whether it shall
   */
  DrawingPlace(Optional<Artboard> there, boolean here, Consumer<Boolean> chosen) {
    super(6);
    Label heading = new Label(Messages.of("document.where-drawn"));
    heading.getStyleClass().add("section-title");
    getChildren().add(heading);
    ToggleGroup group = new ToggleGroup();
    for (boolean on : there.isEmpty() ? List.of(false) : List.of(false, true)) {
      RadioButton place =
          new RadioButton(
              on
                  ? Messages.of("document.on-this-artboard", there.map(Artboard::name).orElse(""))
                  : Messages.of("document.on-a-new-artboard"));
      place.setId(on ? "drawing-here" : "drawing-new");
      place.setWrapText(true);
      place.setToggleGroup(group);
      place.setSelected(here == on);
      place.setOnAction(_ -> chosen.accept(on));
      getChildren().add(place);
    }
  }
}
