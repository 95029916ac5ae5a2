package dynamorph.app.journey;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.app.artboards.stage.TextClipboard;
import dynamorph.app.session.HeldAs;
import dynamorph.demo.LongHour;
import dynamorph.formats.project.KitAbout;
import dynamorph.formats.project.KitFile;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.reach.Followers;
import dynamorph.model.reach.LocalChanges;
import dynamorph.model.reach.Reach;
import dynamorph.model.style.Palette;
import dynamorph.model.style.StyleId;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Point2D;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextField;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import org.junit.jupiter.api.Test;

/**
 * Following in every options, sampling, settling, and changes that are seen before they are made.
 */
class StyleSystemJourneyTest extends JourneyTest {
  private static final StyleId LABEL = new StyleId("label-title");
  private static final StyleId LOAN = new StyleId("label-title-loan");
  private static final StyleId TAG = new StyleId("tag");

  private void takeTheSampler() {
    driver.press("tool-sampler");
  }

  private void pressOn(String id) {
    driver.robot().clickOn(driver.middleOf(id));
    driver.settle();
  }

  private double size(String id) {
    Layer layer = driver.layer(id);
    return Coats.value(Cascade.of(driver.project()).values(layer), Properties.SIZE.key()).over(0);
  }

  @Test
  void theSamplerTakesALookAndStampsItOnTextsPressedOneByOne() {
    takeTheSampler();
    pressOn("label-5-title");
    assertThat(driver.workspace().tools().samplingProperty().get()).isPresent();
    assertThat(driver.isShown("#sampler-bar")).isTrue();
    pressOn("label-6-title");
    assertThat(driver.layer("label-6-title").follows()).containsExactly(LOAN);
    assertThat(size("label-6-title")).isEqualTo(size("label-5-title"));
    driver.robot().push(KeyCode.ESCAPE);
    assertThat(driver.workspace().tools().samplingProperty().get()).isEmpty();
    driver.robot().push(KeyCode.ESCAPE);
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void ofASampleOnlyTheChosenFacetsAreStamped() {
    takeTheSampler();
    pressOn("label-5-title");
    driver.press("sampler-typeface");
    driver.press("sampler-spacing");
    driver.press("sampler-letterforms");
    driver.press("sampler-paragraph");
    driver.press("sampler-styles");
    double before = size("label-6-title");
    pressOn("label-6-title");
    assertThat(driver.layer("label-6-title").follows()).isEmpty();
    assertThat(size("label-6-title")).isEqualTo(before);
    assertThat(
            Cascade.of(driver.project())
                .values(driver.layer("label-6-title"))
                .get(Properties.COAT_COLOUR.at(Address.coat("fill"))))
        .contains(Colour.swatch("plum"));
  }

  @Test
  void theSamplerStampsWordsByShiftAndByDragging() {
    Driver.needsADisplay();
    takeTheSampler();
    pressOn("web-place");
    driver.robot().press(KeyCode.SHIFT);
    pressOn("label-8-title");
    driver.robot().release(KeyCode.SHIFT);
    assertThat(driver.layer("label-8-title").story().paragraphs().getFirst().spans())
        .as("one word looks different")
        .hasSizeGreaterThan(1);
    driver.undoAll();
    Point2D middle = driver.middleOf("label-8-title");
    driver.robot().drag(middle, MouseButton.PRIMARY).dropTo(middle.add(24, 0));
    driver.settle();
    assertThat(driver.layer("label-8-title").story().paragraphs().getFirst().spans())
        .hasSizeGreaterThan(1);
    assertThat(driver.layer("label-8-title").follows()).containsExactly(LABEL);
  }

  @Test
  void theSamplerStampsAllThatAFrameTouches() {
    Driver.needsADisplay();
    takeTheSampler();
    pressOn("web-open");
    Point2D from = driver.middleOf("label-7-title").add(-30, -14);
    Point2D to = driver.middleOf("label-8-title").add(30, 10);
    driver.robot().drag(from, MouseButton.PRIMARY).dropTo(to);
    driver.settle();
    assertThat(driver.layer("label-7-title").follows()).containsExactly(TAG);
    assertThat(driver.layer("label-8-title").follows()).containsExactly(TAG);
    assertThat(driver.layer("label-9-title").follows()).containsExactly(LOAN);
  }

  @Test
  void withTextsChosenFirstASampleGoesOntoThemAtOnce() {
    driver.pressText("label-6-title");
    takeTheSampler();
    pressOn("label-3-title");
    assertThat(driver.layer("label-6-title").follows()).containsExactly(LABEL);
  }

  private void openAndMakeItLarge() {
    driver.robot().interact(() -> driver.workspace().attempts().openDesk(LABEL));
    driver.settle();
    TextField size = driver.robot().lookup("#style-desk #size").query();
    driver.robot().clickOn(size).push(KeyCode.SHORTCUT, KeyCode.A).write("96").push(KeyCode.ENTER);
    driver.settle();
  }

  @Test
  void aTextIsLeftOutOfAChangeAndKeepsItsLookByADerivedStyle() {
    openAndMakeItLarge();
    driver
        .robot()
        .interact(() -> {
          driver
              .workspace()
              .attempts()
              .heldBackProperty()
              .set(java.util.Set.of(new LayerId("label-7-title")));
          driver.workspace().attempts().heldAsProperty().set(HeldAs.DERIVED);
        });
    driver.settle();
    assertThat(((Labeled) driver.node("commit")).getText()).isEqualTo("Commit for 5 of 6");
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.ENTER);
    driver.settle();
    assertThat(size("label-3-title")).isEqualTo(96);
    assertThat(size("label-7-title")).isEqualTo(76);
    StyleId branch = driver.styleNamed("Label title, as it was");
    assertThat(driver.layer("label-7-title").follows()).containsExactly(branch);
    assertThat(driver.project().styles().get(branch).basedOn()).contains(LABEL);
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void theReachAtLargeShowsProblemsAndLeavesTextsOut() {
    openAndMakeItLarge();
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.R);
    driver.settle();
    assertThat(driver.isShown("#reach-view")).isTrue();
    driver.waitFor(
        "all are looked at",
        () -> driver.robot().lookup("#reach-view .thumbnail").queryAll().size() == 6);
    driver.robot().clickOn("#reach-view .thumbnail");
    driver.robot().push(KeyCode.X);
    driver.settle();
    assertThat(driver.workspace().attempts().heldBackProperty().get()).hasSize(1);
    driver.robot().push(KeyCode.ESCAPE);
    driver.settle();
    assertThat(driver.isShown("#reach-view")).isFalse();
    assertThat(driver.workspace().attempts().present().desk())
        .as("the desk stays open")
        .isPresent();
  }

