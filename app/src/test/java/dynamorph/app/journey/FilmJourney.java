package dynamorph.app.journey;

import dynamorph.demo.LongHour;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import java.nio.file.Path;
import javafx.stage.Stage;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.framework.junit5.ApplicationExtension;

/** The demo's film in a window. */
@ExtendWith(ApplicationExtension.class)
abstract class FilmJourney {
  @TempDir Path folder;
  Driver driver;

  /** To be called by the start of each journey, which is looked for in its own class. */
  final void open(Stage stage) {
    driver = Driver.open(stage, LongHour.project(), folder);
  }

  final Timeline line() {
    return driver.project().films().findFirst().orElseThrow().timeline().orElseThrow();
  }

  final void seek(long millis) {
    driver.robot().interact(() -> driver.workspace().playback().seek(Time.ofMillis(millis)));
    driver.settle();
  }

  /** Runs an action by its name, as the search for commands does. */
  final void action(String name) {
    driver.actions().stream()
        .filter(one -> one.name().equals(name))
        .findFirst()
        .orElseThrow()
        .run();
  }
}
