package dynamorph.app.finish;

import dynamorph.app.message.Messages;
import dynamorph.app.property.Subject;
import dynamorph.model.property.Address;
import dynamorph.model.property.CoatProperties;
import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.BlendMode;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.Colour;
import dynamorph.model.value.DashFit;
import dynamorph.model.value.Dashes;
import dynamorph.model.value.EffectKind;
import dynamorph.model.value.Length;
import dynamorph.model.value.MaskKind;
import dynamorph.model.value.PaintKind;
import dynamorph.model.value.PatternTile;
import dynamorph.model.value.StrokeCap;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Which values of coats and effects are shown, and what new ones start with. */
final class FinishRows {
  /**
   * One or two values beside a label.
   *
   * @param second null for a single value
   */
  record Row(String label, PropertyKey<?> first, @Nullable PropertyKey<?> second) {}

  private FinishRows() {}

  static boolean isStroke(Subject now, Address coat) {
    return now.shown(Properties.COAT_KIND.at(coat)).value().orElse(CoatKind.FILL)
        == CoatKind.STROKE;
  }

  /** What a coat is painted with, or the mask of all coats; solid for none. */
  static PaintKind paint(Subject now, Address coat) {
    return coat.coat().equals(Address.WHOLE)
        ? now.shown(Properties.MASK.at(coat)).value().orElse(MaskKind.NONE).paint()
        : now.shown(Properties.COAT_PAINT.at(coat)).value().orElse(PaintKind.SOLID);
  }

  /** The rows of what all coats have together. */
  static List<Row> ofAll(Subject now, Address whole) {
    List<Row> rows = new ArrayList<>();
    rows.add(new Row(Messages.of("finish-rows.opacity"), Properties.COAT_OPACITY.at(whole), null));
    rows.add(new Row(Messages.of("finish-rows.blend"), Properties.COAT_BLEND.at(whole), null));
    rows.add(new Row(Properties.MASK.label(), Properties.MASK.at(whole), null));
    PaintKind mask = paint(now, whole);
    List<Row> more = new ArrayList<>();
    switch (mask) {
      case SOLID -> {}
      case LINEAR, RADIAL, CONIC -> addGradient(more, whole, mask);
      case PATTERN -> addPattern(more, now, whole);
    }
    for (Row row : more) {
      if (isOfAll(row.first)) {
        boolean both = row.second != null && isOfAll(row.second);
        rows.add(both ? row : new Row(row.label, row.first, null));
      }
    }
    return rows;
  }

  private static boolean isOfAll(PropertyKey<?> key) {
    return CoatProperties.OF_ALL_COATS.contains(key.property());
  }

  /** The rows of a coat, as many as mean something for it. */
  static List<Row> of(Subject now, Address coat) {
    List<Row> rows = new ArrayList<>();
    rows.add(new Row(Messages.of("finish-rows.opacity"), Properties.COAT_OPACITY.at(coat), null));
    rows.add(new Row(Messages.of("finish-rows.blend"), Properties.COAT_BLEND.at(coat), null));
    PaintKind paint = paint(now, coat);
    rows.add(new Row(Messages.of("finish-rows.paint"), Properties.COAT_PAINT.at(coat), null));
    switch (paint) {
      case SOLID -> {}
      case LINEAR, RADIAL, CONIC -> addGradient(rows, coat, paint);
      case PATTERN -> addPattern(rows, now, coat);
    }
    if (isStroke(now, coat)) {
      rows.add(new Row(Properties.STROKE_WIDTH.label(), Properties.STROKE_WIDTH.at(coat), null));
      rows.add(
          new Row(Properties.STROKE_POSITION.label(), Properties.STROKE_POSITION.at(coat), null));
    }
    rows.add(
        new Row(
            Messages.of("finish-rows.offset-join"),
            Properties.COAT_OFFSET.at(coat),
            Properties.STROKE_JOIN.at(coat)));
    if (isStroke(now, coat)) {
      rows.add(new Row(Messages.of("finish-rows.dashes"), Properties.DASHES.at(coat), null));
      boolean dashed =
          now.shown(Properties.DASHES.at(coat))
              .value()
              .map(dashes -> !dashes.isSolid())
              .orElse(true);
      if (dashed) {
        rows.add(new Row(Messages.of("finish-rows.dash-fit"), Properties.DASH_FIT.at(coat), null));
        rows.add(
            new Row(
                Messages.of("finish-rows.cap-dash-offset"),
                Properties.STROKE_CAP.at(coat),
                Properties.DASH_OFFSET.at(coat)));
      }
    }
    rows.add(
        new Row(
            Messages.of("finish-rows.miter-limit-name"),
            Properties.MITER_LIMIT.at(coat),
            Properties.COAT_NAME.at(coat)));
    return rows;
  }

