package dynamorph.formats.css;

import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Length;
import dynamorph.model.value.ScriptPosition;
import dynamorph.model.value.Slant;
import dynamorph.model.value.TextCase;
import dynamorph.model.value.TextDirection;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * Declarations of style sheets (CSS Fonts 4, Text 3, Text Decoration 4) as values of letters and
 * paragraphs. What no style can hold is left out.
 */
public final class CssLook {
  private static final double BOLD = 700;
  private static final double POINTS_PER_PIXEL = 0.75;

  private static final Pattern LENGTH =
      Pattern.compile(
          "(-?(?:\\d{1,6}(?:\\.\\d{0,9})?|\\.\\d{1,9}))\\s*(px|pt|pc|in|cm|mm|em|rem|%|)");

  private CssLook() {}

  /** A look with declarations over it: {@code font-weight: bold; color: #123456}. */
  public static PropertySet with(PropertySet look, String declarations) {
    PropertySet styled = look;
    for (String declaration : declarations.split(";")) {
      int colon = declaration.indexOf(':');
      if (colon > 0) {
        String name = declaration.substring(0, colon).strip().toLowerCase(Locale.ROOT);
        String value = declaration.substring(colon + 1).replace("!important", "").strip();
        styled = declared(styled, name, value);
      }
    }
    return styled;
  }

  private static PropertySet declared(PropertySet look, String name, String value) {
    String plain = value.toLowerCase(Locale.ROOT);
    return switch (name) {
      case "font-family" -> put(look, Properties.FONT_FAMILY, () -> family(value));
      case "font-weight" -> put(look, Properties.FONT_WEIGHT, () -> weight(plain));
      case "font-style" ->
          put(look, Properties.SLANT, () -> plain.equals("normal") ? Slant.UPRIGHT : Slant.ITALIC);
      case "font-size" -> put(look, Properties.SIZE, () -> size(plain));
      case "font-variant", "font-variant-caps" ->
          put(
              look,
              Properties.CASE,
              () -> plain.contains("small-caps") ? TextCase.SMALL_CAPITALS : null);
      case "text-transform" -> put(look, Properties.CASE, () -> textCase(plain));
      case "text-decoration", "text-decoration-line" -> lines(look, plain);
      case "vertical-align" -> put(look, Properties.SCRIPT_POSITION, () -> position(plain));
      case "letter-spacing" -> put(look, Properties.TRACKING, () -> tracking(plain));
      case "line-height" -> put(look, Properties.LEADING, () -> leading(plain));
      case "text-align" -> put(look, Properties.ALIGNMENT, () -> alignment(plain));
      case "text-indent" -> put(look, Properties.INDENT_FIRST, () -> length(plain));
      case "margin-left", "margin-inline-start", "padding-left" ->
          put(look, Properties.INDENT_START, () -> positive(plain));
      case "margin-right", "margin-inline-end", "padding-right" ->
          put(look, Properties.INDENT_END, () -> positive(plain));
      case "margin-top", "margin-block-start" ->
          put(look, Properties.SPACE_BEFORE, () -> positive(plain));
      case "margin-bottom", "margin-block-end" ->
          put(look, Properties.SPACE_AFTER, () -> positive(plain));
      case "direction" ->
          put(
              look,
              Properties.DIRECTION,
              () ->
                  plain.equals("rtl") ? TextDirection.RIGHT_TO_LEFT : TextDirection.LEFT_TO_RIGHT);
      case "color" ->
          CssColours.parse(plain)
              .map(colour ->
                  look.with(Properties.COAT_COLOUR.at(Address.coat("fill")), Colour.of(colour)))
              .orElse(look);
      default -> look;
    };
  }

  private static <T> PropertySet put(
      PropertySet look, Property<T> property, Supplier<@Nullable T> value) {
    try {
      T read = value.get();
      return read == null ? look : look.with(property, read);
    } catch (IllegalArgumentException outOfRange) {
      return look;
    }
  }

  private static PropertySet lines(PropertySet look, String value) {
    PropertySet lined = look;
    if (value.contains("underline")) {
      lined = lined.with(Properties.UNDERLINE, true);
    }
    if (value.contains("line-through")) {
      lined = lined.with(Properties.STRIKE, true);
    }
    return lined;
  }

