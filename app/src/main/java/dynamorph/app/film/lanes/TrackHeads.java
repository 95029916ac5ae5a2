package dynamorph.app.film.lanes;

import dynamorph.app.field.Controls;
import dynamorph.app.field.Tips;
import dynamorph.app.film.action.FilmActions;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Playback;
import dynamorph.app.session.Workspace;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.edit.film.ChangeTimeline;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import dynamorph.model.value.ItemState;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;
import javafx.css.PseudoClass;
import javafx.geometry.Point2D;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.RadioMenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleGroup;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.shape.Rectangle;
import org.kordamp.ikonli.feather.Feather;

/** The names of the tracks, whether they are seen, and what can be done with each. */
public final class TrackHeads extends Pane {
  private static final double WIDTH = 150;

  private final Workspace workspace;
  private final Playback playback;
  private final TrackLanes lanes;
  private final FilmActions actions;
  private final MenuButton films = new MenuButton();
  private Optional<Timeline> shown = Optional.empty();

  public TrackHeads(Workspace workspace, TrackLanes lanes, FilmActions actions) {
    this.workspace = workspace;
    this.playback = workspace.playback();
    this.lanes = lanes;
    this.actions = actions;
    films.getStyleClass().add("film-menu");
    films.setId("film-menu");
    films.setPrefSize(WIDTH - 1, LaneRows.RULER - 1);
    films.setMaxSize(WIDTH - 1, LaneRows.RULER - 1);
    films.setFocusTraversable(false);
    films.setOnShowing(_ -> fillFilms());
    fillFilms();
    getStyleClass().add("track-heads");
    setMinWidth(WIDTH);
    setPrefWidth(WIDTH);
    setMaxWidth(WIDTH);
    setMinHeight(0);
    Rectangle clip = new Rectangle();
    clip.widthProperty().bind(widthProperty());
    clip.heightProperty().bind(heightProperty());
    setClip(clip);
    workspace.shownProperty().addListener((_, _, _) -> update());
    playback.filmProperty().addListener((_, _, _) -> update());
    lanes.onScrolledDown(this::place);
    heightProperty().addListener((_, _, _) -> place());
    update();
  }

  private void update() {
    Optional<Timeline> now = playback.timeline();
    if (now.equals(shown)) {
      return;
    }
    shown = now;
    List<Node> heads = new ArrayList<>();
    now.ifPresent(line -> line.tracks().forEach(track -> heads.add(head(track))));
    heads.add(films);
    getChildren().setAll(heads);
    films.setText(playback.board().map(Artboard::name).orElse(Messages.of("track-heads.film")));
    place();
  }

  private void fillFilms() {
    List<MenuItem> items = new ArrayList<>();
    for (Artboard board : workspace.project().films().toList()) {
      items.add(item(board.name(), () -> playback.open(board.id())));
    }
    items.add(new SeparatorMenuItem());
    items.add(item(Messages.of("track-heads.new-film"), actions::newFilm));
    items.add(item(Messages.of("track-heads.film-settings"), actions::filmSettings));
    films.getItems().setAll(items);
  }

  private void place() {
    for (int row = 0; row < getChildren().size() - 1; row++) {
      getChildren().get(row).setLayoutY(LaneRows.RULER + row * LaneRows.ROW - lanes.top());
      getChildren()
          .get(row)
          .setVisible(getChildren().get(row).getLayoutY() > LaneRows.RULER - LaneRows.ROW / 2);
    }
  }

  private Node head(Track track) {
    Label name = new Label(label(track));
    name.getStyleClass().add("track-name");
    name.setMinWidth(0);
    Tips.on(name, help(track));
    name.setOnMouseClicked(event -> {
      if (event.getClickCount() == 2) {
        rename(track);
      } else if (track instanceof Track.Captions) {
        playback.cueTrackProperty().set(Optional.of(track.id()));
      }
    });
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    boolean hidden = track.state().hidden();
    boolean locked = track.state().locked();
    Button eye =
        Controls.icon(
            hidden ? Feather.EYE_OFF : Feather.EYE,
            hidden
                ? Messages.of("track-heads.show-the-track")
                : Messages.of("track-heads.hide-the-track"),
            () -> show(track, hidden));
    Button lock =
        Controls.icon(
            locked ? Feather.LOCK : Feather.UNLOCK,
            locked
                ? Messages.of("track-heads.unlock-the-track")
                : Messages.of("track-heads.lock-the-track"),
            () -> put(track.withState(new ItemState(hidden, !locked))));
    eye.getStyleClass().add("track-button");
    lock.getStyleClass().add("track-button");
    eye.setOpacity(hidden ? 1 : 0.6);
    lock.setOpacity(locked ? 1 : 0.35);
    HBox head = new HBox(1, name, gap, eye, lock);
    head.setAlignment(Pos.CENTER_LEFT);
    head.getStyleClass().add("track-head");
    head.setMinHeight(LaneRows.ROW);
    head.setMaxHeight(LaneRows.ROW);
    head.setPrefSize(WIDTH, LaneRows.ROW);
    head.setId("track-" + track.id());
    head.setUserData(track.id());
    mark(head);
    head.setOnContextMenuRequested(event -> {
      ContextMenu menu = menu(track);
      menu.show(head, event.getScreenX(), event.getScreenY());
      event.consume();
    });
    return head;
  }