  private static void addPattern(List<Row> rows, Subject now, Address coat) {
    boolean image =
        now.shown(Properties.TILE.at(coat)).value().orElse(PatternTile.DOTS) == PatternTile.IMAGE;
    rows.add(new Row(Messages.of("finish-rows.tile"), Properties.TILE.at(coat), null));
    if (image) {
      rows.add(new Row(Messages.of("finish-rows.image"), Properties.TILE_IMAGE.at(coat), null));
      rows.add(
          new Row(
              Messages.of("finish-rows.size-angle"),
              Properties.TILE_SIZE.at(coat),
              Properties.TILE_ANGLE.at(coat)));
    } else {
      rows.add(
          new Row(
              Messages.of("finish-rows.background"), Properties.TILE_BACKGROUND.at(coat), null));
      rows.add(
          new Row(
              Messages.of("finish-rows.size-weight"),
              Properties.TILE_SIZE.at(coat),
              Properties.TILE_WEIGHT.at(coat)));
      rows.add(new Row(Messages.of("finish-rows.rotation"), Properties.TILE_ANGLE.at(coat), null));
    }
    rows.add(new Row("X, Y", Properties.TILE_X.at(coat), Properties.TILE_Y.at(coat)));
    rows.add(new Row(Messages.of("finish-rows.fit-to"), Properties.PAINT_FIT.at(coat), null));
  }

  /** How a coat is moved and turned. */
  static List<Row> pose(Address coat) {
    return List.of(
        new Row(
            Messages.of("finish-rows.translate-x-y"),
            Properties.COAT_X.at(coat),
            Properties.COAT_Y.at(coat)),
        new Row(
            Messages.of("finish-rows.scale"),
            Properties.COAT_SCALE_X.at(coat),
            Properties.COAT_SCALE_Y.at(coat)),
        new Row(
            Messages.of("finish-rows.rotation-origin"),
            Properties.COAT_ROTATION.at(coat),
            Properties.TRANSFORM_ORIGIN.at(coat)));
  }

  /** How a coat is repeated. */
  static List<Row> copies(Address coat) {
    return List.of(
        new Row(
            Messages.of("finish-rows.copies-end-opacity"),
            Properties.COPIES.at(coat),
            Properties.END_OPACITY.at(coat)),
        new Row(
            Messages.of("finish-rows.step-x-y"),
            Properties.STEP_X.at(coat),
            Properties.STEP_Y.at(coat)),
        new Row(
            Messages.of("finish-rows.step-scale-rotation"),
            Properties.STEP_SCALE.at(coat),
            Properties.STEP_ROTATION.at(coat)),
        new Row(
            Messages.of("finish-rows.end-colour"),
            Properties.COLOURS_STEPPED.at(coat),
            Properties.END_COLOUR.at(coat)));
  }

  /** Whether any of these is other than it is by default. */
  static boolean areUsed(Subject now, List<Row> rows) {
    return rows.stream().anyMatch(row -> isUsed(now, row.first()) || isUsed(now, row.second()));
  }

  private static <T> boolean isUsed(Subject now, @Nullable PropertyKey<T> key) {
    return key != null
        && !now.shown(key)
            .value()
            .map(value -> value.equals(key.property().defaultValue()))
            .orElse(false);
  }

  /** Whether an effect is cast to one side. */
  static boolean isCast(Subject now, Address effect) {
    EffectKind kind = now.shown(Properties.EFFECT_KIND.at(effect)).value().orElse(EffectKind.BLUR);
    return kind == EffectKind.DROP_SHADOW || kind == EffectKind.INNER_SHADOW;
  }

