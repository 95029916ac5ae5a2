package dynamorph.app.journey;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.demo.LongHour;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import dynamorph.typeset.caption.CueList;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.event.ActionEvent;
import javafx.scene.control.ButtonType;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.DialogPane;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import javafx.stage.Window;
import org.junit.jupiter.api.Test;
import org.testfx.framework.junit5.Start;

/** The controls around the film: its bar, its tracks, the list of cues, and what they ask. */
class FilmToolsJourneyTest extends FilmJourney {
  @Start
  void start(Stage stage) {
    open(stage);
  }

  private Track track(String id) {
    return line().track(new TrackId(id)).orElseThrow();
  }

  private Timing time(String id) {
    return driver.layer(id).timing().orElseThrow();
  }

  private void look(String tab) {
    driver.settle().press("view-timeline");
    driver.press(tab);
  }

  private void select(String... ids) {
    driver
        .robot()
        .interact(() ->
            driver.workspace().select(java.util.Arrays.stream(ids).map(LayerId::new).toList()));
    driver.settle();
  }

  private void later(Runnable work) {
    javafx.application.Platform.runLater(work);
  }

  private List<TextField> fields() {
    return driver.dialog().lookupAll(".text-field").stream()
        .filter(TextField.class::isInstance)
        .map(TextField.class::cast)
        .toList();
  }

  private void answer(ButtonType button) {
    DialogPane dialog = driver.dialog();
    driver
        .robot()
        .interact(() -> ((javafx.scene.control.Button) dialog.lookupButton(button)).fire());
  }

  @Test
  void theFilmIsShuttledByThreeKeys() {
    var playback = driver.workspace().playback();
    driver
        .robot()
        .interact(() -> {
          playback.open();
          playback.seek(Time.ofMillis(20_000));
        });
    driver.settle();
    driver.robot().push(KeyCode.L);
    driver.waitFor(
        "it goes on", () -> Time.ofMillis(20_200).isBefore(playback.playheadProperty().get()));
    driver.robot().push(KeyCode.L);
    assertThat(playback.speedProperty().get()).isEqualTo(2);
    driver.waitFor(
        "it is told",
        () ->
            driver.isShown("#play-speed")
                && ((Labeled) driver.node("play-speed")).getText().equals("2×"));
    driver.robot().push(KeyCode.J).push(KeyCode.J);
    assertThat(playback.speedProperty().get()).isEqualTo(-2);
    driver.waitFor(
        "it goes back", () -> playback.playheadProperty().get().isBefore(Time.ofMillis(19_000)));
    driver.robot().push(KeyCode.K);
    assertThat(playback.playingProperty().get()).isFalse();
    assertThat(driver.isShown("#play-speed")).isFalse();
    driver.robot().interact(() -> playback.seek(Time.ofMillis(200)));
    driver.robot().push(KeyCode.J);
    driver.waitFor("it stops at the beginning", () -> !playback.playingProperty().get());
    assertThat(playback.playheadProperty().get()).isEqualTo(Time.ZERO);
    driver.robot().push(KeyCode.SPACE);
    assertThat(playback.speedProperty().get()).isEqualTo(1);
    driver.robot().push(KeyCode.SPACE);
  }

  @Test
  void aTimecodeIsTypedToGoThereAndAWrongOneIsTold() {
    look("tab-properties");
    TextField code = (TextField) driver.node("timecode");
    driver
        .robot()
        .interact(() -> {
          code.setText("00:00:31:12");
          code.fireEvent(new javafx.event.ActionEvent());
        });
    driver.settle();
    assertThat(driver.workspace().playback().playheadProperty().get())
        .isEqualTo(Time.ofMillis(31_480));
    driver
        .robot()
        .interact(() -> {
          code.setText("half past");
          code.fireEvent(new javafx.event.ActionEvent());
        });
    assertThat(driver.notice()).contains("half past");
    assertThat(code.getText()).isEqualTo("00:00:31:12");
  }

  @Test
  void whatIsSelectedIsPlayedOverAndOver() {
    look("tab-properties");
    select("name-ilse");
    driver.press("loop");
    var loop = driver.workspace().playback().loopProperty().get().orElseThrow();
    assertThat(loop.from()).isEqualTo(time("name-ilse").in());
    assertThat(loop.to()).isEqualTo(time("name-ilse").out());
    driver.press("loop");
    assertThat(driver.workspace().playback().loopProperty().get()).isEmpty();
  }

