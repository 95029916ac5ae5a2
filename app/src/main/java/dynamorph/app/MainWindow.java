package dynamorph.app;

import dynamorph.app.action.Actions;
import dynamorph.app.artboards.ArtboardDialog;
import dynamorph.app.artboards.LayerActions;
import dynamorph.app.artboards.stage.StagePane;
import dynamorph.app.artboards.stage.StageView;
import dynamorph.app.artboards.text.TextActions;
import dynamorph.app.artboards.text.find.FindPane;
import dynamorph.app.artboards.text.spelling.SpellingService;
import dynamorph.app.field.Editors;
import dynamorph.app.field.Eyedropper;
import dynamorph.app.files.Dialogs;
import dynamorph.app.files.FileActions;
import dynamorph.app.files.UserFolder;
import dynamorph.app.film.SideTabs;
import dynamorph.app.film.TimelinePane;
import dynamorph.app.film.action.FilmActions;
import dynamorph.app.film.cues.CuePane;
import dynamorph.app.film.cues.CueWatch;
import dynamorph.app.finish.FinishActions;
import dynamorph.app.finish.FinishPresetsPane;
import dynamorph.app.fonts.FontsPane;
import dynamorph.app.fonts.ProjectFamilies;
import dynamorph.app.inspector.Inspector;
import dynamorph.app.inspector.SelectionSubject;
import dynamorph.app.property.EditorContext;
import dynamorph.app.property.Subject;
import dynamorph.app.property.SubjectFace;
import dynamorph.app.render.PictureService;
import dynamorph.app.render.Studio;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Screening;
import dynamorph.app.session.Tool;
import dynamorph.app.session.Workspace;
import dynamorph.app.styles.column.CardGestures;
import dynamorph.app.styles.column.StylesColumn;
import dynamorph.app.styles.deletion.StyleDeletionPane;
import dynamorph.app.styles.desk.StyleDesk;
import dynamorph.app.styles.importing.StyleImportPane;
import dynamorph.app.styles.keep.KeepPane;
import dynamorph.app.styles.palette.SwatchPane;
import dynamorph.app.styles.reach.ReachStrip;
import dynamorph.app.styles.reach.ReachView;
import dynamorph.app.styles.reach.ReachWatch;
import dynamorph.app.styles.specimen.Specimens;
import dynamorph.app.theme.LetterLayouts;
import dynamorph.app.theme.Theme;
import dynamorph.app.window.CommandSearch;
import dynamorph.app.window.HeadBar;
import dynamorph.app.window.ShortcutSheet;
import dynamorph.app.window.WelcomeStrip;
import dynamorph.model.Artboard;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.layer.ArrangeArtboards;
import dynamorph.model.edit.style.DeleteStyles;
import dynamorph.paint.film.FilmPicture;
import dynamorph.typeset.font.DamagedFontException;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.beans.binding.Bindings;
import javafx.beans.binding.BooleanBinding;
import javafx.geometry.Point2D;
import javafx.scene.Scene;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.Pane;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** Puts the views together and lists the actions. */
public final class MainWindow {
  private static final double STYLES_WIDTH = 270;
  private static final double INSPECTOR_WIDTH = 310;

  private final Workspace workspace;
  private final Actions actions = new Actions();
  private final PictureService pictures = new PictureService();
  private final StageView stage;
  private final StylesColumn styles;
  private final FindPane find;
  private final FontsPane fonts;
  private final FinishPresetsPane ready;
  private final SpellingService spelling;
  private final CueWatch cueWatch;
  private final FilmActions films;
  private final TimelinePane timeline;
  private final KeepPane keep;
  private final ReachWatch reach;
  private final FileActions files;
  private final Scene scene;
  private final CommandSearch search;
  private final Inspector inspector;
  private final SideTabs tabs;
  private Studio studio;
  private Theme theme;

