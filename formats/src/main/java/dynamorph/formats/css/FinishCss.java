package dynamorph.formats.css;

import dynamorph.model.cascade.Coats;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.BlendMode;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.Colour;
import dynamorph.model.value.EffectKind;
import dynamorph.model.value.Interpolation;
import dynamorph.model.value.Length;
import dynamorph.model.value.Numbers;
import dynamorph.model.value.PaintKind;
import dynamorph.model.value.PlateExtent;
import dynamorph.model.value.RadialShape;
import dynamorph.model.value.SpreadMethod;
import dynamorph.model.value.StrokePosition;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.stream.Collectors;

/**
 * Says coats, shadows and plates in CSS: one fill and one stroke of the letters, their shadows, the
 * ground of the box with its border and shadow (CSS Color 4, Images 4, Text Decoration 3,
 * Backgrounds and Borders 3; the stroke by the Compatibility Standard, 4.1).
 */
final class FinishCss {
  private final Declarations css;
  private final PropertySet values;
  private final BiFunction<Colour, Double, String> colours;

  /**
   * @param colours how a colour of an opacity from 0 to 1 is written
   */
  FinishCss(Declarations css, BiFunction<Colour, Double, String> colours) {
    this.css = css;
    this.values = css.values();
    this.colours = colours;
  }

  private <T> T at(Property<T> property, Address address) {
    PropertyKey<T> key = property.at(address);
    css.saying(key);
    return Coats.value(values, key);
  }

  private String length(Property<Length> property, Address address) {
    return Declarations.length(at(property, address));
  }

  /** Names, order and what is switched off need no words of their own. */
  private void passOver(Address address) {
    List<Property<?>> silent =
        address.part() == Property.Part.EFFECT
            ? List.of(
                Properties.EFFECT_NAME,
                Properties.EFFECT_ORDER,
                Properties.EFFECT_SHOWN,
                Properties.EFFECT_REMOVED)
            : List.of(
                Properties.COAT_NAME,
                Properties.COAT_ORDER,
                Properties.COAT_SHOWN,
                Properties.COAT_REMOVED);
    silent.forEach(property -> css.saying(property.at(address)));
  }

  /**
   * Says the finish of the letters.
   *
   * @return whether there are more coats than CSS has
   */
  boolean letters() {
    List<Address> shown =
        Coats.of(values, Address.FINISH).stream()
            .filter(coat -> at(Properties.COAT_SHOWN, coat))
            .toList();
    Coats.of(values, Address.FINISH).forEach(this::passOver);
    List<Address> fills = ofKind(shown, CoatKind.FILL);
    List<Address> strokes = ofKind(shown, CoatKind.STROKE);
    if (fills.isEmpty()) {
      css.put("color", "transparent");
    } else if (isTouched(fills.getLast())) {
      fill(fills.getLast());
    }
    if (!strokes.isEmpty()) {
      stroke(strokes.getLast());
    }
    List<String> shadows = new ArrayList<>();
    for (Address coat : shown.reversed()) {
      shadows.addAll(textShadows(coat));
    }
    shadows.addAll(textShadows(Address.whole(Address.FINISH)));
    if (!shadows.isEmpty()) {
      css.put("text-shadow", String.join(", ", shadows));
    }
    together();
    return fills.size() > 1 || strokes.size() > 1;
  }

  /** What lies over the rest as one is the element, plate and all. */
  private void together() {
    Address whole = Address.whole(Address.FINISH);
    if (!Coats.of(values, Address.PLATE).isEmpty()) {
      return;
    }
    double opacity = at(Properties.COAT_OPACITY, whole);
    if (opacity < 1) {
      css.put("opacity", Numbers.format(opacity, 3));
    }
    BlendMode blend = at(Properties.COAT_BLEND, whole);
    if (blend != BlendMode.NORMAL) {
      css.put("mix-blend-mode", blend.css());
    }
  }

  private List<Address> ofKind(List<Address> coats, CoatKind kind) {
    return coats.stream().filter(coat -> at(Properties.COAT_KIND, coat) == kind).toList();
  }

  /** The coat that all text has is said where a style changes it. */
  private boolean isTouched(Address coat) {
    Set<Property<?>> given = Set.of(Properties.COAT_KIND);
    return values.keysOfCoats().stream()
        .anyMatch(key -> key.address().equals(coat) && !given.contains(key.property()));
  }

  private void fill(Address coat) {
    switch (at(Properties.COAT_PAINT, coat)) {
      case SOLID -> css.put("color", colour(coat));
      case LINEAR, RADIAL, CONIC -> {
        css.put("background", gradient(coat));
        css.put("-webkit-background-clip", "text");
        css.put("background-clip", "text");
        css.put("color", "transparent");
      }
      case PATTERN -> css.put("color", colour(coat));
    }
  }

