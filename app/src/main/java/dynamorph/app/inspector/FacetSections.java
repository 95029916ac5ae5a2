package dynamorph.app.inspector;

import dynamorph.app.field.Editors;
import dynamorph.app.workspace.Workspace;
import dynamorph.model.property.Facet;
import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.PropertyKey;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * The facets with a row for each property, the same for the selection and for a style on the desk.
 */
public final class FacetSections extends VBox {
  private static final double LABEL_WIDTH = 80;

  /**
   * Properties that stand beside each other in one row, by the row's label; all others have a row
   * of their own.
   */
  private record Pair(String label, Property<?> first, Property<?> second) {}

  private static final List<Pair> PAIRS =
      List.of(
          new Pair("Size, slant", Properties.SIZE, Properties.SLANT),
          new Pair("Align, indent", Properties.ALIGNMENT, Properties.INDENT_FIRST),
          new Pair("Indents", Properties.INDENT_START, Properties.INDENT_END),
          new Pair("Above, below", Properties.SPACE_BEFORE, Properties.SPACE_AFTER),
          new Pair("Across, down", Properties.POSITION_X, Properties.POSITION_Y),
          new Pair("Box, turn", Properties.BOX, Properties.ROTATION),
          new Pair("Width, height", Properties.BOX_WIDTH, Properties.BOX_HEIGHT));

  private final Editors editors;
  private final Supplier<Subject> subject;
  private final Workspace workspace;
  private final List<PropertyCell<?>> cells = new ArrayList<>();
  private final List<Runnable> summaries = new ArrayList<>();
  private final FinishEditor finish;

  public FacetSections(Workspace workspace, Editors editors, Supplier<Subject> subject) {
    this.workspace = workspace;
    this.editors = editors;
    this.subject = subject;
    this.finish = new FinishEditor(workspace, editors, subject);
    getStyleClass().add("facets");
    for (Facet facet : Facet.values()) {
      getChildren().add(facet == Facet.FINISH ? finish : section(facet));
    }
  }

  private Node section(Facet facet) {
    Label title = new Label(facet.label());
    title.getStyleClass().add("section-title");
    Label summary = new Label();
    summary.getStyleClass().add("quiet");
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    HBox head = new HBox(8, title, gap, summary);
    head.setAlignment(Pos.CENTER_LEFT);
    VBox section = new VBox(4, head, grid(facet));
    section.getStyleClass().add("facet");
    List<PropertyKey<?>> keys = Properties.of(facet).<PropertyKey<?>>map(Property::key).toList();
    summaries.add(() -> summary.setText(summary(keys)));
    return section;
  }

  /** Says in the facet's head where its values come from, if that is one place. */
  private String summary(List<PropertyKey<?>> keys) {
    Subject now = subject.get();
    long local = keys.stream().filter(key -> now.mark(key) == Subject.Mark.LOCAL).count();
    if (local > 0) {
      return local == 1 ? "1 local" : local + " local";
    }
    boolean anyStyle = keys.stream().anyMatch(key -> now.mark(key) == Subject.Mark.STYLE);
    return anyStyle ? "" : "not in a style";
  }

  private GridPane grid(Facet facet) {
    GridPane grid = new GridPane(6, 4);
    ColumnConstraints labels = new ColumnConstraints(LABEL_WIDTH);
    ColumnConstraints half = new ColumnConstraints();
    half.setHgrow(Priority.ALWAYS);
    half.setPrefWidth(92);
    grid.getColumnConstraints().addAll(labels, half, half);
    int row = 0;
    for (Property<?> property : Properties.of(facet).collect(Collectors.toList())) {
      if (PAIRS.stream().anyMatch(pair -> pair.second.equals(property))) {
        continue;
      }
      Pair pair =
          PAIRS.stream()
              .filter(candidate -> candidate.first.equals(property))
              .findFirst()
              .orElse(new Pair(property.label(), property, null));
      addRow(grid, row++, pair);
    }
    return grid;
  }

  private void addRow(GridPane grid, int row, Pair pair) {
    Label label = new Label(pair.label);
    label.getStyleClass().add("row-label");
    PropertyCell<?> first = cell(pair.first.key());
    first.nudgeBy(label);
    grid.add(label, 0, row);
    if (pair.second == null) {
      grid.add(first, 1, row, 2, 1);
    } else {
      grid.add(first, 1, row);
      grid.add(cell(pair.second.key()), 2, row);
    }
  }

  private <T> PropertyCell<T> cell(PropertyKey<T> key) {
    PropertyCell<T> cell = new PropertyCell<>(key, editors, subject, workspace);
    cells.add(cell);
    return cell;
  }

  /** Shows the values as they are now. */
  public void update() {
    Subject now = subject.get();
    if (now.isEmpty()) {
      return;
    }
    cells.forEach(cell -> cell.update(now));
    summaries.forEach(Runnable::run);
    finish.update(now);
  }
}