  private static final PseudoClass TAKING = PseudoClass.getPseudoClass("taking");

  private Stream<Node> heads() {
    return lookupAll(".track-head").stream();
  }

  /** The track whose name lies at a point of the window. */
  Optional<Track> trackAt(Point2D inWindow) {
    // names are made anew while a track is previewed; the lanes beside them stay
    return localToScene(getLayoutBounds()).contains(inWindow)
        ? lanes.trackAt(lanes.sceneToLocal(inWindow).getY())
        : Optional.empty();
  }

  /** Marks the track that a style would be dropped on. */
  void showLanding(Optional<Track> track) {
    taking = track.map(Track::id);
    heads().forEach(this::mark);
  }

  private void mark(Node head) {
    head.pseudoClassStateChanged(TAKING, taking.filter(head.getUserData()::equals).isPresent());
  }

  private Optional<TrackId> taking = Optional.empty();

  private static String label(Track track) {
    return track instanceof Track.Captions
        ? Messages.of("track-heads.captions", track.name())
        : track.name();
  }

  private String help(Track track) {
    return switch (track) {
      case Track.Footage _ -> Messages.of("track-heads.footage-double-click-to-rename");
      case Track.Titles _ -> Messages.of("track-heads.titles-double-click-to-rename");
      case Track.Captions captions ->
          Messages.of(
              "track-heads.captions-click-to-list-its-cues",
              captions.language(),
              (captions.follows().isEmpty()
                  ? Messages.of("track-heads.follows-no-style")
                  : Messages.of(
                      "track-heads.follows",
                      String.join(
                          ", ",
                          captions.follows().stream()
                              .map(id -> workspace.project().styles().get(id).name())
                              .toList()))));
    };
  }

  private void put(Track changed) {
    playback
        .board()
        .ifPresent(board -> workspace.apply(new ChangeTimeline.PutTrack(board.id(), changed)));
  }

  /** A field in the place of the name. */
  private void rename(Track track) {
    HBox head = (HBox) lookup("#track-" + track.id().value().replace(".", "\\."));
    if (head == null) {
      return;
    }
    TextField field = new TextField(track.name());
    field.getStyleClass().add("rename-field");
    field.setPrefWidth(96);
    head.getChildren().set(0, field);
    field.requestFocus();
    field.selectAll();
    boolean[] done = {false};
    Runnable take =
        () -> {
          if (!done[0]) {
            done[0] = true;
            shown = Optional.empty();
            if (!field.getText().isBlank() && !field.getText().strip().equals(track.name())) {
              put(track.withName(field.getText().strip()));
            }
            update();
          }
        };
    Controls.onTyped(field, take);
    field.setOnKeyPressed(event -> {
      if (event.getCode() == KeyCode.ESCAPE) {
        field.setText(track.name());
        take.run();
        event.consume();
      }
    });
  }

  /** Shows or hides a track; a language that is shown takes the place of the others. */
  private void show(Track track, boolean shown) {
    if (shown && track instanceof Track.Captions) {
      playback
          .board()
          .ifPresent(
              board -> workspace.apply(new ChangeTimeline.ShowCaptions(board.id(), track.id())));
    } else {
      put(track.withState(new ItemState(!shown, track.state().locked())));
    }
  }

