package dynamorph.app.artboards;

import dynamorph.app.action.Actions;
import dynamorph.app.files.FileActions;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.model.edit.layer.ArrangeArtboards;
import java.util.function.Supplier;
import javafx.stage.Window;

/** What can be done with artboards. */
public final class ArtboardActions {
  private final Workspace workspace;
  private final FileActions files;
  private final Supplier<Window> window;

  public ArtboardActions(Workspace workspace, FileActions files, Supplier<Window> window) {
    this.workspace = workspace;
    this.files = files;
    this.window = window;
  }

  public void register(Actions actions) {
    actions.add(
        "project.new-artboard", "", () -> new ArtboardDialog(workspace).create(window.get()));
    actions.add(
        "project.artboard-settings",
        "",
        () ->
            files
                .currentArtboard()
                .ifPresent(board -> new ArtboardDialog(workspace).change(window.get(), board)));
    actions.add("project.delete-artboard", "", this::delete);
  }

  /** Deletes the artboard that the selection stands on. */
  private void delete() {
    if (workspace.selection().isEmpty()) {
      workspace.tell(Notice.info(Messages.of("artboard-actions.select-a-text-on-the-artboard")));
      return;
    }
    files
        .currentArtboard()
        .ifPresent(board -> {
          if (workspace.apply(new ArrangeArtboards.Delete(board.id()))) {
            workspace.tell(
                Notice.offering(
                    Messages.of("artboard-actions.deleted-with-its-texts", board.name()),
                    Messages.of("common.undo"),
                    workspace::undo));
          }
        });
  }
}
