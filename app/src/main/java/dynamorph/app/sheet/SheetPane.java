package dynamorph.app.sheet;

import dynamorph.app.artboards.stage.StageView;
import dynamorph.app.field.NoListSelection;
import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.render.PictureService;
import dynamorph.app.render.Studio;
import dynamorph.app.session.Selection;
import dynamorph.app.session.Workspace;
import dynamorph.model.LayerId;
import dynamorph.model.edit.Target;
import dynamorph.model.reach.WordSearch;
import dynamorph.model.sheet.Sheet;
import dynamorph.model.sheet.SheetRow;
import dynamorph.model.sheet.view.Column;
import dynamorph.model.sheet.view.SheetView;
import dynamorph.paint.scene.Scene;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.MenuButton;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * All texts of the project side by side. What is selected here is the selection, so that everything
 * that can be done with one can be done with hundreds.
 */
public final class SheetPane extends VBox implements AutoCloseable {
  private final Workspace workspace;
  private final StageView stage;
  private final SheetWatch watch;
  private final SheetLayout look = new SheetLayout();
  private final SheetPictures pictures;
  private final SheetHead head;
  private final ListView<SheetItem> list = new ListView<>();
  private final Label empty = new Label();
  private final Set<ItemCell> cells = new LinkedHashSet<>();
  private final Set<String> folded = new HashSet<>();
  private final SheetReplace replace;
  private final SheetFoot foot;
  private List<SheetRow.Key> picked = List.of();
  private List<Target.Words> known = List.of();

  /** The parts that are selected, to be asked for each of thousands of rows. */
  private Set<Target.Words> parts = Set.of();

  private final CellEditing editing;
  private final SheetHands hands;

  /**
   * @param words what is done with the words of all texts
   */
  public SheetPane(
      Workspace workspace,
      StageView stage,
      Supplier<Studio> studio,
      PictureService pictureService,
      MenuButton words) {
    this.workspace = workspace;
    this.stage = stage;
    this.watch = new SheetWatch(workspace);
    this.editing = new CellEditing(workspace, this);
    this.hands = new SheetHands(workspace, this, editing);
    this.pictures = new SheetPictures(studio, pictureService, workspace.footageOfChecks());
    this.head = new SheetHead(workspace, watch, look, words);
    getStyleClass().add("sheet-pane");
    setId("sheet");
    list.setId("sheet-list");
    list.getStyleClass().add("sheet-list");
    list.setCellFactory(_ -> {
      ItemCell cell = new ItemCell();
      cells.add(cell);
      return cell;
    });
    empty.setWrapText(true);
    empty.getStyleClass().add("quiet");
    list.setPlaceholder(empty);
    list.setSelectionModel(new NoListSelection<>());
    VBox.setVgrow(list, Priority.ALWAYS);
    this.replace = new SheetReplace(workspace, this);
    this.foot = new SheetFoot(workspace, this);
    ColumnHeads heads = new ColumnHeads(watch, look);
    heads.standOver(list);
    getChildren().addAll(head, replace, heads, list, foot);
    watch.sheetProperty().addListener((_, _, _) -> update());
    watch
        .orderProperty()
        .addListener((_, was, now) -> {
          if (was.unit() != now.unit()) {
            selectWholeTexts();
          }
        });
    look.inFramesProperty().addListener((_, _, _) -> update());
    look.pictureWidthProperty().addListener((_, _, _) -> update());
    look.columns().addListener((javafx.collections.ListChangeListener<Column>) _ -> update());
    look.roomProperty().bind(list.widthProperty());
    list.widthProperty().addListener((_, _, _) -> update());
    setMinSize(0, 0);
    stage.frameProperty().addListener((_, _, _) -> showAll());
    workspace.selectionProperty().addListener((_, _, now) -> selected(now));
    list.addEventFilter(KeyEvent.KEY_PRESSED, hands::key);
    visibleProperty()
        .addListener((_, _, open) -> {
          if (open) {
            list.requestFocus();
          } else {
            selectWholeTexts();
          }
        });
    update();
  }

  /** Whether everything that is shown is up to date. */
  public boolean isIdle() {
    return watch.isIdle();
  }