  public MainWindow(Workspace workspace, Dialogs dialogs, UserFolder user, Theme theme) {
    LetterLayouts.keepApart();
    this.workspace = workspace;
    this.theme = theme;
    this.studio = Studio.of(workspace.project());
    studio.askMachineForFonts();
    Supplier<Studio> current = this::studio;
    // the studio follows the project's own fonts, before any view asks for it
    workspace.shownProperty().addListener((_, _, shown) -> followFonts(shown));
    this.stage = new StageView(workspace, current);
    this.files = new FileActions(workspace, current, dialogs, user);
    Pane overlay = new Pane();
    overlay.setMouseTransparent(true);
    Specimens specimens = new Specimens(current, pictures);
    StyleDeletionPane settle = new StyleDeletionPane(workspace, specimens);
    StyleImportPane arrival = new StyleImportPane(workspace, specimens);
    CardGestures cards = new CardGestures(workspace, stage, overlay);
    this.styles = new StylesColumn(workspace, specimens, stage.themeProperty(), cards);
    stage.setDropPlace(styles.dropPlace());
    Function<Supplier<Subject>, Editors> editors =
        subject ->
            new Editors(
                new EditorContext(
                    workspace,
                    current,
                    subject,
                    pictures,
                    () -> stage.themeProperty().get(),
                    user));
    this.inspector = new Inspector(workspace, editors);
    SwatchPane swatch =
        new SwatchPane(
            workspace,
            editors.apply(() -> new SelectionSubject(workspace, Cascade.of(workspace.project()))));
    StyleDesk desk = new StyleDesk(workspace, editors);
    this.keep = new KeepPane(workspace);
    this.search =
        new CommandSearch(
            workspace,
            actions,
            layer -> {
              workspace.select(List.of(layer.id()));
              stage.reveal(layer.id());
            });
    this.find = new FindPane(workspace, stage);
    this.spelling = new SpellingService(workspace);
    stage.setSpelling(spelling);
    SubjectFace plainFace =
        new SubjectFace(
            current,
            () -> new SelectionSubject(workspace, Cascade.of(workspace.project())),
            pictures,
            () -> stage.themeProperty().get());
    this.cueWatch = new CueWatch(workspace, stage);
    this.films = new FilmActions(workspace, stage, dialogs, current, () -> scene().getWindow());
    this.timeline = new TimelinePane(workspace, stage, cueWatch, films);
    cards.setLanding(timeline.landing());
    this.fonts =
        new FontsPane(
            workspace, stage, current, new ProjectFamilies(workspace, current, plainFace, user));
    this.ready = new FinishPresetsPane(workspace, stage, current, pictures);
    listActions();
    BorderPane frame = new BorderPane();
    frame.setTop(new VBox(new HeadBar(workspace, actions, files, search), new WelcomeStrip(user)));
    frame.setLeft(styles);
    CuePane cues = new CuePane(workspace, cueWatch, films);
    this.tabs = new SideTabs(workspace, inspector, cues);
    frame.setRight(side(desk, settle, swatch, arrival));
    StagePane stagePane = new StagePane(workspace, stage);
    stagePane.addOver(find);
    stagePane.addOver(fonts);
    frame.setCenter(stagePane);
    this.reach = new ReachWatch(workspace, stage, current);
    ReachStrip strip = new ReachStrip(workspace, stage, current, pictures, reach);
    stagePane.addInFront(new ReachView(workspace, stage, current, pictures, reach));
    BorderPane middle = new BorderPane(frame.getCenter());
    middle.setBottom(new VBox(timeline, strip));
    middle.setMinSize(0, 0);
    frame.setCenter(middle);
    styles.setPrefWidth(STYLES_WIDTH);
    StackPane root = new StackPane(frame, overlay);
    this.scene = new Scene(root, 1280, 800);
    dress(theme);
    actions.install(scene);
    scene.addEventFilter(KeyEvent.KEY_PRESSED, this::keyPressed);
    scene.addEventFilter(KeyEvent.KEY_RELEASED, this::keyReleased);
    workspace.openedProperty().addListener((_, _, _) -> stage.fitWhenSized());
    stage.requestFocus();
  }

