package dynamorph.app.files;

import dynamorph.app.action.Actions;
import dynamorph.app.files.versions.VersionKeeper;
import dynamorph.app.message.Messages;
import dynamorph.app.render.Studio;
import dynamorph.app.session.Desk;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.formats.file.FileState;
import dynamorph.formats.file.OpenFiles;
import dynamorph.formats.project.ProjectFile;
import dynamorph.formats.versions.Versions.Version;
import dynamorph.model.Artboard;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.History;
import dynamorph.model.merge.ProjectMerge;
import dynamorph.paint.scene.Scene;
import dynamorph.shelf.template.NewProject;
import dynamorph.shelf.template.Templates;
import dynamorph.typeset.font.FontLibrary;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Platform;

/**
 * New, open, save, export. Files are read and written off the interface thread; a failure leaves
 * the project untouched.
 */
public final class FileActions {
  private final Workspace workspace;
  private final Supplier<Studio> studio;
  private final Dialogs dialogs;
  private final UserFolder user;
  private final AssetActions assets;
  private final OpenFiles openFiles;
  private final VersionKeeper versions;

  /** The file of the open project as it was last read or written here. */
  private volatile Optional<FileState> seen = Optional.empty();

  /** A change of it that the person knows of. */
  private volatile Optional<FileState> told = Optional.empty();

