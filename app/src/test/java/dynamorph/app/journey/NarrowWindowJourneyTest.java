package dynamorph.app.journey;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.formats.journal.Journal;
import dynamorph.formats.journal.Journals;
import dynamorph.formats.journal.Moment;
import dynamorph.model.Asset;
import dynamorph.model.edit.ChangeProject;
import dynamorph.model.edit.History;
import dynamorph.model.timeline.TrackId;
import java.io.IOException;
import java.nio.file.Path;
import java.time.InstantSource;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.stage.Window;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.testfx.util.WaitForAsyncUtils;

/** In the smallest window there is room for, nothing covers anything else and no label is cut. */
class NarrowWindowJourneyTest extends JourneyTest {
  @BeforeEach
  void makeNarrow() {
    driver
        .robot()
        .interact(() -> {
          Window window = driver.window().scene().getWindow();
          window.setWidth(1024);
          window.setHeight(700);
        });
    driver.settle();
  }

  @Test
  void whatIsWrongWithCuesStandsBelowTheTransport() {
    driver.press("view-timeline");
    driver.waitFor("problems are told", () -> driver.isShown("#cue-problems"));
    standApartWhole(".transport");
  }

  @Test
  void whatIsDoneInASheetGoesOnBelow() {
    driver.press("view-sheet");
    driver.select("name-ilse", "name-dessa");
    driver.waitFor("it is listed", () -> driver.window().sheet().isIdle());
    driver.settle();
    standApartWhole(".sheet-foot");
    double right =
        driver.node("sheet-columns").localToScene(0, 0).getX()
            + driver.node("sheet-columns").getLayoutBounds().getWidth();
    assertThat(right)
        .as("beside the survey, not over it")
        .isLessThan(driver.node("survey").localToScene(0, 0).getX());
  }

  @Test
  void theKindsOfReachGoOnBelow() {
    driver.press("style-enamel-title");
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.R);
    driver.waitFor("the reach is shown", () -> driver.isShown("#reach-filters"));
    standApartWhole("#reach-filters");
  }

  @Test
  void workThatWasLeftIsNamedInFull() throws IOException {
    History history =
        History.unsaved(demo)
            .apply(new ChangeProject.PutAsset(new Asset("images/a.png", new byte[] {1})));
    Path file = folder.resolve("a client/2026 exhibition/panels and labels/final corrected.dmorph");
    Path journals = folder.resolve("user").resolve("journal");
    try (Journal left = new Journals(journals, InstantSource.system()).begin()) {
      left.note(new Moment(history, Optional.of(file), Optional.empty()));
    }
    driver.run("Recovered work\u2026");
    driver.waitFor("it is listed", () -> driver.isShown("#recovery .recovery-row"));
    standApartWhole("#recovery");
  }

  @Test
  void savedVersionsAreNamedInFull() {
    driver.answers().file(folder.resolve("hour.dmorph"));
    driver.run("Save");
    driver.waitFor("it is saved", () -> driver.workspace().historyProperty().get().isSaved());
    driver.pressText("entrance-title");
    driver.robot().push(KeyCode.DELETE);
    driver.run("Saved versions\u2026");
    driver.waitFor("they are listed", () -> driver.isShown("#versions .version-comparison"));
    driver.settle();
    standApartWhole("#versions");
  }

  @Test
  void whatIsExportedIsSaidInFull() {
    driver.answers().file(folder.resolve("a client/2026 exhibition/hour.dmorph"));
    driver.run("Export artboards\u2026");
    driver.waitFor("the artboards are shown", () -> driver.isShown("#export-pane"));
    driver.robot().clickOn("#export-folder");
    driver.settle();
    // what scrolls lies under the foot without being seen there
    standApartWhole(".export-settings");
    Node pane = driver.node("export-pane");
    assertThat(overlaps(area(pane), area(driver.node("styles"))))
        .as("it lies over the styles")
        .isFalse();
    for (String id :
        List.of("folder", "folder-name", "plan", "go", "all", "none", "board-entrance")) {
      Labeled label = (Labeled) driver.node("export-" + id);
      assertThat(isWhole(label)).as("room for “%s”", label.getText()).isTrue();
      assertThat(area(pane).contains(area(label))).as("“%s” is inside", label.getText()).isTrue();
    }
  }

  /** A film that could be seen in part only had no box to tick. */
  @Test
  void whatIsExportedIsSeenWhole() {
    driver.run("Export the film\u2026");
    driver.waitFor("the film is shown", () -> driver.isShown("#export-board-film"));
    isSeenWhole("export-board-film");
    driver.robot().clickOn("#export-of-artboards");
    driver.settle();
    isSeenWhole("export-board-entrance");
  }

  private void isSeenWhole(String board) {
    Node tile = driver.node(board).getParent();
    Node scroll = tile;
    while (!(scroll instanceof ScrollPane)) {
      scroll = scroll.getParent();
    }
    assertThat(area(scroll).contains(area(tile))).as("%s in %s", area(tile), area(scroll)).isTrue();
  }

  /** A track is asked for while the timeline that opens is still low. */
  @Test
  void noTrackIsOutOfSightWhereThereIsRoomForAll() {
    driver
        .robot()
        .interact(() -> {
          driver.window().scene().getWindow().setHeight(900);
          driver.workspace().playback().open();
          driver
              .workspace()
              .playback()
              .cueTrackProperty()
              .set(Optional.of(new TrackId("captions-ja")));
        });
    driver.settle();
    assertThat(driver.isShown("#track-titles")).isTrue();
    assertThat(driver.isShown("#track-footage")).isTrue();
  }

  private void standApartWhole(String container) {
    WaitForAsyncUtils.waitForAsyncFx(
        5_000,
        () -> {
          List<Labeled> labels =
              driver.window().scene().lookup(container).lookupAll("*").stream()
                  .filter(Labeled.class::isInstance)
                  .map(Labeled.class::cast)
                  .filter(node -> isSeen(node) && !node.getText().isEmpty())
                  .filter(node -> !(node.getParent() instanceof Labeled))
                  .toList();
          assertThat(labels).as("labels").hasSizeGreaterThan(4);
          for (Labeled one : labels) {
            assertThat(isWhole(one)).as("room for “%s”", one.getText()).isTrue();
            for (Labeled other : labels) {
              assertThat(one != other && overlaps(area(one), area(other)))
                  .as("“%s” lies over “%s”", one.getText(), other.getText())
                  .isFalse();
            }
          }
          return true;
        });
  }

  private static boolean isSeen(Node node) {
    return node.isVisible() && (node.getParent() == null || isSeen(node.getParent()));
  }

  private static boolean isWhole(Labeled one) {
    return one.isWrapText()
        ? one.getHeight() + 0.5 >= one.prefHeight(one.getWidth())
        : one.getWidth() + 0.5 >= one.prefWidth(-1);
  }

  /** By more than the line that neighbours in a row of choices share. */
  private static boolean overlaps(Bounds one, Bounds other) {
    return Math.min(one.getMaxX(), other.getMaxX()) - Math.max(one.getMinX(), other.getMinX()) > 1
        && Math.min(one.getMaxY(), other.getMaxY()) - Math.max(one.getMinY(), other.getMinY()) > 1;
  }

  private static Bounds area(Node node) {
    return node.localToScene(node.getLayoutBounds());
  }
}
