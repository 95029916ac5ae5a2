package dynamorph.formats.tokens;

import dynamorph.model.value.Numbers;
import dynamorph.model.value.Rgba;
import java.math.BigDecimal;
import java.util.Locale;
import java.util.Map;
import java.util.function.UnaryOperator;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Writes values of tokens. */
final class TokenJson {
  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

  /** Decimals of components of colours: enough to come back to the same byte. */
  private static final int COMPONENT_DECIMALS = 5;

  private static final int DECIMALS = 4;

  private TokenJson() {}

  static TokenType type(TokenValue value) {
    return switch (value) {
      case TokenValue.OfColour _ -> TokenType.COLOR;
      case TokenValue.Dimension _ -> TokenType.DIMENSION;
      case TokenValue.FontFamily _ -> TokenType.FONT_FAMILY;
      case TokenValue.FontWeight _ -> TokenType.FONT_WEIGHT;
      case TokenValue.Duration _ -> TokenType.DURATION;
      case TokenValue.CubicBezier _ -> TokenType.CUBIC_BEZIER;
      case TokenValue.Number _ -> TokenType.NUMBER;
      case TokenValue.StrokeStyle _ -> TokenType.STROKE_STYLE;
      case TokenValue.Border _ -> TokenType.BORDER;
      case TokenValue.Transition _ -> TokenType.TRANSITION;
      case TokenValue.Shadow _ -> TokenType.SHADOW;
      case TokenValue.Gradient _ -> TokenType.GRADIENT;
      case TokenValue.Typography _ -> TokenType.TYPOGRAPHY;
    };
  }

  /** A value with the colours that name a token as aliases. */
  static JsonNode write(TokenValue value) {
    return switch (value) {
      case TokenValue.OfColour colour -> colour(colour);
      case TokenValue.Dimension(double pixels) -> measure(pixels, "px");
      case TokenValue.FontFamily family -> family(family);
      case TokenValue.FontWeight(double weight) -> number(weight, DECIMALS);
      case TokenValue.Duration(double seconds) -> measure(seconds, "s");
      case TokenValue.CubicBezier(double x1, double y1, double x2, double y2) ->
          NODES
              .arrayNode()
              .add(number(x1, DECIMALS))
              .add(number(y1, DECIMALS))
              .add(number(x2, DECIMALS))
              .add(number(y2, DECIMALS));
      case TokenValue.Number(double number) -> number(number, DECIMALS);
      case TokenValue.StrokeStyle style -> strokeStyle(style);
      case TokenValue.Border border ->
          object(
              Map.entry("color", border.colour()),
              Map.entry("width", border.width()),
              Map.entry("style", border.style()));
      case TokenValue.Transition transition ->
          object(
              Map.entry("duration", transition.duration()),
              Map.entry("delay", transition.delay()),
              Map.entry("timingFunction", transition.timing()));
      case TokenValue.Shadow shadow -> shadow(shadow);
      case TokenValue.Gradient(var stops) -> {
        ArrayNode node = NODES.arrayNode();
        stops.forEach(stop ->
            node.add(
                NODES
                    .objectNode()
                    .set("color", write(stop.colour()))
                    .set("position", number(stop.position(), DECIMALS))));
        yield node;
      }
      case TokenValue.Typography typography ->
          object(
              Map.entry("fontFamily", typography.family()),
              Map.entry("fontSize", typography.size()),
              Map.entry("fontWeight", typography.weight()),
              Map.entry("letterSpacing", typography.letterSpacing()),
              Map.entry("lineHeight", typography.lineHeight()));
    };
  }

  /** Whether two values say the same, whatever aliases they say it with. */
  static boolean same(TokenValue one, TokenValue other) {
    return written(one).equals(written(other));
  }

  private static String written(TokenValue value) {
    return write(coloured(value, colour -> TokenValue.OfColour.of(colour.rgba()))).toString();
  }

