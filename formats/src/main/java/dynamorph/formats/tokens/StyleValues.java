package dynamorph.formats.tokens;

import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Palette;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.Colour;
import dynamorph.model.value.Dashes;
import dynamorph.model.value.EffectKind;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.GradientStops;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Length;
import dynamorph.model.value.PaintKind;
import dynamorph.model.value.StrokeCap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Values of styles from values of tokens.
 *
 * @param swatches ids of swatches by the name of their token
 * @param size of the text in points, for what is relative to it; not needed for typography, which
 *     says its own
 */
record StyleValues(Map<String, String> swatches, double size) {
  /** CSS's own names for whatever font there is (CSS Fonts 4, 2.1.3). */
  private static final Set<String> GENERIC =
      Set.of("serif", "sans-serif", "monospace", "cursive", "fantasy", "system-ui");

  /** The values of a token that stands alone, as a style of its own. */
  PropertySet values(TokenValue value, String host) {
    PropertySet none = PropertySet.EMPTY;
    return switch (value) {
      case TokenValue.Typography typography -> typography(none, typography);
      case TokenValue.Gradient gradient -> gradient(none, Address.coat("fill"), gradient);
      // a border goes around a box, which is the plate
      case TokenValue.Border border -> border(none, Address.plateCoat("border"), border);
      case TokenValue.Shadow(var layers) -> {
        PropertySet shadows = none;
        for (int index = 0; index < layers.size(); index++) {
          Address at = Address.whole(host).effect(index == 0 ? "shadow" : "shadow-" + (index + 1));
          shadows =
              shadow(shadows, at, layers.get(index))
                  .with(Properties.EFFECT_ORDER.at(at), (double) -index);
        }
        yield shadows;
      }
      default -> none;
    };
  }

  /**
   * A style's values with what a token below its group says now.
   *
   * @param expected what it said when it was written, if it was there
   * @param letters what the parts of typography say now by themselves, by their names
   */
  PropertySet changed(
      PropertySet values,
      List<String> path,
      TokenValue now,
      Optional<TokenValue> expected,
      Map<String, TokenValue> letters) {
    if (expected.filter(was -> TokenJson.same(was, now)).isPresent()) {
      return values;
    }
    if (now instanceof TokenValue.Typography typography) {
      return parts(values, typography, letters);
    }
    if (path.size() == 1) {
      return letter(values, path.getFirst(), now);
    }
    return StyleTokens.address(path).map(at -> changed(values, at, now, expected)).orElse(values);
  }

  private PropertySet changed(
      PropertySet values, Address at, TokenValue now, Optional<TokenValue> expected) {
    boolean isCoat = at.effect().isEmpty();
    return switch (now) {
      case TokenValue.OfColour colour when isCoat -> coloured(values, at, colour);
      case TokenValue.Gradient gradient when isCoat -> gradient(values, at, gradient);
      case TokenValue.Border border when isCoat ->
          expected.isPresent() && expected.get() instanceof TokenValue.Border was
              ? changedBorder(values, at, was, border)
              : border(values, at, border);
      case TokenValue.Shadow(var layers) when !isCoat && layers.size() == 1 ->
          expected.isPresent()
                  && expected.get() instanceof TokenValue.Shadow(var was)
                  && was.size() == 1
              ? changedShadow(values, at, was.getFirst(), layers.getFirst())
              : shadow(values, at, layers.getFirst());
      default -> values;
    };
  }

  /** Only what of a stroke is otherwise, so that lengths in em stay what they are. */
  private PropertySet changedBorder(
      PropertySet values, Address at, TokenValue.Border was, TokenValue.Border now) {
    PropertySet changed = values;
    PropertySet all = border(PropertySet.EMPTY, at, now);
    if (!TokenJson.same(was.colour(), now.colour())) {
      changed = coloured(changed, at, now.colour());
    }
    if (!TokenJson.same(was.width(), now.width())) {
      changed = changed.withFrom(all, Properties.STROKE_WIDTH.at(at));
    }
    if (!TokenJson.same(was.style(), now.style())) {
      changed =
          changed
              .without(Properties.DASHES.at(at))
              .withFrom(all, Properties.DASHES.at(at))
              .withFrom(all, Properties.STROKE_CAP.at(at));
    }
    return changed;
  }

