package dynamorph.bench;

import dynamorph.app.MainWindow;
import dynamorph.app.files.Dialogs;
import dynamorph.app.files.FileQuestion;
import dynamorph.app.files.UserFolder;
import dynamorph.app.theme.Theme;
import dynamorph.app.workspace.Workspace;
import dynamorph.model.IdSource;
import dynamorph.model.edit.ChangeStyle;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.random.RandomGenerator;
import javafx.animation.AnimationTimer;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.stage.Stage;

/**
 * Times the real window: from the edit of a style to the frame that shows it on all followers, and
 * the longest that the interface thread was away meanwhile. {@code bench/run --window [FOLLOWERS]}.
 */
public final class WindowEdit extends Application {
  private static final int WARM_UP = 20;
  private static final int ROUNDS = 61;

  private final double[] toFrame = new double[ROUNDS];
  private final double[] longestPulse = new double[ROUNDS];
  private MainWindow window;
  private Workspace workspace;
  private int round = -WARM_UP;
  private long started;
  private long lastPulse;
  private double gap;

  public static void main(String[] arguments) {
    Application.launch(WindowEdit.class, arguments);
  }

  /** Nobody is asked anything. */
  static final class NoDialogs implements Dialogs {
    @Override
    public Optional<Path> choose(FileQuestion question, String proposed) {
      return Optional.empty();
    }

    @Override
    public boolean agrees(String question, List<String> consequences, String verb) {
      return true;
    }

    @Override
    public Unsaved askAboutChanges(String project) {
      return Unsaved.LEAVE;
    }
  }

  @Override
  public void start(Stage stage) throws IOException {
    int followers =
        getParameters().getRaw().isEmpty()
            ? 1000
            : Integer.parseInt(getParameters().getRaw().getFirst());
    Theme.loadFonts();
    UserFolder user = new UserFolder(Files.createTempDirectory("dynamorph-bench"));
    user.setWelcomed();
    workspace =
        new Workspace(IdSource.random(RandomGenerator.getDefault()), ManyLayers.project(followers));
    window = new MainWindow(workspace, new NoDialogs(), user, Theme.CHALK);
    stage.setScene(window.scene());
    stage.show();
    new AnimationTimer() {
      @Override
      public void handle(long now) {
        long real = System.nanoTime();
        gap = Math.max(gap, (real - lastPulse) / 1e6);
        lastPulse = real;
      }
    }.start();
    window.stage().afterNextFrame(() -> Platform.runLater(this::edit));
  }

  private void edit() {
    gap = 0;
    lastPulse = started = System.nanoTime();
    workspace.apply(new ChangeStyle(ManyLayers.look(workspace.project(), round % 2 == 0)));
    window.stage().afterNextFrame(this::framed);
  }

  private void framed() {
    if (round >= 0) {
      toFrame[round] = (System.nanoTime() - started) / 1e6;
      longestPulse[round] = gap;
    }
    round++;
    if (round < ROUNDS) {
      Platform.runLater(this::edit);
      return;
    }
    Arrays.sort(toFrame);
    Arrays.sort(longestPulse);
    System.out.printf(
        "%d layers follow the edited style; %d rounds%n"
            + "from the edit to its frame: median %.1f ms, slowest %.1f ms%n"
            + "longest gap between two pulses of the window meanwhile: median %.1f ms%n",
        workspace.project().layers().count(),
        ROUNDS,
        toFrame[ROUNDS / 2],
        toFrame[ROUNDS - 1],
        longestPulse[ROUNDS / 2]);
    window.close();
    Platform.exit();
  }
}
