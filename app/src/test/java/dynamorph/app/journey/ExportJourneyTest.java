package dynamorph.app.journey;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.ArtboardId;
import dynamorph.model.Layer;
import dynamorph.model.export.ExportPreset;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.TextField;
import javafx.scene.image.Image;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.testfx.util.WaitForAsyncUtils;

/** A designer delivers: a poster for the printer, labels for the web. */
class ExportJourneyTest extends JourneyTest {
  private Path out;

  @BeforeEach
  void chooseAFolder() {
    out = folder.resolve("delivery");
    driver.answers().file(out);
  }

  private void open() {
    driver.run("Export artboards…");
    driver.waitFor("the artboards are shown", () -> driver.isShown("#export-pane"));
  }

  private void export() {
    driver.robot().clickOn("#export-go");
    driver.waitFor("it is written", () -> driver.isShown("#export-report"));
  }

  private List<String> names() {
    try (var files = Files.list(out)) {
      return files.map(file -> file.getFileName().toString()).sorted().toList();
    } catch (IOException none) {
      return List.of();
    }
  }

  @Test
  void aPosterGoesToThePrinter() throws IOException {
    driver.select("entrance-subtitle");
    open();
    CheckBox ticked = (CheckBox) driver.node("export-board-entrance");
    assertThat(ticked.isSelected()).as("that of the selection").isTrue();
    assertThat(((CheckBox) driver.node("export-board-ticket")).isSelected()).isFalse();
    driver.robot().clickOn("#export-folder");
    driver.robot().clickOn("#export-preset-0");
    assertThat(text("export-plan")).isEqualTo("The Long Hour Entrance panel.pdf");
    typeInto("export-resolution", "36");
    export();
    assertThat(text("export-report")).isEqualTo("1 file written.");
    assertThat(names()).containsExactly("The Long Hour Entrance panel.pdf");
    try (PDDocument document = Loader.loadPDF(out.resolve(names().getFirst()).toFile())) {
      assertThat(new PDFTextStripper().getText(document))
          .contains("The Long Hour")
          .contains("how a tower clock came back to time");
      // 900 × 600 mm
      assertThat(document.getPage(0).getTrimBox().getWidth()).isBetween(2551.1f, 2551.3f);
    }
    assertThat(text("export-plan")).endsWith("; replaces one if it changed");
    export();
    driver.waitFor(
        "the same is not written again",
        () -> text("export-report").startsWith("Nothing had to be written"));
  }

