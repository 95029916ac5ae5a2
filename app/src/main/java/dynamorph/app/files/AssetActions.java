package dynamorph.app.files;

import dynamorph.app.action.Actions;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.formats.project.ProjectFile;
import dynamorph.model.Artboard;
import dynamorph.model.Asset;
import dynamorph.model.Layer;
import dynamorph.model.edit.ChangeProject;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.layer.ArrangeLayers;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.shape.Shape;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.BoxFit;
import dynamorph.typeset.font.DamagedFontException;
import dynamorph.typeset.font.FontLibrary;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.geometry.Point2D;

/**
 * Files that travel with the project: fonts, and images for patterns or to be placed. They are read
 * off the interface thread; a failure leaves the project untouched.
 */
public final class AssetActions {
  private final Workspace workspace;
  private final Dialogs dialogs;
  private final FileActions files;
  private final Executor worker;

  /**
   * @param files opens projects that are dropped
   * @param worker reads files
   */
  AssetActions(Workspace workspace, Dialogs dialogs, FileActions files, Executor worker) {
    this.workspace = workspace;
    this.dialogs = dialogs;
    this.files = files;
    this.worker = worker;
  }

  /** Registers what can be done with them. */
  void register(Actions actions) {
    actions.add("project.import-font", "", this::importFont);
    actions.add("project.add-image", "", this::addImage);
    actions.add("project.place-image", "", this::placeImage);
  }

  /** Takes a font file into the project, so that it travels with it. */
  public void importFont() {
    dialogs.choose(FileQuestion.FONT).ifPresent(this::importFont);
  }

  private void importFont(Path file) {
    worker.execute(() -> {
      try {
        byte[] bytes = Files.readAllBytes(file);
        String family = FontLibrary.familyOf(file.getFileName().toString(), bytes);
        Asset asset = new Asset("fonts/" + file.getFileName(), bytes);
        Platform.runLater(() -> {
          if (workspace.apply(new ChangeProject.PutAsset(asset))) {
            workspace.tell(
                Notice.info(Messages.of("file-actions.now-travels-with-the-project", family)));
          }
        });
      } catch (IOException | DamagedFontException | IllegalArgumentException problem) {
        Platform.runLater(() -> workspace.tell(Notice.problem(Messages.reason(problem) + ".")));
      }
    });
  }

  /** Takes an image file into the project, for patterns. */
  public void addImage() {
    dialogs
        .choose(FileQuestion.IMAGE)
        .ifPresent(file ->
            read(
                file,
                image -> {
                  if (workspace.apply(new ChangeProject.PutAsset(image.asset()))) {
                    workspace.tell(
                        Notice.info(
                            Messages.of(
                                "file-actions.now-travels-with-the-project",
                                image.asset().shortName())));
                  }
                }));
  }

  /** Puts an image onto the current artboard, as a layer of its own. */
  public void placeImage() {
    Optional<Artboard> board = files.currentArtboard();
    if (board.isEmpty()) {
      workspace.tell(Notice.problem(Messages.of("file-actions.there-is-no-artboard-to-place")));
      return;
    }
    dialogs
        .choose(FileQuestion.IMAGE)
        .ifPresent(file -> read(file, image -> place(image, board.get())));
  }

  /**
   * Takes a file that was dropped onto an artboard: a project is opened, an image placed.
   *
   * @param place on the artboard, in points
   */
  public void take(Path file, Artboard board, Point2D place) {
    if (ProjectFile.isNamedSo(file)) {
      files.open(file);
    } else {
      read(file, image -> place(image, board, place));
    }
  }

  private void place(ImageFile image, Artboard board) {
    place(image, board, new Point2D(board.width() / 2, board.height() / 2));
  }

  /** Half as wide as the artboard at most, its middle at a place. */
  private void place(ImageFile image, Artboard board, Point2D middle) {
    double scale =
        Math.min(
            1, Math.min(board.width() / 2 / image.width(), board.height() / 2 / image.height()));
    PropertySet frame =
        PropertySet.EMPTY
            .with(Properties.ANCHOR, Anchor.CENTRE)
            .with(Properties.POSITION_X, (double) Math.round(middle.getX() - board.width() / 2))
            .with(Properties.POSITION_Y, (double) Math.round(middle.getY() - board.height() / 2))
            .with(Properties.BOX, BoxFit.FIXED)
            .with(Properties.BOX_WIDTH, image.width() * scale)
            .with(Properties.BOX_HEIGHT, image.height() * scale);
    PropertySet bare =
        PropertySet.EMPTY.with(Properties.COAT_SHOWN.at(Address.coat("fill")), false);
    String name = image.asset().shortName();
    Layer layer =
        Layer.of(workspace.ids().next("image"), name, new Shape.Picture(name))
            .withFrame(frame)
            .withLocal(bare);
    boolean placed =
        workspace.apply(
            Edit.together(
                Messages.of("file-actions.place-an-image"),
                new ChangeProject.PutAsset(image.asset()),
                new ArrangeLayers.Add(
                    board.id(),
                    List.of(workspace.playback().timed(board, layer)),
                    Messages.of("file-actions.place"))));
    if (placed) {
      workspace.select(List.of(layer.id()));
    }
  }

  private void read(Path file, Consumer<ImageFile> taker) {
    worker.execute(() -> {
      try {
        ImageFile image = ImageFile.read(file);
        Platform.runLater(() -> taker.accept(image));
      } catch (IOException | IllegalArgumentException problem) {
        Platform.runLater(() -> workspace.tell(Notice.problem(Messages.reason(problem) + ".")));
      }
    });
  }
}
