package dynamorph.formats.tokens;

import dynamorph.model.cascade.Coats;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.value.Colour;
import dynamorph.model.value.EffectKind;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Length;
import dynamorph.model.value.PaintKind;
import dynamorph.model.value.Rgba;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What tokens say of styles. Each style says by itself what it sets; lengths in em are worked out
 * at its size.
 */
final class StyleTokens {
  static final String FAMILY = "family";
  static final String SIZE = "size";
  static final String WEIGHT = "weight";
  static final String LETTER_SPACING = "letter-spacing";
  static final String LINE_HEIGHT = "line-height";
  static final String TYPOGRAPHY = "typography";
  private static final String SHADOWS = "shadows";

  /** Values that tokens say, as far as they can. */
  private static final Set<Property<?>> SAID =
      Set.of(
          Properties.FONT_FAMILY,
          Properties.FONT_WEIGHT,
          Properties.SIZE,
          Properties.LEADING,
          Properties.LEADING_AUTO,
          Properties.TRACKING,
          Properties.COAT_KIND,
          Properties.COAT_NAME,
          Properties.COAT_ORDER,
          Properties.COAT_SHOWN,
          Properties.COAT_REMOVED,
          Properties.COAT_OPACITY,
          Properties.COAT_PAINT,
          Properties.COAT_COLOUR,
          Properties.GRADIENT_STOPS,
          Properties.STROKE_WIDTH,
          Properties.STROKE_CAP,
          Properties.DASHES,
          Properties.EFFECT_KIND,
          Properties.EFFECT_NAME,
          Properties.EFFECT_ORDER,
          Properties.EFFECT_SHOWN,
          Properties.EFFECT_REMOVED,
          Properties.EFFECT_COLOUR,
          Properties.EFFECT_OPACITY,
          Properties.SHADOW_X,
          Properties.SHADOW_Y,
          Properties.SHADOW_BLUR,
          Properties.EFFECT_SPREAD);

  /**
   * One thing that is said of a style.
   *
   * @param path below the group of the style
   * @param holder the style that says it: this one, or one that it is based on
   */
  record Part(List<String> path, TokenValue value, StyleId holder) {}

  private final StyleBook styles;
  private final Palette palette;
  private final TokenNames names;
  private final Optional<StyleId> plain;
  private final Map<StyleId, Map<List<String>, Part>> known = new HashMap<>();

  /**
   * @param plain the style that text takes which follows none
   */
  StyleTokens(StyleBook styles, Palette palette, Optional<StyleId> plain, TokenNames names) {
    this.plain = plain;
    this.styles = styles;
    this.palette = palette;
    this.names = names;
  }

  static boolean isSaid(PropertyKey<?> key, PropertySet values) {
    if (key.property().equals(Properties.COAT_PAINT)) {
      return !PaintKind.PATTERN.equals(values.get(key).orElseThrow());
    }
    if (key.property().equals(Properties.EFFECT_KIND)) {
      return values.get(key).orElseThrow() != EffectKind.BLUR
          && values.get(key).orElseThrow() != EffectKind.BEVEL;
    }
    return SAID.contains(key.property());
  }

  /** What is said of a style, by path. */
  Map<List<String>, Part> of(StyleId id) {
    Map<List<String>, Part> there = known.get(id);
    if (there == null) {
      there = worked(styles.get(id));
      known.put(id, there);
    }
    return there;
  }

  private Map<List<String>, Part> worked(Style style) {
    List<Style> chain = styles.chainOn(style.id(), plain);
    Map<List<String>, Part> base = chain.size() < 2 ? Map.of() : of(chain.get(1).id());
    Working working = new Working(style, base, whole(style), size(style));
    working.letters();
    working.finish(Address.FINISH);
    working.finish(Address.PLATE);
    return working.parts;
  }