  ContextMenu menu(Track track) {
    ContextMenu menu = new ContextMenu();
    menu.getItems().add(item(Messages.of("track-heads.rename"), () -> rename(track)));
    menu.getItems().add(item(Messages.of("track-heads.move-up"), () -> move(track, -1)));
    menu.getItems().add(item(Messages.of("track-heads.move-down"), () -> move(track, 1)));
    menu.getItems().add(item(Messages.of("track-heads.delete-the-track"), () -> delete(track)));
    menu.getItems().add(new SeparatorMenuItem());
    if (!(track instanceof Track.Footage)) {
      menu.getItems()
          .add(item(Messages.of("track-heads.select-all-on-it"), () -> selectAll(track)));
    }
    if (track instanceof Track.Captions captions) {
      MenuItem beside =
          item(
              Messages.of("track-heads.show-with-the-others"),
              () -> put(track.withState(new ItemState(false, track.state().locked()))));
      beside.setDisable(!track.state().hidden());
      menu.getItems().add(beside);
      menu.getItems().addAll(follow(captions), speakers(captions));
      menu.getItems()
          .addAll(
              item(
                  Messages.of("track-heads.list-its-cues"),
                  () -> playback.cueTrackProperty().set(Optional.of(track.id()))),
              item(Messages.of("track-heads.rules"), () -> actions.tracks().editRules(captions)),
              item(
                  Messages.of("track-heads.export-its-cues"),
                  () -> actions.files().exportCaptions(captions)));
    }
    return menu;
  }

  /** The character style that what each speaker says takes. */
  private Menu speakers(Track.Captions track) {
    Menu menu = new Menu(Messages.of("track-heads.speakers"));
    Set<String> names = new TreeSet<>(track.speakers().keySet());
    playback
        .board()
        .ifPresent(board ->
            board.on(track.id()).forEach(cue -> names.add(cue.timing().orElseThrow().speaker())));
    names.remove("");
    for (String name : names) {
      Menu of = new Menu(name);
      ToggleGroup group = new ToggleGroup();
      of.getItems().add(speaker(track, name, Optional.empty(), group));
      for (Style style : workspace.project().styles().list()) {
        if (style.level() == StyleLevel.CHARACTER) {
          of.getItems().add(speaker(track, name, Optional.of(style), group));
        }
      }
      menu.getItems().add(of);
    }
    if (names.isEmpty()) {
      MenuItem none = new MenuItem(Messages.of("track-heads.no-cue-says-who-speaks"));
      none.setDisable(true);
      menu.getItems().add(none);
    }
    return menu;
  }

  private MenuItem speaker(
      Track.Captions track, String name, Optional<Style> style, ToggleGroup group) {
    RadioMenuItem item =
        new RadioMenuItem(style.map(Style::name).orElse(Messages.of("track-heads.no-style")));
    item.setToggleGroup(group);
    item.setSelected(Optional.ofNullable(track.speakers().get(name)).equals(style.map(Style::id)));
    item.setOnAction(_ -> {
      Map<String, StyleId> changed = new TreeMap<>(track.speakers());
      style.ifPresentOrElse(wanted -> changed.put(name, wanted.id()), () -> changed.remove(name));
      put(track.withSpeakers(changed));
    });
    return item;
  }

  private Menu follow(Track.Captions track) {
    Menu menu = new Menu(Messages.of("track-heads.follow"));
    for (Style style : workspace.project().styles().list()) {
      if (style.level() == StyleLevel.TEXT) {
        CheckMenuItem item = new CheckMenuItem(style.name());
        item.setSelected(track.follows().contains(style.id()));
        item.setOnAction(_ -> put(track.withFollows(flipped(track.follows(), style.id()))));
        menu.getItems().add(item);
      }
    }
    return menu;
  }

  private static List<StyleId> flipped(List<StyleId> follows, StyleId style) {
    List<StyleId> changed = new ArrayList<>(follows);
    if (!changed.remove(style)) {
      changed.add(style);
    }
    return changed;
  }

  private void move(Track track, int by) {
    playback
        .board()
        .ifPresent(
            board -> workspace.apply(new ChangeTimeline.MoveTrack(board.id(), track.id(), by)));
  }

  private void delete(Track track) {
    playback
        .board()
        .ifPresent(
            board -> workspace.apply(new ChangeTimeline.DeleteTrack(board.id(), track.id())));
  }

  private void selectAll(Track track) {
    playback
        .board()
        .ifPresent(
            board -> workspace.select(board.on(track.id()).stream().map(Layer::id).toList()));
  }

  private static MenuItem item(String label, Runnable work) {
    MenuItem item = new MenuItem(label);
    item.setOnAction(_ -> work.run());
    return item;
  }
}