  @Test
  void tracksAreHiddenLockedAndNamed() {
    look("tab-properties");
    seek(11_000);
    assertThat(driver.stage().scene().orElseThrow().find(new LayerId("name-joost"))).isPresent();
    driver
        .robot()
        .clickOn(
            driver
                .robot()
                .from(driver.node("track-names"))
                .lookup(".track-button")
                .nth(0)
                .<javafx.scene.Node>query());
    driver.settle();
    assertThat(track("names").state().hidden()).isTrue();
    assertThat(driver.stage().scene().orElseThrow().find(new LayerId("name-joost"))).isEmpty();
    driver
        .robot()
        .clickOn(
            driver
                .robot()
                .from(driver.node("track-titles"))
                .lookup(".track-button")
                .nth(1)
                .<javafx.scene.Node>query());
    driver.settle();
    assertThat(track("titles").state().locked()).isTrue();
    driver
        .robot()
        .doubleClickOn(
            driver
                .robot()
                .from(driver.node("track-titles"))
                .lookup(".track-name")
                .<javafx.scene.Node>query());
    driver.robot().write("Headings").push(KeyCode.ENTER);
    driver.settle();
    assertThat(track("titles").name()).isEqualTo("Headings");
  }

  @Test
  void cuesAreSplitAtTheCaretAndMergedAgain() {
    look("tab-cues");
    select("cue-en-5");
    driver.robot().interact(() -> driver.node("cue-list").requestFocus());
    driver.robot().type(KeyCode.F2);
    driver.waitFor("the words can be edited", () -> driver.isShown("#cue-field"));
    driver.waitFor("the field has the keyboard", () -> driver.node("cue-field").isFocused());
    driver.robot().interact(() -> ((TextInputControl) driver.node("cue-field")).positionCaret(29));
    driver.press("cue-split");
    Layer first = driver.layer("cue-en-5");
    assertThat(first.story().text()).isEqualTo("Every tooth was measured twic");
    List<Layer> cues = english();
    Layer second = cues.get(5);
    assertThat(second.story().text()).startsWith("e, once");
    assertThat(CueList.time(second).in()).isEqualTo(CueList.time(first).out());
    select("cue-en-5", second.id().value());
    driver.press("cue-merge");
    assertThat(english()).hasSize(17);
    assertThat(time("cue-en-5").out()).isEqualTo(CueList.time(second).out());
    driver.robot().interact(driver.workspace()::undo);
    driver.robot().interact(driver.workspace()::undo);
    assertThat(driver.project()).isEqualTo(LongHour.project());
  }

  private List<Layer> english() {
    return CueList.of(
            driver.project().films().findFirst().orElseThrow(),
            (Track.Captions) track("captions-en"))
        .cues();
  }

  @Test
  void linesAreBrokenByTheRulesOfTheTrackAndTheRulesAreAsked() {
    look("tab-cues");
    select("cue-en-5");
    driver.press("cue-lines");
    assertThat(driver.layer("cue-en-5").story().text())
        .isEqualTo(
            "Every tooth was measured twice, once\u2028for the drawing and once for the wear.");
    later(() -> rules());
    driver.robot().interact(() -> fields().get(1).setText("24"));
    driver.robot().interact(() -> fields().get(0).setText("none"));
    answer(ButtonType.OK);
    assertThat(driver.dialog().lookup(".problem-text")).as("what is wrong is said").isNotNull();
    driver.robot().interact(() -> fields().get(0).setText("3"));
    answer(ButtonType.OK);
    driver.settle();
    assertThat(((Track.Captions) track("captions-en")).rules().lineLength()).isEqualTo(24);
    driver.press("cue-lines");
    assertThat(CueList.lines(driver.layer("cue-en-5"))).hasSizeGreaterThan(3);
  }

  private void rules() {
    driver.window().films().tracks().editRules((Track.Captions) track("captions-en"));
  }

