package dynamorph.formats.captions;

import dynamorph.formats.css.CssColours;
import dynamorph.formats.css.StyleSheet;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.BoxLengths;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.Colour;
import dynamorph.model.value.EffectKind;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Length;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.Slant;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The declarations that style sheets of WebVTT may use, as values of styles and back. */
final class CueCss {
  static final Address FILL = Address.coat("fill");
  static final Address GROUND = Address.plateCoat("ground");
  static final Address SHADOW = FILL.effect("shadow");

  /** The classes that the standard gives a colour. */
  private static final Map<String, String> CLASSES =
      Map.of(
          "white", "#ffffff",
          "lime", "#00ff00",
          "cyan", "#00ffff",
          "red", "#ff0000",
          "yellow", "#ffff00",
          "magenta", "#ff00ff",
          "blue", "#0000ff",
          "black", "#000000");

  private static final Pattern EM =
      Pattern.compile("(-?\\d{1,9}(?:\\.\\d{1,12})?)(em|%|px|vh|pt)?");

  private CueCss() {}

  static PropertySet ofClass(String name) {
    if (name.startsWith("bg_") && CLASSES.containsKey(name.substring(3))) {
      return ground(Rgba.parse(CLASSES.get(name.substring(3))));
    }
    return CLASSES.containsKey(name)
        ? PropertySet.EMPTY.with(
            Properties.COAT_COLOUR.at(FILL), Colour.of(Rgba.parse(CLASSES.get(name))))
        : PropertySet.EMPTY;
  }

  static PropertySet ground(Rgba colour) {
    return PropertySet.EMPTY
        .with(Properties.COAT_KIND.at(GROUND), CoatKind.FILL)
        .with(Properties.COAT_COLOUR.at(GROUND), Colour.of(colour))
        .with(Properties.PLATE_PADDING, BoxLengths.pairs(Length.em(0.1), Length.em(0.25)));
  }

  static PropertySet read(String declarations, int line, List<Remark> remarks) {
    PropertySet values = PropertySet.EMPTY;
    for (String declaration : declarations.split(";")) {
      int colon = declaration.indexOf(':');
      if (colon < 0) {
        continue;
      }
      String name = declaration.substring(0, colon).strip().toLowerCase(Locale.ROOT);
      String value = declaration.substring(colon + 1).replace("!important", "").strip();
      Optional<PropertySet> read = value(name, value);
      if (read.isEmpty()) {
        remarks.add(new Remark(line, "left out: " + name + ": " + value));
      }
      values = values.overlaidBy(read.orElse(PropertySet.EMPTY));
    }
    return values;
  }

  private static Optional<PropertySet> value(String name, String value) {
    PropertySet none = PropertySet.EMPTY;
    return switch (name) {
      case "color" ->
          CssColours.parse(value)
              .map(rgba -> none.with(Properties.COAT_COLOUR.at(FILL), Colour.of(rgba)));
      case "background-color", "background" -> CssColours.parse(value).map(CueCss::ground);
      case "font-weight" ->
          switch (value.toLowerCase(Locale.ROOT)) {
            case "bold", "bolder" -> Optional.of(none.with(Properties.FONT_WEIGHT, 700.0));
            case "normal" -> Optional.of(none.with(Properties.FONT_WEIGHT, 400.0));
            default ->
                value.matches("\\d{3,4}") && Integer.parseInt(value) <= 1000
                    ? Optional.of(none.with(Properties.FONT_WEIGHT, Double.valueOf(value)))
                    : Optional.empty();
          };
      case "font-style" ->
          Optional.of(
              none.with(Properties.SLANT, value.equals("normal") ? Slant.UPRIGHT : Slant.ITALIC));
      case "font-family" -> {
        String family = value.split(",", 2)[0].replaceAll("[\"']", "").strip();
        yield family.isEmpty() || family.matches("(sans-)?serif|monospace|cursive|fantasy")
            ? Optional.empty()
            : Optional.of(none.with(Properties.FONT_FAMILY, family));
      }
      case "font-size" -> size(value).map(size -> none.with(Properties.SIZE, size));
      case "line-height" ->
          number(value, "")
              .or(() -> number(value, "em"))
              .filter(times -> times > 0.2 && times < 10)
              .map(times -> none.with(Properties.LEADING, new Leading.Relative(times)));
      case "letter-spacing" ->
          number(value, "em").map(em -> none.with(Properties.TRACKING, em * 1000));
      case "text-decoration", "text-decoration-line" ->
          Optional.of(
              none.with(Properties.UNDERLINE, value.contains("underline"))
                  .with(Properties.OVERLINE, value.contains("overline"))
                  .with(Properties.STRIKE, value.contains("line-through")));
      case "opacity" ->
          number(value, "")
              .filter(share -> share >= 0 && share <= 1)
              .map(share -> none.with(Properties.COAT_OPACITY.at(FILL), share));
      case "text-shadow" -> shadow(value);
      default -> Optional.empty();
    };
  }

