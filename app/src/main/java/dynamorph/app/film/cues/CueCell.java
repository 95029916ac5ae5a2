package dynamorph.app.film.cues;

import dynamorph.app.field.NameQuestion;
import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Playback;
import dynamorph.app.session.Workspace;
import dynamorph.model.Layer;
import dynamorph.model.edit.film.Retime;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.value.Numbers;
import dynamorph.typeset.caption.CueList;
import dynamorph.typeset.caption.CueProblem;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.application.Platform;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.TextArea;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** A cue as a row of the list: when, what, how fast; its words and times are edited there. */
final class CueCell extends ListCell<Layer> {
  private static final PseudoClass LIVE = PseudoClass.getPseudoClass("live");

  /** About as many fit into a row of the list. */
  private static final int CHARACTERS_IN_ROW = 19;

  private static final PseudoClass WRONG = PseudoClass.getPseudoClass("wrong");

  private final Workspace workspace;
  private final Playback playback;
  private final CueWatch watch;
  private final CuePane pane;
  private final Label in = new Label();
  private final Label out = new Label();
  private final Label words = new Label();
  private final Label speed = new Label();
  private final Label problem = new Label();
  private final VBox middle = new VBox(1, words, problem);
  private final HBox row = new HBox(8, new VBox(0, in, out), middle, speed);

  CueCell(Workspace workspace, CueWatch watch, CuePane pane) {
    this.workspace = workspace;
    this.playback = workspace.playback();
    this.watch = watch;
    this.pane = pane;
    in.getStyleClass().add("cue-time");
    out.getStyleClass().add("cue-time-out");
    in.setMinWidth(72);
    words.setWrapText(true);
    words.getStyleClass().add("cue-words");
    problem.getStyleClass().add("cue-problem");
    problem.setWrapText(true);
    speed.getStyleClass().add("cue-speed");
    speed.setMinWidth(26);
    speed.setAlignment(Pos.TOP_RIGHT);
    HBox.setHgrow(middle, Priority.ALWAYS);
    middle.setMinWidth(0);
    row.setAlignment(Pos.TOP_LEFT);
    setPrefWidth(0);
    in.setOnMouseClicked(event -> {
      if (event.getClickCount() == 2) {
        editTime(true);
      }
    });
    out.setOnMouseClicked(event -> {
      if (event.getClickCount() == 2) {
        editTime(false);
      }
    });
    middle.setOnMouseClicked(event -> {
      if (event.getClickCount() == 2 && getItem() != null) {
        pane.edit(getItem().id());
      }
    });
  }

  private double barWidth() {
    return getListView().lookup(".scroll-bar:vertical") instanceof Region bar
        ? bar.prefWidth(-1)
        : 14;
  }

  /** As high as the words need that wrap in the width of the list. */
  @Override
  protected double computePrefHeight(double width) {
    if (getGraphic() == null || getListView().getWidth() < 40) {
      return super.computePrefHeight(width);
    }
    double beside =
        getListView().snappedLeftInset() + getListView().snappedRightInset() + barWidth();
    double inside = getListView().getWidth() - beside - snappedLeftInset() - snappedRightInset();
    return snappedTopInset() + row.prefHeight(inside) + snappedBottomInset();
  }

  @Override
  protected void updateItem(Layer cue, boolean empty) {
    super.updateItem(cue, empty);
    show();
  }

  private boolean isNothing() {
    return isEmpty() || getItem() == null || getItem().timing().isEmpty();
  }

  void showWhetherLive() {
    pseudoClassStateChanged(LIVE, !isNothing() && pane.isLive(getItem()));
  }

