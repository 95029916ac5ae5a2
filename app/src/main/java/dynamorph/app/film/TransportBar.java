package dynamorph.app.film;

import static java.util.Objects.requireNonNull;

import dynamorph.app.field.Controls;
import dynamorph.app.field.Tips;
import dynamorph.app.film.action.FilmActions;
import dynamorph.app.film.cues.CueWatch;
import dynamorph.app.film.lanes.TrackLanes;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Playback;
import dynamorph.app.session.Workspace;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.value.Numbers;
import dynamorph.typeset.caption.CueProblem;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/** Plays the film, says where it is, and tells what is wrong with its captions. */
final class TransportBar extends VBox {
  /** Less is too narrow for what is wrong to stand beside the controls. */
  private static final double ONE_ROW = 640;

  private final Workspace workspace;
  private final Playback playback;
  private final CueWatch watch;
  private final FilmActions actions;
  private final TextField code = new TextField();
  private final Label rate = new Label();
  private final Label speed = new Label();
  private final HBox row = new HBox(4);
  private final MenuButton add;
  private final HBox problems = new HBox(8);

  TransportBar(Workspace workspace, CueWatch watch, TrackLanes lanes, FilmActions actions) {
    this.workspace = workspace;
    this.playback = workspace.playback();
    this.watch = watch;
    this.actions = actions;
    getStyleClass().add("transport");
    setSpacing(4);
    row.setAlignment(Pos.CENTER_LEFT);
    Button play = new Button(Messages.of("transport-bar.play"));
    play.getStyleClass().add("play");
    play.setId("play");
    Tips.on(play, Messages.of("transport-bar.play-or-pause-space"));
    play.setFocusTraversable(false);
    play.setOnAction(_ -> actions.playOrPause());
    playback
        .playingProperty()
        .addListener((_, _, playing) ->
            play.setText(
                playing ? Messages.of("transport-bar.pause") : Messages.of("transport-bar.play")));
    playback.speedProperty().addListener((_, _, _) -> showSpeed());
    playback.playingProperty().addListener((_, _, _) -> showSpeed());
    speed.setId("play-speed");
    speed.getStyleClass().add("quiet");
    speed.setMinWidth(Region.USE_PREF_SIZE);
    showSpeed();
    ToggleButton loop = new ToggleButton("", new FontIcon(Feather.REPEAT));
    loop.getStyleClass().add("icon-button");
    loop.setId("loop");
    Tips.on(loop, Messages.of("transport-bar.loop-the-selection-else-the-whole"));
    loop.setFocusTraversable(false);
    loop.setOnAction(_ -> actions.loop(loop.isSelected()));
    playback.loopProperty().addListener((_, _, now) -> loop.setSelected(now.isPresent()));
    code.setId("timecode");
    code.getStyleClass().add("timecode");
    code.setPrefColumnCount(9);
    Tips.on(code, Messages.of("transport-bar.playhead-type-a-timecode-to-go"));
    code.setOnAction(_ -> goTo());
    code.focusedProperty()
        .addListener((_, _, focused) -> {
          if (!focused) {
            update();
          }
        });
    rate.getStyleClass().add("quiet");
    rate.setMinWidth(0);
    makeProblemControls();
    add = adder();
    problems.setAlignment(Pos.CENTER_RIGHT);
    problems.setMinWidth(0);
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    Button closer =
        Controls.icon(Feather.ZOOM_IN, Messages.of("transport-bar.zoom-in"), () -> lanes.zoom(1.5));
    closer.setId("lanes-closer");
    row.getChildren()
        .addAll(
            Controls.icon(
                Feather.SKIP_BACK,
                Messages.of("transport-bar.previous-edit"),
                () -> playback.toEdit(false)),
            Controls.icon(
                Feather.CHEVRON_LEFT,
                Messages.of("transport-bar.one-frame-back"),
                () -> playback.step(-1)),
            play,
            Controls.icon(
                Feather.CHEVRON_RIGHT,
                Messages.of("transport-bar.one-frame-forward"),
                () -> playback.step(1)),
            Controls.icon(
                Feather.SKIP_FORWARD,
                Messages.of("transport-bar.next-edit"),
                () -> playback.toEdit(true)),
            loop,
            speed,
            code,
            rate,
            gap,
            problems,
            add,
            Controls.icon(
                Feather.ZOOM_OUT, Messages.of("transport-bar.zoom-out"), () -> lanes.zoom(1 / 1.5)),
            closer,
            Controls.icon(
                Feather.MAXIMIZE_2,
                Messages.of("transport-bar.fit-the-whole-film"),
                lanes::fitAll));
    for (Node node : row.getChildren()) {
      if (node instanceof Button button) {
        button.setFocusTraversable(false);
      }
    }
    getChildren().add(row);
    widthProperty()
        .addListener((_, before, now) -> {
          if (before.doubleValue() < ONE_ROW != now.doubleValue() < ONE_ROW) {
            placeProblems();
          }
        });
    playback.playheadProperty().addListener((_, _, _) -> update());
    playback.filmProperty().addListener((_, _, _) -> update());
    workspace.shownProperty().addListener((_, _, _) -> update());
    watch.problemsProperty().addListener((_, _, _) -> showProblems());
    update();
  }

