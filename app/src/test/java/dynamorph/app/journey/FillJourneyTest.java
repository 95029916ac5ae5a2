package dynamorph.app.journey;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Artboard;
import dynamorph.model.Project;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import javafx.scene.control.Button;
import javafx.scene.control.Labeled;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.api.Test;

/** A designer fills a label with the rows of a registrar's table. */
class FillJourneyTest extends JourneyTest {
  private static final String TABLE =
      """
      No;Title;Maker
      1;Night clock;Ilse Maes
      2;Water clock;
      3;A clock with a name that is far too long to stand on a label of this size in such letters;D. Quill
      """;

  private void fill(String table) throws IOException {
    Path file = Files.writeString(folder.resolve("labels.csv"), table);
    driver.answers().file(file);
    driver.run("Fill the artboard from a table…");
    driver.waitFor("the table is there", () -> driver.isShown("#fill-pane"));
    driver.settle();
  }

  private void field(String column) {
    Button chip =
        driver
            .robot()
            .lookup("#fill-pane .pill")
            .match((Button one) -> one.getText().equals("{" + column + "}"))
            .query();
    driver.robot().clickOn(chip);
    driver.settle();
  }

  private List<Artboard> added(Project project) {
    int known = demo.artboards().size();
    return project.artboards().subList(known, project.artboards().size());
  }

  private Stream<String> words() {
    return driver.robot().lookup("#fill-pane .hyperlink").queryAll().stream()
        .map(node -> ((Labeled) node).getText());
  }

  private void waitForRows(int count) {
    driver.waitFor(
        "the rows are shown",
        () -> added(driver.workspace().shownProperty().get()).size() == count);
    driver.settle();
  }

  @Test
  void rowsBecomeLabelsOnceTheirProblemsAreSeen() throws IOException {
    driver.select("label-3-title");
    fill(TABLE);
    field("Title");
    waitForRows(3);
    driver.select("label-3-material");
    field("Maker");
    driver.waitFor(
        "problems come first", () -> words().anyMatch(line -> line.startsWith("Row 3: ")));
    assertThat(text("fill-make")).isEqualTo("Make 3 artboards");
    assertThat(text("fill-shown")).contains("Row 1 of 3", "Night clock");
    driver.press("fill-on");
    assertThat(text("fill-shown")).contains("Water clock");

    typeInto("fill-rows", "9");
    driver.robot().interact(() -> driver.node("fill-name").requestFocus());
    assertThat(driver.node("fill-make").isDisabled()).as("there is no such row").isTrue();
    typeInto("fill-rows", "1-2");
    driver.robot().interact(() -> driver.node("fill-name").requestFocus());
    waitForRows(2);
    driver.press("fill-make");

    List<Artboard> labels = added(driver.project());
    assertThat(labels).extracting(Artboard::name).containsExactly("Night clock", "Water clock");
    assertThat(labels.getFirst().layers())
        .extracting(layer -> layer.story().text())
        .contains("Night clock", "Ilse Maes");
    assertThat(labels.getLast().layers())
        .extracting(layer -> layer.story().text())
        .as("what is empty goes")
        .hasSize(labels.getFirst().layers().size() - 1);
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void labelsAreExportedStraight() throws IOException {
    driver.select("label-3-title");
    fill(TABLE);
    field("Title");
    waitForRows(3);
    Path out = Files.createDirectory(folder.resolve("out"));
    driver.answers().file(out);
    driver.press("fill-export");
    driver.waitFor("it is told", () -> driver.notice().contains("1 file written"));
    try (Stream<Path> files = Files.list(out);
        PDDocument document =
            Loader.loadPDF(
                files
                    .filter(file -> file.toString().endsWith(".pdf"))
                    .findFirst()
                    .orElseThrow()
                    .toFile())) {
      assertThat(document.getNumberOfPages()).isEqualTo(3);
    }
    driver.press("fill-cancel");
    assertThat(added(driver.project())).as("the project has none of them").isEmpty();
  }
}
