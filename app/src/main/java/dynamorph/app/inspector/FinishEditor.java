package dynamorph.app.inspector;

import dynamorph.app.field.Controls;
import dynamorph.app.field.Editors;
import dynamorph.app.workspace.Workspace;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.EffectKind;
import dynamorph.model.value.PaintKind;
import dynamorph.model.value.StrokePosition;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.Cursor;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/**
 * The stack of coats, topmost first, each with its eye and colour, its details and its effects
 * below; the effects of all together; and the plate.
 */
final class FinishEditor extends VBox {
  private static final double LABEL_WIDTH = 80;

  /** Mark the line where a dragged coat would go. */
  private static final String DROP_ABOVE = "drop-above";

  private static final String DROP_BELOW = "drop-below";

  private final Workspace workspace;
  private final Editors editors;
  private final Supplier<Subject> subject;
  private final VBox rows = new VBox(4);
  private final List<PropertyCell<?>> cells = new ArrayList<>();
  private final List<Runnable> refresh = new ArrayList<>();
  private final Set<Address> open = new HashSet<>();
  private final Map<Address, Node> coatRows = new HashMap<>();
  private List<Object> built = List.of();

  FinishEditor(Workspace workspace, Editors editors, Supplier<Subject> subject) {
    this.workspace = workspace;
    this.editors = editors;
    this.subject = subject;
    getStyleClass().add("facet");
    Label title = new Label("Finish");
    title.getStyleClass().add("section-title");
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    HBox head =
        new HBox(
            4,
            title,
            gap,
            adder("+ fill", "add-fill", "Add a fill over the others", () -> addCoat(CoatKind.FILL)),
            adder(
                "+ stroke",
                "add-stroke",
                "Add a stroke over the others",
                () -> addCoat(CoatKind.STROKE)),
            adder("+ plate", "add-plate", "Put a plate behind the text", this::addPlate));
    head.setAlignment(Pos.CENTER_LEFT);
    setSpacing(4);
    getChildren().addAll(head, rows);
  }

  private static Hyperlink adder(String label, String id, String help, Runnable work) {
    Hyperlink link = new Hyperlink(label);
    link.setId(id);
    link.setTooltip(new Tooltip(help));
    link.setOnAction(_ -> work.run());
    return link;
  }

  void update(Subject now) {
    List<Object> wanted = structure(now);
    if (!wanted.equals(built)) {
      built = wanted;
      build(now);
    }
    cells.forEach(cell -> cell.update(now));
    refresh.forEach(Runnable::run);
  }

  /** What decides which rows there are. */
  private List<Object> structure(Subject now) {
    List<Object> structure = new ArrayList<>();
    for (String host : List.of(Address.FINISH, Address.PLATE)) {
      List<Address> coats = new ArrayList<>(now.coats(host).reversed());
      coats.add(Address.whole(host));
      for (Address coat : coats) {
        structure.add(coat);
        structure.add(FinishRows.paint(now, coat));
        if (open.contains(coat)) {
          structure.add(FinishRows.of(now, coat));
        }
        for (Address effect : now.effects(coat)) {
          structure.add(effect);
          if (open.contains(effect)) {
            structure.add(FinishRows.ofEffect(now, effect));
          }
        }
      }
    }
    return structure;
  }

  private void build(Subject now) {
    rows.getChildren().clear();
    cells.clear();
    coatRows.clear();
    refresh.clear();
    List<Address> letters = now.coats(Address.FINISH);
    letters.reversed().forEach(coat -> addCoatRows(now, coat));
    if (!letters.isEmpty()) {
      addWhole(now, Address.FINISH);
    }
    List<Address> plate = now.coats(Address.PLATE);
    if (!plate.isEmpty()) {
      Label title = new Label("Plate");
      title.getStyleClass().add("sub-title");
      rows.getChildren().add(title);
      plate.reversed().forEach(coat -> addCoatRows(now, coat));
      addWhole(now, Address.PLATE);
      rows.getChildren()
          .addAll(
              pair("Behind", Properties.PLATE_AROUND.key(), null),
              pair("Padding", Properties.PLATE_PADDING.key(), null),
              pair("Corner radius", Properties.PLATE_RADIUS.key(), null),
              pair("At least wide", Properties.PLATE_LEAST_WIDTH.key(), null));
    }
  }

