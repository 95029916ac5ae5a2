package dynamorph.formats.svg;

import dynamorph.model.Layer;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.shape.FillRule;
import dynamorph.model.shape.Shape;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.BoxLengths;
import dynamorph.model.value.Length;
import dynamorph.paint.artwork.Affine;
import dynamorph.paint.artwork.PathData;
import dynamorph.typeset.layout.Box;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jsoup.nodes.Element;

/** The basic shapes and paths of a drawing (SVG 2, 9 and 10), as shapes in their boxes. */
final class SvgForms {
  /** Rounder ellipses and corners are none. */
  private static final double NONE = 1e-6;

  /**
   * A shape where it stands.
   *
   * @param frame its place on the artboard
   * @param place how it comes from user units into its box, and the boxes
   */
  record Form(Shape shape, PropertySet frame, SvgPaint.Place place) {
    /** The box that it would have if it were not turned. */
    Box onPage() {
      return new Box(
          frame.get(Properties.POSITION_X.key()).orElse(0.0),
          frame.get(Properties.POSITION_Y.key()).orElse(0.0),
          frame.get(Properties.BOX_WIDTH.key()).orElse(0.0),
          frame.get(Properties.BOX_HEIGHT.key()).orElse(0.0));
    }

    Layer layer(String id, String name, PropertySet look) {
      return Layer.of(id, name, shape).withFrame(frame).withLocal(look);
    }
  }

  private SvgForms() {}

  /**
   * The shape of an element; empty for one that draws nothing.
   *
   * @param clip what of it shows, in points of the artboard
   * @throws IllegalArgumentException if path data cannot be read
   */
  static Optional<Form> of(
      Element element,
      SvgStyle style,
      Affine place,
      Optional<PathData> clip,
      SvgViewport viewport) {
    Lengths lengths = new Lengths(element, style, viewport);
    boolean boxed = clip.isEmpty() && place.keepsRightAngles();
    return switch (SvgIndex.name(element)) {
      case "rect" -> {
        Box box =
            new Box(
                lengths.across("x"),
                lengths.down("y"),
                lengths.across("width"),
                lengths.down("height"));
        double round = lengths.find("rx").or(() -> lengths.find("ry")).orElse(0.0);
        double round2 = lengths.find("ry").or(() -> lengths.find("rx")).orElse(0.0);
        if (box.width() <= 0 || box.height() <= 0) {
          yield Optional.empty();
        }
        double corner = Math.min(round, Math.min(box.width(), box.height()) / 2);
        boolean even = Math.abs(round - round2) < NONE;
        boolean uniform =
            corner == 0 || Math.abs(place.scaleX() - place.scaleY()) < NONE * place.scaleX();
        yield boxed && even && uniform
            ? Optional.of(
                inBox(
                    new Shape.Rectangle(
                        BoxLengths.all(Length.points(rounded(corner * place.scale())))),
                    box,
                    place,
                    viewport))
            : path(rectangle(box, round, round2), style, place, clip, viewport, box);
      }
      case "circle", "ellipse" -> {
        double radius = lengths.find("r").orElse(0.0);
        double across = lengths.find("rx").or(() -> lengths.find("ry")).orElse(radius);
        double down = lengths.find("ry").or(() -> lengths.find("rx")).orElse(radius);
        if (across <= 0 || down <= 0) {
          yield Optional.empty();
        }
        Box box =
            new Box(lengths.across("cx") - across, lengths.down("cy") - down, 2 * across, 2 * down);
        yield boxed
            ? Optional.of(inBox(new Shape.Ellipse(), box, place, viewport))
            : path(rectangle(box, across, down), style, place, clip, viewport, box);
      }
      case "line" ->
          path(
              data(
                  List.of(
                      lengths.across("x1"),
                      lengths.down("y1"),
                      lengths.across("x2"),
                      lengths.down("y2")),
                  false),
              style,
              place,
              clip,
              viewport);
      case "polyline" ->
          path(data(SvgNumbers.list(element.attr("points")), false), style, place, clip, viewport);
      case "polygon" ->
          path(data(SvgNumbers.list(element.attr("points")), true), style, place, clip, viewport);
      case "path" -> path(element.attr("d"), style, place, clip, viewport);
      default -> Optional.empty();
    };
  }

  /** Lengths of an element; percentages are of the viewport. */
  private record Lengths(Element element, SvgStyle style, SvgViewport viewport) {
    double across(String attribute) {
      return length(attribute, viewport.width()).orElse(0.0);
    }

    double down(String attribute) {
      return length(attribute, viewport.height()).orElse(0.0);
    }

    Optional<Double> find(String attribute) {
      return length(attribute, viewport.diagonal()).filter(one -> one >= 0);
    }

