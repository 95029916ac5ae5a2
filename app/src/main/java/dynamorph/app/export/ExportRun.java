package dynamorph.app.export;

import dynamorph.app.message.Messages;
import dynamorph.app.render.FrameService;
import dynamorph.app.render.Studio;
import dynamorph.app.session.Workspace;
import dynamorph.formats.export.ArtboardExport;
import dynamorph.formats.export.ExportOutcome;
import dynamorph.model.Artboard;
import dynamorph.model.Project;
import dynamorph.model.export.ExportPreset;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.SceneMaker;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import java.util.function.IntConsumer;
import java.util.function.Supplier;
import javafx.application.Platform;

/** Writes artboards beside the interface thread, as the project was when that began. */
final class ExportRun {
  private final Workspace workspace;
  private final Supplier<Studio> studio;
  private AtomicBoolean cancelled = new AtomicBoolean();
  private boolean isRunning;

  ExportRun(Workspace workspace, Supplier<Studio> studio) {
    this.workspace = workspace;
    this.studio = studio;
  }

  boolean isRunning() {
    return isRunning;
  }

  /** Stops after the artboard that is being written. */
  void cancel() {
    cancelled.set(true);
  }

  /**
   * Begins. All is told on the interface thread.
   *
   * @param progress how many artboards are done
   * @param end how it ended
   * @param failure why it did not, for people
   */
  void start(
      ExportPreset preset,
      List<Artboard> artboards,
      Path folder,
      IntConsumer progress,
      Consumer<ExportOutcome> end,
      Consumer<String> failure) {
    isRunning = true;
    cancelled = new AtomicBoolean();
    AtomicBoolean stop = cancelled;
    Project project = workspace.project();
    SceneMaker maker = studio.get().maker();
    FrameService.daemon("export")
        .newThread(() -> {
          try {
            // a painter of its own: what it keeps for large pictures goes with it
            LayerPainter painter = new LayerPainter();
            ExportOutcome outcome =
                new ArtboardExport(maker.make(project), painter, preset, false)
                    .write(
                        artboards,
                        folder,
                        done -> Platform.runLater(() -> progress.accept(done)),
                        stop::get);
            Platform.runLater(() -> ended(() -> end.accept(outcome)));
          } catch (IOException | RuntimeException | OutOfMemoryError failed) {
            String why = Messages.of("export-pane.not-exported", Messages.reason(failed));
            Platform.runLater(() -> ended(() -> failure.accept(why)));
          }
        })
        .start();
  }

  private void ended(Runnable tell) {
    isRunning = false;
    tell.run();
  }
}
