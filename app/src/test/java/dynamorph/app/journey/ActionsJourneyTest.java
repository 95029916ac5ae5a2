package dynamorph.app.journey;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.app.action.Action;
import dynamorph.app.session.Selection;
import dynamorph.formats.project.ProjectFile;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.property.Properties;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.timeline.Time;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.scene.input.KeyCombination;
import org.junit.jupiter.api.Test;

/** Everything the window can do, by its list of actions. */
class ActionsJourneyTest extends JourneyTest {
  /** These ask in a dialog, leave the project or open something over the window. */
  private static final Set<String> NOT_EDITS =
      Set.of(
          "New project\u2026",
          "Open\u2026",
          "Save",
          "Save as\u2026",
          "New artboard\u2026",
          "Artboard settings\u2026",
          "Import a font\u2026",
          "Rename the text\u2026",
          "New film\u2026",
          "Film settings\u2026",
          "Import captions\u2026",
          "Export the captions\u2026",
          "Export all captions\u2026",
          "Export the frame\u2026",
          "Export the frames\u2026",
          "Export titles with transparency\u2026",
          "Shortcuts",
          "Find words",
          "Find and replace",
          "Fonts in this project",
          "Undo",
          "Redo");

  @Test
  void everyActionIsTakenBackByUndo() {
    List<LayerId> some = List.of(new LayerId("label-5-title"), new LayerId("web-place"));
    for (Action action : driver.actions()) {
      if (!NOT_EDITS.contains(action.name())) {
        takeBack(
            action,
            () -> {
              driver.workspace().select(some);
              action.run();
            });
      }
    }
  }

  @Test
  void everyActionOnAFilmIsTakenBackByUndo() {
    List<LayerId> some = List.of(new LayerId("name-ilse"), new LayerId("cue-en-5"));
    for (Action action : driver.actions()) {
      if (!NOT_EDITS.contains(action.name()) && action.group().equals("Film")) {
        takeBack(
            action,
            () -> {
              driver.workspace().playback().open();
              driver.workspace().playback().seek(Time.ofMillis(26_000));
              driver.workspace().select(some);
              action.run();
              driver.workspace().playback().playingProperty().set(false);
            });
      }
    }
  }

  /** Without waiting for the stage: what counts here is the project. */
  private void takeBack(Action action, Runnable run) {
    driver
        .robot()
        .interact(() -> {
          run.run();
          Project after = driver.project();
          driver.workspace().attempts().closeKeeping();
          driver.workspace().attempts().discardPending();
          undoAll();
          assertThat(driver.project()).as(action.name()).isEqualTo(demo);
          if (!after.equals(demo)) {
            redoAll();
            assertThat(driver.project()).as("%s again", action.name()).isEqualTo(after);
            undoAll();
          }
        });
  }

  private void undoAll() {
    while (driver.workspace().historyProperty().get().canUndo()) {
      driver.workspace().undo();
    }
  }

  private void redoAll() {
    while (driver.workspace().historyProperty().get().canRedo()) {
      driver.workspace().redo();
    }
  }

  @Test
  void noTwoActionsShareANameOrAShortcut() {
    assertThat(driver.actions()).extracting(Action::name).doesNotHaveDuplicates();
    List<KeyCombination> shortcuts =
        driver.actions().stream().flatMap(action -> action.shortcut().stream()).toList();
    assertThat(shortcuts).doesNotHaveDuplicates();
  }

  @Test
  void whatCannotBeDoneNowIsDisabled() {
    driver.robot().interact(() -> driver.workspace().select(List.of()));
    assertThat(action("Duplicate texts").enabled().get()).isFalse();
    assertThat(action("Commit the change").enabled().get()).isFalse();
    driver
        .robot()
        .interact(() ->
            driver
                .workspace()
                .selectionProperty()
                .set(Selection.editing(new LayerId("web-open"), 0, 4)));
    assertThat(action("Delete texts").enabled().get())
        .as("words are selected, not the text")
        .isFalse();
    assertThat(action("Keep this look\u2026").enabled().get()).isTrue();
  }

  private Action action(String name) {
    return driver.actions().stream()
        .filter(one -> one.name().equals(name))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void aProjectWithAMissingFontOpensSaysSoAndKeepsTheName() throws IOException {
    Style label = demo.styles().get(new StyleId("label-title"));
    Style foreign =
        label.withProperties(label.properties().with(Properties.FONT_FAMILY, "Quarterbell Sans"));
    Path file = folder.resolve("foreign.dmorph");
    ProjectFile.write(demo.withStyles(demo.styles().with(foreign)), file);
    driver.answers().file(file);
    driver.robot().interact(action("Open\u2026")::run);
    driver.waitFor("the missing font is told", () -> driver.notice().contains("Quarterbell Sans"));
    assertThat(driver.notice()).contains("Source Sans 3 stands in");
    assertThat(
            driver
                .project()
                .styles()
                .get(label.id())
                .properties()
                .get(Properties.FONT_FAMILY.key()))
        .contains("Quarterbell Sans");
    driver.settle();
  }

  @Test
  void aFontIsTakenIntoTheProjectAndADamagedOneIsNot() throws IOException {
    Path font = folder.resolve("Own.ttf");
    try (InputStream shipped =
        getClass().getResourceAsStream("/dynamorph/typeset/fonts/caveat/Caveat_400Regular.ttf")) {
      Files.copy(shipped, font);
    }
    driver.answers().file(font);
    driver.robot().interact(action("Import a font\u2026")::run);
    driver.waitFor("the font is in", () -> driver.project().assets().size() == 1);
    driver.settle();
    assertThat(driver.notice()).contains("\"Caveat\" now travels with the project");
    Path empty = Files.createFile(folder.resolve("Empty.ttf"));
    driver.answers().file(empty);
    driver.robot().interact(action("Import a font\u2026")::run);
    driver.waitFor(
        "the problem is told",
        () -> driver.notice().contains("Empty.ttf: the font is empty (0 bytes)"));
    driver.undoAll();
    assertThat(driver.project()).isEqualTo(demo);
  }

  @Test
  void theKeepPaneRefusesAnEmptyOrTakenName() {
    driver.robot().interact(() -> driver.workspace().select(List.of(new LayerId("label-5-title"))));
    driver.press("keep-look");
    javafx.scene.control.TextField name = (javafx.scene.control.TextField) driver.node("keep-name");
    assertThat(name.getText()).isEqualTo("Label title, loan, plum");
    driver.robot().interact(() -> name.setText("  "));
    driver.press("keep-style");
    assertThat(driver.notice()).isEqualTo("Give the style a name.");
    driver.robot().interact(() -> name.setText("tag"));
    driver.press("keep-style");
    assertThat(driver.notice()).contains("already");
    assertThat(driver.project()).isEqualTo(demo);
    driver.robot().interact(() -> name.setText("Loan, plum"));
    driver.press("keep-style");
    Style kept = driver.project().styles().named("Loan, plum").orElseThrow();
    assertThat(kept.basedOn()).contains(new StyleId("label-title-loan"));
    assertThat(kept.properties().keys())
        .extracting(Object::toString)
        .containsExactly("size", "finish/fill/colour");
    assertThat(driver.workspace().pickedStyleProperty().get()).isEqualTo(Optional.of(kept.id()));
  }
}
