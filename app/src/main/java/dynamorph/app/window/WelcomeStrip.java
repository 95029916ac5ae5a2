package dynamorph.app.window;

import dynamorph.app.files.UserFolder;
import dynamorph.app.message.Messages;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

/** Three steps for the first time; closed for good with one press. */
public final class WelcomeStrip extends HBox {
  private static final List<String> STEPS =
      List.of(
          Messages.of("welcome-strip.1-click-a-text-and-change"),
          Messages.of("welcome-strip.2-keep-its-look-as-a"),
          Messages.of("welcome-strip.3-select-other-texts-and-click"));

  public WelcomeStrip(UserFolder user) {
    getStyleClass().add("welcome");
    setAlignment(Pos.CENTER_LEFT);
    setSpacing(28);
    for (String step : STEPS) {
      getChildren().add(new Label(step));
    }
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    Button close = new Button(Messages.of("welcome-strip.got-it"));
    close.setId("welcome-close");
    close.setOnAction(_ -> {
      user.setWelcomed();
      hide();
    });
    getChildren().addAll(gap, close);
    if (user.isWelcomed()) {
      hide();
    }
  }

  private void hide() {
    setVisible(false);
    setManaged(false);
  }
}
