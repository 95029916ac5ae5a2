package dynamorph.app.finish;

import dynamorph.app.field.Controls;
import dynamorph.app.field.Editors;
import dynamorph.app.message.Messages;
import dynamorph.app.property.PropertyCell;
import dynamorph.app.property.Subject;
import dynamorph.app.session.CoatClipboard;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.EffectKind;
import dynamorph.model.value.StrokePosition;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.Cursor;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.FlowPane;
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
public final class FinishEditor extends VBox {
  private static final double LABEL_WIDTH = 80;

  /** Mark the line where a dragged coat would go. */
  private static final String DROP_ABOVE = "drop-above";

  private static final String DROP_BELOW = "drop-below";

  private static final PseudoClass SOLO = PseudoClass.getPseudoClass("solo");

  private final Workspace workspace;
  private final Editors editors;
  private final Supplier<Subject> subject;
  private final CoatStack stack;
  private final VBox rows = new VBox(4);
  private final List<PropertyCell<?>> cells = new ArrayList<>();
  private final List<Runnable> refresh = new ArrayList<>();
  private final Set<Address> open = new HashSet<>();
  private final Set<Address> posed = new HashSet<>();
  private final Set<Address> copied = new HashSet<>();
  private final Map<Address, Node> coatRows = new HashMap<>();
  private List<Object> built = List.of();
  private Optional<Workspace.GradientInHand> inHand = Optional.empty();

  public FinishEditor(Workspace workspace, Editors editors, Supplier<Subject> subject) {
    this.workspace = workspace;
    this.editors = editors;
    this.subject = subject;
    this.stack =
        new CoatStack(subject, workspace.tools().coats(), () -> workspace.project().palette());
    workspace.soloCoatProperty().addListener((_, _, _) -> refresh.forEach(Runnable::run));
    getStyleClass().add("facet");
    Label title = new Label(Messages.of("finish-editor.finish"));
    title.getStyleClass().add("section-title");
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    HBox head =
        new HBox(
            4,
            title,
            gap,
            adder(
                "finish-presets",
                "finish-presets",
                Messages.of("finish-editor.choose-from-finishes-that-come-with"),
                () -> workspace.view().finishPresetsProperty().set(true)),
            adder(
                Messages.of("finish-editor.fill"),
                "add-fill",
                Messages.of("finish-editor.add-a-fill-over-the-others"),
                () -> added(stack.addCoat(CoatKind.FILL))),
            adder(
                Messages.of("finish-editor.stroke"),
                "add-stroke",
                Messages.of("finish-editor.add-a-stroke-over-the-others"),
                () -> added(stack.addCoat(CoatKind.STROKE))),
            adder(
                Messages.of("finish-editor.plate"),
                "add-plate",
                Messages.of("finish-editor.put-a-plate-behind-the-text"),
                () -> added(stack.addPlate())));
    head.setAlignment(Pos.CENTER_LEFT);
    setSpacing(4);
    getChildren().addAll(head, rows);
  }

  /** What is new shows its details. */
  private void added(Optional<Address> address) {
    address.ifPresent(one -> {
      open.add(one);
      update(now());
    });
  }

  private static Hyperlink adder(String label, String id, String help, Runnable work) {
    Hyperlink link = new Hyperlink(label);
    link.setId(id);
    link.setTooltip(new Tooltip(help));
    link.setOnAction(_ -> work.run());
    return link;
  }

  public void update(Subject now) {
    List<Object> wanted = structure(now);
    if (!wanted.equals(built)) {
      built = wanted;
      build(now);
    }
    cells.forEach(cell -> cell.update(now));
    refresh.forEach(Runnable::run);
    handGradient(now);
  }

