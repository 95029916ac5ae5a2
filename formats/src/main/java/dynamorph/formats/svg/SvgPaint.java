package dynamorph.formats.svg;

import dynamorph.model.cascade.Coats;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.BlendMode;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.Colour;
import dynamorph.model.value.Dashes;
import dynamorph.model.value.GradientStops;
import dynamorph.model.value.Interpolation;
import dynamorph.model.value.Length;
import dynamorph.model.value.PaintKind;
import dynamorph.model.value.RadialShape;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.SpreadMethod;
import dynamorph.model.value.StrokeCap;
import dynamorph.model.value.StrokeJoin;
import dynamorph.paint.artwork.Affine;
import dynamorph.typeset.layout.Box;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.nodes.Element;

/** Fills and strokes of a drawing as coats. */
final class SvgPaint {
  static final Address FILL = Address.coat("fill");
  static final Address STROKE = Address.coat("stroke");

  private static final Pattern REFERENCE =
      Pattern.compile("url\\(\\s*['\"]?#([^)'\"]{1,200})['\"]?\\s*\\)\\s*(.{0,100})");
  private static final int MOST_STOPS = 64;
  private static final int MOST_DASHES = 32;

  /** Pieces between two stops that are not equally opaque. */
  private static final int STEPS = 6;

  private final SvgIndex index;
  private final SvgCascade cascade;
  private final Told told;

  SvgPaint(SvgIndex index, SvgCascade cascade, Told told) {
    this.index = index;
    this.cascade = cascade;
    this.told = told;
  }

  /**
   * Where something is painted.
   *
   * @param toLayer from user units to points of the layer, before it is turned
   * @param user the box around it, in user units
   * @param layer the box of the layer, in points
   * @param whole what percentages of lengths without a direction are of, in user units
   */
  record Place(Affine toLayer, Box user, Box layer, double whole) {}

  /** The coats of something, no more opaque than what it lies in. */
  PropertySet coats(SvgStyle style, double opacity, Place place) {
    BlendMode mode = BlendMode.ofCss(style.get("mix-blend-mode", "normal"));
    double width = style.length("stroke-width", 1, place.whole()) * place.toLayer().scale();
    PropertySet stroke = width > 0 ? stroke(style, place, width) : PropertySet.EMPTY;
    PropertySet fill = fill(style, place);
    boolean both = !stroke.isEmpty() && !fill.has(Properties.COAT_REMOVED.at(FILL));
    if (both && (opacity < 1 || mode != BlendMode.NORMAL)) {
      // where the stroke lies over the fill, nothing of that shows through (SVG 2, 3.5)
      Address all = Address.whole(Address.FINISH);
      return fill.overlaidBy(stroke)
          .with(Properties.COAT_OPACITY.at(all), rounded(opacity))
          .with(Properties.COAT_BLEND.at(all), mode);
    }
    Address only = stroke.isEmpty() ? FILL : STROKE;
    PropertySet look = fill.overlaidBy(stroke);
    if (look.has(Properties.COAT_OPACITY.at(only))) {
      double own = Coats.value(look, Properties.COAT_OPACITY.at(only));
      look = look.with(Properties.COAT_OPACITY.at(only), rounded(own * opacity));
    }
    return mode == BlendMode.NORMAL ? look : look.with(Properties.COAT_BLEND.at(only), mode);
  }

  private PropertySet fill(SvgStyle style, Place place) {
    PropertySet painted =
        painted(FILL, style, style.get("fill", "black"), style.share("fill-opacity"), place);
    return painted.isEmpty()
        ? PropertySet.EMPTY.with(Properties.COAT_REMOVED.at(FILL), true)
        : painted;
  }

