package dynamorph.app.journey;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.layer.ArrangeLayers;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.Swatch;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Rgba;
import dynamorph.typeset.caption.CueChecks;
import dynamorph.typeset.caption.CueList;
import dynamorph.typeset.caption.CueProblem;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.framework.junit5.Start;

/** A motion designer works on the film of the demo. */
class FilmJourneyTest extends FilmJourney {
  @Start
  void start(Stage stage) {
    open(stage);
  }

  private CueList cues(String track) {
    return CueList.of(
        driver.project().films().findFirst().orElseThrow(),
        line().captions().filter(one -> one.name().equals(track)).findFirst().orElseThrow());
  }

  private Driver look() {
    driver.settle().press("view-timeline");
    return driver;
  }

  /** Where a title stands across its frame, in points. */
  private double across(String id) {
    return driver
        .stage()
        .scene()
        .orElseThrow()
        .find(new LayerId(id))
        .orElseThrow()
        .text()
        .bounds()
        .x();
  }

  @Test
  void allNameTitlesMoveWhenTheirStyleDoes() {
    look();
    seek(11_000);
    double joost = across("name-joost");
    seek(26_000);
    double before = across("name-ilse");
    StyleId name = driver.styleNamed("Name title");
    driver
        .robot()
        .interact(() -> {
          driver.workspace().attempts().openDesk(name);
          Style draft = driver.workspace().attempts().present().desk().orElseThrow().draft();
          driver
              .workspace()
              .attempts()
              .draft(
                  draft.withProperties(
                      draft
                          .properties()
                          .with(Properties.ANCHOR, Anchor.BOTTOM_RIGHT)
                          .with(Properties.SHARE_X, -2.0)),
                  Optional.empty());
        });
    driver.settle();
    assertThat(across("name-ilse")).as("seen before").isGreaterThan(before + 100);
    driver.robot().interact(driver.workspace().attempts()::commitPending);
    driver.settle();
    seek(11_000);
    assertThat(across("name-joost")).isGreaterThan(before + 100);
    driver.robot().interact(driver.workspace()::undo);
    driver.settle();
    assertThat(across("name-joost")).isEqualTo(joost);
  }

  @Test
  void cuesThatReadTooFastAreFixed() {
    look();
    driver.waitFor("problems are known", () -> driver.isShown("#fix-cues"));
    long before = tooFast();
    driver.press("fix-cues");
    assertThat(tooFast()).isLessThan(before);
    assertThat(driver.workspace().noticeProperty().get().orElseThrow().text())
        .contains("have no room");
    driver.robot().interact(driver.workspace()::undo);
    driver.settle();
    assertThat(tooFast()).isEqualTo(before);
  }

  private long tooFast() {
    return CueChecks.of(cues("English")).stream()
        .filter(problem -> problem.kind() == CueProblem.Kind.TOO_FAST)
        .count();
  }

  @Test
  void captionsWithStylesComeInFollowTheBrandColourAndGoOutAgain() throws IOException {
    Path file = folder.resolve("gallery.nl.vtt");
    Files.writeString(
        file,
        """
        WEBVTT

        STYLE
        ::cue { color: #a9522b; font-size: 48px }
        ::cue(.loud) { font-weight: bold }

        00:01.000 --> 00:03.000
        De klok <c.loud>sloeg</c> vier.

        00:04.000 --> 00:06.000 line:10%
        En toen niet meer.
        """);
    look();
    driver.answers().file(file);
    driver.robot().interact(() -> action("Import captions\u2026"));
    driver.waitFor("the track is there", () -> line().captions().count() == 4);
    Track.Captions track = line().captions().toList().get(3);
    assertThat(track.language()).isEqualTo("nl");
    assertThat(cues(track.name()).cues()).hasSize(2);
    StyleId caption = track.follows().getFirst();
    driver
        .robot()
        .interact(() -> {
          Style style = driver.project().styles().get(caption);
          driver
              .workspace()
              .apply(
                  new dynamorph.model.edit.style.ChangeStyle(
                      style.withProperties(
                          style
                              .properties()
                              .with(
                                  Properties.COAT_COLOUR.at(
                                      dynamorph.model.property.Address.coat("fill")),
                                  dynamorph.model.value.Colour.swatch("copper")))));
          driver
              .workspace()
              .apply(
                  new dynamorph.model.edit.style.SetSwatch(
                      new Swatch("copper", "Copper", Rgba.parse("#1177cc"))));
        });
    Path out = folder.resolve("gallery.ttml");
    driver.answers().file(out);
    driver.robot().interact(() -> action("Export the captions\u2026"));
    driver.waitFor("the file is there", () -> Files.exists(out));
    String text = Files.readString(out);
    assertThat(text).contains("tts:color=\"#1177cc\"").contains("sloeg").contains("10%");
    driver.answers().file(folder.resolve("nothing.srt"));
    Project before = driver.project();
    driver.robot().interact(() -> action("Import captions\u2026"));
    driver.waitFor(
        "the failure is told",
        () ->
            driver
                .workspace()
                .noticeProperty()
                .get()
                .orElseThrow()
                .text()
                .contains("there is no such file"));
    assertThat(driver.project()).isEqualTo(before);
  }

