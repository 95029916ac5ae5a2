package dynamorph.app;

import dynamorph.app.action.Actions;
import dynamorph.app.artboards.ArtboardActions;
import dynamorph.app.artboards.LayerActions;
import dynamorph.app.artboards.arrange.ArrangeActions;
import dynamorph.app.artboards.arrange.ArrangeBar;
import dynamorph.app.artboards.flow.FlowActions;
import dynamorph.app.artboards.layers.LayersPane;
import dynamorph.app.artboards.menu.StageMenus;
import dynamorph.app.artboards.stage.StageActions;
import dynamorph.app.artboards.stage.StagePane;
import dynamorph.app.artboards.stage.StageView;
import dynamorph.app.artboards.text.TextActions;
import dynamorph.app.artboards.text.find.FindPane;
import dynamorph.app.artboards.text.spelling.SpellingService;
import dynamorph.app.document.DocumentActions;
import dynamorph.app.document.DocumentPane;
import dynamorph.app.export.ExportPane;
import dynamorph.app.field.Editors;
import dynamorph.app.field.Tips;
import dynamorph.app.files.Dialogs;
import dynamorph.app.files.FileActions;
import dynamorph.app.files.UserFolder;
import dynamorph.app.files.recovery.JournalKeeper;
import dynamorph.app.files.recovery.RecoveryPane;
import dynamorph.app.files.versions.VersionKeeper;
import dynamorph.app.files.versions.VersionsPane;
import dynamorph.app.fill.FillActions;
import dynamorph.app.fill.FillPane;
import dynamorph.app.film.TimelinePane;
import dynamorph.app.film.action.FilmActions;
import dynamorph.app.film.cues.CuePane;
import dynamorph.app.film.cues.CueWatch;
import dynamorph.app.finish.FinishActions;
import dynamorph.app.finish.FinishPresetsPane;
import dynamorph.app.fonts.FontsPane;
import dynamorph.app.fonts.ProjectFamilies;
import dynamorph.app.history.StepsPane;
import dynamorph.app.inspector.Inspector;
import dynamorph.app.inspector.SelectionSubject;
import dynamorph.app.message.Messages;
import dynamorph.app.property.EditorContext;
import dynamorph.app.property.Subject;
import dynamorph.app.property.SubjectFace;
import dynamorph.app.render.PictureService;
import dynamorph.app.render.Pieces;
import dynamorph.app.render.StatePictures;
import dynamorph.app.render.Studio;
import dynamorph.app.session.Attempt;
import dynamorph.app.session.Conditions;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.app.sheet.SheetPane;
import dynamorph.app.sheet.WordsMenu;
import dynamorph.app.shelf.ShelfKeeper;
import dynamorph.app.shelf.ShelfRooms;
import dynamorph.app.shortcuts.ShortcutKeeper;
import dynamorph.app.shortcuts.ShortcutsPane;
import dynamorph.app.styles.StyleActions;
import dynamorph.app.styles.column.CardGestures;
import dynamorph.app.styles.column.CompactStyles;
import dynamorph.app.styles.column.ShelfPart;
import dynamorph.app.styles.column.StylesColumn;
import dynamorph.app.styles.deletion.StyleDeletionPane;
import dynamorph.app.styles.desk.StyleDesk;
import dynamorph.app.styles.importing.StyleImportPane;
import dynamorph.app.styles.keep.KeepPane;
import dynamorph.app.styles.palette.SwatchPane;
import dynamorph.app.styles.reach.ReachSources;
import dynamorph.app.styles.reach.ReachStrip;
import dynamorph.app.styles.reach.ReachView;
import dynamorph.app.styles.reach.ReachWatch;
import dynamorph.app.styles.specimen.Specimens;
import dynamorph.app.survey.SurveyFiles;
import dynamorph.app.survey.SurveyPane;
import dynamorph.app.survey.SurveyWatch;
import dynamorph.app.theme.LetterLayouts;
import dynamorph.app.theme.Theme;
import dynamorph.app.window.CommandSearch;
import dynamorph.app.window.HeadBar;
import dynamorph.app.window.LatePane;
import dynamorph.app.window.SidePanel;
import dynamorph.app.window.SideTabs;
import dynamorph.app.window.WindowActions;
import dynamorph.formats.journal.Journals;
import dynamorph.formats.versions.Versions;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.typeset.font.DamagedFontException;
import dynamorph.typeset.font.FontLibrary;
import java.time.InstantSource;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.beans.InvalidationListener;
import javafx.beans.Observable;
import javafx.beans.binding.Bindings;
import javafx.beans.binding.BooleanBinding;
import javafx.beans.property.BooleanProperty;
import javafx.geometry.HPos;
import javafx.scene.Scene;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.Pane;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** Puts the views together. */
public final class MainWindow {
  private static final SidePanel.Limits STYLES = new SidePanel.Limits(220, 270, 520);
  private static final SidePanel.Limits SIDE = new SidePanel.Limits(310, 310, 560);

