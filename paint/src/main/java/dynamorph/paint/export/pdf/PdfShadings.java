package dynamorph.paint.export.pdf;

import dynamorph.model.cascade.Paint.Stop;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.SpreadMethod;
import dynamorph.paint.artwork.AreaPaint;
import dynamorph.typeset.layout.Box;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSBoolean;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSFloat;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.graphics.shading.PDShading;
import org.apache.pdfbox.pdmodel.graphics.shading.PDShadingType2;
import org.apache.pdfbox.pdmodel.graphics.shading.PDShadingType3;

/**
 * Gradients as shadings of PDF (ISO 32000-2, 8.7.4.5.3 and 8.7.4.5.4), which do not repeat: those
 * that do are written out as often as a box needs.
 */
final class PdfShadings {
  private static final int MOST_REPEATS = 400;

  private PdfShadings() {}

  /** The colours of a gradient. */
  static PDShading colours(AreaPaint.Ramp ramp, Box box) {
    return shading(ramp, box, false);
  }

  /** The opacity of a gradient, as grey. */
  static PDShading opacities(AreaPaint.Ramp ramp, Box box) {
    return shading(ramp, box, true);
  }

  private static PDShading shading(AreaPaint.Ramp ramp, Box box, boolean alpha) {
    Span span = span(ramp, box);
    List<Stop> stops = written(ramp, span);
    COSDictionary dictionary = new COSDictionary();
    dictionary.setItem(COSName.COLORSPACE, alpha ? COSName.DEVICEGRAY : COSName.DEVICERGB);
    COSArray extend = new COSArray();
    extend.add(COSBoolean.TRUE);
    extend.add(COSBoolean.TRUE);
    dictionary.setItem(COSName.EXTEND, extend);
    dictionary.setItem(COSName.FUNCTION, function(stops, alpha));
    return switch (ramp.course()) {
      case AreaPaint.Along along -> {
        double dx = along.toX() - along.fromX();
        double dy = along.toY() - along.fromY();
        dictionary.setInt(COSName.SHADING_TYPE, 2);
        dictionary.setItem(
            COSName.COORDS,
            numbers(
                along.fromX() + dx * span.from,
                along.fromY() + dy * span.from,
                along.fromX() + dx * span.to,
                along.fromY() + dy * span.to));
        yield new PDShadingType2(dictionary);
      }
      case AreaPaint.Outwards outwards -> {
        dictionary.setInt(COSName.SHADING_TYPE, 3);
        dictionary.setItem(
            COSName.COORDS,
            circles(
                outwards.circle(outwards.inner() + span.from),
                outwards.circle(outwards.inner() + span.to)));
        yield new PDShadingType3(dictionary);
      }
    };
  }

  /** How much of a gradient is written, in its lengths. */
  private record Span(double from, double to) {}

  private static Span span(AreaPaint.Ramp ramp, Box box) {
    if (ramp.repeat() == SpreadMethod.PAD) {
      return new Span(0, 1);
    }
    double least = Double.POSITIVE_INFINITY;
    double most = Double.NEGATIVE_INFINITY;
    for (int corner = 0; corner < 4; corner++) {
      double x = corner % 2 == 0 ? box.x() : box.right();
      double y = corner < 2 ? box.y() : box.bottom();
      double at = at(ramp.course(), x, y);
      least = Math.min(least, at);
      most = Math.max(most, at);
    }
    if (ramp.course() instanceof AreaPaint.Outwards outwards) {
      least = -outwards.inner();
    }
    double from = Math.max(Math.floor(least), -MOST_REPEATS);
    double to = Math.min(Math.ceil(most), MOST_REPEATS);
    boolean outwards = ramp.course() instanceof AreaPaint.Outwards;
    return new Span(outwards ? least : from, Math.max(to, from + 1));
  }

  /** Where a point lies, in lengths of the gradient from its start. */
  private static double at(AreaPaint.Course course, double x, double y) {
    return switch (course) {
      case AreaPaint.Along along -> {
        double dx = along.toX() - along.fromX();
        double dy = along.toY() - along.fromY();
        double square = Math.max(1e-12, dx * dx + dy * dy);
        yield ((x - along.fromX()) * dx + (y - along.fromY()) * dy) / square;
      }
      case AreaPaint.Outwards outwards -> outwards.length(x, y) - outwards.inner();
    };
  }