  @Test
  void whatAFormatLeavesBehindIsToldBeforeAnythingIsWritten() {
    look();
    Path out = folder.resolve("names.srt");
    driver.answers().file(out);
    driver.answers().agree(false);
    driver.robot().interact(() -> action("Export the captions\u2026"));
    driver.waitFor("it is told", () -> !driver.answers().told().isEmpty());
    assertThat(driver.answers().told().getFirst()).contains("fonts, sizes, plates");
    assertThat(out).doesNotExist();
    driver.answers().agree(true);
    driver.robot().interact(() -> action("Export the captions\u2026"));
    driver.waitFor("the file is there", () -> Files.exists(out));
  }

  private List<LayerId> twoHundredTitles() {
    Artboard film = driver.project().films().findFirst().orElseThrow();
    Layer pattern = driver.project().layer(new LayerId("name-ilse")).orElseThrow();
    List<Layer> more = new ArrayList<>();
    for (int number = 0; number < 194; number++) {
      Time in = Time.ofMillis(300L * number);
      more.add(
          pattern
              .withId(new LayerId("guest-" + number))
              .withTiming(pattern.timing().orElseThrow().between(in, in.plus(Time.ofMillis(280)))));
    }
    driver
        .robot()
        .interact(() ->
            driver.workspace().apply(new ArrangeLayers.Add(film.id(), more, "Add the guests")));
    driver.settle();
    return driver.project().films().findFirst().orElseThrow().on(new TrackId("names")).stream()
        .map(Layer::id)
        .toList();
  }

  private boolean allFollow(List<LayerId> titles, StyleId style) {
    return titles.stream().allMatch(id -> driver.layer(id.value()).follows().contains(style));
  }

  /** A card is dropped on the name of their track; later its style is edited. */
  @Test
  void twoHundredTitlesAreRestyledByOneDropAndOneCommit() {
    Driver.needsADisplay();
    look();
    List<LayerId> titles = twoHundredTitles();
    assertThat(titles).hasSize(200);
    StyleId section = driver.styleNamed("Section title");
    driver.robot().interact(() -> driver.node("style-" + section).requestFocus());
    driver.settle();
    driver.robot().drag("#style-" + section, MouseButton.PRIMARY);
    driver.robot().moveTo("#track-names");
    driver.settle();
    assertThat(allFollow(titles, section)).as("it is only shown before").isFalse();
    driver.robot().drop();
    driver.settle();
    assertThat(allFollow(titles, section)).isTrue();
    driver
        .robot()
        .interact(() -> {
          driver.workspace().attempts().openDesk(section);
          Style draft = driver.workspace().attempts().present().desk().orElseThrow().draft();
          driver
              .workspace()
              .attempts()
              .draft(
                  draft.withProperties(
                      draft.properties().with(Properties.SIZE, FontSize.points(90))),
                  Optional.empty());
        });
    driver.settle();
    driver.robot().interact(driver.workspace().attempts()::commitPending);
    driver.settle();
    Cascade cascade = Cascade.of(driver.project());
    assertThat(titles)
        .allMatch(id ->
            cascade
                .values(driver.layer(id.value()))
                .get(Properties.SIZE.key())
                .filter(FontSize.points(90)::equals)
                .isPresent());
    driver.robot().interact(driver.workspace()::undo);
    driver.robot().interact(driver.workspace()::undo);
    assertThat(allFollow(titles.subList(6, 200), driver.styleNamed("Name title"))).isTrue();
  }

  /** A style dropped on the name of a track of captions is what its cues take. */
  @Test
  void aTrackOfCaptionsTakesAStyleThatIsDroppedOnIt() {
    Driver.needsADisplay();
    look();
    StyleId section = driver.styleNamed("Section title");
    driver.robot().interact(() -> driver.node("style-" + section).requestFocus());
    driver.settle();
    // the name is made anew while the style is previewed
    var name = driver.node("track-captions-en").localToScreen(30, 14);
    driver.robot().drag("#style-" + section, MouseButton.PRIMARY);
    driver.robot().dropTo(name);
    driver.settle();
    assertThat(line().captions().findFirst().orElseThrow().follows()).containsExactly(section);
    driver.robot().interact(driver.workspace()::undo);
    assertThat(line().captions().findFirst().orElseThrow().follows()).doesNotContain(section);
  }

