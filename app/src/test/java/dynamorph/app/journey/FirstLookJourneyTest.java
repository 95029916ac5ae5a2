package dynamorph.app.journey;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.formats.project.ProjectFile;
import dynamorph.model.Asset;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.reach.LocalChanges;
import dynamorph.model.style.StyleId;
import dynamorph.model.value.Rgba;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import org.junit.jupiter.api.Test;

/**
 * One look, kept as a style, put on several texts, changed everywhere, taken back, saved and found
 * again.
 */
class FirstLookJourneyTest extends JourneyTest {
  private static final Rgba ORANGE = Rgba.parse("#e06010");

  @Test
  void keepFollowEditCommitUndoSaveReopen() throws IOException {
    Driver.needsADisplay();
    makeOneTitleRight();
    keepItsLook();
    StyleId kept = driver.styleNamed("Wheel title");
    List<String> others = selectFiveOthers();
    letThemFollow(kept, others);
    editTheStyle(kept);
    for (String id : others) {
      assertThat(driver.pixels(id, ORANGE)).as("orange in %s", id).isPositive();
      assertThat(weight(id)).isEqualTo(800);
    }
    Project edited = driver.project();
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
    for (String id : others) {
      assertThat(driver.pixels(id, ORANGE)).as("orange in %s", id).isZero();
    }
    redoAll();
    assertThat(driver.project()).isEqualTo(edited);
    saveAndReopen(edited);
  }

  /** Heavier and spaced out, in the inspector. */
  private void makeOneTitleRight() {
    driver.pressText("label-3-title");
    assertThat(driver.workspace().selection().layers())
        .extracting(Object::toString)
        .containsExactly("label-3-title");
    setField("tracking", "20");
    assertThat(LocalChanges.count(driver.layer("label-3-title"))).isEqualTo(1);
  }

  private void setField(String id, String value) {
    TextField field = driver.robot().lookup("#inspector #" + id).query();
    driver
        .robot()
        .clickOn(field)
        .push(KeyCode.SHORTCUT, KeyCode.A)
        .write(value)
        .push(KeyCode.ENTER);
    driver.settle();
  }

  private void keepItsLook() {
    driver.press("keep-look");
    TextField name = (TextField) driver.node("keep-name");
    assertThat(name.getText()).isEqualTo("Label title, ink");
    driver.robot().interact(() -> name.setText("Wheel title"));
    driver.press("keep-style");
    Layer layer = driver.layer("label-3-title");
    assertThat(layer.follows()).containsExactly(driver.styleNamed("Wheel title"));
    assertThat(LocalChanges.count(layer)).isZero();
    assertThat(driver.project().styles().named("Wheel title").orElseThrow().properties().keys())
        .extracting(Object::toString)
        .containsExactly("tracking");
  }

  /** A frame around two labels, less the text that follows already. */
  private List<String> selectFiveOthers() {
    driver.marquee("label-3-title", "label-5-text");
    assertThat(driver.workspace().selection().layers()).hasSize(6);
    driver.robot().press(KeyCode.SHIFT);
    driver.pressText("label-3-title");
    driver.robot().release(KeyCode.SHIFT);
    List<String> others =
        List.of(
            "label-3-material",
            "label-3-text",
            "label-5-title",
            "label-5-material",
            "label-5-text");
    assertThat(driver.workspace().selection().layers())
        .extracting(Object::toString)
        .containsExactlyInAnyOrderElementsOf(others);
    return others;
  }

  private void letThemFollow(StyleId kept, List<String> others) {
    driver.robot().interact(() -> driver.node("style-" + kept).requestFocus());
    driver.robot().clickOn("#style-" + kept);
    driver.waitFor(
        "all follow",
        () -> others.stream().allMatch(id -> driver.layer(id).follows().equals(List.of(kept))));
    driver.settle();
    assertThat(driver.workspace().historyProperty().get().undoLabel())
        .contains("Follow \"Wheel title\" on 5 texts");
    assertThat(driver.notice()).contains("1 of 5 texts have local changes; they are kept.");
    driver.offer("Drop");
    assertThat(LocalChanges.count(driver.layer("label-5-title"))).isZero();
  }

