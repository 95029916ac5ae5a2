package dynamorph.bench;

import dynamorph.app.MainWindow;
import dynamorph.app.files.Dialogs;
import dynamorph.app.files.FileQuestion;
import dynamorph.app.files.UserFolder;
import dynamorph.app.session.Workspace;
import dynamorph.app.theme.Theme;
import dynamorph.formats.project.KitAbout;
import dynamorph.model.IdSource;
import dynamorph.model.Project;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.random.RandomGenerator;
import javafx.animation.PauseTransition;
import javafx.stage.Stage;
import javafx.util.Duration;

/** The real window, of which nobody is asked anything. */
final class BenchWindow {
  private BenchWindow() {}

  /** Shows a project; the size of the window is that of the stage. */
  static MainWindow open(Stage stage, Project project) throws IOException {
    Theme.loadFonts();
    UserFolder user = new UserFolder(Files.createTempDirectory("dynamorph-bench"));
    user.setWelcomed();
    Workspace workspace = new Workspace(IdSource.random(RandomGenerator.getDefault()), project);
    MainWindow window = new MainWindow(workspace, new NoDialogs(), user, Theme.CHALK);
    stage.setScene(window.scene());
    stage.show();
    return window;
  }

  static void after(double seconds, Runnable work) {
    PauseTransition pause = new PauseTransition(Duration.seconds(seconds));
    pause.setOnFinished(_ -> work.run());
    pause.play();
  }

  private static final class NoDialogs implements Dialogs {
    @Override
    public Elsewhere askAboutElsewhere(String file, List<String> changes, boolean merges) {
      return Elsewhere.CANCEL;
    }

    @Override
    public Optional<Path> choose(FileQuestion question, String proposed) {
      return Optional.empty();
    }

    @Override
    public boolean agrees(String question, List<String> consequences, String verb) {
      return true;
    }

    @Override
    public Optional<KitAbout> askAboutKit(KitAbout proposed) {
      return Optional.empty();
    }

    @Override
    public Unsaved askAboutChanges(String project) {
      return Unsaved.LEAVE;
    }
  }
}
