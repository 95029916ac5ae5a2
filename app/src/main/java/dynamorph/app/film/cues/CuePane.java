package dynamorph.app.film.cues;

import dynamorph.app.field.Tips;
import dynamorph.app.film.action.FilmActions;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Playback;
import dynamorph.app.session.Workspace;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.reach.LocalChanges;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Track;
import dynamorph.model.value.Numbers;
import dynamorph.typeset.caption.CueList;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SelectionMode;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;

/** The cues of a caption track as a list: when, what, how fast; edited where they stand. */
public final class CuePane extends VBox {
  private final Workspace workspace;
  private final Playback playback;
  private final CueWatch watch;
  private final FilmActions actions;
  private final ComboBox<Track.Captions> tracks = new ComboBox<>();
  private final HBox follows = new HBox(6);
  private final TextField filter = new TextField();
  private final ObservableList<Layer> rows = FXCollections.observableArrayList();
  private final ListView<Layer> list = new ListView<>(rows);
  private final Label foot = new Label();
  private Optional<LayerId> editing = Optional.empty();
  private Optional<LayerId> live = Optional.empty();
  private boolean updating;

  public CuePane(Workspace workspace, CueWatch watch, FilmActions actions) {
    this.workspace = workspace;
    this.playback = workspace.playback();
    this.watch = watch;
    this.actions = actions;
    getStyleClass().add("cue-pane");
    setId("cues");
    setSpacing(6);
    tracks.setMaxWidth(Double.MAX_VALUE);
    tracks.setId("cue-track");
    tracks.setConverter(
        new StringConverter<>() {
          @Override
          public String toString(Track.Captions track) {
            return track == null ? "" : track.name();
          }

          @Override
          public Track.Captions fromString(String name) {
            throw new UnsupportedOperationException("tracks are chosen, not typed");
          }
        });
    tracks
        .valueProperty()
        .addListener((_, _, now) -> {
          if (now != null && !updating) {
            playback.cueTrackProperty().set(Optional.of(now.id()));
          }
        });
    follows.setAlignment(Pos.CENTER_LEFT);
    filter.setPromptText(Messages.of("cue-pane.find-in-the-cues"));
    filter.setId("cue-filter");
    filter.textProperty().addListener((_, _, _) -> update());
    HBox.setHgrow(filter, Priority.ALWAYS);
    list.getSelectionModel().setSelectionMode(SelectionMode.MULTIPLE);
    list.setCellFactory(_ -> {
      CueCell cell = new CueCell(workspace, watch, this);
      cells.add(cell);
      return cell;
    });
    list.getStyleClass().add("cue-list");
    list.setId("cue-list");
    list.setPlaceholder(placeholder());
    VBox.setVgrow(list, Priority.ALWAYS);
    list.getSelectionModel()
        .getSelectedItems()
        .addListener((javafx.collections.ListChangeListener<Layer>) _ -> selectedInList());
    list.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
    foot.getStyleClass().add("quiet");
    foot.setWrapText(true);
    HBox head = new HBox(6, tracks, filter);
    HBox.setHgrow(tracks, Priority.SOMETIMES);
    getChildren().addAll(head, follows, buttons(), list, foot);
    workspace.shownProperty().addListener((_, _, _) -> update());
    playback.filmProperty().addListener((_, _, _) -> update());
    playback.cueTrackProperty().addListener((_, _, _) -> update());
    playback.playheadProperty().addListener((_, _, _) -> follow());
    workspace.selectionProperty().addListener((_, _, _) -> selectedElsewhere());
    watch.problemsProperty().addListener((_, _, _) -> refreshCells());
    actions.cues().onEditCue(this::edit);
    update();
  }

  private static Label placeholder() {
    Label words = new Label(Messages.of("cue-pane.no-cues-yet-click-new-to"));
    words.setWrapText(true);
    words.getStyleClass().add("quiet");
    return words;
  }

