package dynamorph.app.journey;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.app.files.FileActions;
import dynamorph.app.tour.TourStrip;
import dynamorph.formats.project.ProjectFile;
import dynamorph.model.Project;
import dynamorph.model.property.Properties;
import dynamorph.model.style.Style;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import javafx.scene.paint.Color;
import org.junit.jupiter.api.Test;

/** Somebody who is new, or back: what a start offers, the tour, the guide. */
class StartJourneyTest extends JourneyTest {
  private void start() {
    driver.robot().interact(() -> driver.window().showStart());
    driver.settle();
    assertThat(driver.isShown("#start")).isTrue();
  }

  private Button card(String name) {
    return driver
        .robot()
        .lookup("#start .size-card")
        .match((Button card) -> card.getAccessibleText().startsWith(name))
        .query();
  }

  private Path saved(String name) throws IOException {
    Path file = folder.resolve(name + ".dmorph");
    ProjectFile.write(FileActions.blank().withName(name), file);
    driver.window().files().user().remember(file);
    return file;
  }

  @Test
  void projectsOfLateAreOpenedOrTakenOffTheList() throws IOException {
    Path older = saved("Older");
    saved("Newer");
    start();
    assertThat(driver.robot().lookup("#start-recent .recent-card").queryAll())
        .extracting(card -> ((Button) card).getAccessibleText().split(",")[0])
        .containsExactly("Newer", "Older", "The Long Hour");
    driver.robot().interact(() -> card("Newer").requestFocus());
    driver.robot().push(KeyCode.DELETE);
    assertThat(driver.window().files().user().recent()).containsExactly(older);
    assertThat(driver.project()).as("nothing behind the page is deleted").isEqualTo(demo);
    Files.writeString(older, "no project any more");
    driver.robot().clickOn(card("Older"));
    driver.waitFor("it is told over the page", () -> driver.isShown("#start-notice"));
    assertThat(driver.isShown("#start")).isTrue();
    ProjectFile.write(FileActions.blank().withName("Older"), older);
    driver.robot().clickOn(card("Older"));
    driver.waitFor("it is open", () -> driver.project().name().equals("Older"));
    assertThat(driver.isShown("#start")).isFalse();
  }

  @Test
  void aSizeIsAProjectWithOneClickAndEscapeLeavesThePage() {
    start();
    driver.robot().push(KeyCode.ESCAPE);
    driver.settle();
    assertThat(driver.isShown("#start")).isFalse();
    assertThat(driver.project()).isEqualTo(demo);
    start();
    driver.robot().clickOn(card("UHD"));
    driver.waitFor("it is there", () -> driver.project().films().findAny().isPresent());
    assertThat(driver.project().artboards())
        .singleElement()
        .satisfies(film -> assertThat(film.sizeText()).contains("3840").contains("2160"));
    assertThat(driver.isShown("#track-lanes")).isTrue();
    driver.settle();
    ImageView specimen = driver.robot().lookup("#style-base .style-card .image-view").query();
    assertThat(specimen.getImage().getPixelReader().getColor(3, 3).getBrightness())
        .as("white letters are seen on the card of their style")
        .isLessThan(0.5);
    start();
    driver.press("start-guide");
    assertThat(driver.isShown("#guide")).isTrue();
    driver.robot().push(KeyCode.ESCAPE);
    assertThat(driver.node("start-new").isFocused()).as("not what lies behind").isTrue();
    driver.press("start-new");
    driver.waitFor("it is asked", () -> driver.isShown("#new-project"));
    assertThat(driver.isShown("#start")).as("one of both").isFalse();
  }

  private String tour() {
    return ((Label) driver.node("tour-words")).getText();
  }

  private static String step(int number) {
    return number + " of 7";
  }

