package dynamorph.model.property;

import static dynamorph.model.property.Registry.coat;
import static dynamorph.model.property.Registry.effect;

import dynamorph.model.value.BlendMode;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.Colour;
import dynamorph.model.value.ColourMixing;
import dynamorph.model.value.DashFit;
import dynamorph.model.value.Dashes;
import dynamorph.model.value.EffectKind;
import dynamorph.model.value.GlowFrom;
import dynamorph.model.value.GradientRepeat;
import dynamorph.model.value.GradientStops;
import dynamorph.model.value.Length;
import dynamorph.model.value.PaintFit;
import dynamorph.model.value.PaintKind;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.StrokeCap;
import dynamorph.model.value.StrokeJoin;
import dynamorph.model.value.StrokePosition;

/**
 * The properties of coats and effects. A coat is itself nothing but values under its address: it is
 * there when its {@link #COAT_KIND} is set by any level, so a narrower level can insert a coat,
 * patch one parameter of an inherited one, hide it ({@link #COAT_SHOWN}), take it away ({@link
 * #COAT_REMOVED}) or move it ({@link #COAT_ORDER}). The same holds for effects.
 */
public abstract sealed class FinishProperties extends ParagraphProperties permits Properties {
  public static final Property<CoatKind> COAT_KIND =
      coat(
          "kind",
          "Kind",
          new ValueType.Choice<>(CoatKind.class),
          CoatKind.FILL,
          "What the coat paints; setting it inserts the coat.");
  public static final Property<String> COAT_NAME =
      coat(
          "name",
          "Name",
          new ValueType.Written<>(String.class, String::strip, "^.*$", "a name"),
          "",
          "What the coat is called; without a name it is called after what it paints.");
  public static final Property<Double> COAT_ORDER =
      coat(
          "order",
          "Order",
          new ValueType.Number(-1e6, 1e6, ""),
          0.0,
          "Coats are painted from the lowest number to the highest.");
  public static final Property<Boolean> COAT_SHOWN =
      coat("shown", "Shown", new ValueType.Flag(), true, "Whether the coat is painted.");
  public static final Property<Boolean> COAT_REMOVED =
      coat("removed", "Removed", new ValueType.Flag(), false, "Takes an inherited coat away.");
  public static final Property<Double> COAT_OPACITY =
      coat(
          "opacity",
          "Opacity",
          new ValueType.Number(0, 1, ""),
          1.0,
          "From 0, unseen, to 1, solid; effects of the coat included.");
  public static final Property<BlendMode> COAT_BLEND =
      coat(
          "blend",
          "Blend",
          new ValueType.Choice<>(BlendMode.class),
          BlendMode.NORMAL,
          "How the coat is mixed with what lies below it.");
  public static final Property<PaintKind> COAT_PAINT =
      coat(
          "paint",
          "Paint",
          new ValueType.Choice<>(PaintKind.class),
          PaintKind.SOLID,
          "One colour, or a gradient.");
  public static final Property<Colour> COAT_COLOUR =
      coat(
          "colour",
          "Colour",
          new ValueType.Colours(),
          Colour.of(Rgba.BLACK),
          "What a solid coat is painted with.");
  public static final Property<GradientStops> GRADIENT_STOPS =
      coat(
          "stops",
          "Stops",
          new ValueType.Written<>(
              GradientStops.class,
              GradientStops::parse,
              "^\\S+ +[0-9.]+ ?%.*$",
              "stops such as \"#fbe6a2 0%, swatch:copper 60% / 80%\""),
          GradientStops.PLAIN,
          "The colours of a gradient and where they stand.");
  public static final Property<Double> GRADIENT_ANGLE =
      coat(
          "angle",
          "Angle",
          new ValueType.Number(-3600, 3600, "\u00b0"),
          90.0,
          "Where a gradient runs to: 0 is to the right, 90 downwards; a conic one starts there.");
  public static final Property<Double> GRADIENT_ACROSS =
      coat(
          "centre-across",
          "Centre across",
          new ValueType.Number(-1000, 1000, "%"),
          50.0,
          "Where the middle of a gradient lies in the width of what it is fitted to.");
  public static final Property<Double> GRADIENT_DOWN =
      coat(
          "centre-down",
          "Centre down",
          new ValueType.Number(-1000, 1000, "%"),
          50.0,
          "Where the middle of a gradient lies in the height of what it is fitted to.");
  public static final Property<Double> GRADIENT_SCALE =
      coat(
          "gradient-scale",
          "Scale",
          new ValueType.Number(1, 100_000, "%"),
          100.0,
          "How long a gradient is, in parts of what it is fitted to.");
  public static final Property<Double> GRADIENT_OFFSET =
      coat(
          "gradient-offset",
          "Offset",
          new ValueType.Number(-10_000, 10_000, "%"),
          0.0,
          "How far the stops are moved along, in parts of the length.");
  public static final Property<GradientRepeat> GRADIENT_REPEAT =
      coat(
          "repeat",
          "Beyond",
          new ValueType.Choice<>(GradientRepeat.class),
          GradientRepeat.ONCE,
          "How a gradient goes on beyond its ends.");
  public static final Property<PaintFit> PAINT_FIT =
      coat(
          "fit",
          "Fitted to",
          new ValueType.Choice<>(PaintFit.class),
          PaintFit.LAYER,
          "What a gradient is fitted to.");
  public static final Property<ColourMixing> COLOUR_MIXING =
      coat(
          "mixing",
          "Mixed in",
          new ValueType.Choice<>(ColourMixing.class),
          ColourMixing.OKLAB,
          "The space in which colours between stops are mixed.");
  public static final Property<Length> COAT_OFFSET =
      coat(
          "offset",
          "Offset",
          Registry.SIGNED_LENGTH,
          Length.ZERO,
          "How far from the letter edge the coat lies: outwards, or inwards if negative.");
  public static final Property<Length> STROKE_WIDTH =
      coat(
          "width",
          "Width",
          new ValueType.Lengths(0, 10_000),
          Length.points(1),
          "How wide a stroke is.");
  public static final Property<StrokePosition> STROKE_POSITION =
      coat(
          "position",
          "Position",
          new ValueType.Choice<>(StrokePosition.class),
          StrokePosition.CENTRE,
          "On which side of the edge a stroke lies.");
  public static final Property<StrokeJoin> STROKE_JOIN =
      coat(
          "join",
          "Join",
          new ValueType.Choice<>(StrokeJoin.class),
          StrokeJoin.MITER,
          "How a stroke, or an edge that is moved out, turns a corner.");
  public static final Property<Double> MITER_LIMIT =
      coat(
          "miter-limit",
          "Miter limit",
          new ValueType.Number(1, 100, ""),
          4.0,
          "How far a pointed corner may reach, in parts of the width; sharper ones are cut off.");
  public static final Property<StrokeCap> STROKE_CAP =
      coat(
          "cap",
          "Ends",
          new ValueType.Choice<>(StrokeCap.class),
          StrokeCap.BUTT,
          "How dashes end.");
  public static final Property<Dashes> DASHES =
      coat(
          "dashes",
          "Dashes",
          new ValueType.Written<>(
              Dashes.class,
              Dashes::parse,
              "^(none|[0-9.]+ ?(pt|em)?(, ?[0-9.]+ ?(pt|em)?)*)$",
              "lengths such as \"0.2 em, 0.1 em\", or none"),
          Dashes.NONE,
          "Lengths of dashes and gaps in turn.");
  public static final Property<Length> DASH_PHASE =
      coat(
          "dash-phase",
          "Start at",
          Registry.SIGNED_LENGTH,
          Length.ZERO,
          "How far into the dashes a contour begins.");
  public static final Property<DashFit> DASH_FIT =
      coat(
          "dash-fit",
          "Fitted",
          new ValueType.Choice<>(DashFit.class),
          DashFit.EXACT,
          "Whether dashes keep their lengths, go evenly around, or lie on the corners.");

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
  public static final Property<Length> SHADOW_ACROSS =
      effect(
          "across",
          "Across",
          Registry.SIGNED_LENGTH,
          Length.em(0.03),
          "Offset of a shadow to the right.");
  public static final Property<Length> SHADOW_DOWN =
      effect(
          "down", "Down", Registry.SIGNED_LENGTH, Length.em(0.03), "Offset of a shadow downwards.");
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
  public static final Property<Boolean> SHADOW_KNOCKED_OUT =
      effect(
          "knocked-out",
          "Knocked out",
          new ValueType.Flag(),
          false,
          "Whether a drop shadow or outer glow is cut away beneath what casts it.");
  public static final Property<GlowFrom> GLOW_FROM =
      effect(
          "from",
          "Shines from",
          new ValueType.Choice<>(GlowFrom.class),
          GlowFrom.EDGE,
          "Where an inner glow is strongest.");
  public static final Property<Double> LIGHT_ANGLE =
      effect(
          "angle",
          "Light from",
          new ValueType.Number(-3600, 3600, "\u00b0"),
          235.0,
          "Where the light on a raised edge comes from: 0 is from the right, 90 from below.");
  public static final Property<Double> LIGHT_HEIGHT =
      effect(
          "height",
          "Height",
          new ValueType.Number(0, 90, "\u00b0"),
          40.0,
          "How high that light stands over the surface.");
  public static final Property<Length> EDGE_WIDTH =
      effect(
          "edge-width",
          "Edge width",
          new ValueType.Lengths(0, 10_000),
          Length.em(0.04),
          "How far a raised edge reaches inwards.");
  public static final Property<Double> EDGE_DEPTH =
      effect(
          "depth",
          "Depth",
          new ValueType.Number(-10, 10, ""),
          1.0,
          "How steep a raised edge is; negative for a sunken one.");
  public static final Property<Colour> LIGHT_COLOUR =
      effect(
          "light-colour",
          "Light",
          new ValueType.Colours(),
          Colour.of(Rgba.WHITE),
          "Colour of the lit side of a raised edge.");
  public static final Property<BlendMode> LIGHT_BLEND =
      effect(
          "light-blend",
          "Light blend",
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

  FinishProperties() {}
}
