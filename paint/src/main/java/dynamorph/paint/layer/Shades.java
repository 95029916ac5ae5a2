package dynamorph.paint.layer;

import dynamorph.model.cascade.Paint.Gradient;
import dynamorph.model.cascade.Paint.Stop;
import dynamorph.model.value.ColourMixing;
import dynamorph.model.value.Rgba;
import dynamorph.typeset.layout.Box;
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
 * the box is wide in that direction (as in CSS Images 3, 3.1.1); a radial one fills the ellipse in
 * the box; a conic one turns clockwise from its angle. Colours are mixed premultiplied.
 */
final class Shades {
  /** Straight pieces between two stops that are mixed in another space than sRGB. */
  private static final int PIECES = 24;

  private Shades() {}

  /** The shader of a gradient in a box; the caller closes it. */
  static Shader of(Gradient gradient, Box box) {
    double width = Math.max(1e-6, box.width());
    double height = Math.max(1e-6, box.height());
    float x = (float) (box.x() + gradient.across() * width);
    float y = (float) (box.y() + gradient.down() * height);
    List<Stop> stops = stops(gradient);
    Color4f[] colours = stops.stream().map(stop -> colour(stop.colour())).toArray(Color4f[]::new);
    float[] places = new float[stops.size()];
    for (int index = 0; index < places.length; index++) {
      places[index] = (float) stops.get(index).position();
    }
    FilterTileMode tiles =
        switch (gradient.repeat()) {
          case ONCE -> FilterTileMode.CLAMP;
          case REPEAT -> FilterTileMode.REPEAT;
          case MIRROR -> FilterTileMode.MIRROR;
        };
    double angle = Math.toRadians(gradient.angle());
    return switch (gradient.course()) {
      case LINEAR -> {
        double length =
            (Math.abs(width * Math.cos(angle)) + Math.abs(height * Math.sin(angle)))
                * gradient.scale();
        double from = (gradient.offset() - 0.5) * length;
        double to = from + length;
        GradientStyle style = new GradientStyle(tiles, true, Matrix33.IDENTITY);
        yield Shader.makeLinearGradient(
            new Point((float) (x + Math.cos(angle) * from), (float) (y + Math.sin(angle) * from)),
            new Point((float) (x + Math.cos(angle) * to), (float) (y + Math.sin(angle) * to)),
            colours,
            null,
            places,
            style);
      }
      case RADIAL -> {
        Matrix33 ellipse =
            Matrix33.makeTranslate(x, y)
                .makeConcat(
                    Matrix33.makeScale(
                        (float) (width / 2 * gradient.scale()),
                        (float) (height / 2 * gradient.scale())));
        GradientStyle style = new GradientStyle(tiles, true, ellipse);
        Point middle = new Point(0, 0);
        float inner = (float) gradient.offset();
        yield inner > 0
            ? Shader.makeTwoPointConicalGradient(
                middle, inner, middle, inner + 1, colours, null, places, style)
            : Shader.makeRadialGradient(middle, 1, colours, null, moved(places, inner), style);
      }
      case CONIC -> {
        float start = (float) (gradient.angle() + gradient.offset() * 360);
        Matrix33 turned = Matrix33.makeTranslate(x, y).makeConcat(Matrix33.makeRotate(start));
        GradientStyle style = new GradientStyle(tiles, true, turned);
        float end = (float) (360 * Math.min(1, gradient.scale()));
        yield Shader.makeSweepGradient(new Point(0, 0), 0, end, colours, null, places, style);
      }
    };
  }

  private static float[] moved(float[] places, double offset) {
    float[] moved = new float[places.length];
    for (int index = 0; index < moved.length; index++) {
      moved[index] = (float) Math.clamp(places[index] + offset, 0, 1);
    }
    return moved;
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
          gradient.mixing() == ColourMixing.OKLAB
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
