package dynamorph.app.journey;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Project;
import dynamorph.model.edit.ChangeProject;
import dynamorph.model.property.Properties;
import dynamorph.model.style.StyleId;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What was saved yesterday is looked at beside today, and taken back in parts or as a whole. */
class VersionsJourneyTest extends JourneyTest {
  private static final StyleId TITLE = new StyleId("label-title");

  private Path file;

  @BeforeEach
  void saveTwice() {
    file = folder.resolve("hour.dmorph");
    driver.answers().file(file);
    save();
    track(200);
    save();
  }

  private void save() {
    driver.run("Save");
    driver.waitFor("it is saved", () -> driver.workspace().historyProperty().get().isSaved());
  }

  /** Another tracking of a style. */
  private void track(double tracking) {
    Project before = driver.project();
    Project after =
        before.withStyles(
            before
                .styles()
                .map(
                    TITLE,
                    style ->
                        style.withProperties(
                            style.properties().with(Properties.TRACKING, tracking))));
    driver
        .robot()
        .interact(() -> driver.workspace().apply(new ChangeProject.Replace("Track", after)));
    driver.settle();
  }

  private List<Labeled> buttons(String label) {
    return driver.robot().lookup("#versions .button").queryAll().stream()
        .map(Labeled.class::cast)
        .filter(button -> button.getText().equals(label))
        .toList();
  }

  private List<Node> rows() {
    return List.copyOf(driver.robot().lookup("#versions .version-row").queryAll());
  }

  private void open() {
    driver.run("Saved versions…");
    driver.waitFor("the versions are shown", () -> driver.isShown("#versions"));
  }

  private double tracking(Project project) {
    return project.styles().get(TITLE).properties().get(Properties.TRACKING.key()).orElseThrow();
  }

  @Test
  void aStyleIsTakenBackAndThenAll() {
    Project now = driver.project();
    open();
    assertThat(rows()).as("as it was saved first, and then").hasSize(2);
    assertThat(buttons("Take back")).as("one style differs").hasSize(1);
    driver.robot().clickOn(buttons("Take back").getFirst());
    driver.settle();
    assertThat(tracking(driver.project())).isEqualTo(5);
    assertThat(driver.workspace().historyProperty().get().undoLabel())
        .contains("Take back Label title");
    assertThat(buttons("Take back")).as("nothing differs any more").isEmpty();
    driver.robot().interact(driver.workspace()::undo);
    driver.settle();
    assertThat(driver.project()).isEqualTo(now);
    assertThat(buttons("Take back")).as("the pane follows").hasSize(1);

    track(40);
    save();
    driver.waitFor("what is saved meanwhile is there too", () -> rows().size() == 3);
    driver.robot().interact(driver.workspace()::undo);
    driver.settle();
    driver.robot().clickOn("#restore-version");
    driver.settle();
    assertThat(driver.isShown("#versions")).isFalse();
    assertThat(driver.project()).isEqualTo(demo);
    assertThat(driver.notice()).startsWith("All is as it was saved on ");
    driver.robot().interact(driver.workspace()::undo);
    assertThat(driver.project()).isEqualTo(now);
  }

  @Test
  void whoeverWantsNoneKeepsNone() {
    open();
    CheckBox on = driver.robot().lookup("#keep-versions").query();
    assertThat(on.isSelected()).isTrue();
    driver.robot().clickOn(on);
    driver.robot().clickOn(buttons("Delete these versions…").getFirst());
    driver.waitFor("they are gone", () -> rows().isEmpty());
    driver.robot().push(KeyCode.ESCAPE);
    track(300);
    save();
    open();
    assertThat(rows()).isEmpty();
    assertThat(((CheckBox) driver.node("keep-versions")).isSelected()).isFalse();
  }
}
