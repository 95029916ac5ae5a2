package dynamorph.app.styles.column;

import dynamorph.app.artboards.stage.StageView;
import dynamorph.app.field.Controls;
import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Selection;
import dynamorph.app.session.Workspace;
import dynamorph.app.styles.palette.PaletteStrip;
import dynamorph.app.styles.specimen.Specimens;
import dynamorph.app.theme.Theme;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.style.AddStyle;
import dynamorph.model.edit.style.ArrangeStyles;
import dynamorph.model.property.PropertySet;
import dynamorph.model.reach.Followers;
import dynamorph.model.reach.StyleFilter;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javafx.animation.AnimationTimer;
import javafx.beans.value.ObservableValue;
import javafx.css.PseudoClass;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.RadioMenuItem;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.feather.Feather;

/** All styles of the project as specimens, by group, derived ones tucked under their base. */
public final class StylesColumn extends VBox {
  private final Workspace workspace;
  private final Specimens specimens;
  private final Button keep = new Button(Messages.of("styles-column.keep-this-look"));
  private final TextField filter = new TextField();
  private StyleFilter typed = StyleFilter.of("");
  private final ComboBox<Show> show = new ComboBox<>();
  private final VBox list = new VBox();
  private final ScrollPane scroll = new ScrollPane();
  private final Map<StyleId, StyleCard> cards = new HashMap<>();
  private final CardGestures gestures;
  private final ShelfPart shelf;
  private static final PseudoClass COMPACT = PseudoClass.getPseudoClass("compact");
  private List<StyleId> order = List.of();
  private Cascade cascade;

  public StylesColumn(
      Workspace workspace,
      Specimens specimens,
      ObservableValue<Theme> theme,
      CardGestures gestures,
      ShelfPart shelf) {
    this.workspace = workspace;
    this.specimens = specimens;
    this.gestures = gestures;
    this.shelf = shelf;
    this.cascade = Cascade.of(workspace.project());
    this.followers = Followers.of(workspace.project());
    getStyleClass().add("styles-column");
    setId("styles");
    scroll.setContent(list);
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    list.getStyleClass().add("style-list");
    getChildren()
        .addAll(
            head(),
            shelf.scopes(),
            shelf.updates(),
            shelf.which(),
            shelf.about(),
            filters(),
            scroll,
            shelf.list(),
            new PaletteStrip(workspace));
    scroll.visibleProperty().bind(shelf.scopeProperty().isNotEqualTo(Scope.SHELF));
    scroll.managedProperty().bind(scroll.visibleProperty());
    shelf.follow(filter.textProperty());
    shelf.keeper().followedProperty().addListener((_, _, _) -> update());
    gestures.attach(this);
    workspace.shownProperty().addListener((_, _, _) -> update());
    workspace.historyProperty().addListener((_, _, _) -> update());
    workspace.selectionProperty().addListener((_, _, _) -> markCards());
    workspace
        .pickedStyleProperty()
        .addListener((_, _, picked) -> {
          markCards();
          picked.flatMap(this::card).ifPresent(this::reveal);
        });
    workspace.attempts().presentProperty().addListener((_, _, _) -> markCards());
    theme.addListener((_, _, _) -> update());
    workspace.view().compactStylesProperty().addListener((_, _, compact) -> pack(compact));
    pack(workspace.view().compactStylesProperty().get());
    update();
  }

  private Node head() {
    Label title = new Label(Messages.of("styles-column.styles"));
    title.getStyleClass().add("column-title");
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    keep.setId("keep-look");
    Tips.on(keep, Messages.of("styles-column.keep-the-look-of-the-selection"));
    keep.setOnAction(_ -> workspace.attempts().openKeeping());
    Button empty =
        Controls.icon(Feather.PLUS, Messages.of("styles-column.new-empty-style"), this::addEmpty);
    empty.setId("new-style");
    HBox head = new HBox(8, title, Controls.help("guide#styles"), gap, empty, keep);
    head.setAlignment(Pos.CENTER_LEFT);
    return head;
  }

  /** A style that sets nothing yet, open on the desk. */
  public void addEmpty() {
    Style empty =
        Style.text(
            workspace.ids().next("style"),
            workspace.freeName(Messages.of("styles-column.untitled-look")),
            "");
    if (workspace.apply(new AddStyle(empty, Messages.of("common.new")))) {
      workspace.attempts().openDesk(empty.id());
    }
  }