  private void editTheStyle(StyleId kept) {
    List<Object> selected = List.copyOf(driver.workspace().selection().layers());
    driver.robot().doubleClickOn("#style-" + kept);
    driver.settle();
    assertThat(driver.workspace().attempts().present().desk()).isPresent();
    assertThat(List.<Object>copyOf(driver.workspace().selection().layers())).isEqualTo(selected);
    assertThat(((Button) driver.node("commit")).getText()).isEqualTo("Commit for 6");
    ComboBox<Double> weight = driver.robot().lookup("#style-desk #font-weight").queryComboBox();
    driver.robot().interact(() -> weight.setValue(800.0));
    driver.robot().clickOn(driver.reveal("#style-desk #finish-fill-colour"));
    TextField hex = driver.robot().lookup("#colour-written").query();
    driver.robot().clickOn(hex);
    driver.waitFor("the field has the keyboard", hex::isFocused);
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.A).write("#e06010").push(KeyCode.ENTER);
    driver.settle();
    driver.waitFor("the draft shows live", () -> driver.pixels("label-5-title", ORANGE) > 0);
    driver.robot().push(KeyCode.ESCAPE);
    driver.settle();
    assertThat(driver.pixels("label-5-title", ORANGE)).as("the draft still shows").isPositive();
    assertThat(weight("label-5-title")).as("nothing is changed yet").isEqualTo(600);
    driver.press("commit");
    assertThat(driver.workspace().attempts().present().desk()).isEmpty();
  }

  private double weight(String id) {
    return Cascade.of(driver.project())
        .values(driver.layer(id))
        .get(Properties.FONT_WEIGHT.key())
        .orElseThrow();
  }

  private void redoAll() {
    while (driver.workspace().historyProperty().get().canRedo()) {
      driver.robot().interact(driver.workspace()::redo);
    }
    driver.settle();
  }

  private void saveAndReopen(Project edited) throws IOException {
    Path file = folder.resolve("hour.dmorph");
    driver.answers().file(file);
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.S);
    driver.waitFor(
        "the file is written",
        () -> driver.workspace().fileProperty().get().equals(Optional.of(file)));
    assertThat(ProjectFile.read(file)).isEqualTo(edited);
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.N);
    driver.settle();
    driver.robot().push(KeyCode.ENTER);
    driver.waitFor("a new project is open", () -> driver.project().name().equals("Untitled"));
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.O);
    driver.waitFor("the file is open again", () -> driver.project().equals(edited));
    driver.settle();
    assertThat(driver.pixels("label-5-title", ORANGE)).isPositive();
    assertThat(driver.workspace().historyProperty().get().isSaved()).isTrue();
  }

  @Test
  void aDamagedFileLeavesTheOpenProject() throws IOException {
    Path file = folder.resolve("broken.dmorph");
    Files.writeString(file, "PK but nothing more");
    driver.answers().file(file);
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.O);
    driver.waitFor("the problem is told", () -> driver.notice().contains("broken.dmorph"));
    assertThat(driver.notice()).isEqualTo("broken.dmorph: the file is damaged or cut short");
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void aProjectWithADamagedFontOpensInAnotherOne() throws IOException {
    Path file = folder.resolve("torn.dmorph");
    Asset torn = new Asset("fonts/Bell.ttf", "OTTO and no more".getBytes(StandardCharsets.UTF_8));
    ProjectFile.write(demo.withAssets(List.of(torn)), file);
    driver.answers().file(file);
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.O);
    driver.waitFor("the font is told", () -> driver.notice().contains("Bell.ttf"));
    assertThat(driver.notice())
        .isEqualTo(
            "assets/fonts/Bell.ttf: this is not a font that can be read; Source Sans 3 stands in,"
                + " and the file stays in the project");
    driver.settle();
    assertThat(driver.pixels("label-5-title", Rgba.parse("#7c2a62"))).isPositive();
    assertThat(driver.project().assets()).contains(torn);
  }

  @Test
  void restingOnAStyleShowsTheSelectionInItAndTakesItBack() {
    driver.pressText("label-6-title");
    Rgba copper = Rgba.parse("#a9522b");
    assertThat(driver.pixels("label-6-title", copper)).isZero();
    driver.robot().moveTo("#style-notice");
    driver.waitFor(
        "the preview shows", () -> driver.workspace().shownProperty().get() != driver.project());
    driver.settle();
    assertThat(driver.project()).isEqualTo(demo);
    driver.robot().moveTo("#search");
    driver.waitFor(
        "the preview is gone", () -> driver.workspace().shownProperty().get() == driver.project());
    driver.settle();
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void aStyleIsDraggedOntoAText() {
    Driver.needsADisplay();
    StyleId tag = new StyleId("tag");
    driver.pressText("web-place");
    driver.robot().interact(() -> driver.node("style-tag").requestFocus());
    driver.settle();
    driver.robot().drag("#style-tag", MouseButton.PRIMARY);
    driver.robot().dropTo(driver.middleOf("label-6-title"));
    driver.waitFor(
        "the text follows", () -> driver.layer("label-6-title").follows().equals(List.of(tag)));
    assertThat(driver.project().layers().filter(layer -> layer.follows().contains(tag))).hasSize(2);
  }

  @Test
  void localChangesAreDroppedAndSavedIntoTheStyle() {
    driver.pressText("label-5-title");
    driver.press("drop-local");
    assertThat(LocalChanges.count(driver.layer("label-5-title"))).isZero();
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.Z);
    assertThat(LocalChanges.count(driver.layer("label-5-title"))).isEqualTo(2);
    driver.press("save-into-style");
    driver.settle();
    assertThat(LocalChanges.count(driver.layer("label-5-title")))
        .as("another text would change")
        .isEqualTo(2);
    driver.robot().clickOn(".review-commit");
    driver.settle();
    assertThat(LocalChanges.count(driver.layer("label-5-title"))).isZero();
    assertThat(
            driver
                .project()
                .styles()
                .get(new StyleId("label-title-loan"))
                .properties()
                .get(Properties.COAT_COLOUR.at(Address.coat("fill"))))
        .hasToString("Optional[swatch:plum]");
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }
}
