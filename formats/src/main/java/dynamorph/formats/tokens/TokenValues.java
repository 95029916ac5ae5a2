package dynamorph.formats.tokens;

import dynamorph.formats.message.Messages;
import dynamorph.formats.tokens.TokenReader.Found;
import dynamorph.model.value.ColourSpace;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.StrokeCap;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;

/** Reads values of each type (Format Module, 8 and 9; Color Module, 4). */
final class TokenValues {
  /** What a root em is where nothing else is known, in pixels. */
  private static final double REM = 16;

  private static final Map<String, Double> WEIGHTS =
      Map.ofEntries(
          Map.entry("thin", 100.0),
          Map.entry("hairline", 100.0),
          Map.entry("extra-light", 200.0),
          Map.entry("ultra-light", 200.0),
          Map.entry("light", 300.0),
          Map.entry("normal", 400.0),
          Map.entry("regular", 400.0),
          Map.entry("book", 400.0),
          Map.entry("medium", 500.0),
          Map.entry("semi-bold", 600.0),
          Map.entry("demi-bold", 600.0),
          Map.entry("bold", 700.0),
          Map.entry("extra-bold", 800.0),
          Map.entry("ultra-bold", 800.0),
          Map.entry("black", 900.0),
          Map.entry("heavy", 900.0),
          Map.entry("extra-black", 950.0),
          Map.entry("ultra-black", 950.0));

  private static final Set<String> LINES =
      Set.of("solid", "dashed", "dotted", "double", "groove", "ridge", "outset", "inset");

  /** How earlier drafts wrote lengths and times: {@code "16px"}. */
  private static final Pattern EARLIER = Pattern.compile("(-?\\d+(?:\\.\\d+)?)(px|rem|ms|s)");

  /** A list that names lists that name lists can be longer than any file. */
  private static final int MOST_ITEMS = 1000;

  private final TokenReader reader;
  private int items;
  private final List<Tokens.Problem> problems;

  TokenValues(TokenReader reader, List<Tokens.Problem> problems) {
    this.reader = reader;
    this.problems = problems;
  }

  TokenValue read(TokenType type, Found found) {
    return switch (type) {
      case COLOR -> colour(found);
      case DIMENSION -> dimension(found);
      case FONT_FAMILY -> family(found);
      case FONT_WEIGHT -> weight(found);
      case DURATION -> duration(found);
      case CUBIC_BEZIER -> bezier(found);
      case NUMBER -> new TokenValue.Number(number(found));
      case STROKE_STYLE -> strokeStyle(found);
      case BORDER -> border(found);
      case TRANSITION -> transition(found);
      case SHADOW -> shadow(found);
      case GRADIENT -> gradient(found);
      case TYPOGRAPHY -> typography(found);
    };
  }

  // --- simple types

  private TokenValue.OfColour colour(Found start) {
    Found found = reader.followed(start);
    JsonNode node = found.node();
    if (node.isString() && node.stringValue().startsWith("#")) {
      earlier(found);
      try {
        return new TokenValue.OfColour(Rgba.parse(node.stringValue()), found.token());
      } catch (IllegalArgumentException wrong) {
        throw new Refused(found.place(), String.valueOf(wrong.getMessage()));
      }
    }
    object(found, Messages.of("token-values.a-colour"));
    Found spaceAt = found.part("colorSpace");
    String name = text(spaceAt);
    ColourSpace space =
        ColourSpace.named(name)
            .orElseThrow(() ->
                new Refused(
                    spaceAt.place(), Messages.of("token-values.unknown-colour-space", name)));
    double[] components = components(found.part("components"));
    double alpha = found.node().has("alpha") ? number(found.part("alpha")) : 1;
    if (!(alpha >= 0 && alpha <= 1)) {
      throw new Refused(found.part("alpha").place(), Messages.of("token-values.alpha"));
    }
    return new TokenValue.OfColour(rgba(found, space, components, alpha), found.token());
  }

  private double[] components(Found start) {
    Found found = array(start, Messages.of("token-values.components"));
    if (found.node().size() != 3) {
      throw new Refused(found.place(), Messages.of("token-values.components"));
    }
    double[] components = new double[3];
    for (int index = 0; index < 3; index++) {
      Found item = reader.followed(found.item(index));
      boolean none = item.node().isString() && item.node().stringValue().equals("none");
      components[index] = none ? 0 : number(item);
    }
    return components;
  }

  /** Where sRGB does not have the colour, the file may say which one is to stand for it. */
  private Rgba rgba(Found found, ColourSpace space, double[] components, double alpha) {
    if (space.isShown(components)) {
      return space.toRgba(components, alpha);
    }
    Optional<Rgba> given = hex(found);
    Rgba taken = given.map(rgba -> rgba.faded(alpha)).orElse(space.toRgba(components, alpha));
    told(found, Messages.of("token-values.outside", space.cssName(), taken));
    return taken;
  }