  /** Only what is unusual is told. */
  private void showSpeed() {
    double now = playback.speedProperty().get();
    Controls.showOnly(speed, playback.playingProperty().get() && now != 1);
    speed.setText(Messages.of("transport-bar.speed", Numbers.format(now, 0)));
  }

  /** What is wrong stands beside the controls, or below them where that is too narrow. */
  private void placeProblems() {
    boolean below = getWidth() < ONE_ROW && !problems.getChildren().isEmpty();
    getChildren().setAll(row);
    row.getChildren().remove(problems);
    if (below) {
      problems.setAlignment(Pos.CENTER_LEFT);
      getChildren().add(problems);
    } else {
      problems.setAlignment(Pos.CENTER_RIGHT);
      row.getChildren().add(row.getChildren().indexOf(add), problems);
    }
  }

  private MenuButton adder() {
    MenuButton menu = new MenuButton(Messages.of("common.add"));
    menu.setId("film-add");
    menu.setMinWidth(Region.USE_PREF_SIZE);
    menu.getItems()
        .addAll(
            item(Messages.of("transport-bar.title-at-the-playhead"), actions.titles()::addTitle),
            item(Messages.of("transport-bar.cue-at-the-playhead"), actions.cues()::addCue),
            item(
                Messages.of("transport-bar.titles-from-a-table"),
                actions.titles()::titlesFromTable),
            item(
                Messages.of("transport-bar.captions-from-a-file"), actions.files()::importCaptions),
            item(Messages.of("transport-bar.title-track"), actions.tracks()::addTitleTrack),
            item(Messages.of("transport-bar.caption-track"), actions.tracks()::addCaptionTrack),
            item(Messages.of("transport-bar.footage-track"), actions.tracks()::addFootageTrack),
            item(Messages.of("transport-bar.footage-from-a-file"), actions.footage()::addFromFile),
            item(Messages.of("transport-bar.procedural-footage"), actions.footage()::addDrawn));
    return menu;
  }

  private static MenuItem item(String label, Runnable work) {
    MenuItem item = new MenuItem(label);
    item.setOnAction(_ -> work.run());
    return item;
  }

  private void goTo() {
    playback
        .timeline()
        .ifPresent(line -> {
          try {
            playback.seek(line.timeOf(code.getText()));
          } catch (IllegalArgumentException wrong) {
            workspace.tell(Notice.problem(Messages.reason(wrong)));
          }
          update();
        });
  }