  private static @Nullable String family(String value) {
    String first = value.split(",", 2)[0].strip().replaceAll("^['\"]|['\"]$", "");
    // the families that stand for a kind are of no machine
    return first.isEmpty()
            || first.matches(
                "(?i)(ui-)?(sans-)?serif|(ui-)?monospace|cursive|fantasy|system-ui|inherit|initial|-apple-system|(ui-)?rounded")
        ? null
        : first;
  }

  private static @Nullable Double weight(String value) {
    return switch (value) {
      case "bold", "bolder" -> BOLD;
      case "normal", "lighter" -> Properties.FONT_WEIGHT.defaultValue();
      default ->
          value.matches("\\d{1,4}")
              ? Double.valueOf(Math.clamp(Integer.parseInt(value), 1, 1000))
              : null;
    };
  }

  private static @Nullable FontSize size(String value) {
    Matcher found = LENGTH.matcher(value);
    if (!found.matches() || found.group(2).isEmpty()) {
      return null;
    }
    double amount = Double.parseDouble(found.group(1));
    double points =
        switch (found.group(2)) {
          case "em" -> -amount;
          case "%" -> -amount / 100;
          case "rem" -> amount * 16 * POINTS_PER_PIXEL;
          default -> absolute(amount, found.group(2));
        };
    if (points < 0) {
      return new FontSize.Times(-points);
    }
    return points >= 0.1 && points <= 10_000 ? FontSize.points(points) : null;
  }

  private static double absolute(double amount, String unit) {
    return switch (unit) {
      case "px" -> amount * POINTS_PER_PIXEL;
      case "pc" -> amount * 12;
      case "in" -> amount * 72;
      case "cm" -> amount * 72 / 2.54;
      case "mm" -> amount * 72 / 25.4;
      case "rem" -> amount * 16 * POINTS_PER_PIXEL;
      default -> amount;
    };
  }

  private static @Nullable Length length(String value) {
    Matcher found = LENGTH.matcher(value);
    if (!found.matches() || found.group(2).equals("%")) {
      return null;
    }
    double amount = Double.parseDouble(found.group(1));
    if (amount == 0) {
      return Length.ZERO;
    }
    return switch (found.group(2)) {
      case "em" -> Length.em(amount);
      case "" -> null;
      default -> Length.points(absolute(amount, found.group(2)));
    };
  }

  private static @Nullable Length positive(String value) {
    return Optional.ofNullable(length(value)).filter(one -> one.amount() >= 0).orElse(null);
  }

  private static @Nullable Double tracking(String value) {
    Matcher found = LENGTH.matcher(value);
    return found.matches() && found.group(2).equals("em")
        ? Double.valueOf(Double.parseDouble(found.group(1)) * 1000)
        : null;
  }

  private static @Nullable Leading leading(String value) {
    Matcher found = LENGTH.matcher(value);
    if (!found.matches()) {
      return null;
    }
    double amount = Double.parseDouble(found.group(1));
    return switch (found.group(2)) {
      case "", "em" -> new Leading.Relative(amount);
      case "%" -> new Leading.Relative(amount / 100);
      default -> new Leading.Absolute(absolute(amount, found.group(2)));
    };
  }

  /** What {@code text-align} says; null for a value that it does not have. */
  public static @Nullable Alignment alignment(String value) {
    return switch (value) {
      case "start" -> Alignment.START;
      case "end" -> Alignment.END;
      case "left" -> Alignment.LEFT;
      case "right" -> Alignment.RIGHT;
      case "center" -> Alignment.CENTRE;
      case "justify" -> Alignment.JUSTIFIED;
      default -> null;
    };
  }

  /** What {@code text-transform} says; null for a value that it does not have. */
  public static @Nullable TextCase textCase(String value) {
    return switch (value) {
      case "uppercase" -> TextCase.UPPER;
      case "lowercase" -> TextCase.LOWER;
      case "capitalize" -> TextCase.TITLE;
      case "none" -> TextCase.AS_TYPED;
      default -> null;
    };
  }

  private static @Nullable ScriptPosition position(String value) {
    return switch (value) {
      case "super" -> ScriptPosition.SUPERSCRIPT;
      case "sub" -> ScriptPosition.SUBSCRIPT;
      default -> null;
    };
  }
}
