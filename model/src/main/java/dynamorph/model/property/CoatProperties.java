package dynamorph.model.property;

import static dynamorph.model.property.Registry.coat;

import dynamorph.model.value.BlendMode;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.Colour;
import dynamorph.model.value.DashFit;
import dynamorph.model.value.Dashes;
import dynamorph.model.value.GradientStops;
import dynamorph.model.value.Interpolation;
import dynamorph.model.value.Length;
import dynamorph.model.value.PaintBounds;
import dynamorph.model.value.PaintKind;
import dynamorph.model.value.PatternTile;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.SpreadMethod;
import dynamorph.model.value.StrokeCap;
import dynamorph.model.value.StrokeJoin;
import dynamorph.model.value.StrokePosition;

/**
 * The properties of coats. A coat is itself nothing but values under its address: it is there when
 * its {@link #COAT_KIND} is set by any level, so a narrower level can insert a coat, patch one
 * parameter of an inherited one, hide it ({@link #COAT_SHOWN}), take it away ({@link
 * #COAT_REMOVED}) or move it ({@link #COAT_ORDER}).
 */
public abstract sealed class CoatProperties extends ParagraphProperties permits EffectProperties {
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
          "One colour, a gradient or a pattern.");
  public static final Property<Colour> COAT_COLOUR =
      coat(
          "colour",
          "Colour",
          new ValueType.Colours(),
          Colour.of(Rgba.BLACK),
          "What a solid coat, or the marks of a pattern, are painted with.");
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
  public static final Property<Double> GRADIENT_X =
      coat(
          "centre-x",
          "Centre X",
          new ValueType.Number(-1000, 1000, "%"),
          50.0,
          "Where the middle of a gradient lies in the width of what it is fitted to.");
  public static final Property<Double> GRADIENT_Y =
      coat(
          "centre-y",
          "Centre Y",
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
  public static final Property<SpreadMethod> GRADIENT_REPEAT =
      coat(
          "repeat",
          "Repeat",
          new ValueType.Choice<>(SpreadMethod.class),
          SpreadMethod.ONCE,
          "How a gradient goes on beyond its ends.");
  public static final Property<PaintBounds> PAINT_FIT =
      coat(
          "fit",
          "Fit to",
          new ValueType.Choice<>(PaintBounds.class),
          PaintBounds.LAYER,
          "What a gradient is fitted to, or a pattern begins at.");
  public static final Property<Interpolation> INTERPOLATION =
      coat(
          "interpolation",
          "Interpolation",
          new ValueType.Choice<>(Interpolation.class),
          Interpolation.OKLAB,
          "The space in which colours between stops are mixed.");
  public static final Property<PatternTile> TILE =
      coat(
          "tile",
          "Tile",
          new ValueType.Choice<>(PatternTile.class),
          PatternTile.DOTS,
          "What is repeated in a pattern.");
  public static final Property<Length> TILE_SIZE =
      coat(
          "tile-size",
          "Tile size",
          new ValueType.Lengths(0.001, 10_000),
          Length.em(0.1),
          "How far a tile is from the next, or how wide an image is.");
  public static final Property<Double> TILE_WEIGHT =
      coat(
          "tile-weight",
          "Weight",
          new ValueType.Number(0, 100, "%"),
          50.0,
          "How much of a tile its mark takes up.");
  public static final Property<Double> TILE_ANGLE =
      coat(
          "tile-angle",
          "Tile angle",
          new ValueType.Number(-3600, 3600, "\u00b0"),
          0.0,
          "How far a pattern is turned clockwise.");
  public static final Property<Length> TILE_X =
      coat(
          "tile-x",
          "Tile X",
          Registry.SIGNED_LENGTH,
          Length.ZERO,
          "How far a pattern is moved to the right.");
  public static final Property<Length> TILE_Y =
      coat(
          "tile-y",
          "Tile Y",
          Registry.SIGNED_LENGTH,
          Length.ZERO,
          "How far a pattern is moved downwards.");
  public static final Property<Colour> TILE_BACKGROUND =
      coat(
          "tile-background",
          "Background",
          new ValueType.Colours(),
          Colour.hex("#00000000"),
          "What lies between the marks of a pattern.");
  public static final Property<String> TILE_IMAGE =
      coat(
          "tile-image",
          "Image",
          new ValueType.Written<>(String.class, String::strip, "^.*$", "the name of an image"),
          "",
          "The image of the project that is repeated.");
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
          "cap", "Cap", new ValueType.Choice<>(StrokeCap.class), StrokeCap.BUTT, "How dashes end.");
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
  public static final Property<Length> DASH_OFFSET =
      coat(
          "dash-offset",
          "Dash offset",
          Registry.SIGNED_LENGTH,
          Length.ZERO,
          "How far into the dashes a contour begins.");
  public static final Property<DashFit> DASH_FIT =
      coat(
          "dash-fit",
          "Dash fit",
          new ValueType.Choice<>(DashFit.class),
          DashFit.EXACT,
          "Whether dashes keep their lengths, go evenly around, or lie on the corners.");
  public static final Property<Length> COAT_X =
      coat(
          "translate-x",
          "Translate X",
          Registry.SIGNED_LENGTH,
          Length.ZERO,
          "How far the coat is moved to the right.");
  public static final Property<Length> COAT_Y =
      coat(
          "translate-y",
          "Translate Y",
          Registry.SIGNED_LENGTH,
          Length.ZERO,
          "How far the coat is moved downwards.");
  public static final Property<Double> COAT_SCALE_X =
      coat(
          "scale-x",
          "Horizontal scale",
          new ValueType.Number(-10_000, 10_000, "%"),
          100.0,
          "How wide the coat is drawn; negative mirrors it.");
  public static final Property<Double> COAT_SCALE_Y =
      coat(
          "scale-y",
          "Vertical scale",
          new ValueType.Number(-10_000, 10_000, "%"),
          100.0,
          "How high the coat is drawn; negative mirrors it.");
  public static final Property<Double> COAT_ROTATION =
      coat(
          "rotation",
          "Rotation",
          new ValueType.Number(-3600, 3600, "\u00b0"),
          0.0,
          "How far the coat is turned clockwise.");
  public static final Property<PaintBounds> TRANSFORM_ORIGIN =
      coat(
          "transform-origin",
          "Transform origin",
          new ValueType.Choice<>(PaintBounds.class),
          PaintBounds.LAYER,
          "About the middle of what it, and each of its copies, is scaled and turned.");
  public static final Property<Double> COPIES =
      coat(
          "copies",
          "Copies",
          new ValueType.Number(0, 500, ""),
          0.0,
          "How many more times the coat is drawn, each below the one before and moved on by the step.");
  public static final Property<Length> STEP_X =
      coat(
          "step-x",
          "Step X",
          Registry.SIGNED_LENGTH,
          Length.em(0.01),
          "How far each copy is moved to the right.");
  public static final Property<Length> STEP_Y =
      coat(
          "step-y",
          "Step Y",
          Registry.SIGNED_LENGTH,
          Length.em(0.01),
          "How far each copy is moved downwards.");
  public static final Property<Double> STEP_SCALE =
      coat(
          "step-scale",
          "Step scale",
          new ValueType.Number(1, 1000, "%"),
          100.0,
          "How large each copy is, in parts of the one before.");
  public static final Property<Double> STEP_ROTATION =
      coat(
          "step-rotation",
          "Step rotation",
          new ValueType.Number(-360, 360, "\u00b0"),
          0.0,
          "How far each copy is turned clockwise.");
  public static final Property<Boolean> COLOURS_STEPPED =
      coat(
          "colours-stepped",
          "Step colours",
          new ValueType.Flag(),
          false,
          "Whether copies go over, step by step, into the last colour.");
  public static final Property<Colour> END_COLOUR =
      coat(
          "end-colour",
          "End colour",
          new ValueType.Colours(),
          Colour.of(Rgba.BLACK),
          "The colour of the last copy, if colours are stepped.");
  public static final Property<Double> END_OPACITY =
      coat(
          "end-opacity",
          "End opacity",
          new ValueType.Number(0, 1, ""),
          1.0,
          "How opaque the last copy is; those between are stepped.");

  CoatProperties() {}
}
