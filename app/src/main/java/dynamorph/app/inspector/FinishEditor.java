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
import dynamorph.model.value.StrokePosition;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/**
 * The stack of coats, topmost first, each with its eye, colour and width, its details and its
 * shadow below; and the plate.
 */
final class FinishEditor extends VBox {
  private static final double LABEL_WIDTH = 74;

  private final Workspace workspace;
  private final Editors editors;
  private final Supplier<Subject> subject;
  private final VBox rows = new VBox(4);
  private final List<PropertyCell<?>> cells = new ArrayList<>();
  private final List<Runnable> refresh = new ArrayList<>();
  private final Set<Address> open = new HashSet<>();
  private List<Address> built = List.of();
  private Set<Address> builtOpen = Set.of();

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
    List<Address> wanted = new ArrayList<>();
    for (String host : List.of(Address.FINISH, Address.PLATE)) {
      for (Address coat : now.coats(host).reversed()) {
        wanted.add(coat);
        wanted.addAll(now.effects(coat));
      }
    }
    if (!wanted.equals(built) || !builtOpen.equals(open)) {
      build(now, wanted);
    }
    cells.forEach(cell -> cell.update(now));
    refresh.forEach(Runnable::run);
  }

  private void build(Subject now, List<Address> wanted) {
    built = List.copyOf(wanted);
    builtOpen = Set.copyOf(open);
    rows.getChildren().clear();
    cells.clear();
    refresh.clear();
    List<Address> letters = now.coats(Address.FINISH);
    letters.reversed().forEach(coat -> addCoatRows(now, coat));
    List<Address> plate = now.coats(Address.PLATE);
    if (!plate.isEmpty()) {
      Label title = new Label("Plate");
      title.getStyleClass().add("sub-title");
      rows.getChildren().add(title);
      plate.reversed().forEach(coat -> addCoatRows(now, coat));
      rows.getChildren()
          .addAll(
              pair(
                  "Padding",
                  Properties.PLATE_PADDING_ACROSS.key(),
                  Properties.PLATE_PADDING_ALONG.key()),
              pair("Corner radius", Properties.PLATE_RADIUS.key(), null));
    }
  }

  private void addCoatRows(Subject now, Address coat) {
    rows.getChildren().add(coatRow(coat));
    if (open.contains(coat)) {
      boolean stroke =
          now.shown(Properties.COAT_KIND.at(coat)).value().orElse(CoatKind.FILL) == CoatKind.STROKE;
      VBox details = new VBox(4);
      details.getStyleClass().add("coat-details");
      details.getChildren().add(pair("Opacity", Properties.COAT_OPACITY.at(coat), null));
      if (stroke) {
        details
            .getChildren()
            .addAll(
                pair(
                    "Width, join",
                    Properties.STROKE_WIDTH.at(coat),
                    Properties.STROKE_JOIN.at(coat)),
                pair("Position", Properties.STROKE_POSITION.at(coat), null));
      }
      if (now.effects(coat).isEmpty()) {
        details
            .getChildren()
            .add(
                adder(
                    "+ drop shadow",
                    "add-shadow",
                    "Let this coat cast a shadow",
                    () -> addShadow(coat)));
      }
      rows.getChildren().add(details);
    }
    for (Address effect : now.effects(coat)) {
      rows.getChildren().add(effectRow(effect));
      if (open.contains(effect)) {
        VBox details =
            new VBox(
                4,
                pair(
                    "Opacity, blur",
                    Properties.EFFECT_OPACITY.at(effect),
                    Properties.SHADOW_BLUR.at(effect)),
                pair(
                    "Across, down",
                    Properties.SHADOW_ACROSS.at(effect),
                    Properties.SHADOW_DOWN.at(effect)));
        details.getStyleClass().add("coat-details");
        rows.getChildren().add(details);
      }
    }
  }

  private Node coatRow(Address coat) {
    Label name = new Label();
    refresh.add(() -> name.setText(coatName(coat)));
    PropertyCell<?> colour = cell(Properties.COAT_COLOUR.at(coat));
    Button up = Controls.icon(Feather.CHEVRON_UP, "Move up", () -> move(coat, 1));
    up.disableProperty().set(isAtEnd(coat, true));
    HBox row =
        new HBox(
            4,
            expander(coat),
            eye(Properties.COAT_SHOWN.at(coat)),
            name,
            colour,
            up,
            Controls.icon(
                Feather.X, "Take this coat away", () -> remove(Properties.COAT_REMOVED.at(coat))));
    return finished(row, name, colour);
  }

  private Node effectRow(Address effect) {
    Label name = new Label("Drop shadow");
    PropertyCell<?> colour = cell(Properties.EFFECT_COLOUR.at(effect));
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

  private void addShadow(Address coat) {
    Address shadow = coat.effect("shadow");
    open.add(shadow);
    subject
        .get()
        .set(
            PropertySet.EMPTY
                .with(Properties.EFFECT_KIND.at(shadow), EffectKind.DROP_SHADOW)
                .with(Properties.EFFECT_REMOVED.at(shadow), false),
            Optional.empty());
  }

  private static String freeId(List<Address> taken, String wanted) {
    List<String> ids = taken.stream().map(Address::coat).toList();
    String id = wanted;
    for (int number = 2; ids.contains(id); number++) {
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

  /** Moves a coat past its neighbour: its order becomes a number beyond the neighbour's. */
  private void move(Address coat, int by) {
    Subject now = subject.get();
    List<Address> coats = now.coats(coat.host());
    int index = coats.indexOf(coat) + by;
    if (index < 0 || index >= coats.size()) {
      return;
    }
    double neighbour = order(now, coats.get(index));
    double beyond =
        index + by >= 0 && index + by < coats.size()
            ? (neighbour + order(now, coats.get(index + by))) / 2
            : neighbour + by;
    double order = beyond == neighbour ? neighbour + by * 1e-3 : beyond;
    now.set(PropertySet.EMPTY.with(Properties.COAT_ORDER.at(coat), order), Optional.empty());
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
