package dynamorph.app.journey;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Artboard;
import dynamorph.model.Project;
import dynamorph.model.timeline.Track;
import dynamorph.model.value.ItemState;
import java.nio.file.Files;
import java.nio.file.Path;
import javafx.geometry.Point2D;
import javafx.scene.image.Image;
import javafx.scene.image.PixelReader;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.testfx.framework.junit5.Start;

/**
 * Captions come in from each format, and stand where the standards have them: seen in the viewer.
 */
class CaptionImportJourneyTest extends FilmJourney {
  /** How much a channel changes where a cue is seen, of 255. */
  private static final int SEEN = 40;

  private static final Path IMPORTS = Path.of("..", "demo", "imports");

  @Start
  void start(Stage stage) {
    open(stage);
  }

  /** Where pixels are that a cue changes, in shares of the frame. */
  private record Seen(double left, double top, double right, double bottom) {
    double middle() {
      return (left + right) / 2;
    }
  }

  @ParameterizedTest
  @CsvSource({
    "gallery.de.srt, 11000, foot",
    "gallery.de.srt, 39000, head",
    "gallery.fr.vtt, 11000, foot",
    "gallery.fr.vtt, 39000, head",
    "gallery.es.ttml, 11000, foot",
    "gallery.it.ass, 11000, foot",
    "gallery.it.ass, 39000, head",
    "gallery.pt.scc, 11000, foot",
    "gallery.pt.scc, 39000, head",
    "plain.nl.vtt, 11000, foot",
    "plain.nl.srt, 11000, foot"
  })
  void aCueStandsCentredAtTheFootUnlessItsFileSaysOtherwise(String name, long at, String place)
      throws Exception {
    bring(file(name));
    assertThat(
            line()
                .captions()
                .filter(track -> !track.state().hidden())
                .map(Track.Captions::language))
        .as("one language is seen at a time")
        .containsExactly(name.split("\\.")[1]);
    Seen seen = seen(at);
    assertThat(seen.middle()).as("the middle across").isBetween(0.47, 0.53);
    if (place.equals("foot")) {
      assertThat(seen.top()).as("its top").isGreaterThan(0.7);
      assertThat(seen.bottom()).as("its foot, within the title-safe area").isBetween(0.75, 0.953);
    } else {
      assertThat(seen.top()).as("its top").isBetween(0.04, 0.25);
      assertThat(seen.bottom()).as("its foot").isLessThan(0.35);
    }
  }

  @Test
  void allRemarksCanBeRead() throws Exception {
    StringBuilder words = new StringBuilder("1\n00:00:09,000 --> 00:00:13,000\nDe klok.\n\n");
    for (int number = 2; number < 6; number++) {
      words.append(number).append("\n00:00:2%d,000 --> 00:00:11,000\nx\n\n".formatted(number));
    }
    bring(Files.writeString(folder.resolve("wrong.nl.srt"), words));
    assertThat(driver.notice()).contains("4 remarks: line 6", "line 10").doesNotContain("line 14");
    driver.robot().clickOn("All remarks");
    driver.settle();
    assertThat(driver.notice().lines()).hasSize(4).last().asString().contains("line 18");
  }

  @Test
  void tracksOfOneLanguageAreToldApart() throws Exception {
    bring(file("gallery.de.srt"));
    bring(file("gallery.de.srt"));
    assertThat(line().captions().filter(track -> track.language().equals("de")).map(Track::name))
        .containsExactlyInAnyOrder("Deutsch", "Deutsch 2");
  }

