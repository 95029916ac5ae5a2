package dynamorph.bench;

import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;

/** A window of the toolkit with a few controls: the least that a start can take. */
public final class EmptyWindow extends Application {
  private int clicks;

  static void main(String[] arguments) {
    Application.launch(EmptyWindow.class, arguments);
  }

  @Override
  public void start(Stage window) {
    Button button = new Button("Button");
    button.setOnAction(_ -> clicks++);
    ListView<String> list = new ListView<>();
    list.getItems().addAll("One", "Two", "Three");
    Scene scene =
        new Scene(new VBox(button, new Label("Label"), new TextField("Text"), list), 1280, 800);
    window.setScene(scene);
    scene.addPostLayoutPulseListener(
        new Runnable() {
          @Override
          public void run() {
            scene.removePostLayoutPulseListener(this);
            Platform.runLater(() -> {
              System.out.println(StartTimes.PAINTED);
              StartTimes.click(
                  window.getX() + scene.getX() + 20,
                  window.getY() + scene.getY() + 12,
                  () -> clicks == 0);
            });
          }
        });
    window.show();
  }
}
