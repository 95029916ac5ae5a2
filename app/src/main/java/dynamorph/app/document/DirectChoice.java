package dynamorph.app.document;

import dynamorph.app.field.Controls;
import dynamorph.app.message.Messages;
import dynamorph.model.document.DirectFormatting;
import java.util.Locale;
import java.util.function.Consumer;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What stays of the formatting that no style of a document made. */
final class DirectChoice extends VBox {
  DirectChoice(DirectFormatting now, Consumer<DirectFormatting> chosen) {
    super(6);
    Label heading = new Label(Messages.of("document.direct"));
    heading.getStyleClass().add("section-title");
    HBox pills = new HBox(6);
    ToggleGroup group = new ToggleGroup();
    for (DirectFormatting one : DirectFormatting.values()) {
      ToggleButton pill = new ToggleButton(one.label());
      pill.getStyleClass().add("pill");
      pill.setId("document-direct-" + one.name().toLowerCase(Locale.ROOT));
      pill.setToggleGroup(group);
      pill.setSelected(now == one);
      pill.setOnAction(_ -> {
        pill.setSelected(true);
        chosen.accept(one);
      });
      pills.getChildren().add(pill);
    }
    getChildren().addAll(heading, Controls.quiet(Messages.of("document.direct-help")), pills);
  }
}
