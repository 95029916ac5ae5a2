package dynamorph.app.journey;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.app.action.Action;
import dynamorph.app.window.SearchResult;
import dynamorph.model.Artboard;
import dynamorph.model.LayerId;
import dynamorph.model.style.StyleId;
import dynamorph.paint.stage.View;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Callable;
import javafx.event.Event;
import javafx.event.EventHandler;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;
import javafx.stage.PopupWindow;
import javafx.stage.Window;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.testfx.util.WaitForAsyncUtils;

/** Going between artboards and film, and what works from anywhere in the window. */
class ViewsJourneyTest extends JourneyTest {
  private static final LayerId TITLE = new LayerId("label-3-title");
  private static final StyleId TAG = new StyleId("tag");

  private static <T> T inWindow(Callable<T> question) {
    return WaitForAsyncUtils.waitForAsyncFx(5_000, question);
  }

  private List<LayerId> selected() {
    return List.copyOf(driver.workspace().selection().layers());
  }

  @Test
  void whatCannotBeSeenIsNeverChanged() {
    driver.pressText("label-3-title");
    driver.press("view-timeline");
    assertThat(selected()).as("selected in the film").isEmpty();
    driver.press("style-tag");
    assertThat(driver.layer("label-3-title").follows()).doesNotContain(TAG);
    driver.press("view-artboards");
    assertThat(selected()).as("selected on the artboards, as before").containsExactly(TITLE);
  }

  /** The timeline goes with the film, and its room is the artboards'. */
  @Test
  void aProjectThatIsOpenedOverAFilmFillsTheStage() {
    driver.press("view-timeline");
    driver
        .robot()
        .interact(
            () -> driver.workspace().open(driver.project().withName("Again"), Optional.empty()));
    driver.settle();
    View opened = driver.stage().view();
    assertThat(driver.workspace().playback().isOpen()).isFalse();
    driver.robot().interact(driver.stage()::fitAll);
    assertThat(opened).isEqualTo(driver.stage().view());
  }

  /** The tools lie over the stage. */
  @Test
  void theNameOfAFilmIsSeenBelowTheTools() {
    driver.press("view-timeline");
    // low enough that the frame is as high as there is room
    driver.robot().interact(() -> driver.stage().getScene().getWindow().setHeight(680));
    driver.settle();
    Artboard film = driver.project().films().findFirst().orElseThrow();
    double top = driver.stage().view().toPixelY(film.y());
    double tools =
        inWindow(() ->
            driver.robot().lookup(".tools").query().getBoundsInParent().getMaxY()
                * driver.stage().getScene().getWindow().getOutputScaleY());
    // its name takes a line of 20 pixels
    assertThat(top).isGreaterThan(tools + 20);
  }

  /** People look for it by what it does. */
  @ParameterizedTest
  @ValueSource(strings = {"dark", "light", "theme"})
  void theThemeIsFound(String word) {
    driver.robot().push(KeyCode.CONTROL, KeyCode.SPACE).write(word);
    assertThat(driver.robot().lookup(".search-results").<ListView<SearchResult>>query().getItems())
        .extracting(SearchResult::text)
        .contains("Light or dark theme");
  }

  @Test
  void searchFindsWhatIsDoneInTheOtherViewAndGoesThere() {
    driver
        .robot()
        .push(KeyCode.CONTROL, KeyCode.SPACE)
        .write("cue at the playhead")
        .push(KeyCode.ENTER);
    driver.settle();
    assertThat(driver.workspace().playback().isOpen()).as("the film is shown").isTrue();
  }

  @Test
  void searchFindsValuesArtboardsSwatchesAndTheGuide() {
    driver.pressText("label-3-title");
    seek("drop capital lines");
    assertThat(driver.isShown("#guide")).isFalse();
    assertThat(driver.robot().lookup("#inspector #find-property").<TextField>query().getText())
        .isNotEmpty();
    seek("copper");
    assertThat(driver.workspace().attempts().present().swatch()).contains("copper");
    driver.robot().push(KeyCode.ESCAPE);
    seek("web square");
    assertThat(driver.stage().view().scale()).as("the artboard fills the stage").isGreaterThan(0.3);
    driver.robot().push(KeyCode.CONTROL, KeyCode.SPACE).write("la");
    assertThat(driver.robot().lookup(".search-results").<ListView<SearchResult>>query().getItems())
        .as("what begins so, not what plays")
        .allMatch(found -> (" " + found.text()).toLowerCase(Locale.ROOT).contains(" la"));
    driver.robot().push(KeyCode.ESCAPE);
    seek("kashida join");
    assertThat(driver.isShown("#guide")).isTrue();
  }