  /** Everything that a style and its bases set, over what text without them has. */
  private PropertySet whole(Style style) {
    return PropertySet.EMPTY
        .withFrom(Properties.DEFAULTS, Properties.COAT_KIND.at(Address.coat("fill")))
        .overlaidBy(styles.setOn(style.id(), plain));
  }

  private double size(Style style) {
    double size = Properties.SIZE.defaultValue().over(0);
    for (Style each : styles.chainOn(style.id(), plain).reversed()) {
      Optional<FontSize> own = each.properties().get(Properties.SIZE.key());
      size = own.isPresent() ? own.get().over(size) : size;
    }
    return size;
  }

  /** The parts of one style. */
  private final class Working {
    private final Style style;
    private final Map<List<String>, Part> base;
    private final PropertySet whole;
    private final double size;
    private final Map<List<String>, Part> parts = new LinkedHashMap<>();

    Working(Style style, Map<List<String>, Part> base, PropertySet whole, double size) {
      this.style = style;
      this.base = base;
      this.whole = whole;
      this.size = size;
    }

    private void say(List<String> path, TokenValue value, boolean own) {
      Part inherited = base.get(path);
      StyleId holder =
          inherited == null || own || !inherited.value().equals(value)
              ? style.id()
              : inherited.holder();
      parts.put(path, new Part(path, value, holder));
    }

    private boolean sets(Property<?> property) {
      return style.properties().has(property.key());
    }

    private <T> T value(Property<T> property) {
      return Coats.value(whole, property.key());
    }

    void letters() {
      if (whole.has(Properties.FONT_FAMILY.key())) {
        say(
            List.of(FAMILY),
            new TokenValue.FontFamily(List.of(value(Properties.FONT_FAMILY))),
            sets(Properties.FONT_FAMILY));
      }
      if (whole.has(Properties.SIZE.key())) {
        say(List.of(SIZE), new TokenValue.Dimension(size), sets(Properties.SIZE));
      }
      if (whole.has(Properties.FONT_WEIGHT.key())) {
        say(
            List.of(WEIGHT),
            new TokenValue.FontWeight(value(Properties.FONT_WEIGHT)),
            sets(Properties.FONT_WEIGHT));
      }
      if (whole.has(Properties.TRACKING.key())) {
        say(
            List.of(LETTER_SPACING),
            new TokenValue.Dimension(value(Properties.TRACKING) / 1000 * size),
            sets(Properties.TRACKING));
      }
      if (whole.has(Properties.LEADING.key()) || whole.has(Properties.LEADING_AUTO.key())) {
        say(
            List.of(LINE_HEIGHT),
            new TokenValue.Number(lineHeight(whole, size)),
            sets(Properties.LEADING) || sets(Properties.LEADING_AUTO));
      }
    }

    void finish(String host) {
      for (Address coat : Coats.of(whole, host)) {
        boolean touched = whole.keys().stream().anyMatch(key -> isSetAt(key, coat));
        if (touched && Coats.value(whole, Properties.COAT_SHOWN.at(coat))) {
          say(List.of(host, coat.coat()), coat(coat), owns(coat));
        }
        Coats.effects(whole, coat).forEach(this::effect);
      }
      Coats.effects(whole, Address.whole(host)).forEach(this::effect);
    }

    /** The one coat that all text has is only told where a style changes it. */
    private boolean isSetAt(PropertyKey<?> key, Address address) {
      boolean given =
          key.property().equals(Properties.COAT_KIND) && address.equals(Address.coat("fill"));
      return key.address().equals(address) && !given;
    }

    private boolean owns(Address address) {
      return style.properties().keysOfCoats().stream()
          .anyMatch(key -> key.address().equals(address));
    }

    private <T> T at(Property<T> property, Address address) {
      return Coats.value(whole, property.at(address));
    }

    private TokenValue.Dimension length(Property<Length> property, Address address) {
      return new TokenValue.Dimension(at(property, address).toPoints(size));
    }