  @Test
  void aSwatchIsChangedEverywhereAfterItsReachWasSeen() {
    driver.press("swatch-copper");
    TextField name = (TextField) driver.node("swatch-name");
    driver
        .robot()
        .clickOn(name)
        .push(KeyCode.SHORTCUT, KeyCode.A)
        .write("Brass")
        .push(KeyCode.ENTER);
    driver.settle();
    driver.robot().clickOn("#swatch-colour");
    TextField hex = driver.robot().lookup("#colour-written").query();
    driver
        .robot()
        .clickOn(hex)
        .push(KeyCode.SHORTCUT, KeyCode.A)
        .write("#e8b04a")
        .push(KeyCode.ENTER, KeyCode.ESCAPE);
    driver.settle();
    assertThat(driver.project()).as("nothing is kept yet").isEqualTo(demo);
    driver.waitFor(
        "what cannot be read is told",
        () ->
            driver
                .robot()
                .lookup("#reach .problem-text")
                .queryAllAs(javafx.scene.control.Label.class)
                .stream()
                .anyMatch(label -> label.getText().contains("low contrast")));
    driver.robot().clickOn("#swatch-commit");
    driver.settle();
    assertThat(driver.project().palette().find("copper").orElseThrow().name()).isEqualTo("Brass");
    assertThat(Reach.between(demo, driver.project()))
        .as("panels, labels, the web and the titles of the film")
        .hasSize(9)
        .contains(new LayerId("title-opening"), new LayerId("name-archive"));
  }

  @Test
  void fontAndSizeAreLeftAloneAndTheChoiceHolds() {
    driver
        .robot()
        .interact(() ->
            driver
                .workspace()
                .following()
                .applyOptionsProperty()
                .set(
                    driver
                        .workspace()
                        .following()
                        .applyOptionsProperty()
                        .get()
                        .leaving(
                            java.util.Set.of(
                                dynamorph.model.property.Aspect.FONT,
                                dynamorph.model.property.Aspect.SIZE))));
    assertThat(((Labeled) driver.node("apply-options")).getText())
        .isEqualTo("Apply: all but font, size");
    driver.pressText("label-3-title");
    double before = size("label-3-title");
    driver.robot().interact(() -> driver.node("style-tag").requestFocus());
    driver.robot().push(KeyCode.ENTER);
    driver.settle();
    assertThat(driver.layer("label-3-title").follows()).containsExactly(TAG);
    assertThat(size("label-3-title")).isEqualTo(before);
  }

  @Test
  void aMessyPanelIsCleanedInOneStep() {
    driver
        .robot()
        .interact(() ->
            driver
                .workspace()
                .select(
                    driver
                        .project()
                        .layers()
                        .filter(layer -> LocalChanges.count(layer) > 0)
                        .map(Layer::id)
                        .toList()));
    driver.run("Clear all formatting");
    assertThat(driver.project().layers().mapToInt(LocalChanges::count).sum()).isZero();
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.Z);
    driver.settle();
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void aDeviationBecomesAStyleThatOthersLikeItFollow() {
    driver.pressText("label-10-title");
    driver.run("Make a derived style of the local changes");
    StyleId own = driver.styleNamed("Label title, own tracking");
    assertThat(driver.layer("label-10-title").follows()).containsExactly(own);
    assertThat(LocalChanges.count(driver.layer("label-10-title"))).isZero();
    assertThat(Reach.between(demo, driver.project())).isEmpty();
  }

