package dynamorph.app.files;

import dynamorph.app.action.Actions;
import dynamorph.app.message.Messages;
import dynamorph.app.render.Studio;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.formats.file.SafeFile;
import dynamorph.formats.project.KitFile;
import dynamorph.formats.project.ProjectFile;
import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.Asset;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.edit.ChangeProject;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.edit.layer.ArrangeLayers;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.shape.Shape;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.survey.BaseProposal;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.FontSize;
import dynamorph.paint.export.ArtboardPicture;
import dynamorph.paint.scene.Scene;
import dynamorph.typeset.font.DamagedFontException;
import dynamorph.typeset.font.FontLibrary;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.geometry.Point2D;

/**
 * New, open, save, export. Files are read and written off the interface thread; a failure leaves
 * the project untouched.
 */
public final class FileActions {
  private final Workspace workspace;
  private final Supplier<Studio> studio;
  private final Dialogs dialogs;
  private final UserFolder user;
  private final ExecutorService worker =
      Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "dynamorph-files");
        thread.setDaemon(true);
        return thread;
      });

  public FileActions(
      Workspace workspace, Supplier<Studio> studio, Dialogs dialogs, UserFolder user) {
    this.workspace = workspace;
    this.studio = studio;
    this.dialogs = dialogs;
    this.user = user;
    workspace
        .kitWantedProperty()
        .addListener((_, _, wanted) ->
            wanted.ifPresent(styles -> {
              workspace.kitWantedProperty().set(Optional.empty());
              saveKit(StyleBundle.of(workspace.project(), styles, List.of()));
            }));
  }

  public UserFolder user() {
    return user;
  }

  // --- opening
  // -----------------------------------------------------------------------------------------------------

  /** Registers what can be done with files. */
  public void register(Actions actions) {
    actions.add("project.new", "Shortcut+N", this::newProject);
    actions.add("project.open", "Shortcut+O", this::open);
    actions.add("project.save", "Shortcut+S", this::save);
    actions.add("project.save-as", "Shortcut+Shift+S", this::saveAs);
    actions.add(
        "project.export-artboard",
        "Shortcut+Shift+E",
        () -> currentArtboard().ifPresent(board -> exportArtboard(board.id(), 1)));
    actions.add("project.import-font", "", this::importFont);
    actions.add("project.add-image", "", this::addImage);
    actions.add("project.place-image", "", this::placeImage);
    actions.add("styles.import", "", this::importStyles);
    actions.add("styles.save-kit", "", this::saveAllAsKit);
  }

  public void newProject() {
    afterSettlingChanges(() -> workspace.open(blank(), Optional.empty()));
  }

  /** One artboard, with a base style whose size suits it. */
  public static Project blank() {
    Artboard board =
        Artboard.empty(
            "artboard-1", Messages.of("file-actions.artboard-1"), 1080, 1080, LengthUnit.PIXEL);
    StyleId base = new StyleId("base");
    Style style =
        new Style(
            base,
            Messages.of("common.base"),
            "",
            StyleLevel.TEXT,
            Optional.empty(),
            PropertySet.EMPTY.with(
                Properties.SIZE, FontSize.points(BaseProposal.size(board.width(), board.height()))),
            "");
    return Project.empty(Messages.of("file-actions.untitled"))
        .withStyles(StyleBook.of(List.of(style)))
        .withBaseStyle(Optional.of(base))
        .plus(board);
  }

  public void open() {
    afterSettlingChanges(() -> dialogs.choose(FileQuestion.PROJECT).ifPresent(this::read));
  }

  /** Opens a file after asking about changes. */
  public void open(Path file) {
    afterSettlingChanges(() -> read(file));
  }

  private void read(Path file) {
    worker.execute(() -> {
      try {
        Project project = ProjectFile.read(file);
        try (FontLibrary check = FontLibrary.forProject(project.assets())) {
          // only to find out whether the project's fonts can be read
          check.has(FontLibrary.SUBSTITUTE);
        }
        Platform.runLater(() -> {
          workspace.open(project, Optional.of(file));
          user.remember(file);
          tellMissingFonts(project);
        });
      } catch (IOException | DamagedFontException problem) {
        String message =
            problem instanceof DamagedFontException
                ? file.getFileName() + ": " + Messages.reason(problem)
                : Messages.reason(problem);
        Platform.runLater(() -> workspace.tell(Notice.problem(message)));
      }
    });
  }

  private void tellMissingFonts(Project project) {
    worker.execute(() -> {
      Scene scene = studio.get().maker().make(project);
      List<String> missing =
          scene.boards().stream()
              .flatMap(board -> board.texts().stream())
              .flatMap(text -> text.layout().missingFamilies().stream())
              .distinct()
              .sorted()
              .toList();
      if (!missing.isEmpty()) {
        String fonts = String.join(", ", missing);
        Platform.runLater(() ->
            workspace.tell(
                Notice.info(
                    Messages.of(
                        "file-actions.not-on-this-machine-stands-in",
                        fonts,
                        FontLibrary.SUBSTITUTE))));
      }
    });
  }

  /** Runs something that leaves the project, once its changes are saved or given up. */
  public void afterSettlingChanges(Runnable leave) {
    boolean untouched =
        !workspace.historyProperty().get().canUndo() || workspace.historyProperty().get().isSaved();
    if (untouched) {
      leave.run();
      return;
    }
    switch (dialogs.askAboutChanges(workspace.project().name())) {
      case SAVE -> save(leave);
      case LEAVE -> leave.run();
      case CANCEL -> {}
    }
  }

  // --- styles
  // -----------------------------------------------------------------------------------------------------

  /** Brings the styles of a kit or of another project; names that are taken are settled first. */
  public void importStyles() {
    dialogs
        .choose(FileQuestion.STYLES)
        .ifPresent(file ->
            worker.execute(() -> {
              try {
                StyleBundle bundle = KitFile.read(file);
                Platform.runLater(
                    () -> workspace.attempts().importStyles(bundle, styles -> styles));
              } catch (IOException problem) {
                Platform.runLater(() -> workspace.tell(Notice.problem(Messages.reason(problem))));
              }
            }));
  }

  /** Writes every style of the project into a kit. */
  public void saveAllAsKit() {
    saveKit(StyleBundle.all(workspace.project()));
  }

  private void saveKit(StyleBundle bundle) {
    String name = workspace.project().name();
    dialogs
        .choose(FileQuestion.SAVED_KIT, name + KitFile.ENDING)
        .ifPresent(file ->
            worker.execute(() -> {
              try {
                KitFile.write(name, bundle, file);
                int count = bundle.styles().size();
                Platform.runLater(() ->
                    workspace.tell(
                        Notice.info(
                            Messages.of(
                                "file-actions.style-saved-in", count, file.getFileName()))));
              } catch (IOException problem) {
                Platform.runLater(() -> workspace.tell(Notice.problem(Messages.reason(problem))));
              }
            }));
  }

  // --- saving
  // ------------------------------------------------------------------------------------------------------

  public void save() {
    save(() -> {});
  }

  private void save(Runnable then) {
    workspace.fileProperty().get().ifPresentOrElse(file -> write(file, then), () -> saveAs(then));
  }

  public void saveAs() {
    saveAs(() -> {});
  }

  private void saveAs(Runnable then) {
    dialogs
        .choose(FileQuestion.SAVED_PROJECT, workspace.project().name() + ProjectFile.ENDING)
        .ifPresent(file -> write(file, then));
  }

  private void write(Path file, Runnable then) {
    Project project = workspace.project();
    worker.execute(() -> {
      try {
        ProjectFile.write(project, file);
        Platform.runLater(() -> {
          workspace.saved(project, file);
          user.remember(file);
          workspace.tell(Notice.info(Messages.of("file-actions.saved", file.getFileName())));
          then.run();
        });
      } catch (IOException problem) {
        Platform.runLater(() ->
            workspace.tell(
                Notice.problem(
                    Messages.of(
                        "file-actions.not-saved-choose-another-place", Messages.reason(problem)))));
      }
    });
  }

  // --- exporting
  // ---------------------------------------------------------------------------------------------------

  /** Exports an artboard at so many pixels for a point. */
  public void exportArtboard(ArtboardId id, double scale) {
    Optional<Artboard> artboard = workspace.project().artboard(id);
    artboard
        .flatMap(board -> dialogs.choose(FileQuestion.SAVED_PICTURE, board.name() + ".png"))
        .ifPresent(file -> export(id, scale, file));
  }

  private void export(ArtboardId id, double scale, Path file) {
    Project project = workspace.project();
    Studio with = studio.get();
    workspace.tell(Notice.info(Messages.of("file-actions.exporting", file.getFileName())));
    worker.execute(() -> {
      try {
        Scene scene = with.maker().make(project);
        Scene.Board board = scene.board(id).orElseThrow();
        byte[] png = new ArtboardPicture(with.maker().painter()).png(board, scale);
        SafeFile.write(file, stream -> stream.write(png));
        Platform.runLater(() ->
            workspace.tell(Notice.info(Messages.of("file-actions.exported", file.getFileName()))));
      } catch (IOException | IllegalArgumentException problem) {
        Platform.runLater(() ->
            workspace.tell(
                Notice.problem(
                    Messages.of("file-actions.not-exported", Messages.reason(problem)))));
      }
    });
  }

  /** The artboard that the selection stands on, else the first. */
  public Optional<Artboard> currentArtboard() {
    Project project = workspace.project();
    Optional<LayerId> selected = workspace.selection().layers().stream().findFirst();
    return selected.flatMap(project::artboardOf).or(() -> project.artboards().stream().findFirst());
  }

  // --- fonts
  // -------------------------------------------------------------------------------------------------------

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

  // --- images

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
    Optional<Artboard> board = currentArtboard();
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
      open(file);
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

  public void close() {
    worker.shutdown();
  }
}
