package dynamorph.paint.layer;

import dynamorph.model.cascade.Paint.Course;
import dynamorph.model.cascade.Paint.Gradient;
import dynamorph.model.cascade.Paint.Radial;
import dynamorph.model.cascade.Paint.Stop;
import dynamorph.model.value.Interpolation;
import dynamorph.model.value.OkLab;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.SpreadMethod;
import dynamorph.paint.artwork.Affine;
import dynamorph.paint.artwork.AreaPaint;
import dynamorph.paint.message.Messages;
import dynamorph.typeset.layout.Box;
import io.github.humbleui.skija.BlendMode;
import io.github.humbleui.skija.Color4f;
import io.github.humbleui.skija.FilterTileMode;
import io.github.humbleui.skija.GradientStyle;
import io.github.humbleui.skija.Matrix33;
import io.github.humbleui.skija.Shader;
import io.github.humbleui.types.Point;
import java.util.ArrayList;
import java.util.List;

/**
 * Gradients fitted to boxes. A linear one runs through the middle at its angle and is as long as
 * the box is wide in that direction (as in CSS Images 3, 3.1.1); a radial one fills an ellipse or a
 * circle, from a point within it (SVG 2, 14.2.3); a conic one turns clockwise from its angle.
 * Colours are mixed premultiplied.
 */
final class GradientShaders {
  /** Straight pieces between two stops that are mixed in another space than sRGB. */
  private static final int PIECES = 24;

  private static final AreaPaint.Circle MIDDLE = new AreaPaint.Circle(0, 0, 0);

  private GradientShaders() {}

  /**
   * A linear or radial gradient in a box, its stops as close as their mixing asks for.
   *
   * @throws IllegalArgumentException for a conic one
   */
  static AreaPaint.Ramp ramp(Gradient gradient, Box box) {
    double offset = gradient.offset();
    List<Stop> stops = stops(gradient);
    AreaPaint.Course course =
        switch (gradient.course()) {
          case LINEAR -> along(gradient, box);
          case RADIAL -> {
            if (offset < 0) {
              if (gradient.spreadMethod() == SpreadMethod.PAD) {
                stops = cutAtCentre(stops, offset);
                offset = 0;
              } else {
                // two lengths farther out every repetition looks the same
                offset -= 2 * Math.floor(offset / 2);
              }
            }
            yield new AreaPaint.Outwards(
                ellipse(gradient, box),
                gradient.radial().focalX(),
                gradient.radial().focalY(),
                offset);
          }
          case CONIC ->
              throw new IllegalArgumentException(
                  Messages.of("gradient-shaders.a-conic-gradient-has-no-such"));
        };
    return new AreaPaint.Ramp(course, stops, gradient.spreadMethod());
  }

  private static double width(Box box) {
    return Math.max(1e-6, box.width());
  }

  private static double height(Box box) {
    return Math.max(1e-6, box.height());
  }

  private static Affine ellipse(Gradient gradient, Box box) {
    Radial radial = gradient.radial();
    return Affine.translation(
            box.x() + gradient.centreX() * width(box), box.y() + gradient.centreY() * height(box))
        .after(Affine.rotation(radial.rotation()))
        .after(
            Affine.scaling(
                radial.radiusX(width(box), height(box)) * gradient.scale(),
                radial.radiusY(width(box), height(box)) * gradient.scale()));
  }

  private static AreaPaint.Along along(Gradient gradient, Box box) {
    double angle = Math.toRadians(gradient.angle());
    double x = box.x() + gradient.centreX() * width(box);
    double y = box.y() + gradient.centreY() * height(box);
    double length =
        (Math.abs(width(box) * Math.cos(angle)) + Math.abs(height(box) * Math.sin(angle)))
            * gradient.scale();
    double from = (gradient.offset() - 0.5) * length;
    double to = from + length;
    return new AreaPaint.Along(
        x + Math.cos(angle) * from,
        y + Math.sin(angle) * from,
        x + Math.cos(angle) * to,
        y + Math.sin(angle) * to);
  }

  /** The stops as they lie when moved inwards; what is then within the centre is cut off. */
  private static List<Stop> cutAtCentre(List<Stop> stops, double offset) {
    List<Stop> cut = new ArrayList<>();
    Stop before = null;
    for (Stop stop : stops) {
      Stop moved = new Stop(stop.colour(), stop.position() + offset);
      if (moved.position() > 0) {
        if (cut.isEmpty()) {
          double share =
              before == null ? 1 : -before.position() / (moved.position() - before.position());
          Rgba from = before == null ? moved.colour() : before.colour();
          cut.add(new Stop(mixed(from, moved.colour(), share), 0));
        }
        cut.add(moved);
      }
      before = moved;
    }
    cut.add(new Stop(stops.getLast().colour(), 1));
    if (cut.size() == 1) {
      cut.addFirst(new Stop(stops.getLast().colour(), 0));
    }
    return cut;
  }

