package dynamorph.app.styles.column;

import dynamorph.app.message.Messages;
import dynamorph.formats.project.KitAbout;
import java.io.ByteArrayInputStream;
import java.util.List;
import java.util.stream.Stream;
import javafx.beans.value.ObservableValue;
import javafx.scene.control.Label;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.layout.VBox;

/** What a kit that is looked into says of itself: a picture, what it is for, who made it. */
final class KitHead extends VBox {
  private static final double HEIGHT = 96;

  private final ImageView picture = new ImageView();
  private final Label description = new Label();
  private final Label made = new Label();

  KitHead(ObservableValue<KitAbout> about) {
    super(4);
    setId("kit-about");
    picture.setPreserveRatio(true);
    picture.setFitHeight(HEIGHT);
    picture.setSmooth(true);
    description.setWrapText(true);
    made.setWrapText(true);
    made.getStyleClass().add("quiet");
    for (Label label : List.of(description, made)) {
      label.setMinHeight(USE_PREF_SIZE);
      label.setMaxWidth(StyleCard.WIDTH);
    }
    getChildren().addAll(picture, description, made);
    getStyleClass().add("kit-about");
    managedProperty().bind(visibleProperty());
    about.addListener((_, _, now) -> show(now));
    show(about.getValue());
  }

  private void show(KitAbout about) {
    setVisible(!about.isEmpty());
    picture.setImage(
        about
            .picture()
            .map(png -> new Image(new ByteArrayInputStream(png), 0, 2 * HEIGHT, true, true))
            .filter(image -> !image.isError())
            .orElse(null));
    description.setText(about.description());
    List<String> words =
        Stream.of(about.author(), about.licence()).filter(one -> !one.isEmpty()).toList();
    made.setText(
        words.size() == 2
            ? Messages.of("kit-head.made-by", words.get(0), words.get(1))
            : String.join("", words));
    for (Label label : List.of(description, made)) {
      label.setVisible(!label.getText().isEmpty());
      label.setManaged(label.isVisible());
    }
  }
}
