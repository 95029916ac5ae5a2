package dynamorph.app.styles.reach;

import dynamorph.app.field.Controls;
import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Workspace;
import dynamorph.model.LayerId;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.layer.DropLocal;
import dynamorph.model.reach.Followers;
import dynamorph.model.style.Style;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * Everything that a style or a pending change reaches, at large and by artboard. What is clicked
 * here is selected, so whatever can be done with a selection can be done with it.
 */
public final class ReachView extends VBox {
  private static final int TILE_WIDTH = 152;
  private static final int TILE_HEIGHT = 84;

  /** Of a tile with what is around it. */
  private static final double TILE_ROOM = TILE_WIDTH + 18;

  /** Which texts are listed. */
  private enum Show {
    ALL(Messages.of("reach-view.all")),
    TROUBLED(Messages.of("reach-view.with-problems")),
    LOCAL(Messages.of("reach-view.with-local-changes")),
    OVERSET(Messages.of("reach-view.overset")),
    LEFT_OUT(Messages.of("reach-view.left-out"));

    private final String label;

    Show(String label) {
      this.label = label;
    }

    boolean has(ReachReport.Entry entry) {
      return switch (this) {
        case ALL -> true;
        case TROUBLED -> entry.isTroubled();
        case LOCAL -> entry.local() > 0;
        case OVERSET -> entry.isOverset();
        case LEFT_OUT -> entry.heldBack();
      };
    }
  }

  /** A heading, or some tiles in a row. */
  private record Row(String heading, List<ReachReport.Entry> entries, boolean comparing) {}

  private final Workspace workspace;
  private final ReachSources sources;
  private final ReachWatch watch;
  private final ReachGestures gestures;
  private final Label title = new Label();
  private final HBox words = new HBox(12);
  private final Map<Show, ToggleButton> chips = new LinkedHashMap<>();
  private final ListView<Row> list = new ListView<>();
  private final HBox pending = new HBox(8);
  private final PendingControls controls;
  private final Label chosen = new Label();
  private final Button drop = new Button(Messages.of("reach-view.drop-local-changes"));
  private final Button leaveOut = new Button(Messages.of("reach-view.leave-out"));
  private final ComboBox<Optional<Style>> through =
      Controls.styles(Messages.of("reach-view.through-any-style"));
  private Show show = Show.ALL;
  private boolean listing;

  public ReachView(ReachSources sources) {
    this.sources = sources;
    this.workspace = sources.workspace();
    this.watch = sources.watch();
    this.gestures = sources.gestures(true);
    this.controls = new PendingControls(workspace);
    getStyleClass().add("reach-view");
    setId("reach-view");
    list.getStyleClass().add("reach-list");
    list.setCellFactory(_ -> new RowCell());
    list.setFocusTraversable(false);
    VBox.setVgrow(list, Priority.ALWAYS);
    getChildren().addAll(head(), filters(), list, actions());
    watch.reportProperty().addListener((_, _, _) -> update());
    workspace.selectionProperty().addListener((_, _, _) -> markSelected());
    visibleProperty()
        .addListener((_, _, open) -> {
          if (open) {
            update();
            requestFocus();
          } else {
            sources.stage().requestFocus();
          }
        });
    list.widthProperty().addListener((_, _, _) -> update());
    setOnKeyPressed(event -> {
      if (event.getCode() == KeyCode.ESCAPE) {
        workspace.view().reachProperty().set(false);
        event.consume();
      } else if (event.getCode() == KeyCode.X && !event.isShortcutDown()) {
        gestures.flipHeldBack(selected());
        event.consume();
      } else if (event.getCode() == KeyCode.A && event.isShortcutDown()) {
        workspace.select(shown().stream().map(ReachReport.Entry::id).toList());
        event.consume();
      }
    });
  }

  private Node head() {
    title.getStyleClass().add("column-title");
    words.setAlignment(Pos.BASELINE_LEFT);
    pending.setAlignment(Pos.CENTER_LEFT);
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    Button close = new Button(Messages.of("reach-view.back-to-the-stage"));
    close.setMinWidth(Region.USE_PREF_SIZE);
    Tips.on(close, Messages.of("common.close-esc"));
    close.setOnAction(_ -> workspace.view().reachProperty().set(false));
    title.setMinWidth(Region.USE_PREF_SIZE);
    words.setMinWidth(0);
    HBox head = new HBox(12, title, Controls.help("guide#change-it-everywhere"), words, gap, close);
    head.setAlignment(Pos.CENTER_LEFT);
    return head;
  }

