package dynamorph.app.journey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coat;
import dynamorph.model.cascade.Coats;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.shape.Shape;
import dynamorph.model.style.StyleId;
import dynamorph.model.value.MaskKind;
import dynamorph.model.value.PaintKind;
import dynamorph.model.value.PlateExtent;
import dynamorph.model.value.Rgba;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** Finishes are built, patched, shared and taken from elsewhere. */
class FinishJourneyTest extends JourneyTest {
  private static final Address FILL = Address.coat("fill");

  private PropertySet values(String id) {
    return Cascade.of(driver.project()).values(driver.layer(id));
  }

  private void type(String query, String text) {
    driver
        .robot()
        .clickOn(driver.reveal(query))
        .push(KeyCode.SHORTCUT, KeyCode.A)
        .write(text)
        .push(KeyCode.ENTER);
    driver.settle();
  }

  private void unfold(String address) {
    Node button =
        driver
            .robot()
            .lookup(".icon-button")
            .match(
                node -> ("Details of " + address).equals(node.getAccessibleText()) && isOpen(node))
            .query();
    driver.robot().clickOn(driver.reveal(button));
    driver.settle();
  }

  private static boolean isOpen(Node node) {
    for (Node outer = node; outer != null; outer = outer.getParent()) {
      if (!outer.isVisible()) {
        return false;
      }
    }
    return true;
  }

