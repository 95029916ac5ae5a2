package dynamorph.bench;

import dynamorph.app.MainWindow;
import dynamorph.app.session.Workspace;
import dynamorph.model.edit.style.ChangeStyle;
import java.io.IOException;
import java.util.Arrays;
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

  @Override
  public void start(Stage stage) throws IOException {
    int followers =
        getParameters().getRaw().isEmpty()
            ? 1000
            : Integer.parseInt(getParameters().getRaw().getFirst());
    window = BenchWindow.open(stage, ManyLayers.project(followers));
    workspace = window.workspace();
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
