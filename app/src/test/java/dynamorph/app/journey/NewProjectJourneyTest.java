package dynamorph.app.journey;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Project;
import dynamorph.model.timeline.FrameRate;
import dynamorph.shelf.Shelf;
import dynamorph.shelf.starter.StarterKits;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** A designer begins: by purpose and size, with a kit, from a template, and takes styles along. */
class NewProjectJourneyTest extends JourneyTest {
  private void open() {
    driver.robot().push(KeyCode.CONTROL, KeyCode.N);
    driver.settle();
    driver.waitFor("it is asked", () -> driver.isShown("#new-project"));
  }

  private boolean told(String words) {
    return driver
        .workspace()
        .noticeProperty()
        .get()
        .filter(notice -> notice.text().contains(words))
        .isPresent();
  }

  private ToggleButton card(String name) {
    return driver
        .robot()
        .lookup(".size-card")
        .match((ToggleButton card) -> card.getAccessibleText().startsWith(name))
        .query();
  }

  @Test
  void aFilmBeginsWithAKitByKeyboard() {
    open();
    driver.press("new-for-film");
    driver.robot().clickOn(card("Vertical"));
    ComboBox<?> kits = (ComboBox<?>) driver.node("new-kit");
    driver.robot().interact(() -> kits.getSelectionModel().select(6));
    typeInto("new-duration", "00:00:12:00");
    typeInto("new-name", "Opening reel");
    driver.robot().push(KeyCode.ENTER);
    driver.waitFor("it is there", () -> driver.project().name().equals("Opening reel"));
    Project made = driver.project();
    assertThat(driver.isShown("#new-project")).isFalse();
    assertThat(made.films())
        .singleElement()
        .satisfies(film -> {
          assertThat(film.sizeText()).contains("1080").contains("1920");
          assertThat(film.timeline().orElseThrow().rate()).isEqualTo(FrameRate.PAL);
          assertThat(film.timeline().orElseThrow().frames()).isEqualTo(300);
        });
    Shelf kit = StarterKits.read(StarterKits.all().get(5).id());
    assertThat(made.styles().size()).isEqualTo(kit.styles().size() + 1);
    assertThat(driver.isShown("#track-lanes")).as("the film is seen").isTrue();
  }

  @Test
  void measuresAreTypedTurnedAndReadInOtherUnits() {
    open();
    driver.robot().clickOn("#styles .text-field").push(KeyCode.ENTER);
    assertThat(driver.project()).as("Enter elsewhere creates nothing").isEqualTo(demo);
    driver.press("new-for-print");
    // Tab passes the cards by without choosing another; arrows choose
    driver.robot().interact(() -> card("A4").requestFocus());
    driver.robot().push(KeyCode.TAB);
    assertThat(card("A4").isSelected()).isTrue();
    assertThat(driver.node("new-name").isFocused()).isTrue();
    driver.robot().interact(() -> card("A4").requestFocus());
    driver.robot().push(KeyCode.RIGHT).push(KeyCode.RIGHT).push(KeyCode.LEFT);
    assertThat(card("A3").isSelected()).isTrue();
    assertThat(((TextField) driver.node("new-height")).getText()).isEqualTo("420");
    typeInto("new-width", "2*300");
    typeInto("new-height", "0");
    assertThat(driver.robot().lookup("#new-project .problem-text").queryLabeled().getText())
        .isNotEmpty();
    driver.press("new-create");
    assertThat(driver.project()).as("nothing is made of it").isEqualTo(demo);
    typeInto("new-height", "200");
    driver.press("new-turn");
    driver.press("new-create");
    driver.waitFor("it is there", () -> !driver.project().equals(demo));
    // 200 by 600 millimetres
    assertThat(driver.project().artboards().getFirst().sizeText()).contains("200").contains("600");
    driver.robot().push(KeyCode.CONTROL, KeyCode.Z);
    assertThat(driver.project().artboards()).hasSize(1);
  }

  @Test
  void aProjectIsKeptAsATemplateAndAnotherBeginsAsIt() throws IOException {
    driver.run("Save as template");
    driver.waitFor("it is told", () -> told("The Long Hour"));
    open();
    driver.press("new-for-template");
    driver.waitFor("it is listed", () -> driver.isShown(".size-card"));
    assertThat(card("The Long Hour").isSelected()).isTrue();
    typeInto("new-name", "The Short Hour");
    driver.press("new-create");
    driver.waitFor("it is there", () -> driver.project().name().equals("The Short Hour"));
    assertThat(driver.project().withName(demo.name())).isEqualTo(demo);
    assertThat(driver.workspace().fileProperty().get()).as("the template stays").isEmpty();
    open();
    driver.robot().interact(() -> card("The Long Hour").requestFocus());
    driver.robot().push(KeyCode.DELETE);
    driver.waitFor("it is gone", () -> !driver.isShown(".size-card"));
    driver.offer("Undo");
    driver.waitFor("it is back", () -> driver.isShown(".size-card"));
  }

  @Test
  void stylesGoOutAsTokensAndComeBackInAnotherProject() throws IOException {
    Path tokens = folder.resolve("museum.tokens.json");
    driver.answers().file(tokens);
    driver.run("Export all styles\u2026");
    driver.waitFor("they are written", () -> Files.exists(tokens));
    driver.waitFor("what tokens do not say is told", () -> told("Placement"));
    // told at length, in few lines, so that it covers nothing
    assertThat(driver.robot().lookup("#notice").query().getBoundsInParent().getHeight())
        .isLessThan(130);
    open();
    driver.press("new-create");
    driver.waitFor("it is there", () -> driver.project().styles().size() == 1);
    driver.run("Import styles\u2026");
    driver.waitFor(
        "they are there", () -> driver.project().styles().size() == demo.styles().size() + 1);
    assertThat(driver.project().palette()).isEqualTo(demo.palette());
    driver.undoAll();
    assertThat(driver.project().styles().size()).isEqualTo(1);
    coloursComeHome(tokens);
    Files.writeString(tokens, "{ \"a\": { \"$type\": \"color\", \"$value\": \"red\" } }");
    driver.run("Import styles\u2026");
    driver.waitFor("it is told where", () -> told("a: expected a colour"));
    assertThat(driver.project().palette().swatches()).hasSameSizeAs(demo.palette().swatches());
  }

  /** A colour that somebody changed in the tokens changes the swatch, and with it every text. */
  private void coloursComeHome(Path tokens) throws IOException {
    driver.robot().interact(() -> driver.workspace().open(demo, Optional.empty()));
    driver.settle();
    Files.writeString(
        tokens,
        Files.readString(tokens).replaceFirst("0\\.13333, 0\\.18824, 0\\.23137", "0.6, 0, 0.4"));
    driver.run("Import styles\u2026");
    driver.waitFor("it is asked", () -> driver.isShown("#arrival-pane"));
    // what scrolls is found from the next pulse on
    driver.settle();
    assertThat(driver.robot().lookup("#arrival-pane .colour-chip").queryAll()).hasSize(2);
    driver.press("arrival-theirs");
    driver.press("arrival-bring");
    driver.settle();
    assertThat(driver.project().palette().find("ink").orElseThrow().colour())
        .hasToString("#990066");
    assertThat(driver.project().palette().swatches()).hasSameSizeAs(demo.palette().swatches());
    assertThat(driver.project().styles()).isEqualTo(demo.styles());
  }
}
