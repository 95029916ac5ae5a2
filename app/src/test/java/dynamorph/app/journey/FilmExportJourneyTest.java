package dynamorph.app.journey;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.app.session.Playback;
import dynamorph.footage.FootageFiles;
import dynamorph.footage.FootageInfo;
import dynamorph.model.LayerId;
import dynamorph.model.edit.layer.ArrangeLayers;
import dynamorph.model.export.ExportFormat;
import dynamorph.model.export.ExportPreset;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Media;
import dynamorph.model.timeline.Time;
import dynamorph.paint.film.MediaSource;
import io.github.humbleui.skija.Bitmap;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.scene.control.CheckBox;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A designer hands titles to an editor, and a film to the gallery. */
class FilmExportJourneyTest extends JourneyTest {
  private Path out;

  @BeforeEach
  void chooseAFolder() {
    out = folder.resolve("delivery");
    driver.answers().file(out);
  }

  private String typed(String id) {
    return ((TextField) driver.node(id)).getText();
  }

  /** Types, and goes on to the next field. */
  private void enter(String id, String text) {
    typeInto(id, text);
    driver.robot().push(KeyCode.TAB);
    driver.settle();
  }

  private void open() {
    driver.run("Export the film…");
    driver.waitFor("the films are shown", () -> driver.isShown("#export-board-film"));
    driver.robot().clickOn("#export-folder");
    driver.settle();
  }

  private void export(String told) {
    driver.robot().clickOn("#export-go");
    driver.waitFor(
        told, () -> driver.isShown("#export-report") && text("export-report").equals(told));
  }

  private List<String> names() throws IOException {
    try (var files = Files.list(out)) {
      return files.map(file -> file.getFileName().toString()).sorted().toList();
    }
  }

  /** How opaque a pixel of a film is, 0 to 255. */
  private static int alpha(Path file, Time at, int x, int y) {
    List<Integer> found = new ArrayList<>();
    FootageFiles.still(
        new Media.File(file.toString()),
        at,
        FrameRate.PAL,
        MediaSource.Room.ANY,
        picture -> {
          try (Bitmap bitmap = new Bitmap()) {
            bitmap.allocPixels(picture.getImageInfo());
            picture.readPixels(bitmap);
            found.add(bitmap.getColor(x, y) >>> 24);
          }
        });
    return found.getFirst();
  }

  @Test
  void titlesGoToTheEditorWithNothingUnderThem() throws IOException {
    open();
    assertThat(text("export-plan")).isEqualTo("Eight Days to Wind.mp4");
    driver.robot().clickOn("#export-preset-1");
    driver.robot().clickOn("#export-scale-25");
    assertThat(text("export-plan")).isEqualTo("Eight Days to Wind titles.mov");
    // the name of the keeper of the tower, at the lower left
    enter("export-from", "00:00:10:00");
    enter("export-to", "00:00:10:11");
    export("1 file written.");
    assertThat(names()).containsExactly("Eight Days to Wind titles.mov");
    Path file = out.resolve(names().getFirst());
    FootageInfo facts = FootageFiles.facts(file, FrameRate.PAL);
    assertThat(facts).isEqualTo(new FootageInfo(480, 270, Time.ofMillis(480), true));
    assertThat(alpha(file, Time.ZERO, 240, 20)).as("above the titles").isZero();
    int opaque = 0;
    for (int x = 34; x < 120; x += 4) {
      opaque += alpha(file, Time.ofMillis(200), x, 188) > 200 ? 1 : 0;
    }
    assertThat(opaque).as("within the title").isGreaterThan(4);
    export("Nothing had to be written; 1 was there unchanged.");
    driver.robot().push(KeyCode.ESCAPE);
    driver
        .robot()
        .interact(() ->
            driver.workspace().apply(new ArrangeLayers.Delete(Set.of(new LayerId("name-joost")))));
    open();
    driver.robot().clickOn("#export-preset-1");
    driver.robot().clickOn("#export-scale-25");
    enter("export-from", "00:00:10:00");
    enter("export-to", "00:00:10:11");
    export("1 file written.");
  }

  @Test
  void theLoopIsTheRange() {
    driver.robot().clickOn("#view-timeline");
    driver.settle();
    Playback playback = driver.workspace().playback();
    driver
        .robot()
        .interact(() ->
            playback
                .loopProperty()
                .set(Optional.of(new Playback.Loop(Time.ofMillis(2000), Time.ofMillis(3000)))));
    open();
    assertThat(typed("export-from")).isEqualTo("00:00:02:00");
    assertThat(typed("export-to")).isEqualTo("00:00:02:24");
    enter("export-to", "00:00:01:00");
    assertThat(driver.node("export-go").isDisabled()).isTrue();
    assertThat(text("export-range-wrong")).contains("00:01:11:24");
    driver.robot().clickOn("#export-whole");
    assertThat(driver.node("export-go").isDisabled()).isFalse();
    assertThat(typed("export-to")).isEqualTo("00:01:11:24");
  }

  @Test
  void whatIsStoppedLeavesNothingBehind() throws IOException {
    open();
    driver.robot().clickOn("#export-scale-25");
    driver.robot().clickOn("#export-go");
    driver.waitFor("it can be stopped", () -> driver.isShown("#export-cancel"));
    driver.robot().clickOn("#export-cancel");
    driver.waitFor("it has stopped", () -> driver.isShown("#export-report"));
    assertThat(text("export-report")).isEqualTo("Stopped: 0 files written, 0 unchanged.");
    assertThat(names()).isEmpty();
  }

  @Test
  void settingsOfFilmsAreKeptAndEachKindHasItsOwn() {
    open();
    driver.robot().clickOn("#export-as-vp9");
    driver.robot().clickOn("#export-background");
    driver.robot().clickOn("#export-captions");
    enter("export-scale", "50");
    assertThat(typed("export-scale")).isEqualTo("50 %");
    enter("export-preset-name", "Web");
    driver.robot().clickOn("#export-keep-preset");
    driver.settle();
    ExportPreset kept = driver.project().exports().getLast();
    assertThat(kept.format()).isEqualTo(ExportFormat.VP9);
    assertThat(kept.background()).isFalse();
    assertThat(kept.scale()).isEqualTo(0.5);
    assertThat(kept.film()).isEqualTo(new ExportPreset.Film(true, true, ""));
    driver.robot().clickOn("#export-as-av1");
    assertThat(((CheckBox) driver.node("export-background")).isSelected())
        .as("it has no transparency")
        .isTrue();
    enter("export-scale", "900");
    assertThat(text("export-wrong")).contains("25 % to 400 %");
    enter("export-scale", "100");
    driver.robot().clickOn("#export-of-artboards");
    driver.settle();
    assertThat(driver.isShown("#export-board-entrance")).isTrue();
    assertThat(driver.isShown("#export-from")).isFalse();
    assertThat(text("export-plan")).endsWith(".pdf");
    driver.robot().clickOn("#export-of-films");
    driver.settle();
    assertThat(text("export-plan")).isEqualTo("Eight Days to Wind.mp4");
  }
}
