package dynamorph.app.shelf;

import dynamorph.app.field.Controls;
import dynamorph.app.files.Dialogs;
import dynamorph.app.files.FileQuestion;
import dynamorph.app.message.Messages;
import dynamorph.app.render.PictureFrame;
import dynamorph.app.render.PictureService;
import dynamorph.app.render.StatePictures;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.formats.project.ProjectFile;
import dynamorph.model.Artboard;
import dynamorph.model.Project;
import dynamorph.shelf.Shelf;
import dynamorph.shelf.projects.ProjectFiles;
import dynamorph.shelf.projects.ProjectUse;
import dynamorph.shelf.projects.UpdatePlan;
import dynamorph.shelf.projects.UpdateReport;
import java.nio.file.Path;
import java.time.InstantSource;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicBoolean;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * Takes what is newer on the shelf into other projects: each is looked at first, what it would
 * change and which problems that would cause; only the ticked ones are written, each keeps its
 * earlier file, and each can be brought back.
 */
public final class ProjectsPane extends VBox {
  private static final int PICTURE_WIDTH = 96;
  private static final int PICTURE_HEIGHT = 64;

  private final Workspace workspace;
  private final ShelfKeeper keeper;
  private final StatePictures states;
  private final PictureService pictures;
  private final Dialogs dialogs;
  private final Path reports;
  private final InstantSource clock;
  private final Runnable leave;
  private final VBox list = new VBox(6);
  private final Label words = new Label();
  private final ProgressBar progress = new ProgressBar(0);
  private final Button update = new Button();
  private final Button stop = new Button(Messages.of("common.cancel"));
  private final Map<Path, UpdatePlan> plans = new LinkedHashMap<>();
  private final Set<Path> ticked = new LinkedHashSet<>();
  private final Set<Path> added = new LinkedHashSet<>();
  private final ReportCards cards;
  private AtomicBoolean wanted = new AtomicBoolean();

  /**
   * @param reports folder of the reports of earlier updates
   * @param leave gives the keyboard back
   */
  public ProjectsPane(
      Workspace workspace,
      ShelfKeeper keeper,
      StatePictures states,
      PictureService pictures,
      Dialogs dialogs,
      Path reports,
      InstantSource clock,
      Runnable leave) {
    super(12);
    this.workspace = workspace;
    this.keeper = keeper;
    this.states = states;
    this.pictures = pictures;
    this.dialogs = dialogs;
    this.reports = reports;
    this.cards = new ReportCards(keeper, reports);
    this.clock = clock;
    this.leave = leave;
    getStyleClass().add("recovery-pane");
    setId("projects-pane");
    words.setWrapText(true);
    words.setMinHeight(USE_PREF_SIZE);
    ScrollPane scroll = Controls.scrolled(list);
    update.getStyleClass().add("commit");
    update.setId("projects-update");
    update.setMinWidth(USE_PREF_SIZE);
    update.setOnAction(_ -> write());
    stop.setId("projects-stop");
    stop.setOnAction(_ -> wanted.set(false));
    Button folder = new Button(Messages.of("projects-pane.add-folder"));
    folder.setId("projects-folder");
    folder.setMinWidth(USE_PREF_SIZE);
    folder.setOnAction(_ -> dialogs.choose(FileQuestion.PROJECT_FOLDER).ifPresent(this::addFolder));
    Button earlier = new Button(Messages.of("projects-pane.earlier"));
    earlier.setId("projects-earlier");
    earlier.setMinWidth(USE_PREF_SIZE);
    earlier.setOnAction(_ -> showReports());
    progress.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(progress, Priority.ALWAYS);
    HBox running = new HBox(8, progress, stop);
    running.setAlignment(Pos.CENTER_LEFT);
    running.visibleProperty().bind(progress.visibleProperty());
    running.managedProperty().bind(running.visibleProperty());
    progress.setVisible(false);
    // above the list, since notices show at the foot
    HBox tools = new HBox(8, update, Controls.gap(), earlier, folder);
    tools.setAlignment(Pos.CENTER_LEFT);
    getChildren()
        .addAll(
            Controls.paneHead(
                Messages.of("projects-pane.update-projects"),
                "shelf#all-projects-at-once",
                this::close),
            words,
            tools,
            running,
            scroll);
    setVisible(false);
    managedProperty().bind(visibleProperty());
    Controls.closeOnEscape(this, this::close);
  }

  /** Looks at all projects that are known to have something from the shelf. */
  public void open() {
    setVisible(true);
    added.clear();
    look();
    update.requestFocus();
  }

  private void close() {
    wanted.set(false);
    setVisible(false);
    leave.run();
  }

  /** Nothing is being looked at or written any more, whether it came to its end or broke off. */
  private void end(AtomicBoolean run) {
    if (wanted == run) {
      progress.setVisible(false);
      showCount();
    }
  }