  @Override
  public void close() {
    watch.close();
  }

  /** Puts the caret where texts are looked for. */
  public void find() {
    head.find();
  }

  /** Opens what finds and replaces words in the rows. */
  public void replace() {
    replace.open(watch.orderProperty().get().query());
  }

  /** The words of a row with what would stand in place of some of them, if that is asked for. */
  Optional<Region> replaced(SheetRow row) {
    List<WordSearch.Hit> places = replace.hits(row);
    return places.isEmpty()
        ? Optional.empty()
        : workspace
            .project()
            .layer(row.id())
            .map(layer ->
                new ReplacedWords(
                    layer.story().text(),
                    row.range(layer).start(),
                    row.range(layer).end(),
                    places,
                    replace.replacement()));
  }

  /** Shows texts where they stand, or as rows. */
  public void showInFrames(boolean framed) {
    look.inFramesProperty().set(framed);
  }

  /** Asks for texts in the language that chooses them. */
  public void ask(String query) {
    head.ask(query);
  }

  /** Lets a view be seen that the project keeps. */
  public void open(SheetView view) {
    head.open(view);
  }

  SheetLayout look() {
    return look;
  }

  SheetPictures pictures() {
    return pictures;
  }

  Optional<Sheet> sheet() {
    return watch.sheetProperty().get();
  }

  Optional<Scene> scene() {
    return stage.whole();
  }

  /** The text of a row as it is set; of a part as if it stood alone. */
  Optional<Scene.Found> found(SheetRow row) {
    Optional<Scene.Found> whole = stage.whole().flatMap(scene -> scene.find(row.id()));
    return row.words().isEmpty()
        ? whole
        : whole.map(found ->
            new Scene.Found(found.board(), pictures.part(found.board().artboard(), row, sheet())));
  }

  boolean isSelected(SheetRow row) {
    Selection now = workspace.selection();
    if (!now.passages().equals(known)) {
      known = now.passages();
      parts = Set.copyOf(known);
    }
    return known.isEmpty()
        ? row.words().isEmpty() && now.contains(row.id())
        : row.words().filter(parts::contains).isPresent();
  }

  /** Parts of texts are selected only where they are listed. */
  private void selectWholeTexts() {
    if (!workspace.selection().passages().isEmpty()) {
      workspace.select(workspace.selection().layers());
    }
  }

  /** Parts stand elsewhere in their text once letters before them came or went. */
  private void followParts() {
    List<Target.Words> selected = workspace.selection().passages();
    if (selected.isEmpty()) {
      return;
    }
    Map<SheetRow.Key, SheetRow> rows = new HashMap<>();
    rows().forEach(row -> rows.put(row.key(), row));
    List<SheetRow> now = picked.stream().map(rows::get).filter(Objects::nonNull).toList();
    if (!selected.equals(now.stream().flatMap(row -> row.words().stream()).toList())) {
      select(now);
    }
  }

  /** Selects rows, in this order; parts of texts as such. */
  void select(Collection<SheetRow> rows) {
    picked = rows.stream().map(SheetRow::key).toList();
    List<Target.Words> parts = rows.stream().flatMap(row -> row.words().stream()).toList();
    workspace
        .selectionProperty()
        .set(
            parts.isEmpty()
                ? Selection.of(rows.stream().map(SheetRow::id).toList())
                : Selection.ofPassages(parts));
  }

  /** Whether a text is what is asked for; all are if nothing is. */
  boolean isMarked(SheetRow row) {
    boolean asked = !watch.orderProperty().get().query().isBlank();
    return !asked || sheet().filter(sheet -> sheet.isMeant(row)).isPresent();
  }

  /** How cells are edited where they stand. */
  CellEditing editing() {
    return editing;
  }

  /** Gives the list the keys. */
  void focusList() {
    list.requestFocus();
  }

  /** The texts that are listed, in order, without those of groups that are folded. */
  List<SheetRow> listed() {
    return rows().stream().filter(replace::isListed).toList();
  }

