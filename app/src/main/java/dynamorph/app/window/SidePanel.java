package dynamorph.app.window;

import dynamorph.app.files.UserFolder;
import java.util.ArrayList;
import java.util.List;
import javafx.beans.value.ObservableValue;
import javafx.geometry.HPos;
import javafx.geometry.Pos;
import javafx.scene.Cursor;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;

/**
 * A column beside the stage. Its inner edge is dragged to make it wider; the width is remembered.
 */
public final class SidePanel extends StackPane {
  private static final String FILE = "panels.txt";
  private static final double GRASP = 7;

  private final HPos side;
  private final Limits limits;
  private final String name;
  private final UserFolder user;
  private final Region content;
  private final Region edge = new Region();
  private double grasped;
  private double widthThen;

  /**
   * Widths in units of the window.
   *
   * @param usual where nothing else was chosen
   */
  public record Limits(double least, double usual, double most) {}

  /**
   * A column that stays empty until it is filled.
   *
   * @param name that the width is remembered by
   * @param side of the window that it stands at
   * @param shown whether it is there
   */
  public SidePanel(
      String name,
      Region content,
      HPos side,
      Limits limits,
      ObservableValue<Boolean> shown,
      UserFolder user) {
    this.name = name;
    this.side = side;
    this.limits = limits;
    this.user = user;
    this.content = content;
    edge.setId(name + "-edge");
    edge.setCursor(Cursor.H_RESIZE);
    edge.setMaxWidth(GRASP);
    edge.getStyleClass().add("panel-edge");
    setAlignment(edge, side == HPos.LEFT ? Pos.CENTER_RIGHT : Pos.CENTER_LEFT);
    getChildren().add(edge);
    edge.setOnMousePressed(event -> {
      grasped = event.getScreenX();
      widthThen = getWidth();
      event.consume();
    });
    edge.setOnMouseDragged(this::dragged);
    edge.setOnMouseReleased(this::released);
    setPanelWidth(remembered());
    visibleProperty().bind(shown);
    managedProperty().bind(visibleProperty());
  }

  /** Shows what belongs there; the stage is dressed and laid out before that. */
  public void fill() {
    if (!isFilled()) {
      getChildren().addFirst(content);
    }
  }

  /** Whether what belongs there shows. */
  public boolean isFilled() {
    return content.getParent() == this;
  }

  private void dragged(MouseEvent event) {
    double by = event.getScreenX() - grasped;
    setPanelWidth(widthThen + (side == HPos.LEFT ? by : -by));
    event.consume();
  }

  /** A double-click gives it its usual width again. */
  private void released(MouseEvent event) {
    if (event.getClickCount() == 2) {
      setPanelWidth(limits.usual());
    }
    remember();
    event.consume();
  }

  private void setPanelWidth(double wanted) {
    double width = Math.rint(Math.clamp(wanted, limits.least(), limits.most()));
    setMinWidth(width);
    setPrefWidth(width);
    setMaxWidth(width);
  }

  // --- memory: a line for each panel, its name and its width

  private double remembered() {
    return user.lines(FILE).stream()
        .map(line -> line.split(" "))
        .filter(parts -> parts.length == 2 && parts[0].equals(name))
        .mapToDouble(parts -> number(parts[1]))
        .findFirst()
        .orElse(limits.usual());
  }

  private double number(String text) {
    try {
      double number = Double.parseDouble(text);
      return Double.isFinite(number) ? number : limits.usual();
    } catch (NumberFormatException damaged) {
      return limits.usual();
    }
  }

  private void remember() {
    List<String> lines = new ArrayList<>(user.lines(FILE));
    lines.removeIf(line -> line.startsWith(name + " "));
    lines.add(name + " " + (int) getPrefWidth());
    user.keepLines(FILE, lines);
  }
}
