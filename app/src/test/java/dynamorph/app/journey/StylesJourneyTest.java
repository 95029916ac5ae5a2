package dynamorph.app.journey;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.reach.LocalChanges;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.value.DashFit;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.StrokeCap;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Region;
import org.junit.jupiter.api.Test;

/** Styles are derived, edited, renamed and deleted; values are traced and finishes built. */
class StylesJourneyTest extends JourneyTest {
  private static final StyleId LABEL = new StyleId("label-title");

  /** Gives the window the keyboard, then the card. */
  private void focusCard(StyleId id) {
    driver.pressText("web-place");
    driver.robot().push(KeyCode.ESCAPE);
    driver.robot().interact(() -> driver.node("style-" + id).requestFocus());
    driver.settle();
  }

  private void chooseFromMenu(StyleId id, String item) {
    focusCard(id);
    driver.robot().rightClickOn("#style-" + id);
    driver.robot().clickOn(item);
    driver.settle();
  }

  @Test
  void aCompactListHasALineForEachStyle() {
    driver.pressText("web-place");
    driver.press("shelf-dense");
    Region card = (Region) driver.node("style-" + LABEL);
    assertThat(card.getHeight()).isLessThan(24);
    assertThat(driver.robot().from(card).lookup(".label").<Label>queryAll())
        .filteredOn(Label::isVisible)
        .extracting(Label::getText)
        .contains("Label title", "Barlow Condensed, 76 pt", "6");
    driver.robot().clickOn(card);
    driver.waitFor("it follows", () -> driver.layer("web-place").follows().contains(LABEL));
    assertThat(driver.window().files().user().lines("styles.txt")).containsExactly("compact");
    driver.press("shelf-dense");
    assertThat(card.getHeight()).isGreaterThan(60);
    assertThat(driver.window().files().user().lines("styles.txt")).isEmpty();
  }

  @Test
  void aDerivedStyleIsMadeNamedAndCommitted() {
    Driver.needsADisplay();
    chooseFromMenu(LABEL, "Derive a style");
    StyleId derived = driver.styleNamed("Label title, variant");
    assertThat(driver.workspace().attempts().present().desk().orElseThrow().original().id())
        .isEqualTo(derived);
    TextField name = (TextField) driver.node("style-name");
    driver
        .robot()
        .clickOn(name)
        .push(KeyCode.SHORTCUT, KeyCode.A)
        .write("Small label")
        .push(KeyCode.ENTER);
    TextField size = driver.robot().lookup("#style-desk #size").query();
    driver
        .robot()
        .clickOn(size)
        .push(KeyCode.SHORTCUT, KeyCode.A)
        .write("x0.5")
        .push(KeyCode.ENTER);
    driver.settle();
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.ENTER);
    driver.settle();
    Style small = driver.project().styles().named("Small label").orElseThrow();
    assertThat(small.basedOn()).contains(LABEL);
    assertThat(small.properties().get(Properties.SIZE.key())).contains(new FontSize.Times(0.5));
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void discardLeavesTheStyleAsItWas() {
    focusCard(LABEL);
    driver.robot().push(KeyCode.ENTER);
    driver.settle();
    assertThat(((Button) driver.node("commit")).isDisabled()).isTrue();
    TextField size = driver.robot().lookup("#style-desk #size").query();
    driver.robot().clickOn(size).push(KeyCode.UP).push(KeyCode.UP);
    driver.settle();
    assertThat(driver.workspace().shownProperty().get()).isNotEqualTo(demo);
    driver.press("discard");
    assertThat(driver.project()).isEqualTo(demo);
    assertThat(driver.workspace().shownProperty().get()).isEqualTo(demo);
    assertThat(driver.workspace().historyProperty().get().canUndo()).isFalse();
  }

