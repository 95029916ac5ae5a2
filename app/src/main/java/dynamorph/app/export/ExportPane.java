package dynamorph.app.export;

import dynamorph.app.field.Controls;
import dynamorph.app.field.Tips;
import dynamorph.app.files.Dialogs;
import dynamorph.app.files.FileQuestion;
import dynamorph.app.message.Messages;
import dynamorph.app.render.PictureService;
import dynamorph.app.render.StatePictures;
import dynamorph.app.render.Studio;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Playback;
import dynamorph.app.session.Workspace;
import dynamorph.formats.export.ExportFiles;
import dynamorph.formats.export.ExportOutcome;
import dynamorph.formats.export.FilmExport;
import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.export.ExportFormat;
import dynamorph.model.export.ExportPreset;
import dynamorph.model.timeline.Track;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/**
 * Artboards and films out as files, in front of the stage: at the left which of them, at the right
 * how, below where to and what that writes.
 */
public final class ExportPane extends VBox {
  private static final int SETTINGS_WIDTH = 364;

  /** Before that nobody can say how long it takes. */
  private static final int SECONDS_BEFORE_TELLING = 2;

  /** Narrower than this there is no room for artboards beside the settings. */
  private static final int NARROW = 590;

  /** Of the artboards above the settings: a row of them. */
  private static final int BOARDS_HEIGHT = 224;

  private final Workspace workspace;
  private final Dialogs dialogs;
  private final Runnable leave;
  private final ExportRun run;
  private final ExportBoards boards;
  private final ExportSettings settings = new ExportSettings();
  private final FilmRange range = new FilmRange();
  private final ToggleButton ofArtboards = new ToggleButton(Messages.of("export-pane.artboards"));
  private final ToggleButton ofFilms = new ToggleButton(Messages.of("export-pane.films"));
  private final HBox kinds = new HBox(ofArtboards, ofFilms);
  private final VBox offered;
  private final ExportPresets presets;
  private final Label folderName = new Label();
  private final Label plan = new Label();
  private final Button go = new Button(Messages.of("export-pane.export"));
  private final Button cancel = new Button(Messages.of("common.cancel"));
  private final ProgressBar progress = new ProgressBar(0);
  private final ExportReport report = new ExportReport();
  private Optional<Path> folder = Optional.empty();
  private Optional<Playback.Loop> loop = Optional.empty();

  /** How each kind was last written, artboards and films. */
  private final Map<Boolean, ExportPreset> last = new HashMap<>();

  private long began;

  /**
   * @param leave gives the keyboard back
   */
  public ExportPane(
      Workspace workspace,
      Supplier<Studio> studio,
      StatePictures states,
      PictureService pictures,
      Dialogs dialogs,
      Runnable leave) {
    super(12);
    this.workspace = workspace;
    this.dialogs = dialogs;
    this.leave = leave;
    this.run = new ExportRun(workspace, studio);
    this.boards = new ExportBoards(workspace, states, pictures, this::update);
    getStyleClass().add("recovery-pane");
    setId("export-pane");
    this.offered = new VBox(10, kindRow(), boards);
    VBox.setVgrow(boards, Priority.ALWAYS);
    HBox.setHgrow(offered, Priority.ALWAYS);
    this.presets = new ExportPresets(workspace, settings);
    VBox right = new VBox(14, presets, settings, range, presets.keepRow());
    ScrollPane scroll = new ScrollPane(right);
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    scroll.setMinWidth(SETTINGS_WIDTH);
    scroll.setPrefWidth(SETTINGS_WIDTH);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    // or it would never be too narrow for both beside each other
    setMinWidth(0);
    StackPane body = new StackPane();
    VBox.setVgrow(body, Priority.ALWAYS);
    arrange(body, scroll, false);
    widthProperty()
        .map(width -> width.doubleValue() > 0 && width.doubleValue() < NARROW)
        .addListener((_, _, narrow) -> arrange(body, scroll, narrow));
    getChildren()
        .addAll(
            Controls.paneHead(Messages.of("export-pane.export"), "guide#delivering", this::close),
            body,
            report,
            foot());
    settings.presetProperty().addListener((_, _, _) -> update());
    range.changed(this::update);
    workspace
        .historyProperty()
        .addListener((_, _, _) -> {
          if (isVisible()) {
            presets.list();
            boards.refresh();
          }
        });
    workspace
        .openedProperty()
        .addListener((_, _, _) -> {
          folder = Optional.empty();
          setVisible(false);
        });
    workspace.playback().filmProperty().addListener((_, _, _) -> setVisible(false));
    setVisible(false);
    managedProperty().bind(visibleProperty());
    Controls.closeOnEscape(this, this::close);
  }

