package dynamorph.app.journey;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.demo.AsItCame;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.random.LooksOf;
import dynamorph.model.reach.LocalChanges;
import dynamorph.model.style.Style;
import dynamorph.model.survey.rule.Ignored;
import dynamorph.model.value.FontSize;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A designer puts in order what three people have typed. */
class SurveyJourneyTest extends JourneyTest {
  @BeforeEach
  void openTheNotes() {
    driver.robot().interact(() -> driver.workspace().open(AsItCame.project(), Optional.empty()));
    driver.settle();
    driver.run("Survey the project");
    surveyed();
  }

  private void surveyed() {
    driver.waitFor(
        "the survey is made",
        () -> driver.window().isUpToDate() && !title().startsWith("The project"));
    driver.settle();
  }

  private String title() {
    return ((Label) driver.robot().lookup("#survey .survey-title").query()).getText();
  }

  private List<String> styles() {
    return driver.project().styles().list().stream().map(Style::name).toList();
  }

  @Test
  void threeStylesAreAdoptedAndNothingLooksDifferent() {
    Project before = driver.project();
    assertThat(title()).isEqualTo("5 styles hide in 29 places");
    for (String style : List.of("body", "number", "title")) {
      driver.press("adopt-" + style);
      surveyed();
    }
    assertThat(styles()).containsExactly("Body", "Number", "Title");
    assertThat(title()).startsWith("2 styles hide");
    assertThat(LooksOf.looks(driver.project())).isEqualTo(LooksOf.looks(before));
    assertThat(driver.layer("drawers-3").follows()).containsExactly(driver.styleNamed("Body"));
    assertThat(LocalChanges.count(driver.layer("drawers-3"))).isZero();
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(before);
  }

  @Test
  void allAreAdoptedInOneStep() {
    Project before = driver.project();
    driver.press("adopt-all");
    surveyed();
    assertThat(styles()).hasSize(5);
    assertThat(title()).isEqualTo("No style hides");
    driver.offer("Undo");
    assertThat(driver.project()).isEqualTo(before);
  }

  @Test
  void whatDeviatesIsSnappedAfterItWasSeen() {
    driver.robot().clickOn(driver.reveal("#hidden-number .hidden-specimen"));
    driver.settle();
    driver.robot().clickOn(driver.reveal("#snap-all"));
    driver.press("adopt-number");
    assertThat(driver.workspace().attempts().pending()).as("it is looked at first").isPresent();
    assertThat(styles()).isEmpty();
    driver.robot().push(KeyCode.CONTROL, KeyCode.ENTER);
    surveyed();
    assertThat(styles()).containsExactly("Number");
    assertThat(
            driver
                .project()
                .layers()
                .filter(layer -> layer.follows().contains(driver.styleNamed("Number")))
                .mapToInt(LocalChanges::count)
                .sum())
        .isZero();
  }

  /** A card for each of hundreds would stop the window. */
  @Test
  void ofManyStylesThoseThatMostWouldFollowAreShownFirst() {
    List<Layer> texts = new ArrayList<>();
    for (int index = 0; index < 45; index++) {
      double size = Math.rint(8 * Math.pow(1.2, index % 15));
      texts.add(
          Layer.of("t" + index, "t", "Winding day")
              .withLocal(PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(size))));
    }
    Project many =
        Project.empty("Many")
            .plus(Artboard.empty("a", "A", 900, 900, LengthUnit.POINT).withLayers(texts));
    driver.robot().interact(() -> driver.workspace().open(many, Optional.empty()));
    driver.settle();
    surveyed();
    driver.waitFor("all are found", () -> title().startsWith("15 styles hide"));
    assertThat(driver.robot().lookup("#survey .hidden-card").queryAll()).hasSize(12);
    Hyperlink more = (Hyperlink) driver.reveal("#more-hidden");
    assertThat(more.getText()).isEqualTo("3 more styles hide");
    driver.robot().clickOn(more);
    driver.settle();
    assertThat(driver.robot().lookup("#survey .hidden-card").queryAll()).hasSize(15);
    assertThat(driver.robot().lookup("#more-hidden").tryQuery()).isEmpty();
  }

  @Test
  void aWiderToleranceTakesInMore() {
    driver.robot().interact(() -> ((Slider) driver.node("survey-tolerance")).setValue(3));
    surveyed();
    assertThat(title()).isEqualTo("5 styles hide in 30 places");
    driver.robot().interact(() -> ((Slider) driver.node("survey-tolerance")).setValue(0));
    surveyed();
    assertThat(title()).isNotEqualTo("5 styles hide in 30 places");
  }

  @Test
  void aFindingIsIgnoredWithANoteAndToldAgain() {
    driver.robot().clickOn(driver.reveal("#rule-double-space .finding-name"));
    driver.settle();
    Node focused = driver.window().scene().getFocusOwner();
    assertThat(focused).isInstanceOf(Button.class);
    assertThat(focused.getParent().getParent().getId()).isEqualTo("rule-double-space");
    assertThat(driver.node("survey").localToScene(driver.node("survey").getLayoutBounds()))
        .as("what was opened is still in sight")
        .matches(pane -> pane.contains(focused.localToScene(1, 1)));
    driver.robot().clickOn(driver.reveal("#rule-double-space .quiet-link"));
    driver.robot().write("so in the book").push(KeyCode.ENTER);
    surveyed();
    assertThat(driver.project().survey().ignored())
        .extracting(Ignored::note)
        .containsExactly("so in the book");
    assertThat(driver.isShown("#rule-double-space")).isFalse();
    assertThat(text("ignored")).isEqualTo("1 ignored");
    driver.robot().push(KeyCode.CONTROL, KeyCode.Z);
    surveyed();
    assertThat(driver.isShown("#rule-double-space")).isTrue();
  }

  @Test
  void wordsAreMendedAfterTheyWereSeen() {
    driver.robot().clickOn(driver.reveal("#rule-straight-quotes .mend"));
    driver.settle();
    assertThat(driver.workspace().attempts().pending()).isPresent();
    driver.robot().push(KeyCode.CONTROL, KeyCode.ENTER);
    surveyed();
    assertThat(driver.layer("drawers-9").story().text()).contains("\u201cnot before Monday\u201d");
    assertThat(driver.isShown("#rule-straight-quotes")).isFalse();
  }

  @Test
  void aReportIsWritten() throws IOException {
    Path page = folder.resolve("report.html");
    driver.answers().file(page);
    driver.press("survey-report");
    driver.waitFor("it is written", () -> Files.exists(page));
    assertThat(Files.readString(page)).contains("Survey of As It Came").contains("Body");
  }

  @Test
  void anotherProjectIsSurveyedByItsOwnRules() {
    driver.robot().interact(() -> driver.workspace().open(demo, Optional.empty()));
    driver.settle();
    surveyed();
    assertThat(title()).isEqualTo("No style hides");
    assertThat(Map.of("shown", driver.isShown("#rule-overset"))).containsEntry("shown", false);
  }
}
