package dynamorph.app;

import dynamorph.app.session.Workspace;
import dynamorph.model.Layer;
import dynamorph.model.style.Style;
import dynamorph.model.timeline.Time;
import java.util.ArrayDeque;
import java.util.List;
import java.util.Queue;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.embed.swing.SwingFXUtils;
import javafx.util.Duration;

/**
 * A short session of the demo by itself, at the end of a build: the virtual machine keeps which
 * classes it loads and how its methods are used (JEP 514, 515), so that later starts need not find
 * out again.
 */
final class TrainingRun {
  private static final Duration BETWEEN = Duration.millis(500);

  private final MainWindow main;
  private final Workspace workspace;
  private final Queue<Runnable> steps;

  private TrainingRun(MainWindow main) {
    this.main = main;
    this.workspace = main.workspace();
    Style style = workspace.project().styles().list().getFirst();
    Layer first = workspace.project().layers().findFirst().orElseThrow();
    this.steps =
        new ArrayDeque<>(
            List.of(
                () -> workspace.select(List.of(first.id())),
                () -> workspace.attempts().openDesk(style.id()),
                workspace.attempts()::discardPending,
                () -> workspace.select(List.of()),
                () -> workspace.playback().open(),
                () -> workspace.playback().seek(Time.ofMillis(30_480)),
                () -> workspace.playback().close(),
                // a module that was never used is missing in the cache, which is then not taken
                () -> SwingFXUtils.fromFXImage(main.scene().snapshot(null), null)));
  }

  /** Goes through the views once, then ends the program. */
  static void start(MainWindow main) {
    TrainingRun run = new TrainingRun(main);
    main.stage().afterNextFrame(run::next);
  }

  private void next() {
    PauseTransition pause = new PauseTransition(BETWEEN);
    pause.setOnFinished(_ -> {
      Runnable step = steps.poll();
      if (step == null) {
        Platform.exit();
        return;
      }
      step.run();
      next();
    });
    pause.play();
  }
}