  /** Premultiplied, in sRGB. */
  private static Rgba mixed(Rgba one, Rgba other, double share) {
    double alpha = one.alpha() + share * (other.alpha() - one.alpha());
    if (alpha == 0) {
      return one.faded(0);
    }
    double from = one.alpha() * (1 - share) / alpha;
    double to = other.alpha() * share / alpha;
    return new Rgba(
        (int) Math.round(alpha) << 24
            | (int) Math.round(one.red() * from + other.red() * to) << 16
            | (int) Math.round(one.green() * from + other.green() * to) << 8
            | (int) Math.round(one.blue() * from + other.blue() * to));
  }

  /** The shader of a gradient in a box; the caller closes it. */
  static Shader of(Gradient gradient, Box box) {
    FilterTileMode tiles =
        switch (gradient.spreadMethod()) {
          case PAD -> FilterTileMode.CLAMP;
          case REPEAT -> FilterTileMode.REPEAT;
          case REFLECT -> FilterTileMode.MIRROR;
        };
    if (gradient.course() == Course.CONIC) {
      return conic(gradient, box, tiles);
    }
    AreaPaint.Ramp ramp = ramp(gradient, box);
    Color4f[] colours = colours(ramp.stops());
    float[] places = places(ramp.stops());
    return switch (ramp.course()) {
      case AreaPaint.Along along ->
          Shader.makeLinearGradient(
              new Point((float) along.fromX(), (float) along.fromY()),
              new Point((float) along.toX(), (float) along.toY()),
              colours,
              null,
              places,
              new GradientStyle(tiles, true, Matrix33.IDENTITY));
      case AreaPaint.Outwards outwards -> {
        GradientStyle style = new GradientStyle(tiles, true, outwards.ellipse().matrix());
        AreaPaint.Circle start = outwards.circle(outwards.inner());
        AreaPaint.Circle end = outwards.circle(outwards.inner() + 1);
        yield start.equals(MIDDLE)
            ? Shader.makeRadialGradient(point(start), 1, colours, null, places, style)
            : Shader.makeTwoPointConicalGradient(
                point(start),
                (float) start.radius(),
                point(end),
                (float) end.radius(),
                colours,
                null,
                places,
                style);
      }
    };
  }

  private static Point point(AreaPaint.Circle circle) {
    return new Point((float) circle.x(), (float) circle.y());
  }

  private static Shader conic(Gradient gradient, Box box, FilterTileMode tiles) {
    List<Stop> stops = stops(gradient);
    float start = (float) (gradient.angle() + gradient.offset() * 360);
    Matrix33 turned =
        Matrix33.makeTranslate(
                (float) (box.x() + gradient.centreX() * width(box)),
                (float) (box.y() + gradient.centreY() * height(box)))
            .makeConcat(Matrix33.makeRotate(start));
    GradientStyle style = new GradientStyle(tiles, true, turned);
    float end = (float) (360 * Math.min(1, gradient.scale()));
    // How dark small letters are smoothed depends on the mean colour of a shader. A sweep gradient
    // tells one that it never worked out, so that the same letters come out lighter or darker from
    // one frame to the next; the blend of two shaders tells none.
    try (Shader sweep =
            Shader.makeSweepGradient(
                new Point(0, 0), 0, end, colours(stops), null, places(stops), style);
        Shader opaque = Shader.makeColor(0xFFFFFFFF)) {
      return Shader.makeBlend(BlendMode.DST_IN, sweep, opaque);
    }
  }

  private static Color4f[] colours(List<Stop> stops) {
    return stops.stream().map(stop -> colour(stop.colour())).toArray(Color4f[]::new);
  }

  private static float[] places(List<Stop> stops) {
    float[] places = new float[stops.size()];
    for (int index = 0; index < places.length; index++) {
      places[index] = (float) stops.get(index).position();
    }
    return places;
  }

  private static Color4f colour(Rgba colour) {
    return new Color4f(
        colour.red() / 255f, colour.green() / 255f, colour.blue() / 255f, colour.alpha() / 255f);
  }

  /** Stops from 0 to 1, as close as their mixing asks for. */
  private static List<Stop> stops(Gradient gradient) {
    List<Stop> all = new ArrayList<>();
    Stop before = new Stop(gradient.stops().getFirst().colour(), 0);
    all.add(before);
    for (Stop stop : gradient.stops()) {
      boolean finer =
          gradient.interpolation() == Interpolation.OKLAB
              && stop.position() > before.position()
              && !stop.colour().equals(before.colour());
      for (int piece = 1; finer && piece < PIECES; piece++) {
        double share = piece / (double) PIECES;
        double position = before.position() + share * (stop.position() - before.position());
        all.add(new Stop(OkLab.mixed(before.colour(), stop.colour(), share), position));
      }
      all.add(stop);
      before = stop;
    }
    all.add(new Stop(before.colour(), 1));
    return all;
  }
}
