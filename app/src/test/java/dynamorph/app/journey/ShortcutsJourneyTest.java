package dynamorph.app.journey;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.app.action.Action;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Other keys are chosen, taken from another action, handed on, and given back. */
class ShortcutsJourneyTest extends JourneyTest {
  private static final String DUPLICATE = "edit-duplicate";
  private static final String SELECT_ALIKE = "edit-select-alike";

  @TempDir private Path folder;

  @BeforeEach
  void openThePane() {
    driver.run("Choose shortcuts\u2026");
  }

  private void find(String words) {
    TextField field = (TextField) driver.node("find-shortcut");
    driver.robot().interact(() -> field.setText(words));
    driver.settle();
  }

  private List<String> found() {
    return driver.robot().lookup(".shortcut-row .label").queryAllAs(Label.class).stream()
        .filter(label -> label.getParent().getParent().isVisible())
        .map(Label::getText)
        .filter(driver.actions().stream().map(Action::name).toList()::contains)
        .toList();
  }

  private String keys(String action) {
    return ((Button) driver.node("keys-" + action)).getText();
  }

  private void hold(KeyCode... keys) {
    driver.robot().press(keys).release(keys);
    driver.settle();
  }

  private void choose(String action, KeyCode... keys) {
    driver.robot().clickOn(driver.node("keys-" + action));
    hold(keys);
  }

  private int texts() {
    return (int) driver.project().layers().count();
  }

  @Test
  void actionsAreFoundByTheirNamesAndByPressingTheirKeys() {
    find("dupl");
    assertThat(found()).containsExactly("Duplicate the artboard", "Duplicate texts");
    driver.robot().clickOn("#find-shortcut");
    hold(KeyCode.CONTROL, KeyCode.D);
    assertThat(((TextField) driver.node("find-shortcut")).getText()).isEqualTo("Ctrl+D");
    assertThat(found()).containsExactly("Duplicate texts");
    hold(KeyCode.F3);
    assertThat(found()).hasSize(1);
    driver.robot().write("ungemein");
    driver.settle();
    assertThat(found()).isEmpty();
  }

  @Test
  void otherKeysAreHeardInTheWindowAndTheFormerAreNot() {
    find("duplicate texts");
    choose(DUPLICATE, KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.F6);
    assertThat(keys(DUPLICATE)).isEqualTo("Ctrl+Shift+F6");
    driver.robot().push(KeyCode.ESCAPE);
    driver.settle();
    assertThat(driver.isShown("#shortcuts")).isFalse();
    driver.select("web-open");
    driver.robot().interact(() -> driver.stage().requestFocus());
    int before = texts();
    hold(KeyCode.CONTROL, KeyCode.D);
    assertThat(texts()).isEqualTo(before);
    hold(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.F6);
    assertThat(texts()).isEqualTo(before + 1);
    driver.undoAll();
  }

  @Test
  void keysThatCannotBeAreRefusedAndThoseOfOthersAreTakenOnlyIfWanted() {
    find("follow the same");
    choose(SELECT_ALIKE, KeyCode.X);
    assertThat(said()).contains("hold Ctrl or Alt");
    hold(KeyCode.CONTROL, KeyCode.LEFT);
    assertThat(said()).contains("move the caret");
    hold(KeyCode.CONTROL, KeyCode.D);
    assertThat(said()).isEqualTo("Ctrl+D is \u201CDuplicate texts\u201D, which would have none.");
    driver.robot().push(KeyCode.ESCAPE);
    driver.settle();
    assertThat(keys(SELECT_ALIKE)).as("left as it was").isEqualTo("none");
    assertThat(driver.isShown("#shortcuts")).isTrue();
    choose(SELECT_ALIKE, KeyCode.CONTROL, KeyCode.D);
    driver.robot().clickOn("Take it");
    driver.settle();
    assertThat(keys(SELECT_ALIKE)).isEqualTo("Ctrl+D");
    find("duplicate texts");
    assertThat(keys(DUPLICATE)).isEqualTo("none");
    // its usual keys belong to another now, which is said first
    driver.robot().clickOn(driver.node("usual-" + DUPLICATE));
    assertThat(said()).contains("which would have none");
    driver.robot().push(KeyCode.ENTER);
    driver.settle();
    assertThat(keys(DUPLICATE)).isEqualTo("Ctrl+D");
  }

  private String said() {
    return driver.robot().lookup(".shortcut-row .quiet").queryAllAs(Label.class).stream()
        .filter(Label::isVisible)
        .map(Label::getText)
        .filter(words -> !words.isEmpty())
        .findFirst()
        .orElse("");
  }

  @Test
  void keysAreHandedOnAndOneComesBackToTheUsual() throws IOException {
    find("follow the same");
    choose(SELECT_ALIKE, KeyCode.ALT, KeyCode.F6);
    Path file = folder.resolve("mine.txt");
    driver.answers().file(file);
    driver.press("shortcuts-export");
    assertThat(Files.readAllLines(file))
        .containsExactly("#dynamorph-shortcuts", "edit.select-alike\tAlt+F6");
    driver.press("shortcuts-reset");
    assertThat(keys(SELECT_ALIKE)).isEqualTo("none");
    driver.offer("Undo");
    assertThat(keys(SELECT_ALIKE)).isEqualTo("Alt+F6");
    driver.press("shortcuts-reset");
    Files.write(
        file,
        List.of(
            "#dynamorph-shortcuts",
            "edit.duplicate\tAlt+F7",
            "edit.to-come\tAlt+F8",
            "edit.rename\tnothing",
            "edit.select-alike\tShortcut+D"));
    driver.answers().file(file);
    driver.press("shortcuts-import");
    assertThat(keys(SELECT_ALIKE)).isEqualTo("Ctrl+D");
    assertThat(driver.notice())
        .isEqualTo(
            "2 shortcuts differ from the usual ones now; 2 lines say nothing that this version can"
                + " take.");
    Files.writeString(file, "any text");
    driver.press("shortcuts-import");
    assertThat(driver.notice()).startsWith("Not imported: mine.txt is no file of shortcuts");
    assertThat(keys(SELECT_ALIKE)).as("as it was").isEqualTo("Ctrl+D");
    driver.press("shortcuts-reset");
  }
}
