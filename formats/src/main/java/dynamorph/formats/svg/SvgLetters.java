package dynamorph.formats.svg;

import dynamorph.formats.css.CssLook;
import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Slant;
import dynamorph.model.value.TateChuYoko;
import dynamorph.model.value.TextCase;
import dynamorph.model.value.TextOrientation;
import dynamorph.model.value.WritingMode;
import dynamorph.paint.artwork.Affine;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/** What a drawing says of letters, as values of a look. */
final class SvgLetters {
  private static final Set<String> GENERIC =
      Set.of("serif", "sans-serif", "monospace", "cursive", "fantasy", "system-ui");

  /** Letters stretched or sheared less than this are as they are. */
  private static final double NEARLY = 0.005;

  private SvgLetters() {}

  /** The look of letters in points, once they are turned back. */
  static PropertySet look(SvgStyle style, Affine place) {
    double size = style.size() * Math.abs(place.scaleY());
    PropertySet look =
        put(
                PropertySet.EMPTY,
                Properties.SIZE,
                FontSize.points(Math.clamp(Math.rint(size * 1000) / 1000, 0.1, 1e4)))
            .with(Properties.FONT_WEIGHT, style.weight())
            .with(
                Properties.SLANT,
                style.get("font-style", "normal").equals("normal") ? Slant.UPRIGHT : Slant.ITALIC);
    Optional<FontName> font =
        style.find("font-family").flatMap(SvgLetters::family).map(FontName::of);
    if (font.isPresent()) {
      look = named(look, font.get());
    }
    double tracking = style.length("letter-spacing", 0) / style.size() * 1000;
    if (Math.abs(tracking) >= NEARLY) {
      look = put(look, Properties.TRACKING, cents(tracking));
    }
    double between = style.length("word-spacing", 0) / style.size() * 1000;
    if (Math.abs(between) >= NEARLY) {
      look = put(look, Properties.WORD_SPACING, cents(between));
    }
    return deformed(lines(vertical(forms(look, style), style), style), place);
  }

  /** What the name of a face says counts where nothing else does. */
  private static PropertySet named(PropertySet start, FontName font) {
    PropertySet look = put(start, Properties.FONT_FAMILY, font.family());
    if (font.weight().isPresent()
        && look.get(Properties.FONT_WEIGHT.key()).filter(weight -> weight == 400).isPresent()) {
      look = look.with(Properties.FONT_WEIGHT, font.weight().get());
    }
    if (font.slant() == Slant.ITALIC) {
      look = look.with(Properties.SLANT, Slant.ITALIC);
    }
    return font.width().isPresent() ? put(look, Properties.FONT_WIDTH, font.width().get()) : look;
  }

  private static <T> PropertySet put(PropertySet look, Property<T> property, T value) {
    try {
      return look.with(property, value);
    } catch (IllegalArgumentException outOfRange) {
      // the rest of the look is worth having
      return look;
    }
  }

  /** To a hundredth, so that what was rounded in the file is one look. */
  static double cents(double number) {
    return Math.rint(number * 100) / 100;
  }

  private static Optional<String> family(String list) {
    for (String one : list.split(",")) {
      String name = one.strip().replaceAll("^['\"]|['\"]$", "").strip();
      if (!name.isEmpty() && !GENERIC.contains(name.toLowerCase(Locale.ROOT))) {
        return Optional.of(name);
      }
    }
    return Optional.empty();
  }

  private static PropertySet forms(PropertySet start, SvgStyle style) {
    PropertySet look = start;
    TextCase written = CssLook.textCase(style.get("text-transform", "none"));
    if (style.says("font-variant", "small-caps") || style.says("font-variant-caps", "small-caps")) {
      written = TextCase.SMALL_CAPITALS;
    }
    if (written != null && written != TextCase.AS_TYPED) {
      look = look.with(Properties.CASE, written);
    }
    Optional<Double> width = style.find("font-stretch").flatMap(SvgLetters::width);
    return width.isPresent() ? put(look, Properties.FONT_WIDTH, width.get()) : look;
  }

  /** In per cent (CSS Fonts 4, 2.3). */
  private static Optional<Double> width(String said) {
    return switch (said) {
      case "normal" -> Optional.empty();
      case "ultra-condensed" -> Optional.of(50.0);
      case "extra-condensed" -> Optional.of(62.5);
      case "condensed" -> Optional.of(75.0);
      case "semi-condensed" -> Optional.of(87.5);
      case "semi-expanded" -> Optional.of(112.5);
      case "expanded" -> Optional.of(125.0);
      case "extra-expanded" -> Optional.of(150.0);
      case "ultra-expanded" -> Optional.of(200.0);
      default ->
          said.endsWith("%") ? SvgNumbers.share(said).map(share -> share * 100) : Optional.empty();
    };
  }

  /** How lines run (CSS Writing Modes 4, 3.2; the former names as SVG 1.1 had them). */
  static WritingMode mode(SvgStyle style) {
    return switch (style.get("writing-mode", "")) {
      case "vertical-rl", "tb-rl", "tb", "sideways-rl" -> WritingMode.VERTICAL_RIGHT_TO_LEFT;
      case "vertical-lr" -> WritingMode.VERTICAL_LEFT_TO_RIGHT;
      default -> WritingMode.HORIZONTAL;
    };
  }

  private static PropertySet vertical(PropertySet start, SvgStyle style) {
    if (!mode(style).isVertical()) {
      return start;
    }
    PropertySet look = start.with(Properties.WRITING_MODE, mode(style));
    String orientation = style.get("text-orientation", "mixed");
    if (style.says("writing-mode", "sideways-rl") || orientation.startsWith("sideways")) {
      look = look.with(Properties.TEXT_ORIENTATION, TextOrientation.SIDEWAYS);
    } else if (orientation.equals("upright")) {
      look = look.with(Properties.TEXT_ORIENTATION, TextOrientation.UPRIGHT);
    }
    return switch (style.get("text-combine-upright", "none")) {
      case "all" -> look.with(Properties.TATE_CHU_YOKO, TateChuYoko.ALL);
      case "digits", "digits 2" -> look.with(Properties.TATE_CHU_YOKO, TateChuYoko.TWO_DIGITS);
      case "digits 3" -> look.with(Properties.TATE_CHU_YOKO, TateChuYoko.THREE_DIGITS);
      case "digits 4" -> look.with(Properties.TATE_CHU_YOKO, TateChuYoko.FOUR_DIGITS);
      default -> look;
    };
  }

  private static PropertySet lines(PropertySet start, SvgStyle style) {
    PropertySet look = start;
    String said = style.get("text-decoration", "") + " " + style.get("text-decoration-line", "");
    if (said.contains("underline")) {
      look = look.with(Properties.UNDERLINE, true);
    }
    if (said.contains("overline")) {
      look = look.with(Properties.OVERLINE, true);
    }
    return said.contains("line-through") ? look.with(Properties.STRIKE, true) : look;
  }

  private static PropertySet deformed(PropertySet start, Affine place) {
    PropertySet look = start;
    double wide = place.scaleX() / Math.max(1e-9, Math.abs(place.scaleY()));
    if (Math.abs(wide - 1) > NEARLY) {
      look = put(look, Properties.HORIZONTAL_SCALE, cents(wide * 100));
    }
    double shear = place.shear();
    return Math.abs(shear) > 20 * NEARLY ? put(look, Properties.SHEAR, cents(shear)) : look;
  }
}