  private final Workspace workspace;
  private final Actions actions = new Actions();
  private final PictureService pictures = new PictureService();
  private final StageView stage;
  private final StylesColumn styles;
  private final LatePane<FindPane> find;
  private final LatePane<FontsPane> fonts;
  private final SpellingService spelling;
  private final CueWatch cueWatch;
  private final FilmActions films;
  private final TimelinePane timeline;
  private final ReachWatch reach;
  private final FileActions files;
  private final DocumentActions documents;
  private final FillActions fills;
  private final JournalKeeper journal;
  private final LatePane<RecoveryPane> recovery;
  private final VersionKeeper versionKeeper;
  private final LatePane<VersionsPane> versions;
  private final LatePane<ExportPane> export;
  private final LatePane<StepsPane> steps;
  private final Introduction introduction;
  private final Scene scene;
  private final CommandSearch search;
  private final ArrangeActions arrange;
  private final ShortcutKeeper keys;
  private final LatePane<ShortcutsPane> shortcuts;
  private final Inspector inspector;
  private final SideTabs tabs;
  private final SideColumn side;
  private final SidePanel left;
  private final SidePanel right;
  private final SurveyWatch survey;
  private final LatePane<SurveyPane> foundBySurvey;
  private final LatePane<SheetPane> sheet;
  private final ShelfRooms shelf;
  private final ShelfPart onShelf;
  private Studio studio;
  private Theme theme;
  private boolean hasBegun;

  public MainWindow(Workspace workspace, Dialogs dialogs, UserFolder user, Theme theme) {
    this(workspace, dialogs, user, theme, Studio.of(workspace.project()));
    studio.askMachineForFonts();
  }

