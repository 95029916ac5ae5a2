package dynamorph.app.journey;

import dynamorph.demo.LongHour;
import dynamorph.model.Project;
import java.nio.file.Path;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextField;
import javafx.stage.Stage;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.framework.junit5.ApplicationTest;

/** Opens the window with the demo before each journey and closes it afterwards. */
abstract class JourneyTest extends ApplicationTest {
  final Project demo = LongHour.project();

  /** Where a journey may write. */
  @TempDir Path folder;

  Driver driver;

  @Override
  public void start(Stage stage) {
    driver = Driver.open(stage, demo, folder.resolve("user"));
  }

  /** Begins with the pointer out of the way. */
  @BeforeEach
  void settle() {
    driver.robot().moveTo("#search");
    driver.settle();
  }

  @AfterEach
  void close() {
    driver.close();
  }

  /** The words of a label or a button. */
  String text(String id) {
    return ((Labeled) driver.node(id)).getText();
  }

  /** Types into a field in place of what it holds. */
  void typeInto(String id, String text) {
    TextField field = (TextField) driver.node(id);
    driver
        .robot()
        .interact(() -> {
          field.requestFocus();
          field.selectAll();
        });
    driver.robot().write(text);
    driver.settle();
  }
}
