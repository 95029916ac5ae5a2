package dynamorph.app.styles.column;

import dynamorph.app.field.Tips;
import dynamorph.app.files.Dialogs;
import dynamorph.app.files.FileQuestion;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Workspace;
import dynamorph.app.shelf.ShelfKeeper;
import dynamorph.app.shelf.ShelfLooks;
import dynamorph.app.shelf.ShelfPlace;
import dynamorph.app.styles.specimen.Specimens;
import dynamorph.shelf.entry.Kept;
import dynamorph.shelf.order.ShelfOrder;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.css.PseudoClass;
import javafx.geometry.Point2D;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.Label;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.RadioMenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/**
 * What the styles column has to do with the shelf: where its looks live, and what is newer there.
 */
public final class ShelfPart {
  private final Workspace workspace;
  private final ShelfKeeper keeper;
  private final ShelfLooks looks;
  private final ShelfMenu menu;
  private final ShelfList list;
  private final Dialogs dialogs;
  private @Nullable Node beginning;
  private static final PseudoClass DROPPING = PseudoClass.getPseudoClass("dropping");

  private final ObjectProperty<Scope> scope = new SimpleObjectProperty<>(Scope.PROJECT);
  private final Button updates = new Button();
  private final ToggleButton dense = new ToggleButton();

  /**
   * @param dialogs ask for folders and kits
   * @param history shows the versions of an entry
   */
  public ShelfPart(
      Workspace workspace,
      ShelfKeeper keeper,
      ShelfLooks looks,
      Specimens specimens,
      Dialogs dialogs,
      Consumer<String> history) {
    this.workspace = workspace;
    this.dialogs = dialogs;
    this.keeper = keeper;
    this.looks = looks;
    this.menu = new ShelfMenu(workspace, keeper, looks, history);
    this.list = new ShelfList(workspace, keeper, looks, specimens, menu);
    list.setVisible(false);
    list.managedProperty().bind(list.visibleProperty());
    VBox.setVgrow(list, Priority.ALWAYS);
    updates.setId("shelf-updates");
    updates.getStyleClass().add("updates-button");
    updates.setMaxWidth(Double.MAX_VALUE);
    updates.setAlignment(Pos.CENTER_LEFT);
    updates.setGraphic(new FontIcon(Feather.CHEVRON_RIGHT));
    updates.setContentDisplay(javafx.scene.control.ContentDisplay.RIGHT);
    updates.managedProperty().bind(updates.visibleProperty());
    dense.setId("shelf-dense");
    dense.setGraphic(new FontIcon(Feather.LIST));
    dense.getStyleClass().add("icon-button");
    dense.setAccessibleText(Messages.of("shelf-part.compact-list"));
    Tips.on(dense, Messages.of("shelf-part.compact-list"));
    dense.selectedProperty().bindBidirectional(workspace.view().compactStylesProperty());
    keeper.followedProperty().addListener((_, _, _) -> tell());
    keeper.newerElsewhereProperty().addListener((_, _, _) -> tell());
    tell();
  }

  ObjectProperty<Scope> scopeProperty() {
    return scope;
  }

  ShelfKeeper keeper() {
    return keeper;
  }

  ShelfList list() {
    return list;
  }

  /** Shows the looks of the shelf. */
  public void show() {
    scope.set(Scope.SHELF);
  }

  private final Map<Scope, ToggleButton> buttons = new EnumMap<>(Scope.class);

  /** Whether a style that is dropped here goes on the shelf. */
  boolean isShelfAt(Point2D inWindow) {
    return isOver(buttons.get(Scope.SHELF), inWindow)
        || scope.get() == Scope.BOTH && isOver(list, inWindow);
  }

  /** Whether a look that is dropped here comes into the project. */
  boolean isProjectAt(Point2D inWindow) {
    return isOver(buttons.get(Scope.PROJECT), inWindow);
  }

  /** Shows that a style can be dropped on the shelf, where it can. */
  void markShelf(Point2D inWindow) {
    mark(Scope.SHELF, isShelfAt(inWindow));
  }

  /** Shows that a look can be dropped into the project, where it can. */
  void markProject(Point2D inWindow) {
    mark(Scope.PROJECT, isProjectAt(inWindow));
  }

  private void mark(Scope one, boolean dropping) {
    ToggleButton button = buttons.get(one);
    if (button != null) {
      button.pseudoClassStateChanged(DROPPING, dropping);
    }
  }

  private static boolean isOver(@Nullable Node node, Point2D inWindow) {
    return node != null && node.isVisible() && node.contains(node.sceneToLocal(inWindow));
  }