  /**
   * @param studio with the fonts of the project that is open
   */
  public MainWindow(
      Workspace workspace, Dialogs dialogs, UserFolder user, Theme theme, Studio studio) {
    LetterLayouts.keepApart();
    theme.dressControls();
    this.workspace = workspace;
    this.theme = theme;
    this.studio = studio;
    Supplier<Studio> current = () -> this.studio;
    // the studio follows the project's own fonts, before any view asks for it
    workspace.shownProperty().addListener((_, _, shown) -> followFonts(shown));
    this.stage = new StageView(workspace, current);
    this.versionKeeper =
        new VersionKeeper(
            workspace,
            new Versions(user.folder().resolve("versions"), InstantSource.system()),
            user.keepsVersions(),
            InstantSource.system());
    this.files = new FileActions(workspace, current, dialogs, user, versionKeeper);
    this.documents = new DocumentActions(workspace, stage, dialogs, files);
    this.fills = new FillActions(workspace, dialogs, files);
    this.journal =
        new JournalKeeper(
            workspace, new Journals(user.folder().resolve("journal"), InstantSource.system()));
    StatePictures states = new StatePictures(current, workspace.footageOfChecks());
    this.recovery =
        LatePane.showingItself(() ->
            new RecoveryPane(
                workspace,
                journal,
                states,
                pictures,
                files::afterSettlingChanges,
                stage::requestFocus));
    Pane overlay = new Pane();
    overlay.setMouseTransparent(true);
    Specimens specimens = new Specimens(current, pictures);
    this.versions =
        LatePane.showingItself(() ->
            new VersionsPane(
                workspace,
                versionKeeper,
                states,
                specimens,
                pictures,
                dialogs::agrees,
                stage::requestFocus));
    this.export =
        LatePane.showingItself(() ->
            new ExportPane(workspace, current, states, pictures, dialogs, stage::requestFocus));
    this.steps =
        LatePane.showingItself(
            () -> new StepsPane(workspace, states, pictures, stage::requestFocus));
    this.introduction = new Introduction(workspace, actions, files, stage, states, pictures, user);
    CardGestures cards = new CardGestures(workspace, stage, overlay);
    this.shelf =
        new ShelfRooms(workspace, files, dialogs, specimens, states, pictures, stage::requestFocus);
    this.onShelf =
        new ShelfPart(
            workspace,
            shelf.keeper(),
            shelf.looks(),
            specimens,
            dialogs,
            entry -> shelf.history().get().open(entry));
    cards.setShelf(onShelf);
    CompactStyles.remember(workspace.view(), user);
    this.styles = new StylesColumn(workspace, specimens, stage.themeProperty(), cards, onShelf);
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
    this.arrange = new ArrangeActions(workspace, stage);
    this.search =
        new CommandSearch(
            workspace,
            actions,
            layer -> {
              workspace.select(List.of(layer.id()));
              stage.reveal(layer.id());
              stage.requestFocus();
            });
    this.find = LatePane.showingItself(() -> new FindPane(workspace, stage));
    this.spelling = new SpellingService(workspace);
    stage.setSpelling(spelling);
    SubjectFace plainFace =
        new SubjectFace(current, this::selected, pictures, () -> stage.themeProperty().get());
    this.cueWatch = new CueWatch(workspace, stage);
    this.films = new FilmActions(workspace, stage, dialogs, current, () -> scene().getWindow());
    this.timeline = new TimelinePane(workspace, stage, cueWatch, films);
    cards.setLanding(timeline.landing());
    this.fonts =
        LatePane.showingItself(() ->
            new FontsPane(
                workspace,
                stage,
                current,
                new ProjectFamilies(workspace, current, plainFace, user)));
    Tips.setKeys(actions::keysOf);
    this.keys = new ShortcutKeeper(actions, user);
    this.shortcuts =
        LatePane.showingItself(
            () -> new ShortcutsPane(workspace, actions, keys, dialogs, stage::requestFocus));
    registerActions();
    this.inspector =
        new Inspector(workspace, editors, new ArrangeBar(workspace, stage, actions, arrange));
    BorderPane frame = new BorderPane();
    frame.setTop(
        new VBox(
            new HeadBar(workspace, actions, files, search, preset -> export.get().open(preset)),
            introduction.tour()));
    BooleanProperty alone = workspace.view().stageAloneProperty();
    this.left =
        new SidePanel(
            "styles",
            styles,
            HPos.LEFT,
            STYLES,
            workspace.view().stylesColumnProperty().and(alone.not()),
            user);
    frame.setLeft(left);
    StackPane cues = new StackPane();
    onFirstFilm(() -> cues.getChildren().add(new CuePane(workspace, cueWatch, films)));
    this.survey = new SurveyWatch(workspace, stage, current);
    this.foundBySurvey =
        LatePane.during(
            workspace.view().surveyProperty(),
            () ->
                new SurveyPane(
                    workspace,
                    stage,
                    survey,
                    specimens,
                    new SurveyFiles(workspace, dialogs, current)));
    this.tabs =
        new SideTabs(
            workspace,
            inspector,
            LatePane.during(
                workspace.view().layersProperty(), () -> new LayersPane(workspace, stage, actions)),
            cues,
            foundBySurvey);
    WindowSearch everything = new WindowSearch(workspace, stage, states, pictures);
    search.add(_ -> everything.properties(tabs, inspector));
    search.add(_ -> everything.artboards());
    search.add(_ -> everything.swatches());
    search.add(_ -> everything.sheetViews(this::sheet));
    search.setGuide(
        words -> WindowSearch.guide(words, introduction::guide, introduction::openGuide));
    this.side =
        new SideColumn(
            workspace,
            tabs,
            new SideColumn.Panes(
                () -> new StyleDesk(workspace, editors),
                () -> new KeepPane(workspace, style -> shelf.keeper().put(List.of(style))),
                () -> new FinishPresetsPane(workspace, stage, this::studio, pictures),
                () -> new StyleDeletionPane(workspace, specimens),
                () -> new SwatchPane(workspace, editors.apply(this::selected)),
                () -> new StyleImportPane(workspace, specimens),
                () -> new DocumentPane(workspace, stage, this::studio, specimens),
                () -> new FillPane(workspace, stage, this::studio, dialogs),
                shelf::updates));
    // what is being tried is settled there, so that it is never hidden then
    BooleanBinding settling =
        Bindings.createBooleanBinding(
            () -> !(workspace.attempts().present() instanceof Attempt.Nothing),
            workspace.attempts().presentProperty());
    this.right =
        new SidePanel(
            "side",
            side,
            HPos.RIGHT,
            SIDE,
            workspace.view().sideColumnProperty().and(alone.not()).or(settling),
            user);
    frame.setRight(right);
    StagePane stagePane = new StagePane(workspace, stage);
    stagePane.addOver(find);
    stagePane.addOver(fonts);
    stagePane.addOver(steps);
    frame.setCenter(stagePane);
    this.reach = new ReachWatch(workspace, stage, current);
    ReachSources reaching = new ReachSources(workspace, stage, current, pictures, reach);
    ReachStrip strip = new ReachStrip(reaching);
    this.sheet =
        LatePane.during(
            workspace.view().sheetProperty(),
            () ->
                new SheetPane(
                    workspace,
                    stage,
                    current,
                    pictures,
                    new WordsMenu(workspace, dialogs, this::openReplace)));
    stagePane.addInFront(sheet);
    stagePane.addInFront(
        LatePane.during(workspace.view().reachProperty(), () -> new ReachView(reaching)));
    stagePane.addRooms(
        List.of(
            recovery,
            versions,
            export,
            shelf.history(),
            shelf.projects(),
            shelf.beginning(),
            shortcuts),
        introduction.start());
    BorderPane middle = new BorderPane(frame.getCenter());
    VBox lanes = new VBox(timeline);
    lanes.visibleProperty().bind(workspace.view().sheetProperty().not().and(alone.not()));
    lanes.managedProperty().bind(lanes.visibleProperty());
    VBox reached = new VBox(strip);
    reached.visibleProperty().bind(alone.not());
    reached.managedProperty().bind(reached.visibleProperty());
    middle.setBottom(new VBox(lanes, reached));
    middle.setMinSize(0, 0);
    frame.setCenter(middle);
    StackPane root = new StackPane(frame);
    introduction.layOver(root, right);
    root.getChildren().add(overlay);
    this.scene = new Scene(root, 1280, 800);
    dress(theme);
    new WindowKeys(workspace, scene, stage, actions, films).install();
    keys.begin();
    workspace.openedProperty().addListener((_, _, _) -> stage.fitWhenSized());
    stage.requestFocus();
    stage.afterNextFrame(this::showTheRest);
    RecoveryPane.offer(journal, recovery::get);
  }

