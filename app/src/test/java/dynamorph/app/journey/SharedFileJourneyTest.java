package dynamorph.app.journey;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.app.files.Dialogs.Elsewhere;
import dynamorph.formats.file.OpenFiles;
import dynamorph.formats.project.ProjectFile;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.text.Story;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Two people have one file open; what either of them made is never lost. */
class SharedFileJourneyTest extends JourneyTest {
  private static final String MINE = "entrance-title";
  private static final String THEIRS = "entrance-subtitle";

  private Path file;

  @BeforeEach
  void save() {
    file = folder.resolve("shared.dmorph");
    driver.answers().file(file);
    driver.run("Save");
    driver.waitFor("it is saved", () -> driver.notice().equals("Saved shared.dmorph."));
  }

  private static Project worded(Project project, String id, String words) {
    return project.mapLayers(
        layer -> layer.id().value().equals(id) ? layer.withStory(Story.of(words)) : layer);
  }

  private String words(Project project, String id) {
    return project.layer(new LayerId(id)).orElseThrow().story().text();
  }

  private void theyWrite(UnaryOperator<Project> change) throws IOException {
    ProjectFile.write(change.apply(ProjectFile.read(file)), file);
  }

  private void iChange(String id) {
    driver.pressText(id);
    driver.robot().push(javafx.scene.input.KeyCode.ENTER);
    driver.robot().push(javafx.scene.input.KeyCode.SHORTCUT, javafx.scene.input.KeyCode.A);
    driver.robot().write("mine");
    driver.robot().push(javafx.scene.input.KeyCode.ESCAPE);
    driver.settle();
    assertThat(words(driver.workspace().project(), id)).isEqualTo("mine");
  }

  @Test
  void nothingUnseenIsWrittenOver() throws IOException {
    theyWrite(project -> worded(project, THEIRS, "theirs"));
    byte[] before = Files.readAllBytes(file);
    iChange(MINE);
    driver.answers().elsewhere(Elsewhere.CANCEL);
    driver.run("Save");
    driver.waitFor("it is told", () -> !driver.answers().told().isEmpty());
    driver.settle();
    assertThat(driver.answers().told()).containsExactly("changed: text Subtitle");
    assertThat(Files.readAllBytes(file)).isEqualTo(before);
    assertThat(driver.workspace().historyProperty().get().isSaved()).isFalse();
  }

  @Test
  void bothChangesAreMergedAndSaved() throws IOException {
    theyWrite(project -> worded(project, THEIRS, "theirs"));
    iChange(MINE);
    driver.answers().elsewhere(Elsewhere.MERGE);
    driver.run("Save");
    driver.waitFor("it is merged", () -> driver.notice().startsWith("Merged with what lies"));
    Project merged = driver.workspace().project();
    assertThat(words(merged, MINE)).isEqualTo("mine");
    assertThat(words(merged, THEIRS)).isEqualTo("theirs");
    driver.run("Save");
    driver.waitFor("it is saved", () -> driver.notice().equals("Saved shared.dmorph."));
    assertThat(ProjectFile.read(file)).isEqualTo(merged);
    driver.robot().push(javafx.scene.input.KeyCode.SHORTCUT, javafx.scene.input.KeyCode.Z);
    driver.settle();
    assertThat(words(driver.workspace().project(), THEIRS))
        .as("a step that can be undone")
        .isEqualTo(words(demo, THEIRS));
  }

  @Test
  void whereBothChangedTheSameMineStaysAndIsNamed() throws IOException {
    theyWrite(project -> worded(project, MINE, "theirs"));
    iChange(MINE);
    driver.answers().elsewhere(Elsewhere.MERGE);
    driver.run("Save");
    driver.waitFor("it is merged", () -> driver.notice().startsWith("Merged;"));
    assertThat(driver.notice())
        .isEqualTo(
            "Merged; at one place both changed the same, and yours stays: text Title words.");
    assertThat(words(driver.workspace().project(), MINE)).isEqualTo("mine");
  }

  @Test
  void whoComesBackIsToldAndReloads() throws IOException {
    theyWrite(project -> worded(project, THEIRS, "theirs"));
    driver.answers().elsewhere(Elsewhere.RELOAD);
    driver.robot().interact(() -> driver.window().files().lookAtFile());
    driver.waitFor("it is told", () -> driver.notice().contains("changed by somebody else"));
    driver.offer("What changed…");
    driver.waitFor(
        "it is reloaded", () -> words(driver.workspace().project(), THEIRS).equals("theirs"));
    assertThat(driver.workspace().historyProperty().get().isSaved()).isTrue();
    driver.offer("Undo");
    assertThat(words(driver.workspace().project(), THEIRS)).isEqualTo(words(demo, THEIRS));
  }

  @Test
  void aFileThatWasOnlyTouchedIsSaved() throws IOException {
    Files.setLastModifiedTime(file, FileTime.fromMillis(1_700_000_000_000L));
    iChange(MINE);
    driver.run("Save");
    driver.waitFor("it is saved", () -> driver.workspace().historyProperty().get().isSaved());
    assertThat(words(ProjectFile.read(file), MINE)).isEqualTo("mine");
  }

  @Test
  void aFileThatIsOpenInAnotherWindowIsNamed() {
    Path user = folder.resolve("user").resolve("open");
    try (OpenFiles another = new OpenFiles(user)) {
      another.note(Optional.of(file));
      driver.robot().interact(() -> driver.window().files().open(file));
      driver.waitFor(
          "it is told",
          () -> driver.notice().startsWith("shared.dmorph is open in another window too."));
    }
    OpenFiles later = new OpenFiles(user);
    assertThat(later.isOpenElsewhere(file)).as("by this window").isTrue();
    driver.close();
    driver.waitFor("it is let go", () -> !later.isOpenElsewhere(file));
  }

  @Test
  void aReadOnlyFileIsNamedAndAnotherPlaceOffered() throws IOException {
    Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("r--r--r--"));
    iChange(MINE);
    driver.run("Save");
    driver.waitFor("it is told", () -> driver.notice().startsWith("Not saved:"));
    assertThat(driver.notice())
        .isEqualTo("Not saved: " + file + " cannot be written: the file is read-only.");
    assertThat(driver.workspace().historyProperty().get().isSaved()).isFalse();
    Path other = folder.resolve("other.dmorph");
    driver.answers().file(other);
    driver.offer("Save as…");
    driver.waitFor("it is saved", () -> Files.exists(other));
    driver.settle();
    assertThat(words(ProjectFile.read(other), MINE)).isEqualTo("mine");
  }
}