  @Test
  void cuesAreEditedInTheList() {
    look();
    driver.press("tab-cues");
    Layer first = cues("English").cues().getFirst();
    driver.robot().interact(() -> driver.workspace().select(List.of(first.id())));
    driver.settle();
    driver.robot().interact(() -> driver.node("cue-list").requestFocus());
    driver.robot().type(KeyCode.ENTER);
    driver.waitFor("the words can be edited", () -> driver.isShown("#cue-field"));
    driver.waitFor("the field has the keyboard", () -> driver.node("cue-field").isFocused());
    driver.robot().write("Four");
    driver.robot().push(KeyCode.CONTROL, KeyCode.ENTER);
    driver.settle();
    assertThat(driver.layer(first.id().value()).story().text()).isEqualTo("Four");
    seek(20_100);
    driver.robot().interact(() -> action("Add a cue at the playhead"));
    assertThat(cues("English").cues()).hasSize(18);
    Set<LayerId> added = driver.workspace().selection().layers();
    assertThat(driver.layer(added.iterator().next().value()).timing().orElseThrow().in())
        .isEqualTo(Time.ofMillis(20_080));
  }

  @Test
  void aTitleIsMovedOnTheTimelineAndSplit() {
    Driver.needsADisplay();
    look();
    var lanes = driver.node("track-lanes");
    Time was = driver.layer("title-part-1").timing().orElseThrow().in();
    double scale = lanes.getLayoutBounds().getWidth() * 0.97 / 72;
    var from = lanes.localToScreen(16 * scale, 24 + 14);
    driver.robot().drag(from).dropTo(from.getX() + 8 * scale, from.getY());
    driver.settle();
    Time now = driver.layer("title-part-1").timing().orElseThrow().in();
    assertThat(now.minus(was).seconds()).isBetween(7.0, 9.0);
    seek(24_000);
    driver.robot().interact(() -> action("Split at the playhead"));
    assertThat(driver.layer("title-part-1").timing().orElseThrow().out())
        .isEqualTo(Time.ofMillis(24_000));
  }

  @Test
  void theFilmPlaysStepsAndGoesBackToTheArtboards() {
    look();
    driver.press("play");
    driver.waitFor(
        "the film has gone on",
        () -> driver.workspace().playback().playheadProperty().get().isAfter(Time.ofMillis(400)));
    driver.robot().interact(() -> driver.workspace().playback().playingProperty().set(false));
    seek(8_000);
    driver.robot().interact(() -> action("One frame forward"));
    assertThat(driver.workspace().playback().playheadProperty().get())
        .isEqualTo(Time.ofMillis(8_040));
    driver.robot().interact(() -> action("Next edit"));
    assertThat(driver.workspace().playback().playheadProperty().get())
        .isEqualTo(Time.ofMillis(8_400));
    driver.press("view-artboards");
    assertThat(driver.workspace().playback().isOpen()).isFalse();
    assertThat(driver.stage().scene().orElseThrow().boards())
        .noneMatch(board -> board.artboard().isFilm());
    driver.robot().interact(() -> driver.stage().reveal(new LayerId("name-nour")));
    driver.settle();
    assertThat(driver.workspace().playback().isOpen()).as("a title is shown in its film").isTrue();
  }

  /** Looking at footage takes all that a machine has, which playing needs. */
  @Test
  void cuesAreHeldAgainstTheFootageWhenTheFilmStands() {
    var playback = driver.workspace().playback();
    driver
        .robot()
        .interact(() -> {
          playback.open();
          playback.playingProperty().set(true);
        });
    driver.waitFor(
        "the film has gone on",
        () -> playback.playheadProperty().get().isAfter(Time.ofMillis(1500)));
    assertThat(kindsOfProblems()).noneMatch(kind -> kind.contains("hard to read"));
    driver.robot().interact(() -> playback.playingProperty().set(false));
    driver.waitFor(
        "they are looked at",
        () -> kindsOfProblems().stream().anyMatch(kind -> kind.contains("hard to read")));
  }

  private List<String> kindsOfProblems() {
    return driver
        .robot()
        .lookup("#cue-problems")
        .tryQueryAs(MenuButton.class)
        .map(kinds -> kinds.getItems().stream().map(MenuItem::getText).toList())
        .orElse(List.of());
  }

  /** Values that only show in what a person moves by hand. */
  @Test
  void aTitleMovedByHandIsALocalChange() {
    look();
    seek(26_000);
    driver.pressText("name-ilse");
    driver.robot().push(KeyCode.RIGHT);
    driver.settle();
    PropertySet local = driver.layer("name-ilse").local();
    assertThat(local.get(Properties.POSITION_X.key())).isPresent();
  }
}