  @Test
  void cuesAreFoundAndShiftedFromThePlayheadOn() {
    look("tab-cues");
    driver.robot().clickOn("#cue-filter").write("wear");
    driver.settle();
    ListView<Layer> list = driver.robot().lookup("#cue-list").query();
    assertThat(list.getItems())
        .extracting(Layer::id)
        .extracting(LayerId::value)
        .containsExactly("cue-en-5", "cue-en-6");
    seek(50_000);
    Time before = time("cue-en-13").in();
    later(() -> driver.window().films().cues().shiftCues());
    driver.robot().interact(() -> fields().getFirst().setText("0,5"));
    answer(ButtonType.OK);
    driver.settle();
    assertThat(time("cue-en-13").in()).isEqualTo(before.plus(Time.ofMillis(500)));
    assertThat(time("cue-en-12").in()).isEqualTo(Time.ofMillis(47_400));
  }

  @Test
  void cuesAreStretchedToAnotherRate() {
    look("tab-cues");
    later(() -> driver.window().films().cues().stretchCues());
    driver
        .robot()
        .interact(() -> {
          ComboBox<FrameRate> from = box(0);
          from.setValue(FrameRate.FILM);
        });
    answer(ButtonType.OK);
    driver.settle();
    assertThat(time("cue-en-2").in()).isEqualTo(Time.ofMillis(12_480));
  }

  @SuppressWarnings("unchecked") // the boxes of this dialog hold rates
  private ComboBox<FrameRate> box(int index) {
    return (ComboBox<FrameRate>)
        driver.dialog().lookupAll(".combo-box").stream().skip(index).findFirst().orElseThrow();
  }

  @Test
  void titlesComeFromATableAndRefusedRowsAreTold() throws IOException {
    Path table = folder.resolve("names.csv");
    Files.writeString(
        table, "Name;Role;In\nMaro Velt;painter;00:00:16:00\nAda;smith;later\nJo;;00:00:20:00\n");
    driver.answers().file(table);
    look("tab-properties");
    driver.robot().interact(() -> driver.window().films().titles().titlesFromTable());
    assertThat(driver.notice()).as("a pattern is needed").contains("Select the title");
    select("name-ilse");
    later(() -> driver.window().films().titles().titlesFromTable());
    ListView<?> preview = (ListView<?>) driver.dialog().lookup("#table-preview");
    assertThat(preview.getItems()).hasSize(3);
    assertThat(preview.getItems().get(1).toString()).contains("line 3 is refused");
    answer(ButtonType.OK);
    driver.settle();
    assertThat(driver.notice()).contains("2 titles made").contains("1 row refused");
    assertThat(driver.workspace().selection().layers()).hasSize(2);
    Layer made =
        driver.project().layer(driver.workspace().selection().layers().getFirst()).orElseThrow();
    assertThat(made.story().text()).isEqualTo("Maro Velt\npainter");
    assertThat(made.follows()).isEqualTo(driver.layer("name-ilse").follows());
  }

  @Test
  void aFilmIsMadeAndItsSettingsAreChanged() {
    driver.settle();
    later(() -> action("New film\u2026"));
    driver
        .robot()
        .interact(() -> {
          fields().get(0).setText("Upright");
          fields().get(1).setText("1080");
          fields().get(2).setText("1920");
          box(0).setValue(FrameRate.NTSC);
        });
    answer(ButtonType.OK);
    driver.settle();
    var film = driver.workspace().playback().board().orElseThrow();
    assertThat(film.name()).isEqualTo("Upright");
    assertThat(film.height()).isEqualTo(1920);
    assertThat(film.timeline().orElseThrow().rate()).isEqualTo(FrameRate.NTSC);
    later(() -> action("Film settings\u2026"));
    driver.robot().interact(() -> fields().get(4).setText("zero"));
    answer(ButtonType.OK);
    assertThat(Driver.openDialog()).as("it stays open while something is wrong").isPresent();
    driver.robot().interact(() -> fields().get(4).setText("12.5"));
    answer(ButtonType.OK);
    driver.settle();
    assertThat(driver.workspace().playback().timeline().orElseThrow().duration())
        .isEqualTo(Time.ofMillis(12_500));
  }

