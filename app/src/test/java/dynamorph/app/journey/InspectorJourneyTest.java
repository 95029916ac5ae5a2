package dynamorph.app.journey;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.value.FontSize;
import java.util.List;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** Values of several texts at once, their source marks, and nudging that shows at once. */
class InspectorJourneyTest extends JourneyTest {
  private void select(String... ids) {
    driver
        .robot()
        .interact(
            () -> driver.workspace().select(List.of(ids).stream().map(LayerId::new).toList()));
    driver.settle();
  }

  private TextField field(String id) {
    return driver.robot().lookup("#inspector #" + id).query();
  }

  private FontSize size(String id) {
    Layer layer = driver.layer(id);
    var paragraph = layer.story().paragraphs().getFirst();
    return Cascade.of(driver.project())
        .values(layer, paragraph, paragraph.spans().getFirst())
        .get(Properties.SIZE.key())
        .orElseThrow();
  }

  /** The state of the mark in front of a value: from-style, local, or nothing. */
  private String mark(String id) {
    Node cell = driver.robot().lookup("#inspector #" + id).query().getParent();
    Node mark = cell.lookup(".source-mark");
    return mark.getPseudoClassStates().stream()
        .map(state -> state.getPseudoClassName())
        .filter(name -> name.equals("from-style") || name.equals("local"))
        .findFirst()
        .orElse("none");
  }

  @Test
  void mixedValuesAreSetForAll() {
    select("label-3-title", "label-5-title", "panel-2-text");
    assertThat(field("size").getText()).isEmpty();
    assertThat(field("size").getPromptText()).isEqualTo("mixed");
    driver.robot().clickOn(field("size")).write("40").push(KeyCode.ENTER);
    driver.settle();
    assertThat(field("size").getText()).isEqualTo("40 pt");
    assertThat(size("label-3-title")).isEqualTo(FontSize.points(40));
    assertThat(size("label-5-title")).isEqualTo(FontSize.points(40));
    assertThat(size("panel-2-text"))
        .as("the paragraphs' own style gives way")
        .isEqualTo(FontSize.points(40));
    assertThat(driver.workspace().historyProperty().get().undoLabel())
        .contains("Set size of 3 texts");
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void marksTellWhereValuesComeFrom() {
    select("label-5-title");
    assertThat(mark("font-family")).isEqualTo("from-style");
    assertThat(mark("size")).isEqualTo("local");
    assertThat(mark("finish-fill-colour")).isEqualTo("local");
    assertThat(mark("case")).isEqualTo("none");
    assertThat(mark("position-x")).as("the text's own place").isEqualTo("none");
  }

  @Test
  void whatTrackingDoesToJoinedLettersIsSaid() {
    select("languages-arabic");
    assertThat(driver.robot().lookup("#hint-tracking").match(Node::isVisible).tryQuery()).isEmpty();
    driver.reveal("#inspector #tracking");
    driver.robot().clickOn(field("tracking")).eraseText(3).write("200").push(KeyCode.ENTER);
    driver.settle();
    Label hint = (Label) driver.reveal("#inspector #hint-tracking");
    assertThat(hint.getText()).isEqualTo("lengthens a join in each word");
    assertThat(hint.isVisible()).isTrue();
    driver.reveal("#inspector #tracking");
    driver
        .robot()
        .clickOn(field("tracking"))
        .push(KeyCode.SHORTCUT, KeyCode.A)
        .write("-50")
        .push(KeyCode.ENTER);
    driver.settle();
    assertThat(hint.getText()).isEqualTo("letters that join are not tracked");
    select("label-3-title");
    assertThat(hint.isVisible()).isFalse();
  }

  @Test
  void nudgingShowsOnTheStageAndIsOneStep() {
    select("label-6-title");
    driver
        .robot()
        .clickOn(field("size"))
        .push(KeyCode.UP)
        .push(KeyCode.UP)
        .push(KeyCode.SHIFT, KeyCode.UP);
    driver.settle();
    assertThat(size("label-6-title")).isEqualTo(FontSize.points(86));
    driver.robot().push(KeyCode.ESCAPE);
    driver.robot().interact(driver.workspace()::undo);
    driver.settle();
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void aLabelIsDraggedToNudge() {
    Driver.needsADisplay();
    select("label-6-title");
    Label handle =
        driver
            .robot()
            .lookup("#inspector .row-label")
            .match(node -> ((Label) node).getText().equals("Tracking"))
            .query();
    var bounds = handle.localToScreen(handle.getBoundsInLocal());
    Point2D at = new Point2D(bounds.getMinX() + 8, bounds.getCenterY());
    driver.robot().drag(at).moveBy(15, 0).moveBy(15, 0).drop();
    driver.settle();
    assertThat(driver.layer("label-6-title").local().get(Properties.TRACKING.key())).contains(10.0);
    driver.robot().interact(driver.workspace()::undo);
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void aPlacedValueMovesTheTextAndIsNoLocalChange() {
    select("label-6-title");
    driver
        .robot()
        .clickOn(driver.reveal(field("position-x")))
        .push(KeyCode.SHORTCUT, KeyCode.A)
        .write("10 mm")
        .push(KeyCode.ENTER);
    driver.settle();
    Layer layer = driver.layer("label-6-title");
    assertThat(layer.frame().get(Properties.POSITION_X.key()).orElseThrow()).isBetween(28.3, 28.4);
    assertThat(layer.local().has(Properties.POSITION_X.key())).isFalse();
  }

  @Test
  void aWrongValueIsRefusedInWords() {
    select("label-6-title");
    driver
        .robot()
        .clickOn(field("size"))
        .push(KeyCode.SHORTCUT, KeyCode.A)
        .write("enormous")
        .push(KeyCode.ENTER);
    driver.settle();
    assertThat(driver.notice()).startsWith("Size: \"enormous\" is not a number");
    assertThat(field("size").getText()).isEqualTo("74 pt");
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void aCoatIsHiddenByItsEye() {
    select("entrance-title");
    List<Address> before = coats();
    assertThat(before).extracting(Address::coat).containsExactly("rim", "fill", "rivets");
    driver.robot().clickOn(driver.reveal("#inspector .coat-row .toggle-button"));
    driver.settle();
    assertThat(
            driver
                .layer("entrance-title")
                .local()
                .get(Properties.COAT_SHOWN.at(Address.coat("rivets"))))
        .contains(false);
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  private List<Address> coats() {
    return dynamorph.model.cascade.Coats.of(
        Cascade.of(driver.project()).values(driver.layer("entrance-title")), Address.FINISH);
  }
}
