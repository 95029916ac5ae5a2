package dynamorph.app.journey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.app.session.Selection;
import dynamorph.app.session.Tool;
import dynamorph.formats.project.ProjectFile;
import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.property.Properties;
import dynamorph.model.reach.LocalChanges;
import dynamorph.model.sheet.Sheet;
import dynamorph.model.sheet.SheetRow;
import dynamorph.model.sheet.view.RowUnit;
import dynamorph.model.sheet.view.SheetOrder;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.TextRange;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timing;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ButtonType;
import javafx.scene.control.ComboBox;
import javafx.scene.control.DialogPane;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextField;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.input.Clipboard;
import javafx.scene.input.DataFormat;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** A designer has all texts side by side, and changes many at once. */
class SheetJourneyTest extends JourneyTest {
  private void openSheet() {
    driver.robot().clickOn("#view-sheet");
    driver.waitFor("the sheet is shown", () -> driver.isShown("#sheet"));
    // a survey would take the processor from what is looked at here
    driver.robot().clickOn("#tab-properties");
    listed();
  }

  private void listed() {
    driver.settle();
    driver.waitFor("it is listed", () -> driver.window().sheet().isIdle());
    driver.settle();
  }

  private void ask(String query) {
    typeInto("sheet-query", query);
    driver.robot().sleep(400);
    listed();
  }

  private Node cell(String words) {
    return driver
        .robot()
        .lookup("#sheet-list .label")
        .match((Node node) -> node instanceof Labeled label && label.getText().equals(words))
        .query();
  }

  /** The film of the demo with sixty name titles, one after another. */
  private Project withSixtyTitles() {
    return demo.mapArtboards(board -> {
      if (!board.id().equals(new ArtboardId("film"))) {
        return board;
      }
      Layer dessa = board.layer(new LayerId("name-dessa")).orElseThrow();
      Timing timing = dessa.timing().orElseThrow();
      List<Layer> more = new ArrayList<>();
      for (int index = 0; index < 54; index++) {
        Time from = Time.ofMillis(1000L * index);
        more.add(
            dessa
                .withId(new LayerId("extra-" + index))
                .withLocal(dynamorph.model.property.PropertySet.EMPTY)
                .withTiming(timing.between(from, from.plus(Time.ofMillis(900)))));
      }
      return board.withLayers(board.layers().plusAll(more));
    });
  }

  @Test
  void sixtyTitlesAreMadeLargerAndSeenInTheirFrames() {
    driver
        .robot()
        .interact(() -> driver.workspace().open(withSixtyTitles(), java.util.Optional.empty()));
    openSheet();
    ask("follows=Name title");
    assertThat(text("sheet-query-count")).isEqualTo("60 match");
    driver.robot().clickOn("#sheet-frames");
    listed();
    Image before = picture();
    driver.robot().clickOn("#sheet-rows");
    listed();
    driver.robot().interact(() -> driver.node("sheet-list").requestFocus());
    driver.robot().push(KeyCode.CONTROL, KeyCode.A);
    assertThat(driver.workspace().selection().layers()).hasSize(60);
    double name = driver.value("extra-0", 0, Properties.SIZE).over(0);
    double role = driver.value("extra-0", 1, Properties.SIZE).over(0);
    assertThat(name).as("two sizes in one title").isNotEqualTo(role);
    driver.robot().doubleClickOn(cell("mixed"));
    driver.robot().write("*1.5").push(KeyCode.ENTER);
    listed();
    for (int index = 0; index < 54; index++) {
      assertThat(driver.value("extra-" + index, 0, Properties.SIZE).over(0))
          .isCloseTo(name * 1.5, within(1e-5));
      assertThat(driver.value("extra-" + index, 1, Properties.SIZE).over(0))
          .isCloseTo(role * 1.5, within(1e-5));
    }
    driver.robot().clickOn("#sheet-frames");
    listed();
    driver.waitFor("the frame is another", () -> !same(before, picture()));
    driver.robot().push(KeyCode.CONTROL, KeyCode.Z);
    listed();
    assertThat(LocalChanges.count(driver.layer("extra-0"))).isZero();
    driver.waitFor("the frame is as it was", () -> same(before, picture()));
  }

