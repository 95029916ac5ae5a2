package dynamorph.app.inspector;

import dynamorph.app.field.Controls;
import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.model.Layer;
import dynamorph.model.edit.layer.ChangeShape;
import dynamorph.model.shape.Shape;
import dynamorph.model.value.BoxLengths;
import dynamorph.model.value.Expression;
import dynamorph.model.value.Numbers;
import java.util.List;
import java.util.function.Function;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The form of the selected shapes: what it is, and what each kind has of its own. */
final class ShapeSection extends VBox {
  private static final double LABEL_WIDTH = 80;

  private final Workspace workspace;
  private List<Layer> layers = List.of();
  private Object built = "";

  ShapeSection(Workspace workspace) {
    this.workspace = workspace;
    getStyleClass().add("facet");
    setId("figure-section");
    setSpacing(4);
  }

  /** Shows the shapes among layers; nothing if there are none, or they differ. */
  void update(List<Layer> selected) {
    layers = selected.stream().filter(layer -> !layer.isText()).toList();
    List<Shape> figures =
        layers.stream().map(layer -> layer.shape().orElseThrow()).distinct().toList();
    setVisible(!layers.isEmpty());
    setManaged(!layers.isEmpty());
    if (!figures.equals(built)) {
      built = figures;
      getChildren().clear();
      Label title = new Label(Messages.of("shape-section.shape"));
      title.getStyleClass().add("section-title");
      getChildren().add(title);
      if (figures.size() == 1) {
        getChildren().addAll(rows(figures.getFirst()));
      } else {
        Label several = new Label(Messages.of("shape-section.several-kinds"));
        several.getStyleClass().add("quiet");
        getChildren().add(several);
      }
    }
  }

  private List<Node> rows(Shape shape) {
    return switch (shape) {
      case Shape.Rectangle(var corners) ->
          List.of(
              row(
                  Messages.of("shape-section.corners"),
                  field(
                      "figure-corners",
                      corners.toString(),
                      Messages.of("shape-section.one-radius-or-four-clockwise-from"),
                      text -> new Shape.Rectangle(BoxLengths.parse(text)))));
      case Shape.Ellipse() -> List.of(quiet(Messages.of("shape-section.ellipse")));
      case Shape.Line(boolean rising) -> {
        CheckBox up = new CheckBox(Messages.of("shape-section.rises-to-the-right"));
        up.setSelected(rising);
        up.setOnAction(_ -> change(new Shape.Line(up.isSelected())));
        yield List.of(row(Messages.of("shape-section.line"), up));
      }
      case Shape.Polygon(int corners, double depth) ->
          List.of(
              row(
                  Messages.of("shape-section.corners"),
                  field(
                      "figure-points",
                      String.valueOf(corners),
                      Messages.of("shape-section.3-to-100"),
                      text ->
                          new Shape.Polygon((int) Math.round(Expression.evaluate(text)), depth))),
              row(
                  Messages.of("shape-section.star-depth"),
                  field(
                      "figure-depth",
                      Numbers.format(depth * 100, 1) + " %",
                      Messages.of("shape-section.how-far-the-sides-are-drawn"),
                      text ->
                          new Shape.Polygon(
                              corners, Expression.evaluate(text.replace("%", "")) / 100))));
      case Shape.Drawn drawn ->
          List.of(
              row(
                  Messages.of("shape-section.path"),
                  field(
                      "figure-path",
                      drawn.data(),
                      Messages.of("shape-section.path-data-as-in-svg"),
                      text ->
                          new Shape.Drawn(text, drawn.width(), drawn.height(), drawn.inside()))));
      case Shape.Picture(String image) -> List.of(quiet(image));
    };
  }

  private static Label quiet(String words) {
    Label label = new Label(words);
    label.getStyleClass().add("quiet");
    return label;
  }

  private static Node row(String label, Node node) {
    Label words = Controls.rowLabel(label);
    words.setMinWidth(LABEL_WIDTH);
    HBox row = new HBox(6, words, node);
    row.setAlignment(Pos.CENTER_LEFT);
    HBox.setHgrow(node, Priority.ALWAYS);
    return row;
  }

  private TextField field(String id, String shown, String help, Function<String, Shape> reader) {
    TextField field = new TextField(shown);
    field.setId(id);
    Tips.on(field, help);
    field.setAccessibleText(help);
    Runnable take =
        () -> {
          if (field.getText().equals(shown)) {
            return;
          }
          try {
            change(reader.apply(field.getText()));
          } catch (IllegalArgumentException wrong) {
            field.setText(shown);
            workspace.tell(Notice.problem(Messages.reason(wrong) + "."));
          }
        };
    Controls.onTyped(field, take);
    return field;
  }

  private void change(Shape shape) {
    workspace.apply(new ChangeShape(layers.stream().map(Layer::id).toList(), _ -> shape));
  }
}