  @Test
  void oneStrokePatchedInADerivedStyleLetsTheBaseFlowThrough() {
    Driver.needsADisplay();
    StyleId enamel = driver.styleNamed("Enamel title");
    driver.pressText("web-place");
    driver.robot().push(KeyCode.ESCAPE);
    driver.robot().rightClickOn(driver.reveal("#style-" + enamel));
    driver.robot().clickOn("Derive a style");
    driver.settle();
    StyleId derived = driver.workspace().attempts().present().desk().orElseThrow().original().id();
    unfold("finish/rim");
    type("#style-desk #finish-rim-width", "0.1 em");
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.ENTER);
    driver.settle();
    driver.pressText("entrance-title");
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.E);
    driver.settle();
    driver.robot().clickOn(driver.reveal("#style-desk #finish-rim-colour"));
    driver
        .robot()
        .clickOn("#colour-written")
        .push(KeyCode.SHORTCUT, KeyCode.A)
        .write("rebeccapurple")
        .push(KeyCode.ENTER);
    driver.robot().push(KeyCode.ESCAPE);
    driver.settle();
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.ENTER);
    driver.settle();
    assertThat(driver.project().styles().get(derived).properties().keys())
        .as("only the patch is in the derived style")
        .hasSize(1);
    Coat rim = rim(driver.layer("entrance-title").withFollows(List.of(derived)));
    assertThat(rim.paint().colour()).isEqualTo(Rgba.parse("#663399"));
    double size = values("entrance-title").get(Properties.SIZE.key()).orElseThrow().over(0);
    assertThat(((Coat.Stroke) rim.shape()).width())
        .as("the patch stays")
        .isCloseTo(size / 10, within(0.01));
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  private Coat rim(Layer layer) {
    ResolvedLayer look = Cascade.of(driver.project()).resolve(layer);
    return look.finish().coats().stream()
        .filter(coat -> coat.shape() instanceof Coat.Stroke stroke && stroke.dashing().isSolid())
        .findFirst()
        .orElseThrow();
  }

  @Test
  void aSubtitleGetsAPlateBehindEachLine() {
    Driver.needsADisplay();
    driver.pressText("entrance-subtitle");
    driver.press("add-plate");
    ComboBox<PlateExtent> behind = driver.robot().lookup("#inspector #plate-extent").query();
    driver.robot().interact(() -> behind.setValue(PlateExtent.LINE));
    type("#inspector #plate-padding", "0.1 em, 0.4 em");
    type("#inspector #plate-radius", "0.2 em, 0 em, 0.2 em, 0 em");
    driver.settle();
    ResolvedLayer look = Cascade.of(driver.project()).resolve(driver.layer("entrance-subtitle"));
    assertThat(look.plate().around()).isEqualTo(PlateExtent.LINE);
    assertThat(look.plate().padding().left()).isGreaterThan(look.plate().padding().above());
    assertThat(look.plate().corners().topRight()).isZero();
    assertThat(driver.pixels("entrance-subtitle", Rgba.parse("#e8c468"))).isPositive();
    // a number within several is nudged where the caret stands
    TextField padding = driver.robot().lookup("#inspector #plate-padding").query();
    driver.robot().clickOn(driver.reveal(padding));
    driver.robot().interact(() -> padding.positionCaret(1));
    driver.robot().push(KeyCode.UP);
    driver.settle();
    assertThat(values("entrance-subtitle").get(Properties.PLATE_PADDING.key()).orElseThrow())
        .hasToString("0.11 em, 0.4 em");
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void aButtonIsDrawnAndSharesItsFinishWithItsLabel() {
    Driver.needsADisplay();
    Point2D label = driver.middleOf("web-open");
    driver.press("tool-shape");
    driver.press("shape-rectangle");
    driver.robot().drag(label.add(-110, 60)).dropTo(label.add(110, 120));
    driver.settle();
    Layer button =
        driver.project().layers().filter(layer -> !layer.isText()).findFirst().orElseThrow();
    assertThat(button.shape()).contains(Shape.Rectangle.SHARP);
    assertThat(driver.workspace().selection().layers()).containsExactly(button.id());
    assertThat(driver.isShown("#figure-section")).isTrue();
    assertThat(driver.isShown("#inspector #font-family")).as("a shape has no typeface").isFalse();
    type("#figure-corners", "12 pt");
    driver.pressText("entrance-title");
    driver.robot().push(KeyCode.F7);
    driver.settle();
    driver.robot().interact(() -> driver.workspace().select(List.of(button.id())));
    driver.robot().push(KeyCode.F8);
    driver.settle();
    Cascade cascade = Cascade.of(driver.project());
    var shape = cascade.resolve(driver.layer(button.id().value())).finish();
    assertThat(shape.coats())
        .hasSameSizeAs(cascade.resolve(driver.layer("entrance-title")).finish().coats());
    assertThat(shape.coats().getLast().effects()).isNotEmpty();
    driver.robot().push(KeyCode.DELETE);
    driver.settle();
    assertThat(driver.project().layer(button.id())).isEmpty();
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void aPathIsDrawnWithCornersAndCurves() {
    Driver.needsADisplay();
    Point2D start = driver.middleOf("web-open").add(-120, 60);
    driver.robot().push(KeyCode.ESCAPE);
    driver.press("tool-draw");
    driver.robot().clickOn(start);
    driver.robot().drag(start.add(100, -40)).dropTo(start.add(130, -40));
    driver.robot().clickOn(start.add(200, 20));
    driver.robot().push(KeyCode.ENTER);
    driver.settle();
    Layer path =
        driver.project().layers().filter(layer -> !layer.isText()).findFirst().orElseThrow();
    assertThat(((Shape.Drawn) path.shape().orElseThrow()).data()).startsWith("M").contains("C");
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void aColourIsTakenFromTheWindow() {
    Driver.needsADisplay();
    driver.pressText("web-place");
    driver.robot().clickOn(driver.reveal("#inspector #finish-fill-colour"));
    assertThat(((Label) driver.node("contrast")).getText()).contains(": 1 on the background");
    driver.robot().clickOn("#eyedropper");
    driver.robot().clickOn(driver.middleOf("web-title").add(0, 34));
    driver.settle();
    // the ground of the square, below its title
    Rgba taken =
        Cascade.of(driver.project())
            .colour(values("web-place").get(Properties.COAT_COLOUR.at(FILL)).orElseThrow());
    assertThat(taken).isEqualTo(driver.project().palette().find("enamel").orElseThrow().colour());
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void aGradientIsEditedOnItsStripAndOnTheWords() {
    Driver.needsADisplay();
    driver.pressText("entrance-subtitle");
    unfold("finish/fill");
    ComboBox<PaintKind> paint = driver.robot().lookup("#inspector #finish-fill-paint").query();
    driver.robot().interact(() -> paint.setValue(PaintKind.LINEAR));
    driver.settle();
    Node strip = driver.reveal("#inspector #gradient-strip");
    driver.robot().clickOn(strip);
    driver.settle();
    var stops = Properties.GRADIENT_STOPS.at(FILL);
    assertThat(values("entrance-subtitle").get(stops).orElseThrow().stops()).hasSize(3);
    driver.robot().push(KeyCode.RIGHT).push(KeyCode.RIGHT);
    driver.settle();
    double place = values("entrance-subtitle").get(stops).orElseThrow().stops().get(1).position();
    assertThat(place).isCloseTo(0.52, within(0.02));
    driver.robot().push(KeyCode.DELETE);
    driver.settle();
    assertThat(Coats.value(values("entrance-subtitle"), stops).stops()).hasSize(2);
    // the middle of the line lies in the middle of the words
    Point2D middle = driver.middleOf("entrance-subtitle");
    driver.robot().drag(middle).dropTo(middle.add(20, 6));
    driver.settle();
    assertThat(Coats.value(values("entrance-subtitle"), Properties.GRADIENT_X.at(FILL)))
        .as("the handle on the stage")
        .isGreaterThan(50);
    assertThat(driver.layer("entrance-subtitle").frame())
        .as("the words stay where they are")
        .isEqualTo(demo.layer(new LayerId("entrance-subtitle")).orElseThrow().frame());
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  /** The edges of a radial gradient are dragged on the words: it is turned, and made narrower. */
  @Test
  void aRadialGradientIsTurnedAndMadeNarrowerOnTheWords() {
    Driver.needsADisplay();
    driver.pressText("entrance-subtitle");
    unfold("finish/fill");
    ComboBox<PaintKind> paint = driver.robot().lookup("#inspector #finish-fill-paint").query();
    driver.robot().interact(() -> paint.setValue(PaintKind.RADIAL));
    driver.settle();
    type("#inspector #finish-fill-aspect", "300");
    type("#inspector #finish-fill-gradient-scale", "20");
    Point2D middle = driver.middleOf("entrance-subtitle");
    double reach = driver.onScreen("entrance-subtitle").getWidth() / 2 * 0.2;
    driver.robot().drag(middle.add(reach, 0)).dropTo(middle.add(reach * 1.2, reach * 1.2));
    driver.settle();
    PropertySet values = values("entrance-subtitle");
    assertThat(Coats.value(values, Properties.RADIAL_ROTATION.at(FILL))).isCloseTo(45, within(6.0));
    assertThat(Coats.value(values, Properties.GRADIENT_SCALE.at(FILL)))
        .as("the end lies farther out by the root of 2 times 1.2")
        .isCloseTo(20 * 1.2 * Math.sqrt(2), within(3.0));
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.Z);
    driver.settle();
    double high = driver.onScreen("entrance-subtitle").getHeight() / 2 * 0.2 * 3;
    driver.robot().drag(middle.add(0, high)).dropTo(middle.add(0, high / 2));
    driver.settle();
    assertThat(Coats.value(values("entrance-subtitle"), Properties.RADIAL_ASPECT.at(FILL)))
        .isCloseTo(150, within(25.0));
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.Z);
    driver.settle();
    type("#inspector #finish-fill-focal-x", "50");
    driver.robot().drag(middle.add(reach / 2, 0)).dropTo(middle.add(-reach / 2, 0));
    driver.settle();
    assertThat(Coats.value(values("entrance-subtitle"), Properties.FOCAL_X.at(FILL)))
        .isCloseTo(-50, within(8.0));
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  /** What all coats have together is folded away, says what it is, and has handles of its own. */
  @Test
  void allCoatsTogetherAreFadedAndMasked() {
    Driver.needsADisplay();
    Address whole = Address.whole(Address.FINISH);
    driver.pressText("entrance-subtitle");
    driver.reveal("#inspector #add-effect-to-all");
    unfold("finish/whole");
    type("#inspector #finish-whole-opacity", "50");
    assertThat(Coats.value(values("entrance-subtitle"), Properties.COAT_OPACITY.at(whole)))
        .isEqualTo(0.5);
    ComboBox<MaskKind> mask = driver.robot().lookup("#inspector #finish-whole-mask").query();
    driver.robot().interact(() -> mask.setValue(MaskKind.LINEAR));
    driver.settle();
    assertThat(driver.robot().lookup("All coats together \u00B7 50 % \u00B7 masked").tryQuery())
        .isPresent();
    // it runs downwards; its end is drawn to the right
    Point2D middle = driver.middleOf("entrance-subtitle");
    double high = driver.onScreen("entrance-subtitle").getHeight() / 2;
    driver.robot().drag(middle.add(0, high)).dropTo(middle.add(60, 0));
    driver.settle();
    assertThat(Coats.value(values("entrance-subtitle"), Properties.GRADIENT_ANGLE.at(whole)))
        .isBetween(-1.0, 60.0);
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void coatsAreCopiedShownAloneAndTakenBack() {
    Driver.needsADisplay();
    driver.pressText("entrance-title");
    driver.reveal("#inspector .coat-row");
    menu("Rivets", "Solo this coat");
    assertThat(driver.workspace().soloCoatProperty().get()).contains(Address.coat("rivets"));
    assertThat(driver.project()).as("nothing is changed").isEqualTo(demo);
    assertThat(driver.workspace().shownProperty().get()).isNotEqualTo(demo);
    menu("Rivets", "End solo");
    assertThat(driver.workspace().shownProperty().get()).isEqualTo(demo);
    menu("Rivets", "Copy the coat\tCtrl+C");
    driver.pressText("entrance-notice");
    driver.reveal("#inspector .coat-row");
    menu("Fill", "Paste the coat above\tCtrl+V");
    assertThat(Coats.of(values("entrance-notice"), Address.FINISH))
        .extracting(Address::coat)
        .containsExactly("fill", "rivets");
    assertThat(Coats.effects(values("entrance-notice"), Address.coat("rivets"))).isNotEmpty();
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  private void menu(String coat, String item) {
    Node name =
        driver
            .robot()
            .lookup("#inspector .coat-row .label")
            .match((Label label) -> label.getText().equals(coat))
            .query();
    driver.robot().rightClickOn(driver.reveal(name));
    driver
        .robot()
        .clickOn(
            driver
                .robot()
                .lookup(".context-menu .label")
                .match((Label label) -> label.getText().equals(item))
                .<Node>query());
    driver.settle();
  }

  @Test
  void aFinishPresetIsTriedOnAndApplied() {
    Driver.needsADisplay();
    driver.pressText("web-title");
    driver.press("finish-presets");
    driver.robot().moveTo(driver.reveal("#preset-comic"));
    driver.waitFor(
        "the finish is tried on", () -> !driver.workspace().shownProperty().get().equals(demo));
    assertThat(driver.project()).isEqualTo(demo);
    driver.press("preset-comic");
    assertThat(driver.layer("web-title").follows())
        .extracting(Object::toString)
        .contains("ready-comic");
    assertThat(driver.project().styles().named("Comic")).isPresent();
    assertThat(Coats.of(values("web-title"), Address.FINISH))
        .extracting(Address::coat)
        .containsExactly("block", "pop", "face", "ink");
    driver.press("preset-neon");
    assertThat(Coats.of(values("web-title"), Address.FINISH))
        .extracting(Address::coat)
        .containsExactly("tube", "gas");
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void anImageIsPlacedAndBecomesAPattern() throws IOException {
    Path file = folder.resolve("half tone.png");
    ImageIO.write(new BufferedImage(40, 20, BufferedImage.TYPE_INT_RGB), "png", file.toFile());
    driver.answers().file(file);
    driver.pressText("web-title");
    run("Place an image\u2026");
    driver.waitFor(
        "the image is placed", () -> driver.project().layers().anyMatch(layer -> !layer.isText()));
    Layer image =
        driver.project().layers().filter(layer -> !layer.isText()).findFirst().orElseThrow();
    assertThat(image.shape()).contains(new Shape.Picture("half tone.png"));
    assertThat(driver.project().assets()).hasSize(1);
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
    driver.answers().file(java.nio.file.Files.writeString(folder.resolve("no.png"), "none"));
    run("Add an image\u2026");
    driver.waitFor(
        "the refusal is told", () -> driver.notice().contains("no image that can be read"));
    assertThat(driver.project()).as("nothing is lost").isEqualTo(demo);
  }

  private void run(String action) {
    driver
        .robot()
        .interact(() ->
            driver.actions().stream()
                .filter(one -> one.name().equals(action))
                .findFirst()
                .orElseThrow()
                .run());
    driver.settle();
  }

  @Test
  void outlinesShowBareGeometryAndGoAgain() {
    driver.pressText("entrance-title");
    Rgba enamel = driver.project().palette().find("enamel").orElseThrow().colour();
    int painted = driver.pixels("entrance-title", enamel);
    assertThat(painted).isPositive();
    driver.robot().push(KeyCode.F9);
    driver.settle();
    driver.waitFor(
        "the paint is gone", () -> driver.pixels("entrance-title", enamel) < painted / 4);
    driver.robot().push(KeyCode.F9);
    driver.settle();
    driver.waitFor("the paint is back", () -> driver.pixels("entrance-title", enamel) == painted);
  }
}