  private Image picture() {
    driver.waitFor("pictures are drawn", () -> driver.window().isUpToDate());
    ImageView view = driver.robot().lookup(".frame-card .image-view").query();
    return view.getImage();
  }

  private static boolean same(Image one, Image other) {
    if (one.getWidth() != other.getWidth()) {
      return false;
    }
    for (int y = 0; y < one.getHeight(); y += 2) {
      for (int x = 0; x < one.getWidth(); x += 2) {
        if (one.getPixelReader().getArgb(x, y) != other.getPixelReader().getArgb(x, y)) {
          return false;
        }
      }
    }
    return true;
  }

  @Test
  void aStyleIsPutOnTextsOfArtboardsAndFilmsAtOnce() {
    openSheet();
    driver.select("label-3-title", "name-ilse");
    driver.press("style-notice");
    driver.waitFor(
        "the click is no double-click",
        () -> driver.layer("name-ilse").follows().contains(new StyleId("notice")));
    assertThat(driver.layer("label-3-title").follows()).contains(new StyleId("notice"));
    assertThat(driver.layer("name-ilse").follows()).contains(new StyleId("notice"));
  }

  @Test
  void aStyleIsTriedOnTextsThatAreListedByAnother() {
    openSheet();
    ask("follows=Name title");
    driver.robot().interact(() -> driver.node("sheet-list").requestFocus());
    driver.robot().push(KeyCode.CONTROL, KeyCode.A);
    assertThat(driver.workspace().selection().layers()).hasSize(6);
    driver.robot().moveTo(driver.reveal("#style-notice"));
    driver.waitFor(
        "the style is tried", () -> driver.workspace().shownProperty().get() != driver.project());
    listed();
    assertThat(driver.robot().lookup("#sheet-list .sheet-row").queryAll())
        .as("they stay where they are looked at")
        .hasSizeGreaterThanOrEqualTo(6);
    driver.robot().moveTo("#search");
  }

  @Test
  void wordsAreEditedInPlaceAndKeepTheirStyles() {
    openSheet();
    ask("Open till nine");
    driver.robot().doubleClickOn(cell("Open till nine"));
    driver.waitFor("it is edited", () -> driver.isShown("#sheet-words-editor"));
    driver.robot().write("Open till ten").push(KeyCode.ENTER);
    driver.settle();
    assertThat(driver.layer("web-open").story().text()).isEqualTo("Open till ten");
    driver.robot().push(KeyCode.CONTROL, KeyCode.Z);
    driver.settle();
    assertThat(driver.layer("web-open").story().text()).isEqualTo("Open till nine");
  }

  @Test
  void aRowGoesToItsMomentInTheFilm() {
    openSheet();
    driver.select("name-ilse");
    driver.press("sheet-go");
    assertThat(driver.workspace().playback().isOpen()).isTrue();
    Time now = driver.workspace().playback().playheadProperty().get();
    assertThat(driver.layer("name-ilse").timing().orElseThrow().isLive(now)).isTrue();
    assertThat(driver.workspace().view().sheetProperty().get()).isFalse();
    assertThat(driver.workspace().selection().layers()).isEqualTo(Set.of(new LayerId("name-ilse")));
  }

  @Test
  void whatCannotBeReadIsToldAndTheListStays() {
    openSheet();
    ask("hue=3");
    assertThat(driver.isShown("#sheet .problem-text")).isTrue();
    assertThat(driver.isShown("#sheet-list .sheet-row")).isTrue();
    ask("no such words anywhere");
    assertThat(driver.isShown("#sheet-list .sheet-row")).isFalse();
  }

  @Test
  void aTranslatorsTableGoesOutAndComesBack() throws IOException {
    openSheet();
    Path table = folder.resolve("words.csv");
    driver.answers().file(table);
    driver.robot().clickOn("#sheet-words").clickOn("Export words as a table\u2026");
    driver.waitFor("it is written", () -> Files.exists(table));
    String words = Files.readString(table);
    assertThat(words).contains("web-open,Open till nine");
    Files.writeString(table, words.replace("Open till nine", "Offen bis neun"));
    driver.robot().clickOn("#sheet-words").clickOn("Import words\u2026");
    driver.settle();
    assertThat(driver.layer("web-open").story().text()).isEqualTo("Offen bis neun");
    assertThat(driver.notice()).startsWith("1 text has other words now");
    assertThat(demo.layer(new LayerId("web-open")).orElseThrow().follows())
        .isEqualTo(driver.layer("web-open").follows());
  }

