package dynamorph.formats.svg;

import dynamorph.formats.css.StyleSheet;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.Colour;
import dynamorph.model.value.EffectKind;
import dynamorph.model.value.Length;
import dynamorph.model.value.Rgba;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.nodes.Element;

/** Filters that are shadows or blurs, as effects (Filter Effects 1). */
final class SvgEffects {
  private static final Pattern URL =
      Pattern.compile("url\\(\\s*['\"]?#([^)'\"]{1,200})['\"]?\\s*\\)");
  private static final Pattern FUNCTION =
      Pattern.compile("(blur|drop-shadow)\\(((?:[^()]|\\([^()]{0,100}\\)){0,200})\\)");
  private static final int MOST = 20;

  private final SvgIndex index;
  private final SvgCascade cascade;
  private final Told told;

  SvgEffects(SvgIndex index, SvgCascade cascade, Told told) {
    this.index = index;
    this.cascade = cascade;
    this.told = told;
  }

  /**
   * The effects of an element.
   *
   * @param scale points of a user unit
   */
  PropertySet of(SvgStyle style, double scale) {
    String said = style.get("filter", "none").strip();
    if (said.equals("none") || said.isEmpty()) {
      return PropertySet.EMPTY;
    }
    Matcher reference = URL.matcher(said);
    Optional<PropertySet> look =
        reference.matches()
            ? index.find(reference.group(1)).flatMap(filter -> filter(filter, scale))
            : functions(said, style, scale);
    if (look.isEmpty()) {
      told.add(NotDrawn.FILTER);
    }
    return look.orElse(PropertySet.EMPTY);
  }

  private static Optional<PropertySet> functions(String said, SvgStyle style, double scale) {
    if (!FUNCTION.matcher(said).replaceAll("").isBlank()) {
      return Optional.empty();
    }
    PropertySet look = PropertySet.EMPTY;
    Matcher function = FUNCTION.matcher(said);
    for (int number = 0; function.find() && number < MOST; number++) {
      String inside = function.group(2).strip();
      if (function.group(1).equals("blur")) {
        double deviation = SvgNumbers.length(inside, 0, style.size()).orElse(0.0);
        look = look.overlaidBy(blur(number, Deviation.round(Math.max(0, deviation) * scale)));
      } else {
        List<Double> lengths = new ArrayList<>();
        StringBuilder colour = new StringBuilder();
        for (String part : words(inside)) {
          SvgNumbers.length(part, 0, style.size())
              .ifPresentOrElse(lengths::add, () -> colour.append(part));
        }
        if (lengths.size() < 2) {
          return Optional.empty();
        }
        look =
            look.overlaidBy(
                shadow(
                    number,
                    lengths.get(0) * scale,
                    lengths.get(1) * scale,
                    Deviation.round((lengths.size() > 2 ? Math.max(0, lengths.get(2)) : 0) * scale),
                    style
                        .colour(colour.isEmpty() ? "currentcolor" : colour.toString())
                        .orElse(Rgba.BLACK),
                    1));
      }
    }
    return Optional.of(look);
  }

  /** Cut at spaces outside of parentheses. */
  private static List<String> words(String text) {
    List<String> words = new ArrayList<>();
    for (String part : StyleSheet.parts(text.replaceAll("\\s+(?![^(]*\\))", ","))) {
      if (!part.isBlank()) {
        words.add(part.strip());
      }
    }
    return words;
  }

  /** The steps of a filter, if all that they do is cast a shadow or soften. */
  private Optional<PropertySet> filter(Element filter, double scale) {
    Element offset = null;
    Element blur = null;
    Element colour = null;
    boolean over = false;
    double faded = 1;
    PropertySet look = PropertySet.EMPTY;
    int number = 0;
    for (Element step : filter.children()) {
      switch (SvgIndex.name(step)) {
        case "feDropShadow" -> {
          SvgStyle style = SvgStyle.INITIAL.with(cascade.of(step));
          look =
              look.overlaidBy(
                  shadow(
                      number++,
                      number(step, "dx", 2) * scale,
                      number(step, "dy", 2) * scale,
                      deviation(step, 2, scale),
                      style.colour("flood-color", "black").orElse(Rgba.BLACK),
                      style.share("flood-opacity")));
        }
        case "feGaussianBlur" -> blur = step;
        case "feOffset" -> offset = step;
        case "feFlood" -> colour = step;
        case "feMerge", "feBlend", "feComposite" -> over |= takesTheSource(step);
        case "feColorMatrix", "feComponentTransfer" -> faded = faded(step, faded);
        case "title", "desc" -> {}
        default -> {
          return Optional.empty();
        }
      }
    }
    if (!look.isEmpty() && blur == null && offset == null) {
      return Optional.of(look);
    }
    Deviation deviation = blur == null ? Deviation.NONE : deviation(blur, 0, scale);
    if (over && (offset != null || blur != null)) {
      SvgStyle style =
          colour == null ? SvgStyle.INITIAL : SvgStyle.INITIAL.with(cascade.of(colour));
      return Optional.of(
          look.overlaidBy(
              shadow(
                  number,
                  offset == null ? 0 : number(offset, "dx", 0) * scale,
                  offset == null ? 0 : number(offset, "dy", 0) * scale,
                  deviation,
                  style.colour("flood-color", "black").orElse(Rgba.BLACK),
                  faded * style.share("flood-opacity"))));
    }
    return offset == null && colour == null && !deviation.isNone()
        ? Optional.of(look.overlaidBy(blur(number, deviation)))
        : Optional.empty();
  }

