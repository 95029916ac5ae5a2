package dynamorph.app.journey;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.footage.FootageFiles;
import dynamorph.model.edit.film.ChangeTimeline;
import dynamorph.model.timeline.Clip;
import dynamorph.model.timeline.Media;
import dynamorph.model.timeline.Time;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.stream.Stream;
import javafx.embed.swing.SwingFXUtils;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.image.WritableImage;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.StackPane;
import javafx.scene.shape.Rectangle;
import javafx.stage.Stage;
import javafx.stage.StageStyle;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.testfx.framework.junit5.Start;

/** Pictures and videos under the titles. */
class FootageJourneyTest extends FilmJourney {
  private static final int ORANGE = 0xFFC04020;

  /** What is wrong is drawn on this. */
  private static final int PLUM_SOFT = 0xFFF4E3EE;

  @Start
  void start(Stage stage) {
    open(stage);
  }

  private Path numbered(Path folder, int number) throws IOException {
    Path file = Files.createDirectories(folder).resolve("sea.%03d.png".formatted(number));
    BufferedImage image = new BufferedImage(64, 36, BufferedImage.TYPE_INT_RGB);
    for (int at = 0; at < 64 * 36; at++) {
      image.setRGB(at % 64, at / 64, 0xC04020);
    }
    ImageIO.write(image, "png", file.toFile());
    return file;
  }

  private Clip lastClip() {
    return line().footage().findFirst().orElseThrow().clips().getLast();
  }

  @Test
  void footageComesInFromFilesIsMissedAndFoundAgain() throws IOException {
    driver.settle().press("view-timeline");
    seek(20_000);
    for (int number = 7; number < 57; number++) {
      numbered(folder.resolve("shots"), number);
    }
    Path first = folder.resolve("shots/sea.007.png");
    driver.answers().file(first);
    int before = line().footage().findFirst().orElseThrow().clips().size();
    driver.robot().interact(() -> action("Add footage\u2026"));
    driver.waitFor(
        "the clip is there",
        () -> line().footage().findFirst().orElseThrow().clips().size() == before + 1);
    assertThat(lastClip().in()).isEqualTo(Time.ofMillis(20_000));
    assertThat(lastClip().out()).as("fifty frames").isEqualTo(Time.ofMillis(22_000));
    assertThat(driver.notice()).contains("image sequence of 50").contains("64 \u00d7 36");
    driver.robot().interact(() -> action("Relink missing footage\u2026"));
    assertThat(driver.notice()).contains("No footage of this film is missing");
    Files.move(folder.resolve("shots"), folder.resolve("moved"));
    driver.answers().file(folder.resolve("moved/sea.007.png"));
    driver.robot().interact(() -> action("Relink missing footage\u2026"));
    driver.waitFor(
        "it is found",
        () -> lastClip().media().equals(new Media.File(written(folder.resolve("moved")))));
    driver.robot().interact(() -> driver.workspace().undo());
    assertThat(FootageFiles.isThere(lastClip().media())).isFalse();
    Path words = Files.writeString(folder.resolve("words.mp4"), "no video");
    driver.answers().file(words);
    var unchanged = driver.project();
    driver.robot().interact(() -> action("Add footage\u2026"));
    driver.waitFor("it is told", () -> driver.notice().startsWith("Not added: words.mp4"));
    assertThat(driver.project()).isEqualTo(unchanged);
  }

  @Test
  void aSinglePictureTravelsWithTheProject() throws IOException {
    driver.settle().press("view-timeline");
    seek(20_000);
    Path picture = Files.move(numbered(folder, 1), folder.resolve("map.png"));
    driver.answers().file(picture);
    driver.robot().interact(() -> action("Add footage\u2026"));
    driver.waitFor("it is there", () -> lastClip().media().equals(new Media.Still("map.png")));
    assertThat(driver.project().assets()).anyMatch(asset -> asset.shortName().equals("map.png"));
    Files.delete(picture);
    assertThat(FootageFiles.isThere(lastClip().media())).isTrue();
    driver.robot().interact(driver.workspace()::undo);
    assertThat(driver.project().assets()).noneMatch(asset -> asset.shortName().equals("map.png"));
  }

  private static String written(Path folder) {
    Path file = folder.resolve("sea.007.png").toAbsolutePath().normalize();
    return file.toString().replace('\\', '/');
  }

  private void addFourSeconds() throws IOException {
    driver.settle().press("view-timeline");
    seek(20_000);
    for (int number = 1; number < 101; number++) {
      numbered(folder, number);
    }
    driver.answers().file(folder.resolve("sea.001.png"));
    driver.robot().interact(() -> action("Add footage\u2026"));
  }

