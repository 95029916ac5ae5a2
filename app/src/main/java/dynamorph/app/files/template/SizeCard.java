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
public final class SizeCard extends ToggleButton {
  /** The side of the largest of a purpose, in pixels. */
  private static final double LARGEST = 68;

  private final ArtboardSize size;

  SizeCard(ArtboardSize size) {
    this.size = size;
    getStyleClass().setAll("size-card");
    setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
    setGraphic(face(size));
    setAccessibleText(size.name() + ", " + size.words());
  }

  /** What shows a size: its proportions, its name, its measures. */
  public static VBox face(ArtboardSize size) {
    Label name = new Label(size.name());
    name.getStyleClass().add("size-name");
    Label words = new Label(size.words());
    words.getStyleClass().add("quiet");
    for (Label label : new Label[] {name, words}) {
      label.setMinWidth(Region.USE_PREF_SIZE);
    }
    VBox card = new VBox(2, sheet(size), name, words);
    card.setAlignment(Pos.CENTER);
    return card;
  }

  ArtboardSize size() {
    return size;
  }

  private static StackPane sheet(ArtboardSize size) {
    Region sheet = new Region();
    double scale = LARGEST * Math.sqrt(share(size)) / Math.max(size.width(), size.height());
    sheet.setMinSize(size.width() * scale, size.height() * scale);
    sheet.setMaxSize(size.width() * scale, size.height() * scale);
    sheet.getStyleClass().add("size-sheet");
    if (size.purpose() == ArtboardSize.Purpose.FILM) {
      sheet.getStyleClass().add("of-film");
    }
    StackPane place = new StackPane(sheet);
    place.setMinSize(LARGEST + 6, LARGEST + 6);
    return place;
  }

  /**
   * How large it is beside the largest for the same purpose. Of that the root is drawn: the order
   * of sizes shows, and small ones are still seen.
   */
  private static double share(ArtboardSize size) {
    double most = ArtboardSize.of(size.purpose()).mapToDouble(SizeCard::longer).max().orElseThrow();
    return longer(size) / most;
  }

  /** In points. */
  private static double longer(ArtboardSize size) {
    return size.unit().toPoints(Math.max(size.width(), size.height()));
  }

  /** A card that is chosen stays so when it is pressed again. */
  @Override
  public void fire() {
    if (!isSelected()) {
      super.fire();
    }
  }
}
