package dynamorph.app.finish;

import dynamorph.app.field.Controls;
import dynamorph.app.field.Editors;
import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.property.PropertyCell;
import dynamorph.app.property.Subject;
import dynamorph.app.session.Workspace;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.EffectKind;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/**
 * The stack of coats, topmost first, each with its eye and colour, its details and its effects
 * below; the effects of all together; and the plate.
 */
public final class FinishEditor extends VBox {
  private final Workspace workspace;
  private final Editors editors;
  private final Supplier<Subject> subject;
  private final CoatStack stack;
  private final CoatHeads heads;
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
    CoatActions actions = new CoatActions(workspace, stack, this);
    CoatDrag drag = new CoatDrag(subject, stack, coatRows);
    this.heads = new CoatHeads(workspace, subject, stack, actions, drag, this);
    workspace.soloCoatProperty().addListener((_, _, _) -> refresh.forEach(Runnable::run));
    getStyleClass().addAll("facet", "finish-stack");
    Label title = new Label(Messages.of("finish-editor.finish"));
    title.getStyleClass().add("section-title");
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    HBox head =
        new HBox(
            4,
            title,
            Controls.help("finishes"),
            gap,
            adder(
                Messages.of("finish-editor.presets"),
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
  void added(Optional<Address> address) {
    address.ifPresent(one -> {
      open.add(one);
      update(now());
    });
  }

  private static Hyperlink adder(String label, String id, String help, Runnable work) {
    Hyperlink link = new Hyperlink(label);
    link.setId(id);
    Tips.on(link, help);
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
      List<Address> all = new ArrayList<>(now.coats(host));
      if (!all.isEmpty()) {
        all.add(Address.whole(host));
      }
      for (Address coat : all) {
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
          structure.add(
              coat.coat().equals(Address.WHOLE)
                  ? FinishRows.ofAll(now, coat)
                  : FinishRows.of(now, coat));
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
    rows.getChildren().add(heads.ofCoat(now, coat));
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
    rows.getChildren().add(heads.ofEffect(now, effect));
    if (open.contains(effect)) {
      VBox details = details(FinishRows.ofEffect(now, effect));
      if (FinishRows.isCast(now, effect)) {
        ShadowDirection direction = new ShadowDirection(subject, effect);
        refresh.add(direction::update);
        details
            .getChildren()
            .add(
                FinishLine.of(
                    Messages.of("finish-editor.angle-distance"),
                    direction.angle(),
                    direction.distance()));
      }
      rows.getChildren().add(details);
    }
  }

  /** What all coats have together, and the effects of them. */
  private void addWhole(Subject now, String host) {
    Address whole = Address.whole(host);
    rows.getChildren().add(heads.ofAll(whole, effectMenu(whole, "add-effect-to-all")));
    if (open.contains(whole)) {
      rows.getChildren().add(details(FinishRows.ofAll(now, whole)));
    }
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
    Tips.on(menu, Messages.of("finish-editor.add-a-shadow-a-glow-a"));
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

  /** Whether the details of a coat or an effect are shown. */
  boolean isOpen(Address address) {
    return open.contains(address);
  }

  /** Shows the details of a coat. */
  void open(Address coat) {
    open.add(coat);
    update(now());
  }

  /** The row that stands for a coat now. */
  void shows(Address coat, Node row) {
    coatRows.put(coat, row);
  }

  /** What is done whenever values may be other ones, as long as the rows stay. */
  void onRefresh(Runnable work) {
    refresh.add(work);
  }

  void focus(Address coat) {
    Node row = coatRows.get(coat);
    if (row != null) {
      row.requestFocus();
    }
  }

  /** The copy is what one goes on with. */
  void duplicate(Address coat) {
    open.remove(coat);
    Address copy = stack.duplicate(coat);
    open.add(copy);
    update(now());
    Platform.runLater(() -> focus(copy));
  }

  void toggle(Address address) {
    if (!open.remove(address)) {
      open.add(address);
    }
    update(now());
  }

  private Node pair(String label, PropertyKey<?> first, @Nullable PropertyKey<?> second) {
    PropertyCell<?> one = cell(first);
    if (label.isEmpty()) {
      return one;
    }
    PropertyCell<?> other = second == null ? null : cell(second);
    Label words = new Label(label);
    Tips.on(words, Messages.of("finish-editor.drag-sideways-to-nudge-double-click"));
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
    return FinishLine.of(words, one, other);
  }

  <T> PropertyCell<T> cell(PropertyKey<T> key) {
    PropertyCell<T> cell = new PropertyCell<>(key, editors, subject, workspace);
    cells.add(cell);
    return cell;
  }
}