  @Test
  void holdingBShowsHowItWas() {
    focusCard(LABEL);
    driver.robot().push(KeyCode.ENTER);
    driver.settle();
    TextField size = driver.robot().lookup("#style-desk #size").query();
    driver.robot().clickOn(size).push(KeyCode.SHORTCUT, KeyCode.A).write("120").push(KeyCode.ENTER);
    driver.robot().clickOn("#style-desk .banner");
    driver.robot().interact(() -> driver.node("stage").requestFocus());
    driver.settle();
    Project draft = driver.workspace().shownProperty().get();
    driver.robot().press(KeyCode.B);
    driver.settle();
    assertThat(driver.workspace().shownProperty().get()).isEqualTo(demo);
    driver.robot().release(KeyCode.B);
    driver.settle();
    assertThat(driver.workspace().shownProperty().get()).isEqualTo(draft);
  }

  @Test
  void theReachStripTellsWhatAChangeWouldDo() {
    focusCard(LABEL);
    driver.robot().push(KeyCode.ENTER);
    driver.settle();
    TextField size = driver.robot().lookup("#style-desk #size").query();
    driver.robot().clickOn(size).push(KeyCode.SHORTCUT, KeyCode.A).write("160").push(KeyCode.ENTER);
    driver.settle();
    driver.waitFor(
        "the strip tells what would be overset",
        () ->
            driver.robot().lookup("#reach .problem-text").queryAllAs(Label.class).stream()
                .anyMatch(label -> label.getText().equals("6 overset")));
    assertThat(driver.robot().lookup("#reach .thumbnail").queryAll()).hasSize(6);
  }