  private PropertySet stroke(SvgStyle style, Place place, double width) {
    PropertySet painted =
        painted(STROKE, style, style.get("stroke", "none"), style.share("stroke-opacity"), place);
    if (painted.isEmpty()) {
      return painted;
    }
    double scale = place.toLayer().scale();
    boolean below = style.get("paint-order", "").strip().startsWith("stroke");
    PropertySet look =
        painted
            .with(Properties.COAT_KIND.at(STROKE), CoatKind.STROKE)
            .with(Properties.COAT_ORDER.at(STROKE), below ? -1.0 : 1.0)
            .with(Properties.STROKE_WIDTH.at(STROKE), Length.points(rounded(Math.min(width, 1e4))))
            .with(Properties.STROKE_JOIN.at(STROKE), join(style.get("stroke-linejoin", "miter")))
            .with(Properties.STROKE_CAP.at(STROKE), cap(style.get("stroke-linecap", "butt")))
            .with(
                Properties.MITER_LIMIT.at(STROKE),
                Math.clamp(style.length("stroke-miterlimit", 4), 1, 100));
    List<Length> dashes =
        SvgNumbers.list(style.get("stroke-dasharray", "")).stream()
            .map(dash -> Length.points(rounded(Math.clamp(dash * scale, 0, 1e4))))
            .limit(MOST_DASHES)
            .toList();
    if (dashes.stream().anyMatch(dash -> dash.amount() > 0)) {
      look =
          look.with(Properties.DASHES.at(STROKE), new Dashes(dashes))
              .with(
                  Properties.DASH_OFFSET.at(STROKE),
                  Length.points(
                      rounded(
                          Math.clamp(style.length("stroke-dashoffset", 0) * scale, -1e4, 1e4))));
    }
    return look;
  }

  private static double rounded(double points) {
    return Math.rint(points * 1000) / 1000;
  }

  private static StrokeJoin join(String said) {
    return switch (said) {
      case "round" -> StrokeJoin.ROUND;
      case "bevel" -> StrokeJoin.BEVEL;
      default -> StrokeJoin.MITER;
    };
  }

  private static StrokeCap cap(String said) {
    return switch (said) {
      case "round" -> StrokeCap.ROUND;
      case "square" -> StrokeCap.SQUARE;
      default -> StrokeCap.BUTT;
    };
  }

  /** What a coat is painted with; empty for nothing. */
  private PropertySet painted(
      Address coat, SvgStyle style, String said, double opacity, Place place) {
    String paint = said.strip();
    Matcher reference = REFERENCE.matcher(paint);
    if (reference.matches()) {
      Optional<Element> server = index.find(reference.group(1));
      Optional<PropertySet> served =
          server.flatMap(element -> served(coat, element, opacity, place));
      if (served.isPresent()) {
        return served.get();
      }
      server.ifPresent(_ -> told.add(NotDrawn.PATTERN));
      paint = reference.group(2).strip().isEmpty() ? "none" : reference.group(2).strip();
    }
    return style
        .colour(paint)
        .filter(colour -> colour.alpha() > 0)
        .map(colour -> solid(coat, colour, opacity))
        .orElse(PropertySet.EMPTY);
  }

  private static PropertySet solid(Address coat, Rgba colour, double opacity) {
    return PropertySet.EMPTY
        .with(Properties.COAT_PAINT.at(coat), PaintKind.SOLID)
        .with(Properties.COAT_COLOUR.at(coat), Colour.of(colour))
        .with(Properties.COAT_OPACITY.at(coat), rounded(opacity));
  }

  private Optional<PropertySet> served(Address coat, Element server, double opacity, Place place) {
    SvgGradient gradient = SvgGradient.of(server, index);
    return switch (SvgIndex.name(server)) {
      case "linearGradient" -> Optional.of(gradient(coat, gradient, true, opacity, place));
      case "radialGradient" -> Optional.of(gradient(coat, gradient, false, opacity, place));
      default -> Optional.empty();
    };
  }

  private PropertySet gradient(
      Address coat, SvgGradient gradient, boolean linear, double opacity, Place place) {
    List<GradientStops.Stop> stops = stops(gradient);
    if (stops.isEmpty()) {
      return PropertySet.EMPTY;
    }
    Rgba last =
        stops.getLast().colour() instanceof Colour.Literal(Rgba colour) ? colour : Rgba.BLACK;
    PropertySet look =
        PropertySet.EMPTY
            .with(Properties.COAT_OPACITY.at(coat), rounded(opacity))
            .with(Properties.GRADIENT_STOPS.at(coat), new GradientStops(stops))
            .with(Properties.INTERPOLATION.at(coat), Interpolation.SRGB)
            .with(Properties.GRADIENT_REPEAT.at(coat), spread(gradient.get("spreadMethod", "pad")));
    Affine units =
        gradient.get("gradientUnits", "").equals("userSpaceOnUse")
            ? Affine.IDENTITY
            : new Affine(
                place.user().width(),
                0,
                0,
                place.user().height(),
                place.user().x(),
                place.user().y());
    Affine course =
        place
            .toLayer()
            .after(units)
            .after(SvgNumbers.transform(gradient.get("gradientTransform", "")));
    Affine back = course.inverse();
    if (stops.size() == 1 || back == null || place.layer().width() * place.layer().height() == 0) {
      return solid(coat, last, opacity);
    }
    return linear
        ? along(look, coat, gradient, course, back, place)
            .orElseGet(() -> solid(coat, last, opacity))
        : outwards(look, coat, gradient, course, place).orElseGet(() -> solid(coat, last, opacity));
  }

