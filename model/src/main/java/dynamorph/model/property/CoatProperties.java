package dynamorph.model.property;

import static dynamorph.model.property.Registry.coat;

import dynamorph.model.message.Messages;
import dynamorph.model.value.BlendMode;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.Colour;
import dynamorph.model.value.DashFit;
import dynamorph.model.value.Dashes;
import dynamorph.model.value.GradientStops;
import dynamorph.model.value.Interpolation;
import dynamorph.model.value.Length;
import dynamorph.model.value.MaskKind;
import dynamorph.model.value.PaintBounds;
import dynamorph.model.value.PaintKind;
import dynamorph.model.value.PatternTile;
import dynamorph.model.value.RadialShape;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.SpreadMethod;
import dynamorph.model.value.StrokeCap;
import dynamorph.model.value.StrokeJoin;
import dynamorph.model.value.StrokePosition;
import java.util.List;

/**
 * The properties of coats. A coat is itself nothing but values under its address: it is there when
 * its {@link #COAT_KIND} is set by any level, so a narrower level can insert a coat, patch one
 * parameter of an inherited one, hide it ({@link #COAT_SHOWN}), take it away ({@link
 * #COAT_REMOVED}) or move it ({@link #COAT_ORDER}).
 */
public abstract sealed class CoatProperties extends ParagraphProperties permits EffectProperties {
  public static final Property<CoatKind> COAT_KIND =
      coat("kind", new ValueType.Choice<>(CoatKind.class), CoatKind.FILL);
  public static final Property<String> COAT_NAME =
      coat("name", new ValueType.Written<>(String.class, String::strip, "^.*$", "a name"), "");
  public static final Property<Double> COAT_ORDER =
      coat("order", new ValueType.Number(-1e6, 1e6, ""), 0.0);
  public static final Property<Boolean> COAT_SHOWN = coat("shown", new ValueType.Flag(), true);
  public static final Property<Boolean> COAT_REMOVED = coat("removed", new ValueType.Flag(), false);
  public static final Property<Double> COAT_OPACITY =
      coat("opacity", new ValueType.Number(0, 1, ""), 1.0);
  public static final Property<BlendMode> COAT_BLEND =
      coat("blend", new ValueType.Choice<>(BlendMode.class), BlendMode.NORMAL);
  public static final Property<PaintKind> COAT_PAINT =
      coat("paint", new ValueType.Choice<>(PaintKind.class), PaintKind.SOLID);
  public static final Property<Colour> COAT_COLOUR =
      coat("colour", new ValueType.Colours(), Colour.of(Rgba.BLACK));
  public static final Property<GradientStops> GRADIENT_STOPS =
      coat(
          "stops",
          new ValueType.Written<>(
              GradientStops.class,
              GradientStops::parse,
              "^\\S+ +[0-9.]+ ?%.*$",
              Messages.of("coat-properties.stops-such-as-fbe6a2-0-swatch")),
          GradientStops.PLAIN);
  public static final Property<Double> GRADIENT_ANGLE =
      coat("angle", new ValueType.Number(-3600, 3600, "\u00b0"), 90.0);
  public static final Property<Double> GRADIENT_X =
      coat("centre-x", new ValueType.Number(-1000, 1000, "%"), 50.0);
  public static final Property<Double> GRADIENT_Y =
      coat("centre-y", new ValueType.Number(-1000, 1000, "%"), 50.0);
  public static final Property<RadialShape> RADIAL_SHAPE =
      coat("radial-shape", new ValueType.Choice<>(RadialShape.class), RadialShape.ELLIPSE);
  public static final Property<Double> RADIAL_ASPECT =
      coat("aspect", new ValueType.Number(1, 10_000, "%"), 100.0);
  public static final Property<Double> RADIAL_ROTATION =
      coat("gradient-rotation", new ValueType.Number(-3600, 3600, "\u00b0"), 0.0);
  public static final Property<Double> FOCAL_X =
      coat("focal-x", new ValueType.Number(-100, 100, "%"), 0.0);
  public static final Property<Double> FOCAL_Y =
      coat("focal-y", new ValueType.Number(-100, 100, "%"), 0.0);
  public static final Property<Double> GRADIENT_SCALE =
      coat("gradient-scale", new ValueType.Number(1, 100_000, "%"), 100.0);
  public static final Property<Double> GRADIENT_OFFSET =
      coat("gradient-offset", new ValueType.Number(-10_000, 10_000, "%"), 0.0);
  public static final Property<SpreadMethod> GRADIENT_REPEAT =
      coat("repeat", new ValueType.Choice<>(SpreadMethod.class), SpreadMethod.PAD);
  public static final Property<PaintBounds> PAINT_FIT =
      coat("fit", new ValueType.Choice<>(PaintBounds.class), PaintBounds.LAYER);
  public static final Property<Interpolation> INTERPOLATION =
      coat("interpolation", new ValueType.Choice<>(Interpolation.class), Interpolation.OKLAB);
  public static final Property<PatternTile> TILE =
      coat("tile", new ValueType.Choice<>(PatternTile.class), PatternTile.DOTS);
  public static final Property<Length> TILE_SIZE =
      coat("tile-size", new ValueType.Lengths(0.001, 10_000), Length.em(0.1));
  public static final Property<Double> TILE_WEIGHT =
      coat("tile-weight", new ValueType.Number(0, 100, "%"), 50.0);
  public static final Property<Double> TILE_ANGLE =
      coat("tile-angle", new ValueType.Number(-3600, 3600, "\u00b0"), 0.0);
  public static final Property<Length> TILE_X = coat("tile-x", Registry.SIGNED_LENGTH, Length.ZERO);
  public static final Property<Length> TILE_Y = coat("tile-y", Registry.SIGNED_LENGTH, Length.ZERO);
  public static final Property<Colour> TILE_BACKGROUND =
      coat("tile-background", new ValueType.Colours(), Colour.hex("#00000000"));
  public static final Property<String> TILE_IMAGE =
      coat(
          "tile-image",
          new ValueType.Written<>(
              String.class,
              String::strip,
              "^.*$",
              Messages.of("coat-properties.the-name-of-an-image")),
          "");
  public static final Property<Length> COAT_OFFSET =
      coat("offset", Registry.SIGNED_LENGTH, Length.ZERO);
  public static final Property<Length> STROKE_WIDTH =
      coat("width", new ValueType.Lengths(0, 10_000), Length.points(1));
  public static final Property<StrokePosition> STROKE_POSITION =
      coat("position", new ValueType.Choice<>(StrokePosition.class), StrokePosition.CENTRE);
  public static final Property<StrokeJoin> STROKE_JOIN =
      coat("join", new ValueType.Choice<>(StrokeJoin.class), StrokeJoin.MITER);
  public static final Property<Double> MITER_LIMIT =
      coat("miter-limit", new ValueType.Number(1, 100, ""), 4.0);
  public static final Property<StrokeCap> STROKE_CAP =
      coat("cap", new ValueType.Choice<>(StrokeCap.class), StrokeCap.BUTT);
  public static final Property<Dashes> DASHES =
      coat(
          "dashes",
          new ValueType.Written<>(
              Dashes.class,
              Dashes::parse,
              "^(none|[0-9.]+ ?(pt|em)?(, ?[0-9.]+ ?(pt|em)?)*)$",
              Messages.of("coat-properties.lengths-such-as-0-2-em")),
          Dashes.NONE);
  public static final Property<Length> DASH_OFFSET =
      coat("dash-offset", Registry.SIGNED_LENGTH, Length.ZERO);
  public static final Property<DashFit> DASH_FIT =
      coat("dash-fit", new ValueType.Choice<>(DashFit.class), DashFit.EXACT);
  public static final Property<Length> COAT_X =
      coat("translate-x", Registry.SIGNED_LENGTH, Length.ZERO);
  public static final Property<Length> COAT_Y =
      coat("translate-y", Registry.SIGNED_LENGTH, Length.ZERO);
  public static final Property<Double> COAT_SCALE_X =
      coat("scale-x", new ValueType.Number(-10_000, 10_000, "%"), 100.0);
  public static final Property<Double> COAT_SCALE_Y =
      coat("scale-y", new ValueType.Number(-10_000, 10_000, "%"), 100.0);
  public static final Property<Double> COAT_ROTATION =
      coat("rotation", new ValueType.Number(-3600, 3600, "\u00b0"), 0.0);
  public static final Property<PaintBounds> TRANSFORM_ORIGIN =
      coat("transform-origin", new ValueType.Choice<>(PaintBounds.class), PaintBounds.LAYER);
  public static final Property<Double> COPIES =
      coat("copies", new ValueType.Number(0, 500, ""), 0.0);
  public static final Property<Length> STEP_X =
      coat("step-x", Registry.SIGNED_LENGTH, Length.em(0.01));
  public static final Property<Length> STEP_Y =
      coat("step-y", Registry.SIGNED_LENGTH, Length.em(0.01));
  public static final Property<Double> STEP_SCALE =
      coat("step-scale", new ValueType.Number(1, 1000, "%"), 100.0);
  public static final Property<Double> STEP_ROTATION =
      coat("step-rotation", new ValueType.Number(-360, 360, "\u00b0"), 0.0);
  public static final Property<Boolean> COLOURS_STEPPED =
      coat("colours-stepped", new ValueType.Flag(), false);
  public static final Property<Colour> END_COLOUR =
      coat("end-colour", new ValueType.Colours(), Colour.of(Rgba.BLACK));
  public static final Property<Double> END_OPACITY =
      coat("end-opacity", new ValueType.Number(0, 1, ""), 1.0);

  /** Only of all coats together. */
  public static final Property<MaskKind> MASK =
      coat("mask", new ValueType.Choice<>(MaskKind.class), MaskKind.NONE);

  /** What all coats together have: how they lie over what is below, and a mask with its paint. */
  public static final List<Property<?>> OF_ALL_COATS =
      List.of(
          COAT_OPACITY,
          COAT_BLEND,
          MASK,
          GRADIENT_STOPS,
          GRADIENT_ANGLE,
          GRADIENT_X,
          GRADIENT_Y,
          RADIAL_SHAPE,
          RADIAL_ASPECT,
          RADIAL_ROTATION,
          FOCAL_X,
          FOCAL_Y,
          GRADIENT_SCALE,
          GRADIENT_OFFSET,
          GRADIENT_REPEAT,
          INTERPOLATION,
          TILE,
          TILE_SIZE,
          TILE_WEIGHT,
          TILE_ANGLE,
          TILE_X,
          TILE_Y,
          TILE_IMAGE);

  CoatProperties() {}
}
