package dynamorph.paint.export;

import dynamorph.model.cascade.Paint.Stop;
import dynamorph.model.value.BlendMode;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.SpreadMethod;
import dynamorph.paint.artwork.AreaPaint;
import dynamorph.paint.artwork.Artwork;
import dynamorph.paint.artwork.Contour;
import dynamorph.paint.artwork.Mark;
import io.github.humbleui.skija.Matrix33;
import io.github.humbleui.skija.Path;
import java.io.ByteArrayOutputStream;
import java.util.Base64;
import java.util.List;
import java.util.Locale;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/** Writes artworks as SVG (W3C Scalable Vector Graphics 2, Compositing and Blending 1). */
public final class SvgWriter {
  private static final String SVG = "http://www.w3.org/2000/svg";

  private final XMLStreamWriter out;
  private int named;

  private SvgWriter(XMLStreamWriter out) {
    this.out = out;
  }

  /** The artwork as a file, in UTF-8. */
  public static byte[] write(Artwork artwork) {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try {
      XMLStreamWriter out =
          XMLOutputFactory.newDefaultFactory().createXMLStreamWriter(bytes, "UTF-8");
      new SvgWriter(out).sheet(artwork);
      out.close();
    } catch (XMLStreamException failed) {
      throw new IllegalStateException("an SVG file could not be put together", failed);
    }
    return bytes.toByteArray();
  }

  private void sheet(Artwork artwork) throws XMLStreamException {
    out.writeStartDocument("UTF-8", "1.0");
    out.writeStartElement("svg");
    out.writeDefaultNamespace(SVG);
    out.writeAttribute("width", number(artwork.width()) + "pt");
    out.writeAttribute("height", number(artwork.height()) + "pt");
    out.writeAttribute(
        "viewBox", "0 0 " + number(artwork.width()) + " " + number(artwork.height()));
    if (artwork.background().isPresent()) {
      out.writeEmptyElement("rect");
      out.writeAttribute("width", "100%");
      out.writeAttribute("height", "100%");
      colour("fill", artwork.background().get(), 1);
    }
    for (Mark mark : artwork.marks()) {
      mark(mark);
    }
    out.writeEndElement();
    out.writeEndDocument();
  }

  private void mark(Mark mark) throws XMLStreamException {
    switch (mark) {
      case Mark.Area area -> area(area);
      case Mark.Hairline line -> {
        out.writeEmptyElement("path");
        out.writeAttribute("d", data(line.path()));
        out.writeAttribute("fill", "none");
        colour("stroke", line.colour(), 1);
        out.writeAttribute("stroke-width", number(line.width()));
      }
      case Mark.Picture picture -> {
        out.writeEmptyElement("image");
        out.writeAttribute("x", number(picture.place().x()));
        out.writeAttribute("y", number(picture.place().y()));
        out.writeAttribute("width", number(picture.place().width()));
        out.writeAttribute("height", number(picture.place().height()));
        out.writeAttribute("preserveAspectRatio", "none");
        mixing(picture.opacity(), picture.blend());
        out.writeAttribute("href", encoded("png", picture.png()));
      }
      case Mark.Text _ -> {}
      case Mark.Placed placed -> {
        out.writeStartElement("g");
        if (!isIdentity(placed.matrix())) {
          out.writeAttribute("transform", matrix(placed.matrix()));
        }
        if (!placed.layer().isEmpty()) {
          out.writeAttribute("id", id(placed.layer()));
        }
        if (!placed.words().isEmpty()) {
          out.writeAttribute("role", "img");
          out.writeAttribute("aria-label", placed.words());
        }
        for (Mark inner : placed.marks()) {
          mark(inner);
        }
        out.writeEndElement();
      }
      case Mark.Group group -> {
        out.writeStartElement("g");
        mixing(group.opacity(), group.blend());
        for (Mark inner : group.marks()) {
          mark(inner);
        }
        out.writeEndElement();
      }
    }
  }

