package dynamorph.app.shelf;

import dynamorph.app.action.Actions;
import dynamorph.app.files.Dialogs;
import dynamorph.app.files.FileActions;
import dynamorph.app.files.UserFolder;
import dynamorph.app.files.template.NewProjectPane;
import dynamorph.app.render.PictureService;
import dynamorph.app.render.StatePictures;
import dynamorph.app.session.Workspace;
import dynamorph.app.styles.specimen.Specimens;
import dynamorph.app.window.LatePane;
import dynamorph.shelf.folder.PersonalFolders;
import dynamorph.shelf.projects.ProjectIndex;
import dynamorph.shelf.template.Templates;
import java.time.InstantSource;
import java.util.random.RandomGenerator;

/** The shelf of the window and the panes that show it. */
public final class ShelfRooms {
  private final Workspace workspace;
  private final ShelfKeeper keeper;
  private final ShelfLooks looks;
  private final LatePane<HistoryPane> history;
  private final LatePane<ProjectsPane> projects;
  private final LatePane<NewProjectPane> beginning;

  /**
   * @param leave gives the keyboard back
   */
  public ShelfRooms(
      Workspace workspace,
      FileActions files,
      Dialogs dialogs,
      Specimens specimens,
      StatePictures states,
      PictureService pictures,
      Runnable leave) {
    this.workspace = workspace;
    UserFolder user = files.user();
    this.keeper =
        new ShelfKeeper(
            workspace,
            new KnownShelves(user),
            PersonalFolders.ofProcess()::open,
            new ProjectIndex(user.projectIndex()),
            InstantSource.system(),
            RandomGenerator.getDefault());
    this.looks = new ShelfLooks(workspace, keeper);
    this.history = LatePane.showingItself(() -> new HistoryPane(keeper, specimens, leave));
    this.projects =
        LatePane.showingItself(() ->
            new ProjectsPane(
                workspace,
                keeper,
                states,
                pictures,
                dialogs,
                user.updates(),
                InstantSource.system(),
                leave));
    this.beginning =
        LatePane.showingItself(() ->
            new NewProjectPane(
                workspace,
                files,
                states,
                pictures,
                dialogs,
                new Templates(user.templates()),
                leave));
  }

  public ShelfKeeper keeper() {
    return keeper;
  }

  public ShelfLooks looks() {
    return looks;
  }

  /** What was done to the shelf. */
  public LatePane<HistoryPane> history() {
    return history;
  }

  /** What updates other projects. */
  public LatePane<ProjectsPane> projects() {
    return projects;
  }

  /** What new projects begin with. */
  public LatePane<NewProjectPane> beginning() {
    return beginning;
  }

  /** What is newer, value by value. */
  public UpdatesPane updates() {
    return new UpdatesPane(workspace, keeper, () -> projects.get().open());
  }

  /**
   * Registers what can be done.
   *
   * @param show shows the looks of the shelf
   */
  public void register(Actions actions, Runnable show) {
    actions.add("project.new", "Shortcut+N", () -> beginning.get().open());
    actions.add("shelf.show", "", show);
    actions.add("shelf.updates", "", () -> workspace.attempts().openUpdates());
    actions.add("shelf.history", "", () -> history.get().open());
    actions.add("shelf.update-projects", "", () -> projects.get().open());
  }
}
