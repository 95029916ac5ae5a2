package dynamorph.app.artboards;

import static java.util.Objects.requireNonNull;

import dynamorph.app.action.Actions;
import dynamorph.app.files.FileActions;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.LayerId;
import dynamorph.model.edit.layer.ArrangeArtboards;
import dynamorph.model.flow.LinkedBoxes;
import java.util.HashMap;
import java.util.Map;
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
        "project.artboard-settings", "", () -> files.currentArtboard().ifPresent(this::settings));
    actions.add("project.delete-artboard", "", this::delete);
    actions.add(
        "project.duplicate-artboard", "", () -> files.currentArtboard().ifPresent(this::duplicate));
  }

  /** Asks for other values of an artboard. */
  public void settings(Artboard board) {
    new ArtboardDialog(workspace).change(window.get(), board);
  }

  /** Puts a copy of an artboard with all that stands on it beside the others. */
  public void duplicate(Artboard board) {
    Map<LayerId, LayerId> copies = new HashMap<>();
    board
        .layers()
        .forEach(layer -> copies.put(layer.id(), new LayerId(workspace.ids().next("text"))));
    LinkedBoxes links = LinkedBoxes.of(workspace.project());
    Artboard copy =
        board
            .withId(new ArtboardId(workspace.ids().next("artboard")))
            .withName(Messages.of("artboard-actions.copy-of", board.name()))
            .mapLayers(layer ->
                links.relinked(layer.withId(requireNonNull(copies.get(layer.id()))), copies));
    if (workspace.apply(new ArrangeArtboards.Add(copy))) {
      workspace.tell(
          Notice.offering(
              Messages.of("artboard-actions.duplicated", copy.name()),
              Messages.of("common.undo"),
              workspace::undo));
    }
  }

  /** Deletes the artboard that the selection stands on. */
  private void delete() {
    if (workspace.selection().isEmpty()) {
      workspace.tell(Notice.info(Messages.of("artboard-actions.select-a-text-on-the-artboard")));
      return;
    }
    files.currentArtboard().ifPresent(this::delete);
  }

  /** Deletes an artboard with all that stands on it. */
  public void delete(Artboard board) {
    if (workspace.apply(new ArrangeArtboards.Delete(board.id()))) {
      workspace.tell(
          Notice.offering(
              Messages.of("artboard-actions.deleted-with-its-texts", board.name()),
              Messages.of("common.undo"),
              workspace::undo));
    }
  }
}
