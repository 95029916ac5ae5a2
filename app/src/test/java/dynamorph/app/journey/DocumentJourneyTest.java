package dynamorph.app.journey;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.document.Arrangement;
import dynamorph.model.document.Mapped;
import dynamorph.model.edit.text.EditText;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.TextRange;
import dynamorph.model.value.Rgba;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/**
 * A designer brings the wall texts of a curator, and brings them again when they were corrected.
 */
class DocumentJourneyTest extends JourneyTest {
  private static final Path WALL_TEXTS = Path.of("..", "demo", "imports", "wall-texts.docx");

  private static final String NOTES =
      """
      # Night watch

      The **watchman** walked with a lamp.

      ## What he carried

      A key, a lamp, a book.
      """;

  private void bring(Path file) {
    driver.answers().file(file);
    driver.run("Import a document or drawing…");
    driver.waitFor("what would come is shown", () -> isReviewed("Import"));
    driver.settle();
  }

  private boolean isReviewed(String verb) {
    return driver
        .workspace()
        .attempts()
        .present()
        .review()
        .filter(review -> review.commitLabel().equals(verb))
        .isPresent();
  }

  private <T> void choose(String id, T value) {
    @SuppressWarnings("unchecked") // the box holds values of its own kind
    ComboBox<T> box = (ComboBox<T>) driver.node(id);
    driver.robot().interact(() -> box.setValue(value));
    driver.settle();
  }

  private List<Artboard> added(Project project) {
    int known = demo.artboards().size();
    return project.artboards().subList(known, project.artboards().size());
  }

  @Test
  void threePanelsStandOnThreeArtboardsInTheStylesOfTheProject() {
    bring(WALL_TEXTS);
    assertThat(driver.project()).as("nothing is done yet").isEqualTo(demo);
    assertThat(driver.workspace().shownProperty().get().artboards())
        .as("but it is seen")
        .hasSize(demo.artboards().size() + 3);

    choose("becomes-paragraph-Heading-2", new Mapped.Follow(new StyleId("panel-heading")));
    driver.waitFor(
        "the stage shows it",
        () ->
            follows(driver.workspace().shownProperty().get(), "How it keeps time")
                .equals("panel-heading"));
    driver.press("document-import");
    Project after = driver.project();
    assertThat(added(after))
        .extracting(Artboard::name)
        .containsExactly("The room of the pendulum", "Bells over the river", "Who wound the clock");
    assertThat(follows(after, "The room of the pendulum")).isEqualTo("panel-heading");
    assertThat(follows(after, "The tower clock")).isEqualTo("panel-body");
    assertThat(driver.workspace().selection().layers()).hasSize(3);

    driver.robot().push(KeyCode.CONTROL, KeyCode.Z);
    driver.settle();
    assertThat(driver.project()).isEqualTo(demo);
  }

  private static String follows(Project project, String start) {
    return project
        .layers()
        .flatMap(layer -> layer.story().paragraphs().stream())
        .filter(paragraph -> paragraph.text().startsWith(start))
        .findFirst()
        .flatMap(paragraph -> paragraph.follows())
        .map(StyleId::value)
        .orElse("");
  }

  @Test
  void correctedWordsComeAgainAndWhatWasSetHereStays() throws IOException {
    Path file = Files.writeString(folder.resolve("notes.md"), NOTES);
    bring(file);
    driver.press("document-import");
    Layer text = added(driver.project()).getFirst().layers().getFirst();
    assertThat(text.story().text()).startsWith("Night watch\nThe watchman walked with a lamp.");

    Files.writeString(
        file, NOTES.replace("with a lamp", "with a lantern") + "\nHe was never asleep.\n");
    driver.answers().file(file);
    driver.run("Import a document or drawing…");
    driver.waitFor("the changes are shown", () -> isReviewed("Update"));
    assertThat(
            driver.robot().lookup("#document-pane .quiet").queryAll().stream()
                .map(node -> ((Labeled) node).getText()))
        .anyMatch(line -> line.contains("1 paragraph changes, 1 comes"));
    driver.press("document-import");

    Layer after = driver.project().layer(text.id()).orElseThrow();
    assertThat(after.story().text())
        .contains("The watchman walked with a lantern.")
        .endsWith("A key, a lamp, a book.\nHe was never asleep.");
    assertThat(added(driver.project())).as("nothing was brought twice").hasSize(1);
    assertThat(driver.project().documents()).hasSize(1);
  }