  private PropertySet changedShadow(
      PropertySet values, Address at, TokenValue.Shadow.Layer was, TokenValue.Shadow.Layer now) {
    PropertySet changed = values;
    PropertySet all = shadow(values, at, now);
    if (!TokenJson.same(was.colour(), now.colour())) {
      changed =
          changed
              .withFrom(all, Properties.EFFECT_COLOUR.at(at))
              .withFrom(all, Properties.EFFECT_OPACITY.at(at));
    }
    if (!TokenJson.same(was.x(), now.x())) {
      changed = changed.withFrom(all, Properties.SHADOW_X.at(at));
    }
    if (!TokenJson.same(was.y(), now.y())) {
      changed = changed.withFrom(all, Properties.SHADOW_Y.at(at));
    }
    if (!TokenJson.same(was.blur(), now.blur())) {
      changed = changed.withFrom(all, Properties.SHADOW_BLUR.at(at));
    }
    if (!TokenJson.same(was.spread(), now.spread())) {
      changed = changed.withFrom(all, Properties.EFFECT_SPREAD.at(at));
    }
    return changed;
  }

  /**
   * A token's value with the colours that swatches had before; those that changed are still meant.
   */
  TokenValue asWritten(TokenValue now, Palette before) {
    return TokenJson.coloured(
        now,
        colour ->
            colour
                .token()
                .map(swatches::get)
                .flatMap(before::find)
                .map(swatch -> new TokenValue.OfColour(swatch.colour(), colour.token()))
                .orElse(colour));
  }

  /** Typography names what its parts say; what it says otherwise, somebody put there. */
  private PropertySet parts(
      PropertySet values, TokenValue.Typography now, Map<String, TokenValue> parts) {
    PropertySet changed = values;
    Map<String, TokenValue> usual =
        Map.of(
            StyleTokens.WEIGHT, TokenStyles.REGULAR,
            StyleTokens.LETTER_SPACING, TokenStyles.NO_SPACING,
            StyleTokens.LINE_HEIGHT, TokenStyles.USUAL_LEADING);
    Map<String, TokenValue> whole = new LinkedHashMap<>();
    whole.put(StyleTokens.FAMILY, now.family());
    whole.put(StyleTokens.SIZE, now.size());
    whole.put(StyleTokens.WEIGHT, now.weight());
    whole.put(StyleTokens.LETTER_SPACING, now.letterSpacing());
    whole.put(StyleTokens.LINE_HEIGHT, now.lineHeight());
    StyleValues atSize = new StyleValues(swatches, sized(now.size().pixels()));
    for (Map.Entry<String, TokenValue> part : whole.entrySet()) {
      TokenValue expected = parts.getOrDefault(part.getKey(), usual.get(part.getKey()));
      if (expected == null || !TokenJson.same(expected, part.getValue())) {
        changed = atSize.letter(changed, part.getKey(), part.getValue());
      }
    }
    return changed;
  }

  private PropertySet letter(PropertySet values, String name, TokenValue now) {
    return switch (now) {
      case TokenValue.FontFamily(var names) when name.equals(StyleTokens.FAMILY) ->
          GENERIC.contains(names.getFirst())
              ? values
              : values.with(Properties.FONT_FAMILY, names.getFirst());
      case TokenValue.Dimension(double pixels) when name.equals(StyleTokens.SIZE) ->
          values.with(Properties.SIZE, FontSize.points(sized(pixels)));
      case TokenValue.FontWeight(double weight) when name.equals(StyleTokens.WEIGHT) ->
          values.with(Properties.FONT_WEIGHT, weight);
      case TokenValue.Dimension(double pixels) when name.equals(StyleTokens.LETTER_SPACING) ->
          values.with(Properties.TRACKING, pixels / size * 1000);
      case TokenValue.Number(double number) when name.equals(StyleTokens.LINE_HEIGHT) ->
          values.with(Properties.LEADING, new Leading.Relative(Math.clamp(number, 0, 10)));
      default -> values;
    };
  }

