package dynamorph.app;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.app.files.UserFolder;
import dynamorph.app.files.WindowDialogs;
import dynamorph.app.session.Workspace;
import dynamorph.app.theme.Theme;
import dynamorph.demo.MuseumShelf;
import dynamorph.model.IdSource;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.random.RandomGenerator;
import java.util.stream.Stream;
import javafx.stage.Stage;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Assumptions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.testfx.framework.junit5.ApplicationTest;
import org.testfx.util.WaitForAsyncUtils;

/**
 * The pictures in the documentation show the window as it is: each carries the words it showed, and
 * the window still says them. {@code ./dynamorph screenshots} takes them all anew.
 */
class ScreenshotsTest extends ApplicationTest {
  private static final Path FOLDER = Path.of("..", "docs", "screenshots");

  /** Milliseconds between two looks at the window, as when pictures are taken. */
  private static final int SETTLE = 700;

  @TempDir static Path user;

  private MainWindow main;

  static Stream<String> views() throws IOException {
    try (Stream<Path> files = Files.list(FOLDER)) {
      return files
          .map(file -> file.getFileName().toString().replace(".png", ""))
          .sorted()
          .toList()
          .stream();
    }
  }

  @Override
  public void start(Stage stage) {
    Theme.loadFonts();
    UserFolder folder = new UserFolder(user).withShelfOfItsOwn(Program.DEMO);
    folder.setWelcomed();
    Workspace workspace =
        new Workspace(IdSource.random(RandomGenerator.getDefault()), MuseumShelf.linked());
    main = new MainWindow(workspace, new WindowDialogs(stage), folder, Theme.CHALK);
    Program.prepareDemo(main, folder);
    stage.setScene(main.scene());
    stage.show();
  }

  @AfterEach
  void close() {
    interact(main::close);
  }

  /** Takes a window for each, so it is run when asked for: see CONTRIBUTING.md. */
  @ParameterizedTest
  @EnabledIfSystemProperty(named = "dynamorph.check-screenshots", matches = "true")
  @MethodSource("views")
  void thePictureShowsTheWindowAsItIs(String view) throws IOException {
    Assumptions.assumeFalse(
        "Headless".equals(System.getProperty("glass.platform")), "menus and popups need a display");
    List<String> pictured = ShownWords.read(FOLDER.resolve(view + ".png"));
    settle();
    interact(() -> ScreenshotView.show(main, view));
    sleep(SETTLE);
    settle();
    assertThat(words())
        .as("%s.png is out of date: take it anew with ./dynamorph screenshots", view)
        .containsExactlyElementsOf(pictured);
  }

  @Test
  void everyPictureIsOfAViewCarriesItsWordsAndIsLinked() throws IOException {
    String readme = Files.readString(Path.of("..", "README.md"));
    for (String view : views().toList()) {
      assertThat(ScreenshotView.names()).as("views of which pictures can be taken").contains(view);
      assertThat(ShownWords.read(FOLDER.resolve(view + ".png"))).contains("Artboards", "Timeline");
      assertThat(readme).contains("docs/screenshots/" + view + ".png");
    }
  }

  private List<String> words() {
    return WaitForAsyncUtils.waitForAsyncFx(5_000, () -> ShownWords.of(main.scene().getRoot()));
  }

  private void settle() {
    for (int tries = 0; tries < 40; tries++) {
      sleep(SETTLE);
      if (WaitForAsyncUtils.waitForAsyncFx(5_000, main::isUpToDate)) {
        return;
      }
    }
  }
}
