package dynamorph.app.journey;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.demo.LongHour;
import dynamorph.model.LayerId;
import java.nio.file.Path;
import java.util.List;
import javafx.stage.Stage;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.framework.junit5.ApplicationTest;

/** Somebody selects a text while only the artboards show and the columns are still to come. */
class EarlyClickTest extends ApplicationTest {
  @TempDir Path folder;

  private Driver driver;
  private boolean columnsWereThere;

  @Override
  public void start(Stage stage) {
    driver = Driver.open(stage, LongHour.project(), folder.resolve("user"));
    columnsWereThere = stage.getScene().lookup("#styles") != null;
    driver.workspace().select(List.of(new LayerId("label-5-title")));
  }

  @AfterEach
  void close() {
    driver.close();
  }

  @Test
  void theColumnsComeAndShowWhatIsSelected() {
    assertThat(columnsWereThere).as("the artboards come first").isFalse();
    driver.settle();
    assertThat(driver.workspace().selection().layers())
        .containsExactly(new LayerId("label-5-title"));
    assertThat(driver.isShown("#styles")).isTrue();
    assertThat(driver.isShown("#size")).as("the first section of the inspector").isTrue();
    assertThat(driver.isShown("#alignment")).as("one of the last").isTrue();
    assertThat(driver.robot().lookup(".style-card-row").queryAll())
        .as("all styles are listed")
        .hasSameSizeAs(driver.project().styles().list());
  }
}