  private static void addGradient(List<Row> rows, Address coat, PaintKind paint) {
    rows.add(new Row("", Properties.GRADIENT_STOPS.at(coat), null));
    boolean radial = paint == PaintKind.RADIAL;
    rows.add(
        radial
            ? new Row(
                Messages.of("finish-rows.shape-scale"),
                Properties.RADIAL_SHAPE.at(coat),
                Properties.GRADIENT_SCALE.at(coat))
            : new Row(
                Messages.of("finish-rows.angle-scale"),
                Properties.GRADIENT_ANGLE.at(coat),
                Properties.GRADIENT_SCALE.at(coat)));
    if (radial) {
      rows.add(
          new Row(
              Messages.of("finish-rows.aspect-rotation"),
              Properties.RADIAL_ASPECT.at(coat),
              Properties.RADIAL_ROTATION.at(coat)));
    }
    rows.add(
        new Row(
            Messages.of("finish-rows.centre-x-y"),
            Properties.GRADIENT_X.at(coat),
            Properties.GRADIENT_Y.at(coat)));
    if (radial) {
      rows.add(
          new Row(
              Messages.of("finish-rows.focal-x-y"),
              Properties.FOCAL_X.at(coat),
              Properties.FOCAL_Y.at(coat)));
    }
    rows.add(
        new Row(
            Messages.of("finish-rows.offset-repeat"),
            Properties.GRADIENT_OFFSET.at(coat),
            Properties.GRADIENT_REPEAT.at(coat)));
    rows.add(new Row(Messages.of("finish-rows.fit-to"), Properties.PAINT_FIT.at(coat), null));
    rows.add(
        new Row(Messages.of("finish-rows.interpolation"), Properties.INTERPOLATION.at(coat), null));
  }

  /** The rows of an effect, as many as mean something for its kind. */
  static List<Row> ofEffect(Subject now, Address at) {
    List<Row> rows = new ArrayList<>();
    EffectKind kind =
        now.shown(Properties.EFFECT_KIND.at(at)).value().orElse(EffectKind.DROP_SHADOW);
    Row opacity =
        new Row(Messages.of("finish-rows.opacity"), Properties.EFFECT_OPACITY.at(at), null);
    Row blend = new Row(Messages.of("finish-rows.blend"), Properties.EFFECT_BLEND.at(at), null);
    Row soft =
        new Row(
            Messages.of("finish-rows.blur-spread"),
            Properties.SHADOW_BLUR.at(at),
            Properties.EFFECT_SPREAD.at(at));
    Row directed =
        new Row(
            Messages.of("finish-rows.across-angle"),
            Properties.BLUR_ASPECT.at(at),
            Properties.BLUR_ANGLE.at(at));
    Row moved = new Row("X, Y", Properties.SHADOW_X.at(at), Properties.SHADOW_Y.at(at));
    Row knocked =
        new Row(Messages.of("finish-rows.knockout"), Properties.SHADOW_KNOCKOUT.at(at), null);
    switch (kind) {
      case DROP_SHADOW -> rows.addAll(List.of(opacity, blend, soft, directed, moved, knocked));
      case INNER_SHADOW -> rows.addAll(List.of(opacity, blend, soft, directed, moved));
      case OUTER_GLOW -> rows.addAll(List.of(opacity, blend, soft, directed, knocked));
      case INNER_GLOW ->
          rows.addAll(
              List.of(
                  opacity,
                  blend,
                  soft,
                  directed,
                  new Row(Messages.of("finish-rows.source"), Properties.GLOW_SOURCE.at(at), null)));
      case BLUR -> rows.add(directed);
      case BEVEL ->
          rows.addAll(
              List.of(
                  new Row(
                      Messages.of("finish-rows.width-depth"),
                      Properties.BEVEL_WIDTH.at(at),
                      Properties.EDGE_DEPTH.at(at)),
                  new Row(
                      Messages.of("finish-rows.azimuth-elevation"),
                      Properties.LIGHT_AZIMUTH.at(at),
                      Properties.LIGHT_ELEVATION.at(at)),
                  new Row(
                      Messages.of("finish-rows.highlight-blend"),
                      Properties.HIGHLIGHT_BLEND.at(at),
                      null),
                  new Row(Messages.of("finish-rows.shade"), Properties.SHADE_COLOUR.at(at), null),
                  new Row(
                      Messages.of("finish-rows.shade-blend"), Properties.SHADE_BLEND.at(at), null),
                  new Row(
                      Messages.of("finish-rows.opacity"), Properties.EFFECT_OPACITY.at(at), null)));
    }
    rows.add(
        new Row(
            Messages.of("finish-rows.order-name"),
            Properties.EFFECT_ORDER.at(at),
            Properties.EFFECT_NAME.at(at)));
    return rows;
  }