  /** The stops over a span, their positions from 0 to 1 within it. */
  private static List<Stop> written(AreaPaint.Ramp ramp, Span span) {
    List<Stop> once = ramp.closeStops();
    List<Stop> all = new ArrayList<>();
    for (int repeat = (int) Math.floor(span.from); repeat < span.to; repeat++) {
      boolean back = ramp.repeat() == SpreadMethod.REFLECT && Math.floorMod(repeat, 2) == 1;
      for (Stop stop : back ? once.reversed() : once) {
        double within = back ? 1 - stop.position() : stop.position();
        all.add(new Stop(stop.colour(), (repeat + within - span.from) / (span.to - span.from)));
      }
    }
    return within(all);
  }

  /** Without what lies before the beginning. */
  private static List<Stop> within(List<Stop> stops) {
    List<Stop> within = new ArrayList<>();
    for (int index = 0; index < stops.size(); index++) {
      Stop stop = stops.get(index);
      if (stop.position() < 0 && index + 1 < stops.size()) {
        Stop next = stops.get(index + 1);
        if (next.position() > 0) {
          double share = -stop.position() / (next.position() - stop.position());
          within.add(new Stop(mixed(stop.colour(), next.colour(), share), 0));
        }
      } else if (stop.position() >= 0) {
        within.add(stop);
      }
    }
    return within;
  }

  private static Rgba mixed(Rgba one, Rgba other, double share) {
    int argb = 0;
    for (int shift = 0; shift < 32; shift += 8) {
      double from = one.argb() >>> shift & 0xFF;
      double to = other.argb() >>> shift & 0xFF;
      argb |= (int) Math.round(from + share * (to - from)) << shift;
    }
    return new Rgba(argb);
  }

  /** Straight pieces from stop to stop, stitched (ISO 32000-2, 7.10.3 and 7.10.4). */
  private static COSDictionary function(List<Stop> stops, boolean alpha) {
    COSArray pieces = new COSArray();
    COSArray bounds = new COSArray();
    COSArray encode = new COSArray();
    for (int index = 0; index + 1 < stops.size(); index++) {
      Stop from = stops.get(index);
      Stop to = stops.get(index + 1);
      if (to.position() - from.position() > 1e-9) {
        if (pieces.size() > 0) {
          bounds.add(new COSFloat((float) from.position()));
        }
        pieces.add(piece(from.colour(), to.colour(), alpha));
        encode.add(COSInteger.ZERO);
        encode.add(COSInteger.ONE);
      }
    }
    if (pieces.size() == 0) {
      return piece(stops.getLast().colour(), stops.getLast().colour(), alpha);
    }
    COSDictionary stitched = new COSDictionary();
    stitched.setInt(COSName.FUNCTION_TYPE, 3);
    stitched.setItem(COSName.DOMAIN, numbers(0, 1));
    stitched.setItem(COSName.FUNCTIONS, pieces);
    stitched.setItem(COSName.BOUNDS, bounds);
    stitched.setItem(COSName.ENCODE, encode);
    return stitched;
  }

  private static COSDictionary piece(Rgba from, Rgba to, boolean alpha) {
    COSDictionary piece = new COSDictionary();
    piece.setInt(COSName.FUNCTION_TYPE, 2);
    piece.setItem(COSName.DOMAIN, numbers(0, 1));
    piece.setInt(COSName.N, 1);
    piece.setItem(COSName.C0, components(from, alpha));
    piece.setItem(COSName.C1, components(to, alpha));
    return piece;
  }

  private static COSArray components(Rgba colour, boolean alpha) {
    return alpha
        ? numbers(colour.alpha() / 255.0)
        : numbers(colour.red() / 255.0, colour.green() / 255.0, colour.blue() / 255.0);
  }

  private static COSArray circles(AreaPaint.Circle from, AreaPaint.Circle to) {
    return numbers(from.x(), from.y(), from.radius(), to.x(), to.y(), to.radius());
  }

  private static COSArray numbers(double... values) {
    COSArray array = new COSArray();
    for (double value : values) {
      COSBase number = new COSFloat((float) value);
      array.add(number);
    }
    return array;
  }
}