  /** The stage shows handles for the topmost gradient whose stops are open. */
  private void handGradient(Subject now) {
    Optional<Address> wanted = Optional.empty();
    for (String host : List.of(Address.FINISH, Address.PLATE)) {
      for (Address coat : now.coats(host)) {
        boolean gradient =
            switch (FinishRows.paint(now, coat)) {
              case LINEAR, RADIAL, CONIC -> true;
              case SOLID, PATTERN -> false;
            };
        wanted = gradient && open.contains(coat) ? Optional.of(coat) : wanted;
      }
    }
    boolean mine = inHand.equals(workspace.gradientInHandProperty().get());
    boolean same = mine && inHand.map(Workspace.GradientInHand::coat).equals(wanted);
    if (!same && (wanted.isPresent() || mine)) {
      inHand =
          wanted.map(coat ->
              new Workspace.GradientInHand(
                  coat, (values, gesture) -> now().set(values, Optional.of(gesture))));
      workspace.gradientInHandProperty().set(inHand);
    }
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
          structure.add(showsPose(now, coat));
          structure.add(showsCopies(now, coat));
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

  private boolean showsPose(Subject now, Address coat) {
    return posed.contains(coat) || FinishRows.areUsed(now, FinishRows.pose(coat));
  }

  private boolean showsCopies(Subject now, Address coat) {
    return copied.contains(coat) || FinishRows.areUsed(now, FinishRows.copies(coat));
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
      Label title = new Label(Messages.of("finish-editor.plate-2"));
      title.getStyleClass().add("sub-title");
      rows.getChildren().add(title);
      plate.reversed().forEach(coat -> addCoatRows(now, coat));
      addWhole(now, Address.PLATE);
      rows.getChildren()
          .addAll(
              pair(Messages.of("finish-editor.plate-extent"), Properties.PLATE_EXTENT.key(), null),
              pair(Messages.of("finish-editor.padding"), Properties.PLATE_PADDING.key(), null),
              pair(Messages.of("finish-editor.corner-radius"), Properties.PLATE_RADIUS.key(), null),
              pair(
                  Messages.of("finish-editor.minimum-width"),
                  Properties.PLATE_MINIMUM_WIDTH.key(),
                  null));
    }
  }

  private void addCoatRows(Subject now, Address coat) {
    rows.getChildren().add(coatRow(now, coat));
    if (open.contains(coat)) {
      rows.getChildren().add(coatDetails(now, coat));
    }
    now.effects(coat).forEach(effect -> addEffectRows(now, effect));
  }

  private VBox coatDetails(Subject now, Address coat) {
    VBox details = details(FinishRows.of(now, coat));
    FlowPane more = new FlowPane(10, 2, effectMenu(coat, "add-effect"));
    more.setRowValignment(VPos.CENTER);
    if (FinishRows.isStroke(now, coat)) {
      more.getChildren()
          .add(
              adder(
                  Messages.of("finish-editor.dots"),
                  "round-dots",
                  Messages.of("finish-editor.dots-of-the-strokes-width-evenly"),
                  () -> now().set(FinishRows.dots(now(), coat), Optional.empty())));
    }
    if (showsPose(now, coat)) {
      addRows(details, FinishRows.pose(coat));
    } else {
      more.getChildren()
          .add(
              adder(
                  Messages.of("finish-editor.transform"),
                  "pose-coat",
                  Messages.of("finish-editor.move-scale-or-rotate-this-coat"),
                  () -> {
                    posed.add(coat);
                    update(now());
                  }));
    }
    if (showsCopies(now, coat)) {
      addRows(details, FinishRows.copies(coat));
    } else {
      more.getChildren()
          .add(
              adder(
                  Messages.of("finish-editor.copies"),
                  "copy-coat-steps",
                  Messages.of("finish-editor.repeat-this-coat-step-by-step"),
                  () -> {
                    copied.add(coat);
                    now()
                        .set(
                            PropertySet.EMPTY.with(Properties.COPIES.at(coat), FIRST_COPIES),
                            Optional.empty());
                  }));
    }
    more.getChildren()
        .add(
            adder(
                Messages.of("finish-editor.duplicate"),
                "duplicate-coat",
                Messages.of("finish-editor.a-copy-of-this-coat-above"),
                () -> duplicate(coat)));
    details.getChildren().add(more);
    return details;
  }

  /** As many copies as show what they are. */
  private static final double FIRST_COPIES = 8;

  private void addRows(VBox details, List<FinishRows.Row> wanted) {
    wanted.forEach(row -> details.getChildren().add(pair(row.label(), row.first(), row.second())));
  }

  private void addEffectRows(Subject now, Address effect) {
    rows.getChildren().add(effectRow(now, effect));
    if (open.contains(effect)) {
      VBox details = details(FinishRows.ofEffect(now, effect));
      if (FinishRows.isCast(now, effect)) {
        ShadowDirection direction = new ShadowDirection(subject, effect);
        refresh.add(direction::update);
        details
            .getChildren()
            .add(
                line(
                    Messages.of("finish-editor.angle-distance"),
                    direction.angle(),
                    direction.distance()));
      }
      rows.getChildren().add(details);
    }
  }