  /** In a film without any captions there is no style that could place them. */
  @ParameterizedTest
  @CsvSource({"gallery.fr.vtt", "plain.nl.vtt", "plain.nl.srt"})
  void soItDoesWhereNoStyleOfCaptionsIs(String name) throws Exception {
    driver
        .robot()
        .interact(() -> {
          Artboard film = driver.project().films().findFirst().orElseThrow();
          Project bare =
              driver
                  .project()
                  .mapArtboards(board ->
                      board.id().equals(film.id())
                          ? board
                              .withLayers(
                                  org.pcollections.TreePVector.from(
                                      board.layers().stream()
                                          .filter(layer ->
                                              line()
                                                  .captions()
                                                  .noneMatch(track ->
                                                      layer
                                                          .track()
                                                          .filter(track.id()::equals)
                                                          .isPresent()))
                                          .toList()))
                              .mapTimeline(line ->
                                  line.withTracks(
                                      line.tracks().stream()
                                          .filter(track -> !(track instanceof Track.Captions))
                                          .toList()))
                          : board);
          driver.workspace().open(bare, java.util.Optional.empty());
        });
    bring(file(name));
    Seen seen = seen(11_000);
    assertThat(seen.middle()).isBetween(0.47, 0.53);
    assertThat(seen.bottom()).isBetween(0.75, 0.953);
  }

  private Path file(String name) throws Exception {
    Path shipped = IMPORTS.resolve(name);
    if (Files.exists(shipped)) {
      return shipped;
    }
    // as somebody writes it by hand: two lines, a tab
    String words = "De klok bleef staan\nom tien\tover vier.";
    String text =
        name.endsWith(".vtt")
            ? "WEBVTT\n\n00:00:09.000 --> 00:00:13.000\n" + words + "\n"
            : "1\n00:00:09,000 --> 00:00:13,000\n" + words + "\n";
    return Files.writeString(folder.resolve(name), text);
  }

  private void bring(Path file) {
    driver.robot().interact(() -> driver.workspace().playback().open());
    driver.settle();
    int tracks = line().tracks().size();
    driver.answers().file(file);
    driver.robot().interact(() -> action("Import captions\u2026"));
    driver.waitFor("the captions are there", () -> line().tracks().size() == tracks + 1);
    driver.settle();
  }

  private Seen seen(long at) {
    seek(at);
    Image with = picture();
    driver
        .robot()
        .interact(() -> {
          Track.Captions shown =
              line().captions().filter(track -> !track.state().hidden()).findFirst().orElseThrow();
          driver
              .workspace()
              .apply(
                  new dynamorph.model.edit.film.ChangeTimeline.PutTrack(
                      driver.project().films().findFirst().orElseThrow().id(),
                      shown.withState(new ItemState(true, false))));
        });
    driver.settle();
    Image without = picture();
    driver.robot().interact(() -> driver.workspace().undo());
    driver.settle();
    return difference(with, without);
  }

  private Image picture() {
    driver.waitFor("the frame shows", () -> driver.window().isUpToDate());
    return driver.stage().pixels().orElseThrow();
  }

  private Seen difference(Image one, Image other) {
    Artboard film = driver.project().films().findFirst().orElseThrow();
    var view = driver.stage().view();
    Point2D corner = new Point2D(view.toPixelX(film.x()), view.toPixelY(film.y()));
    double width = film.width() * view.scale();
    double height = film.height() * view.scale();
    PixelReader before = one.getPixelReader();
    PixelReader after = other.getPixelReader();
    double left = 1;
    double top = 1;
    double right = 0;
    double bottom = 0;
    for (int y = 0; y < one.getHeight(); y++) {
      for (int x = 0; x < one.getWidth(); x++) {
        if (differs(before.getArgb(x, y), after.getArgb(x, y))) {
          double across = (x + 0.5 - corner.getX()) / width;
          double down = (y + 0.5 - corner.getY()) / height;
          left = Math.min(left, across);
          right = Math.max(right, across);
          top = Math.min(top, down);
          bottom = Math.max(bottom, down);
        }
      }
    }
    assertThat(right).as("something is seen").isGreaterThan(left);
    return new Seen(left, top, right, bottom);
  }

  private static boolean differs(int one, int other) {
    for (int shift = 0; shift < 24; shift += 8) {
      if (Math.abs((one >> shift & 0xFF) - (other >> shift & 0xFF)) > SEEN) {
        return true;
      }
    }
    return false;
  }
}