  private void onFirstFilm(Runnable work) {
    workspace
        .playback()
        .filmProperty()
        .addListener(
            new InvalidationListener() {
              @Override
              public void invalidated(Observable film) {
                if (workspace.playback().isOpen()) {
                  film.removeListener(this);
                  work.run();
                }
              }
            });
  }

  /**
   * The artboards are there first, then what lies beside them: a piece with each pulse, so that a
   * click in between is answered.
   */
  private void showTheRest() {
    List<Runnable> pieces = new ArrayList<>();
    pieces.add(() -> {});
    pieces.add(right::fill);
    pieces.add(left::fill);
    pieces.add(this::beginTheRest);
    pieces.addAll(inspector.pieces());
    pieces.add(() -> hasBegun = true);
    Pieces.begin(pieces);
  }

  private void beginTheRest() {
    pictures.begin();
    styles.listAll();
    shelf.keeper().begin();
  }

  /** What one begins with when nothing is open. */
  public void showStart() {
    introduction.showStart();
  }

  private SelectionSubject selected() {
    return new SelectionSubject(workspace, Cascade.of(workspace.project()));
  }

  /** In a sheet words are found among what is listed. */
  private void openFind() {
    if (workspace.view().sheetProperty().get()) {
      sheet.get().find();
    } else {
      find.get().open();
    }
  }

  private void openReplace() {
    if (workspace.view().sheetProperty().get()) {
      sheet.get().replace();
    } else {
      find.get().open();
    }
  }

  /** All texts side by side. */
  public SheetPane sheet() {
    return sheet.get();
  }

  /** What could be in better order. */
  public SurveyPane survey() {
    tabs.showSurvey();
    return foundBySurvey.get();
  }

  /** What is done with documents that come from elsewhere. */
  public DocumentActions documents() {
    return documents;
  }

  /** The looks outside any project. */
  public ShelfKeeper shelf() {
    return shelf.keeper();
  }