  /**
   * A linear gradient is still one after any transform: its colours run at right angles to the
   * lines of one colour.
   */
  private static Optional<PropertySet> along(
      PropertySet look, Address coat, SvgGradient gradient, Affine course, Affine back, Place at) {
    double x1 = gradient.number("x1", 0);
    double y1 = gradient.number("y1", 0);
    double dx = gradient.number("x2", 1) - x1;
    double dy = gradient.number("y2", 0) - y1;
    double square = dx * dx + dy * dy;
    double slopeX = (back.a() * dx + back.b() * dy) / square;
    double slopeY = (back.c() * dx + back.d() * dy) / square;
    double slope = Math.hypot(slopeX, slopeY);
    if (square == 0 || !Double.isFinite(slope) || slope == 0) {
      return Optional.empty();
    }
    double length = 1 / slope;
    Affine.Place start = course.apply(x1, y1);
    Box box = at.layer();
    // of all places that have the middle colour, the one nearest to the middle of the box
    double centreX = box.x() + box.width() / 2;
    double centreY = box.y() + box.height() / 2;
    double away =
        (centreX - start.x()) * slopeX / slope
            + (centreY - start.y()) * slopeY / slope
            - length / 2;
    double middleX = centreX - slopeX / slope * away;
    double middleY = centreY - slopeY / slope * away;
    double whole = Math.abs(box.width() * slopeX / slope) + Math.abs(box.height() * slopeY / slope);
    return Optional.of(
        look.with(Properties.COAT_PAINT.at(coat), PaintKind.LINEAR)
            .with(
                Properties.GRADIENT_ANGLE.at(coat),
                rounded(Math.toDegrees(Math.atan2(slopeY, slopeX))))
            .with(Properties.GRADIENT_X.at(coat), percent((middleX - box.x()) / box.width()))
            .with(Properties.GRADIENT_Y.at(coat), percent((middleY - box.y()) / box.height()))
            .with(
                Properties.GRADIENT_SCALE.at(coat),
                rounded(Math.clamp(length / whole * 100, 1, 100_000))));
  }

  private static double percent(double share) {
    return rounded(Math.clamp(share * 100, -1000, 1000));
  }

  /**
   * A radial gradient between two circles (SVG 2, 14.2.3). The ellipse that a circle becomes has
   * the singular values of the transform for radii, and is turned as its left vectors are; the
   * focal point goes by the right ones.
   */
  private Optional<PropertySet> outwards(
      PropertySet look, Address coat, SvgGradient gradient, Affine course, Place at) {
    double x = gradient.number("cx", 0.5);
    double y = gradient.number("cy", 0.5);
    double inner = Math.max(0, gradient.number("fr", 0));
    double radius = gradient.number("r", 0.5) - inner;
    if (radius <= 0) {
      return Optional.empty();
    }
    double along = inner / radius;
    // from the circle of no radius to the one that is as wide as the gradient is long
    double startX = gradient.number("fx", x) - (x - gradient.number("fx", x)) * along;
    double startY = gradient.number("fy", y) - (y - gradient.number("fy", y)) * along;
    double middleX = startX + (x - startX) / (1 + along);
    double middleY = startY + (y - startY) / (1 + along);
    Affine.Place middle = course.apply(middleX, middleY);
    Box box = at.layer();
    PropertySet centred =
        look.with(Properties.COAT_PAINT.at(coat), PaintKind.RADIAL)
            .with(Properties.GRADIENT_X.at(coat), percent((middle.x() - box.x()) / box.width()))
            .with(Properties.GRADIENT_Y.at(coat), percent((middle.y() - box.y()) / box.height()));
    if (along > 0) {
      centred =
          centred.with(Properties.GRADIENT_OFFSET.at(coat), rounded(Math.min(along * 100, 10_000)));
    }
    double turn = axis(course);
    Affine unturned = Affine.rotation(-Math.toDegrees(turn)).after(course);
    double across = radius * Math.hypot(unturned.a(), unturned.c());
    double down = radius * Math.hypot(unturned.b(), unturned.d());
    double towardsX = (startX - middleX) / radius;
    double towardsY = (startY - middleY) / radius;
    double focalX = (unturned.a() * towardsX + unturned.c() * towardsY) * radius / across;
    double focalY = (unturned.b() * towardsX + unturned.d() * towardsY) * radius / down;
    if (Math.hypot(focalX, focalY) > 1) {
      told.add(NotDrawn.GRADIENT);
    }
    PropertySet shaped = shaped(centred, coat, across, down, turn, box);
    return Optional.of(
        Math.hypot(focalX, focalY) < 1e-4
            ? shaped
            : shaped
                .with(Properties.FOCAL_X.at(coat), rounded(Math.clamp(focalX * 100, -100, 100)))
                .with(Properties.FOCAL_Y.at(coat), rounded(Math.clamp(focalY * 100, -100, 100))));
  }

