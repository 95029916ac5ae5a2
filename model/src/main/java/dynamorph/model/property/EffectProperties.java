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
      effect("kind", new ValueType.Choice<>(EffectKind.class), EffectKind.DROP_SHADOW);
  public static final Property<String> EFFECT_NAME =
      effect("name", new ValueType.Written<>(String.class, String::strip, "^.*$", "a name"), "");
  public static final Property<Double> EFFECT_ORDER =
      effect("order", new ValueType.Number(-1e6, 1e6, ""), 0.0);
  public static final Property<Boolean> EFFECT_SHOWN = effect("shown", new ValueType.Flag(), true);
  public static final Property<Boolean> EFFECT_REMOVED =
      effect("removed", new ValueType.Flag(), false);
  public static final Property<Colour> EFFECT_COLOUR =
      effect("colour", new ValueType.Colours(), Colour.of(Rgba.BLACK));
  public static final Property<Double> EFFECT_OPACITY =
      effect("opacity", new ValueType.Number(0, 1, ""), 0.4);
  public static final Property<BlendMode> EFFECT_BLEND =
      effect("blend", new ValueType.Choice<>(BlendMode.class), BlendMode.NORMAL);
  public static final Property<Length> SHADOW_X =
      effect("x", Registry.SIGNED_LENGTH, Length.em(0.03));
  public static final Property<Length> SHADOW_Y =
      effect("y", Registry.SIGNED_LENGTH, Length.em(0.03));
  public static final Property<Length> SHADOW_BLUR =
      effect("blur", new ValueType.Lengths(0, 10_000), Length.em(0.03));
  public static final Property<Double> BLUR_ASPECT =
      effect("blur-aspect", new ValueType.Number(0, 100, "%"), 100.0);
  public static final Property<Double> BLUR_ANGLE =
      effect("blur-angle", new ValueType.Number(-3600, 3600, "\u00b0"), 0.0);
  public static final Property<Length> EFFECT_SPREAD =
      effect("spread", Registry.SIGNED_LENGTH, Length.ZERO);
  public static final Property<Boolean> SHADOW_KNOCKOUT =
      effect("knockout", new ValueType.Flag(), false);
  public static final Property<GlowSource> GLOW_SOURCE =
      effect("source", new ValueType.Choice<>(GlowSource.class), GlowSource.EDGE);
  public static final Property<Double> LIGHT_AZIMUTH =
      effect("azimuth", new ValueType.Number(-3600, 3600, "\u00b0"), 235.0);
  public static final Property<Double> LIGHT_ELEVATION =
      effect("elevation", new ValueType.Number(0, 90, "\u00b0"), 40.0);
  public static final Property<Length> BEVEL_WIDTH =
      effect("bevel-width", new ValueType.Lengths(0, 10_000), Length.em(0.04));
  public static final Property<Double> EDGE_DEPTH =
      effect("depth", new ValueType.Number(-10, 10, ""), 1.0);
  public static final Property<Colour> HIGHLIGHT_COLOUR =
      effect("highlight-colour", new ValueType.Colours(), Colour.of(Rgba.WHITE));
  public static final Property<BlendMode> HIGHLIGHT_BLEND =
      effect("highlight-blend", new ValueType.Choice<>(BlendMode.class), BlendMode.SCREEN);
  public static final Property<Colour> SHADE_COLOUR =
      effect("shade-colour", new ValueType.Colours(), Colour.of(Rgba.BLACK));
  public static final Property<BlendMode> SHADE_BLEND =
      effect("shade-blend", new ValueType.Choice<>(BlendMode.class), BlendMode.MULTIPLY);

  EffectProperties() {}
}