  @Test
  void settingsAreKeptInTheProjectAndTakenBack() {
    open();
    driver.robot().clickOn("#export-none");
    assertThat(text("export-plan")).isEqualTo("Tick the artboards to export");
    assertThat(driver.node("export-go").isDisabled()).isTrue();
    driver.robot().interact(driver.node("export-board-ticket")::requestFocus);
    driver.robot().push(KeyCode.SPACE);
    driver.robot().clickOn("#export-as-webp");
    driver.robot().clickOn("#export-ppi-216");
    typeInto("export-quality", "70");
    typeInto("export-name", "web {artboard} {size}");
    assertThat(text("export-plan")).isEqualTo("web Ticket 1531x680.webp");
    typeInto("export-preset-name", "Web, triple");
    driver.robot().push(KeyCode.ENTER);
    driver.settle();
    ExportPreset kept = driver.project().exports().getLast();
    assertThat(kept.name()).isEqualTo("Web, triple");
    assertThat(kept.resolution()).isEqualTo(216);
    assertThat(kept.quality()).isEqualTo(70);
    driver.robot().clickOn("#export-go");
    driver.waitFor("it is written", () -> driver.isShown("#export-report"));
    assertThat(names()).containsExactly("web Ticket 1531x680.webp");
    driver.robot().push(KeyCode.ESCAPE);
    assertThat(driver.isShown("#export-pane")).isFalse();
    driver.robot().interact(driver.workspace()::undo);
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void whatMakesNoSenseIsSaidBesideTheFields() {
    open();
    driver.robot().clickOn("#export-as-pdf");
    typeInto("export-bleed", "80");
    assertThat(text("export-wrong")).contains("from 0 to 144");
    assertThat(driver.node("export-go").isDisabled()).isTrue();
    typeInto("export-bleed", "3");
    assertThat(text("export-wrong")).isEmpty();
    driver.robot().push(KeyCode.TAB);
    driver.settle();
    assertThat(((TextField) driver.node("export-bleed")).getText()).isEqualTo("3 mm");
    typeInto("export-name", "{when}");
    assertThat(text("export-wrong")).contains("artboard, number");
    assertThat(driver.node("export-go").isDisabled()).isTrue();
  }

  @Test
  void itLeavesTheFilmAndGoesWhenTheFilmComes() {
    driver.robot().clickOn("#view-timeline");
    driver.settle();
    open();
    assertThat(driver.workspace().playback().isOpen()).as("artboards are exported here").isFalse();
    driver.robot().clickOn("#view-timeline");
    driver.settle();
    assertThat(driver.isShown("#export-pane")).as("it would hide the film").isFalse();
  }

  @Test
  void theKeyboardIsSeenOnABox() {
    driver
        .robot()
        .push(
            new KeyCodeCombination(
                KeyCode.E, KeyCombination.SHORTCUT_DOWN, KeyCombination.SHIFT_DOWN));
    driver.waitFor("the artboards are shown", () -> driver.isShown("#export-pane"));
    driver.settle();
    Node first = driver.node("export-board-entrance");
    driver.waitFor(
        "the keyboard is on the first artboard", () -> first.getScene().getFocusOwner() == first);
    driver.robot().push(KeyCode.TAB);
    driver.settle();
    Image without = picture(first);
    driver.robot().push(new KeyCodeCombination(KeyCode.TAB, KeyCombination.SHIFT_DOWN));
    driver.settle();
    Image with = picture(first);
    int differing = 0;
    for (int y = 0; y < with.getHeight(); y++) {
      for (int x = 0; x < with.getWidth(); x++) {
        differing +=
            with.getPixelReader().getArgb(x, y) == without.getPixelReader().getArgb(x, y) ? 0 : 1;
      }
    }
    assertThat(differing).as("pixels of a ring").isGreaterThan(40);
  }

  private Image picture(Node node) {
    return WaitForAsyncUtils.waitForAsyncFx(5_000, () -> node.getParent().snapshot(null, null));
  }

  @Test
  void aChangeMeanwhileIsSeenAndWritten() throws IOException {
    driver.select("ticket-title");
    open();
    driver.robot().clickOn("#export-folder");
    driver.robot().clickOn("#export-as-svg");
    export();
    String before = Files.readString(out.resolve("Ticket.svg"));
    driver.robot().interact(() -> driver.workspace().apply(removed()));
    driver.settle();
    export();
    driver.waitFor("it is another", () -> text("export-report").equals("1 file written."));
    assertThat(Files.readString(out.resolve("Ticket.svg"))).isNotEqualTo(before);
  }

  private dynamorph.model.edit.Edit removed() {
    Layer first =
        driver.project().artboard(new ArtboardId("ticket")).orElseThrow().layers().getFirst();
    return new dynamorph.model.edit.layer.ArrangeLayers.Delete(Set.of(first.id()));
  }

  @Test
  void nothingBehindTheRoomIsSelectedOrDuplicated() {
    driver.select("ticket-title");
    open();
    driver.robot().interact(() -> driver.node("export-folder").requestFocus());
    driver.robot().push(KeyCode.SHORTCUT, KeyCode.A).push(KeyCode.SHORTCUT, KeyCode.D);
    driver.settle();
    assertThat(driver.workspace().selection().layers()).hasSize(1);
    assertThat(driver.project()).isEqualTo(demo);
  }
}