  /**
   * Where an axis of the ellipse lies that a circle becomes, in radians; 0 for one that is level.
   */
  private static double axis(Affine course) {
    double product = course.a() * course.b() + course.c() * course.d();
    double level = course.a() * course.a() + course.c() * course.c();
    double upright = course.b() * course.b() + course.d() * course.d();
    return Math.abs(product) <= 1e-9 * (level + upright)
        ? 0
        : Math.atan2(2 * product, level - upright) / 2;
  }

  /** An ellipse that is like the box is one of the box; any other is a circle made flat. */
  private static PropertySet shaped(
      PropertySet look, Address coat, double across, double down, double turn, Box box) {
    double wide = across / (box.width() / 2);
    double high = down / (box.height() / 2);
    if (turn == 0 && Math.abs(wide - high) <= 1e-6 * wide) {
      return look.with(Properties.GRADIENT_SCALE.at(coat), scale(wide));
    }
    return look.with(Properties.RADIAL_SHAPE.at(coat), RadialShape.CIRCLE)
        .with(
            Properties.GRADIENT_SCALE.at(coat),
            scale(across / (Math.max(box.width(), box.height()) / 2)))
        .with(
            Properties.RADIAL_ASPECT.at(coat), rounded(Math.clamp(down / across * 100, 1, 10_000)))
        .with(Properties.RADIAL_ROTATION.at(coat), rounded(Math.toDegrees(turn)));
  }

  private static double scale(double share) {
    return rounded(Math.clamp(share * 100, 1, 100_000));
  }

  private static SpreadMethod spread(String said) {
    return switch (said) {
      case "repeat" -> SpreadMethod.REPEAT;
      case "reflect" -> SpreadMethod.REFLECT;
      default -> SpreadMethod.PAD;
    };
  }

  private List<GradientStops.Stop> stops(SvgGradient gradient) {
    List<GradientStops.Stop> stops = new ArrayList<>();
    double from = 0;
    for (Element stop : gradient.stops()) {
      SvgStyle style = SvgStyle.INITIAL.with(cascade.of(stop));
      // no stop stands before the one before it
      from = Math.max(from, Math.clamp(SvgNumbers.share(stop.attr("offset")).orElse(0.0), 0, 1));
      Rgba colour = style.colour("stop-color", "black").orElse(Rgba.BLACK);
      double opacity = style.share("stop-opacity") * colour.alpha() / 255;
      put(stops, new Rgba(colour.argb() | 0xFF000000), rounded(from), rounded(opacity));
    }
    return stops;
  }

  /**
   * Adds a stop. Colours of drawings are mixed without regard to how opaque they are (SVG 2,
   * 14.2.1), those of coats with it, so what lies between is said as well.
   */
  private static void put(
      List<GradientStops.Stop> stops, Rgba colour, double position, double opacity) {
    if (!stops.isEmpty()
        && stops.getLast().opacity() != opacity
        && stops.getLast().colour() instanceof Colour.Literal(Rgba before)
        && !before.equals(colour)) {
      GradientStops.Stop last = stops.getLast();
      for (int step = 1; step < STEPS && stops.size() < MOST_STOPS - 1; step++) {
        double share = step / (double) STEPS;
        stops.add(
            new GradientStops.Stop(
                Colour.of(
                    Rgba.of(
                        between(before.red(), colour.red(), share),
                        between(before.green(), colour.green(), share),
                        between(before.blue(), colour.blue(), share))),
                rounded(last.position() + (position - last.position()) * share),
                rounded(last.opacity() + (opacity - last.opacity()) * share)));
      }
    }
    if (stops.size() < MOST_STOPS) {
      stops.add(new GradientStops.Stop(Colour.of(colour), position, opacity));
    }
  }

  private static int between(int from, int to, double share) {
    return (int) Math.round(from + (to - from) * share);
  }
}