  /** The value with every colour of it changed. */
  static TokenValue coloured(TokenValue value, UnaryOperator<TokenValue.OfColour> change) {
    return switch (value) {
      case TokenValue.OfColour colour -> change.apply(colour);
      case TokenValue.Border border ->
          new TokenValue.Border(change.apply(border.colour()), border.width(), border.style());
      case TokenValue.Shadow(var layers) ->
          new TokenValue.Shadow(
              layers.stream()
                  .map(layer ->
                      new TokenValue.Shadow.Layer(
                          change.apply(layer.colour()),
                          layer.x(),
                          layer.y(),
                          layer.blur(),
                          layer.spread(),
                          layer.inset()))
                  .toList());
      case TokenValue.Gradient(var stops) ->
          new TokenValue.Gradient(
              stops.stream()
                  .map(stop ->
                      new TokenValue.Gradient.Stop(change.apply(stop.colour()), stop.position()))
                  .toList());
      default -> value;
    };
  }

  static JsonNode alias(String name) {
    return NODES.stringNode("{" + name + "}");
  }

  private static JsonNode colour(TokenValue.OfColour colour) {
    if (colour.token().isPresent()) {
      return alias(colour.token().get());
    }
    Rgba rgba = colour.rgba();
    ObjectNode node = NODES.objectNode().put("colorSpace", "srgb");
    node.putArray("components")
        .add(number(rgba.red() / 255.0, COMPONENT_DECIMALS))
        .add(number(rgba.green() / 255.0, COMPONENT_DECIMALS))
        .add(number(rgba.blue() / 255.0, COMPONENT_DECIMALS));
    if (rgba.alpha() < 255) {
      node.set("alpha", number(rgba.alpha() / 255.0, COMPONENT_DECIMALS));
    }
    return node.put("hex", new Rgba(rgba.argb() | 0xFF000000).toString());
  }

  private static JsonNode family(TokenValue.FontFamily family) {
    if (family.names().size() == 1) {
      return NODES.stringNode(family.names().getFirst());
    }
    ArrayNode node = NODES.arrayNode();
    family.names().forEach(node::add);
    return node;
  }

  private static JsonNode strokeStyle(TokenValue.StrokeStyle style) {
    if (!style.keyword().isEmpty()) {
      return NODES.stringNode(style.keyword());
    }
    ObjectNode node = NODES.objectNode();
    ArrayNode dashes = node.putArray("dashArray");
    style.dashes().forEach(dash -> dashes.add(write(dash)));
    return node.put("lineCap", style.cap().name().toLowerCase(Locale.ROOT));
  }

  private static JsonNode shadow(TokenValue.Shadow shadow) {
    ArrayNode node = NODES.arrayNode();
    for (TokenValue.Shadow.Layer layer : shadow.layers()) {
      ObjectNode one =
          object(
              Map.entry("color", layer.colour()),
              Map.entry("offsetX", layer.x()),
              Map.entry("offsetY", layer.y()),
              Map.entry("blur", layer.blur()),
              Map.entry("spread", layer.spread()));
      node.add(layer.inset() ? one.put("inset", true) : one);
    }
    return node.size() == 1 ? node.get(0) : node;
  }

  @SafeVarargs
  private static ObjectNode object(Map.Entry<String, ? extends TokenValue>... fields) {
    ObjectNode node = NODES.objectNode();
    for (Map.Entry<String, ? extends TokenValue> field : fields) {
      node.set(field.getKey(), write(field.getValue()));
    }
    return node;
  }

  private static JsonNode measure(double amount, String unit) {
    return NODES.objectNode().set("value", number(amount, DECIMALS)).put("unit", unit);
  }

  private static JsonNode number(double number, int decimals) {
    BigDecimal exact = new BigDecimal(Numbers.format(number, decimals));
    return exact.scale() <= 0 && exact.precision() < 10
        ? NODES.numberNode(exact.intValueExact())
        : NODES.numberNode(exact);
  }
}