  @Test
  void tracksTitlesAndFootageAreAdded() {
    look("tab-properties");
    seek(20_000);
    int tracks = line().tracks().size();
    driver
        .robot()
        .interact(() -> {
          driver.window().films().tracks().addTitleTrack();
          driver.window().films().tracks().addFootageTrack();
        });
    assertThat(line().tracks()).hasSize(tracks + 2);
    later(() -> driver.window().films().tracks().addCaptionTrack());
    driver.robot().interact(() -> fields().getFirst().setText("nl"));
    answer(ButtonType.OK);
    driver.settle();
    Track.Captions dutch =
        line().captions().filter(track -> track.language().equals("nl")).findFirst().orElseThrow();
    assertThat(line().captions().filter(track -> !track.state().hidden()))
        .as("one language is seen at a time")
        .containsExactly(dutch);
    List<Track> all = line().tracks();
    assertThat(all.indexOf(dutch))
        .as("beside the other captions")
        .isEqualTo(
            all.indexOf(
                    line()
                        .captions()
                        .filter(track -> track != dutch)
                        .reduce((_, last) -> last)
                        .get())
                + 1);
    assertThat(dutch.name()).isEqualTo("Nederlands");
    assertThat(dutch.follows()).as("like the other captions").isNotEmpty();
    later(() -> driver.window().films().footage().addDrawn());
    answer(ButtonType.OK);
    driver.settle();
    assertThat(((Track.Footage) track("footage")).clips()).hasSize(4);
    driver.robot().interact(() -> action("Add a title at the playhead"));
    driver.settle();
    assertThat(driver.workspace().selection().cursor()).as("its words are written").isPresent();
    driver.robot().write("Noon");
    driver.settle();
    LayerId title = driver.workspace().selection().layers().getFirst();
    assertThat(driver.layer(title.value()).story().text()).isEqualTo("Noon");
    assertThat(time(title.value()).in()).isEqualTo(Time.ofMillis(20_000));
  }

  /** A block of the lanes stands for its text, also while a style is dragged. */
  @Test
  void aStyleIsDroppedOnABlockOfTheLanes() {
    Driver.needsADisplay();
    look("tab-properties");
    var section = driver.styleNamed("Section title");
    driver.robot().interact(() -> driver.node("style-" + section).requestFocus());
    driver.settle();
    var lanes = driver.node("track-lanes");
    double scale = lanes.getLayoutBounds().getWidth() * 0.97 / 72;
    driver.robot().drag("#style-" + section, javafx.scene.input.MouseButton.PRIMARY);
    driver.robot().dropTo(lanes.localToScreen(26 * scale, 24 + 28 + 14));
    driver.settle();
    assertThat(driver.layer("name-ilse").follows()).contains(section);
    assertThat(driver.layer("name-joost").follows()).doesNotContain(section);
  }

  /** Chooses from the open menu; menus within menus do not stay open for a robot. */
  private void choose(String... way) {
    driver
        .robot()
        .interact(() -> {
          List<MenuItem> items =
              Window.getWindows().stream()
                  .filter(window -> window.isShowing() && window instanceof ContextMenu)
                  .map(window -> ((ContextMenu) window).getItems())
                  .findFirst()
                  .orElseThrow();
          for (String step : way) {
            MenuItem next =
                items.stream()
                    .filter(item -> step.equals(item.getText()))
                    .findFirst()
                    .orElseThrow();
            if (next instanceof Menu menu) {
              items = menu.getItems();
            } else {
              next.fire();
            }
          }
        });
  }

  /** A speaker that a cue names can be given a style in the menu of the track. */
  @Test
  void whatASpeakerSaysTakesAStyle() {
    Driver.needsADisplay();
    look("tab-properties");
    select("cue-en-5");
    type("timing-speaker", "Joost");
    driver.robot().rightClickOn("#track-captions-en");
    choose("Speakers", "Joost", "Sound");
    driver.settle();
    var sound = driver.styleNamed("Sound");
    assertThat(driver.project().taken(driver.layer("cue-en-5"))).contains(sound);
    assertThat(driver.project().taken(driver.layer("cue-en-4"))).doesNotContain(sound);
  }

  private void type(String id, String text) {
    driver
        .robot()
        .interact(() -> {
          TextField field = (TextField) driver.node(id);
          field.setText(text);
          field.fireEvent(new ActionEvent());
        });
    driver.settle();
  }