  void show() {
    Layer cue = getItem();
    showWhetherLive();
    if (isNothing()) {
      setGraphic(null);
      return;
    }
    Optional<Timeline> line = playback.timeline();
    in.setText(line.map(own -> own.codeAt(CueList.time(cue).in())).orElse(""));
    out.setText(line.map(own -> own.codeAt(CueList.time(cue).out())).orElse(""));
    String speaker = CueList.time(cue).speaker();
    words.setText(
        (speaker.isEmpty() ? "" : speaker + ": ")
            + cue.story().text().replace('\u2028', '\n').replace('\t', ' '));
    List<CueProblem> problems = watch.of(cue.id());
    speed.setText(Numbers.format(CueList.readingSpeed(cue), 0));
    boolean fast = problems.stream().anyMatch(found -> found.kind() == CueProblem.Kind.TOO_FAST);
    speed.pseudoClassStateChanged(WRONG, fast);
    String told =
        problems.stream()
            .filter(found -> found.kind() != CueProblem.Kind.TOO_FAST)
            .map(found -> found.kind().label())
            .collect(Collectors.joining(", "));
    problem.setText(told);
    problem.setVisible(!told.isEmpty());
    problem.setManaged(!told.isEmpty());
    Tips.on(
        this,
        problems.stream()
            .map(found -> found.kind().label() + ": " + found.detail())
            .collect(Collectors.joining("\n")));
    if (pane.isEditing(cue)) {
      boolean shown =
          pane.editor()
              .filter(one -> one.cue().equals(cue.id()))
              .filter(one -> middle.getChildren().getFirst() == one.area())
              .isPresent();
      if (!shown) {
        middle.getChildren().setAll(field(cue));
      }
    } else if (!middle.getChildren().equals(List.of(words, problem))) {
      middle.getChildren().setAll(words, problem);
    }
    setGraphic(row);
  }

  /** Enter breaks the line; Ctrl+Enter or leaving the field takes the words, Esc leaves them. */
  private TextArea field(Layer cue) {
    TextArea field = new TextArea(cue.story().text().replace('\u2028', '\n'));
    field.setWrapText(true);
    // high enough for all the words, with a line to write on
    int wrapped =
        CueList.lines(cue).stream().mapToInt(line -> 1 + line.length() / CHARACTERS_IN_ROW).sum();
    field.setPrefRowCount(wrapped + 1);
    field.getStyleClass().add("cue-field");
    field.setId("cue-field");
    CuePane.Editor own = new CuePane.Editor(cue.id(), field);
    pane.beginEditing(own);
    field.addEventFilter(
        KeyEvent.KEY_PRESSED,
        event -> {
          boolean taken = event.getCode() == KeyCode.ENTER && event.isShortcutDown();
          if (taken || event.getCode() == KeyCode.ESCAPE) {
            pane.endEditing(taken);
            getListView().requestFocus();
            event.consume();
          }
        });
    field
        .focusedProperty()
        .addListener((_, _, focused) -> {
          if (!focused && pane.editor().filter(own::equals).isPresent()) {
            pane.endEditing(true);
          }
        });
    Platform.runLater(() -> {
      field.requestFocus();
      field.selectAll();
    });
    return field;
  }

  private void editTime(boolean begin) {
    Layer cue = getItem();
    Optional<Timeline> line = playback.timeline();
    if (cue == null || line.isEmpty()) {
      return;
    }
    Time was = begin ? CueList.time(cue).in() : CueList.time(cue).out();
    NameQuestion.ask(
            getScene().getWindow(),
            begin ? Messages.of("cue-pane.time-in") : Messages.of("cue-pane.time-out"),
            Messages.of("cue-pane.timecode"),
            line.get().codeAt(was))
        .ifPresent(text -> {
          try {
            Time now =
                line.get().rate().at(line.get().timecode().parse(text) - line.get().firstFrame());
            var own = CueList.time(cue);
            workspace.apply(
                new Retime(
                    Map.of(
                        cue.id(), begin ? own.between(now, own.out()) : own.between(own.in(), now)),
                    Messages.of("common.trim")));
          } catch (IllegalArgumentException wrong) {
            workspace.tell(Notice.problem(Messages.reason(wrong)));
          }
        });
  }
}