  private StackPane side(
      StyleDesk desk, StyleDeletionPane settle, SwatchPane swatch, StyleImportPane arrival) {
    StackPane side = new StackPane(tabs, desk, keep, ready, settle, swatch, arrival);
    side.setPrefWidth(INSPECTOR_WIDTH);
    side.setMinWidth(INSPECTOR_WIDTH);
    side.setMaxWidth(INSPECTOR_WIDTH);
    BooleanBinding onDesk =
        Bindings.createBooleanBinding(
            () -> workspace.deskProperty().get().isPresent(), workspace.deskProperty());
    desk.visibleProperty().bind(onDesk);
    BooleanBinding settling =
        Bindings.createBooleanBinding(
            () -> workspace.settlingProperty().get().isPresent(), workspace.settlingProperty());
    settle.visibleProperty().bind(settling);
    BooleanBinding onSwatch =
        Bindings.createBooleanBinding(
            () -> workspace.openSwatchProperty().get().isPresent(), workspace.openSwatchProperty());
    swatch.visibleProperty().bind(onSwatch);
    BooleanBinding arriving =
        Bindings.createBooleanBinding(
            () -> workspace.arrivalProperty().get().isPresent(), workspace.arrivalProperty());
    arrival.visibleProperty().bind(arriving);
    BooleanBinding taken = onDesk.or(settling).or(onSwatch).or(arriving);
    keep.visibleProperty().bind(workspace.keepingProperty().and(taken.not()));
    BooleanBinding choosing =
        workspace.readyShownProperty().and(taken.not()).and(keep.visibleProperty().not());
    ready.visibleProperty().bind(choosing);
    tabs.visibleProperty().bind(keep.visibleProperty().not().and(taken.not()).and(choosing.not()));
    workspace
        .keepingProperty()
        .addListener((_, _, opening) -> {
          if (opening && !keep.open()) {
            workspace.keepingProperty().set(false);
          }
        });
    return side;
  }

  /** The fonts, typesetter and painters of the project that is open. */
  public Studio studio() {
    return studio;
  }

  private void followFonts(Project shown) {
    if (studio.fits(shown)) {
      return;
    }
    try {
      studio = Studio.of(shown);
    } catch (DamagedFontException damaged) {
      workspace.tell(Notice.problem(damaged.getMessage()));
    }
  }

  /** Goes to where it is said how the selected letters are read. */
  public boolean askForRuby() {
    tabs.showLook();
    return inspector.askForRuby();
  }

  private StageView.Arriving arriving(LayerActions layers) {
    return new StageView.Arriving() {
      @Override
      public void texts(byte[] texts, Artboard board) {
        layers.take(texts, board);
      }

      @Override
      public void file(Path file, Artboard board, Point2D place) {
        if (board.timeline().isPresent() && films.takesIn(file)) {
          films.takeIn(file);
        } else {
          files.take(file, board, place);
        }
      }
    };
  }

  public FindPane find() {
    return find;
  }

  FinishPresetsPane ready() {
    return ready;
  }

  public FontsPane fonts() {
    return fonts;
  }

  public SpellingService spelling() {
    return spelling;
  }

  public Scene scene() {
    return scene;
  }

  public TimelinePane timeline() {
    return timeline;
  }

  public FilmActions films() {
    return films;
  }

  public StageView stage() {
    return stage;
  }

  /** Whether everything that is drawn beside the interface thread shows. */
  public boolean isUpToDate() {
    return stage.isUpToDate() && pictures.isIdle() && reach.isIdle() && cueWatch.isIdle();
  }

  public Workspace workspace() {
    return workspace;
  }

  public Actions actions() {
    return actions;
  }

  public FileActions files() {
    return files;
  }

  /** Changes how the window looks. */
  public void dress(Theme wanted) {
    theme = wanted;
    theme.dress(scene);
    stage.themeProperty().set(theme);
  }