  private final ExecutorService worker =
      Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "dynamorph-files");
        thread.setDaemon(true);
        return thread;
      });

  public FileActions(
      Workspace workspace,
      Supplier<Studio> studio,
      Dialogs dialogs,
      UserFolder user,
      VersionKeeper versions) {
    this.versions = versions;
    this.workspace = workspace;
    this.studio = studio;
    this.dialogs = dialogs;
    this.user = user;
    this.assets = new AssetActions(workspace, dialogs, this, worker);
    this.openFiles = new OpenFiles(user.folder().resolve("open"));
    workspace
        .fileProperty()
        .addListener((_, _, file) -> worker.execute(() -> openFiles.note(file)));
  }

  /** What can be done with files that travel with the project. */
  public AssetActions assets() {
    return assets;
  }

  public UserFolder user() {
    return user;
  }

  // --- opening
  // -----------------------------------------------------------------------------------------------------

  /** Registers what can be done with files. */
  public void register(Actions actions) {
    actions.add("project.save-as-template", "", this::saveAsTemplate);
    actions.add("project.open", "Shortcut+O", this::open);
    actions.add("project.save", "Shortcut+S", this::save);
    actions.add("project.save-as", "Shortcut+Shift+S", this::saveAs);
    assets.register(actions);
    new StyleFiles(workspace, dialogs, user, this).register(actions);
  }

  /** One artboard, with a base style whose size suits it. */
  public static Project blank() {
    return NewProject.standard().project();
  }

  /**
   * Reads or writes something off the interface thread.
   *
   * @param work a failure of it is told
   * @param then what is done with the result, on the interface thread
   */
  public <T> void inBackground(Callable<T> work, Consumer<T> then) {
    worker.execute(() -> {
      try {
        T result = work.call();
        Platform.runLater(() -> then.accept(result));
      } catch (Exception problem) {
        Platform.runLater(() -> workspace.tell(Notice.problem(Messages.reason(problem))));
      }
    });
  }

  private void saveAsTemplate() {
    Templates templates = new Templates(user.templates());
    Project project = workspace.project();
    Optional<Path> origin = workspace.fileProperty().get();
    inBackground(
        () -> templates.save(project, origin),
        template ->
            workspace.tell(
                Notice.offering(
                    Messages.of("file-actions.kept-as-template", template.name()),
                    Messages.of("common.undo"),
                    () -> inBackground(() -> templates.delete(template), _ -> {}))));
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
        Optional<FileState> state = FileState.of(file);
        boolean elsewhere = openFiles.isOpenElsewhere(file);
        Project project = ProjectFile.read(file);
        Platform.runLater(() -> {
          seen = state;
          workspace.open(project, Optional.of(file));
          user.remember(file);
          tellMissingFonts(project);
          if (elsewhere) {
            workspace.tell(
                Notice.info(Messages.of("file-actions.is-open-elsewhere", file.getFileName())));
          }
        });
      } catch (IOException problem) {
        String message = Messages.reason(problem);
        Platform.runLater(() -> workspace.tell(Notice.problem(message)));
      }
    });
  }

  private void tellMissingFonts(Project project) {
    worker.execute(() -> {
      if (!studio.get().fonts().damaged().isEmpty()) {
        return; // told already, with what stands in
      }
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
    Optional<Desk> draft = workspace.attempts().present().desk().filter(Desk::isChanged);
    if (draft.isPresent()
        && !dialogs.agrees(
            Messages.of("file-actions.is-on-the-desk", draft.get().original().name()),
            List.of(Messages.of("file-actions.its-changes-are-not-committed")),
            Messages.of("file-actions.discard"))) {
      return;
    }
    History history = workspace.historyProperty().get();
    boolean untouched = !history.canUndo() && workspace.fileProperty().get().isEmpty();
    if (untouched || history.isSaved()) {
      leave.run();
      return;
    }
    switch (dialogs.askAboutChanges(workspace.project().name())) {
      case SAVE -> save(leave);
      case LEAVE -> leave.run();
      case CANCEL -> {}
    }
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
    Optional<Project> base = workspace.historyProperty().get().saved();
    Optional<Path> origin = workspace.fileProperty().get();
    boolean own = origin.filter(file::equals).isPresent();
    worker.execute(() -> {
      try {
        Optional<Version> before =
            base.filter(_ -> own)
                .flatMap(was ->
                    FileState.of(file)
                        .map(state -> new Version(state.modified().toInstant(), was)));
        Optional<ElsewhereChange> change = own ? elsewhere(file, base) : Optional.empty();
        if (change.isPresent()) {
          Platform.runLater(() -> settle(file, change.get(), then));
          return;
        }
        ProjectFile.write(project, file, origin);
        versions.saved(file, before, project);
        // at once: whoever looks at the file now must know it for the own
        seen = FileState.of(file);
        Platform.runLater(() -> {
          workspace.saved(project, file);
          user.remember(file);
          workspace.tell(Notice.info(Messages.of("file-actions.saved", file.getFileName())));
          then.run();
        });
      } catch (IOException problem) {
        Platform.runLater(() -> tellNotSaved(problem, then));
      }
    });
  }

  private void tellNotSaved(IOException problem, Runnable then) {
    workspace.tell(
        new Notice(
            Messages.of("file-actions.not-saved", Messages.reason(problem)),
            true,
            List.of(
                new Notice.Offer.Press(
                    Messages.of("action.project.save-as"), () -> saveAs(then)))));
  }

  // --- the file, changed by somebody else

  /**
   * What somebody else made of the file since it was read or written here. That its time differs is
   * not enough: it may have been copied to and fro.
   *
   * @throws IOException if what lies there now is no project that can be read
   */
  private Optional<ElsewhereChange> elsewhere(Path file, Optional<Project> base)
      throws IOException {
    Optional<FileState> now = FileState.of(file);
    if (now.isEmpty() || now.equals(seen)) {
      return Optional.empty();
    }
    Project theirs = ProjectFile.read(file);
    return base.filter(theirs::equals).isPresent()
        ? Optional.empty()
        : Optional.of(new ElsewhereChange(base, theirs));
  }

  private void settle(Path file, ElsewhereChange change, Runnable then) {
    Optional<ProjectMerge> merge = change.merged(workspace.project());
    switch (dialogs.askAboutElsewhere(
        file.getFileName().toString(), change.lines(workspace.project()), merge.isPresent())) {
      case MERGE -> merge.ifPresent(both -> merge(file, change, both));
      case RELOAD -> reload(file, change);
      case SAVE_AS -> saveAs(then);
      case CANCEL -> {}
    }
  }

  private void merge(Path file, ElsewhereChange change, ProjectMerge merge) {
    if (workspace.apply(ElsewhereChange.merge(merge))) {
      nowSeen(file, change.theirs());
      List<String> collisions =
          merge.conflicts().stream().map(ElsewhereChange::words).distinct().toList();
      workspace.tell(
          collisions.isEmpty()
              ? Notice.info(Messages.of("elsewhere.merged"))
              : Notice.info(
                  Messages.of(
                      "elsewhere.merged-with-collisions",
                      collisions.size(),
                      String.join("; ", collisions))));
    }
  }

  private void reload(Path file, ElsewhereChange change) {
    if (workspace.apply(change.reload())) {
      nowSeen(file, change.theirs());
      workspace.tell(
          Notice.offering(
              Messages.of("elsewhere.reloaded", file.getFileName()),
              Messages.of("common.undo"),
              workspace::undo));
    }
  }

  /** What lies in the file is known now. */
  private void nowSeen(Path file, Project theirs) {
    seen = FileState.of(file);
    workspace.saved(theirs, file);
  }

  /** Tells if somebody else changed the file; to be called when the person comes back to it. */
  public void lookAtFile() {
    Optional<Path> open = workspace.fileProperty().get();
    Optional<Project> base = workspace.historyProperty().get().saved();
    if (open.isEmpty()) {
      return;
    }
    Path file = open.get();
    worker.execute(() -> {
      Optional<FileState> now = FileState.of(file);
      if (now.isEmpty() || now.equals(seen) || now.equals(told)) {
        return;
      }
      told = now;
      try {
        elsewhere(file, base)
            .ifPresentOrElse(
                change -> Platform.runLater(() -> tellOfChange(file, change)), () -> seen = now);
      } catch (IOException unreadable) {
        Platform.runLater(() -> workspace.tell(Notice.problem(Messages.reason(unreadable))));
      }
    });
  }

  private void tellOfChange(Path file, ElsewhereChange change) {
    workspace.tell(
        Notice.offering(
            Messages.of("elsewhere.was-changed", file.getFileName()),
            Messages.of("elsewhere.look"),
            () -> settle(file, change, () -> {})));
  }

  /** The artboard that the selection stands on, else the first. */
  public Optional<Artboard> currentArtboard() {
    Project project = workspace.project();
    Optional<LayerId> selected = workspace.selection().layers().stream().findFirst();
    return selected.flatMap(project::artboardOf).or(() -> project.artboards().stream().findFirst());
  }

  public void close() {
    if (!worker.isShutdown()) {
      worker.execute(openFiles::close);
      worker.shutdown();
    }
  }
}