  private Optional<Rgba> hex(Found found) {
    JsonNode hex = reader.followed(found.part("hex")).node();
    return hex.isString() && hex.stringValue().matches("#[0-9a-fA-F]{6}")
        ? Optional.of(Rgba.parse(hex.stringValue()))
        : Optional.empty();
  }

  private TokenValue.Dimension dimension(Found start) {
    Found found = reader.followed(start);
    Measure measure = measure(found, Messages.of("token-values.a-dimension"));
    return new TokenValue.Dimension(
        switch (measure.unit) {
          case "px" -> measure.amount;
          case "rem" -> measure.amount * REM;
          default ->
              throw new Refused(found.place(), Messages.of("token-values.px-or-rem", measure.unit));
        });
  }

  private TokenValue.Duration duration(Found start) {
    Found found = reader.followed(start);
    Measure measure = measure(found, Messages.of("token-values.a-duration"));
    return new TokenValue.Duration(
        switch (measure.unit) {
          case "s" -> measure.amount;
          case "ms" -> measure.amount / 1000;
          default ->
              throw new Refused(found.place(), Messages.of("token-values.ms-or-s", measure.unit));
        });
  }

  private record Measure(double amount, String unit) {}

  private Measure measure(Found found, String expected) {
    if (found.node().isString()) {
      Matcher written = EARLIER.matcher(found.node().stringValue());
      if (written.matches()) {
        earlier(found);
        return new Measure(Double.parseDouble(written.group(1)), written.group(2));
      }
    }
    object(found, expected);
    return new Measure(number(found.part("value")), text(found.part("unit")));
  }

  private TokenValue.FontFamily family(Found start) {
    List<String> names = new ArrayList<>();
    families(start, names);
    if (names.isEmpty()) {
      throw new Refused(start.place(), Messages.of("token-values.a-family"));
    }
    return new TokenValue.FontFamily(names);
  }

  private void families(Found start, List<String> names) {
    countItem(start);
    Found found = reader.followed(start);
    if (found.node().isArray()) {
      for (int index = 0; index < found.node().size(); index++) {
        families(found.item(index), names);
      }
    } else if (found.node().isString() && !found.node().stringValue().isBlank()) {
      names.add(found.node().stringValue().strip());
    } else {
      throw new Refused(found.place(), Messages.of("token-values.a-family"));
    }
  }

  private TokenValue.FontWeight weight(Found start) {
    Found found = reader.followed(start);
    if (found.node().isString()) {
      Double named = WEIGHTS.get(found.node().stringValue());
      if (named != null) {
        return new TokenValue.FontWeight(named);
      }
    } else if (found.node().isNumber()) {
      double weight = found.node().doubleValue();
      if (weight >= 1 && weight <= 1000) {
        return new TokenValue.FontWeight(weight);
      }
    }
    throw new Refused(found.place(), Messages.of("token-values.a-weight", shown(found)));
  }

  private TokenValue.CubicBezier bezier(Found start) {
    Found found = array(start, Messages.of("token-values.a-bezier"));
    if (found.node().size() != 4) {
      throw new Refused(found.place(), Messages.of("token-values.a-bezier"));
    }
    double[] points = new double[4];
    for (int index = 0; index < 4; index++) {
      points[index] = number(found.item(index));
      if (index % 2 == 0 && !(points[index] >= 0 && points[index] <= 1)) {
        throw new Refused(found.item(index).place(), Messages.of("token-values.a-bezier"));
      }
    }
    return new TokenValue.CubicBezier(points[0], points[1], points[2], points[3]);
  }

  // --- composite types

  private TokenValue.StrokeStyle strokeStyle(Found start) {
    Found found = reader.followed(start);
    if (found.node().isString() && LINES.contains(found.node().stringValue())) {
      String keyword = found.node().stringValue();
      StrokeCap cap = keyword.equals("dotted") ? StrokeCap.ROUND : StrokeCap.BUTT;
      return new TokenValue.StrokeStyle(keyword, List.of(), cap);
    }
    object(found, Messages.of("token-values.a-stroke-style"));
    Found dashes = array(found.part("dashArray"), Messages.of("token-values.dashes"));
    List<TokenValue.Dimension> lengths = new ArrayList<>();
    for (int index = 0; index < dashes.node().size(); index++) {
      lengths.add(dimension(dashes.item(index)));
    }
    Found capAt = found.part("lineCap");
    StrokeCap cap =
        switch (text(capAt)) {
          case "round" -> StrokeCap.ROUND;
          case "butt" -> StrokeCap.BUTT;
          case "square" -> StrokeCap.SQUARE;
          default -> throw new Refused(capAt.place(), Messages.of("token-values.a-cap"));
        };
    return new TokenValue.StrokeStyle("", lengths, cap);
  }

