package dynamorph.app.film;

import dynamorph.app.field.Controls;
import dynamorph.app.film.action.FilmActions;
import dynamorph.app.film.cues.CueWatch;
import dynamorph.app.film.lanes.TrackLanes;
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
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/** Plays the film, says where it is, and tells what is wrong with its captions. */
final class TransportBar extends HBox {
  private final Workspace workspace;
  private final Playback playback;
  private final CueWatch watch;
  private final FilmActions actions;
  private final TextField code = new TextField();
  private final Label rate = new Label();
  private final HBox problems = new HBox(8);

  TransportBar(Workspace workspace, CueWatch watch, TrackLanes lanes, FilmActions actions) {
    this.workspace = workspace;
    this.playback = workspace.playback();
    this.watch = watch;
    this.actions = actions;
    getStyleClass().add("transport");
    setAlignment(Pos.CENTER_LEFT);
    setSpacing(6);
    Button play = new Button("Play");
    play.getStyleClass().add("play");
    play.setId("play");
    play.setTooltip(new Tooltip("Play or pause  Space"));
    play.setFocusTraversable(false);
    play.setOnAction(_ -> actions.playOrPause());
    playback
        .playingProperty()
        .addListener((_, _, playing) -> play.setText(playing ? "Pause" : "Play"));
    ToggleButton loop = new ToggleButton("", new FontIcon(Feather.REPEAT));
    loop.getStyleClass().add("icon-button");
    loop.setId("loop");
    loop.setTooltip(new Tooltip("Loop the selection, else the whole film"));
    loop.setFocusTraversable(false);
    loop.setOnAction(_ -> actions.loop(loop.isSelected()));
    playback.loopProperty().addListener((_, _, now) -> loop.setSelected(now.isPresent()));
    code.setId("timecode");
    code.getStyleClass().add("timecode");
    code.setPrefColumnCount(9);
    code.setTooltip(new Tooltip("Playhead; type a timecode to go there"));
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
    problems.setAlignment(Pos.CENTER_RIGHT);
    problems.setMinWidth(0);
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    Button closer = Controls.icon(Feather.ZOOM_IN, "Zoom in", () -> lanes.zoom(1.5));
    closer.setId("lanes-closer");
    getChildren()
        .addAll(
            Controls.icon(
                Feather.SKIP_BACK,
                "To the edit before  Alt+Shift+Left",
                () -> playback.toEdit(false)),
            Controls.icon(
                Feather.CHEVRON_LEFT, "One frame back  Alt+Left", () -> playback.step(-1)),
            play,
            Controls.icon(Feather.CHEVRON_RIGHT, "One frame on  Alt+Right", () -> playback.step(1)),
            Controls.icon(
                Feather.SKIP_FORWARD,
                "To the next edit  Alt+Shift+Right",
                () -> playback.toEdit(true)),
            loop,
            code,
            rate,
            gap,
            problems,
            add(),
            Controls.icon(Feather.ZOOM_OUT, "Zoom out", () -> lanes.zoom(1 / 1.5)),
            closer,
            Controls.icon(Feather.MAXIMIZE_2, "Fit the whole film", lanes::fitAll));
    for (Node node : getChildren()) {
      if (node instanceof Button button) {
        button.setFocusTraversable(false);
      }
    }
    playback.playheadProperty().addListener((_, _, _) -> update());
    playback.filmProperty().addListener((_, _, _) -> update());
    workspace.shownProperty().addListener((_, _, _) -> update());
    watch.problemsProperty().addListener((_, _, _) -> showProblems());
    update();
  }

  private MenuButton add() {
    MenuButton menu = new MenuButton("Add");
    menu.setId("film-add");
    menu.setMinWidth(Region.USE_PREF_SIZE);
    menu.getItems()
        .addAll(
            item("Title at the playhead", actions.titles()::addTitle),
            item("Cue at the playhead", actions.cues()::addCue),
            item("Titles from a table\u2026", actions.titles()::titlesFromTable),
            item("Captions from a file\u2026", actions.files()::importCaptions),
            item("Track of titles", actions.tracks()::addTitleTrack),
            item("Track of captions\u2026", actions.tracks()::addCaptionTrack),
            item("Track of footage", actions.tracks()::addFootageTrack),
            item("Footage from a file\u2026", actions.footage()::addFromFile),
            item("Procedural footage\u2026", actions.footage()::addDrawn));
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
            workspace.tell(Notice.problem(wrong.getMessage()));
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
          code.getTooltip()
              .setText("Playhead, at " + line.rate().words() + "; type a timecode to go there");
          rate.setText(
              line.rate().words()
                  + " \u00b7 "
                  + Numbers.format(line.duration().seconds(), 1)
                  + " s");
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
      return;
    }
    CueProblem.Kind kind =
        chosen.filter(byKind::containsKey).orElseGet(() -> byKind.keySet().iterator().next());
    shownKind = kind;
    shownCues = byKind.get(kind);
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
    }
  }

  private void choose(CueProblem.Kind kind, List<LayerId> cues) {
    chosen = Optional.of(kind);
    showProblems();
    actions.fixes().toProblem(cues);
  }

  private final MenuButton kinds = new MenuButton();
  private final Hyperlink next = new Hyperlink("Next");
  private final Hyperlink fix = new Hyperlink();
  private CueProblem.Kind shownKind = CueProblem.Kind.TOO_FAST;
  private List<LayerId> shownCues = List.of();

  private void makeProblemControls() {
    kinds.getStyleClass().add("problem-menu");
    kinds.setId("cue-problems");
    kinds.setMinWidth(90);
    next.setTooltip(new Tooltip("Go to the next cue with this problem"));
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
      case TOO_FAST, TOO_SHORT -> "Lengthen";
      case TOO_LONG -> "Shorten";
      case GAP -> "Close";
      case OVERLAP -> "Cut";
      case LINES, LINE_LENGTH -> "Break lines";
      case EMPTY -> "Delete";
      case OUTSIDE, CONTRAST, GLYPHS -> "Open style";
    };
  }
}