    private TokenValue coat(Address coat) {
      double opacity = at(Properties.COAT_OPACITY, coat);
      boolean gradient =
          switch (at(Properties.COAT_PAINT, coat)) {
            case LINEAR, RADIAL, CONIC -> true;
            case SOLID, PATTERN -> false;
          };
      List<TokenValue.Gradient.Stop> stops =
          at(Properties.GRADIENT_STOPS, coat).stops().stream()
              .map(stop ->
                  new TokenValue.Gradient.Stop(
                      colour(stop.colour(), stop.opacity() * opacity), stop.position()))
              .toList();
      return switch (at(Properties.COAT_KIND, coat)) {
        case FILL ->
            gradient
                ? new TokenValue.Gradient(stops)
                : colour(at(Properties.COAT_COLOUR, coat), opacity);
        case STROKE ->
            new TokenValue.Border(
                gradient
                    ? stops.getFirst().colour()
                    : colour(at(Properties.COAT_COLOUR, coat), opacity),
                length(Properties.STROKE_WIDTH, coat),
                strokeStyle(coat));
      };
    }

    private TokenValue.StrokeStyle strokeStyle(Address coat) {
      List<Length> dashes = at(Properties.DASHES, coat).lengths();
      return dashes.isEmpty()
          ? TokenValue.StrokeStyle.SOLID
          : new TokenValue.StrokeStyle(
              "",
              dashes.stream().map(dash -> new TokenValue.Dimension(dash.toPoints(size))).toList(),
              at(Properties.STROKE_CAP, coat));
    }

    private void effect(Address at) {
      EffectKind kind = at(Properties.EFFECT_KIND, at);
      if (kind == EffectKind.BLUR || kind == EffectKind.BEVEL || !at(Properties.EFFECT_SHOWN, at)) {
        return;
      }
      boolean glow = kind == EffectKind.OUTER_GLOW || kind == EffectKind.INNER_GLOW;
      TokenValue.Dimension none = new TokenValue.Dimension(0);
      say(
          List.of(SHADOWS, at.host(), at.coat(), at.effect()),
          new TokenValue.Shadow(
              List.of(
                  new TokenValue.Shadow.Layer(
                      colour(at(Properties.EFFECT_COLOUR, at), at(Properties.EFFECT_OPACITY, at)),
                      glow ? none : length(Properties.SHADOW_X, at),
                      glow ? none : length(Properties.SHADOW_Y, at),
                      length(Properties.SHADOW_BLUR, at),
                      length(Properties.EFFECT_SPREAD, at),
                      kind == EffectKind.INNER_SHADOW || kind == EffectKind.INNER_GLOW))),
          owns(at));
    }
  }

  /** Leading as a multiple of the size. */
  static double lineHeight(PropertySet whole, double size) {
    return switch (Coats.value(whole, Properties.LEADING.key())) {
      case Leading.Automatic _ -> Coats.value(whole, Properties.LEADING_AUTO.key()) / 100;
      case Leading leading -> leading.at(size) / size;
    };
  }

  private TokenValue.OfColour colour(Colour colour, double opacity) {
    Rgba rgba = palette.colour(colour);
    return colour instanceof Colour.SwatchReference(String swatch)
            && opacity == 1
            && palette.find(swatch).isPresent()
        ? new TokenValue.OfColour(rgba, Optional.of(String.join(".", names.ofSwatch(swatch))))
        : TokenValue.OfColour.of(rgba.faded(opacity));
  }

  /** The coat or effect that a part below a style's group says something of. */
  static Optional<Address> address(List<String> path) {
    try {
      return switch (path.size()) {
        case 2 -> Optional.of(new Address(path.get(0), path.get(1), ""));
        case 4 -> Optional.of(new Address(path.get(1), path.get(2), path.get(3)));
        default -> Optional.empty();
      };
    } catch (IllegalArgumentException another) {
      return Optional.empty(); // somebody put a token of their own there
    }
  }
}