  /** A name as an XML identifier, told from others that are spelt alike. */
  private String id(String name) {
    String plain = name.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]+", "-");
    return "layer-" + plain + "-" + ++named;
  }

  private void area(Mark.Area area) throws XMLStreamException {
    String fill =
        switch (area.paint()) {
          case AreaPaint.Plain _ -> "";
          case AreaPaint.Ramp ramp -> gradient(ramp);
          case AreaPaint.Tiled tiled -> tile(tiled);
          case AreaPaint.TiledImage image -> tile(image);
        };
    if (area.paint() instanceof AreaPaint.Tiled tiled && tiled.ground().alpha() > 0) {
      path(area, "", tiled.ground());
    }
    Rgba plain = area.paint() instanceof AreaPaint.Plain(Rgba colour) ? colour : Rgba.BLACK;
    path(area, fill, plain);
  }

  private void path(Mark.Area area, String fill, Rgba colour) throws XMLStreamException {
    out.writeEmptyElement("path");
    out.writeAttribute("d", data(area.path()));
    if (Contour.isEvenOdd(area.path())) {
      out.writeAttribute("fill-rule", "evenodd");
    }
    if (!isIdentity(area.matrix())) {
      out.writeAttribute("transform", matrix(area.matrix()));
    }
    if (fill.isEmpty()) {
      colour("fill", colour, 1);
    } else {
      out.writeAttribute("fill", "url(#" + fill + ")");
    }
    mixing(area.opacity(), area.blend());
  }

  private String gradient(AreaPaint.Ramp ramp) throws XMLStreamException {
    String id = "p" + ++named;
    switch (ramp.course()) {
      case AreaPaint.Along along -> {
        out.writeStartElement("linearGradient");
        out.writeAttribute("x1", number(along.fromX()));
        out.writeAttribute("y1", number(along.fromY()));
        out.writeAttribute("x2", number(along.toX()));
        out.writeAttribute("y2", number(along.toY()));
      }
      case AreaPaint.Outwards outwards -> {
        out.writeStartElement("radialGradient");
        AreaPaint.Circle start = outwards.circle(outwards.inner());
        AreaPaint.Circle end = outwards.circle(outwards.inner() + 1);
        out.writeAttribute("cx", number(end.x()));
        out.writeAttribute("cy", number(end.y()));
        out.writeAttribute("r", number(end.radius()));
        out.writeAttribute("fx", number(start.x()));
        out.writeAttribute("fy", number(start.y()));
        out.writeAttribute("fr", number(start.radius()));
        out.writeAttribute("gradientTransform", matrix(outwards.ellipse().matrix()));
      }
    }
    out.writeAttribute("id", id);
    out.writeAttribute("gradientUnits", "userSpaceOnUse");
    if (ramp.repeat() != SpreadMethod.PAD) {
      out.writeAttribute(
          "spreadMethod", ramp.repeat() == SpreadMethod.REPEAT ? "repeat" : "reflect");
    }
    for (Stop stop : ramp.closeStops()) {
      out.writeEmptyElement("stop");
      out.writeAttribute("offset", number(stop.position()));
      colour("stop", stop.colour(), 1);
    }
    out.writeEndElement();
    return id;
  }

  private String tile(AreaPaint.Tiled tiled) throws XMLStreamException {
    String id = pattern(tiled.width(), tiled.height(), tiled.matrix());
    out.writeEmptyElement("path");
    out.writeAttribute("d", data(tiled.form()));
    colour("fill", tiled.marks(), 1);
    out.writeEndElement();
    return id;
  }

  private String tile(AreaPaint.TiledImage image) throws XMLStreamException {
    String id = pattern(image.width(), image.height(), image.matrix());
    out.writeEmptyElement("image");
    out.writeAttribute("width", number(image.width()));
    out.writeAttribute("height", number(image.height()));
    String name = image.image().name().toLowerCase(Locale.ROOT);
    out.writeAttribute(
        "href",
        encoded(
            name.endsWith(".png") ? "png" : name.endsWith(".webp") ? "webp" : "jpeg",
            image.image().bytes()));
    out.writeEndElement();
    return id;
  }

  private String pattern(double width, double height, Matrix33 matrix) throws XMLStreamException {
    String id = "p" + ++named;
    out.writeStartElement("pattern");
    out.writeAttribute("id", id);
    out.writeAttribute("patternUnits", "userSpaceOnUse");
    out.writeAttribute("width", number(width));
    out.writeAttribute("height", number(height));
    out.writeAttribute("patternTransform", matrix(matrix));
    return id;
  }

  /**
   * @param what the property without {@code -opacity}: fill, stroke, or stop for {@code stop-color}
   */
  private void colour(String what, Rgba colour, double opacity) throws XMLStreamException {
    String name = what.equals("stop") ? "stop-color" : what;
    out.writeAttribute(name, new Rgba(colour.argb() | 0xFF000000).toString());
    double alpha = colour.alpha() / 255.0 * opacity;
    if (alpha < 1) {
      out.writeAttribute(what + "-opacity", number(alpha));
    }
  }

  private void mixing(double opacity, BlendMode blend) throws XMLStreamException {
    if (opacity < 1) {
      out.writeAttribute("opacity", number(opacity));
    }
    if (blend != BlendMode.NORMAL) {
      out.writeAttribute("style", "mix-blend-mode:" + blend.css());
    }
  }

  private static String encoded(String type, byte[] bytes) {
    return "data:image/" + type + ";base64," + Base64.getEncoder().encodeToString(bytes);
  }

  private static boolean isIdentity(Matrix33 matrix) {
    return java.util.Arrays.equals(matrix.getMat(), Matrix33.IDENTITY.getMat());
  }

  private static String matrix(Matrix33 matrix) {
    float[] m = matrix.getMat();
    List<Float> order = List.of(m[0], m[3], m[1], m[4], m[2], m[5]);
    return "matrix(" + String.join(" ", order.stream().map(value -> number(value)).toList()) + ")";
  }

  /** A path as the attribute {@code d} has it. */
  public static String data(Path path) {
    return Contour.data(path, 0, 0, SvgWriter::number);
  }

  /** Five places after the point, without zeros at the end. */
  private static String number(double value) {
    double rounded = Math.round(value * 1e5) / 1e5;
    return rounded == Math.rint(rounded)
        ? String.valueOf((long) rounded)
        : new java.math.BigDecimal(String.valueOf(rounded)).toPlainString();
  }
}