    private Optional<Double> length(String attribute, double whole) {
      return style
          .find(attribute)
          .or(() -> Optional.of(element.attr(attribute)))
          .flatMap(said -> SvgNumbers.length(said, whole, style.size()));
    }
  }

  /** A shape that fills its box, which may be turned. */
  static Form inBox(Shape shape, Box box, Affine place, SvgViewport viewport) {
    double width = box.width() * place.scaleX();
    double height = box.height() * place.scaleY();
    Affine.Place corner = place.apply(box.x(), box.y());
    PropertySet frame = frame(corner.x(), corner.y(), width, height);
    double turned = rounded(place.rotation());
    if (turned != 0) {
      frame = frame.with(Properties.ROTATION, turned);
    }
    Box layer = new Box(0, 0, width, height);
    Affine toLayer =
        Affine.scaling(place.scaleX(), place.scaleY())
            .after(Affine.translation(-box.x(), -box.y()));
    return new Form(shape, frame, new SvgPaint.Place(toLayer, box, layer, viewport.diagonal()));
  }

  private static PropertySet frame(double x, double y, double width, double height) {
    return PropertySet.EMPTY
        .with(Properties.POSITION_X, rounded(x))
        .with(Properties.POSITION_Y, rounded(y))
        .with(Properties.BOX, BoxFit.FIXED)
        .with(Properties.BOX_WIDTH, rounded(width))
        .with(Properties.BOX_HEIGHT, rounded(height));
  }

  private static double rounded(double points) {
    return Math.rint(points * 1000) / 1000;
  }

  private static Optional<Form> path(
      String data, SvgStyle style, Affine place, Optional<PathData> clip, SvgViewport viewport) {
    if (data.isBlank()) {
      return Optional.empty();
    }
    try (PathData plain = PathData.of(data, FillRule.NONZERO, Affine.IDENTITY)) {
      return path(data, style, place, clip, viewport, plain.bounds());
    }
  }

  private static Optional<Form> path(
      String data,
      SvgStyle style,
      Affine place,
      Optional<PathData> clip,
      SvgViewport viewport,
      Box user) {
    try (PathData whole = PathData.of(data, rule(style, "fill-rule"), place)) {
      Optional<PathData> cut = clip.filter(one -> !covers(one, whole.bounds())).map(whole::within);
      PathData shown = cut.orElse(whole);
      Box box = shown.bounds();
      Optional<Form> form =
          shown
              .shape()
              .map(shape ->
                  new Form(
                      shape,
                      frame(box.x(), box.y(), box.width(), box.height()),
                      new SvgPaint.Place(place, user, box, viewport.diagonal())));
      cut.ifPresent(PathData::close);
      return form;
    }
  }

  /** Whether a clip leaves a box whole. */
  static boolean covers(PathData clip, Box box) {
    return clip.box()
        .filter(all ->
            all.x() <= box.x() + NONE
                && all.y() <= box.y() + NONE
                && all.right() >= box.right() - NONE
                && all.bottom() >= box.bottom() - NONE)
        .isPresent();
  }

  static FillRule rule(SvgStyle style, String property) {
    return style.says(property, "evenodd") ? FillRule.EVENODD : FillRule.NONZERO;
  }

  private static String data(List<Double> points, boolean closed) {
    if (points.size() < 4) {
      return "";
    }
    StringBuilder data = new StringBuilder();
    for (int index = 0; index + 1 < points.size(); index += 2) {
      data.append(index == 0 ? 'M' : 'L')
          .append(number(points.get(index)))
          .append(' ')
          .append(number(points.get(index + 1)));
    }
    return closed ? data.append('Z').toString() : data.toString();
  }

  private static String number(double number) {
    return String.format(Locale.ROOT, "%.6f", number);
  }

  /** A box with round corners; with corners as large as can be, an ellipse. */
  static String rectangle(Box box, double across, double down) {
    double rx = Math.min(across, box.width() / 2);
    double ry = Math.min(down, box.height() / 2);
    if (rx <= 0 || ry <= 0) {
      return data(
          List.of(
              box.x(),
              box.y(),
              box.right(),
              box.y(),
              box.right(),
              box.bottom(),
              box.x(),
              box.bottom()),
          true);
    }
    String arc = "a" + number(rx) + " " + number(ry) + " 0 0 1 ";
    return "M"
        + number(box.x() + rx)
        + " "
        + number(box.y())
        + "H"
        + number(box.right() - rx)
        + arc
        + number(rx)
        + " "
        + number(ry)
        + "V"
        + number(box.bottom() - ry)
        + arc
        + number(-rx)
        + " "
        + number(ry)
        + "H"
        + number(box.x() + rx)
        + arc
        + number(-rx)
        + " "
        + number(-ry)
        + "V"
        + number(box.y() + ry)
        + arc
        + number(rx)
        + " "
        + number(-ry)
        + "Z";
  }
}
