package dynamorph.app.files.template;

import dynamorph.shelf.template.ArtboardSize;
import javafx.geometry.Pos;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** A size of artboards, drawn in its proportions. */
final class SizeCard extends ToggleButton {
  private static final double LONGER = 62;

  private final ArtboardSize size;

  SizeCard(ArtboardSize size) {
    this.size = size;
    getStyleClass().setAll("size-card");
    setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
    Label name = new Label(size.name());
    name.getStyleClass().add("size-name");
    Label words = new Label(size.words());
    words.getStyleClass().add("quiet");
    for (Label label : new Label[] {name, words}) {
      label.setMinWidth(Region.USE_PREF_SIZE);
    }
    VBox card = new VBox(2, sheet(), name, words);
    card.setAlignment(Pos.CENTER);
    setGraphic(card);
    setAccessibleText(size.name() + ", " + size.words());
    // arrows go from card to card, and where the keyboard is, that is meant
    focusedProperty()
        .addListener((_, _, focused) -> {
          if (focused) {
            setSelected(true);
          }
        });
  }

  ArtboardSize size() {
    return size;
  }

  private StackPane sheet() {
    Region sheet = new Region();
    double scale = LONGER / Math.max(size.width(), size.height());
    sheet.setMinSize(size.width() * scale, size.height() * scale);
    sheet.setMaxSize(size.width() * scale, size.height() * scale);
    sheet.getStyleClass().add("size-sheet");
    if (size.purpose() == ArtboardSize.Purpose.FILM) {
      sheet.getStyleClass().add("of-film");
    }
    StackPane place = new StackPane(sheet);
    place.setMinSize(LONGER + 6, LONGER + 6);
    return place;
  }

  /** A card that is chosen stays so when it is pressed again. */
  @Override
  public void fire() {
    if (!isSelected()) {
      super.fire();
    }
  }
}