  @Test
  void stackedStylesAreMutedAndKeptAsOne() {
    driver.pressText("web-title");
    driver.run("Keep the stack as one style");
    assertThat(driver.layer("web-title").follows())
        .containsExactly(driver.styleNamed("Enamel title with Web title"));
    assertThat(Reach.between(demo, driver.project())).isEmpty();
  }

  @Test
  void stylesGoToAnotherProjectInAKitAndANameThatIsTakenIsSettled() throws IOException {
    Path file = Files.createTempDirectory("kit").resolve("labels.dmkit");
    Project other =
        demo.withStyles(
            demo.styles()
                .map(
                    LABEL,
                    style ->
                        style.withProperties(
                            style.properties().with(Properties.SIZE, FontSize.points(50)))));
    KitFile.write(
        "Labels", StyleBundle.of(other, List.of(LOAN), List.of()), KitAbout.NOTHING, file);
    driver.answers().file(file);
    driver.run("Import styles\u2026");
    driver.waitFor("names are settled", () -> driver.isShown("#arrival-pane"));
    driver.robot().push(KeyCode.ESCAPE);
    driver.waitFor("Escape leaves it", () -> !driver.isShown("#arrival-pane"));
    driver.run("Import styles\u2026");
    driver.waitFor("names are settled", () -> driver.isShown("#arrival-pane"));
    driver.robot().clickOn("#arrival-theirs");
    driver.settle();
    assertThat(driver.project()).isEqualTo(demo);
    driver.robot().clickOn("#arrival-bring");
    driver.settle();
    assertThat(size("label-3-title")).isEqualTo(50);
    assertThat(driver.project().styles().size()).isEqualTo(demo.styles().size());
  }

  @Test
  void textsThatArePastedIntoAnotherProjectBringTheirStyles() {
    driver.pressText("label-5-title");
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.C);
    Project blank =
        Project.empty("Other")
            .plus(LongHour.project().artboards().getFirst().withLayers(List.of()));
    driver
        .robot()
        .interact(() ->
            driver
                .workspace()
                .open(blank.withPalette(new Palette(demo.palette().swatches())), Optional.empty()));
    driver.settle();
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.V);
    driver.settle();
    Layer pasted = driver.project().layers().findFirst().orElseThrow();
    assertThat(driver.project().styles().named("Label title, loan")).isPresent();
    assertThat(driver.project().styles().named("Label title")).isPresent();
    assertThat(Followers.followed(pasted)).containsExactly(driver.styleNamed("Label title, loan"));
  }

  @Test
  void aTextDraggedOntoAStyleShowsWhatGivingItsLookWouldChange() {
    Driver.needsADisplay();
    driver.pressText("label-10-title");
    driver.robot().interact(() -> driver.node("style-" + LABEL).requestFocus());
    driver.settle();
    driver.robot().drag(driver.middleOf("label-10-title"), MouseButton.PRIMARY);
    driver.robot().dropTo("#style-" + LABEL);
    driver.settle();
    assertThat(driver.workspace().attempts().present().review()).isPresent();
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.ENTER);
    driver.settle();
    assertThat(driver.project().styles().get(LABEL).properties().get(Properties.TRACKING.key()))
        .contains(40.0);
    assertThat(Reach.between(demo, driver.project())).doesNotContain(new LayerId("label-10-title"));
  }

  @Test
  void textsOfAnotherWindowComeOverTheClipboardWithTheirStyles() {
    Project other = LongHour.project();
    var renamed = other.styles().get(LOAN).withName("Lent by others");
    Project elsewhere = other.withStyles(other.styles().with(renamed));
    Layer bob = elsewhere.layer(new LayerId("label-5-title")).orElseThrow();
    int before = driver.project().layers().toList().size();
    driver
        .robot()
        .interact(() -> {
          Clipboard.getSystemClipboard().setContent(TextClipboard.content(elsewhere, List.of(bob)));
          driver.workspace().select(List.of(new LayerId("web-open")));
          action("Paste texts").run();
        });
    driver.settle();
    List<Layer> layers = driver.project().layers().toList();
    assertThat(layers).hasSize(before + 1);
    Layer pasted =
        layers.stream()
            .filter(layer -> driver.workspace().selection().contains(layer.id()))
            .findFirst()
            .orElseThrow();
    assertThat(pasted.story().text()).isEqualTo("Pendulum bob");
    assertThat(pasted.follows()).containsExactly(driver.styleNamed("Lent by others"));
    assertThat(driver.project().artboardOf(pasted.id()).orElseThrow().id().value())
        .isEqualTo("web");
    driver.robot().interact(driver.workspace()::undo);
    assertThat(driver.project().styles().named("Lent by others")).isEmpty();
  }

  private dynamorph.app.action.Action action(String name) {
    return driver.actions().stream()
        .filter(one -> one.name().equals(name))
        .findFirst()
        .orElseThrow();
  }
}
