package dynamorph.formats.document;

import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Length;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.Slant;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** Gathers what a document says of a look; what no style can hold is left out. */
final class LookBuilder {
  static final double BOLD = 700;

  /** From this weight on, letters stand out as bold ones do. */
  static final double BOLDISH = 600;

  static final double REGULAR = 400;

  /** What word processors call a single line is about so much of the size, with most fonts. */
  private static final double SINGLE = 1.2;

  private PropertySet values;

  LookBuilder(PropertySet start) {
    this.values = start;
  }

  PropertySet look() {
    return values;
  }

  <T> LookBuilder set(Property<T> property, @Nullable T value) {
    if (value != null) {
      try {
        values = values.with(property, value);
      } catch (IllegalArgumentException outOfRange) {
        // the rest of the look is worth having
        return this;
      }
    }
    return this;
  }

  LookBuilder points(Property<Length> property, double points) {
    return set(property, Length.points(points));
  }

  LookBuilder family(@Nullable String name) {
    if (name != null && !name.isBlank()) {
      String plain = name.strip().replaceAll("^['\"]|['\"]$", "");
      set(Properties.FONT_FAMILY, plain);
    }
    return this;
  }

  LookBuilder size(double points) {
    if (points > 0) {
      try {
        set(Properties.SIZE, FontSize.points(points));
      } catch (IllegalArgumentException outOfRange) {
        return this;
      }
    }
    return this;
  }

  LookBuilder times(double factor) {
    try {
      return set(Properties.SIZE, new FontSize.Times(factor));
    } catch (IllegalArgumentException outOfRange) {
      return this;
    }
  }

  LookBuilder bold(boolean bold) {
    return set(Properties.FONT_WEIGHT, bold ? BOLD : REGULAR);
  }

  LookBuilder italic(boolean italic) {
    return set(Properties.SLANT, italic ? Slant.ITALIC : Slant.UPRIGHT);
  }

  LookBuilder colour(Rgba colour) {
    values = values.with(Properties.COAT_COLOUR.at(Address.coat("fill")), Colour.of(colour));
    return this;
  }

  /**
   * A colour of six hexadecimal digits, with or without a hash; anything else is none.
   *
   * @param text such as {@code 2F5496}; {@code auto} is no colour
   */
  LookBuilder hex(@Nullable String text) {
    if (text != null && text.matches("#?[0-9a-fA-F]{6}")) {
      colour(Rgba.parse("#" + text.substring(text.length() - 6).toLowerCase(Locale.ROOT)));
    }
    return this;
  }

  /** A multiple of a single line, as word processors count. */
  LookBuilder lines(double factor) {
    if (factor == 1) {
      return set(Properties.LEADING, Leading.AUTOMATIC);
    }
    return leading(factor * SINGLE);
  }

  /** A share of the size. */
  LookBuilder leading(double share) {
    try {
      return set(Properties.LEADING, new Leading.Relative(share));
    } catch (IllegalArgumentException outOfRange) {
      return this;
    }
  }

  LookBuilder leadingPoints(double points) {
    try {
      return set(Properties.LEADING, new Leading.Absolute(points));
    } catch (IllegalArgumentException outOfRange) {
      return this;
    }
  }

  /** Letter spacing in points, as tracking at the size that is set so far. */
  LookBuilder spacing(double points) {
    double size =
        values
            .get(Properties.SIZE.key())
            .filter(FontSize.Absolute.class::isInstance)
            .map(one -> one.over(0))
            .orElse(0.0);
    return size > 0 ? set(Properties.TRACKING, points / size * 1000) : this;
  }
}