  private void seek(String words) {
    driver.robot().push(KeyCode.CONTROL, KeyCode.SPACE).write(words).push(KeyCode.ENTER);
    driver.settle();
  }

  /** Each as a place to stand in when the search is called for. */
  @ParameterizedTest
  @ValueSource(strings = {"#inspector .text-field", "#cue-filter", "#cue-list"})
  void searchOpensFromEverywhere(String place) {
    if (place.startsWith("#timecode") || place.startsWith("#cue")) {
      driver.press("view-timeline");
      driver.press("tab-cues");
    } else {
      driver.pressText("label-3-title");
    }
    Node node = driver.reveal(place);
    driver.robot().interact(node::requestFocus);
    driver.settle();
    driver.robot().push(KeyCode.CONTROL, KeyCode.SPACE).write("undo");
    driver.settle();
    assertThat(inWindow(() -> driver.window().scene().getFocusOwner().getId())).isEqualTo("search");
    assertThat(driver.project()).as("nothing was typed elsewhere").isEqualTo(demo);
  }

  /** What was typed before stood in front of what was typed next. */
  @Test
  void theSearchBeginsAnew() {
    KeyCodeCombination search = new KeyCodeCombination(KeyCode.SPACE, KeyCombination.CONTROL_DOWN);
    javafx.scene.control.TextField field = (javafx.scene.control.TextField) driver.node("search");
    driver.robot().push(search);
    driver.robot().write("nothing at all");
    driver.robot().push(KeyCode.ESCAPE);
    driver.settle();
    assertThat(field.getText()).isEmpty();
    driver.robot().push(search);
    driver.robot().write("zo");
    driver.robot().push(search);
    driver.robot().write("theme");
    assertThat(field.getText()).isEqualTo("theme");
    driver.robot().push(KeyCode.ESCAPE);
  }

  /** It was found by its words only, and what was found lay behind an open pane. */
  @Test
  void aTextIsFoundByItsNameAndSeen() {
    driver.run("Saved versions\u2026");
    assertThat(driver.isShown("#versions")).isTrue();
    driver.robot().push(new KeyCodeCombination(KeyCode.SPACE, KeyCombination.CONTROL_DOWN));
    driver.robot().write("right winding").push(KeyCode.ENTER);
    driver.settle();
    assertThat(driver.workspace().selection().layers())
        .extracting(LayerId::value)
        .containsExactly("panel-3-text-2");
    assertThat(driver.isShown("#versions")).isFalse();
    assertThat(inWindow(() -> driver.stage().isFocused())).isTrue();
  }

  /** Each as a place to stand in; what is typed there has first claim to its own keys only. */
  @Test
  void everyShortcutHoldsEverywhere() {
    driver.pressText("label-3-title");
    holdsIn("#style-tag");
    driver.pressText("label-3-title");
    holdsIn("#inspector .text-field");
    for (String place : List.of("#cue-filter", "#cue-list", "#track-lanes")) {
      driver.press("view-timeline");
      driver.press("tab-cues");
      holdsIn(place);
    }
  }