  /** Does long work; where it breaks off, the buttons work again. */
  private void run(AtomicBoolean run, ShelfKeeper.Work work) {
    keeper.run(() -> {
      try {
        work.run();
      } finally {
        Platform.runLater(() -> end(run));
      }
    });
  }

  private void addFolder(Path folder) {
    keeper.run(() -> {
      List<Path> found = ProjectFiles.in(folder.toAbsolutePath());
      Platform.runLater(() -> {
        added.addAll(found);
        look();
      });
    });
  }

  private List<ProjectUse> known() {
    Optional<Path> open = workspace.fileProperty().get().map(Path::toAbsolutePath);
    return keeper.index().using(keeper.shelf().id()).stream()
        .filter(use -> open.filter(use.file()::equals).isEmpty())
        .toList();
  }

  private void look() {
    plans.clear();
    ticked.clear();
    list.getChildren().clear();
    Set<Path> files = new LinkedHashSet<>();
    for (ProjectUse use : known()) {
      if (use.isThere()) {
        files.add(use.file());
      } else {
        list.getChildren().add(gone(use));
      }
    }
    Optional<Path> open = workspace.fileProperty().get().map(Path::toAbsolutePath);
    added.stream().filter(file -> open.filter(file::equals).isEmpty()).forEach(files::add);
    words.setText(
        files.isEmpty()
            ? Messages.of("projects-pane.none")
            : Messages.of("projects-pane.looking", files.size()));
    showCount();
    if (files.isEmpty()) {
      return;
    }
    AtomicBoolean run = begin();
    Shelf shelf = keeper.shelf();
    List<Path> all = List.copyOf(files);
    run(
        run,
        () -> {
          UpdatePlan.of(
              all,
              shelf,
              _ -> true,
              plan ->
                  Platform.runLater(() -> {
                    if (run.get()) {
                      add(plan);
                      progress.setProgress(plans.size() / (double) all.size());
                    }
                  }),
              run::get);
          Platform.runLater(() -> {
            if (wanted == run) {
              words.setText(
                  Messages.of(
                      "projects-pane.looked",
                      plans.values().stream().filter(plan -> plan.result().isPresent()).count(),
                      plans.size()));
            }
          });
        });
  }

  private AtomicBoolean begin() {
    wanted.set(false);
    wanted = new AtomicBoolean(true);
    progress.setProgress(0);
    progress.setVisible(true);
    return wanted;
  }

  /** A project that lies elsewhere by now. */
  private Node gone(ProjectUse use) {
    Label name = new Label(use.name());
    name.getStyleClass().add("section-title");
    Label where = new Label(Messages.of("projects-pane.gone", use.file()));
    where.getStyleClass().add("problem-text");
    where.setWrapText(true);
    Hyperlink locate = new Hyperlink(Messages.of("projects-pane.locate"));
    locate.setOnAction(_ ->
        dialogs
            .choose(FileQuestion.PROJECT)
            .ifPresent(file ->
                keeper.run(() -> {
                  Project project = ProjectFile.read(file);
                  keeper
                      .index()
                      .moved(
                          use.file(),
                          ProjectUse.of(file.toAbsolutePath(), project, clock.instant()));
                  Platform.runLater(this::look);
                })));
    Hyperlink forget = new Hyperlink(Messages.of("projects-pane.forget"));
    forget.setOnAction(_ ->
        keeper.run(() -> {
          keeper.index().forget(use.file());
          Platform.runLater(this::look);
        }));
    HBox row = new HBox(8, name, where, Controls.gap(), locate, forget);
    row.setAlignment(Pos.CENTER_LEFT);
    row.getStyleClass().add("update-card");
    return row;
  }

  private void add(UpdatePlan plan) {
    plans.put(plan.file(), plan);
    if (plan.result().isPresent()) {
      ticked.add(plan.file());
    }
    list.getChildren().add(row(plan));
    showCount();
  }

  private Node row(UpdatePlan plan) {
    CheckBox tick = new CheckBox();
    tick.setId("project-" + stem(plan.file()));
    tick.setAccessibleText(plan.file().getFileName().toString());
    tick.setDisable(plan.result().isEmpty());
    tick.setSelected(plan.result().isPresent());
    tick.setOnAction(_ -> {
      if (tick.isSelected()) {
        ticked.add(plan.file());
      } else {
        ticked.remove(plan.file());
      }
      showCount();
    });
    Label name = new Label(plan.name());
    name.getStyleClass().add("section-title");
    name.setMinWidth(0);
    Label file = new Label(plan.file().toString());
    file.getStyleClass().add("quiet");
    file.setMinWidth(0);
    file.setTextOverrun(javafx.scene.control.OverrunStyle.LEADING_ELLIPSIS);
    Label what =
        new Label(
            plan.result()
                .map(result ->
                    Messages.of(
                        "projects-pane.changes", result.updates().size(), result.texts().size()))
                .orElse(plan.isReadable() ? Messages.of("projects-pane.nothing") : plan.trouble()));
    what.setWrapText(true);
    what.setMinHeight(Region.USE_PREF_SIZE);
    if (!plan.isReadable()) {
      what.getStyleClass().add("problem-text");
    }
    VBox text = new VBox(2, name, what, file);
    text.setMinWidth(0);
    HBox.setHgrow(text, Priority.ALWAYS);
    HBox row = new HBox(10, tick, text);
    row.setAlignment(Pos.CENTER_LEFT);
    plan.result().ifPresent(result -> addPictures(row, result));
    VBox card = new VBox(4, row);
    plan.result().ifPresent(result -> addTrouble(card, result));
    card.getStyleClass().add("update-card");
    return card;
  }

