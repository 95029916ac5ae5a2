package dynamorph.app.journey;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.formats.journal.Journals;
import dynamorph.formats.journal.Left;
import dynamorph.model.Project;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.InstantSource;
import java.util.List;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;

/** The process ends in the midst of work; the next one goes on where it was. */
class RecoveryJourneyTest extends JourneyTest {
  private Stage stage;
  private Path user;

  @Override
  public void start(Stage shown) {
    stage = shown;
    user = folder.resolve("user");
    super.start(shown);
  }

  /** What lies on the disk when a process is killed: all files as they are, and no lock. */
  private Path killed(String name) {
    Path now = user.resolve("journal");
    Path copy = folder.resolve(name).resolve("journal");
    try (Stream<Path> files = Files.walk(now)) {
      for (Path file : files.toList()) {
        Path to = copy.resolve(now.relativize(file).toString());
        Files.createDirectories(to.getParent());
        if (Files.isRegularFile(file)) {
          Files.copy(file, to);
        }
      }
    } catch (IOException failed) {
      throw new java.io.UncheckedIOException(failed);
    }
    return copy.getParent();
  }

  private static List<Left> left(Path user) {
    return new Journals(user.resolve("journal"), InstantSource.system()).left();
  }

  private void reopen(Path from) {
    user = from;
    driver.robot().interact(() -> driver = Driver.open(stage, demo, from));
    driver.robot().moveTo("#search");
    driver.settle();
    driver.waitFor("the work is offered", () -> driver.isShown("#recovery"));
  }

  private Node button(String label) {
    return driver.robot().lookup("#recovery .button").queryAll().stream()
        .filter(node -> node instanceof Labeled named && label.equals(named.getText()))
        .findFirst()
        .orElseThrow();
  }

  /** Waits a second at most, which is what may be lost. */
  private Path killedWithin(String name) {
    driver.robot().sleep(1_000);
    return killed(name);
  }

  @Test
  void typingGoesOnAfterTheProcessWasKilled() {
    driver.pressText("entrance-title");
    driver.robot().push(KeyCode.ENTER);
    driver.robot().write("Seven Days");
    Project typed = driver.workspace().project();
    int steps = driver.workspace().historyProperty().get().past().size();
    reopen(killedWithin("killed"));
    assertThat(driver.workspace().project()).isNotEqualTo(typed);

    driver.robot().clickOn(button("Open"));
    driver.settle();
    assertThat(driver.isShown("#recovery")).isFalse();
    assertThat(driver.workspace().project()).isEqualTo(typed);
    assertThat(driver.workspace().historyProperty().get().isSaved()).isFalse();
    for (int step = 0; step < steps; step++) {
      assertThat(driver.workspace().project()).isNotEqualTo(demo);
      driver.robot().push(KeyCode.SHORTCUT, KeyCode.Z);
      driver.settle();
    }
    assertThat(driver.workspace().project()).isEqualTo(demo);
    for (int step = 0; step < steps; step++) {
      driver.robot().push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.Z);
      driver.settle();
    }
    assertThat(driver.workspace().project()).isEqualTo(typed);

    // and once more: what was opened is as safe as before, and there is one of it
    assertThat(left(killedWithin("again"))).extracting(Left::project).containsExactly(typed);
  }

  @Test
  void aDraftOnTheDeskIsThereAgain() {
    Style style = demo.styles().get(new StyleId("enamel-title"));
    driver
        .robot()
        .interact(() -> {
          driver.workspace().attempts().openDesk(style.id());
          driver.workspace().attempts().draft(style.withNote("bolder"), java.util.Optional.empty());
        });
    reopen(killedWithin("killed"));
    driver.robot().clickOn(button("Open"));
    driver.settle();
    var desk = driver.workspace().attempts().present().desk().orElseThrow();
    assertThat(desk.draft()).isEqualTo(style.withNote("bolder"));
    assertThat(desk.original()).isEqualTo(style);
  }

  @Test
  void workIsPutAsideAndFoundByItsCommand() {
    driver.pressText("entrance-title");
    driver.robot().push(KeyCode.DELETE);
    Project deleted = driver.workspace().project();
    reopen(killedWithin("killed"));
    driver.robot().clickOn(button("Put aside"));
    driver.waitFor(
        "nothing is left",
        () ->
            driver.robot().lookup("#recovery .label").queryAll().stream()
                .anyMatch(node ->
                    node instanceof Labeled told
                        && "Nothing was left unsaved.".equals(told.getText())));
    driver.robot().push(KeyCode.ESCAPE);
    assertThat(driver.isShown("#recovery")).isFalse();
    driver.run("Recovered work…");
    driver.waitFor("it is listed", () -> driver.isShown("#recovery .recovery-row"));
    driver.robot().clickOn(button("Open"));
    driver.settle();
    assertThat(driver.workspace().project()).isEqualTo(deleted);
  }

  @Test
  void workThatWasGivenUpIsNotOffered() {
    driver.pressText("entrance-title");
    driver.robot().push(KeyCode.DELETE);
    driver.robot().sleep(1_000);
    assertThat(left(killed("before"))).hasSize(1);
    driver.close();
    assertThat(left(killed("after"))).isEmpty();
  }
}
