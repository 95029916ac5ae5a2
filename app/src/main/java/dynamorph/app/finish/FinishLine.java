package dynamorph.app.finish;

import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import org.jspecify.annotations.Nullable;

/** A line of the finish: a label, and one or two values in columns beside it. */
final class FinishLine {
  private static final double LABEL_WIDTH = 80;

  private FinishLine() {}

  static Node of(String label, Node first, @Nullable Node second) {
    return of(new Label(label), first, second);
  }

  static Node of(Label words, Node first, @Nullable Node second) {
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
}