  private void addCoatRows(Subject now, Address coat) {
    rows.getChildren().add(coatRow(now, coat));
    if (open.contains(coat)) {
      VBox details = details(FinishRows.of(now, coat));
      HBox more = new HBox(10, effectMenu(coat, "add-effect"));
      if (FinishRows.isStroke(now, coat)) {
        more.getChildren()
            .add(
                adder(
                    "round dots",
                    "round-dots",
                    "Dots of the stroke's width, evenly spaced around each contour",
                    () -> now().set(FinishRows.dots(now(), coat), Optional.empty())));
      }
      more.getChildren()
          .add(
              adder(
                  "duplicate",
                  "duplicate-coat",
                  "A copy of this coat above it",
                  () -> duplicate(coat)));
      more.setAlignment(Pos.CENTER_LEFT);
      details.getChildren().add(more);
      rows.getChildren().add(details);
    }
    now.effects(coat).forEach(effect -> addEffectRows(now, effect));
  }

  private void addEffectRows(Subject now, Address effect) {
    rows.getChildren().add(effectRow(now, effect));
    if (open.contains(effect)) {
      rows.getChildren().add(details(FinishRows.ofEffect(now, effect)));
    }
  }

  /** Effects of all coats together. */
  private void addWhole(Subject now, String host) {
    Address whole = Address.whole(host);
    Label title = new Label("All coats together");
    title.getStyleClass().add("row-label");
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    HBox row = new HBox(4, title, gap, effectMenu(whole, "add-effect-to-all"));
    row.setAlignment(Pos.CENTER_LEFT);
    rows.getChildren().add(row);
    now.effects(whole).forEach(effect -> addEffectRows(now, effect));
  }

  private VBox details(List<FinishRows.Row> wanted) {
    VBox details = new VBox(4);
    details.getStyleClass().add("coat-details");
    wanted.forEach(row -> details.getChildren().add(pair(row.label(), row.first(), row.second())));
    return details;
  }

