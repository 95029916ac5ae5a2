package dynamorph.app.finish;

import static java.util.Objects.requireNonNull;

import dynamorph.app.property.Subject;
import dynamorph.model.property.Address;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import javafx.scene.Node;

/** Coats dragged up and down in their stack: a line shows where one would go. */
final class CoatDrag {
  private static final String DROP_ABOVE = "drop-above";

  private static final String DROP_BELOW = "drop-below";

  private final Supplier<Subject> subject;
  private final CoatStack stack;
  private final Map<Address, Node> coatRows;

  /**
   * @param coatRows the rows that are shown now
   */
  CoatDrag(Supplier<Subject> subject, CoatStack stack, Map<Address, Node> coatRows) {
    this.subject = subject;
    this.stack = stack;
    this.coatRows = coatRows;
  }

  /** How many rows of other coats lie above a height on the window. */
  private int rowsAbove(Address coat, double y) {
    int above = 0;
    for (Address other : subject.get().coats(coat.host())) {
      Node row = requireNonNull(coatRows.get(other));
      boolean isAbove = row.localToScene(row.getBoundsInLocal()).getCenterY() < y;
      above += !other.equals(coat) && isAbove ? 1 : 0;
    }
    return above;
  }

  void show(Address coat, double y) {
    int above = rowsAbove(coat, y);
    List<Address> others = new ArrayList<>(subject.get().coats(coat.host()).reversed());
    others.remove(coat);
    coatRows.values().forEach(row -> row.getStyleClass().removeAll(DROP_ABOVE, DROP_BELOW));
    if (above < others.size()) {
      requireNonNull(coatRows.get(others.get(above))).getStyleClass().add(DROP_ABOVE);
    } else if (!others.isEmpty()) {
      requireNonNull(coatRows.get(others.getLast())).getStyleClass().add(DROP_BELOW);
    }
  }

  void drop(Address coat, double y) {
    boolean dragged =
        coatRows.values().stream()
            .anyMatch(row ->
                row.getStyleClass().contains(DROP_ABOVE)
                    || row.getStyleClass().contains(DROP_BELOW));
    coatRows.values().forEach(row -> row.getStyleClass().removeAll(DROP_ABOVE, DROP_BELOW));
    if (dragged) {
      stack.place(coat, subject.get().coats(coat.host()).size() - 1 - rowsAbove(coat, y));
    }
  }
}