  private void listFilmActions() {
    BooleanBinding film =
        Bindings.createBooleanBinding(
            () -> workspace.screening().isOpen(), workspace.screening().filmProperty());
    Screening screening = workspace.screening();
    actions.add("Film", "New film\u2026", "", films::newFilm);
    actions.add("Film", "Film settings\u2026", "", film, films::filmSettings);
    actions.add("Film", "Play or pause", "", film, films::playOrPause);
    actions.add("Film", "One frame forward", "Alt+RIGHT", film, () -> screening.step(1));
    actions.add("Film", "One frame back", "Alt+LEFT", film, () -> screening.step(-1));
    actions.add("Film", "Next edit", "Alt+Shift+RIGHT", film, () -> screening.toEdit(true));
    actions.add("Film", "Previous edit", "Alt+Shift+LEFT", film, () -> screening.toEdit(false));
    actions.add("Film", "Add a title at the playhead", "", film, films.titles()::addTitle);
    actions.add("Film", "Add a cue at the playhead", "Alt+C", film, films.cues()::addCue);
    actions.add("Film", "Split at the playhead", "Alt+S", film, films.titles()::split);
    actions.add(
        "Film",
        "Trim in point to the playhead",
        "Alt+I",
        film,
        () -> films.titles().trimToPlayhead(true));
    actions.add(
        "Film",
        "Trim out point to the playhead",
        "Alt+O",
        film,
        () -> films.titles().trimToPlayhead(false));
    actions.add("Film", "Fade in and out", "Alt+F", film, films.titles()::fade);
    actions.add("Film", "Ripple delete", "Shift+DELETE", film, films.titles()::deleteClosingGap);
    actions.add("Film", "Select all on the track", "Alt+A", film, films.titles()::selectTrack);
    actions.add(
        "Film",
        "Show safe areas",
        "",
        film,
        () -> screening.safeAreasShownProperty().set(!screening.safeAreasShownProperty().get()));
    actions.add(
        "Film",
        "Half-resolution playback",
        "",
        film,
        () -> screening.coarseProperty().set(!screening.coarseProperty().get()));
    actions.add("Film", "Add footage\u2026", "", film, films.footage()::addFromFile);
    actions.add("Film", "Relink missing footage\u2026", "", film, films.footage()::findMissing);
    actions.add("Film", "Import captions\u2026", "", film, films.files()::importCaptions);
    actions.add("Film", "Export the captions\u2026", "", film, films.files()::exportListed);
    actions.add("Film", "Export all captions\u2026", "", film, films.files()::exportAllCaptions);
    actions.add("Film", "Export the frame\u2026", "", film, films.files()::exportFrame);
    actions.add(
        "Film",
        "Export the frames\u2026",
        "",
        film,
        () -> films.files().exportFrames(FilmPicture.Under.FOOTAGE));
    actions.add(
        "Film",
        "Export titles with transparency\u2026",
        "",
        film,
        () -> films.files().exportFrames(FilmPicture.Under.NOTHING));
  }

