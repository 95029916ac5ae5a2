package dynamorph.app.files.versions;

import dynamorph.app.field.Controls;
import dynamorph.app.message.Messages;
import dynamorph.app.render.PictureFrame;
import dynamorph.app.render.PictureService;
import dynamorph.app.render.StatePictures;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.app.styles.specimen.Specimens;
import dynamorph.formats.versions.Versions;
import dynamorph.formats.versions.Versions.Version;
import dynamorph.model.Project;
import dynamorph.model.edit.ChangeProject;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * The last saved states of the project's file, in front of the stage: at the left each with its
 * time and a picture, at the right what differs from what is open.
 */
public final class VersionsPane extends VBox {
  private static final PseudoClass PICKED = PseudoClass.getPseudoClass("picked");
  private static final int PICTURE_WIDTH = 132;
  private static final int PICTURE_HEIGHT = 74;
  private static final int LIST_WIDTH = 178;

  private final Workspace workspace;
  private final VersionKeeper keeper;
  private final StatePictures states;
  private final PictureService pictures;
  private final Runnable leave;
  private final VersionComparison comparison;
  private final VBox list = new VBox(4);
  private final Label words = new Label();
  private final Label time = new Label();
  private final HBox body;
  private final Button forget = new Button(Messages.of("versions-pane.forget"));
  private final CheckBox on = new CheckBox(Messages.of("versions-pane.keep", Versions.MOST));
  private Optional<Version> chosen = Optional.empty();

  /**
   * @param dialogs asks before all versions go, which cannot be undone
   * @param leave gives the keyboard back
   */
  public VersionsPane(
      Workspace workspace,
      VersionKeeper keeper,
      StatePictures states,
      Specimens specimens,
      PictureService pictures,
      Asking dialogs,
      Runnable leave) {
    super(12);
    this.workspace = workspace;
    this.keeper = keeper;
    this.states = states;
    this.pictures = pictures;
    this.leave = leave;
    this.comparison = new VersionComparison(workspace, states, specimens, pictures);
    getStyleClass().add("recovery-pane");
    setId("versions");
    words.setWrapText(true);
    words.setMinHeight(USE_PREF_SIZE);
    Button restore = new Button(Messages.of("versions-pane.restore"));
    restore.setId("restore-version");
    restore.getStyleClass().add("commit");
    restore.setMinWidth(USE_PREF_SIZE);
    restore.setOnAction(_ -> restore());
    time.getStyleClass().add("section-title");
    time.setWrapText(true);
    time.setMinHeight(USE_PREF_SIZE);
    HBox head = new HBox(8, time, Controls.gap(), restore);
    head.setAlignment(Pos.CENTER_LEFT);
    VBox right = new VBox(10, head, Controls.scrolled(comparison));
    right.setMinWidth(0);
    HBox.setHgrow(right, Priority.ALWAYS);
    ScrollPane left = Controls.scrolled(list);
    left.setMinWidth(LIST_WIDTH);
    left.setMaxWidth(LIST_WIDTH);
    body = new HBox(16, left, right);
    VBox.setVgrow(body, Priority.ALWAYS);
    on.setId("keep-versions");
    on.setMinWidth(0);
    on.setWrapText(true);
    on.setMinHeight(USE_PREF_SIZE);
    on.setOnAction(_ -> keeper.setting().setOn(on.isSelected()));
    forget.setMinWidth(USE_PREF_SIZE);
    forget.setOnAction(_ ->
        file().filter(_ -> isSure(dialogs)).ifPresent(file -> keeper.forget(file, this::open)));
    HBox foot = new HBox(8, on, Controls.gap(), forget);
    foot.setAlignment(Pos.CENTER_LEFT);
    getChildren()
        .addAll(
            Controls.paneHead(
                Messages.of("versions-pane.saved-versions"), "trust#work", this::close),
            words,
            body,
            foot);
    setVisible(false);
    managedProperty().bind(visibleProperty());
    Controls.closeOnEscape(this, this::close);
    workspace.historyProperty().addListener((_, _, _) -> refresh());
    workspace.openedProperty().addListener((_, _, _) -> forgetChoice());
    keeper.onKept(() -> {
      if (isVisible()) {
        open();
      }
    });
  }