  private Node filters() {
    filter.setPromptText(Messages.of("styles-column.filter"));
    filter.setAccessibleText(Messages.of("styles-column.filter-styles"));
    Tips.on(filter, Messages.of("styles-column.filter-help"));
    filter
        .textProperty()
        .addListener((_, _, text) -> {
          typed = StyleFilter.of(text);
          update();
        });
    show.getItems().addAll(Show.values());
    show.setValue(Show.ALL);
    show.setMinWidth(70);
    show.setPrefWidth(96);
    show.setAccessibleText(Messages.of("styles-column.which-styles-are-listed"));
    show.valueProperty().addListener((_, _, _) -> update());
    HBox.setHgrow(filter, Priority.ALWAYS);
    ApplyMenu options = new ApplyMenu(workspace.following());
    options.setMinWidth(0);
    filter.setMinWidth(60);
    filter.setPrefWidth(60);
    HBox.setHgrow(options, Priority.ALWAYS);
    MenuButton sorting = sortMenu();
    sorting.visibleProperty().bind(shelf.scopeProperty().isNotEqualTo(Scope.SHELF));
    sorting.managedProperty().bind(sorting.visibleProperty());
    HBox second = new HBox(6, options, sorting, shelf.arrangement());
    second.setAlignment(Pos.CENTER_LEFT);
    show.visibleProperty().bind(shelf.scopeProperty().isNotEqualTo(Scope.SHELF));
    show.managedProperty().bind(show.visibleProperty());
    VBox rows = new VBox(4, new HBox(6, filter, show), second);
    rows.getStyleClass().add("filter-rows");
    return rows;
  }

  private MenuButton sortMenu() {
    MenuButton menu = new MenuButton(Messages.of("styles-column.sort", sort.label()));
    menu.getStyleClass().add("quiet-menu");
    menu.setMinWidth(Region.USE_PREF_SIZE);
    menu.setAccessibleText(Messages.of("styles-column.how-styles-are-sorted"));
    ToggleGroup orders = new ToggleGroup();
    for (StyleSort one : StyleSort.values()) {
      RadioMenuItem item = new RadioMenuItem(one.label());
      item.setToggleGroup(orders);
      item.setSelected(one == sort);
      item.setOnAction(_ -> {
        sort = one;
        menu.setText(Messages.of("styles-column.sort", one.label()));
        update();
      });
      menu.getItems().add(item);
    }
    SpecimensOverFilm overFilm = new SpecimensOverFilm(workspace, this::update);
    specimens.setGround(overFilm::frame);
    menu.getItems().addAll(new SeparatorMenuItem(), overFilm.item());
    return menu;
  }

  /** Puts the keyboard into the column. */
  public void focusFirst() {
    workspace.view().showStyles();
    order.stream().findFirst().map(cards::get).ifPresent(Node::requestFocus);
  }

  /** Scrolls until a card shows whole. */
  void reveal(StyleCard card) {
    scroll.applyCss();
    scroll.layout();
    double visible = scroll.getViewportBounds().getHeight();
    double room = list.getHeight() - visible;
    double top = card.getBoundsInParent().getMinY();
    double bottom = card.getBoundsInParent().getMaxY();
    double shown = scroll.getVvalue() * room;
    if (room <= 0 || top >= shown && bottom <= shown + visible) {
      return;
    }
    double wanted = top < shown ? top - REVEAL_MARGIN : bottom - visible + REVEAL_MARGIN;
    scroll.setVvalue(Math.clamp(wanted / room, 0, 1));
  }

  /** Space left between a revealed card and the edge of the list. */
  private static final double REVEAL_MARGIN = 8;

  Optional<StyleCard> card(StyleId id) {
    return Optional.ofNullable(cards.get(id));
  }

  /** The card so many places further down. */
  Optional<StyleCard> neighbour(StyleId id, int by) {
    int index = order.indexOf(id) + by;
    return index >= 0 && index < order.size() ? card(order.get(index)) : Optional.empty();
  }

  private Followers followers;

  /** How many rows are listed: none before the artboards show, then more with each frame. */
  private int most;

  private static final int FIRST_ROWS = 10;
  private static final int ROWS_A_FRAME = 5;

  /** Lists what is further down, once what is in sight was seen. */
  public void listAll() {
    new AnimationTimer() {
      @Override
      public void handle(long now) {
        if (isWhole()) {
          stop();
          most = Integer.MAX_VALUE;
        } else {
          most += most == 0 ? FIRST_ROWS : ROWS_A_FRAME;
          update();
        }
      }
    }.start();
  }

  /** Whether all rows are listed. */
  public boolean isWhole() {
    return most == Integer.MAX_VALUE || list.getChildren().size() < most;
  }