  private void listActions() {
    listFilmActions();
    BooleanBinding selected =
        Bindings.createBooleanBinding(
            () -> !workspace.selection().isEmpty() && workspace.selection().cursor().isEmpty(),
            workspace.selectionProperty());
    BooleanBinding any =
        Bindings.createBooleanBinding(
            () -> !workspace.selection().isEmpty(), workspace.selectionProperty());
    BooleanBinding pending =
        Bindings.createBooleanBinding(
            () ->
                workspace.deskProperty().get().isPresent()
                    || workspace.reviewProperty().get().isPresent(),
            workspace.deskProperty(),
            workspace.reviewProperty());
    actions.add("Project", "New project", "Shortcut+N", files::newProject);
    actions.add("Project", "Open\u2026", "Shortcut+O", files::open);
    actions.add("Project", "Save", "Shortcut+S", files::save);
    actions.add("Project", "Save as\u2026", "Shortcut+Shift+S", files::saveAs);
    actions.add(
        "Project",
        "Export the artboard\u2026",
        "Shortcut+Shift+E",
        () -> files.currentArtboard().ifPresent(board -> files.exportArtboard(board.id(), 1)));
    actions.add(
        "Project",
        "New artboard\u2026",
        "",
        () -> new ArtboardDialog(workspace).create(scene.getWindow()));
    actions.add(
        "Project",
        "Artboard settings\u2026",
        "",
        () ->
            files
                .currentArtboard()
                .ifPresent(
                    board -> new ArtboardDialog(workspace).change(scene.getWindow(), board)));
    actions.add("Project", "Delete the artboard", "", this::deleteArtboard);
    actions.add("Project", "Import a font\u2026", "", files::takeInFont);
    actions.add("Project", "Add an image\u2026", "", files::takeInImage);
    actions.add("Project", "Place an image\u2026", "", files::placeImage);
    actions.add("Edit", "Undo", "Shortcut+Z", workspace::undo);
    actions.add("Edit", "Redo", "Shortcut+Shift+Z", workspace::redo);
    LayerActions layers = new LayerActions(workspace);
    stage.onDropped(arriving(layers));
    actions.add("Edit", "Duplicate texts", "Shortcut+D", selected, layers::duplicate);
    actions.add("Edit", "Delete texts", "", selected, layers::delete);
    actions.add(
        "Edit", "Rename the text\u2026", "", selected, () -> layers.rename(scene.getWindow()));
    actions.add("Edit", "Select all texts", "Shortcut+A", layers::selectAll);
    actions.add("Edit", "Copy texts", "Shortcut+C", selected, layers::copy);
    actions.add("Edit", "Cut texts", "Shortcut+X", selected, layers::cut);
    actions.add("Edit", "Paste texts", "Shortcut+V", layers::paste);
    actions.add("Edit", "Copy the look", "F5", any, layers::copyLook);
    actions.add("Edit", "Paste the look", "F6", any, layers::pasteLook);
    FinishActions finish = new FinishActions(workspace);
    actions.add("Edit", "Copy the finish", "F7", any, finish::copy);
    actions.add("Edit", "Paste the finish", "F8", any, finish::paste);
    actions.add("Edit", "Clear the finish", "", any, finish::clear);
    actions.add(
        "Edit", "Bring to front", "Shortcut+Shift+UP", selected, () -> layers.restack(true));
    actions.add(
        "Edit", "Send to back", "Shortcut+Shift+DOWN", selected, () -> layers.restack(false));
    actions.add(
        "Styles",
        "Keep this look\u2026",
        "Shortcut+K",
        any,
        () -> workspace.keepingProperty().set(true));
    actions.add(
        "Styles",
        "Edit the followed style",
        "Shortcut+E",
        any,
        () -> layers.followedStyle().ifPresent(workspace::openDesk));
    actions.add(
        "Styles", "Drop local changes", "Shortcut+BACK_SPACE", any, workspace.deviations()::drop);
    actions.add(
        "Styles",
        "Save local changes into the style",
        "",
        any,
        workspace.deviations()::saveIntoStyle);
    actions.add(
        "Styles",
        "Make a derived style of the local changes",
        "",
        any,
        workspace.deviations()::deriveStyle);
    actions.add(
        "Styles",
        "Drop local changes on all followers\u2026",
        "",
        any,
        workspace.deviations()::dropOnAllFollowers);
    actions.add("Styles", "Keep the stack as one style", "", any, workspace.deviations()::combine);
    actions.add("Styles", "Clear all formatting", "", any, workspace.deviations()::clearFormatting);
    actions.add("Styles", "Delete unused styles", "", this::deleteUnused);
    actions.add("Styles", "New empty style", "", styles::addEmpty);
    actions.add("Styles", "Import styles\u2026", "", files::takeInStyles);
    actions.add("Styles", "Save all styles as a kit\u2026", "", files::saveAllAsKit);
    actions.add("Styles", "Finish presets\u2026", "F10", ready::open);
    actions.add("Styles", "Go to the styles", "Shortcut+L", styles::focusFirst);
    actions.add("Styles", "Commit the change", "Shortcut+ENTER", pending, this::commit);
    actions.add("Styles", "Discard the change", "", pending, workspace::discardPending);
    new TextActions(this, workspace).list(actions, any);
    actions.add(
        "View",
        "Show all of the reach",
        "Shortcut+R",
        () -> workspace.reachOpenProperty().set(!workspace.reachOpenProperty().get()));
    actions.add("View", "Show all artboards", "Shortcut+DIGIT0", stage::fitAll);
    actions.add("View", "Show the selection", "Shortcut+DIGIT2", stage::fitSelection);
    actions.add("View", "Zoom to 100 %", "Shortcut+DIGIT1", () -> stage.zoomTo(1));
    actions.add("View", "Zoom in", "Shortcut+EQUALS", () -> stage.zoom(1.25));
    actions.add("View", "Zoom out", "Shortcut+MINUS", () -> stage.zoom(0.8));
    actions.add(
        "View",
        "Outlines",
        "F9",
        () -> workspace.outlineShownProperty().set(!workspace.outlineShownProperty().get()));
    actions.add(
        "View",
        "Show rulers",
        "F4",
        () -> workspace.rulersShownProperty().set(!workspace.rulersShownProperty().get()));
    actions.add("View", "Change theme", "", () -> dress(theme.other()));
    actions.add("View", "Find an action or a text", "Ctrl+SPACE", search::requestFocus);
    actions.add("View", "Shortcuts", "F1", () -> ShortcutSheet.show(scene, actions));
  }