  private TokenValue.Border border(Found start) {
    Found found = object(reader.followed(start), Messages.of("token-values.a-border"));
    return new TokenValue.Border(
        colour(found.part("color")),
        dimension(found.part("width")),
        strokeStyle(found.part("style")));
  }

  private TokenValue.Transition transition(Found start) {
    Found found = object(reader.followed(start), Messages.of("token-values.a-transition"));
    return new TokenValue.Transition(
        duration(found.part("duration")),
        duration(found.part("delay")),
        bezier(found.part("timingFunction")));
  }

  private TokenValue.Shadow shadow(Found start) {
    List<TokenValue.Shadow.Layer> layers = new ArrayList<>();
    shadows(start, layers);
    if (layers.isEmpty()) {
      throw new Refused(start.place(), Messages.of("token-values.a-shadow"));
    }
    return new TokenValue.Shadow(layers);
  }

  private void shadows(Found start, List<TokenValue.Shadow.Layer> layers) {
    countItem(start);
    Found found = reader.followed(start);
    if (found.node().isArray()) {
      for (int index = 0; index < found.node().size(); index++) {
        shadows(found.item(index), layers);
      }
      return;
    }
    object(found, Messages.of("token-values.a-shadow"));
    Found inset = reader.followed(found.part("inset"));
    if (!inset.node().isMissingNode() && !inset.node().isBoolean()) {
      throw new Refused(inset.place(), Messages.of("token-values.true-or-false"));
    }
    layers.add(
        new TokenValue.Shadow.Layer(
            colour(found.part("color")),
            dimension(found.part("offsetX")),
            dimension(found.part("offsetY")),
            dimension(found.part("blur")),
            dimension(found.part("spread")),
            inset.node().asBoolean(false)));
  }

  private TokenValue.Gradient gradient(Found start) {
    List<TokenValue.Gradient.Stop> stops = new ArrayList<>();
    stops(start, stops);
    if (stops.isEmpty()) {
      throw new Refused(start.place(), Messages.of("token-values.a-gradient"));
    }
    return new TokenValue.Gradient(stops);
  }

  /**
   * An alias to another gradient puts its stops in. Positions outside 0 to 1 are the nearer end.
   */
  private void stops(Found start, List<TokenValue.Gradient.Stop> stops) {
    countItem(start);
    Found found = reader.followed(start);
    if (found.node().isArray()) {
      for (int index = 0; index < found.node().size(); index++) {
        stops(found.item(index), stops);
      }
      return;
    }
    object(found, Messages.of("token-values.a-gradient"));
    stops.add(
        new TokenValue.Gradient.Stop(
            colour(found.part("color")), Math.clamp(number(found.part("position")), 0, 1)));
  }

  private TokenValue.Typography typography(Found start) {
    Found found = object(reader.followed(start), Messages.of("token-values.typography"));
    return new TokenValue.Typography(
        family(found.part("fontFamily")),
        dimension(found.part("fontSize")),
        weight(found.part("fontWeight")),
        dimension(found.part("letterSpacing")),
        new TokenValue.Number(number(found.part("lineHeight"))));
  }

  // --- shapes of values

  private void countItem(Found found) {
    if (++items > MOST_ITEMS) {
      throw new Refused(found.place(), Messages.of("token-values.too-many", MOST_ITEMS));
    }
  }

  private double number(Found start) {
    Found found = reader.followed(start);
    if (!found.node().isNumber() || !Double.isFinite(found.node().doubleValue())) {
      throw new Refused(found.place(), Messages.of("token-values.a-number", shown(found)));
    }
    return found.node().doubleValue();
  }

  private String text(Found start) {
    Found found = reader.followed(start);
    if (!found.node().isString()) {
      throw new Refused(found.place(), Messages.of("token-values.a-text", shown(found)));
    }
    return found.node().stringValue();
  }

  private static Found object(Found found, String expected) {
    if (!found.node().isObject()) {
      throw new Refused(
          found.place(), Messages.of("token-values.expected", expected, shown(found)));
    }
    return found;
  }

  private Found array(Found start, String expected) {
    Found found = reader.followed(start);
    if (!found.node().isArray()) {
      throw new Refused(
          found.place(), Messages.of("token-values.expected", expected, shown(found)));
    }
    return found;
  }

  private static String shown(Found found) {
    return found.node().isMissingNode()
        ? Messages.of("token-values.nothing")
        : dynamorph.formats.message.ShortText.of(found.node().toString());
  }

  private void earlier(Found found) {
    told(found, Messages.of("token-values.earlier-draft"));
  }

  private void told(Found found, String words) {
    problems.add(new Tokens.Problem(found.place(), words));
  }
}