  /** Those that are listed, with those that have no words to be replaced. */
  List<SheetRow> rows() {
    return sheet().stream()
        .flatMap(sheet -> sheet.groups().stream())
        .filter(group -> !folded.contains(group.title()))
        .flatMap(group -> group.rows().stream())
        .toList();
  }

  /** The selected rows in the order of the sheet. */
  List<SheetRow> chosen() {
    return workspace.selection().isEmpty()
        ? List.of()
        : listed().stream().filter(this::isSelected).toList();
  }

  // --- the list -------------------------------------------------------------------------------

  void update() {
    replace.search();
    List<SheetItem> items = new ArrayList<>();
    Optional<Sheet> sheet = sheet();
    sheet.ifPresent(shown -> {
      for (Sheet.Group group : shown.groups()) {
        boolean closed = folded.contains(group.title());
        List<SheetRow> rows = group.rows().stream().filter(replace::isListed).toList();
        if (!group.title().isEmpty() && (closed || !rows.isEmpty())) {
          items.add(new SheetItem.Heading(group, closed));
        }
        if (!closed) {
          add(items, rows);
        }
      }
    });
    empty.setText(
        sheet.isEmpty()
            ? Messages.of("sheet.is-being-listed")
            : sheet.get().texts() == 0
                ? Messages.of("sheet.there-is-no-text-yet")
                : sheet.get().groups().isEmpty()
                    ? Messages.of("sheet.no-text-is-so")
                    : Messages.of("sheet-replace.nowhere"));
    replace(items);
    followParts();
    showAll();
    foot.update();
  }

  private void add(List<SheetItem> items, List<SheetRow> rows) {
    if (!look.inFramesProperty().get()) {
      rows.forEach(row -> items.add(new SheetItem.Line(row)));
      return;
    }
    int across = look.across();
    for (int from = 0; from < rows.size(); from += across) {
      items.add(
          new SheetItem.Strip(
              List.copyOf(rows.subList(from, Math.min(from + across, rows.size())))));
    }
  }

  /** Only what differs is replaced, so that the list stays where it is. */
  private void replace(List<SheetItem> items) {
    if (list.getItems().size() != items.size()) {
      list.getItems().setAll(items);
      return;
    }
    for (int index = 0; index < items.size(); index++) {
      if (!isSame(list.getItems().get(index), items.get(index))) {
        list.getItems().set(index, items.get(index));
      }
    }
  }

  /** Texts are compared by identity, as a whole project is compared. */
  private static boolean isSame(SheetItem one, SheetItem other) {
    return switch (one) {
      case SheetItem.Line(SheetRow row) ->
          other instanceof SheetItem.Line(SheetRow now)
              && row.layer() == now.layer()
              && row.key().equals(now.key())
              && row.board().name().equals(now.board().name());
      case SheetItem.Strip _, SheetItem.Heading _ -> false;
    };
  }

  /** Shows every row anew, unless one is edited. */
  void showAll() {
    if (isVisible() && !editing.isOpen()) {
      cells.forEach(ItemCell::show);
    }
  }

  private final class ItemCell extends ListCell<SheetItem> {
    private final RowCell line = new RowCell(SheetPane.this);
    private final HBox strip = new HBox(SheetLayout.CARD_GAP);

    ItemCell() {
      addEventHandler(MouseEvent.MOUSE_PRESSED, hands::pressed);
      setPrefWidth(0);
    }

    @Override
    protected void updateItem(SheetItem item, boolean none) {
      super.updateItem(item, none);
      show();
    }

    void show() {
      SheetItem item = isEmpty() ? null : getItem();
      Optional<Sheet> sheet = sheet();
      if (item == null || sheet.isEmpty()) {
        setGraphic(null);
        return;
      }
      switch (item) {
        case SheetItem.Heading heading -> setGraphic(heading(heading));
        case SheetItem.Line(SheetRow row) -> {
          line.show(row, sheet.get());
          setGraphic(line);
        }
        case SheetItem.Strip(List<SheetRow> rows) -> {
          strip.getChildren().clear();
          rows.forEach(
              row -> strip.getChildren().add(new FrameCard(SheetPane.this, row, sheet.get())));
          setGraphic(strip);
        }
      }
    }