  static String name(EffectKind kind) {
    return switch (kind) {
      case DROP_SHADOW -> Messages.of("finish-rows.drop-shadow");
      case INNER_SHADOW -> Messages.of("finish-rows.inner-shadow");
      case OUTER_GLOW -> Messages.of("finish-rows.outer-glow");
      case INNER_GLOW -> Messages.of("finish-rows.inner-glow");
      case BLUR -> Messages.of("finish-rows.blur");
      case BEVEL -> Messages.of("finish-rows.bevel");
    };
  }

  /** What an effect of a kind is called in paths. */
  static String id(EffectKind kind) {
    return switch (kind) {
      case DROP_SHADOW -> "shadow";
      case INNER_SHADOW -> "inner-shadow";
      case OUTER_GLOW -> "glow";
      case INNER_GLOW -> "inner-glow";
      case BLUR -> "blur";
      case BEVEL -> "edge";
    };
  }

  /** The values of a new effect, which show it at once. */
  static PropertySet start(Address at, EffectKind kind) {
    PropertySet values =
        PropertySet.EMPTY
            .with(Properties.EFFECT_KIND.at(at), kind)
            .with(Properties.EFFECT_REMOVED.at(at), false);
    return switch (kind) {
      case DROP_SHADOW, INNER_SHADOW, BLUR -> values;
      case OUTER_GLOW ->
          values
              .with(Properties.EFFECT_COLOUR.at(at), Colour.hex("#ffd98a"))
              .with(Properties.EFFECT_OPACITY.at(at), 0.8)
              .with(Properties.SHADOW_BLUR.at(at), Length.em(0.12));
      case INNER_GLOW ->
          values
              .with(Properties.EFFECT_COLOUR.at(at), Colour.hex("#fff6d8"))
              .with(Properties.EFFECT_OPACITY.at(at), 0.7)
              .with(Properties.EFFECT_BLEND.at(at), BlendMode.SCREEN)
              .with(Properties.SHADOW_BLUR.at(at), Length.em(0.08));
      case BEVEL -> values.with(Properties.EFFECT_OPACITY.at(at), 0.7);
    };
  }

  /** Dots of a stroke's width, about two widths apart, evenly spaced. */
  static PropertySet dots(Subject now, Address coat) {
    Length width = now.shown(Properties.STROKE_WIDTH.at(coat)).value().orElse(Length.em(0.03));
    Length gap = new Length(Math.max(1e-3, width.amount() * 2.5), width.unit());
    return PropertySet.EMPTY
        .with(Properties.DASHES.at(coat), new Dashes(List.of(Length.ZERO, gap)))
        .with(Properties.DASH_FIT.at(coat), DashFit.CONTOUR)
        .with(Properties.STROKE_CAP.at(coat), StrokeCap.ROUND);
  }

  /** All values of one coat or effect that differ from their defaults, for another. */
  static PropertySet copied(Subject now, Address from, Address to) {
    PropertySet values = PropertySet.EMPTY;
    for (Property<?> property : Properties.of(from.part()).toList()) {
      values = withCopy(values, now, property, from, to);
    }
    return values;
  }

  private static <T> PropertySet withCopy(
      PropertySet values, Subject now, Property<T> property, Address from, Address to) {
    boolean kind = property.equals(Properties.COAT_KIND) || property.equals(Properties.EFFECT_KIND);
    Optional<T> value = now.shown(property.at(from)).declared();
    return value.isPresent() && (kind || !value.get().equals(property.defaultValue()))
        ? values.with(property.at(to), value.get())
        : values;
  }
}
