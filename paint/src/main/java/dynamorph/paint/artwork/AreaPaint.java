package dynamorph.paint.artwork;

import dynamorph.model.Asset;
import dynamorph.model.cascade.Paint.Stop;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.SpreadMethod;
import io.github.humbleui.skija.Matrix33;
import io.github.humbleui.skija.Path;
import java.util.ArrayList;
import java.util.List;

/** What an area is filled with, in points. */
public sealed interface AreaPaint {
  /** One colour. */
  record Plain(Rgba colour) implements AreaPaint {}

  /**
   * Colours that change, mixed in sRGB between stops.
   *
   * @param stops from 0 to 1, in order
   */
  record Ramp(Course course, List<Stop> stops, SpreadMethod repeat) implements AreaPaint {
    public Ramp {
      stops = List.copyOf(stops);
    }

    public boolean isOpaque() {
      return stops.stream().allMatch(stop -> stop.colour().alpha() == 255);
    }

    /**
     * Stops between which colours may be mixed without regard to their alpha, as files do it: where
     * opacity changes there are more of them.
     */
    public List<Stop> closeStops() {
      List<Stop> close = new ArrayList<>();
      for (Stop stop : stops) {
        Stop before = close.isEmpty() ? stop : close.getLast();
        int pieces =
            before.colour().alpha() == stop.colour().alpha() || before.position() == stop.position()
                ? 1
                : PIECES;
        for (int piece = 1; piece < pieces; piece++) {
          close.add(between(before, stop, piece / (double) pieces));
        }
        close.add(stop);
      }
      return close;
    }

    private static Stop between(Stop one, Stop other, double share) {
      double alpha = one.colour().alpha() * (1 - share) + other.colour().alpha() * share;
      double from = one.colour().alpha() * (1 - share) / alpha;
      double to = other.colour().alpha() * share / alpha;
      Rgba mixed =
          Rgba.of(
              (int) Math.round(one.colour().red() * from + other.colour().red() * to),
              (int) Math.round(one.colour().green() * from + other.colour().green() * to),
              (int) Math.round(one.colour().blue() * from + other.colour().blue() * to));
      double position = one.position() + share * (other.position() - one.position());
      return new Stop(mixed.faded(alpha / 255), position);
    }

    private static final int PIECES = 16;
  }

  /** Where a gradient runs. */
  sealed interface Course {}

  /** From one point to another. */
  record Along(double fromX, double fromY, double toX, double toY) implements Course {}

  /**
   * Outwards from a focal point to the edge of an ellipse, and on as far again. The circle of a
   * length is as many radii wide, and its middle lies on the line from the focal point through the
   * centre (SVG 2, 14.2.3).
   *
   * @param ellipse from the circle of radius 1 around 0, 0 to points
   * @param focalX of that circle, within it
   * @param focalY of that circle
   * @param inner where the stops begin, in radii; they end one radius farther out
   */
  record Outwards(Affine ellipse, double focalX, double focalY, double inner) implements Course {
    /** The circle of a length, in the units of the circle of radius 1. */
    public Circle circle(double length) {
      return new Circle(focalX * (1 - length), focalY * (1 - length), length);
    }

    /**
     * How many radii wide the circle is that a place lies on.
     *
     * @param x in points
     * @param y in points
     */
    public double length(double x, double y) {
      Affine back = ellipse.inverse();
      if (back == null) {
        return 0;
      }
      Affine.Place place = back.apply(x, y);
      // |p - f (1 - t)| = t, for t
      double px = place.x() - focalX;
      double py = place.y() - focalY;
      double a = 1 - focalX * focalX - focalY * focalY;
      double b = px * focalX + py * focalY;
      double c = px * px + py * py;
      return (b + Math.sqrt(b * b + a * c)) / a;
    }
  }

  /** A circle. */
  record Circle(double x, double y, double radius) {}

  /**
   * A form that is repeated.
   *
   * @param form on one tile, and across its edges
   * @param width of the tile in its own units
   * @param height of the tile
   * @param matrix from units of the tile to points
   */
  record Tiled(Path form, double width, double height, Rgba marks, Rgba ground, Matrix33 matrix)
      implements AreaPaint {}

  /**
   * An image that is repeated.
   *
   * @param width of the image in its pixels
   * @param height of the image
   * @param matrix from pixels of the image to points
   */
  record TiledImage(Asset image, int width, int height, Matrix33 matrix) implements AreaPaint {}
}