  /** Deletes the artboard that the selection stands on. */
  private void deleteArtboard() {
    if (workspace.selection().isEmpty()) {
      workspace.tell(Notice.info("Select a text on the artboard that shall go."));
      return;
    }
    files
        .currentArtboard()
        .ifPresent(board -> {
          if (workspace.apply(new ArrangeArtboards.Delete(board.id()))) {
            workspace.tell(
                Notice.offering(
                    "Deleted \"" + board.name() + "\" with its texts.", "Undo", workspace::undo));
          }
        });
  }

  private void deleteUnused() {
    DeleteStyles unused = DeleteStyles.unused(workspace.project());
    int count = unused.styles().size();
    if (count == 0) {
      workspace.tell(Notice.info("Every style is followed or is the base of one that is."));
    } else if (workspace.apply(unused)) {
      workspace.tell(
          Notice.offering(
              count == 1 ? "1 unused style deleted." : count + " unused styles deleted.",
              "Undo",
              workspace::undo));
    }
  }

  /** Takes what is being typed in a field along. */
  private void commit() {
    stage.requestFocus();
    workspace.commitPending();
  }

  private void keyPressed(KeyEvent event) {
    if (Eyedropper.isOpen(scene)) {
      return;
    }
    boolean typing = scene.getFocusOwner() instanceof TextInputControl;
    boolean editingText = workspace.selection().cursor().isPresent() && stage.isFocused();
    boolean desk =
        workspace.deskProperty().get().isPresent()
            || workspace.reviewProperty().get().isPresent()
            || workspace.openSwatchProperty().get().isPresent()
            || workspace.settlingProperty().get().isPresent();
    if (event.getCode() == KeyCode.ESCAPE && workspace.reachOpenProperty().get()) {
      workspace.reachOpenProperty().set(false);
      event.consume();
    } else if (event.getCode() == KeyCode.ESCAPE && desk && !typing) {
      workspace.discardPending();
      event.consume();
    } else if (event.getCode() == KeyCode.B && desk && !typing && !event.isShortcutDown()) {
      workspace.beforeShownProperty().set(true);
      event.consume();
    } else if (event.getCode() == KeyCode.ESCAPE && workspace.keepingProperty().get()) {
      workspace.keepingProperty().set(false);
      event.consume();
    } else if (!typing && !editingText && plain(event)) {
      plainKey(event);
    }
  }

  private static boolean plain(KeyEvent event) {
    return !event.isShortcutDown() && !event.isAltDown() && !event.isControlDown();
  }

  private void plainKey(KeyEvent event) {
    switch (event.getCode()) {
      case DELETE, BACK_SPACE -> {
        boolean onFilm = workspace.screening().isOpen() && films.tracks().deleteClip();
        boolean onLanes =
            scene.getFocusOwner() != null && "track-lanes".equals(scene.getFocusOwner().getId());
        if (onFilm) {
          event.consume();
          return;
        }
        if (!stage.isFocused() && !onLanes) {
          return;
        }
        actions.get("Delete texts").run();
      }
      case SPACE -> {
        if (!workspace.screening().isOpen()
            || scene.getFocusOwner() instanceof javafx.scene.control.ButtonBase) {
          return;
        }
        films.playOrPause();
      }
      default -> {
        for (Tool tool : Tool.values()) {
          if (event.getCode() == KeyCode.getKeyCode(String.valueOf(tool.key()))) {
            workspace.toolProperty().set(tool);
            event.consume();
          }
        }
        return;
      }
    }
    event.consume();
  }

  private void keyReleased(KeyEvent event) {
    if (event.getCode() == KeyCode.B) {
      workspace.beforeShownProperty().set(false);
    }
  }

  public void close() {
    stage.close();
    pictures.close();
    spelling.close();
    reach.close();
    cueWatch.close();
    films.close();
    files.close();
    workspace.footage().close();
    workspace.footageOfChecks().close();
  }
}
