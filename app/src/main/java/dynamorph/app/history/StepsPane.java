package dynamorph.app.history;

import dynamorph.app.field.Controls;
import dynamorph.app.message.Messages;
import dynamorph.app.render.PictureService;
import dynamorph.app.render.StatePictures;
import dynamorph.app.session.Workspace;
import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.Project;
import dynamorph.model.edit.History;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** All steps with pictures, the latest first; one click goes to any of them. */
public final class StepsPane extends VBox {
  private static final PseudoClass PRESENT = PseudoClass.getPseudoClass("present");
  private static final PseudoClass UNDONE = PseudoClass.getPseudoClass("undone");
  private static final double WIDTH = 330;
  private static final double HEIGHT = 430;
  private static final int PICTURE_WIDTH = 64;
  private static final int PICTURE_HEIGHT = 44;
  private static final double ROW_HEIGHT = 56;

  private final Workspace workspace;
  private final StatePictures states;
  private final PictureService pictures;
  private final Runnable leave;
  private final ListView<StepItem> list = new ListView<>();

  /**
   * @param leave gives the keyboard back when the pane is closed
   */
  public StepsPane(
      Workspace workspace, StatePictures states, PictureService pictures, Runnable leave) {
    super(6);
    this.workspace = workspace;
    this.states = states;
    this.pictures = pictures;
    this.leave = leave;
    getStyleClass().addAll("find-pane", "steps-pane");
    setId("steps");
    setPrefWidth(WIDTH);
    list.setId("step-list");
    list.setAccessibleText(Messages.of("steps-pane.steps"));
    list.setPrefHeight(HEIGHT);
    list.setFixedCellSize(ROW_HEIGHT);
    list.setCellFactory(_ -> new StepCell());
    list.addEventFilter(KeyEvent.KEY_PRESSED, this::keyPressed);
    getChildren()
        .addAll(
            Controls.paneHead(Messages.of("steps-pane.steps"), "guide#files", this::close), list);
    workspace.historyProperty().addListener((_, _, _) -> update());
    Controls.closeOnEscape(this, this::close);
    setVisible(false);
    managedProperty().bind(visibleProperty());
  }

  /** Opens the list, or closes it. */
  public void toggle() {
    if (isVisible()) {
      close();
      return;
    }
    setVisible(true);
    update();
    list.requestFocus();
  }

  private void close() {
    setVisible(false);
    leave.run();
  }

  private void update() {
    if (!isVisible()) {
      return;
    }
    History history = workspace.historyProperty().get();
    List<StepItem> items = StepItem.of(history);
    list.getItems().setAll(items);
    int present = history.future().size();
    list.getSelectionModel().clearAndSelect(present);
    list.getFocusModel().focus(present);
    list.scrollTo(Math.max(0, present - 2));
  }

  private void go(StepItem item) {
    if (!item.isPresent()) {
      workspace.go(item.steps());
    }
  }

  private void keyPressed(KeyEvent event) {
    if (event.getCode() == KeyCode.ENTER) {
      Optional.ofNullable(list.getSelectionModel().getSelectedItem()).ifPresent(this::go);
      event.consume();
    }
  }

  /** What a picture shows: one very state, for states may be alike and millions of values long. */
  private record Picture(Project state, ArtboardId board) {
    @Override
    public boolean equals(Object other) {
      return other instanceof Picture picture
          && picture.state == state
          && picture.board.equals(board);
    }

    @Override
    public int hashCode() {
      return 31 * System.identityHashCode(state) + board.hashCode();
    }
  }

  /** A state: its picture, the step that made it, and the artboards that it changed. */
  private final class StepCell extends ListCell<StepItem> {
    private final ImageView picture = new ImageView();
    private final Label label = new Label();
    private final Label where = new Label();
    private final HBox row;

    StepCell() {
      getStyleClass().add("step-cell");
      StackPane frame = new StackPane(picture);
      frame.setMinSize(PICTURE_WIDTH, PICTURE_HEIGHT);
      frame.setMaxSize(PICTURE_WIDTH, PICTURE_HEIGHT);
      picture.setPreserveRatio(true);
      picture.setFitWidth(PICTURE_WIDTH);
      picture.setFitHeight(PICTURE_HEIGHT);
      label.getStyleClass().add("step-label");
      where.getStyleClass().add("quiet");
      VBox words = new VBox(1, label, where);
      words.setAlignment(Pos.CENTER_LEFT);
      words.setMinWidth(0);
      HBox.setHgrow(words, Priority.ALWAYS);
      row = new HBox(10, frame, words);
      row.setAlignment(Pos.CENTER_LEFT);
      setPrefWidth(0);
      setOnMouseClicked(event -> {
        if (event.getButton() == MouseButton.PRIMARY && getItem() != null) {
          go(getItem());
        }
      });
    }

    @Override
    protected void updateItem(StepItem item, boolean empty) {
      super.updateItem(item, empty);
      boolean filled = !empty && item != null;
      pseudoClassStateChanged(PRESENT, filled && item.isPresent());
      pseudoClassStateChanged(UNDONE, filled && item.steps() > 0);
      setGraphic(filled ? row : null);
      setText(null);
      if (filled) {
        show(item);
      }
    }

    private void show(StepItem item) {
      label.setText(item.label());
      where.setText(place(item));
      setAccessibleText(item.label() + " " + where.getText());
      item.shown()
          .ifPresent(board ->
              pictures.show(
                  picture,
                  new Picture(item.state(), board.id()),
                  () ->
                      states.draw(
                          item.state(),
                          board,
                          item.before().flatMap(was -> was.artboard(board.id())),
                          PICTURE_WIDTH,
                          PICTURE_HEIGHT)));
    }

    private String place(StepItem item) {
      List<Artboard> changed = item.changed();
      String on =
          changed.isEmpty()
              ? ""
              : changed.size() > 2
                  ? Messages.of("steps-pane.on-artboards", changed.size())
                  : changed.stream().map(Artboard::name).collect(Collectors.joining(", "));
      List<String> parts =
          List.of(
              item.isPresent() ? Messages.of("steps-pane.now") : "",
              item.saved() ? Messages.of("steps-pane.saved") : "",
              on);
      return parts.stream().filter(part -> !part.isEmpty()).collect(Collectors.joining(" \u00b7 "));
    }
  }
}
