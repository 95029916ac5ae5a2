package dynamorph.app.artboards.layers;

import dynamorph.app.action.Actions;
import dynamorph.app.artboards.stage.StageView;
import dynamorph.app.field.Controls;
import dynamorph.app.field.NoListSelection;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Workspace;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.layer.ArrangeLayers;
import dynamorph.model.flow.LinkedBoxes;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.ContextMenuEvent;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * All layers in sight by artboard, the topmost first: to find, name, stack, hide and lock them, and
 * to select what lies under others.
 */
public final class LayersPane extends VBox {
  private static final double ROW_HEIGHT = 28;

  private final Workspace workspace;
  private final StageView stage;
  private final Actions actions;
  private final TextField search = new TextField();
  private final ListView<LayerItem> list = new ListView<>();
  private final Label count = new Label();
  private final Hyperlink showAll = new Hyperlink();
  private final Hyperlink unlockAll = new Hyperlink();
  // made anew for a selection they would lose the gesture that made it
  private final List<LayerCell> cells = new ArrayList<>();
  private final Set<String> folded = new HashSet<>();
  private Optional<LayerId> anchor = Optional.empty();
  private boolean dragging;
  private boolean ownSelection;

  public LayersPane(Workspace workspace, StageView stage, Actions actions) {
    this.workspace = workspace;
    this.stage = stage;
    this.actions = actions;
    getStyleClass().add("layers-pane");
    setId("layers");
    search.setId("find-layer");
    search.setPromptText(Messages.of("layers-pane.find"));
    search.setAccessibleText(Messages.of("layers-pane.find"));
    search.textProperty().addListener((_, _, _) -> update());
    list.setId("layer-list");
    list.getStyleClass().add("layer-list");
    list.setAccessibleText(Messages.of("layers-pane.list"));
    list.setSelectionModel(new NoListSelection<>());
    list.setFixedCellSize(ROW_HEIGHT);
    list.setCellFactory(_ -> {
      LayerCell cell = new LayerCell(this);
      cells.add(cell);
      return cell;
    });
    list.addEventFilter(KeyEvent.KEY_PRESSED, this::keyPressed);
    list.setOnContextMenuRequested(this::menuRequested);
    list.setOnMouseReleased(_ -> dragging = false);
    VBox.setVgrow(list, Priority.ALWAYS);
    count.getStyleClass().add("quiet");
    showAll.setId("show-all-layers");
    unlockAll.setId("unlock-all-layers");
    showAll.setOnAction(_ -> actions.get("edit.show-all").run());
    unlockAll.setOnAction(_ -> actions.get("edit.unlock-all").run());
    for (Hyperlink link : List.of(showAll, unlockAll)) {
      link.managedProperty().bind(link.visibleProperty());
    }
    HBox foot = new HBox(8, count, Controls.gap(), showAll, unlockAll);
    foot.setAlignment(Pos.CENTER_LEFT);
    foot.getStyleClass().add("layers-foot");
    HBox searchRow = new HBox(search);
    HBox.setHgrow(search, Priority.ALWAYS);
    searchRow.getStyleClass().add("find-property-row");
    getChildren().addAll(searchRow, list, foot);
    workspace.shownProperty().addListener((_, _, _) -> update());
    workspace.playback().filmProperty().addListener((_, _, _) -> update());
    workspace.selectionProperty().addListener((_, _, _) -> selectionChanged());
    visibleProperty().addListener((_, _, _) -> update());
    update();
  }

  private List<Artboard> boards() {
    Project project = workspace.shownProperty().get();
    return workspace
        .playback()
        .filmProperty()
        .get()
        .flatMap(project::artboard)
        .map(List::of)
        .orElseGet(() -> project.still().toList());
  }