  @Test
  void theTourGoesOnWithWhatIsDone() {
    start();
    driver.press("start-tour");
    driver.waitFor("the tour is on", () -> tour().startsWith(step(1)));
    assertThat(driver.project().name()).isEqualTo("The Long Hour");
    driver.pressText("label-3-title");
    assertThat(tour()).startsWith(step(2));
    driver.robot().push(KeyCode.RIGHT);
    driver.settle();
    assertThat(tour()).as("a text that is moved looks as it did").startsWith(step(2));
    size("#inspector", "31");
    assertThat(tour()).startsWith(step(3));
    keep();
    driver.run("Undo");
    assertThat(tour()).as("nothing is kept any more").startsWith(step(3));
    keep();
    assertThat(tour()).startsWith(step(4));
    driver.pressText("label-5-title");
    String mine = "style-" + driver.styleNamed("Mine");
    driver.robot().interact(() -> driver.node(mine).requestFocus());
    driver.robot().clickOn("#" + mine);
    driver.waitFor("the text follows it", () -> tour().startsWith(step(5)));
    edit();
    assertThat(tour()).startsWith(step(6));
    assertThat(driver.robot().lookup("#style-desk .banner-title").<Label>query().getTextFill())
        .as("read on the banner")
        .isEqualTo(Color.WHITE);
    larger();
    assertThat(tour()).startsWith(step(7));
    driver.press("discard");
    driver.settle();
    assertThat(tour()).as("nothing was committed").startsWith(step(5));
    edit();
    larger();
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.ENTER);
    driver.settle();
    assertThat(tour()).startsWith("That is the whole way");
    Style changed = driver.project().styles().get(driver.styleNamed("Mine"));
    assertThat(changed.properties().get(Properties.SIZE.key()).orElseThrow())
        .asString()
        .contains("44");
    driver.press("tour-guide");
    assertThat(driver.isShown("#guide")).isTrue();
    driver.press("tour-leave");
    assertThat(driver.isShown("#tour")).isFalse();
  }

  private void keep() {
    driver.press("keep-look");
    typeInto("keep-name", "Mine");
    driver.press("keep-style");
    driver.settle();
  }

  private void edit() {
    driver
        .robot()
        .interact(() -> driver.workspace().attempts().openDesk(driver.styleNamed("Mine")));
    driver.settle();
  }

  private void larger() {
    size("#style-desk", "44");
  }

  private void size(String pane, String points) {
    TextField size = driver.robot().lookup(pane + " #size").query();
    driver.robot().clickOn(size).push(KeyCode.SHORTCUT, KeyCode.A).write(points);
    driver.robot().push(KeyCode.ENTER);
    driver.settle();
  }

  @Test
  void whoIsNewIsOfferedTheTourOnce() {
    var user = new dynamorph.app.files.UserFolder(folder.resolve("somebody-new"));
    driver
        .robot()
        .interact(() -> {
          assertThat(new TourStrip(driver.workspace(), user, () -> {}).isVisible()).isTrue();
          var strip = new TourStrip(driver.workspace(), user, () -> {});
          ((Button) strip.lookup("#welcome-close")).fire();
          assertThat(strip.isVisible()).isFalse();
          assertThat(new TourStrip(driver.workspace(), user, () -> {}).isVisible()).isFalse();
        });
  }

  @Test
  void theGuideOpensAtWhatAPaneIsAboutAndIsSearched() {
    Project before = driver.project();
    driver.robot().push(KeyCode.F12);
    driver.settle();
    driver.robot().clickOn("#steps .help-button");
    driver.settle();
    assertThat(driver.isShown("#guide")).isTrue();
    assertThat(onTop()).isEqualTo("Files");
    driver.robot().clickOn("#guide-search").write("kashida join");
    driver.settle();
    assertThat(driver.robot().lookup("#guide-found .guide-page-link").queryAll()).isNotEmpty();
    driver.robot().push(KeyCode.ENTER);
    driver.settle();
    assertThat(onTop()).isEqualTo("Kashida");
    driver.robot().push(KeyCode.ALT, KeyCode.LEFT);
    driver.settle();
    assertThat(onTop()).isEqualTo("Files");
    driver.press("guide-contents");
    driver.robot().clickOn("Put texts in order");
    driver.settle();
    assertThat(onTop()).isEqualTo("Put texts in order");
    driver.robot().push(KeyCode.ESCAPE);
    assertThat(driver.isShown("#guide")).isFalse();
    assertThat(driver.project()).isEqualTo(before);
  }

  /** The heading that stands highest in what is seen of the guide. */
  private String onTop() {
    var scroll = driver.robot().lookup("#guide > .scroll-pane").query();
    double top = scroll.localToScreen(scroll.getBoundsInLocal()).getMinY();
    return driver.robot().lookup("#guide .guide-title").<Label>queryAll().stream()
        .filter(title -> title.localToScreen(title.getBoundsInLocal()).getMaxY() > top + 4)
        .findFirst()
        .orElseThrow()
        .getText();
  }
}
