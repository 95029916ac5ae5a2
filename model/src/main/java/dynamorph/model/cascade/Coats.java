package dynamorph.model.cascade;

import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.BlendMode;
import dynamorph.model.value.Colour;
import dynamorph.model.value.Length;
import dynamorph.model.value.PaintKind;
import dynamorph.model.value.PatternTile;
import dynamorph.model.value.Rgba;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/** Reads the coats out of a complete set of values. */
public final class Coats {
  private Coats() {}

  /** The coats of a host that are there, shown or not, in paint order. */
  public static List<Address> of(PropertySet values, String host) {
    return present(
        values,
        Properties.COAT_KIND,
        Properties.COAT_REMOVED,
        Properties.COAT_ORDER,
        address -> address.host().equals(host));
  }

  /** The effects of a coat that are there, shown or not, in order. */
  public static List<Address> effects(PropertySet values, Address coat) {
    return present(
        values,
        Properties.EFFECT_KIND,
        Properties.EFFECT_REMOVED,
        Properties.EFFECT_ORDER,
        address -> address.ownCoat().equals(coat));
  }

  /** The value of a key, or its property's default where the set leaves it open. */
  public static <T> T value(PropertySet values, PropertyKey<T> key) {
    return values.get(key).orElse(key.property().defaultValue());
  }

  /**
   * Whether complete sets give something differently; a coat that one has and the other has not
   * does.
   */
  public static <T> boolean differ(PropertyKey<T> key, PropertySet one, PropertySet other) {
    return key.isKind()
        ? !one.get(key).equals(other.get(key))
        : !value(one, key).equals(value(other, key));
  }

  /** Mostly there are few and often none, which is asked for every distinct look. */
  private static List<Address> present(
      PropertySet values,
      Property<?> kind,
      Property<Boolean> removed,
      Property<Double> order,
      Predicate<Address> wanted) {
    List<Address> present = List.of();
    for (PropertyKey<?> key : values.keysOfCoats()) {
      if (key.property().equals(kind)
          && wanted.test(key.address())
          && !value(values, removed.at(key.address()))) {
        present = present.isEmpty() ? new ArrayList<>(4) : present;
        present.add(key.address());
      }
    }
    if (present.size() > 1) {
      present.sort(
          Comparator.<Address>comparingDouble(address -> value(values, order.at(address)))
              .thenComparing(Comparator.naturalOrder()));
    }
    return Collections.unmodifiableList(present);
  }

  /** What shows, ready to paint on text of a size in points. */
  static Finish finish(PropertySet values, String host, ProjectAssets materials, double size) {
    Reader reader = new Reader(values, materials, size);
    List<Coat> coats = new ArrayList<>(4);
    for (Address address : of(values, host)) {
      if (value(values, Properties.COAT_SHOWN.at(address))) {
        coats.add(reader.coat(address));
      }
    }
    return coats.isEmpty()
        ? Finish.NONE
        : new Finish(
            coats, reader.shownEffects(Address.whole(host)), reader.group(Address.whole(host)));
  }

  static double points(PropertySet values, PropertyKey<Length> key, double size) {
    return value(values, key).toPoints(size);
  }

  /** Reads coats of one text. */
  private record Reader(PropertySet values, ProjectAssets materials, double size) {
    private <T> T get(Property<T> property, Address address) {
      return value(values, property.at(address));
    }

    private double points(Property<Length> property, Address address) {
      return get(property, address).toPoints(size);
    }

    private Rgba colour(Property<Colour> property, Address address) {
      return materials.colour(get(property, address));
    }

    Coat coat(Address at) {
      Coat.Corner corner =
          new Coat.Corner(get(Properties.STROKE_JOIN, at), get(Properties.MITER_LIMIT, at));
      double offset = points(Properties.COAT_OFFSET, at);
      Coat.Shape shape =
          switch (get(Properties.COAT_KIND, at)) {
            case FILL -> new Coat.Fill(offset, corner);
            case STROKE ->
                new Coat.Stroke(
                    points(Properties.STROKE_WIDTH, at),
                    get(Properties.STROKE_POSITION, at),
                    offset,
                    corner,
                    get(Properties.STROKE_CAP, at),
                    dashing(at));
          };
      return new Coat(
          shape,
          paint(get(Properties.COAT_PAINT, at), at),
          get(Properties.COAT_OPACITY, at),
          get(Properties.COAT_BLEND, at),
          pose(at),
          copies(at),
          shownEffects(at));
    }

    Finish.Group group(Address at) {
      return new Finish.Group(
          get(Properties.COAT_OPACITY, at),
          get(Properties.COAT_BLEND, at),
          Optional.of(get(Properties.MASK, at).paint())
              .filter(kind -> kind != PaintKind.SOLID)
              .map(kind -> paint(kind, at)));
    }

    private Coat.Transform pose(Address at) {
      return new Coat.Transform(
          points(Properties.COAT_X, at),
          points(Properties.COAT_Y, at),
          get(Properties.COAT_SCALE_X, at) / 100,
          get(Properties.COAT_SCALE_Y, at) / 100,
          get(Properties.COAT_ROTATION, at),
          get(Properties.TRANSFORM_ORIGIN, at));
    }

    private Coat.Copies copies(Address at) {
      int count = (int) Math.round(get(Properties.COPIES, at));
      return count == 0
          ? Coat.Copies.NONE
          : new Coat.Copies(
              count,
              points(Properties.STEP_X, at),
              points(Properties.STEP_Y, at),
              get(Properties.STEP_SCALE, at) / 100,
              get(Properties.STEP_ROTATION, at),
              Optional.of(colour(Properties.END_COLOUR, at))
                  .filter(_ -> get(Properties.COLOURS_STEPPED, at)),
              get(Properties.END_OPACITY, at));
    }