  private HBox buttons() {
    Button add = new Button(Messages.of("common.new"));
    Tips.on(add, Messages.of("cue-pane.a-new-cue-at-the-playhead"));
    add.setOnAction(_ -> actions.cues().addCue());
    add.setId("cue-add");
    Button split = new Button(Messages.of("cue-pane.split"));
    Tips.on(split, Messages.of("cue-pane.split-the-cue-at-the-caret"));
    split.setId("cue-split");
    split.setFocusTraversable(false);
    split.setOnAction(_ -> split());
    Button merge = new Button(Messages.of("cue-pane.merge"));
    merge.setId("cue-merge");
    Tips.on(merge, Messages.of("cue-pane.join-the-selected-cues-into-one"));
    merge.setOnAction(_ -> actions.cues().mergeCues());
    MenuButton more = new MenuButton(Messages.of("cue-pane.times"));
    more.setId("cue-times");
    more.getItems()
        .addAll(
            item(Messages.of("cue-pane.shift-from-the-playhead-on"), actions.cues()::shiftCues),
            item(
                Messages.of("cue-pane.conform-to-another-frame-rate"), actions.cues()::stretchCues),
            item(Messages.of("cue-pane.close-small-gaps"), actions.cues()::closeGaps),
            item(Messages.of("cue-pane.even-out-reading-speed"), actions.cues()::spread));
    Button lines = new Button(Messages.of("cue-pane.break-lines"));
    lines.setId("cue-lines");
    Tips.on(lines, Messages.of("cue-pane.break-the-selected-cues-into-lines"));
    lines.setOnAction(_ -> actions.cues().breakLines());
    HBox row = new HBox(4, add, split, merge, more, lines);
    row.getStyleClass().add("cue-buttons");
    row.getChildren().forEach(node -> ((Region) node).setMinWidth(Region.USE_PREF_SIZE));
    return row;
  }

  private static MenuItem item(String label, Runnable work) {
    MenuItem item = new MenuItem(label);
    item.setOnAction(_ -> work.run());
    return item;
  }

  private void update() {
    Optional<Artboard> board = playback.board();
    Optional<Track.Captions> track = playback.captions();
    updating = true;
    try {
      tracks
          .getItems()
          .setAll(
              board
                  .flatMap(Artboard::timeline)
                  .map(line -> line.captions().toList())
                  .orElse(List.of()));
      tracks.setValue(track.orElse(null));
      if (board.isEmpty() || track.isEmpty()) {
        rows.clear();
        follows.getChildren().clear();
        foot.setText("");
        return;
      }
      List<Layer> cues = CueList.of(board.get(), track.get()).cues();
      String wanted = filter.getText().strip().toLowerCase(Locale.ROOT);
      List<Layer> shown =
          wanted.isEmpty()
              ? cues
              : cues.stream()
                  .filter(cue -> cue.story().text().toLowerCase(Locale.ROOT).contains(wanted))
                  .toList();
      replace(shown);
      showFollows(track.get(), cues);
      foot.setText(
          Messages.of(
              "cue-pane.right-characters-per-second-at-most",
              Numbers.format(track.get().rules().readingSpeed(), 1),
              cues.size()));
    } finally {
      updating = false;
    }
    markSelection();
    follow();
  }

  /** Only rows that differ are replaced, so that the list stays where it is. */
  private void replace(List<Layer> shown) {
    if (rows.size() != shown.size()) {
      rows.setAll(shown);
      return;
    }
    for (int index = 0; index < shown.size(); index++) {
      if (rows.get(index) != shown.get(index)) {
        rows.set(index, shown.get(index));
      }
    }
  }

  private void showFollows(Track.Captions track, List<Layer> cues) {
    follows.getChildren().clear();
    Label words =
        new Label(
            track.follows().isEmpty()
                ? Messages.of("cue-pane.follows-no-style")
                : Messages.of("cue-pane.follows"));
    words.getStyleClass().add("quiet");
    words.setMinWidth(Region.USE_PREF_SIZE);
    follows.getChildren().add(words);
    for (var id : track.follows()) {
      workspace
          .project()
          .styles()
          .find(id)
          .ifPresent(style -> {
            Button chip = new Button(style.name());
            chip.getStyleClass().add("track-style");
            Tips.on(chip, Messages.of("cue-pane.open-the-style-that-all-cues"));
            chip.setOnAction(_ -> workspace.attempts().openDesk(id));
            follows.getChildren().add(chip);
          });
    }
    List<LayerId> local =
        cues.stream().filter(cue -> LocalChanges.count(cue) > 0).map(Layer::id).toList();
    if (!local.isEmpty()) {
      Region gap = new Region();
      HBox.setHgrow(gap, Priority.ALWAYS);
      Button count = new Button(Messages.of("common.local", local.size()));
      count.getStyleClass().add("local-count");
      count.setMinWidth(Region.USE_PREF_SIZE);
      Tips.on(count, Messages.of("cue-pane.select-the-cues-with-local-changes"));
      count.setOnAction(_ -> workspace.select(local));
      follows.getChildren().addAll(gap, count);
    }
  }

  /** The cue that is seen is marked, and kept in sight while the film plays. */
  private void follow() {
    Time now = playback.playheadProperty().get();
    Optional<LayerId> seen = Optional.empty();
    int at = -1;
    for (int index = 0; index < rows.size() && seen.isEmpty(); index++) {
      if (CueList.time(rows.get(index)).isLive(now)) {
        seen = Optional.of(rows.get(index).id());
        at = index;
      }
    }
    if (!seen.equals(live)) {
      live = seen;
      cells.forEach(CueCell::showWhetherLive);
      if (at >= 0 && editing.isEmpty() && playback.playingProperty().get()) {
        list.scrollTo(Math.max(0, at - 3));
      }
    }
  }