  @Test
  void aTranslationBecomesAVersionBesideTheOther() throws IOException {
    openSheet();
    Path file = folder.resolve("words.xlf");
    driver.answers().file(file);
    driver.robot().clickOn("#sheet-words").clickOn("Export for translation (XLIFF)\u2026");
    driver.waitFor("it is written", () -> Files.exists(file));
    assertThat(driver.notice()).contains("75 paragraphs to translate");
    Files.writeString(
        file,
        Files.readString(file)
            .replace("srcLang=", "trgLang=\"nl\" srcLang=")
            .replace(
                "<source>Open till nine</source>",
                "<source>Open till nine</source><target>Open tot negen</target>"));
    driver
        .robot()
        .clickOn("#sheet-words")
        .clickOn("Import a translation as a language version\u2026");
    driver.settle();
    assertThat(driver.layer("web-open").story().text()).isEqualTo("Open till nine");
    Artboard dutch = driver.project().artboards().getLast();
    assertThat(dutch.name()).isEqualTo("Web square nl");
    assertThat(dutch.layers())
        .anySatisfy(layer -> {
          assertThat(layer.story().text()).isEqualTo("Open tot negen");
          assertThat(layer.follows()).isEqualTo(driver.layer("web-open").follows());
        });
    assertThat(driver.notice()).contains("74 paragraphs are not translated");
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void cellsGoToASpreadsheetAndComeBack() {
    openSheet();
    ask("name=Title && artboard~Label");
    driver.robot().interact(() -> driver.node("sheet-list").requestFocus());
    driver.robot().push(KeyCode.CONTROL, KeyCode.A);
    List<LayerId> titles = List.copyOf(driver.workspace().selection().layers());
    assertThat(titles).hasSizeGreaterThan(3);
    driver.robot().push(KeyCode.CONTROL, KeyCode.C);
    String copied = clipboard();
    assertThat(copied.lines().findFirst()).contains("Words\tPlace\tStyle\tFamily\tSize");
    assertThat(copied.lines()).hasSize(titles.size() + 1);
    String first = driver.project().layer(titles.getFirst()).orElseThrow().story().text();
    assertThat(copied).contains(first);
    // what a spreadsheet gives back: other words, another size in one row
    putOnClipboard(
        copied.replace(first, "=Escapement").replaceFirst("\t(\\S+) pt\\R", "\t31 pt\n"));
    driver.robot().push(KeyCode.CONTROL, KeyCode.V);
    listed();
    assertThat(driver.project().layer(titles.getFirst()).orElseThrow().story().text())
        .isEqualTo("=Escapement");
    assertThat(driver.value(titles.getFirst().value(), Properties.SIZE).over(0)).isEqualTo(31);
    driver.robot().push(KeyCode.CONTROL, KeyCode.Z);
    listed();
    assertThat(driver.project()).as("one step").isEqualTo(demo);
  }

  @Test
  void whatComesBackUnchangedChangesNothing() {
    openSheet();
    ask("follows=Name title");
    driver.robot().interact(() -> driver.node("sheet-list").requestFocus());
    driver.robot().push(KeyCode.CONTROL, KeyCode.A).push(KeyCode.CONTROL, KeyCode.C);
    driver.robot().push(KeyCode.CONTROL, KeyCode.V);
    listed();
    assertThat(driver.project()).as("titles of two sizes keep both").isEqualTo(demo);
  }

  @Test
  void theFirstRowIsFilledDown() {
    openSheet();
    ask("name=Title && artboard~Label");
    driver.robot().interact(() -> driver.node("sheet-list").requestFocus());
    driver.robot().push(KeyCode.CONTROL, KeyCode.A).push(KeyCode.CONTROL, KeyCode.D);
    listed();
    List<LayerId> titles = List.copyOf(driver.workspace().selection().layers());
    assertThat(
            titles.stream().map(id -> driver.value(id.value(), Properties.SIZE).over(0)).distinct())
        .containsExactly(driver.value(titles.getFirst().value(), Properties.SIZE).over(0));
    driver.robot().push(KeyCode.CONTROL, KeyCode.Z);
    listed();
    assertThat(driver.project()).isEqualTo(demo);
  }

  private String clipboard() {
    String[] text = new String[1];
    driver.robot().interact(() -> text[0] = Clipboard.getSystemClipboard().getString());
    return text[0];
  }

  private void putOnClipboard(String text) {
    driver
        .robot()
        .interact(
            () -> Clipboard.getSystemClipboard().setContent(Map.of(DataFormat.PLAIN_TEXT, text)));
  }

  @Test
  void rowsArePickedByKeyboardAlone() {
    openSheet();
    driver.robot().interact(() -> driver.node("sheet-list").requestFocus());
    driver
        .robot()
        .push(KeyCode.DOWN)
        .push(KeyCode.SHIFT, KeyCode.DOWN)
        .push(KeyCode.SHIFT, KeyCode.DOWN);
    assertThat(driver.workspace().selection().layers()).hasSize(3);
    driver.robot().push(KeyCode.ESCAPE);
    assertThat(driver.workspace().selection().isEmpty()).isTrue();
  }

  private void list(RowUnit unit) {
    driver.robot().clickOn("#sheet-unit");
    driver.settle();
    driver.robot().clickOn(unit.label());
    listed();
  }

  private String words(String layer) {
    return driver.layer(layer).story().text();
  }

  @Test
  void paragraphsOfTextsAreDressedAndEditedAsRows() {
    openSheet();
    list(RowUnit.PARAGRAPH);
    driver.robot().interact(() -> driver.node("sheet-list").requestFocus());
    driver.robot().push(KeyCode.getKeyCode(String.valueOf(Tool.SHAPE.key())));
    assertThat(driver.workspace().tools().toolProperty().get())
        .as("tools of the stage are not taken unseen")
        .isEqualTo(Tool.SELECT);
    ask("artboard=Text panel 2");
    String before = words("panel-2-text");
    List<String> paragraphs = before.lines().toList();
    assertThat(text("sheet-query-count")).isEqualTo(paragraphs.size() + " match");
    driver.robot().clickOn(cell(paragraphs.get(1)));
    driver.robot().press(KeyCode.CONTROL).clickOn(cell(paragraphs.get(2)));
    driver.robot().release(KeyCode.CONTROL);
    assertThat(
            driver.robot().lookup("#inspector .section-title").<Labeled>queryAll().stream()
                .map(Labeled::getText))
        .contains("2 paragraphs");
    driver
        .robot()
        .interact(
            () -> driver.workspace().following().put(new StyleId("panel-heading"), false, false));
    listed();
    assertThat(driver.layer("panel-2-text").story().paragraphs())
        .extracting(Paragraph::follows)
        .startsWith(
            Optional.of(new StyleId("panel-heading")),
            Optional.of(new StyleId("panel-heading")),
            Optional.of(new StyleId("panel-heading")));
    // words before what is selected come or go, and the selection stays with its paragraphs
    driver.robot().push(KeyCode.ESCAPE).clickOn(cell(paragraphs.get(1)));
    driver.robot().push(KeyCode.F2);
    driver.settle();
    driver.robot().write("It had stopped.").push(KeyCode.ENTER);
    listed();
    assertThat(words("panel-2-text"))
        .isEqualTo(before.replace(paragraphs.get(1), "It had stopped."));
    assertThat(driver.workspace().selection().passages()).singleElement();
    driver.robot().push(KeyCode.DELETE);
    listed();
    assertThat(words("panel-2-text"))
        .isEqualTo(
            before
                .replace(paragraphs.get(1), "It had stopped.")
                .replace(paragraphs.get(2) + "\n", ""));
    driver.robot().clickOn(cell("It had stopped.")).push(KeyCode.ENTER);
    driver.waitFor("the artboards are shown", () -> !driver.isShown("#sheet"));
    assertThat(driver.workspace().selection().cursor().map(Selection.Cursor::range).orElseThrow())
        .isEqualTo(new TextRange(paragraphs.get(0).length() + 1, paragraphs.get(0).length() + 16));
  }

  /** The rows say what would become of their words; what is not selected stays. */
  @Test
  void wordsAreReplacedInWhatIsSelected() {
    openSheet();
    list(RowUnit.PARAGRAPH);
    driver.robot().interact(() -> driver.node("sheet-list").requestFocus());
    driver.robot().push(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.F);
    driver.robot().write("clock").push(KeyCode.ENTER).write("movement");
    listed();
    assertThat(text("sheet-replace-count"))
        .startsWith("7 places in 7 rows, in all that are listed");
    List<SheetRow> with =
        Sheet.of(demo, SheetOrder.USUAL.withUnit(RowUnit.PARAGRAPH)).groups().stream()
            .flatMap(group -> group.rows().stream())
            .filter(row ->
                row.layer().story().text().toLowerCase(java.util.Locale.ROOT).contains("clock"))
            .toList();
    assertThat(with).as("counted by reading the texts").hasSize(7);
    driver.robot().clickOn(".words-before");
    driver.robot().press(KeyCode.SHIFT).push(KeyCode.DOWN).release(KeyCode.SHIFT);
    driver.settle();
    assertThat(driver.workspace().selection().passages()).hasSize(2);
    assertThat(text("sheet-replace-count"))
        .isEqualTo("2 places in 2 rows, in what is selected (2 paragraphs)");
    driver.robot().clickOn("#sheet-replace-all");
    listed();
    long left = driver.workspace().project().layers().filter(layer -> has(layer, "clock")).count();
    assertThat(left).isEqualTo(demo.layers().filter(layer -> has(layer, "clock")).count() - 2);
    assertThat(words("entrance-subtitle")).contains("tower movement came back");
    driver.robot().interact(() -> driver.workspace().undo());
    assertThat(driver.workspace().project().artboards()).isEqualTo(demo.artboards());
  }

  private static boolean has(Layer layer, String words) {
    return layer.story().text().contains(words);
  }

  private void chooseView(String item) {
    driver.robot().clickOn("#sheet-views");
    driver.settle();
    driver.robot().clickOn(item);
  }

  private void answer(String name) {
    DialogPane pane = driver.dialog();
    driver
        .robot()
        .interact(() -> {
          ((TextField) pane.lookup(".text-field")).setText(name);
          ((Button) pane.lookupButton(ButtonType.OK)).fire();
        });
    driver.settle();
  }

  /** What was arranged once is there again, in another session too. */
  @Test
  void aWayToSeeTheTextsIsKeptInTheProject() {
    openSheet();
    assertThat(text("sheet-views")).isEqualTo("All texts");
    list(RowUnit.PARAGRAPH);
    ask("artboard~Panel");
    assertThat(text("sheet-views")).isEqualTo("Own view");
    chooseView("Keep as a view\u2026");
    answer("Panels_1 & 2");
    assertThat(text("sheet-views")).isEqualTo("Panels_1 & 2");
    ask("artboard~Label");
    assertThat(text("sheet-views")).isEqualTo("Panels_1 & 2, changed");
    chooseView("Keep the changes of \"Panels_1 & 2\"");
    driver.settle();
    assertThat(text("sheet-views")).isEqualTo("Panels_1 & 2");
    chooseView("All texts");
    listed();
    assertThat(((TextField) driver.node("sheet-query")).getText()).isEmpty();
    assertThat(text("sheet-query-count")).isEmpty();
    driver
        .robot()
        .interact(
            () -> driver.workspace().open(saved(driver.workspace().project()), Optional.empty()));
    openSheet();
    chooseView("Panels_1 & 2");
    listed();
    assertThat(((TextField) driver.node("sheet-query")).getText()).isEqualTo("artboard~Label");
    assertThat(((ComboBox<?>) driver.node("sheet-unit")).getValue()).isEqualTo(RowUnit.PARAGRAPH);
    chooseView("Rename \"Panels_1 & 2\"\u2026");
    answer("Labels");
    assertThat(text("sheet-views")).isEqualTo("Labels");
    driver.robot().interact(() -> driver.workspace().undo());
    assertThat(text("sheet-views")).isEqualTo("Panels_1 & 2");
    chooseView("Delete \"Panels_1 & 2\"");
    driver.settle();
    assertThat(text("sheet-views")).isEqualTo("Own view");
    assertThat(driver.workspace().project().sheetViews()).isEqualTo(demo.sheetViews());
  }

  private Project saved(Project project) {
    Path file = folder.resolve("views.dmorph");
    try {
      ProjectFile.write(project, file);
      return ProjectFile.read(file);
    } catch (IOException failed) {
      throw new java.io.UncheckedIOException(failed);
    }
  }
}