  private void update() {
    Project project = workspace.shownProperty().get();
    cascade = cascade.follow(project);
    followers = followers.follow(workspace.project());
    if (most == 0) {
      return;
    }
    Map<String, List<StyleOrder.Entry>> groups =
        StyleOrder.of(project.styles(), style -> wanted(style, followers), sort.order(followers));
    List<Node> rows = new ArrayList<>();
    List<StyleId> shownOrder = new ArrayList<>();
    groups.forEach((group, entries) -> {
      if (isInShutGroup(group)) {
        return;
      }
      if (rows.size() >= most) {
        return;
      }
      boolean open = !shut.contains(group);
      rows.add(groupHead(group, entries.size(), open));
      for (StyleOrder.Entry entry : open ? entries : List.<StyleOrder.Entry>of()) {
        if (rows.size() < most) {
          rows.add(cardFor(project, followers, entry));
          shownOrder.add(entry.style().id());
        }
      }
    });
    if (rows.isEmpty()) {
      rows.add(emptyState(project));
    }
    if (project.styles().size() <= 1 && typed.isEmpty()) {
      rows.add(shelf.beginning());
    }
    order = List.copyOf(shownOrder);
    List<Node> listed = list.getChildren();
    if (rows.size() > listed.size() && rows.subList(0, listed.size()).equals(listed)) {
      // what is listed stays as it is, and is not styled anew
      listed.addAll(rows.subList(listed.size(), rows.size()));
    } else if (!listed.equals(rows)) {
      list.getChildren().setAll(rows);
    }
    cards.keySet().retainAll(project.styles().stream().map(Style::id).toList());
    markCards();
  }

  /** Lists styles in lines or as specimens. */
  private void pack(boolean compact) {
    list.pseudoClassStateChanged(COMPACT, compact);
    update();
  }

  private boolean wanted(Style style, Followers followers) {
    PropertySet values = cascade.values(style);
    return show.getValue().lists(style, followers, this::followedBySelection)
        && typed.fits(FoundBy.words(style, values, ""), values);
  }

  private final Map<String, GroupHead> groupHeads = new HashMap<>();
  private final Set<String> shut = new HashSet<>();
  private StyleSort sort = StyleSort.BY_HAND;

  /** Whether a group that this one stands in is shut. */
  private boolean isInShutGroup(String group) {
    return shut.stream().anyMatch(outer -> !outer.isEmpty() && group.startsWith(outer + "/"));
  }

  private Node groupHead(String group, int size, boolean open) {
    GroupHead head =
        groupHeads.computeIfAbsent(group, name -> new GroupHead(workspace, name, () -> flip(name)));
    head.show(size, open);
    return head;
  }

  private void flip(String group) {
    if (!shut.remove(group)) {
      shut.add(group);
    }
    update();
  }

  private Node emptyState(Project project) {
    Label words =
        new Label(
            project.styles().size() == 0
                ? Messages.of("styles-column.no-styles-yet-make-one-text")
                : Messages.of("styles-column.no-style-matches"));
    words.setWrapText(true);
    words.getStyleClass().addAll("quiet", "empty-state");
    return words;
  }

  private StyleCard cardFor(Project project, Followers followers, StyleOrder.Entry entry) {
    Style style = entry.style();
    boolean compact = workspace.view().compactStylesProperty().get();
    StyleCard card = cards.computeIfAbsent(style.id(), id -> gestures.install(new StyleCard(), id));
    boolean base = project.baseStyle().filter(style.id()::equals).isPresent();
    Followers.Count count = followers.count(style.id());
    card.show(
        new StyleCard.Content(
            style,
            entry.depth(),
            count.all(),
            count.deviating(),
            base,
            shelf.mark(style.id()).orElse(""),
            0,
            compact
                ? Optional.of(LookSummary.of(cascade.values(style), project.palette()))
                : Optional.empty()));
    if (compact) {
      return card;
    }
    int width = (int) (StyleCard.WIDTH - entry.depth() * StyleCard.INDENT) - 2;
    specimens.show(
        card.specimen, project, cascade, followers, style, width, (int) StyleCard.SPECIMEN_HEIGHT);
    return card;
  }

  private Set<StyleId> followedBySelection() {
    Set<StyleId> followed = new HashSet<>();
    Selection selected = workspace.selection();
    Project project = workspace.project();
    if (selected.passages().isEmpty()) {
      selected
          .layers()
          .forEach(id -> project.layer(id).map(Followers::followed).ifPresent(followed::addAll));
    }
    for (Target.Words passage : selected.passages()) {
      project
          .layer(passage.layer())
          .map(passage::part)
          .map(Followers::followed)
          .ifPresent(followed::addAll);
    }
    return followed;
  }

