package dynamorph.app.inspector;

import dynamorph.model.property.Property;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/**
 * Properties that are not needed every day, under a name that can be opened. Its head tells how
 * many of them are set, so nothing is hidden by being folded away. Rows are made when it is first
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
  private final Label count = new Label();
  private final FontIcon arrow = new FontIcon(Feather.CHEVRON_RIGHT);
  private GridPane grid;
  private boolean open;
  private boolean opened;

  Fold(
      String name,
      List<Property<?>> properties,
      BiFunction<List<Property<?>>, List<FacetSections.Row>, GridPane> maker,
      Runnable whenMade) {
    super(4);
    this.whenMade = whenMade;
    this.properties = properties;
    this.maker = maker;
    mark.getStyleClass().add("fold-mark");
    count.getStyleClass().add("quiet");
    Label title = new Label(name);
    title.getStyleClass().add("row-label");
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    HBox line = new HBox(5, arrow, title, gap, count, mark);
    line.setAlignment(Pos.CENTER_LEFT);
    Button head = new Button();
    head.setGraphic(line);
    head.setMaxWidth(Double.MAX_VALUE);
    line.prefWidthProperty().bind(head.widthProperty().subtract(8));
    head.getStyleClass().add("fold-head");
    head.setAccessibleText(name);
    head.setOnAction(_ -> {
      opened = !opened;
      show(opened);
    });
    getStyleClass().add("fold");
    setId("fold-" + properties.getFirst().id());
    getChildren().add(head);
  }

  private void show(boolean wanted) {
    open = wanted;
    if (open && grid == null) {
      grid = maker.apply(properties, rows);
      getChildren().add(grid);
      whenMade.run();
    }
    if (grid != null) {
      grid.setVisible(open);
      grid.setManaged(open);
    }
    arrow.setIconCode(open ? Feather.CHEVRON_DOWN : Feather.CHEVRON_RIGHT);
  }

  /** Opens it while something in it is searched for. */
  void search(boolean found) {
    show(found || opened);
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
    count.setText(local + styled == 0 ? "" : local + styled + " set");
    mark.pseudoClassStateChanged(LOCAL, local > 0);
    mark.pseudoClassStateChanged(STYLE, local == 0 && styled > 0);
  }

  private long count(Subject subject, Subject.Mark wanted) {
    return properties.stream().filter(property -> subject.mark(property.key()) == wanted).count();
  }
}