  /** Effects of all coats together. */
  private void addWhole(Subject now, String host) {
    Address whole = Address.whole(host);
    Label title = new Label(Messages.of("finish-editor.all-coats-together"));
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
    addRows(details, wanted);
    return details;
  }

  private MenuButton effectMenu(Address coat, String id) {
    MenuButton menu = new MenuButton(Messages.of("finish-editor.effect"));
    menu.setId(id);
    menu.getStyleClass().add("quiet-menu");
    menu.setTooltip(new Tooltip(Messages.of("finish-editor.add-a-shadow-a-glow-a")));
    for (EffectKind kind : EffectKind.values()) {
      MenuItem item = new MenuItem(FinishRows.name(kind));
      item.setId(id + "-" + kind.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-'));
      item.setOnAction(_ -> added(Optional.of(stack.addEffect(coat, kind))));
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
    Region paint =
        switch (FinishRows.paint(now, coat)) {
          case SOLID, PATTERN -> cell(Properties.COAT_COLOUR.at(coat));
          case LINEAR, RADIAL, CONIC -> gradientChip(coat);
        };
    HBox row =
        new HBox(
            4,
            expander(coat),
            eye(Properties.COAT_SHOWN.at(coat)),
            name,
            paint,
            Controls.icon(
                Feather.X,
                Messages.of("finish-editor.remove-this-coat-delete"),
                () -> stack.remove(coat)));
    coatRows.put(coat, row);
    refresh.add(() ->
        row.pseudoClassStateChanged(
            SOLO, workspace.soloCoatProperty().get().filter(coat::equals).isPresent()));
    row.setOnContextMenuRequested(at -> {
      coatMenu(coat).show(row, at.getScreenX(), at.getScreenY());
      at.consume();
    });
    name.setCursor(Cursor.OPEN_HAND);
    name.setTooltip(new Tooltip(Messages.of("finish-editor.drag-to-another-place-or-alt")));
    name.setOnMousePressed(_ -> row.requestFocus());
    name.setOnMouseDragged(at -> showDrop(coat, at.getSceneY()));
    name.setOnMouseReleased(at -> drop(coat, at.getSceneY()));
    row.setFocusTraversable(true);
    row.setAccessibleText(Messages.of("finish-editor.coat", coat));
    row.setOnKeyPressed(key -> coatKey(coat, row, key));
    return finished(row, name, paint);
  }

  /** Shows the gradient; a click opens its stops. */
  private Button gradientChip(Address coat) {
    Region picture = new Region();
    picture.setMinSize(0, 18);
    Button chip = new Button("", picture);
    chip.setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
    chip.setMaxWidth(Double.MAX_VALUE);
    picture.prefWidthProperty().bind(chip.widthProperty().subtract(6));
    chip.getStyleClass().add("gradient-chip");
    chip.setId(coat.toString().replace('/', '-') + "-gradient");
    chip.setTooltip(new Tooltip(Messages.of("finish-editor.edit-the-stops")));
    chip.setAccessibleText(Messages.of("finish-editor.stops-of-the-gradient"));
    chip.setOnAction(_ -> {
      open.add(coat);
      update(now());
    });
    refresh.add(() ->
        picture.setBackground(
            GradientChip.of(
                now().shown(Properties.GRADIENT_STOPS.at(coat)).value(),
                workspace.project().palette())));
    return chip;
  }

  private void coatKey(Address coat, HBox row, KeyEvent key) {
    boolean plain = key.getTarget() == row;
    boolean known = true;
    if (key.isAltDown() && (key.getCode() == KeyCode.UP || key.getCode() == KeyCode.DOWN)) {
      stack.move(coat, key.getCode() == KeyCode.UP ? 1 : -1);
      Platform.runLater(() -> focus(coat));
    } else if (plain && key.getCode() == KeyCode.DELETE) {
      stack.remove(coat);
    } else if (plain && key.isShortcutDown() && key.getCode() == KeyCode.D) {
      duplicate(coat);
    } else if (plain && key.isShortcutDown() && key.getCode() == KeyCode.C) {
      copy(coat);
    } else if (plain && key.isShortcutDown() && key.getCode() == KeyCode.V) {
      added(stack.paste(coat));
    } else if (plain && key.getCode() == KeyCode.ENTER) {
      toggle(coat);
    } else {
      known = false;
    }
    if (known) {
      key.consume();
    }
  }

  private void focus(Address coat) {
    Node row = coatRows.get(coat);
    if (row != null) {
      row.requestFocus();
    }
  }

  private ContextMenu coatMenu(Address coat) {
    MenuItem up = item(Messages.of("finish-editor.move-up-alt-up"), () -> stack.move(coat, 1));
    up.setDisable(stack.isAtEnd(coat, true));
    MenuItem down =
        item(Messages.of("finish-editor.move-down-alt-down"), () -> stack.move(coat, -1));
    down.setDisable(stack.isAtEnd(coat, false));
    boolean alone = workspace.soloCoatProperty().get().filter(coat::equals).isPresent();
    MenuItem solo =
        item(
            alone
                ? Messages.of("finish-editor.end-solo")
                : Messages.of("finish-editor.solo-this-coat"),
            () -> workspace.soloCoatProperty().set(alone ? Optional.empty() : Optional.of(coat)));
    MenuItem reset =
        item(Messages.of("finish-editor.reset-what-is-set-here"), () -> stack.reset(coat));
    reset.setDisable(!stack.canReset(coat));
    return new ContextMenu(
        up,
        down,
        new SeparatorMenuItem(),
        item(Messages.of("finish-editor.duplicate-ctrl-d"), () -> duplicate(coat)),
        item(Messages.of("finish-editor.copy-the-coat-ctrl-c"), () -> copy(coat)),
        pasteItem(coat),
        new SeparatorMenuItem(),
        solo,
        reset,
        item(Messages.of("finish-editor.remove-delete"), () -> stack.remove(coat)));
  }

  private MenuItem pasteItem(Address at) {
    boolean effect = stack.copied().map(CoatClipboard.Copied::isEffect).orElse(false);
    MenuItem paste =
        item(
            effect
                ? Messages.of("finish-editor.paste-the-effect-here-ctrl-v")
                : Messages.of("finish-editor.paste-the-coat-above-ctrl-v"),
            () -> added(stack.paste(at)));
    paste.setDisable(stack.copied().isEmpty());
    return paste;
  }

  private void copy(Address address) {
    stack.copy(address);
    workspace.tell(
        Notice.info(
            address.effect().isEmpty()
                ? Messages.of("finish-editor.coat-copied-paste-it-on-a")
                : Messages.of("finish-editor.effect-copied-paste-it-on-any")));
  }

  /** The copy is what one goes on with. */
  private void duplicate(Address coat) {
    open.remove(coat);
    Address copy = stack.duplicate(coat);
    open.add(copy);
    update(now());
    Platform.runLater(() -> focus(copy));
  }

  private ContextMenu effectMenuOf(Address effect) {
    MenuItem reset =
        item(Messages.of("finish-editor.reset-what-is-set-here"), () -> stack.reset(effect));
    reset.setDisable(!stack.canReset(effect));
    return new ContextMenu(
        item(Messages.of("finish-editor.move-up-alt-up"), () -> stack.moveEffect(effect, -1)),
        item(Messages.of("finish-editor.move-down-alt-down"), () -> stack.moveEffect(effect, 1)),
        new SeparatorMenuItem(),
        item(Messages.of("finish-editor.copy-the-effect-ctrl-c"), () -> copy(effect)),
        pasteItem(effect),
        new SeparatorMenuItem(),
        reset,
        item(Messages.of("finish-editor.remove-delete"), () -> stack.remove(effect)));
  }

  private static MenuItem item(String name, Runnable work) {
    MenuItem item = new MenuItem(name);
    item.setOnAction(_ -> work.run());
    return item;
  }

  private Node effectRow(Subject now, Address effect) {
    Label name = new Label();
    refresh.add(() -> name.setText(effectName(effect)));
    EffectKind kind =
        now.shown(Properties.EFFECT_KIND.at(effect)).value().orElse(EffectKind.DROP_SHADOW);
    PropertyCell<?> colour =
        switch (kind) {
          case BLUR -> cell(Properties.SHADOW_BLUR.at(effect));
          case BEVEL -> cell(Properties.HIGHLIGHT_COLOUR.at(effect));
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
                Messages.of("finish-editor.remove-this-effect-delete"),
                () -> stack.remove(effect)));
    row.getStyleClass().add("effect-row");
    row.setFocusTraversable(true);
    row.setAccessibleText(Messages.of("finish-editor.effect-2", effect));
    name.setOnMousePressed(_ -> row.requestFocus());
    row.setOnContextMenuRequested(at -> {
      effectMenuOf(effect).show(row, at.getScreenX(), at.getScreenY());
      at.consume();
    });
    row.setOnKeyPressed(key -> effectKey(effect, row, key));
    return finished(row, name, colour);
  }

  private void effectKey(Address effect, HBox row, KeyEvent key) {
    boolean plain = key.getTarget() == row;
    boolean known = true;
    if (key.isAltDown() && (key.getCode() == KeyCode.UP || key.getCode() == KeyCode.DOWN)) {
      stack.moveEffect(effect, key.getCode() == KeyCode.UP ? -1 : 1);
    } else if (plain && key.getCode() == KeyCode.DELETE) {
      stack.remove(effect);
    } else if (plain && key.isShortcutDown() && key.getCode() == KeyCode.C) {
      copy(effect);
    } else if (plain && key.isShortcutDown() && key.getCode() == KeyCode.V) {
      added(stack.paste(effect));
    } else if (plain && key.getCode() == KeyCode.ENTER) {
      toggle(effect);
    } else {
      known = false;
    }
    if (known) {
      key.consume();
    }
  }

  private void toggle(Address address) {
    if (!open.remove(address)) {
      open.add(address);
    }
    update(now());
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
      return Messages.of("finish-editor.fill-2");
    }
    StrokePosition position =
        now.shown(Properties.STROKE_POSITION.at(coat)).value().orElse(StrokePosition.CENTRE);
    return switch (position) {
      case INSIDE -> Messages.of("finish-editor.stroke-inside");
      case CENTRE -> Messages.of("finish-editor.stroke-2");
      case OUTSIDE -> Messages.of("finish-editor.stroke-outside");
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
        new Tooltip(
            open.contains(address)
                ? Messages.of("finish-editor.fold-the-details")
                : Messages.of("finish-editor.show-the-details")));
    button.setAccessibleText(Messages.of("finish-editor.details-of", address));
    button.setOnAction(_ -> toggle(address));
    return button;
  }