  private static boolean takesTheSource(Element step) {
    return step.attr("in").equals("SourceGraphic")
        || step.attr("in2").equals("SourceGraphic")
        || step.children().stream().anyMatch(child -> child.attr("in").equals("SourceGraphic"));
  }

  /** How opaque a change of colours leaves what is solid. */
  private static double faded(Element step, double otherwise) {
    if (SvgIndex.name(step).equals("feComponentTransfer")) {
      return step.children().stream()
          .filter(child -> SvgIndex.name(child).equals("feFuncA"))
          .map(child -> number(child, "slope", 1))
          .findFirst()
          .orElse(otherwise);
    }
    List<Double> matrix = SvgNumbers.list(step.attr("values"));
    return matrix.size() == 20 && matrix.get(18) > 0 && matrix.get(18) < 1
        ? matrix.get(18)
        : otherwise;
  }

  /**
   * The deviations of a step to the right and downwards, in points; one is for both (Filter Effects
   * 1, 9.12).
   */
  private static Deviation deviation(Element step, double otherwise, double scale) {
    List<Double> numbers = SvgNumbers.list(step.attr("stdDeviation"));
    double x = numbers.isEmpty() ? otherwise : numbers.getFirst();
    double y = numbers.size() < 2 ? x : numbers.get(1);
    return new Deviation(Math.max(0, x) * scale, Math.max(0, y) * scale);
  }

  /** How much is softened in two directions, in points. */
  private record Deviation(double x, double y) {
    static final Deviation NONE = new Deviation(0, 0);

    static Deviation round(double deviation) {
      return new Deviation(deviation, deviation);
    }

    boolean isNone() {
      return x == 0 && y == 0;
    }

    PropertySet at(Address at) {
      double more = Math.max(x, y);
      PropertySet blur = PropertySet.EMPTY.with(Properties.SHADOW_BLUR.at(at), points(2 * more, 0));
      if (x == y) {
        return blur;
      }
      double share = Math.rint(Math.min(x, y) / more * 100_000) / 1000;
      return blur.with(Properties.BLUR_ASPECT.at(at), share)
          .with(Properties.BLUR_ANGLE.at(at), x > y ? 0.0 : 90.0);
    }
  }

  private static double number(Element element, String attribute, double otherwise) {
    List<Double> numbers = SvgNumbers.list(element.attr(attribute));
    return numbers.isEmpty() ? otherwise : numbers.getFirst();
  }

  private static PropertySet shadow(
      int number, double x, double y, Deviation deviation, Rgba colour, double opacity) {
    Address at = Address.whole(Address.FINISH).effect(id("shadow", number));
    return PropertySet.EMPTY
        .with(Properties.EFFECT_KIND.at(at), EffectKind.DROP_SHADOW)
        .with(Properties.EFFECT_ORDER.at(at), (double) number)
        .with(Properties.EFFECT_COLOUR.at(at), Colour.of(colour))
        .with(Properties.EFFECT_OPACITY.at(at), Math.clamp(opacity, 0, 1))
        .with(Properties.SHADOW_X.at(at), points(x, -1e4))
        .with(Properties.SHADOW_Y.at(at), points(y, -1e4))
        .overlaidBy(deviation.at(at));
  }

  private static PropertySet blur(int number, Deviation deviation) {
    Address at = Address.whole(Address.FINISH).effect(id("blur", number));
    return PropertySet.EMPTY
        .with(Properties.EFFECT_KIND.at(at), EffectKind.BLUR)
        .with(Properties.EFFECT_ORDER.at(at), (double) number)
        .overlaidBy(deviation.at(at));
  }

  private static String id(String kind, int number) {
    return number == 0 ? kind : kind + "-" + (number + 1);
  }

  private static Length points(double points, double least) {
    return Length.points(Math.clamp(Math.rint(points * 1000) / 1000, least, 1e4));
  }
}
