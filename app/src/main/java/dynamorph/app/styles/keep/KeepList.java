package dynamorph.app.styles.keep;

import static java.util.Objects.requireNonNull;

import dynamorph.app.field.Controls;
import dynamorph.app.message.Messages;
import dynamorph.app.property.CoatSummary;
import dynamorph.model.Project;
import dynamorph.model.cascade.Coats;
import dynamorph.model.edit.style.Proposal;
import dynamorph.model.property.Address;
import dynamorph.model.property.Facet;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.value.Colour;
import dynamorph.model.value.Rgba;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.scene.shape.Rectangle;
import org.jspecify.annotations.Nullable;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/**
 * The values that a new style could include, each with a tick: what differs on top, the rest by
 * facet. A coat is one row that opens into its values.
 */
final class KeepList extends VBox {
  private final Runnable changed;
  private final Map<PropertyKey<?>, CheckBox> boxes = new LinkedHashMap<>();
  private final List<Runnable> coats = new ArrayList<>();
  private @Nullable Project listedOf;
  private @Nullable Proposal listed;

  /**
   * @param changed told when something was ticked or not
   */
  KeepList(Runnable changed) {
    this.changed = changed;
  }

  private Project project() {
    return requireNonNull(listedOf);
  }

  private Proposal proposal() {
    return requireNonNull(listed);
  }

  /**
   * Lists the values of a proposal().
   *
   * @param than what those that differ are compared with
   */
  void show(Project of, Proposal proposed, String than) {
    listedOf = of;
    listed = proposed;
    boxes.clear();
    coats.clear();
    getChildren().clear();
    addSection(Messages.of("keep-pane.differs-from", than), proposal().different());
    for (Facet facet : Facet.values()) {
      Set<PropertyKey<?>> keys =
          proposal().values().keys().stream()
              .filter(
                  key -> key.property().facet() == facet && !proposal().different().contains(key))
              .collect(Collectors.toCollection(LinkedHashSet::new));
      addSection(facet.label(), keys);
    }
    coats.forEach(Runnable::run);
  }

  /** The keys that are ticked. */
  Set<PropertyKey<?>> included() {
    return boxes.entrySet().stream()
        .filter(entry -> entry.getValue().isSelected())
        .map(Map.Entry::getKey)
        .collect(Collectors.toCollection(LinkedHashSet::new));
  }

  /** How many values there are. */
  int size() {
    return boxes.size();
  }

  /** Ticks these and no others. */
  void tickOnly(Predicate<PropertyKey<?>> wanted) {
    boxes.forEach((key, box) -> box.setSelected(wanted.test(key)));
    tell();
  }

  private void tick(Collection<PropertyKey<?>> keys, boolean on) {
    keys.forEach(key -> requireNonNull(boxes.get(key)).setSelected(on));
    tell();
  }

  private void tell() {
    coats.forEach(Runnable::run);
    changed.run();
  }

  private void addSection(String title, Set<PropertyKey<?>> keys) {
    if (!keys.isEmpty()) {
      getChildren().add(section(title, keys));
    }
  }

  private Node section(String title, Set<PropertyKey<?>> keys) {
    Label name = new Label(title);
    name.getStyleClass().add("section-title");
    Hyperlink all = new Hyperlink(Messages.of("keep-pane.all-2"));
    all.setOnAction(_ -> tick(keys, true));
    Hyperlink none = new Hyperlink(Messages.of("keep-pane.none"));
    none.setOnAction(_ -> tick(keys, false));
    HBox head = new HBox(4, name, gap(), all, none);
    head.setAlignment(Pos.CENTER_LEFT);
    VBox section = new VBox(3, head);
    section.getStyleClass().add("facet");
    Map<Address, List<PropertyKey<?>>> byCoat = new LinkedHashMap<>();
    keys.forEach(
        key -> byCoat.computeIfAbsent(key.address().ownCoat(), _ -> new ArrayList<>()).add(key));
    byCoat.forEach((coat, own) -> {
      if (coat.host().isEmpty()) {
        own.forEach(key -> section.getChildren().add(row(key)));
      } else {
        section.getChildren().add(coat(coat, own));
      }
    });
    return section;
  }

  private Node coat(Address coat, List<PropertyKey<?>> keys) {
    CoatSummary summary = CoatSummary.of(project(), proposal().values(), coat);
    CheckBox box = new CheckBox(summary.words());
    box.setAllowIndeterminate(false);
    box.setMinWidth(0);
    summary.colour().ifPresent(colour -> box.setGraphic(swatch(colour)));
    VBox values = new VBox(3);
    values.getStyleClass().add("keep-coat-values");
    values.setVisible(false);
    values.managedProperty().bind(values.visibleProperty());
    keys.forEach(key -> values.getChildren().add(row(key)));
    box.setOnAction(_ -> tick(keys, box.isSelected()));
    coats.add(() -> {
      long ticked =
          keys.stream().filter(key -> requireNonNull(boxes.get(key)).isSelected()).count();
      box.setIndeterminate(ticked > 0 && ticked < keys.size());
      box.setSelected(ticked == keys.size());
    });
    Button open =
        Controls.icon(Feather.CHEVRON_RIGHT, Messages.of("keep-list.show-values"), () -> {});
    open.setOnAction(_ -> {
      values.setVisible(!values.isVisible());
      open.setGraphic(
          new FontIcon(values.isVisible() ? Feather.CHEVRON_DOWN : Feather.CHEVRON_RIGHT));
    });
    open.setId("keep-open-" + coat.toString().replace('/', '-'));
    box.setId("keep-" + coat.toString().replace('/', '-'));
    HBox head = new HBox(6, box, gap(), open);
    head.setAlignment(Pos.CENTER_LEFT);
    return new VBox(3, head, values);
  }

  private static Rectangle swatch(Rgba colour) {
    Rectangle swatch = new Rectangle(13, 13);
    swatch.setArcWidth(5);
    swatch.setArcHeight(5);
    swatch.getStyleClass().add("keep-swatch");
    swatch.setFill(Color.rgb(colour.red(), colour.green(), colour.blue(), colour.alpha() / 255.0));
    return swatch;
  }

  private <T> Node row(PropertyKey<T> key) {
    boolean differs = proposal().different().contains(key);
    CheckBox box = new CheckBox(label(key));
    box.setSelected(differs);
    box.setOnAction(_ -> tell());
    boxes.put(key, box);
    Label value = new Label(text(key));
    value.getStyleClass().add(differs ? "differs" : "quiet");
    box.setMinWidth(Region.USE_PREF_SIZE);
    HBox row = new HBox(6, box, gap(), value);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  /** Inside a coat its name is known; an effect is told by what it is. */
  private String label(PropertyKey<?> key) {
    if (key.address().effect().isEmpty()) {
      return key.property().label();
    }
    var kind = Properties.EFFECT_KIND;
    String effect =
        kind.type()
            .label(
                Coats.value(
                    proposal().values(),
                    kind.at(key.address().ownCoat().effect(key.address().effect()))));
    return Messages.of("keep-list.of-effect", effect, key.property().label());
  }

  private <T> String text(PropertyKey<T> key) {
    T value = Coats.value(proposal().values(), key);
    return value instanceof Colour colour
        ? CoatSummary.name(project(), colour)
        : key.property().type().label(value);
  }

  private static Region gap() {
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    return gap;
  }
}