  private void holdsIn(String place) {
    Node node = driver.reveal(place);
    ToggleButton tab =
        driver.robot().lookup(".side-tab").queryAllAs(ToggleButton.class).stream()
            .filter(ToggleButton::isSelected)
            .findFirst()
            .orElseThrow();
    List<Action> tried =
        driver.actions().stream()
            .filter(action ->
                action.shortcut().filter(KeyCodeCombination.class::isInstance).isPresent())
            // these ask something, leave the project, or belong to a field that is typed in
            .filter(action -> !action.name().endsWith("\u2026"))
            .filter(
                action -> !action.id().startsWith("edit.") && !action.id().startsWith("project."))
            .filter(
                action -> !Set.of("styles.drop-local", "film.ripple-delete").contains(action.id()))
            .toList();
    int held = 0;
    for (Action action : tried) {
      boolean holds =
          inWindow(() -> {
            node.requestFocus();
            if (!node.isFocused() || !action.enabled().get()) {
              return false;
            }
            assertThat(isTaken(node, action)).as("%s in %s", action.name(), place).isTrue();
            // what hides the place is taken back before the next
            driver.workspace().view().showSide();
            tab.setSelected(true);
            driver.workspace().attempts().closeKeeping();
            driver.workspace().attempts().discardPending();
            return true;
          });
      held += holds ? 1 : 0;
    }
    assertThat(held).as("tried in %s", place).isGreaterThan(12);
    // what was opened would take the next click for itself
    driver
        .robot()
        .interact(() ->
            List.copyOf(Window.getWindows()).stream()
                .filter(PopupWindow.class::isInstance)
                .forEach(Window::hide));
  }

  /** Whether the keys of an action are taken by the window before they come to the control. */
  private boolean isTaken(Node control, Action action) {
    KeyCodeCombination keys = (KeyCodeCombination) action.shortcut().orElseThrow();
    boolean[] arrived = {false};
    EventHandler<KeyEvent> arrival = _ -> arrived[0] = true;
    control.addEventFilter(KeyEvent.KEY_PRESSED, arrival);
    Event.fireEvent(
        control,
        new KeyEvent(
            KeyEvent.KEY_PRESSED,
            "",
            "",
            keys.getCode(),
            isDown(keys.getShift()),
            isDown(keys.getControl()) || isDown(keys.getShortcut()),
            isDown(keys.getAlt()),
            false));
    control.removeEventFilter(KeyEvent.KEY_PRESSED, arrival);
    return !arrived[0];
  }

  private static boolean isDown(KeyCombination.ModifierValue modifier) {
    return modifier == KeyCombination.ModifierValue.DOWN;
  }

  @Test
  void theSamplerTakesAnotherByItsButtonAndByItsKey() {
    driver.press("tool-sampler");
    driver.robot().clickOn(driver.middleOf("label-5-title"));
    driver.settle();
    assertThat(heading()).isEqualTo("Holds the look of \u201CLabel 5 \u00B7 Title\u201D");
    driver.press("sampler-another");
    driver.robot().clickOn(driver.middleOf("label-7-title"));
    driver.settle();
    assertThat(heading()).contains("Label 7");
    driver.robot().push(KeyCode.Q);
    driver.robot().clickOn(driver.middleOf("label-9-title"));
    driver.settle();
    assertThat(heading()).contains("Label 9");
    assertThat(driver.project()).as("nothing was stamped").isEqualTo(demo);
  }

  private String heading() {
    return inWindow(
        () -> ((Label) driver.window().scene().lookup("#sampler-bar .section-title")).getText());
  }

  @Test
  void aStyleIsAddedOnTopByTheButtonOfItsCard() {
    driver.pressText("label-3-title");
    Node card = driver.reveal("#style-tag");
    driver.robot().moveTo(card);
    driver.settle();
    driver.robot().clickOn(card.lookup(".card-on-top"));
    driver.settle();
    assertThat(driver.layer("label-3-title").follows())
        .containsExactly(new StyleId("label-title"), TAG);
  }

  @Test
  void aControlSaysWhatItIsForWhereThePointerRests() {
    driver.pressText("label-3-title");
    driver.robot().moveTo("#new-style");
    driver.waitFor("the tip shows", () -> tip().equals("New empty style"));
    driver.robot().moveTo("#keep-look");
    driver.waitFor("the next tip takes its place", () -> tip().startsWith("Keep the look"));
    driver.robot().moveTo("#stage");
    driver.waitFor("the tip goes with the pointer", () -> tip().isEmpty());
    driver.robot().moveTo("#new-style");
    driver.waitFor("the tip shows again", () -> tip().equals("New empty style"));
    driver.robot().clickOn("#new-style");
    driver.waitFor("a click ends it", () -> tip().isEmpty());
  }

  /** The words of the tooltip that shows; none of them is there twice. */
  private String tip() {
    return inWindow(() ->
        Window.getWindows().stream()
            .filter(Tooltip.class::isInstance)
            .map(window -> ((Tooltip) window).getText())
            .collect(java.util.stream.Collectors.joining("\n")));
  }
}