  private void update() {
    if (!isVisible()) {
      return;
    }
    List<Artboard> boards = boards();
    List<LayerItem> items = LayerItem.of(boards, search.getText(), folded);
    if (!items.equals(list.getItems())) {
      list.getItems().setAll(items);
    }
    long all = boards.stream().mapToLong(board -> board.layers().size()).sum();
    long hidden = count(boards, true);
    long locked = count(boards, false);
    count.setText(Messages.of("layers-pane.count", all));
    showAll.setText(Messages.of("layers-pane.show-all", hidden));
    unlockAll.setText(Messages.of("layers-pane.unlock-all", locked));
    showAll.setVisible(hidden > 0);
    unlockAll.setVisible(locked > 0);
  }

  private static long count(List<Artboard> boards, boolean hidden) {
    return boards.stream()
        .flatMap(board -> board.layers().stream())
        .filter(layer -> hidden ? layer.state().hidden() : layer.state().locked())
        .count();
  }

  // --- selection

  boolean isSelected(LayerId id) {
    return workspace.selection().contains(id);
  }

  /** The name of the text that a box goes on with. */
  String textOf(Layer box) {
    Project project = workspace.shownProperty().get();
    return project.layer(LinkedBoxes.of(project).first(box.id())).map(Layer::name).orElse("");
  }

  /**
   * Rows show what is selected; the first of it is brought into sight if it was not chosen here.
   */
  private void selectionChanged() {
    if (!isVisible()) {
      return;
    }
    cells.forEach(LayerCell::showSelected);
    if (!ownSelection) {
      workspace.selection().layers().stream().findFirst().ifPresent(this::bringIntoSight);
    }
  }

  private void bringIntoSight(LayerId id) {
    boolean unfolded =
        boards().stream()
            .filter(board -> board.layer(id).isPresent())
            .anyMatch(board -> folded.remove(board.id().value()));
    if (unfolded) {
      update();
    }
    int index = rows().indexOf(id);
    if (index >= 0 && !isInSight(indexOf(id))) {
      list.scrollTo(Math.max(0, indexOf(id) - 3));
    }
  }

  private boolean isInSight(int index) {
    return cells.stream()
        .anyMatch(cell ->
            cell.getIndex() == index
                && cell.isVisible()
                && cell.getLayoutY() >= 0
                && cell.getLayoutY() + cell.getHeight() <= list.getHeight());
  }

  private int indexOf(LayerId id) {
    for (int index = 0; index < list.getItems().size(); index++) {
      if (list.getItems().get(index) instanceof LayerItem.Row(Layer layer)
          && layer.id().equals(id)) {
        return index;
      }
    }
    return -1;
  }

  /** The layers that are listed, from the top. */
  private List<LayerId> rows() {
    List<LayerId> rows = new ArrayList<>();
    for (LayerItem item : list.getItems()) {
      if (item instanceof LayerItem.Row(Layer layer)) {
        rows.add(layer.id());
      }
    }
    return rows;
  }

  void select(LayerId id) {
    anchor = Optional.of(id);
    choose(List.of(id));
  }

  private void choose(List<LayerId> ids) {
    ownSelection = true;
    workspace.select(ids);
    ownSelection = false;
  }

  /** Selects a layer, all up to it, or it too; and shows it on the stage. */
  void clicked(LayerId id, boolean upTo, boolean more) {
    list.requestFocus();
    if (upTo) {
      range(id);
    } else if (more) {
      anchor = Optional.of(id);
      ownSelection = true;
      workspace.selectionProperty().set(workspace.selection().toggled(id));
      ownSelection = false;
    } else {
      select(id);
    }
    stage.reveal(id);
  }

  private void range(LayerId id) {
    List<LayerId> rows = rows();
    int from = anchor.map(rows::indexOf).orElse(-1);
    int to = rows.indexOf(id);
    choose(
        from < 0 || to < 0
            ? List.of(id)
            : rows.subList(Math.min(from, to), Math.max(from, to) + 1));
  }

  void clicked(LayerItem.Head head, boolean onChevron) {
    if (onChevron) {
      fold(head, !head.folded());
    } else {
      stage.show(List.of(head.board()));
    }
  }

  private void fold(LayerItem.Head head, boolean closed) {
    if (closed) {
      folded.add(head.board().id().value());
    } else {
      folded.remove(head.board().id().value());
    }
    update();
  }

  // --- changes

