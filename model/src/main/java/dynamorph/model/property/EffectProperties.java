package dynamorph.model.property;

import static dynamorph.model.property.Registry.effect;

import dynamorph.model.value.BlendMode;
import dynamorph.model.value.Colour;
import dynamorph.model.value.EffectKind;
import dynamorph.model.value.GlowSource;
import dynamorph.model.value.Length;
import dynamorph.model.value.Rgba;

/**
 * The properties of effects: values under the address of an effect, which is there when its {@link
 * #EFFECT_KIND} is set by any level, as it is with coats.
 */
public abstract sealed class EffectProperties extends CoatProperties permits Properties {
  public static final Property<EffectKind> EFFECT_KIND =
      effect(
          "kind",
          "Kind",
          new ValueType.Choice<>(EffectKind.class),
          EffectKind.DROP_SHADOW,
          "What the effect is; setting it inserts the effect.");
  public static final Property<String> EFFECT_NAME =
      effect(
          "name",
          "Name",
          new ValueType.Written<>(String.class, String::strip, "^.*$", "a name"),
          "",
          "What the effect is called; without a name it is called after what it does.");
  public static final Property<Double> EFFECT_ORDER =
      effect(
          "order",
          "Order",
          new ValueType.Number(-1e6, 1e6, ""),
          0.0,
          "Effects are painted from the lowest number to the highest.");
  public static final Property<Boolean> EFFECT_SHOWN =
      effect("shown", "Shown", new ValueType.Flag(), true, "Whether the effect is painted.");
  public static final Property<Boolean> EFFECT_REMOVED =
      effect("removed", "Removed", new ValueType.Flag(), false, "Takes an inherited effect away.");
  public static final Property<Colour> EFFECT_COLOUR =
      effect(
          "colour",
          "Colour",
          new ValueType.Colours(),
          Colour.of(Rgba.BLACK),
          "Colour of a shadow or glow.");
  public static final Property<Double> EFFECT_OPACITY =
      effect(
          "opacity",
          "Opacity",
          new ValueType.Number(0, 1, ""),
          0.4,
          "From 0, unseen, to 1, solid.");
  public static final Property<BlendMode> EFFECT_BLEND =
      effect(
          "blend",
          "Blend",
          new ValueType.Choice<>(BlendMode.class),
          BlendMode.NORMAL,
          "How a shadow or glow is mixed with what lies below it.");
  public static final Property<Length> SHADOW_X =
      effect("x", "X", Registry.SIGNED_LENGTH, Length.em(0.03), "Offset of a shadow to the right.");
  public static final Property<Length> SHADOW_Y =
      effect("y", "Y", Registry.SIGNED_LENGTH, Length.em(0.03), "Offset of a shadow downwards.");
  public static final Property<Length> SHADOW_BLUR =
      effect(
          "blur",
          "Blur",
          new ValueType.Lengths(0, 10_000),
          Length.em(0.03),
          "Twice the standard deviation of the blur.");
  public static final Property<Length> EFFECT_SPREAD =
      effect(
          "spread",
          "Spread",
          Registry.SIGNED_LENGTH,
          Length.ZERO,
          "How far a shadow or glow reaches before it is blurred.");
  public static final Property<Boolean> SHADOW_KNOCKOUT =
      effect(
          "knockout",
          "Knockout",
          new ValueType.Flag(),
          false,
          "Whether a drop shadow or outer glow is cut away beneath what casts it.");
  public static final Property<GlowSource> GLOW_SOURCE =
      effect(
          "source",
          "Source",
          new ValueType.Choice<>(GlowSource.class),
          GlowSource.EDGE,
          "Where an inner glow is strongest.");
  public static final Property<Double> LIGHT_AZIMUTH =
      effect(
          "azimuth",
          "Light azimuth",
          new ValueType.Number(-3600, 3600, "\u00b0"),
          235.0,
          "Where the light on a bevel comes from: 0 is from the right, 90 from below.");
  public static final Property<Double> LIGHT_ELEVATION =
      effect(
          "elevation",
          "Light elevation",
          new ValueType.Number(0, 90, "\u00b0"),
          40.0,
          "How high that light stands over the surface, in degrees.");
  public static final Property<Length> BEVEL_WIDTH =
      effect(
          "bevel-width",
          "Bevel width",
          new ValueType.Lengths(0, 10_000),
          Length.em(0.04),
          "How far a bevel reaches inwards.");
  public static final Property<Double> EDGE_DEPTH =
      effect(
          "depth",
          "Depth",
          new ValueType.Number(-10, 10, ""),
          1.0,
          "How steep a bevel is; negative for a sunken one.");
  public static final Property<Colour> HIGHLIGHT_COLOUR =
      effect(
          "highlight-colour",
          "Highlight",
          new ValueType.Colours(),
          Colour.of(Rgba.WHITE),
          "Colour of the lit side of a bevel.");
  public static final Property<BlendMode> HIGHLIGHT_BLEND =
      effect(
          "highlight-blend",
          "Highlight blend",
          new ValueType.Choice<>(BlendMode.class),
          BlendMode.SCREEN,
          "How that light is mixed.");
  public static final Property<Colour> SHADE_COLOUR =
      effect(
          "shade-colour",
          "Shade",
          new ValueType.Colours(),
          Colour.of(Rgba.BLACK),
          "Colour of the other side.");
  public static final Property<BlendMode> SHADE_BLEND =
      effect(
          "shade-blend",
          "Shade blend",
          new ValueType.Choice<>(BlendMode.class),
          BlendMode.MULTIPLY,
          "How that shade is mixed.");

  EffectProperties() {}
}