  private void selectedInList() {
    if (updating) {
      return;
    }
    List<Layer> selected =
        list.getSelectionModel().getSelectedItems().stream()
            .filter(java.util.Objects::nonNull)
            .toList();
    if (selected.isEmpty()) {
      return;
    }
    updating = true;
    try {
      workspace.select(selected.stream().map(Layer::id).toList());
      if (selected.size() == 1 && !playback.playingProperty().get()) {
        Layer cue = selected.getFirst();
        if (!CueList.time(cue).isLive(playback.playheadProperty().get())) {
          playback.bring(cue);
        }
      }
    } finally {
      updating = false;
    }
  }

  private void selectedElsewhere() {
    if (!updating) {
      workspace.selection().layers().stream()
          .findFirst()
          .flatMap(id -> playback.board().flatMap(board -> board.layer(id)))
          .filter(layer -> workspace.project().captionsOf(layer).isPresent())
          .flatMap(Layer::track)
          .filter(track -> playback.captions().filter(own -> own.id().equals(track)).isEmpty())
          .ifPresent(track -> playback.cueTrackProperty().set(Optional.of(track)));
      markSelection();
    }
  }

  private void markSelection() {
    updating = true;
    try {
      Set<LayerId> wanted = workspace.selection().layers();
      int[] indices =
          java.util.stream.IntStream.range(0, rows.size())
              .filter(index -> wanted.contains(rows.get(index).id()))
              .toArray();
      var model = list.getSelectionModel();
      if (indices.length == 0) {
        model.clearSelection();
      } else if (!Set.copyOf(model.getSelectedIndices())
          .equals(java.util.Arrays.stream(indices).boxed().collect(Collectors.toSet()))) {
        model.clearSelection();
        model.selectIndices(indices[0], indices);
        if (editing.isEmpty()) {
          list.scrollTo(Math.max(0, indices[0] - 3));
        }
      }
    } finally {
      updating = false;
    }
  }

  private void key(KeyEvent event) {
    if (editing.isPresent()) {
      return;
    }
    Layer cue = list.getSelectionModel().getSelectedItem();
    switch (event.getCode()) {
      case ENTER, F2 -> {
        if (cue != null) {
          edit(cue.id());
          event.consume();
        }
      }
      case DELETE, BACK_SPACE -> {
        if (!workspace.selection().isEmpty()) {
          workspace.apply(
              new dynamorph.model.edit.layer.ArrangeLayers.Delete(workspace.selection().layers()));
          event.consume();
        }
      }
      default -> {}
    }
  }

  /** Edits the words of a cue where they stand. */
  void edit(LayerId id) {
    editing = Optional.of(id);
    refreshCells();
    for (int index = 0; index < rows.size(); index++) {
      if (rows.get(index).id().equals(id)) {
        list.scrollTo(Math.max(0, index - 2));
      }
    }
  }

  /** The field that a cue is edited in. */
  record Editor(LayerId cue, TextArea area) {}

  private Optional<Editor> editor = Optional.empty();

  Optional<Editor> editor() {
    return editor;
  }

  void beginEditing(Editor begun) {
    editor = Optional.of(begun);
  }

  boolean isEditing(Layer cue) {
    return editing.filter(cue.id()::equals).isPresent();
  }

  /** Whether the playhead is over a cue. */
  boolean isLive(Layer cue) {
    return live.filter(cue.id()::equals).isPresent();
  }

  /**
   * Shows the cue as a row again.
   *
   * @param take whether the words that were typed are kept
   */
  void endEditing(boolean take) {
    Optional<Editor> ended = editor;
    editor = Optional.empty();
    editing = Optional.empty();
    refreshCells();
    ended
        .filter(_ -> take)
        .ifPresent(one -> actions.cues().setWords(one.cue(), one.area().getText()));
  }

  private void split() {
    Optional<LayerId> id = editing.or(() -> workspace.selection().layers().stream().findFirst());
    Optional<Layer> cue =
        id.flatMap(wanted -> playback.board().flatMap(board -> board.layer(wanted)));
    if (cue.isEmpty()) {
      workspace.tell(
          dynamorph.app.session.Notice.info(Messages.of("cue-pane.select-the-cue-that-shall-be")));
    } else if (editor.isPresent()) {
      int offset = editor.get().area().getCaretPosition();
      endEditing(true);
      actions.cues().splitCue(cue.get().id(), offset);
    } else {
      actions.titles().split();
    }
  }

  private final List<CueCell> cells = new ArrayList<>();

  /** Shows every row anew; the list's own way would make new rows and end the editing of one. */
  private void refreshCells() {
    cells.forEach(CueCell::show);
  }
}