    private Coat.Dashing dashing(Address at) {
      List<Double> lengths =
          get(Properties.DASHES, at).lengths().stream()
              .map(length -> length.toPoints(size))
              .toList();
      if (lengths.isEmpty()) {
        return Coat.Dashing.SOLID;
      }
      List<Double> even = new ArrayList<>(lengths);
      if (lengths.size() % 2 == 1) {
        even.addAll(lengths);
      }
      return new Coat.Dashing(
          even, points(Properties.DASH_OFFSET, at), get(Properties.DASH_FIT, at));
    }

    private Paint paint(PaintKind kind, Address at) {
      return switch (kind) {
        case SOLID -> new Paint.Solid(colour(Properties.COAT_COLOUR, at));
        case LINEAR -> gradient(at, Paint.Course.LINEAR);
        case RADIAL -> gradient(at, Paint.Course.RADIAL);
        case CONIC -> gradient(at, Paint.Course.CONIC);
        case PATTERN -> pattern(at);
      };
    }

    /** Those of a mask let everything show. */
    private Rgba marks(Address at) {
      return at.coat().equals(Address.WHOLE) ? Rgba.WHITE : colour(Properties.COAT_COLOUR, at);
    }

    private Paint pattern(Address at) {
      PatternTile tile = get(Properties.TILE, at);
      return new Paint.Pattern(
          tile,
          marks(at),
          colour(Properties.TILE_BACKGROUND, at),
          points(Properties.TILE_SIZE, at),
          get(Properties.TILE_WEIGHT, at) / 100,
          get(Properties.TILE_ANGLE, at),
          points(Properties.TILE_X, at),
          points(Properties.TILE_Y, at),
          get(Properties.PAINT_FIT, at),
          tile == PatternTile.IMAGE
              ? materials.image(get(Properties.TILE_IMAGE, at))
              : Optional.empty());
    }

    private Paint gradient(Address at, Paint.Course course) {
      List<Paint.Stop> stops =
          get(Properties.GRADIENT_STOPS, at).stops().stream()
              .map(stop ->
                  new Paint.Stop(
                      materials.colour(stop.colour()).faded(stop.opacity()), stop.position()))
              .toList();
      return new Paint.Gradient(
          course,
          stops,
          get(Properties.GRADIENT_ANGLE, at),
          get(Properties.GRADIENT_X, at) / 100,
          get(Properties.GRADIENT_Y, at) / 100,
          new Paint.Radial(
              get(Properties.RADIAL_SHAPE, at),
              get(Properties.RADIAL_ASPECT, at) / 100,
              get(Properties.RADIAL_ROTATION, at),
              get(Properties.FOCAL_X, at) / 100,
              get(Properties.FOCAL_Y, at) / 100),
          get(Properties.GRADIENT_SCALE, at) / 100,
          get(Properties.GRADIENT_OFFSET, at) / 100,
          get(Properties.GRADIENT_REPEAT, at),
          get(Properties.PAINT_FIT, at),
          get(Properties.INTERPOLATION, at));
    }

    List<Effect> shownEffects(Address coat) {
      List<Address> there = effects(values, coat);
      return there.isEmpty()
          ? List.of()
          : there.stream()
              .filter(effect -> get(Properties.EFFECT_SHOWN, effect))
              .map(this::effect)
              .toList();
    }

    private Effect effect(Address at) {
      double opacity = get(Properties.EFFECT_OPACITY, at);
      Rgba colour = colour(Properties.EFFECT_COLOUR, at).faded(opacity);
      BlendMode blend = get(Properties.EFFECT_BLEND, at);
      double across = points(Properties.SHADOW_X, at);
      double down = points(Properties.SHADOW_Y, at);
      Softness blur =
          Softness.of(
              points(Properties.SHADOW_BLUR, at),
              get(Properties.BLUR_ASPECT, at) / 100,
              get(Properties.BLUR_ANGLE, at));
      double spread = points(Properties.EFFECT_SPREAD, at);
      boolean knockout = get(Properties.SHADOW_KNOCKOUT, at);
      return switch (get(Properties.EFFECT_KIND, at)) {
        case DROP_SHADOW ->
            new Effect.DropShadow(colour, blend, across, down, blur, spread, knockout);
        case INNER_SHADOW -> new Effect.InnerShadow(colour, blend, across, down, blur, spread);
        case OUTER_GLOW -> new Effect.OuterGlow(colour, blend, blur, spread, knockout);
        case INNER_GLOW ->
            new Effect.InnerGlow(colour, blend, blur, spread, get(Properties.GLOW_SOURCE, at));
        case BLUR -> new Effect.Blur(blur);
        case BEVEL ->
            new Effect.Bevel(
                get(Properties.LIGHT_AZIMUTH, at),
                get(Properties.LIGHT_ELEVATION, at),
                points(Properties.BEVEL_WIDTH, at),
                get(Properties.EDGE_DEPTH, at),
                colour(Properties.HIGHLIGHT_COLOUR, at).faded(opacity),
                get(Properties.HIGHLIGHT_BLEND, at),
                colour(Properties.SHADE_COLOUR, at).faded(opacity),
                get(Properties.SHADE_BLEND, at));
      };
    }
  }
}