    void mark() {
      line.mark();
      for (Node node : strip.getChildren()) {
        if (node instanceof FrameCard card) {
          card.mark();
        }
      }
    }
  }

  /** So many rows, in words. */
  String counted(int rows) {
    return switch (watch.orderProperty().get().unit()) {
      case TEXT -> Messages.of("count.text", rows);
      case PARAGRAPH -> Messages.of("sheet.paragraphs", rows);
      case RUN -> Messages.of("sheet.runs", rows);
    };
  }

  private Node heading(SheetItem.Heading heading) {
    Sheet.Group group = heading.group();
    Button fold = new Button((heading.folded() ? "\u203a  " : "\u2304  ") + group.title());
    fold.getStyleClass().add("sheet-group");
    fold.setOnAction(_ -> {
      if (!folded.remove(group.title())) {
        folded.add(group.title());
      }
      update();
    });
    Button count = new Button(counted(group.rows().size()));
    count.getStyleClass().add("sheet-link");
    Tips.on(count, Messages.of("sheet.selects-the-group"));
    count.setOnAction(_ -> select(group.rows()));
    HBox line = new HBox(10, fold, count);
    if (group.local() > 0) {
      Label local = new Label(Messages.of("sheet.with-local-changes", group.local()));
      local.getStyleClass().add("local-text");
      line.getChildren().add(local);
    }
    line.setAlignment(Pos.CENTER_LEFT);
    line.getStyleClass().add("sheet-heading");
    return line;
  }

  // --- selecting ------------------------------------------------------------------------------

  private void selected(Selection now) {
    cells.forEach(ItemCell::mark);
    if (isVisible() && now.layers().size() == 1 && now.passages().isEmpty()) {
      reveal(now.layers().getFirst());
    }
  }

  /** Brings a text into sight if it is not. */
  public void reveal(LayerId id) {
    revealWhere(item -> has(item, id));
  }

  private void revealWhere(Predicate<SheetItem> wanted) {
    boolean seen =
        cells.stream()
            .anyMatch(cell ->
                !cell.isEmpty()
                    && cell.getItem() != null
                    && wanted.test(cell.getItem())
                    && cell.getParent() != null
                    && list.localToScene(list.getBoundsInLocal())
                        .contains(cell.localToScene(cell.getBoundsInLocal())));
    for (int index = 0; !seen && index < list.getItems().size(); index++) {
      if (wanted.test(list.getItems().get(index))) {
        list.scrollTo(Math.max(0, index - 1));
        return;
      }
    }
  }

  private static boolean has(SheetItem item, LayerId id) {
    return switch (item) {
      case SheetItem.Heading _ -> false;
      case SheetItem.Line(SheetRow row) -> row.id().equals(id);
      case SheetItem.Strip(List<SheetRow> rows) ->
          rows.stream().anyMatch(row -> row.id().equals(id));
    };
  }

  /** Goes to where a text stands, on its artboard or in its film; a part is selected in it. */
  void goTo(SheetRow row) {
    stage.reveal(row.id());
    workspace
        .selectionProperty()
        .set(
            row.words().isEmpty()
                ? Selection.of(List.of(row.id()))
                : workspace
                    .project()
                    .layer(row.id())
                    .map(row::range)
                    .map(range -> Selection.editing(row.id(), range.start(), range.end()))
                    .orElse(Selection.NONE));
    workspace.view().sheetProperty().set(false);
    stage.requestFocus();
  }

  /** Brings a row into sight if it is not. */
  void reveal(SheetRow row) {
    revealWhere(item ->
        switch (item) {
          case SheetItem.Line(SheetRow one) -> one.key().equals(row.key());
          case SheetItem.Heading _, SheetItem.Strip _ -> has(item, row.id());
        });
  }

  /** Shows a row anew, as when a cell of it is edited. */
  void showRow(SheetRow wanted) {
    cells.stream()
        .filter(cell ->
            cell.getItem() instanceof SheetItem.Line(SheetRow row)
                && row.key().equals(wanted.key()))
        .forEach(ItemCell::show);
  }
}
