package dynamorph.app.fill;

import dynamorph.app.action.Actions;
import dynamorph.app.files.Dialogs;
import dynamorph.app.files.FileActions;
import dynamorph.app.files.FileQuestion;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Notice;
import dynamorph.app.session.TableFill;
import dynamorph.app.session.Workspace;
import dynamorph.formats.table.TableReader;
import dynamorph.model.Artboard;
import dynamorph.model.fill.DataTable;
import java.nio.file.Path;
import java.util.Optional;

/** Reads tables, and opens the pane that makes artboards of their rows. */
public final class FillActions {
  private final Workspace workspace;
  private final Dialogs dialogs;
  private final FileActions files;

  public FillActions(Workspace workspace, Dialogs dialogs, FileActions files) {
    this.workspace = workspace;
    this.dialogs = dialogs;
    this.files = files;
  }

  public void register(Actions actions) {
    actions.add("project.fill-artboard", "", this::choose);
  }

  private void choose() {
    if (workspace.attempts().isBusy()) {
      return;
    }
    Optional<Artboard> pattern =
        files
            .currentArtboard()
            .filter(board -> !board.isFilm())
            .or(() -> workspace.project().still().findFirst());
    if (pattern.isEmpty()) {
      workspace.tell(Notice.problem(Messages.of("fill.there-is-no-artboard")));
      return;
    }
    dialogs.choose(FileQuestion.DATA).ifPresent(file -> open(file, pattern.get()));
  }

  /** Takes a table that was dropped onto an artboard. */
  public void take(Path file, Artboard pattern) {
    if (!workspace.attempts().isBusy()) {
      open(file, pattern);
    }
  }

  private void open(Path file, Artboard pattern) {
    files.inBackground(() -> TableReader.withHeader(file), table -> open(file, table, pattern));
  }

  private void open(Path file, DataTable table, Artboard pattern) {
    workspace.view().sheetProperty().set(false);
    workspace.view().reachProperty().set(false);
    workspace.playback().close();
    workspace
        .attempts()
        .fill(new TableFill(String.valueOf(file.getFileName()), table, pattern.id()));
  }
}