  @Test
  void wordsThatBothSidesChangedAreChosen() throws IOException {
    Path file = Files.writeString(folder.resolve("notes.md"), NOTES);
    bring(file);
    driver.press("document-import");
    Layer text = added(driver.project()).getFirst().layers().getFirst();
    int lamp = text.story().text().indexOf("lamp");
    driver
        .robot()
        .interact(() ->
            driver
                .workspace()
                .apply(EditText.plain(text.id(), new TextRange(lamp, lamp + 4), "torch")));
    Files.writeString(file, NOTES.replace("with a lamp", "with a lantern"));
    driver.answers().file(file);
    driver.run("Import a document or drawing…");
    driver.waitFor("it is asked", () -> driver.isShown("#document-theirs-0"));
    assertThat(shownWords(text)).as("mine stays unless said otherwise").contains("with a torch");
    driver.press("document-theirs-0");
    driver.waitFor("theirs is seen", () -> shownWords(text).contains("with a lantern"));
    driver.press("document-import");
    assertThat(driver.project().layer(text.id()).orElseThrow().story().text())
        .contains("with a lantern")
        .doesNotContain("torch");

    Files.writeString(file, "# Menu\n\nSoup and bread.\n");
    bring(file);
    assertThat(driver.project().layer(text.id()).orElseThrow().story().text())
        .as("another document of that name is no later state")
        .contains("with a lantern");
    assertThat(((ToggleButton) driver.node("document-again")).isSelected()).isTrue();
  }

  private String shownWords(Layer text) {
    return driver.workspace().shownProperty().get().layer(text.id()).orElseThrow().story().text();
  }

  @Test
  void escapeLeavesEverythingAsItWasAndATextTakesItsSection() {
    bring(WALL_TEXTS);
    driver.robot().push(KeyCode.ESCAPE);
    driver.settle();
    assertThat(driver.project()).isEqualTo(demo);
    assertThat(driver.isShown("#document-pane")).isFalse();

    Layer target =
        demo.still()
            .flatMap(board -> board.layers().stream())
            .filter(Layer::isText)
            .findFirst()
            .orElseThrow();
    driver.robot().interact(() -> driver.workspace().select(List.of(target.id())));
    bring(WALL_TEXTS);
    choose("document-arrangement", Arrangement.INTO_TEXTS);
    driver.waitFor(
        "its words are there",
        () ->
            driver
                .workspace()
                .shownProperty()
                .get()
                .layer(target.id())
                .orElseThrow()
                .story()
                .text()
                .contains("Dessa Quill wound it"));
    driver.press("document-import");
    assertThat(added(driver.project())).isEmpty();
    assertThat(driver.project().layer(target.id()).orElseThrow().follows())
        .isEqualTo(target.follows());
  }

  @Test
  void aDrawingStandsAsItWasDrawnAndItsLooksBecomeStyles() {
    bring(Path.of("..", "demo", "imports", "opening-card.svg"));
    assertThat(driver.robot().lookup("#reach .quiet-words").queryAllAs(Label.class))
        .extracting(Label::getText)
        .containsExactly("24 new");
    assertThat(driver.isShown("#reach .problem-text")).as("lines are not overset").isFalse();
    assertThat(driver.isShown("#document-direct-all")).as("all of its looks come").isFalse();
    driver.press("drawing-here");
    driver.waitFor(
        "it stands on the panel",
        () ->
            driver.workspace().shownProperty().get().artboards().size() == demo.artboards().size());
    driver.press("drawing-new");
    driver.waitFor(
        "it has an artboard",
        () ->
            driver.workspace().shownProperty().get().artboards().size() > demo.artboards().size());
    driver.settle();
    driver.press("document-import");
    Artboard card = added(driver.project()).getFirst();
    assertThat(card.name()).isEqualTo("Opening night");
    String headline =
        card.layers().stream()
            .filter(layer -> layer.name().equals("The clock strikes"))
            .findFirst()
            .orElseThrow()
            .id()
            .value();
    assertThat(driver.layer(headline).follows()).containsExactly(driver.styleNamed("Headline"));
    // the dark edge of the letters, and the colours of dusk within
    assertThat(driver.pixels(headline, Rgba.parse("#2b1d10"))).isGreaterThan(5);
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void aDrawingThatIsDroppedOnAFilmHasAnArtboardOfItsOwn() {
    Artboard film = demo.films().findFirst().orElseThrow();
    Path file = Path.of("..", "demo", "imports", "opening-card.svg");
    driver.robot().interact(() -> driver.window().documents().take(file, film));
    driver.waitFor("what would come is shown", () -> isReviewed("Import"));
    assertThat(added(driver.workspace().shownProperty().get())).hasSize(1);
    driver.robot().interact(() -> driver.workspace().attempts().discardPending());
    driver
        .robot()
        .interact(
            () -> driver.window().documents().take(file, demo.still().findFirst().orElseThrow()));
    driver.waitFor("what would come is shown", () -> isReviewed("Import"));
    assertThat(added(driver.workspace().shownProperty().get()))
        .as("dropped on an artboard")
        .isEmpty();
  }

  @Test
  void aTallDrawingIsSeenWholeAboveTheStrip() throws IOException {
    Path file = folder.resolve("tall.svg");
    Files.writeString(
        file, "<svg viewBox='0 0 300 600'><rect width='300' height='600' fill='#245'/></svg>");
    bring(file);
    driver.waitFor("the strip is there", () -> driver.isShown("#reach .thumbnail"));
    Artboard tall = added(driver.workspace().shownProperty().get()).getFirst();
    driver.waitFor(
        "it is seen whole",
        () ->
            driver.stage().view().toPixelY(tall.y() + tall.height()) < driver.stage().getHeight());
  }
}