  private Node filters() {
    // where there is little room they go on below
    FlowPane bar = new FlowPane(6, 6);
    bar.setId("reach-filters");
    ToggleGroup group = new ToggleGroup();
    for (Show which : Show.values()) {
      ToggleButton chip = new ToggleButton(which.label);
      chip.getStyleClass().add("pill");
      chip.setToggleGroup(group);
      chip.setSelected(which == Show.ALL);
      chip.setOnAction(_ -> {
        show = which;
        chip.setSelected(true);
        update();
      });
      chip.setMinWidth(Region.USE_PREF_SIZE);
      chips.put(which, chip);
      bar.getChildren().add(chip);
    }
    through.setId("reach-through");
    through.setAccessibleText(Messages.of("reach-view.which-style-the-texts-follow"));
    through
        .valueProperty()
        .addListener((_, _, _) -> {
          if (!listing) {
            update();
          }
        });
    bar.getChildren().add(through);
    bar.setRowValignment(VPos.CENTER);
    return bar;
  }

  private Node actions() {
    chosen.getStyleClass().add("quiet-words");
    Button all = new Button(Messages.of("reach-view.select-all-shown"));
    Tips.on(all, Messages.of("reach-view.select-all-shown-ctrl-a"));
    all.setOnAction(_ -> workspace.select(shown().stream().map(ReachReport.Entry::id).toList()));
    drop.setOnAction(_ -> workspace.apply(DropLocal.all(new Target.Layers(selected()))));
    leaveOut.setOnAction(_ -> gestures.flipHeldBack(selected()));
    Tips.on(leaveOut, Messages.of("reach-view.the-selected-texts-keep-their-look"));
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    HBox row = new HBox(8, chosen, all, gap, leaveOut, drop, pending);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private Set<LayerId> selected() {
    Set<LayerId> ids = new HashSet<>(workspace.selection().layers());
    ids.retainAll(shown().stream().map(ReachReport.Entry::id).toList());
    return ids;
  }

  private List<ReachReport.Entry> shown() {
    return watch
        .reportProperty()
        .get()
        .map(report -> report.entries().stream().filter(show::has).filter(this::isThrough).toList())
        .orElse(List.of());
  }

  /** Whether a text itself follows the style that is asked for. */
  private boolean isThrough(ReachReport.Entry entry) {
    return through.getValue() == null
        || through
            .getValue()
            .map(style ->
                Followers.followed(entry.text().after().text().layer()).contains(style.id()))
            .orElse(true);
  }

  /** Offers the styles that the texts reached follow themselves. */
  private void listStyles(Optional<ReachReport> report) {
    List<Optional<Style>> offered = new ArrayList<>(List.of(Optional.empty()));
    report.stream()
        .flatMap(told -> told.entries().stream())
        .flatMap(entry -> Followers.followed(entry.text().after().text().layer()).stream().sorted())
        .distinct()
        .flatMap(id -> workspace.project().styles().find(id).stream())
        .forEach(style -> offered.add(Optional.of(style)));
    if (!offered.equals(through.getItems())) {
      listing = true;
      Optional<Style> chosen = through.getValue() == null ? Optional.empty() : through.getValue();
      through.getItems().setAll(offered);
      through.setValue(offered.contains(chosen) ? chosen : Optional.empty());
      listing = false;
    }
  }

  private void update() {
    if (!isVisible()) {
      return;
    }
    listStyles(watch.reportProperty().get());
    Optional<ReachReport> report = watch.reportProperty().get();
    title.setText(
        report
            .map(told ->
                told.comparing()
                    ? Messages.of("reach-view.what-will-change")
                    : Messages.of("reach-view.what-follows", told.title()))
            .orElse(Messages.of("reach-view.nothing-is-picked")));
    words
        .getChildren()
        .setAll(
            report.map(ReachWords::of).orElse(List.of()).stream()
                .map(piece -> {
                  Label label = new Label(piece.text());
                  label.getStyleClass().add(piece.styleClass());
                  return label;
                })
                .toList());
    chips.forEach((which, chip) -> {
      long count = report.map(told -> told.count(which::has)).orElse(0L);
      chip.setText(which.label + " " + count);
      chip.setDisable(count == 0 && which != Show.ALL);
    });
    List<Row> rows = rows(report);
    if (!rows.equals(list.getItems())) {
      list.getItems().setAll(rows);
    }
    List<Node> offered = new ArrayList<>(controls.nodes());
    offered.addAll(controls.buttons());
    pending.getChildren().setAll(offered);
    markSelected();
  }

  private List<Row> rows(Optional<ReachReport> report) {
    int across = (int) Math.max(1, (list.getWidth() - 24) / TILE_ROOM);
    boolean comparing = report.map(ReachReport::comparing).orElse(false);
    Map<String, List<ReachReport.Entry>> byBoard = new LinkedHashMap<>();
    for (ReachReport.Entry entry : shown()) {
      byBoard
          .computeIfAbsent(entry.text().after().board().artboard().name(), _ -> new ArrayList<>())
          .add(entry);
    }
    List<Row> rows = new ArrayList<>();
    List<ReachReport.Entry> few = new ArrayList<>();
    byBoard.forEach((board, entries) -> {
      if (entries.size() < WORTH_A_HEADING) {
        few.addAll(entries);
      } else {
        addRows(rows, few, across, comparing);
        few.clear();
        rows.add(new Row(board + "  " + entries.size(), List.of(), comparing));
        addRows(rows, entries, across, comparing);
      }
    });
    addRows(rows, few, across, comparing);
    return rows;
  }

  /** Artboards with fewer texts than this share rows; every tile names its artboard anyway. */
  private static final int WORTH_A_HEADING = 4;

  private static void addRows(
      List<Row> rows, List<ReachReport.Entry> entries, int across, boolean comparing) {
    for (int from = 0; from < entries.size(); from += across) {
      rows.add(
          new Row(
              "",
              List.copyOf(entries.subList(from, Math.min(from + across, entries.size()))),
              comparing));
    }
  }

  private void markSelected() {
    int count = selected().size();
    chosen.setText(
        count == 0
            ? Messages.of("reach-view.click-texts-to-select-them")
            : Messages.of("reach-view.selected", count));
    drop.setDisable(count == 0 || workspace.attempts().pending().isPresent());
    boolean comparing = watch.reportProperty().get().map(ReachReport::comparing).orElse(false);
    leaveOut.setVisible(comparing);
    leaveOut.setManaged(comparing);
    leaveOut.setDisable(count == 0);
    lookupAll(".thumbnail")
        .forEach(node -> {
          if (node instanceof ReachTile tile) {
            tile.mark(workspace.selection().contains(tile.layer()));
          }
        });
  }

  /** A heading or a row of tiles, made again for whatever scrolls into sight. */
  private final class RowCell extends ListCell<Row> {
    private final HBox tiles = new HBox(8);
    private final Label heading = new Label();

    RowCell() {
      heading.getStyleClass().add("group-title");
      getStyleClass().add("reach-row");
    }

    @Override
    protected void updateItem(Row row, boolean empty) {
      super.updateItem(row, empty);
      setText(null);
      if (empty || row == null) {
        setGraphic(null);
        return;
      }
      if (!row.heading().isEmpty()) {
        heading.setText(row.heading());
        setGraphic(heading);
        return;
      }
      while (tiles.getChildren().size() > row.entries().size()) {
        tiles.getChildren().removeLast();
      }
      for (int index = 0; index < row.entries().size(); index++) {
        if (index == tiles.getChildren().size()) {
          tiles.getChildren().add(sources.tile(TILE_WIDTH));
        }
        ReachTile tile = (ReachTile) tiles.getChildren().get(index);
        ReachReport.Entry entry = row.entries().get(index);
        gestures.install(tile, entry.id());
        tile.show(entry, row.comparing(), TILE_HEIGHT);
        tile.mark(workspace.selection().contains(entry.id()));
      }
      setGraphic(tiles);
    }
  }
}
