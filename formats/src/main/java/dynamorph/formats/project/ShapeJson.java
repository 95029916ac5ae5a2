package dynamorph.formats.project;

import dynamorph.formats.message.Messages;
import dynamorph.model.property.ValueType;
import dynamorph.model.shape.FillRule;
import dynamorph.model.shape.Shape;
import dynamorph.model.value.BoxLengths;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Reads and writes the shapes of layers. */
final class ShapeJson {
  private static final ValueType.Flag FLAG = new ValueType.Flag();
  private static final ValueType.Choice<FillRule> FILL_RULE =
      new ValueType.Choice<>(FillRule.class);

  private ShapeJson() {}

  static Shape read(JsonCursor cursor) {
    String kind = cursor.field(Names.KIND).text();
    return switch (kind) {
      case Names.RECTANGLE -> {
        cursor.only(Names.KIND, Names.CORNERS);
        yield cursor
            .find(Names.CORNERS)
            .map(corners ->
                new Shape.Rectangle(corners.checked(() -> BoxLengths.parse(corners.text()))))
            .orElse(Shape.Rectangle.SHARP);
      }
      case Names.ELLIPSE -> {
        cursor.only(Names.KIND);
        yield new Shape.Ellipse();
      }
      case Names.LINE -> {
        cursor.only(Names.KIND, Names.RISING);
        yield new Shape.Line(
            cursor
                .find(Names.RISING)
                .map(rising -> rising.checked(() -> FLAG.decode(rising.scalar())))
                .orElse(false));
      }
      case Names.POLYGON -> {
        cursor.only(Names.KIND, Names.CORNERS, Names.DEPTH);
        yield cursor.checked(() ->
            new Shape.Polygon(
                (int) cursor.field(Names.CORNERS).number(),
                cursor.find(Names.DEPTH).map(JsonCursor::number).orElse(0.0)));
      }
      case Names.PATH -> {
        cursor.only(Names.KIND, Names.DATA, Names.WIDTH, Names.HEIGHT, Names.FILL_RULE);
        yield cursor.checked(() ->
            new Shape.Drawn(
                cursor.field(Names.DATA).text(),
                cursor.field(Names.WIDTH).number(),
                cursor.field(Names.HEIGHT).number(),
                cursor
                    .find(Names.FILL_RULE)
                    .map(rule -> FILL_RULE.decode(rule.scalar()))
                    .orElse(FillRule.NONZERO)));
      }
      case Names.IMAGE -> {
        cursor.only(Names.KIND, Names.IMAGE);
        yield new Shape.Picture(cursor.field(Names.IMAGE).text());
      }
      default ->
          throw cursor
              .field(Names.KIND)
              .wrong(Messages.of("shape-json.expected-rectangle-ellipse-line-polygon-path", kind));
    };
  }

  static ObjectNode write(Shape shape) {
    ObjectNode node = JsonNodeFactory.instance.objectNode();
    switch (shape) {
      case Shape.Rectangle(BoxLengths corners) ->
          node.put(Names.KIND, Names.RECTANGLE).put(Names.CORNERS, corners.toString());
      case Shape.Ellipse() -> node.put(Names.KIND, Names.ELLIPSE);
      case Shape.Line(boolean rising) -> node.put(Names.KIND, Names.LINE).put(Names.RISING, rising);
      case Shape.Polygon(int corners, double depth) ->
          node.put(Names.KIND, Names.POLYGON).put(Names.CORNERS, corners).put(Names.DEPTH, depth);
      case Shape.Drawn(String data, double width, double height, FillRule inside) -> {
        node.put(Names.KIND, Names.PATH)
            .put(Names.DATA, data)
            .put(Names.WIDTH, width)
            .put(Names.HEIGHT, height);
        if (inside != FillRule.NONZERO) {
          node.put(Names.FILL_RULE, FILL_RULE.format(inside));
        }
      }
      case Shape.Picture(String image) -> node.put(Names.KIND, Names.IMAGE).put(Names.IMAGE, image);
    }
    return node;
  }
}
