package dynamorph.app.inspector;

import dynamorph.app.message.Messages;
import dynamorph.app.property.Subject;
import dynamorph.model.property.Property;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import javafx.css.PseudoClass;
import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/**
 * Properties that are not needed every day, under a chip that opens them. The chip has the mark of
 * what is set behind it, so nothing is hidden by being folded away. Rows are made when it is first
 * opened.
 */
final class Fold extends VBox {
  private static final PseudoClass STYLE = PseudoClass.getPseudoClass("from-style");
  private static final PseudoClass LOCAL = PseudoClass.getPseudoClass("local");

  private final List<Property<?>> properties;
  private final BiFunction<List<Property<?>>, List<FacetSections.Row>, GridPane> maker;
  private final List<FacetSections.Row> rows = new ArrayList<>();
  private final Runnable whenMade;
  private final Region mark = new Region();
  private final ToggleButton chip;
  private @Nullable GridPane grid;
  private boolean opened;

  Fold(
      String name,
      List<Property<?>> properties,
      BiFunction<List<Property<?>>, List<FacetSections.Row>, GridPane> maker,
      Runnable whenMade) {
    this.properties = properties;
    this.maker = maker;
    this.whenMade = whenMade;
    mark.getStyleClass().add("fold-mark");
    chip = new ToggleButton(name);
    chip.getStyleClass().add("fold-chip");
    chip.setId("fold-" + properties.getFirst().id());
    chip.setOnAction(_ -> {
      opened = chip.isSelected();
      show(opened);
    });
    getStyleClass().add("fold");
    managedProperty().bind(visibleProperty());
    setVisible(false);
  }

  /** What opens and closes it. */
  Node chip() {
    return chip;
  }

  private void show(boolean open) {
    if (open && grid == null) {
      grid = maker.apply(properties, rows);
      getChildren().add(grid);
      whenMade.run();
    }
    chip.setSelected(open);
    setVisible(open);
  }

  /** While something is searched for it is open if it holds that. */
  void search(boolean searching, boolean found) {
    show(searching ? found : opened);
  }

  /** Lets its chip show only where it is of use. */
  void offer(boolean wanted) {
    chip.setVisible(wanted);
    chip.setManaged(wanted);
  }

  /** Whether a property in it goes by these words. */
  boolean holds(String words) {
    return properties.stream().anyMatch(property -> FacetSections.Row.names(property, words));
  }

  List<FacetSections.Row> rows() {
    return rows;
  }

  /** Tells how many are set, and where the nearest of them comes from. */
  void update(Subject subject) {
    long local = count(subject, Subject.Mark.LOCAL);
    long styled = count(subject, Subject.Mark.STYLE);
    mark.pseudoClassStateChanged(LOCAL, local > 0);
    mark.pseudoClassStateChanged(STYLE, local == 0 && styled > 0);
    // a mark that is only hidden leaves its gap beside the name
    chip.setGraphic(local + styled > 0 ? mark : null);
    chip.setAccessibleText(
        chip.getText() + (local + styled == 0 ? "" : Messages.of("fold.set", (local + styled))));
  }

  private long count(Subject subject, Subject.Mark wanted) {
    return properties.stream().filter(property -> subject.mark(property.key()) == wanted).count();
  }
}