  @Test
  void aStyleIsRenamedInPlaceAndDeletedWithAReplacement() {
    Driver.needsADisplay();
    focusCard(LABEL);
    driver
        .robot()
        .push(KeyCode.F2)
        .push(KeyCode.SHORTCUT, KeyCode.A)
        .write("Wheel")
        .push(KeyCode.ENTER);
    driver.settle();
    assertThat(driver.project().styles().get(LABEL).name()).isEqualTo("Wheel");
    Project renamed = driver.project();
    focusCard(LABEL);
    driver.robot().rightClickOn("#style-" + LABEL);
    driver.robot().clickOn("Delete");
    driver.settle();
    driver.robot().clickOn("#settle-follow");
    ComboBox<Optional<Style>> instead = driver.robot().lookup("#settle-instead").query();
    driver
        .robot()
        .interact(() -> instead.setValue(driver.project().styles().find(new StyleId("tag"))));
    driver.settle();
    assertThat(driver.project()).as("only shown so far").isEqualTo(renamed);
    assertThat(driver.workspace().shownProperty().get().styles().find(LABEL)).isEmpty();
    driver.robot().clickOn("#settle-commit");
    driver.settle();
    assertThat(driver.project().styles().find(LABEL)).isEmpty();
    assertThat(driver.layer("label-3-title").follows()).containsExactly(new StyleId("tag"));
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void allFollowersAreSelectedFromTheMenu() {
    Driver.needsADisplay();
    chooseFromMenu(new StyleId("label-text"), "Select followers");
    assertThat(driver.workspace().selection().layers()).hasSize(16);
  }

  @Test
  void aValueIsTracedAndDroppedThere() {
    driver.pressText("label-5-title");
    driver
        .robot()
        .clickOn(
            driver
                .robot()
                .lookup("#inspector .source-mark")
                .match(mark ->
                    mark.getPseudoClassStates().stream()
                        .anyMatch(state -> state.getPseudoClassName().equals("local")))
                .<javafx.scene.Node>query());
    List<String> told =
        driver.robot().lookup(".trace-popup .label").queryAllAs(Label.class).stream()
            .map(Label::getText)
            .toList();
    assertThat(told)
        .contains(
            "Where size comes from",
            "\u00d71.15 = 87.4 pt",
            "Local change",
            "Label title, through Label title, loan");
    driver
        .robot()
        .clickOn(
            driver
                .robot()
                .lookup(".trace-popup .hyperlink")
                .match(link -> ((javafx.scene.control.Hyperlink) link).getText().equals("Drop"))
                .<javafx.scene.Node>query());
    driver.settle();
    assertThat(LocalChanges.count(driver.layer("label-5-title"))).isEqualTo(1);
  }

  @Test
  void aFinishIsBuiltFromAFillAStrokeAPlateAndAShadow() {
    Driver.needsADisplay();
    driver.pressText("label-6-title");
    driver.press("add-stroke");
    addEffect("Drop shadow");
    driver.press("add-plate");
    var values = Cascade.of(driver.project()).values(driver.layer("label-6-title"));
    assertThat(Coats.of(values, Address.FINISH))
        .extracting(Address::coat)
        .containsExactly("fill", "outline");
    assertThat(Coats.effects(values, Address.coat("outline"))).hasSize(1);
    assertThat(Coats.of(values, Address.PLATE)).hasSize(1);
    assertThat(driver.workspace().historyProperty().get().undoLabel()).isPresent();
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  private void addEffect(String name) {
    driver.robot().clickOn(driver.reveal("#add-effect"));
    driver.settle();
    driver
        .robot()
        .clickOn(
            driver
                .robot()
                .lookup(".context-menu .label")
                .match((javafx.scene.control.Label item) -> item.getText().equals(name))
                .<javafx.scene.Node>query());
    driver.settle();
  }

  @Test
  void aRimOfGlowingRivetsIsBuiltOnAPlainText() {
    Driver.needsADisplay();
    driver.pressText("label-6-title");
    driver.press("add-stroke");
    driver.robot().clickOn(driver.reveal("#round-dots"));
    driver.settle();
    addEffect("Inner glow");
    addEffect("Outer glow");
    addEffect("Outer glow");
    driver.robot().clickOn(driver.reveal("#duplicate-coat"));
    driver.settle();
    var values = Cascade.of(driver.project()).values(driver.layer("label-6-title"));
    Address rivets = Address.coat("outline");
    assertThat(Coats.of(values, Address.FINISH))
        .extracting(Address::coat)
        .as("the copy lies above")
        .containsExactly("fill", "outline", "outline-2");
    for (Address coat : List.of(rivets, Address.coat("outline-2"))) {
      assertThat(Coats.effects(values, coat))
          .extracting(Address::effect)
          .containsExactly("inner-glow", "glow", "glow-2");
      assertThat(Coats.value(values, Properties.DASH_FIT.at(coat))).isEqualTo(DashFit.CONTOUR);
      assertThat(Coats.value(values, Properties.STROKE_CAP.at(coat))).isEqualTo(StrokeCap.ROUND);
    }
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void coatsAreMovedByDraggingAndByKeys() {
    Driver.needsADisplay();
    driver.pressText("entrance-title");
    driver.reveal("#inspector .coat-row");
    javafx.scene.Node rivets = name("Rivets");
    javafx.scene.Node rim = name("Stroke outside");
    driver.robot().drag(rivets).moveTo(rim).moveBy(0, 14).drop();
    driver.settle();
    assertThat(coats("entrance-title")).containsExactly("rivets", "rim", "fill");
    driver.robot().clickOn("#inspector #finish-rivets-colour");
    driver.robot().press(KeyCode.ESCAPE).release(KeyCode.ESCAPE);
    driver.robot().press(KeyCode.ALT, KeyCode.UP).release(KeyCode.ALT, KeyCode.UP);
    driver.settle();
    assertThat(coats("entrance-title")).containsExactly("rim", "rivets", "fill");
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void aFinishIsCopiedToOtherTextsAndCleared() {
    driver.pressText("entrance-title");
    driver.robot().push(KeyCode.F7);
    driver.pressText("label-6-title");
    driver.robot().push(KeyCode.F8);
    driver.settle();
    assertThat(coats("label-6-title")).containsExactly("rim", "fill", "rivets");
    assertThat(finish("label-6-title").coats()).hasSameSizeAs(finish("entrance-title").coats());
    driver.run("Clear the finish");
    assertThat(coats("label-6-title")).containsExactly("fill");
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  private dynamorph.model.cascade.Finish finish(String id) {
    return Cascade.of(driver.project())
        .resolve(driver.layer(id))
        .paragraphs()
        .getFirst()
        .spans()
        .getFirst()
        .finish();
  }

  private javafx.scene.Node name(String text) {
    return driver
        .robot()
        .lookup("#inspector .coat-row > .label")
        .match((javafx.scene.control.Label label) -> label.getText().equals(text))
        .query();
  }

  @Test
  void aCoatTakenAwayCanBePutInAgain() {
    driver.pressText("label-6-title");
    driver.press("add-stroke");
    takeAwayTopCoat();
    assertThat(driver.project()).as("what was put in by hand goes without a trace").isEqualTo(demo);
    driver.press("add-stroke");
    assertThat(coats("label-6-title")).containsExactly("fill", "outline");
    driver.pressText("entrance-title");
    takeAwayTopCoat();
    assertThat(coats("entrance-title"))
        .as("an inherited coat is marked as removed")
        .containsExactly("rim", "fill");
    assertThat(LocalChanges.count(driver.layer("entrance-title"))).isEqualTo(1);
  }

  private void takeAwayTopCoat() {
    driver
        .robot()
        .clickOn(
            driver
                .robot()
                .lookup("#inspector .coat-row .icon-button")
                .match(button -> "Remove this coat  Delete".equals(button.getAccessibleText()))
                .<javafx.scene.Node>query());
    driver.settle();
  }

  private List<String> coats(String id) {
    var values = Cascade.of(driver.project()).values(driver.layer(id));
    return Coats.of(values, Address.FINISH).stream().map(Address::coat).toList();
  }

  @Test
  void theListIsFilteredByWords() {
    driver
        .robot()
        .clickOn(driver.robot().lookup(".styles-column .text-field").<javafx.scene.Node>query())
        .write("garamond");
    driver.settle();
    assertThat(driver.robot().lookup(".style-card-row").queryAll()).hasSizeBetween(12, 16);
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.A).write("nothing like it");
    driver.settle();
    assertThat(driver.robot().lookup(".style-card-row").queryAll()).isEmpty();
    assertThat(driver.robot().lookup("No style matches.").queryAll()).isNotEmpty();
  }

  @Test
  void anActionAndAStyleAreFoundByTheirWords() {
    driver.pressText("label-6-title");
    driver.robot().push(KeyCode.CONTROL, KeyCode.SPACE).write("follow tag").push(KeyCode.ENTER);
    driver.settle();
    assertThat(driver.layer("label-6-title").follows()).containsExactly(new StyleId("tag"));
    driver.robot().push(KeyCode.CONTROL, KeyCode.SPACE).write("undo").push(KeyCode.ENTER);
    driver.settle();
    assertThat(driver.project()).isEqualTo(demo);
  }

  private Artboard webSquare() {
    return driver.project().artboard(new ArtboardId("web")).orElseThrow();
  }

  @Test
  void textsAreDuplicatedDeletedCopiedAndPasted() {
    driver.pressText("web-open");
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.D);
    driver.settle();
    assertThat(webSquare().layers()).hasSize(4);
    assertThat(webSquare().layers().getLast().follows()).containsExactly(new StyleId("tag"));
    driver.robot().push(KeyCode.DELETE);
    driver.settle();
    assertThat(driver.project()).isEqualTo(demo);
    driver.pressText("web-open");
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.C);
    driver.pressText("label-6-title");
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.V);
    driver.settle();
    assertThat(driver.project().artboards().get(4).layers()).hasSize(3);
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }
}