  /** Where artboards are written as files. */
  ExportPane export() {
    return export.get();
  }

  /** The fonts, typesetter and painters of the project that is open. */
  public Studio studio() {
    return studio;
  }

  private void followFonts(Project shown) {
    if (studio.fits(shown)) {
      return;
    }
    studio = Studio.of(shown);
    tellDamagedFonts();
  }

  private void tellDamagedFonts() {
    List<DamagedFontException> damaged = studio.fonts().damaged();
    if (!damaged.isEmpty()) {
      workspace.tell(
          Notice.problem(
              Messages.of(
                  "main-window.the-font-is-damaged",
                  damaged.size() - 1,
                  Messages.reason(damaged.getFirst()),
                  FontLibrary.SUBSTITUTE)));
    }
  }

  /** Goes to where it is said how the selected letters are read. */
  public boolean askForRuby() {
    tabs.showLook();
    return inspector.askForRuby();
  }

  FindPane find() {
    return find.get();
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

  /** Whether all that comes after the artboards is there. */
  public boolean isWhole() {
    return hasBegun && styles.isWhole();
  }

  /** Whether everything that is drawn beside the interface thread shows. */
  public boolean isUpToDate() {
    return stage.isUpToDate()
        && isWhole()
        && pictures.isIdle()
        && reach.isIdle()
        && cueWatch.isIdle()
        && survey.isIdle()
        && shelf.keeper().isIdle()
        && (!workspace.view().sheetProperty().get() || sheet.get().isIdle());
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

  private void registerActions() {
    Conditions when = Conditions.of(workspace);
    LayerActions layers = new LayerActions(workspace);
    FinishActions finish = new FinishActions(workspace);
    WindowActions window =
        new WindowActions(workspace, search, this::scene, () -> dress(theme.other()));
    documents.register(actions);
    fills.register(actions);
    stage.onDropped(new DroppedOnStage(layers, films, files, documents, fills));
    films.register(actions, when);
    files.register(actions);
    actions.add("project.recovered-work", "", () -> recovery.get().open());
    actions.add("project.versions", "", () -> versions.get().open());
    actions.add("project.export-artboards", "Shortcut+Shift+E", () -> export.get().open());
    actions.add("film.export-film", "", () -> export.get().openFilms());
    ArtboardActions artboards = new ArtboardActions(workspace, files, () -> scene.getWindow());
    artboards.register(actions);
    stage.setMenus(new StageMenus(workspace, actions, layers, artboards));
    window.registerHistory(actions);
    actions.add("edit.steps", "F12", () -> steps.get().toggle());
    layers.register(actions, when, () -> scene.getWindow());
    arrange.register(actions, when);
    new FlowActions(workspace, stage).register(actions, when);
    finish.register(actions, when);
    new StyleActions(workspace, styles, stage::requestFocus).register(actions, when);
    actions.add(
        "styles.finish-presets", "F10", () -> workspace.view().finishPresetsProperty().set(true));
    new TextActions(workspace, stage, spelling, this::studio, this::askForRuby)
        .register(actions, when);
    actions.add("text.find", "Shortcut+F", this::openFind);
    actions.add("text.replace", "Shortcut+Shift+F", this::openReplace);
    actions.add("view.sheet", "", () -> workspace.view().sheetProperty().set(true));
    shelf.register(actions, onShelf::show);
    actions.add("view.survey", "", () -> tabs.showSurvey());
    actions.add("view.layers", "F3", () -> tabs.showLayers());
    actions.add("text.fonts", "", () -> fonts.get().open());
    new StageActions(stage, workspace.view()).register(actions);
    window.register(actions);
    actions.add(
        "view.compact-styles",
        "",
        () -> {
          var compact = workspace.view().compactStylesProperty();
          compact.set(!compact.get());
        });
    introduction.register(actions);
    actions.add("view.change-shortcuts", "", () -> shortcuts.get().open());
  }

  /** Ends the window; what is open was saved or given up. */
  public void close() {
    journal.close();
    stage.close();
    pictures.close();
    spelling.close();
    reach.close();
    survey.close();
    onShelf.close();
    shelf.keeper().close();
    sheet.ifMade(SheetPane::close);
    side.close();
    cueWatch.close();
    films.close();
    files.close();
    versionKeeper.close();
    workspace.close();
  }
}
