package dynamorph.model.cascade;

import dynamorph.model.Asset;
import dynamorph.model.value.Interpolation;
import dynamorph.model.value.PaintBounds;
import dynamorph.model.value.PatternTile;
import dynamorph.model.value.RadialShape;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.SpreadMethod;
import java.util.List;
import java.util.Optional;

/** What a coat is painted with, colours looked up. */
public sealed interface Paint {
  /** What stands for it where only one colour can. */
  Rgba colour();

  /** Whether nothing shows through it. */
  boolean isOpaque();

  /** One colour. */
  record Solid(Rgba colour) implements Paint {
    @Override
    public boolean isOpaque() {
      return colour.alpha() == 255;
    }
  }

  /** How colours change over a shape. */
  enum Course {
    LINEAR,
    RADIAL,
    CONIC
  }

  /**
   * A colour and its place.
   *
   * @param position from 0, the start, to 1, the end
   */
  record Stop(Rgba colour, double position) {}

  /**
   * What a radial gradient fills.
   *
   * @param aspect height, in parts of what it is by itself
   * @param rotation degrees clockwise
   * @param focalX where the start lies from the centre, in parts of the radius along the width
   * @param focalY the same along the height; the start lies within the edge
   */
  record Radial(RadialShape shape, double aspect, double rotation, double focalX, double focalY) {
    /** The ellipse in what it is fitted to, from the middle outwards. */
    public static final Radial PLAIN = new Radial(RadialShape.ELLIPSE, 1, 0, 0, 0);

    /** A start on the edge has no colours on one side. */
    private static final double OUTERMOST = 0.99;

    public Radial {
      double away = Math.hypot(focalX, focalY);
      if (away > OUTERMOST) {
        focalX *= OUTERMOST / away;
        focalY *= OUTERMOST / away;
      }
    }

    /** Half the width at full scale, in the unit of what it is fitted to. */
    public double radiusX(double width, double height) {
      return (shape == RadialShape.CIRCLE ? Math.max(width, height) : width) / 2;
    }

    /** Half the height at full scale. */
    public double radiusY(double width, double height) {
      return (shape == RadialShape.CIRCLE ? Math.max(width, height) : height) / 2 * aspect;
    }
  }

  /**
   * Colours that change.
   *
   * @param stops at least one, in order of position
   * @param angle where it runs to, in degrees clockwise from rightwards
   * @param centreX middle, in parts of the width of what it is fitted to
   * @param centreY middle, in parts of the height
   * @param radial what a radial one fills
   * @param scale length, in parts of what it is fitted to
   * @param offset how far the stops are moved along, in parts of the length
   */
  record Gradient(
      Course course,
      List<Stop> stops,
      double angle,
      double centreX,
      double centreY,
      Radial radial,
      double scale,
      double offset,
      SpreadMethod spreadMethod,
      PaintBounds fit,
      Interpolation interpolation)
      implements Paint {
    public Gradient {
      stops = List.copyOf(stops);
    }

    public Gradient withStops(List<Stop> changed) {
      return new Gradient(
          course,
          changed,
          angle,
          centreX,
          centreY,
          radial,
          scale,
          offset,
          spreadMethod,
          fit,
          interpolation);
    }

    @Override
    public Rgba colour() {
      return stops.get(stops.size() / 2).colour();
    }

    @Override
    public boolean isOpaque() {
      return stops.stream().allMatch(stop -> stop.colour().alpha() == 255);
    }
  }

  /**
   * A tile that is repeated, from the top left of what it is fitted to.
   *
   * @param marks colour of what is drawn on the tile
   * @param background colour between
   * @param size how far a tile is from the next, or how wide an image is, in points
   * @param weight how much of the tile the mark takes up, 0 to 1
   * @param angle degrees clockwise
   * @param x how far the tiles are moved to the right, in points
   * @param y how far the tiles are moved downwards, in points
   * @param image what is repeated if the tile is an image; empty if the project has none of that
   *     name
   */
  record Pattern(
      PatternTile tile,
      Rgba marks,
      Rgba background,
      double size,
      double weight,
      double angle,
      double x,
      double y,
      PaintBounds fit,
      Optional<Asset> image)
      implements Paint {
    public Pattern withMarks(Rgba changed) {
      return new Pattern(tile, changed, background, size, weight, angle, x, y, fit, image);
    }

    @Override
    public Rgba colour() {
      return marks;
    }

    @Override
    public boolean isOpaque() {
      return tile != PatternTile.IMAGE && marks.alpha() == 255 && background.alpha() == 255;
    }
  }
}