  /** The artboards beside the settings; in a narrow window above them. */
  private void arrange(StackPane body, Node how, boolean narrow) {
    body.getChildren().clear();
    offered.setMaxHeight(narrow ? BOARDS_HEIGHT : Double.MAX_VALUE);
    offered.setMinHeight(narrow ? BOARDS_HEIGHT : 0);
    body.getChildren().add(narrow ? new VBox(12, offered, how) : new HBox(18, offered, how));
  }

  /** Whether artboards or films are written, where a project has both. */
  private Node kindRow() {
    kinds.getStyleClass().add("segments");
    kinds.managedProperty().bind(kinds.visibleProperty());
    ofArtboards.setId("export-of-artboards");
    ofFilms.setId("export-of-films");
    ofArtboards.setOnAction(_ -> choose(false));
    ofFilms.setOnAction(_ -> choose(true));
    return kinds;
  }

  private void choose(boolean films) {
    if (films != settings.isOfFilms()) {
      settings.show(
          last.getOrDefault(films, ExportPreset.of(films ? ExportFormat.H264 : ExportFormat.PDF)));
    }
    update();
  }

  private Node foot() {
    Button choose = new Button(Messages.of("export-pane.choose-a-folder"));
    choose.setId("export-folder");
    choose.setMinWidth(USE_PREF_SIZE);
    choose.setOnAction(_ -> chooseFolder());
    folderName.getStyleClass().add("quiet");
    folderName.setId("export-folder-name");
    plan.setId("export-plan");
    go.setId("export-go");
    go.getStyleClass().add("commit");
    go.setDefaultButton(false);
    go.setMinWidth(USE_PREF_SIZE);
    go.setOnAction(_ -> go());
    cancel.setId("export-cancel");
    cancel.setMinWidth(USE_PREF_SIZE);
    cancel.setOnAction(_ -> run.cancel());
    progress.setPrefWidth(140);
    progress.setAccessibleText(Messages.of("export-pane.export"));
    for (Node one : new Node[] {cancel, progress}) {
      one.setVisible(false);
      one.managedProperty().bind(one.visibleProperty());
    }
    for (Label told : new Label[] {plan, folderName}) {
      told.setMinWidth(0);
      told.setWrapText(true);
      told.setMinHeight(USE_PREF_SIZE);
    }
    HBox where = new HBox(10, choose, folderName);
    where.setAlignment(Pos.CENTER_LEFT);
    HBox what = new HBox(10, plan, Controls.gap(), progress, cancel, go);
    what.setAlignment(Pos.CENTER_LEFT);
    return new VBox(8, where, what);
  }

  /** Opens with the artboards of what is selected ticked, or all of them. */
  public void open() {
    if (workspace.project().still().findAny().isEmpty()) {
      if (workspace.project().films().findAny().isPresent()) {
        openFilms();
      } else {
        workspace.tell(Notice.info(Messages.of("head-bar.there-is-no-artboard-to-export")));
      }
      return;
    }
    Set<ArtboardId> ticked = new HashSet<>();
    workspace
        .selection()
        .layers()
        .forEach(layer ->
            workspace
                .project()
                .artboardOf(layer)
                .filter(board -> !board.isFilm())
                .ifPresent(board -> ticked.add(board.id())));
    if (ticked.isEmpty()) {
      workspace.project().still().forEach(board -> ticked.add(board.id()));
    }
    open(false, ticked);
  }

  /** Opens with the film ticked that is on the timeline and its loop as the range, or with all. */
  public void openFilms() {
    if (workspace.project().films().findAny().isEmpty()) {
      workspace.tell(Notice.info(Messages.of("export-pane.there-is-no-film-to-export")));
      return;
    }
    Set<ArtboardId> ticked = new HashSet<>();
    workspace.playback().filmProperty().get().ifPresent(ticked::add);
    loop = ticked.isEmpty() ? Optional.empty() : workspace.playback().loopProperty().get();
    if (ticked.isEmpty()) {
      workspace.project().films().forEach(board -> ticked.add(board.id()));
    }
    open(true, ticked);
  }

  private void open(boolean films, Set<ArtboardId> ticked) {
    workspace.playback().close();
    report.setVisible(false);
    setVisible(true);
    range.forget();
    settings.offerChapters(
        workspace
            .project()
            .films()
            .flatMap(film -> film.timeline().orElseThrow().titles())
            .map(Track.Titles::name)
            .distinct()
            .toList());
    kinds.setVisible(
        workspace.project().films().findAny().isPresent()
            && workspace.project().still().findAny().isPresent());
    choose(films);
    boards.list(films, ticked);
    presets.list();
    update();
    // what scrolls is in the window only with its skin, and cannot have the keyboard before
    applyCss();
    layout();
    boards.focusFirst();
  }

  /** Opens with a preset of the project. */
  public void open(ExportPreset preset) {
    if (preset.format().isFilm()) {
      openFilms();
    } else {
      open();
    }
    settings.show(preset);
  }