  /** Asks whether something is done that cannot be undone. */
  public interface Asking {
    boolean agrees(String question, List<String> consequences, String verb);
  }

  private static boolean isSure(Asking dialogs) {
    return dialogs.agrees(
        Messages.of("versions-pane.delete-them"),
        List.of(Messages.of("versions-pane.cannot-be-undone")),
        Messages.of("versions-pane.delete"));
  }

  private Optional<Path> file() {
    return workspace.fileProperty().get();
  }

  /** Shows the saved states of the file that is open. */
  public void open() {
    on.setSelected(keeper.setting().isOn());
    file().ifPresentOrElse(file -> keeper.find(file, this::show), () -> show(List.of()));
  }

  private void close() {
    forgetChoice();
    leave.run();
  }

  private void forgetChoice() {
    setVisible(false);
    chosen = Optional.empty();
  }

  private void show(List<Version> versions) {
    words.setText(
        versions.isEmpty()
            ? Messages.of("versions-pane.none-yet")
            : Messages.of(
                "versions-pane.of-the-file", file().map(Path::getFileName).orElseThrow()));
    body.setVisible(!versions.isEmpty());
    forget.setVisible(!versions.isEmpty());
    list.getChildren().clear();
    for (int index = 0; index < versions.size(); index++) {
      Version version = versions.get(index);
      Project before =
          index + 1 < versions.size() ? versions.get(index + 1).project() : workspace.project();
      list.getChildren().add(row(version, before));
    }
    setVisible(true);
    if (versions.isEmpty()) {
      requestFocus();
    } else {
      int first = first(versions);
      choose(versions.get(first), (Button) list.getChildren().get(first));
      list.getChildren().get(first).requestFocus();
    }
  }

  /** The one that was chosen before; else the latest that is not what is open. */
  private int first(List<Version> versions) {
    for (int index = 0; index < versions.size(); index++) {
      Instant time = versions.get(index).time();
      if (chosen.filter(one -> one.time().equals(time)).isPresent()) {
        return index;
      }
    }
    return versions.size() > 1 && isPresent(versions.getFirst()) ? 1 : 0;
  }

  private boolean isPresent(Version version) {
    return version.project().equals(workspace.project());
  }

  private Button row(Version version, Project before) {
    PictureFrame frame = new PictureFrame(PICTURE_WIDTH, PICTURE_HEIGHT);
    VersionComparison.telling(version.project(), before)
        .ifPresent(board ->
            pictures.show(
                frame.view(),
                List.of("version", version.time(), board.id()),
                () ->
                    states.draw(
                        version.project(),
                        board,
                        before.artboard(board.id()),
                        PICTURE_WIDTH,
                        PICTURE_HEIGHT)));
    String when = Messages.time(version.time());
    Button row = new Button("", new VBox(4, frame, new Label(when)));
    row.setAccessibleText(when);
    row.setAlignment(Pos.CENTER_LEFT);
    row.setMaxWidth(Double.MAX_VALUE);
    row.getStyleClass().add("version-row");
    row.setOnAction(_ -> choose(version, row));
    return row;
  }

  private void choose(Version version, Button row) {
    chosen = Optional.of(version);
    list.getChildren().forEach(other -> other.pseudoClassStateChanged(PICKED, other == row));
    refresh();
  }

  private void refresh() {
    if (isVisible()) {
      chosen.ifPresent(version -> {
        time.setText(Messages.time(version.time()));
        comparison.show(version);
      });
    }
  }

  private void restore() {
    chosen.ifPresent(version -> {
      String when = Messages.time(version.time());
      String name = Messages.of("versions-pane.restore-of", when);
      if (workspace.apply(new ChangeProject.Replace(name, version.project()))) {
        close();
        workspace.tell(
            Notice.offering(
                Messages.of("versions-pane.restored", when),
                Messages.of("common.undo"),
                workspace::undo));
      }
    });
  }
}