  private void markCards() {
    Optional<StyleId> picked =
        workspace
            .attempts()
            .present()
            .desk()
            .map(desk -> desk.original().id())
            .or(() -> workspace.pickedStyleProperty().get());
    Set<StyleId> followed = followedBySelection();
    cards.forEach((id, card) -> {
      card.mark(picked.filter(id::equals).isPresent(), followed.contains(id));
      card.markChosen(chosen.contains(id));
    });
    keep.setDisable(
        workspace.selection().isEmpty() || workspace.attempts().present().desk().isPresent());
  }

  private final ChosenStyles chosen = new ChosenStyles(() -> order, this::markCards);

  ChosenStyles chosen() {
    return chosen;
  }

  /** Where dragged cards would land: before a card or behind it, or in a group. */
  private record Landing(Optional<StyleCard> card, boolean above, Optional<GroupHead> head) {}

  private Optional<Landing> landing(Point2D inWindow) {
    if (!scroll.localToScene(scroll.getBoundsInLocal()).contains(inWindow)) {
      return Optional.empty();
    }
    for (Node row : list.getChildren()) {
      Bounds bounds = row.localToScene(row.getBoundsInLocal());
      if (bounds.contains(inWindow)) {
        boolean above = inWindow.getY() < bounds.getCenterY();
        return switch (row) {
          case StyleCard card ->
              Optional.of(new Landing(Optional.of(card), above, Optional.empty()));
          case GroupHead head ->
              Optional.of(new Landing(Optional.empty(), above, Optional.of(head)));
          default -> Optional.empty();
        };
      }
    }
    return Optional.empty();
  }

  /** Shows where a dragged card would land. */
  void showDrop(Point2D inWindow, StyleId dragged) {
    Optional<Landing> at = landing(inWindow);
    cards
        .values()
        .forEach(card -> {
          boolean here = at.flatMap(Landing::card).filter(card::equals).isPresent();
          boolean sorts = sort == StyleSort.BY_HAND;
          card.showDrop(
              here && sorts && at.orElseThrow().above(),
              here && sorts && !at.orElseThrow().above());
        });
    groupHeads
        .values()
        .forEach(head -> head.showDrop(at.flatMap(Landing::head).filter(head::equals).isPresent()));
  }

  /** Moves the dragged card, and those chosen with it, to where they are dropped. */
  void drop(Point2D inWindow, StyleId dragged) {
    Optional<Landing> at = landing(inWindow);
    showDrop(new Point2D(-1, -1), dragged);
    List<StyleId> moved = List.copyOf(chosen.with(dragged));
    at.flatMap(Landing::head)
        .ifPresent(
            head -> workspace.apply(new ArrangeStyles.Move(moved, Optional.empty(), head.group())));
    at.flatMap(Landing::card)
        .flatMap(this::idOf)
        .filter(id -> !moved.contains(id))
        .ifPresent(id -> {
          Style target = workspace.project().styles().get(id);
          Optional<StyleId> before = at.orElseThrow().above() ? Optional.of(id) : after(id);
          workspace.apply(new ArrangeStyles.Move(moved, before, target.group()));
        });
  }

  /** The style that stands behind one in the project. */
  private Optional<StyleId> after(StyleId id) {
    List<StyleId> all = workspace.project().styles().stream().map(Style::id).toList();
    int next = all.indexOf(id) + 1;
    return next < all.size() ? Optional.of(all.get(next)) : Optional.empty();
  }

  private Optional<StyleId> idOf(StyleCard card) {
    return cards.entrySet().stream()
        .filter(entry -> entry.getValue() == card)
        .map(Map.Entry::getKey)
        .findFirst();
  }

  /** The style whose card lies at a point of the window, while texts are dragged over it. */
  private Optional<StyleId> takingAt(Point2D inWindow) {
    Optional<StyleId> at = landing(inWindow).flatMap(Landing::card).flatMap(this::idOf);
    cards.forEach((id, card) -> card.showTaking(at.filter(id::equals).isPresent()));
    return at;
  }

  /** Lets texts be dragged from the stage onto a card, whose style then gets their look. */
  public StageView.DropPlace dropPlace() {
    return new StageView.DropPlace() {
      @Override
      public boolean over(Point2D inWindow) {
        return takingAt(inWindow).isPresent();
      }

      @Override
      public void drop(Point2D inWindow) {
        takingAt(inWindow).ifPresent(id -> gestures.takeLook(workspace.project().styles().get(id)));
        takingAt(new Point2D(-1, -1));
      }
    };
  }
}