  /** The artboard with most of the texts that change, before and after. */
  private void addPictures(HBox row, UpdatePlan.Result result) {
    result.after().artboards().stream()
        .filter(board -> reached(board, result) > 0)
        .max(Comparator.comparingLong(board -> reached(board, result)))
        .ifPresent(board -> {
          Label arrow = new Label("\u2192");
          row.getChildren()
              .addAll(
                  picture(result.before(), board, Messages.of("projects-pane.before")),
                  arrow,
                  picture(result.after(), board, Messages.of("projects-pane.after")));
        });
  }

  private static long reached(Artboard board, UpdatePlan.Result result) {
    return board.layers().stream().filter(layer -> result.texts().contains(layer.id())).count();
  }

  private Node picture(Project project, Artboard board, String when) {
    PictureFrame frame = new PictureFrame(PICTURE_WIDTH, PICTURE_HEIGHT);
    frame.setAccessibleText(when + ", " + board.name());
    pictures.show(
        frame.view(),
        List.of("update", project.styles(), project.palette(), board),
        () -> states.draw(project, board, Optional.empty(), PICTURE_WIDTH, PICTURE_HEIGHT));
    return frame;
  }

  /** Problems first: what would be worse than before. */
  private static void addTrouble(VBox card, UpdatePlan.Result result) {
    int most = 3;
    result.problems().stream()
        .limit(most)
        .forEach(trouble ->
            card.getChildren()
                .add(
                    problem(
                        trouble.artboard() + ", " + trouble.name() + ": " + trouble.problem())));
    if (result.problems().size() > most) {
      card.getChildren()
          .add(problem(Messages.of("projects-pane.more", result.problems().size() - most)));
    }
    if (result.conflicts() > 0) {
      card.getChildren().add(problem(Messages.of("projects-pane.both", result.conflicts())));
    }
  }

  /** The name of a project's file without its ending. */
  static String stem(Path file) {
    String name = String.valueOf(file.getFileName());
    return name.endsWith(ProjectFile.ENDING)
        ? name.substring(0, name.length() - ProjectFile.ENDING.length())
        : name;
  }

  private static Label problem(String text) {
    Label label = new Label(text);
    label.getStyleClass().add("problem-text");
    label.setWrapText(true);
    label.setMinHeight(Region.USE_PREF_SIZE);
    return label;
  }

  private void showCount() {
    update.setText(Messages.of("projects-pane.update", ticked.size()));
    update.setDisable(ticked.isEmpty());
  }

  private void write() {
    List<UpdatePlan> chosen =
        plans.values().stream().filter(plan -> ticked.contains(plan.file())).toList();
    AtomicBoolean run = begin();
    List<UpdateReport.Item> written = new ArrayList<>();
    update.setDisable(true);
    run(
        run,
        () -> {
          UpdateReport report =
              UpdateReport.write(
                  chosen,
                  reports,
                  clock.instant(),
                  item ->
                      Platform.runLater(() -> {
                        written.add(item);
                        progress.setProgress(written.size() / (double) chosen.size());
                      }),
                  run::get);
          for (UpdateReport.Item item : report.items()) {
            if (item.outcome() == UpdateReport.Outcome.UPDATED) {
              keeper.remember(item.file());
            }
          }
          Platform.runLater(() -> show(report));
        });
  }

  private void showReports() {
    keeper.run(() -> {
      List<UpdateReport> all = UpdateReport.all(reports);
      Platform.runLater(() -> {
        if (all.isEmpty()) {
          workspace.tell(Notice.info(Messages.of("projects-pane.no-reports")));
        } else {
          list.getChildren().clear();
          plans.clear();
          ticked.clear();
          showCount();
          words.setText(Messages.of("projects-pane.reports", all.size()));
          list.getChildren().addAll(all.stream().map(cards::of).toList());
        }
      });
    });
  }

  /** What was written, with a way back for each file. */
  private void show(UpdateReport report) {
    list.getChildren().clear();
    plans.clear();
    ticked.clear();
    showCount();
    long done =
        report.items().stream()
            .filter(item -> item.outcome() == UpdateReport.Outcome.UPDATED)
            .count();
    words.setText(Messages.of("projects-pane.written", done, report.items().size() - done));
    list.getChildren().add(cards.of(report));
  }
}