  private static Optional<FontSize> size(String value) {
    Matcher found = EM.matcher(value);
    if (!found.matches()) {
      return Optional.empty();
    }
    double number = Double.parseDouble(found.group(1));
    String unit = Optional.ofNullable(found.group(2)).orElse("px");
    if (!(number > 0)) {
      return Optional.empty();
    }
    return Optional.of(
        switch (unit) {
          case "em" -> new FontSize.Times(number);
          case "%" -> new FontSize.Times(number / 100);
          case "vh" -> FontSize.points(number * 10.8);
          default -> FontSize.points(number);
        });
  }

  private static Optional<Double> number(String value, String unit) {
    Matcher found = EM.matcher(value);
    return found.matches() && Optional.ofNullable(found.group(2)).orElse("").equals(unit)
        ? Optional.of(Double.parseDouble(found.group(1)))
        : Optional.empty();
  }

  private static final String NUMBER = "(-?(?:\\d{1,6}(?:\\.\\d{0,9})?|\\.\\d{1,9}))";

  private static final Pattern SHADOW_FORM =
      Pattern.compile(
          "(\\S+)\\s+N(px|em)?\\s+N(px|em)?(?:\\s+N(px|em)?)?".replace("N", NUMBER)
              + "|N(px|em)?\\s+N(px|em)?(?:\\s+N(px|em)?)?\\s+(\\S+)".replace("N", NUMBER));

  /** A shadow of letters; the colour may stand first, as in style sheets, or last. */
  static Optional<PropertySet> shadow(String value) {
    if (value.equals("none")) {
      return Optional.of(PropertySet.EMPTY);
    }
    String first = StyleSheet.parts(value).getFirst().strip().replace(", ", ",");
    Matcher found = SHADOW_FORM.matcher(first);
    if (!found.matches()) {
      return Optional.empty();
    }
    // a length may be a bare number too, but a colour is none
    boolean colourFirst = found.group(1) != null && CssColours.parse(found.group(1)).isPresent();
    if (!colourFirst && found.group(14) == null) {
      return Optional.empty();
    }
    int from = colourFirst ? 2 : 8;
    Optional<Rgba> colour = CssColours.parse(colourFirst ? found.group(1) : found.group(14));
    return colour.map(rgba ->
        PropertySet.EMPTY
            .with(Properties.EFFECT_KIND.at(SHADOW), EffectKind.DROP_SHADOW)
            .with(Properties.EFFECT_COLOUR.at(SHADOW), Colour.of(rgba))
            .with(Properties.EFFECT_OPACITY.at(SHADOW), 1.0)
            .with(Properties.SHADOW_X.at(SHADOW), length(found, from))
            .with(Properties.SHADOW_Y.at(SHADOW), length(found, from + 2))
            .with(
                Properties.SHADOW_BLUR.at(SHADOW),
                found.group(from + 4) == null ? Length.ZERO : length(found, from + 4)));
  }

  private static Length length(Matcher found, int group) {
    double number = Double.parseDouble(found.group(group));
    return "em".equals(found.group(group + 1)) ? Length.em(number) : Length.points(number);
  }
}