  /** With all that is selected if the layer is. */
  private Set<LayerId> with(Layer layer) {
    return isSelected(layer.id())
        ? new LinkedHashSet<>(workspace.selection().layers())
        : Set.of(layer.id());
  }

  void hide(Layer layer, boolean hidden) {
    workspace.apply(new ArrangeLayers.Hide(with(layer), hidden));
  }

  void lock(Layer layer, boolean locked) {
    workspace.apply(new ArrangeLayers.Lock(with(layer), locked));
  }

  void rename(Layer layer, String name) {
    workspace.apply(new ArrangeLayers.Rename(layer.id(), name));
  }

  void beginDrag() {
    dragging = true;
  }

  /** Whether what is dragged can be put beside a layer: on the same artboard, and not on itself. */
  boolean canDrop(Layer at) {
    return dragging
        && !isSelected(at.id())
        && workspace
            .project()
            .artboardOf(at.id())
            .filter(board ->
                workspace.selection().layers().stream().allMatch(id -> board.layer(id).isPresent()))
            .isPresent();
  }

  /** Stacks what is dragged just above a layer, or just below it. */
  void drop(Layer at, boolean above) {
    if (canDrop(at)) {
      Optional<LayerId> on = above ? Optional.of(at.id()) : below(at.id());
      workspace.apply(new ArrangeLayers.Order(workspace.selection().layers(), on));
    }
    dragging = false;
  }

  /** The next lower layer that is not dragged. */
  private Optional<LayerId> below(LayerId id) {
    List<LayerId> order =
        workspace.project().artboardOf(id).orElseThrow().layers().stream()
            .map(Layer::id)
            .filter(one -> !isSelected(one))
            .toList();
    int index = order.indexOf(id);
    return index > 0 ? Optional.of(order.get(index - 1)) : Optional.empty();
  }

  // --- keys and menu

  private void keyPressed(KeyEvent event) {
    if (event.getTarget() instanceof TextField) {
      return;
    }
    boolean handled =
        switch (event.getCode()) {
          case UP -> !event.isShortcutDown() && step(-1, event.isShiftDown());
          case DOWN -> !event.isShortcutDown() && step(1, event.isShiftDown());
          case F2 -> renameSelected();
          case DELETE, BACK_SPACE -> {
            actions.get("edit.delete").run();
            yield true;
          }
          case SPACE -> toggleEye();
          default -> false;
        };
    if (handled) {
      event.consume();
    }
  }

  private boolean step(int by, boolean extend) {
    List<LayerId> rows = rows();
    if (rows.isEmpty()) {
      return false;
    }
    List<LayerId> selected = rows.stream().filter(this::isSelected).toList();
    int from =
        selected.isEmpty()
            ? (by > 0 ? -1 : rows.size())
            : rows.indexOf(by > 0 ? selected.getLast() : selected.getFirst());
    LayerId to = rows.get(Math.clamp(from + by, 0, rows.size() - 1));
    if (extend) {
      if (anchor.isEmpty()) {
        anchor = selected.stream().findFirst();
      }
      range(to);
    } else {
      select(to);
    }
    bringIntoSight(to);
    stage.reveal(to);
    return true;
  }

  private boolean renameSelected() {
    workspace.selection().layers().stream()
        .findFirst()
        .ifPresent(id -> {
          bringIntoSight(id);
          Platform.runLater(() -> cells.forEach(cell -> cell.rename(id)));
        });
    return true;
  }

  private boolean toggleEye() {
    Optional<Layer> first =
        workspace.selection().layers().stream()
            .findFirst()
            .flatMap(id -> workspace.project().layer(id));
    first.ifPresent(layer -> hide(layer, !layer.state().hidden()));
    return first.isPresent();
  }

  private void menuRequested(ContextMenuEvent event) {
    if (workspace.selection().isEmpty()) {
      return;
    }
    stage.menuOfTexts().ifPresent(menu -> show(menu, event));
    event.consume();
  }

  private void show(ContextMenu menu, ContextMenuEvent event) {
    menu.show(getScene().getWindow(), event.getScreenX(), event.getScreenY());
  }
}