  private ToggleButton eye(PropertyKey<Boolean> shown) {
    FontIcon icon = new FontIcon(Feather.EYE);
    ToggleButton eye = new ToggleButton("", icon);
    eye.getStyleClass().add("icon-button");
    eye.setTooltip(new Tooltip(Messages.of("finish-editor.shown-or-hidden")));
    eye.setAccessibleText(Messages.of("finish-editor.show", shown.address()));
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
    PropertyCell<?> one = cell(first);
    if (label.isEmpty()) {
      return one;
    }
    PropertyCell<?> other = second == null ? null : cell(second);
    Label words = new Label(label);
    words.setTooltip(new Tooltip(Messages.of("finish-editor.drag-sideways-to-nudge-double-click")));
    one.nudgeBy(words);
    words.addEventHandler(
        MouseEvent.MOUSE_CLICKED,
        event -> {
          if (event.getClickCount() == 2) {
            one.reset(now());
            if (other != null) {
              other.reset(now());
            }
          }
        });
    return line(words, one, other);
  }

  private static Node line(String label, Node first, Node second) {
    return line(new Label(label), first, second);
  }

  private static Node line(Label words, Node first, Node second) {
    GridPane grid = new GridPane(6, 0);
    ColumnConstraints half = new ColumnConstraints();
    half.setHgrow(Priority.ALWAYS);
    half.setPrefWidth(90);
    grid.getColumnConstraints().addAll(new ColumnConstraints(LABEL_WIDTH), half, half);
    words.getStyleClass().add("row-label");
    words.setWrapText(true);
    words.setMinHeight(Region.USE_PREF_SIZE);
    grid.add(words, 0, 0);
    if (second == null) {
      grid.add(first, 1, 0, 2, 1);
    } else {
      grid.add(first, 1, 0);
      grid.add(second, 2, 0);
    }
    return grid;
  }

  private <T> PropertyCell<T> cell(PropertyKey<T> key) {
    PropertyCell<T> cell = new PropertyCell<>(key, editors, subject, workspace);
    cells.add(cell);
    return cell;
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
      stack.place(coat, now().coats(coat.host()).size() - 1 - rowsAbove(coat, y));
    }
  }
}