  private void update() {
    playback
        .timeline()
        .ifPresent(line -> {
          if (!code.isFocused() || playback.playingProperty().get()) {
            code.setText(line.codeAt(playback.playheadProperty().get()));
          }
          Tips.on(
              code,
              Messages.of("transport-bar.playhead-at-type-a-timecode-to", line.rate().words()));
          rate.setText(
              Messages.of(
                  "transport-bar.s",
                  line.rate().words(),
                  Numbers.format(line.duration().seconds(), 1)));
        });
  }

  private Optional<CueProblem.Kind> chosen = Optional.empty();

  /** One kind of problem with a way to fix it; the others can be chosen. */
  private void showProblems() {
    Map<CueProblem.Kind, List<LayerId>> byKind = new EnumMap<>(CueProblem.Kind.class);
    watch
        .problemsProperty()
        .get()
        .values()
        .forEach(found ->
            found.stream()
                .filter(problem -> isOnShownTrack(problem.cue()))
                .forEach(problem ->
                    byKind
                        .computeIfAbsent(problem.kind(), _ -> new ArrayList<>())
                        .add(problem.cue())));
    // what is wrong needs the room more than what never changes
    rate.setVisible(byKind.isEmpty());
    rate.setManaged(byKind.isEmpty());
    if (byKind.isEmpty()) {
      problems.getChildren().clear();
      placeProblems();
      return;
    }
    CueProblem.Kind kind =
        chosen.filter(byKind::containsKey).orElseGet(() -> byKind.keySet().iterator().next());
    shownKind = kind;
    shownCues = requireNonNull(byKind.get(kind));
    kinds.setText(kind.of(shownCues.size()));
    kinds
        .getItems()
        .setAll(
            byKind.entrySet().stream()
                .map(entry ->
                    item(
                        entry.getKey().of(entry.getValue().size()),
                        () -> choose(entry.getKey(), entry.getValue())))
                .toList());
    fix.setText(fixLabel(kind));
    if (problems.getChildren().isEmpty()) {
      problems.getChildren().setAll(kinds, next, fix);
      placeProblems();
    }
  }

  private void choose(CueProblem.Kind kind, List<LayerId> cues) {
    chosen = Optional.of(kind);
    showProblems();
    actions.fixes().toProblem(cues);
  }

  private final MenuButton kinds = new MenuButton();
  private final Hyperlink next = new Hyperlink(Messages.of("transport-bar.next"));
  private final Hyperlink fix = new Hyperlink();
  private CueProblem.Kind shownKind = CueProblem.Kind.TOO_FAST;
  private List<LayerId> shownCues = List.of();

  private void makeProblemControls() {
    kinds.getStyleClass().add("problem-menu");
    kinds.setId("cue-problems");
    kinds.setMinWidth(90);
    Tips.on(next, Messages.of("transport-bar.go-to-the-next-cue-with"));
    next.setMinWidth(Region.USE_PREF_SIZE);
    next.setOnAction(_ -> actions.fixes().toProblem(shownCues));
    fix.setId("fix-cues");
    fix.setMinWidth(Region.USE_PREF_SIZE);
    fix.setOnAction(_ -> actions.fixes().fix(shownKind, shownCues));
  }

  private boolean isOnShownTrack(LayerId cue) {
    return playback
        .board()
        .flatMap(board -> board.layer(cue).flatMap(Layer::track))
        .flatMap(id -> playback.timeline().flatMap(line -> line.track(id)))
        .filter(track -> !track.state().hidden())
        .isPresent();
  }

  private static String fixLabel(CueProblem.Kind kind) {
    return switch (kind) {
      case TOO_FAST, TOO_SHORT -> Messages.of("transport-bar.lengthen");
      case TOO_LONG -> Messages.of("transport-bar.shorten");
      case GAP -> Messages.of("common.close");
      case OVERLAP -> Messages.of("transport-bar.cut");
      case LINES, LINE_LENGTH -> Messages.of("transport-bar.break-lines");
      case EMPTY -> Messages.of("common.delete");
      case OUTSIDE, CONTRAST, GLYPHS -> Messages.of("transport-bar.open-style");
    };
  }
}