  /** A clip is known by its first picture, which is that of its beginning when it is trimmed. */
  @Test
  void aClipShowsHowItBegins() throws IOException {
    addFourSeconds();
    driver.waitFor("the clip is there", () -> lastClip().out().equals(Time.ofMillis(24_000)));
    assertThat(orange()).as("there is no room for a picture").isZero();
    for (int turn = 0; turn < 4; turn++) {
      driver.press("lanes-closer");
    }
    driver.waitFor("its picture is shown", () -> orange() > 200);
    Files.move(folder.resolve("sea.001.png"), folder.resolve("elsewhere.png"));
    driver.press("lanes-closer");
    assertThat(orange()).as("what is missing shows nothing").isZero();
  }

  /** A file that is there and holds nothing that can be shown looked like any other clip. */
  @Test
  void aClipThatCannotBeReadSaysSo() throws IOException {
    addFourSeconds();
    driver.waitFor("the clip is there", () -> lastClip().media() instanceof Media.File);
    for (int turn = 0; turn < 4; turn++) {
      driver.press("lanes-closer");
    }
    driver.waitFor("its picture is shown", () -> orange() > 200);
    int before = count(PLUM_SOFT);
    Path words = Files.writeString(folder.resolve("words.mp4"), "no video");
    Map<String, String> torn = Map.of(((Media.File) lastClip().media()).path(), words.toString());
    driver.robot().interact(() -> driver.workspace().apply(new ChangeTimeline.FindMedia(torn)));
    driver.waitFor("the clip is marked", () -> count(PLUM_SOFT) > before + 500);
    assertThat(FootageFiles.isThere(lastClip().media())).isTrue();
  }

  private int orange() {
    return count(ORANGE);
  }

  private int count(int colour) {
    WritableImage[] lanes = new WritableImage[1];
    driver.robot().interact(() -> lanes[0] = driver.node("track-lanes").snapshot(null, null));
    BufferedImage image = SwingFXUtils.fromFXImage(lanes[0], null);
    int count = 0;
    for (int y = 0; y < image.getHeight(); y++) {
      for (int x = 0; x < image.getWidth(); x++) {
        count += image.getRGB(x, y) == colour ? 1 : 0;
      }
    }
    return count;
  }

  /** A window of another program, as it were, that holds files. */
  private Rectangle otherProgram(Path... files) {
    Rectangle[] held = new Rectangle[1];
    driver
        .robot()
        .interact(() -> {
          Rectangle handle = new Rectangle(80, 60);
          handle.setOnDragDetected(event -> {
            ClipboardContent content = new ClipboardContent();
            content.putFiles(Stream.of(files).map(Path::toFile).toList());
            handle.startDragAndDrop(TransferMode.COPY).setContent(content);
            event.consume();
          });
          Stage other = new Stage(StageStyle.UNDECORATED);
          other.setScene(new Scene(new StackPane(handle), 100, 80));
          other.setX(2);
          other.setY(60);
          other.setAlwaysOnTop(true);
          other.show();
          held[0] = handle;
        });
    return held[0];
  }

  private void dragTo(Rectangle handle, Point2D place) {
    driver.robot().drag(handle).moveTo(place.add(-20, 0)).moveTo(place).drop();
    driver.robot().interact(() -> handle.getScene().getWindow().hide());
  }

  @Test
  void filesAreDroppedOntoTheLanes() throws IOException {
    Driver.needsADisplay();
    driver.settle().press("view-timeline");
    Path picture = Files.move(numbered(folder, 1), folder.resolve("map.png"));
    Path words = folder.resolve("film.fr.srt");
    Files.writeString(words, "1\n00:00:01,000 --> 00:00:02,000\nune heure\n");
    int tracks = line().tracks().size();
    Node lanes = driver.node("track-lanes");
    Point2D footage = lanes.localToScreen(lanes.getBoundsInLocal().getCenterX(), 178);
    dragTo(otherProgram(picture, words), footage);
    driver.waitFor("it is a clip", () -> lastClip().media().equals(new Media.Still("map.png")));
    assertThat(lastClip().in().seconds()).as("where it was dropped").isBetween(20.0, 50.0);
    driver.waitFor("a track of captions", () -> line().tracks().size() == tracks + 1);
    assertThat(line().captions().toList().getLast().language()).isEqualTo("fr");
  }

  @Test
  void aPictureIsDroppedOntoAnArtboard() throws IOException {
    Driver.needsADisplay();
    driver.settle();
    Path picture = Files.move(numbered(folder, 1), folder.resolve("map.png"));
    Point2D place = driver.middleOf("label-6-title");
    dragTo(otherProgram(picture), place);
    driver.waitFor(
        "it is placed",
        () -> driver.project().layers().anyMatch(layer -> layer.name().equals("map.png")));
    String id =
        driver
            .project()
            .layers()
            .filter(layer -> layer.name().equals("map.png"))
            .findFirst()
            .orElseThrow()
            .id()
            .value();
    assertThat(driver.middleOf(id).distance(place)).isLessThan(4);
  }
}