  private void close() {
    setVisible(false);
    leave.run();
  }

  private Optional<Path> folder() {
    return folder.or(() ->
        workspace
            .fileProperty()
            .get()
            .map(file ->
                file.resolveSibling(
                    Messages.of("export-pane.folder", workspace.project().name()))));
  }

  private boolean chooseFolder() {
    Optional<Path> chosen = dialogs.choose(FileQuestion.EXPORT_FOLDER, workspace.project().name());
    chosen.ifPresent(path -> folder = Optional.of(path));
    update();
    return chosen.isPresent();
  }

  private Set<ArtboardId> offered(boolean films) {
    Set<ArtboardId> all = new HashSet<>();
    (films ? workspace.project().films() : workspace.project().still())
        .forEach(board -> all.add(board.id()));
    return all;
  }

  private void update() {
    Optional<ExportPreset> preset = settings.presetProperty().get();
    boolean films = settings.isOfFilms();
    preset.ifPresent(shown -> last.put(shown.format().isFilm(), shown));
    ofArtboards.setSelected(!films);
    ofFilms.setSelected(films);
    if (films != boards.isOfFilms()) {
      presets.list();
      // tells of it, which updates again
      boards.list(films, offered(films));
      return;
    }
    boards.measure(preset);
    List<Artboard> ticked = boards.ticked();
    range.setVisible(films && ticked.size() == 1);
    if (range.isVisible()) {
      Optional<Playback.Loop> first = loop;
      loop = Optional.empty();
      range.show(ticked.getFirst(), first);
    }
    boolean hasRange = !range.isVisible() || range.part().isPresent();
    presets.update();
    folderName.setText(
        folder().map(Path::toString).orElse(Messages.of("export-pane.no-folder-yet")));
    Tips.on(folderName, folderName.getText());
    go.setDisable(preset.isEmpty() || ticked.isEmpty() || !hasRange || run.isRunning());
    plan.setText(
        preset.isEmpty()
            ? ""
            : ticked.isEmpty()
                ? Messages.of(films ? "export-pane.tick-films" : "export-pane.tick-artboards")
                : planned(preset.get(), ticked));
    Tips.on(plan, plan.getText());
  }

  private String planned(ExportPreset preset, List<Artboard> ticked) {
    List<ExportFiles.OneFile> files =
        ExportFiles.of(workspace.project().name(), boards.offered(), ticked, preset).files();
    long there =
        folder()
            .map(path ->
                files.stream().filter(file -> Files.exists(path.resolve(file.name()))).count())
            .orElse(0L);
    return Messages.of("export-pane.plan", files.size(), files.getFirst().name(), there);
  }

  private void go() {
    Optional<ExportPreset> preset = settings.presetProperty().get();
    if (preset.isEmpty() || folder().isEmpty() && !chooseFolder()) {
      return;
    }
    report.setVisible(false);
    began = System.nanoTime();
    Path into = folder().orElseThrow();
    if (settings.isOfFilms()) {
      run.startFilms(preset.get(), parts(), into, this::progress, this::ended, this::failed);
    } else {
      run.start(
          workspace.project(),
          preset.get(),
          boards.ticked(),
          into,
          this::progress,
          this::ended,
          this::failed);
    }
    busy(true);
  }

  private List<FilmExport.Part> parts() {
    return range.isVisible()
        ? range.part().stream().toList()
        : boards.ticked().stream().map(FilmExport.Part::whole).toList();
  }

  private void progress(long done, long all) {
    if (!run.isRunning()) {
      return;
    }
    progress.setProgress((double) done / all);
    long seconds = (System.nanoTime() - began) / 1_000_000_000;
    plan.setText(
        settings.isOfFilms() && seconds >= SECONDS_BEFORE_TELLING
            ? Messages.of(
                "export-pane.done-of-left", done, all, left(seconds * (all - done) / done))
            : Messages.of("export-pane.done-of", done, all));
  }

  /** Minutes and seconds. */
  private static String left(long seconds) {
    return String.format(Locale.ROOT, "%d:%02d", seconds / 60, seconds % 60);
  }

  private void ended(ExportOutcome outcome) {
    busy(false);
    String said = report.tell(outcome);
    if (!isVisible()) {
      workspace.tell(Notice.info(said));
    }
  }

  private void failed(String problem) {
    busy(false);
    workspace.tell(Notice.problem(problem));
  }

  private void busy(boolean on) {
    progress.setProgress(0);
    progress.setVisible(on);
    cancel.setVisible(on);
    update();
    // what is disabled loses the keyboard
    (on ? cancel : go).requestFocus();
    if (on) {
      long all =
          settings.isOfFilms()
              ? parts().stream().mapToLong(FilmExport.Part::frames).sum()
              : boards.ticked().size();
      plan.setText(Messages.of("export-pane.done-of", 0, all));
    }
  }
}