  /** Where the listed looks live. */
  Node scopes() {
    ToggleGroup group = new ToggleGroup();
    HBox bar = new HBox();
    bar.getStyleClass().add("views");
    for (Scope one : Scope.values()) {
      ToggleButton button = new ToggleButton(one.label());
      button.setId(one.id());
      buttons.put(one, button);
      button.getStyleClass().addAll("view", "scope");
      button.setToggleGroup(group);
      button.setMaxWidth(Double.MAX_VALUE);
      button.setMinWidth(0);
      HBox.setHgrow(button, Priority.ALWAYS);
      button.setSelected(one == scope.get());
      button.setOnAction(_ -> {
        button.setSelected(true);
        scope.set(one);
      });
      scope.addListener((_, _, now) -> button.setSelected(now == one));
      bar.getChildren().add(button);
    }
    HBox.setHgrow(bar, Priority.ALWAYS);
    HBox row = new HBox(6, bar, dense);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  /** In which order the looks of the shelf are listed, and which of them. */
  MenuButton arrangement() {
    MenuButton menu = new MenuButton();
    menu.setId("shelf-arrange");
    menu.getStyleClass().add("quiet-menu");
    menu.setMinWidth(Region.USE_PREF_SIZE);
    menu.setAccessibleText(Messages.of("styles-column.how-styles-are-sorted"));
    ToggleGroup orders = new ToggleGroup();
    ToggleGroup shown = new ToggleGroup();
    Runnable arrange =
        () -> {
          ShelfOrder order = (ShelfOrder) orders.getSelectedToggle().getUserData();
          ShelfShow show = (ShelfShow) shown.getSelectedToggle().getUserData();
          menu.setText(
              show == ShelfShow.ALL
                  ? Messages.of("styles-column.sort", order.label())
                  : show.label());
          list.arrangement().arrange(order, show);
        };
    for (ShelfOrder order : ShelfOrder.values()) {
      menu.getItems().add(choice(orders, order, order.label(), arrange));
    }
    menu.getItems().add(new SeparatorMenuItem());
    for (ShelfShow show : ShelfShow.values()) {
      menu.getItems().add(choice(shown, show, show.label(), arrange));
    }
    CheckMenuItem words = new CheckMenuItem(Messages.of("shelf-part.in-selected-words"));
    words.setOnAction(_ -> list.showInSelectedWords(words.isSelected()));
    menu.getItems().addAll(new SeparatorMenuItem(), words);
    orders.selectToggle(orders.getToggles().getFirst());
    shown.selectToggle(shown.getToggles().getFirst());
    arrange.run();
    menu.visibleProperty().bind(scope.isEqualTo(Scope.SHELF));
    menu.managedProperty().bind(menu.visibleProperty());
    return menu;
  }

  private static RadioMenuItem choice(
      ToggleGroup group, Object value, String label, Runnable chosen) {
    RadioMenuItem item = new RadioMenuItem(label);
    item.setToggleGroup(group);
    item.setUserData(value);
    item.setOnAction(_ -> chosen.run());
    return item;
  }

  /** Ends what looks through the shelf. */
  public void close() {
    list.arrangement().close();
  }

  /** What a kit says of itself, while one is looked into. */
  Node about() {
    KitHead head = new KitHead(keeper.aboutProperty());
    VBox place = new VBox(head);
    place.visibleProperty().bind(scope.isNotEqualTo(Scope.PROJECT).and(head.visibleProperty()));
    place.managedProperty().bind(place.visibleProperty());
    return place;
  }

  /** Which shelf is looked at, and ways to others. */
  Node which() {
    MenuButton menu = new MenuButton();
    menu.setId("shelf-which");
    menu.getStyleClass().add("quiet-menu");
    menu.setMaxWidth(Double.MAX_VALUE);
    menu.setAccessibleText(Messages.of("shelf-part.which"));
    Runnable name = () -> menu.setText(nameOf(keeper.placeProperty().get()));
    keeper.placeProperty().addListener((_, _, _) -> name.run());
    keeper.shelfProperty().addListener((_, _, _) -> name.run());
    name.run();
    menu.setOnShowing(_ -> menu.getItems().setAll(places()));
    // a menu without items would not open, and so never ask for any
    menu.getItems().add(new MenuItem());
    Button all = new Button();
    all.setId("shelf-take-all");
    all.getStyleClass().add("pill");
    all.setMinWidth(Region.USE_PREF_SIZE);
    Tips.on(all, Messages.of("shelf-part.take-all-help"));
    all.setOnAction(_ -> looks.take(keeper.shelf().styles().stream().map(Kept::id).toList()));
    all.managedProperty().bind(all.visibleProperty());
    Runnable count =
        () -> {
          int size = keeper.shelf().styles().size();
          all.setVisible(!keeper.placeProperty().get().isFolder() && size > 0);
          if (all.isVisible()) {
            all.setText(Messages.of("shelf-part.take-all", size));
          }
        };
    keeper.shelfProperty().addListener((_, _, _) -> count.run());
    count.run();
    HBox.setHgrow(menu, Priority.ALWAYS);
    HBox row = new HBox(6, menu, all);
    row.setAlignment(Pos.CENTER_LEFT);
    row.getStyleClass().add("updates-row");
    row.visibleProperty().bind(scope.isNotEqualTo(Scope.PROJECT));
    row.managedProperty().bind(row.visibleProperty());
    return row;
  }

  /** What it calls itself, where somebody gave it a name. */
  private String nameOf(ShelfPlace place) {
    String own = keeper.shelf().name();
    String folder = String.valueOf(place.path().getFileName());
    boolean isNamed = place.isFolder() && !own.isBlank() && !own.equals(folder);
    return isNamed && place.equals(keeper.placeProperty().get()) ? own : place.name();
  }

  private List<MenuItem> places() {
    List<MenuItem> items = new ArrayList<>();
    for (ShelfPlace place : keeper.places()) {
      int newer = keeper.newerElsewhereProperty().get().getOrDefault(place, 0);
      RadioMenuItem item =
          new RadioMenuItem(
              newer == 0
                  ? nameOf(place)
                  : Messages.of("shelf-part.newer-there", place.name(), newer));
      item.setSelected(place.equals(keeper.placeProperty().get()));
      item.setOnAction(_ -> keeper.open(place));
      items.add(item);
    }
    MenuItem share = new MenuItem(Messages.of("shelf-part.add-shared"));
    share.setOnAction(_ -> dialogs.choose(FileQuestion.SHELF_FOLDER).ifPresent(keeper::open));
    MenuItem kit = new MenuItem(Messages.of("shelf-part.open-kit"));
    kit.setOnAction(_ -> dialogs.choose(FileQuestion.KIT).ifPresent(keeper::open));
    Menu starters = new Menu(Messages.of("shelf-part.starter-kits"));
    keeper
        .starters()
        .keySet()
        .forEach(place -> {
          MenuItem item = new MenuItem(place.called());
          item.setOnAction(_ -> keeper.open(place));
          starters.getItems().add(item);
        });
    MenuItem export = new MenuItem(Messages.of("shelf-part.export-all"));
    export.setDisable(keeper.shelf().styles().isEmpty());
    export.setOnAction(_ -> menu.exportAll());
    items.addAll(List.of(new SeparatorMenuItem(), starters, share, kit, export));
    ShelfPlace now = keeper.placeProperty().get();
    if (now.kind() != ShelfPlace.Kind.OWN) {
      MenuItem forget = new MenuItem(Messages.of("shelf-part.forget", now.name()));
      forget.setOnAction(_ -> keeper.forget(now));
      items.add(forget);
    }
    return items;
  }

  /** Leads to what is newer; not there while nothing is. */
  Node updates() {
    HBox row = new HBox(updates);
    HBox.setHgrow(updates, Priority.ALWAYS);
    row.getStyleClass().add("updates-row");
    row.visibleProperty().bind(updates.visibleProperty());
    row.managedProperty().bind(row.visibleProperty());
    return row;
  }

  private void tell() {
    int newer = keeper.newer().size();
    Map<ShelfPlace, Integer> elsewhere = keeper.newerElsewhereProperty().get();
    updates.setVisible(newer > 0 || !elsewhere.isEmpty());
    if (!updates.isVisible()) {
      return;
    }
    if (newer > 0) {
      updates.setText(Messages.of("shelf-part.updates", newer));
      updates.setOnAction(_ -> workspace.attempts().openUpdates());
    } else {
      Map.Entry<ShelfPlace, Integer> first = elsewhere.entrySet().iterator().next();
      updates.setText(
          Messages.of("shelf-part.updates-there", first.getValue(), first.getKey().name()));
      updates.setOnAction(_ -> {
        keeper.open(first.getKey());
        workspace.attempts().openUpdates();
      });
    }
  }

  /** Kits to begin with, for a project that has no looks of its own yet. */
  Node beginning() {
    Node made = beginning;
    if (made == null) {
      made = kits();
      beginning = made;
    }
    return made;
  }

  private Node kits() {
    Label words = new Label(Messages.of("shelf-part.begin-with-a-kit"));
    words.setWrapText(true);
    words.getStyleClass().addAll("quiet", "empty-state");
    FlowPane kits = new FlowPane(6, 6);
    keeper
        .starters()
        .forEach((place, note) -> {
          Button button = new Button(place.called());
          button.getStyleClass().add("pill");
          button.setId("starter-" + place.path());
          Tips.on(button, note);
          button.setOnAction(_ -> {
            keeper.open(place);
            scope.set(Scope.SHELF);
          });
          kits.getChildren().add(button);
        });
    VBox all = new VBox(6, words, kits);
    all.setId("starter-kits");
    return all;
  }

  /** Lists what is wanted, and again whenever how is changed. */
  void follow(javafx.beans.value.ObservableValue<String> filter) {
    Runnable fill =
        () -> {
          list.setVisible(scope.get() != Scope.PROJECT);
          if (list.isVisible()) {
            list.list(filter.getValue(), scope.get() == Scope.BOTH, dense.isSelected());
          }
        };
    scope.addListener((_, _, _) -> fill.run());
    filter.addListener((_, _, _) -> fill.run());
    dense.selectedProperty().addListener((_, _, _) -> fill.run());
  }

  /** Whether the project has a style from the shelf, as a mark on its card. */
  Optional<String> mark(dynamorph.model.style.StyleId style) {
    return keeper
        .of(style)
        .map(update ->
            update.isDeleted()
                ? ""
                : update.isNewer()
                    ? Messages.of("shelf-list.newer")
                    : update.toPut().isEmpty()
                        ? StyleCard.ON_SHELF
                        : Messages.of("shelf-part.changed"));
  }
}