  private static double sized(double pixels) {
    return Math.clamp(pixels, FontSize.SMALLEST, FontSize.LARGEST);
  }

  private PropertySet typography(PropertySet values, TokenValue.Typography typography) {
    StyleValues atSize = new StyleValues(swatches, sized(typography.size().pixels()));
    PropertySet letters = atSize.letter(values, StyleTokens.FAMILY, typography.family());
    letters = atSize.letter(letters, StyleTokens.SIZE, typography.size());
    letters = atSize.letter(letters, StyleTokens.WEIGHT, typography.weight());
    letters = atSize.letter(letters, StyleTokens.LINE_HEIGHT, typography.lineHeight());
    return typography.letterSpacing().pixels() == 0
        ? letters
        : atSize.letter(letters, StyleTokens.LETTER_SPACING, typography.letterSpacing());
  }

  private PropertySet coloured(PropertySet values, Address at, TokenValue.OfColour colour) {
    return values
        .with(Properties.COAT_PAINT.at(at), PaintKind.SOLID)
        .with(Properties.COAT_COLOUR.at(at), colour(colour))
        .with(Properties.COAT_OPACITY.at(at), 1.0);
  }

  private PropertySet gradient(PropertySet values, Address at, TokenValue.Gradient gradient) {
    PropertySet painted =
        values.with(
            Properties.GRADIENT_STOPS.at(at),
            new GradientStops(
                gradient.stops().stream()
                    .map(stop -> new GradientStops.Stop(colour(stop.colour()), stop.position(), 1))
                    .toList()));
    boolean isOne =
        values
            .get(Properties.COAT_PAINT.at(at))
            .filter(kind -> kind != PaintKind.SOLID && kind != PaintKind.PATTERN)
            .isPresent();
    return isOne ? painted : painted.with(Properties.COAT_PAINT.at(at), PaintKind.LINEAR);
  }

  private PropertySet border(PropertySet values, Address at, TokenValue.Border border) {
    double width = border.width().pixels();
    PropertySet stroke =
        coloured(values, at, border.colour())
            .with(Properties.COAT_KIND.at(at), CoatKind.STROKE)
            .with(Properties.STROKE_WIDTH.at(at), Length.points(Math.max(0, width)));
    List<Length> dashes =
        switch (border.style().keyword()) {
          case "dashed" -> List.of(Length.points(3 * width), Length.points(2 * width));
          case "dotted" -> List.of(Length.ZERO, Length.points(2 * width));
          case "" ->
              border.style().dashes().stream().map(dash -> Length.points(dash.pixels())).toList();
          default -> List.of();
        };
    boolean solid = dashes.stream().allMatch(dash -> dash.amount() == 0);
    StrokeCap cap = border.style().cap();
    return solid
        ? stroke.without(Properties.DASHES.at(at))
        : stroke
            .with(Properties.DASHES.at(at), new Dashes(dashes))
            .with(Properties.STROKE_CAP.at(at), cap);
  }

  private PropertySet shadow(PropertySet values, Address at, TokenValue.Shadow.Layer layer) {
    EffectKind kind =
        values
            .get(Properties.EFFECT_KIND.at(at))
            .orElse(layer.inset() ? EffectKind.INNER_SHADOW : EffectKind.DROP_SHADOW);
    return values
        .with(Properties.EFFECT_KIND.at(at), kind)
        .with(Properties.EFFECT_COLOUR.at(at), colour(layer.colour()))
        .with(Properties.EFFECT_OPACITY.at(at), 1.0)
        .with(Properties.SHADOW_X.at(at), Length.points(layer.x().pixels()))
        .with(Properties.SHADOW_Y.at(at), Length.points(layer.y().pixels()))
        .with(Properties.SHADOW_BLUR.at(at), Length.points(Math.max(0, layer.blur().pixels())))
        .with(Properties.EFFECT_SPREAD.at(at), Length.points(layer.spread().pixels()));
  }

  private Colour colour(TokenValue.OfColour colour) {
    String swatch = colour.token().map(swatches::get).orElse(null);
    return swatch == null ? Colour.of(colour.rgba()) : Colour.swatch(swatch);
  }
}
