package dynamorph.app.files.recovery;

import dynamorph.app.field.Controls;
import dynamorph.app.message.Messages;
import dynamorph.app.render.PictureFrame;
import dynamorph.app.render.PictureService;
import dynamorph.app.render.StatePictures;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.formats.journal.Journals;
import dynamorph.formats.journal.Left;
import dynamorph.model.Artboard;
import dynamorph.model.Project;
import dynamorph.model.edit.History;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * Work that was left when a process ended, in front of the stage: each with a picture, to be opened
 * as it was or put aside.
 */
public final class RecoveryPane extends VBox {
  private static final int PICTURE_WIDTH = 208;
  private static final int PICTURE_HEIGHT = 117;

  private final Workspace workspace;
  private final JournalKeeper keeper;
  private final StatePictures states;
  private final PictureService pictures;
  private final Consumer<Runnable> settling;
  private final Runnable leave;
  private final VBox list = new VBox(10);
  private final Label words = new Label();

  /**
   * @param settling runs something once what is open is saved or given up
   * @param leave gives the keyboard back
   */
  public RecoveryPane(
      Workspace workspace,
      JournalKeeper keeper,
      StatePictures states,
      PictureService pictures,
      Consumer<Runnable> settling,
      Runnable leave) {
    super(12);
    this.workspace = workspace;
    this.keeper = keeper;
    this.states = states;
    this.pictures = pictures;
    this.settling = settling;
    this.leave = leave;
    getStyleClass().add("recovery-pane");
    setId("recovery");
    words.setWrapText(true);
    words.setMinHeight(USE_PREF_SIZE);
    ScrollPane scroll = Controls.scrolled(list);
    getChildren()
        .addAll(
            Controls.paneHead(
                Messages.of("recovery-pane.recovered-work"), "trust#work", this::close),
            words,
            scroll);
    setVisible(false);
    managedProperty().bind(visibleProperty());
    Controls.closeOnEscape(this, this::close);
  }

  /** Shows the pane if any work was left. */
  public static void offer(JournalKeeper keeper, Supplier<RecoveryPane> pane) {
    keeper.find(found -> {
      if (!found.left().isEmpty()) {
        pane.get().show(found);
      }
    });
  }

  /** Shows all that was left or put aside. */
  public void open() {
    keeper.find(this::show);
  }

  private void close() {
    setVisible(false);
    leave.run();
  }

  private void show(JournalKeeper.Found found) {
    list.getChildren().clear();
    words.setText(
        found.left().isEmpty()
            ? Messages.of("recovery-pane.nothing-was-left")
            : Messages.of("recovery-pane.ended-before-it-was-saved", found.left().size()));
    found.left().forEach(left -> list.getChildren().add(row(left, false)));
    if (!found.aside().isEmpty()) {
      Label title =
          new Label(Messages.of("recovery-pane.put-aside-kept-days", Journals.KEPT.toDays()));
      title.getStyleClass().add("sub-title");
      list.getChildren().add(title);
      found.aside().forEach(left -> list.getChildren().add(row(left, true)));
    }
    setVisible(true);
    if (list.lookup(".commit") instanceof Button first) {
      first.requestFocus();
    } else {
      requestFocus();
    }
  }

  private HBox row(Left left, boolean aside) {
    PictureFrame frame = new PictureFrame(PICTURE_WIDTH, PICTURE_HEIGHT);
    board(left)
        .ifPresent(board ->
            pictures.show(
                frame.view(),
                List.of(left.folder(), left.time()),
                () ->
                    states.draw(
                        left.project(),
                        board,
                        first(left).artboard(board.id()),
                        PICTURE_WIDTH,
                        PICTURE_HEIGHT)));
    Label name = new Label(left.project().name());
    name.getStyleClass().add("section-title");
    VBox text = new VBox(4, name);
    for (String line : lines(left)) {
      Label label = new Label(line);
      label.getStyleClass().add("quiet");
      label.setWrapText(true);
      label.setMinHeight(USE_PREF_SIZE);
      text.getChildren().add(label);
    }
    text.setMinWidth(0);
    HBox.setHgrow(text, Priority.ALWAYS);
    Button open = new Button(Messages.of("recovery-pane.open"));
    open.getStyleClass().add("commit");
    open.setOnAction(_ -> settling.accept(() -> take(left)));
    Button other =
        aside
            ? new Button(Messages.of("recovery-pane.delete"))
            : new Button(Messages.of("recovery-pane.put-aside"));
    other.setOnAction(_ -> {
      if (aside) {
        keeper.delete(left, this::open);
      } else {
        keeper.putAside(left, this::open);
      }
    });
    for (Button button : List.of(open, other)) {
      button.setMinWidth(USE_PREF_SIZE);
    }
    // below the words, so that these have the whole width
    HBox buttons = new HBox(8, open, other);
    VBox.setMargin(buttons, new Insets(6, 0, 0, 0));
    text.getChildren().add(buttons);
    HBox row = new HBox(14, frame, text);
    row.setAlignment(Pos.CENTER_LEFT);
    row.getStyleClass().add("recovery-row");
    return row;
  }

  private static List<String> lines(Left left) {
    History history = left.moment().history();
    List<String> lines = new ArrayList<>();
    String time = Messages.time(left.time());
    lines.add(
        history
            .undoLabel()
            .map(label -> Messages.of("recovery-pane.last-change-at", time, label))
            .orElseGet(() -> Messages.of("recovery-pane.last-change", time)));
    lines.add(Messages.of("recovery-pane.steps-to-undo", left.steps()));
    left.moment()
        .draft()
        .ifPresent(draft -> lines.add(Messages.of("recovery-pane.on-the-desk", draft.name())));
    lines.add(
        left.moment()
            .file()
            .map(Path::toString)
            .orElseGet(() -> Messages.of("recovery-pane.never-saved")));
    return lines;
  }

  private void take(Left left) {
    setVisible(false);
    keeper.open(left);
    workspace.tell(Notice.info(Messages.of("recovery-pane.as-it-was-left", left.steps())));
    leave.run();
  }

  // --- pictures

  private static Project first(Left left) {
    return left.moment().history().past().stream()
        .reduce((_, earlier) -> earlier)
        .map(History.Step::other)
        .orElse(left.project());
  }

  /** The artboard that was worked on: the first that differs from how it was at first. */
  private static Optional<Artboard> board(Left left) {
    Set<Artboard> before = new HashSet<>(first(left).artboards());
    return left.project().artboards().stream()
        .filter(board -> !before.contains(board))
        .findFirst()
        .or(() -> left.project().artboards().stream().findFirst());
  }
}
