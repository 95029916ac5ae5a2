package dynamorph.app.export;

import dynamorph.app.message.Messages;
import dynamorph.app.render.FrameService;
import dynamorph.app.render.Studio;
import dynamorph.app.session.Workspace;
import dynamorph.footage.FootageFiles;
import dynamorph.formats.export.ArtboardExport;
import dynamorph.formats.export.ExportOutcome;
import dynamorph.formats.export.FilmExport;
import dynamorph.model.Artboard;
import dynamorph.model.Project;
import dynamorph.model.export.ExportPreset;
import dynamorph.paint.film.FilmPicture;
import dynamorph.paint.film.FootagePainter;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Platform;

/** Writes artboards or films beside the interface thread, as the project was when that began. */
public final class ExportRun {
  /** Every how many frames of a film its progress is told. */
  private static final int FRAMES_TOLD = 5;

  /** How far it is, in artboards or in frames. */
  @FunctionalInterface
  public interface Progress {
    void told(long done, long all);
  }

  /** Writes files. */
  private interface Work {
    ExportOutcome write(LayerPainter painter, Scene scene) throws IOException;
  }

  private final Workspace workspace;
  private final Supplier<Studio> studio;
  private AtomicBoolean cancelled = new AtomicBoolean();
  private boolean isRunning;

  public ExportRun(Workspace workspace, Supplier<Studio> studio) {
    this.workspace = workspace;
    this.studio = studio;
  }

  public boolean isRunning() {
    return isRunning;
  }

  /** Stops after the artboard, or the frame, that is being written. */
  public void cancel() {
    cancelled.set(true);
  }

  /**
   * Begins with artboards. All is told on the interface thread.
   *
   * @param project that they belong to; it need not be the one that is open
   * @param end how it ended
   * @param failure why it did not, for people
   */
  public void start(
      Project project,
      ExportPreset preset,
      List<Artboard> artboards,
      Path folder,
      Progress progress,
      Consumer<ExportOutcome> end,
      Consumer<String> failure) {
    AtomicBoolean stop = begin();
    run(
        project,
        (painter, scene) ->
            new ArtboardExport(scene, painter, preset, false)
                .write(
                    artboards,
                    folder,
                    done -> Platform.runLater(() -> progress.told(done, artboards.size())),
                    stop::get),
        end,
        failure);
  }

  /** Begins with films, as with artboards. */
  void startFilms(
      ExportPreset preset,
      List<FilmExport.Part> parts,
      Path folder,
      Progress progress,
      Consumer<ExportOutcome> end,
      Consumer<String> failure) {
    AtomicBoolean stop = begin();
    long all = parts.stream().mapToLong(FilmExport.Part::frames).sum();
    run(
        workspace.project(),
        (painter, scene) -> {
          // with files of its own, or the window's would be sent to and fro
          try (FootageFiles footage = new FootageFiles()) {
            FilmPicture picture =
                new FilmPicture(painter, FootagePainter.of(scene.project(), footage));
            return new FilmExport(scene, picture, preset, false)
                .write(
                    parts,
                    folder,
                    done -> {
                      if (done % FRAMES_TOLD == 0 || done == all) {
                        Platform.runLater(() -> progress.told(done, all));
                      }
                    },
                    stop::get);
          }
        },
        end,
        failure);
  }

  private AtomicBoolean begin() {
    isRunning = true;
    cancelled = new AtomicBoolean();
    return cancelled;
  }

  private void run(
      Project project, Work work, Consumer<ExportOutcome> end, Consumer<String> failure) {
    SceneMaker maker = studio.get().maker();
    FrameService.daemon("export")
        .newThread(() -> {
          try {
            // a painter of its own: what it keeps for large pictures goes with it
            ExportOutcome outcome = work.write(new LayerPainter(), maker.make(project));
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
