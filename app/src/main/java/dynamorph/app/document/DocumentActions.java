package dynamorph.app.document;

import dynamorph.app.action.Actions;
import dynamorph.app.artboards.stage.StageView;
import dynamorph.app.files.Dialogs;
import dynamorph.app.files.FileActions;
import dynamorph.app.files.FileQuestion;
import dynamorph.app.session.DocumentImport;
import dynamorph.app.session.Workspace;
import dynamorph.formats.document.DocumentFile;
import dynamorph.formats.svg.SvgFile;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.document.WrittenDocument;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Reads documents, and opens the pane that settles what becomes of them. */
public final class DocumentActions {
  private final Workspace workspace;
  private final StageView stage;
  private final Dialogs dialogs;
  private final FileActions files;

  public DocumentActions(Workspace workspace, StageView stage, Dialogs dialogs, FileActions files) {
    this.workspace = workspace;
    this.stage = stage;
    this.dialogs = dialogs;
    this.files = files;
  }

  public void register(Actions actions) {
    actions.add("project.import-document", "", this::choose);
  }

  private void choose() {
    if (!workspace.attempts().isBusy()) {
      dialogs.choose(FileQuestion.DOCUMENT).ifPresent(this::open);
    }
  }

  /** Opens a document or a drawing for the current artboard. */
  public void open(Path file) {
    open(file, files.currentArtboard(), false);
  }

  /** Whether a file is one that can be taken, by its name. */
  public static boolean takes(Path file) {
    return DocumentFile.isDocument(file) || SvgFile.isDrawing(file);
  }

  /** Takes a document or a drawing that was dropped onto an artboard. */
  public void take(Path file, Artboard board) {
    if (!workspace.attempts().isBusy()) {
      open(file, Optional.of(board), true);
    }
  }

  private void open(Path file, Optional<Artboard> board, boolean onArtboard) {
    workspace.clearNotice();
    if (SvgFile.isDrawing(file)) {
      files.inBackground(
          () -> SvgFile.read(file),
          drawing ->
              open(
                  drawing.words(),
                  board,
                  Optional.of(
                      new DocumentImport.Drawn(
                          drawing, onArtboard && board.filter(one -> !one.isFilm()).isPresent()))));
    } else {
      files.inBackground(
          () -> DocumentFile.read(file), document -> open(document, board, Optional.empty()));
    }
  }

  private void open(
      WrittenDocument document, Optional<Artboard> board, Optional<DocumentImport.Drawn> drawing) {
    Project project = workspace.project();
    Optional<Artboard> still =
        board.filter(one -> !one.isFilm()).or(() -> project.still().findFirst());
    List<LayerId> texts =
        project.layersOf(workspace.selection().layers()).values().stream()
            .filter(layer -> layer.isText() && !layer.isFurtherBox() && layer.timing().isEmpty())
            .map(Layer::id)
            .sorted(inReadingOrder())
            .toList();
    // what comes is shown where it will stand
    workspace.view().sheetProperty().set(false);
    workspace.view().reachProperty().set(false);
    workspace.playback().close();
    workspace
        .attempts()
        .importDocument(new DocumentImport(document, still.map(Artboard::id), texts, drawing));
  }

  /** From the top down, then from the left; artboard by artboard. */
  private Comparator<LayerId> inReadingOrder() {
    Project project = workspace.project();
    return Comparator.<LayerId>comparingInt(
            id -> project.artboardOf(id).map(board -> project.artboards().indexOf(board)).orElse(0))
        .thenComparingDouble(id -> place(id, true))
        .thenComparingDouble(id -> place(id, false));
  }

  private double place(LayerId id, boolean down) {
    return stage
        .scene()
        .flatMap(scene -> scene.find(id))
        .map(found -> down ? found.text().bounds().y() : found.text().bounds().x())
        .orElse(0.0);
  }
}