  private MenuButton effectMenu(Address coat, String id) {
    MenuButton menu = new MenuButton("+ effect");
    menu.setId(id);
    menu.getStyleClass().add("quiet-menu");
    menu.setTooltip(new Tooltip("Add a shadow, a glow, a blur or a raised edge"));
    for (EffectKind kind : EffectKind.values()) {
      MenuItem item = new MenuItem(FinishRows.name(kind));
      item.setId(id + "-" + kind.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-'));
      item.setOnAction(_ -> addEffect(coat, kind));
      menu.getItems().add(item);
    }
    return menu;
  }

  private Subject now() {
    return subject.get();
  }

  private Node coatRow(Subject now, Address coat) {
    Label name = new Label();
    refresh.add(() -> name.setText(coatName(coat)));
    boolean solid = FinishRows.paint(now, coat) == PaintKind.SOLID;
    PropertyCell<?> colour =
        solid ? cell(Properties.COAT_COLOUR.at(coat)) : cell(Properties.GRADIENT_STOPS.at(coat));
    HBox row =
        new HBox(
            4,
            expander(coat),
            eye(Properties.COAT_SHOWN.at(coat)),
            name,
            colour,
            Controls.icon(
                Feather.X, "Take this coat away", () -> remove(Properties.COAT_REMOVED.at(coat))));
    coatRows.put(coat, row);
    MenuItem up = item("Move up\tAlt+Up", () -> move(coat, 1));
    up.setDisable(isAtEnd(coat, true));
    MenuItem down = item("Move down\tAlt+Down", () -> move(coat, -1));
    down.setDisable(isAtEnd(coat, false));
    ContextMenu menu = new ContextMenu(up, down, item("Duplicate", () -> duplicate(coat)));
    row.setOnContextMenuRequested(at -> menu.show(row, at.getScreenX(), at.getScreenY()));
    name.setCursor(Cursor.OPEN_HAND);
    name.setTooltip(new Tooltip("Drag to another place; Alt+Up and Alt+Down move it too"));
    name.setOnMouseDragged(at -> showDrop(coat, at.getSceneY()));
    name.setOnMouseReleased(at -> drop(coat, at.getSceneY()));
    row.setOnKeyPressed(key -> {
      if (key.isAltDown() && (key.getCode() == KeyCode.UP || key.getCode() == KeyCode.DOWN)) {
        move(coat, key.getCode() == KeyCode.UP ? 1 : -1);
        key.consume();
      }
    });
    return finished(row, name, colour);
  }

  private Node effectRow(Subject now, Address effect) {
    Label name = new Label();
    refresh.add(() -> name.setText(effectName(effect)));
    EffectKind kind =
        now.shown(Properties.EFFECT_KIND.at(effect)).value().orElse(EffectKind.DROP_SHADOW);
    PropertyCell<?> colour =
        switch (kind) {
          case BLUR -> cell(Properties.SHADOW_BLUR.at(effect));
          case RAISED_EDGE -> cell(Properties.LIGHT_COLOUR.at(effect));
          case DROP_SHADOW, INNER_SHADOW, OUTER_GLOW, INNER_GLOW ->
              cell(Properties.EFFECT_COLOUR.at(effect));
        };
    HBox row =
        new HBox(
            4,
            expander(effect),
            eye(Properties.EFFECT_SHOWN.at(effect)),
            name,
            colour,
            Controls.icon(
                Feather.X,
                "Take this effect away",
                () -> remove(Properties.EFFECT_REMOVED.at(effect))));
    row.getStyleClass().add("effect-row");
    return finished(row, name, colour);
  }

  private static Node finished(HBox row, Label name, Node colour) {
    row.setAlignment(Pos.CENTER_LEFT);
    row.getStyleClass().add("coat-row");
    name.setMinWidth(Region.USE_PREF_SIZE);
    HBox.setHgrow(colour, Priority.ALWAYS);
    return row;
  }

  private String coatName(Address coat) {
    Subject now = subject.get();
    Optional<CoatKind> kind = now.shown(Properties.COAT_KIND.at(coat)).value();
    if (kind.isEmpty()) {
      return coat.coat();
    }
    String own = now.shown(Properties.COAT_NAME.at(coat)).value().orElse("");
    if (!own.isBlank()) {
      return own;
    }
    if (kind.get() == CoatKind.FILL) {
      return "Fill";
    }
    StrokePosition position =
        now.shown(Properties.STROKE_POSITION.at(coat)).value().orElse(StrokePosition.CENTRE);
    return switch (position) {
      case INSIDE -> "Stroke inside";
      case CENTRE -> "Stroke";
      case OUTSIDE -> "Stroke outside";
    };
  }

  private String effectName(Address effect) {
    String own = now().shown(Properties.EFFECT_NAME.at(effect)).value().orElse("");
    return own.isBlank()
        ? now()
            .shown(Properties.EFFECT_KIND.at(effect))
            .value()
            .map(FinishRows::name)
            .orElse(effect.effect())
        : own;
  }

  private Button expander(Address address) {
    FontIcon arrow =
        new FontIcon(open.contains(address) ? Feather.CHEVRON_DOWN : Feather.CHEVRON_RIGHT);
    Button button = new Button("", arrow);
    button.getStyleClass().add("icon-button");
    button.setTooltip(
        new Tooltip(open.contains(address) ? "Fold the details" : "Show the details"));
    button.setAccessibleText("Details of " + address);
    button.setOnAction(_ -> {
      if (!open.remove(address)) {
        open.add(address);
      }
      update(subject.get());
    });
    return button;
  }

  private ToggleButton eye(PropertyKey<Boolean> shown) {
    FontIcon icon = new FontIcon(Feather.EYE);
    ToggleButton eye = new ToggleButton("", icon);
    eye.getStyleClass().add("icon-button");
    eye.setTooltip(new Tooltip("Shown or hidden"));
    eye.setAccessibleText("Show " + shown.address());
    eye.setOnAction(
        _ -> subject.get().set(PropertySet.EMPTY.with(shown, eye.isSelected()), Optional.empty()));
    refresh.add(() -> {
      boolean on = subject.get().shown(shown).value().orElse(true);
      eye.setSelected(on);
      icon.setIconCode(on ? Feather.EYE : Feather.EYE_OFF);
    });
    return eye;
  }

  private Node pair(String label, PropertyKey<?> first, PropertyKey<?> second) {
    GridPane grid = new GridPane(6, 0);
    ColumnConstraints half = new ColumnConstraints();
    half.setHgrow(Priority.ALWAYS);
    half.setPrefWidth(90);
    grid.getColumnConstraints().addAll(new ColumnConstraints(LABEL_WIDTH), half, half);
    Label words = new Label(label);
    words.getStyleClass().add("row-label");
    PropertyCell<?> cell = cell(first);
    cell.nudgeBy(words);
    grid.add(words, 0, 0);
    if (second == null) {
      grid.add(cell, 1, 0, 2, 1);
    } else {
      grid.add(cell, 1, 0);
      grid.add(cell(second), 2, 0);
    }
    return grid;
  }

  private <T> PropertyCell<T> cell(PropertyKey<T> key) {
    PropertyCell<T> cell = new PropertyCell<>(key, editors, subject, workspace);
    cells.add(cell);
    return cell;
  }

  // --- changing the stack
  // ------------------------------------------------------------------------------------------

  private void addCoat(CoatKind kind) {
    Subject now = subject.get();
    if (now.isEmpty()) {
      return;
    }
    List<Address> coats = now.coats(Address.FINISH);
    Address coat = Address.coat(freeId(coats, kind == CoatKind.FILL ? "fill" : "outline"));
    PropertySet values =
        PropertySet.EMPTY
            .with(Properties.COAT_KIND.at(coat), kind)
            .with(Properties.COAT_REMOVED.at(coat), false)
            .with(Properties.COAT_ORDER.at(coat), highest(now, coats) + 1);
    if (kind == CoatKind.STROKE) {
      values =
          values
              .with(Properties.STROKE_WIDTH.at(coat), dynamorph.model.value.Length.em(0.03))
              .with(Properties.STROKE_POSITION.at(coat), StrokePosition.OUTSIDE);
    }
    open.add(coat);
    now.set(values, Optional.empty());
  }

  private void addPlate() {
    Subject now = subject.get();
    if (now.isEmpty()) {
      return;
    }
    List<Address> coats = now.coats(Address.PLATE);
    Address coat = Address.plateCoat(freeId(coats, "ground"));
    now.set(
        PropertySet.EMPTY
            .with(Properties.COAT_KIND.at(coat), CoatKind.FILL)
            .with(Properties.COAT_REMOVED.at(coat), false)
            .with(Properties.COAT_ORDER.at(coat), highest(now, coats) + 1)
            .with(Properties.COAT_COLOUR.at(coat), dynamorph.model.value.Colour.hex("#e8c468")),
        Optional.empty());
  }

  private void addEffect(Address coat, EffectKind kind) {
    Subject now = now();
    List<Address> effects = now.effects(coat);
    List<String> taken = effects.stream().map(Address::effect).toList();
    Address effect = coat.effect(freeName(taken, FinishRows.id(kind)));
    double order =
        effects.stream()
            .mapToDouble(one -> now.shown(Properties.EFFECT_ORDER.at(one)).value().orElse(0.0))
            .max()
            .orElse(-1);
    open.add(effect);
    now.set(
        FinishRows.start(effect, kind).with(Properties.EFFECT_ORDER.at(effect), order + 1),
        Optional.empty());
  }

  /** The copy lies above, with everything that its original shows. */
  private void duplicate(Address coat) {
    Subject now = now();
    List<Address> coats = now.coats(coat.host());
    Address copy = new Address(coat.host(), freeId(coats, coat.coat()), "");
    PropertySet values = FinishRows.copied(now, coat, copy);
    for (Address effect : now.effects(coat)) {
      values = values.overlaidBy(FinishRows.copied(now, effect, copy.effect(effect.effect())));
    }
    int index = coats.indexOf(coat);
    double above =
        index + 1 < coats.size()
            ? (order(now, coat) + order(now, coats.get(index + 1))) / 2
            : order(now, coat) + 1;
    open.remove(coat);
    open.add(copy);
    now.set(values.with(Properties.COAT_ORDER.at(copy), above), Optional.empty());
  }

  private static String freeId(List<Address> taken, String wanted) {
    return freeName(taken.stream().map(Address::coat).toList(), wanted);
  }

  private static String freeName(List<String> taken, String wanted) {
    String id = wanted;
    for (int number = 2; taken.contains(id); number++) {
      id = wanted + "-" + number;
    }
    return id;
  }

  private double highest(Subject now, List<Address> coats) {
    return coats.stream().mapToDouble(coat -> order(now, coat)).max().orElse(0);
  }

  private static double order(Subject now, Address coat) {
    return now.shown(Properties.COAT_ORDER.at(coat)).value().orElse(0.0);
  }

  private boolean isAtEnd(Address coat, boolean top) {
    List<Address> coats = subject.get().coats(coat.host());
    return coats.isEmpty() || (top ? coats.getLast() : coats.getFirst()).equals(coat);
  }

  private static MenuItem item(String name, Runnable work) {
    MenuItem item = new MenuItem(name);
    item.setOnAction(_ -> work.run());
    return item;
  }

  private void move(Address coat, int by) {
    place(coat, now().coats(coat.host()).indexOf(coat) + by);
  }

  /**
   * Puts a coat somewhere else: its order becomes a number between those of its new neighbours.
   *
   * @param index among the others, in paint order
   */
  private void place(Address coat, int index) {
    Subject now = now();
    List<Address> others = new ArrayList<>(now.coats(coat.host()));
    if (others.indexOf(coat) == index || index < 0 || index >= others.size()) {
      return;
    }
    others.remove(coat);
    boolean top = index == others.size();
    double below = index > 0 ? order(now, others.get(index - 1)) : order(now, others.get(0)) - 2;
    double above = top ? below + 2 : order(now, others.get(index));
    PropertySet values =
        PropertySet.EMPTY.with(Properties.COAT_ORDER.at(coat), (below + above) / 2);
    if (below == above) {
      // two of one order have no room between them
      others.add(index, coat);
      for (int at = 0; at < others.size(); at++) {
        values = values.with(Properties.COAT_ORDER.at(others.get(at)), (double) at);
      }
    }
    now.set(values, Optional.empty());
  }

  /** How many rows of other coats lie above a height on the window. */
  private int rowsAbove(Address coat, double y) {
    int above = 0;
    for (Address other : now().coats(coat.host())) {
      Node row = coatRows.get(other);
      boolean isAbove = row.localToScene(row.getBoundsInLocal()).getCenterY() < y;
      above += !other.equals(coat) && isAbove ? 1 : 0;
    }
    return above;
  }

  private void showDrop(Address coat, double y) {
    int above = rowsAbove(coat, y);
    List<Address> others = new ArrayList<>(now().coats(coat.host()).reversed());
    others.remove(coat);
    coatRows.values().forEach(row -> row.getStyleClass().removeAll(DROP_ABOVE, DROP_BELOW));
    if (above < others.size()) {
      coatRows.get(others.get(above)).getStyleClass().add(DROP_ABOVE);
    } else if (!others.isEmpty()) {
      coatRows.get(others.getLast()).getStyleClass().add(DROP_BELOW);
    }
  }

  private void drop(Address coat, double y) {
    boolean dragged =
        coatRows.values().stream()
            .anyMatch(row ->
                row.getStyleClass().contains(DROP_ABOVE)
                    || row.getStyleClass().contains(DROP_BELOW));
    coatRows.values().forEach(row -> row.getStyleClass().removeAll(DROP_ABOVE, DROP_BELOW));
    if (dragged) {
      place(coat, now().coats(coat.host()).size() - 1 - rowsAbove(coat, y));
    }
  }

  /** What was put in here goes without a trace; what is inherited is marked as removed. */
  private void remove(PropertyKey<Boolean> removed) {
    Subject now = subject.get();
    Address address = removed.address();
    PropertyKey<?> kind =
        address.effect().isEmpty()
            ? Properties.COAT_KIND.at(address)
            : Properties.EFFECT_KIND.at(address);
    boolean onlyHere = now.isOwn(kind) && now.trace(kind).steps().size() == 1;
    if (onlyHere) {
      now.drop(everythingOf(now, address));
    } else {
      now.set(PropertySet.EMPTY.with(removed, true), Optional.empty());
    }
  }

  private static Set<PropertyKey<?>> everythingOf(Subject now, Address address) {
    Set<PropertyKey<?>> keys = new HashSet<>();
    Properties.of(address.part()).forEach(property -> keys.add(property.at(address)));
    if (address.effect().isEmpty()) {
      now.effects(address).forEach(effect -> keys.addAll(everythingOf(now, effect)));
    }
    return keys;
  }
}