  @Test
  void timesAreTypedIntoTheInspector() {
    look("tab-properties");
    select("name-ilse");
    type("timing-in", "00:00:25:00");
    type("timing-lasts", "2 s");
    type("timing-fade-in", "0.1 + 0.2");
    assertThat(time("name-ilse").in()).isEqualTo(Time.ofMillis(25_000));
    assertThat(time("name-ilse").out()).isEqualTo(Time.ofMillis(27_000));
    assertThat(time("name-ilse").fadeIn()).isEqualTo(Time.ofMillis(300));
    var before = driver.project();
    type("timing-out", "00:00:24:00");
    assertThat(driver.notice()).contains("from a time to a later one");
    type("timing-lasts", "long");
    assertThat(driver.project()).isEqualTo(before);
    select("name-ilse", "name-joost");
    assertThat(((TextField) driver.node("timing-in")).getPromptText()).isEqualTo("several");
    type("timing-lasts", "3");
    assertThat(time("name-ilse").length()).isEqualTo(Time.ofMillis(3000));
    assertThat(time("name-joost").length()).isEqualTo(Time.ofMillis(3000));
    driver.robot().interact(driver.workspace()::undo);
    assertThat(driver.project()).isEqualTo(before);
    select("cue-en-5");
    type("timing-speaker", " Ilse ");
    assertThat(time("cue-en-5").speaker()).isEqualTo("Ilse");
  }

  @Test
  void aPartOfTheFilmIsMarkedOnItsRulerAndPlayedWithHalfOfThePixels() {
    Driver.needsADisplay();
    look("tab-properties");
    var lanes = driver.node("track-lanes");
    var playback = driver.workspace().playback();
    driver.robot().press(KeyCode.SHIFT);
    driver.robot().drag(lanes.localToScreen(100, 10)).dropTo(lanes.localToScreen(220, 10));
    driver.robot().release(KeyCode.SHIFT);
    var marked = playback.loopProperty().get().orElseThrow();
    driver.robot().drag(lanes.localToScreen(220, 10)).dropTo(lanes.localToScreen(160, 10));
    var shorter = playback.loopProperty().get().orElseThrow();
    assertThat(shorter.from()).isEqualTo(marked.from());
    assertThat(shorter.to().seconds())
        .isCloseTo(
            (marked.from().seconds() + marked.to().seconds()) / 2,
            org.assertj.core.api.Assertions.within(1.5));
    int width = driver.stage().view().width();
    driver
        .robot()
        .interact(() -> {
          action("Half-resolution playback");
          playback.playingProperty().set(true);
        });
    driver.waitFor("frames are coarse", () -> shownWidth() == Math.ceilDiv(width, 2));
    driver.robot().interact(() -> playback.playingProperty().set(false));
    driver.waitFor("it is sharp again", () -> shownWidth() == width);
  }

  private int shownWidth() {
    return driver.stage().frameProperty().get().orElseThrow().view().width();
  }

  @Test
  void framesAreExportedAndTheRestIsKept() {
    look("tab-properties");
    driver.answers().file(folder.resolve("frames"));
    driver
        .robot()
        .interact(() -> {
          driver
              .workspace()
              .playback()
              .loopProperty()
              .set(
                  Optional.of(
                      new dynamorph.app.session.Playback.Loop(
                          Time.ofMillis(400), Time.ofMillis(520))));
          action("Export the frames\u2026");
        });
    driver.waitFor("frames are written", () -> driver.notice().startsWith("Exported 3 frames"));
    assertThat(folder.resolve("frames").resolve("000010.png")).exists();
    assertThat(folder.resolve("frames").resolve("000013.png")).doesNotExist();
  }

  @Test
  void aCueWithAProblemIsGoneTo() {
    look("tab-cues");
    driver.waitFor("problems are known", () -> driver.isShown("#cue-problems"));
    driver.robot().clickOn("Next");
    driver.settle();
    Layer cue =
        driver.project().layer(driver.workspace().selection().layers().getFirst()).orElseThrow();
    assertThat(CueList.readingSpeed(cue)).isGreaterThan(20);
    assertThat(CueList.time(cue).isLive(driver.workspace().playback().playheadProperty().get()))
        .isTrue();
  }
}