  private String colour(Address coat) {
    return colours.apply(at(Properties.COAT_COLOUR, coat), at(Properties.COAT_OPACITY, coat));
  }

  /** Angles of CSS begin at the top and turn clockwise; here they begin at the right. */
  private String gradient(Address coat) {
    String space = at(Properties.INTERPOLATION, coat) == Interpolation.OKLAB ? " in oklab" : "";
    PropertyKey<SpreadMethod> repeat = Properties.GRADIENT_REPEAT.at(coat);
    boolean repeats = Coats.value(values, repeat) == SpreadMethod.REPEAT;
    if (repeats) {
      css.saying(repeat);
    }
    double scale = at(Properties.GRADIENT_SCALE, coat) / 100;
    double offset = at(Properties.GRADIENT_OFFSET, coat) / 100;
    String start =
        switch (at(Properties.COAT_PAINT, coat)) {
          case LINEAR, SOLID, PATTERN ->
              "linear-gradient("
                  + turn(coat, 0)
                  + space
                  // its line runs through the middle
                  + stops(coat, scale, 0.5 + (offset - 0.5) * scale);
          case RADIAL -> radial(coat, scale, offset, space);
          case CONIC ->
              "conic-gradient(from "
                  + turn(coat, 360 * offset)
                  + " "
                  + centre(coat)
                  + space
                  + stops(coat, Math.min(1, scale), 0);
        };
    return (repeats ? "repeating-" : "") + start + ")";
  }

  private String turn(Address coat, double more) {
    return Numbers.format(cssAngle(at(Properties.GRADIENT_ANGLE, coat) + more), 3) + "deg";
  }

  private String centre(Address coat) {
    return "at "
        + Numbers.format(at(Properties.GRADIENT_X, coat))
        + "% "
        + Numbers.format(at(Properties.GRADIENT_Y, coat))
        + "%";
  }

  /**
   * A radial gradient; a turned one, and one that starts beside its centre, has no words in CSS. A
   * circle as wide as the longer side has them where its centre is the middle.
   */
  private String radial(Address coat, double scale, double offset, String space) {
    PropertyKey<Double> aspect = Properties.RADIAL_ASPECT.at(coat);
    // it has no direction
    css.saying(Properties.GRADIENT_ANGLE.at(coat));
    if (Coats.value(values, Properties.RADIAL_SHAPE.at(coat)) == RadialShape.CIRCLE
        && Coats.value(values, aspect) == 100
        && at(Properties.GRADIENT_X, coat) == 50
        && at(Properties.GRADIENT_Y, coat) == 50) {
      css.saying(Properties.RADIAL_SHAPE.at(coat));
      css.saying(aspect);
      return "radial-gradient(circle farthest-side "
          + centre(coat)
          + space
          + stops(coat, scale, offset * scale);
    }
    double high = scale * at(Properties.RADIAL_ASPECT, coat) / 100;
    return "radial-gradient("
        + Numbers.format(50 * scale, 3)
        + "% "
        + Numbers.format(50 * high, 3)
        + "% "
        + centre(coat)
        + space
        + stops(coat, 1, offset);
  }

  /** The stops, where they lie along what CSS takes for the length of a gradient. */
  private String stops(Address coat, double scale, double from) {
    double opacity = at(Properties.COAT_OPACITY, coat);
    return at(Properties.GRADIENT_STOPS, coat).stops().stream()
        .map(stop ->
            ", "
                + colours.apply(stop.colour(), stop.opacity() * opacity)
                + " "
                + Numbers.format((from + stop.position() * scale) * 100, 3)
                + "%")
        .collect(Collectors.joining());
  }

  static double cssAngle(double angle) {
    double turned = (angle + 90) % 360;
    return turned < 0 ? turned + 360 : turned;
  }

  private void stroke(Address coat) {
    if (at(Properties.COAT_PAINT, coat) != PaintKind.SOLID) {
      css.put("-webkit-text-stroke-color", firstStop(coat));
    } else {
      css.put("-webkit-text-stroke-color", colour(coat));
    }
    Length width = at(Properties.STROKE_WIDTH, coat);
    PropertyKey<StrokePosition> position = Properties.STROKE_POSITION.at(coat);
    boolean outside = Coats.value(values, position) == StrokePosition.OUTSIDE;
    if (Coats.value(values, position) != StrokePosition.INSIDE) {
      css.saying(position);
    }
    // the fill covers the inner half of a stroke that is painted first
    css.put(
        "-webkit-text-stroke-width",
        Declarations.length(outside ? new Length(2 * width.amount(), width.unit()) : width));
    if (outside) {
      css.put("paint-order", "stroke fill");
    }
  }

  private String firstStop(Address coat) {
    var stop = at(Properties.GRADIENT_STOPS, coat).stops().getFirst();
    return colours.apply(stop.colour(), stop.opacity() * at(Properties.COAT_OPACITY, coat));
  }

  private List<String> textShadows(Address coat) {
    List<String> shadows = new ArrayList<>();
    for (Address effect : Coats.effects(values, coat).reversed()) {
      passOver(effect);
      if (!at(Properties.EFFECT_SHOWN, effect)) {
        continue;
      }
      EffectKind kind = at(Properties.EFFECT_KIND, effect);
      if (kind == EffectKind.DROP_SHADOW || kind == EffectKind.OUTER_GLOW) {
        shadows.add(shadow(effect, kind));
      } else if (kind == EffectKind.BLUR && coat.coat().equals(Address.WHOLE)) {
        // the blur of a filter is given by its standard deviation, which is half of a blur radius
        Length blur = at(Properties.SHADOW_BLUR, effect);
        css.put(
            "filter",
            "blur(" + Declarations.length(new Length(blur.amount() / 2, blur.unit())) + ")");
      }
    }
    return shadows;
  }

  private String shadow(Address effect, EffectKind kind) {
    boolean moved = kind == EffectKind.DROP_SHADOW;
    return (moved ? length(Properties.SHADOW_X, effect) : "0")
        + " "
        + (moved ? length(Properties.SHADOW_Y, effect) : "0")
        + " "
        + length(Properties.SHADOW_BLUR, effect)
        + " "
        + colours.apply(
            at(Properties.EFFECT_COLOUR, effect), at(Properties.EFFECT_OPACITY, effect));
  }

  /** Says the plate as the box of the element, unless letters are cut out of a gradient. */
  void plate() {
    List<Address> coats =
        Coats.of(values, Address.PLATE).stream()
            .filter(coat -> at(Properties.COAT_SHOWN, coat))
            .toList();
    if (coats.isEmpty() || css.written().containsKey("background-clip")) {
      return;
    }
    List<String> boxShadows = new ArrayList<>();
    for (Address coat : coats) {
      passOver(coat);
      if (at(Properties.COAT_KIND, coat) == CoatKind.FILL) {
        boolean plain = at(Properties.COAT_PAINT, coat) == PaintKind.SOLID;
        css.put("background", plain ? colour(coat) : gradient(coat));
      } else {
        css.put(
            "border",
            length(Properties.STROKE_WIDTH, coat) + " " + line(coat) + " " + colour(coat));
      }
      for (Address effect : Coats.effects(values, coat)) {
        passOver(effect);
        EffectKind kind = at(Properties.EFFECT_KIND, effect);
        if (kind == EffectKind.DROP_SHADOW || kind == EffectKind.INNER_SHADOW) {
          boxShadows.add(boxShadow(effect, kind));
        }
      }
    }
    if (!boxShadows.isEmpty()) {
      css.put("box-shadow", String.join(", ", boxShadows));
    }
    around(Properties.PLATE_PADDING, "padding");
    around(Properties.PLATE_RADIUS, "border-radius");
    css.saying(Properties.PLATE_EXTENT.key());
    if (Coats.value(values, Properties.PLATE_EXTENT.key()) == PlateExtent.LINE) {
      css.put("display", "inline");
      css.put("-webkit-box-decoration-break", "clone");
      css.put("box-decoration-break", "clone");
    }
  }

  private String line(Address coat) {
    return at(Properties.DASHES, coat).isSolid() ? "solid" : "dashed";
  }

  private String boxShadow(Address effect, EffectKind kind) {
    return length(Properties.SHADOW_X, effect)
        + " "
        + length(Properties.SHADOW_Y, effect)
        + " "
        + length(Properties.SHADOW_BLUR, effect)
        + " "
        + length(Properties.EFFECT_SPREAD, effect)
        + " "
        + colours.apply(at(Properties.EFFECT_COLOUR, effect), at(Properties.EFFECT_OPACITY, effect))
        + (kind == EffectKind.INNER_SHADOW ? " inset" : "");
  }

  private void around(Property<dynamorph.model.value.BoxLengths> property, String name) {
    css.saying(property.key());
    var lengths = Coats.value(values, property.key());
    css.put(
        name,
        String.join(
            " ",
            Declarations.length(lengths.first()),
            Declarations.length(lengths.second()),
            Declarations.length(lengths.third()),
            Declarations.length(lengths.fourth())));
  }
}
