package dynamorph.model.cascade;

import static dynamorph.model.cascade.Coats.points;
import static dynamorph.model.cascade.Coats.value;

import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Palette;
import dynamorph.model.value.BoxLengths;
import dynamorph.model.value.FeatureSettings;
import dynamorph.model.value.FigureStyle;
import dynamorph.model.value.FigureWidth;
import dynamorph.model.value.Leading;
import dynamorph.model.value.StylisticSets;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/** Reads looks out of complete values. */
final class Looks {
  private Looks() {}

  static TypeLook type(PropertySet values, double size, String projectLanguage) {
    String language = value(values, Properties.LANGUAGE.key());
    return new TypeLook(
        new FontRequest(
            value(values, Properties.FONT_FAMILY.key()),
            value(values, Properties.FONT_WEIGHT.key()),
            value(values, Properties.FONT_WIDTH.key()),
            value(values, Properties.SLANT.key()),
            value(values, Properties.FONT_AXES.key()),
            value(values, Properties.OPTICAL_SIZING.key()),
            value(values, Properties.FALLBACK_FONTS.key())),
        size,
        new Spacing(
            leading(values, size),
            value(values, Properties.TRACKING.key()),
            value(values, Properties.KERNING.key()),
            value(values, Properties.MANUAL_KERNING.key()),
            value(values, Properties.WORD_SPACING.key()),
            points(values, Properties.BASELINE_SHIFT.key(), size)),
        new Letterforms(
            value(values, Properties.CASE.key()),
            value(values, Properties.SCRIPT_POSITION.key()),
            features(values),
            value(values, Properties.HORIZONTAL_SCALE.key()) / 100,
            value(values, Properties.VERTICAL_SCALE.key()) / 100,
            value(values, Properties.SHEAR.key()),
            value(values, Properties.TEXT_ORIENTATION.key()),
            value(values, Properties.TATE_CHU_YOKO.key()),
            value(values, Properties.EMPHASIS_MARK.key())),
        language.equals(Properties.LANGUAGE.defaultValue()) ? projectLanguage : language);
  }

  private static double leading(PropertySet values, double size) {
    Leading leading = value(values, Properties.LEADING.key());
    return leading instanceof Leading.Automatic
        ? size * value(values, Properties.LEADING_AUTO.key()) / 100
        : leading.at(size);
  }

  /** The features that letterform settings stand for, then those set by tag over them. */
  private static FeatureSettings features(PropertySet values) {
    SortedMap<String, Integer> on = new TreeMap<>();
    unless(values, Properties.LIGATURES, on, "liga", "clig");
    unless(values, Properties.CONTEXTUAL, on, "calt");
    when(values, Properties.LIGATURES_RARE, on, "dlig");
    when(values, Properties.LIGATURES_OLD, on, "hlig", "hist");
    when(values, Properties.SWASHES, on, "swsh");
    when(values, Properties.FRACTIONS, on, "frac");
    when(values, Properties.ORDINALS, on, "ordn");
    when(values, Properties.SLASHED_ZERO, on, "zero");
    FigureStyle style = value(values, Properties.FIGURE_STYLE.key());
    if (style != FigureStyle.FONT) {
      on.put(style == FigureStyle.LINING ? "lnum" : "onum", 1);
    }
    FigureWidth width = value(values, Properties.FIGURE_WIDTH.key());
    if (width != FigureWidth.FONT) {
      on.put(width == FigureWidth.TABULAR ? "tnum" : "pnum", 1);
    }
    StylisticSets sets = value(values, Properties.STYLISTIC_SETS.key());
    sets.numbers().forEach(number -> on.put(StylisticSets.tag(number), 1));
    FeatureSettings byTag = value(values, Properties.FONT_FEATURES.key());
    on.putAll(byTag.values());
    return on.isEmpty() ? FeatureSettings.NONE : new FeatureSettings(on);
  }

  private static void when(
      PropertySet values,
      Property<Boolean> property,
      SortedMap<String, Integer> on,
      String... tags) {
    if (value(values, property.key())) {
      for (String tag : tags) {
        on.put(tag, 1);
      }
    }
  }

  private static void unless(
      PropertySet values,
      Property<Boolean> property,
      SortedMap<String, Integer> on,
      String... tags) {
    if (!value(values, property.key())) {
      for (String tag : tags) {
        on.put(tag, 0);
      }
    }
  }

  static TextDecorations lines(PropertySet values, double size, Palette palette) {
    boolean under = value(values, Properties.UNDERLINE.key());
    boolean over = value(values, Properties.OVERLINE.key());
    boolean through = value(values, Properties.STRIKE.key());
    if (!under && !over && !through) {
      return TextDecorations.NONE;
    }
    return new TextDecorations(
        under,
        over,
        through,
        points(values, Properties.DECORATION_OFFSET.key(), size),
        value(values, Properties.DECORATION_THICKNESS.key()) / 100,
        value(values, Properties.DECORATION_SKIP_INK.key()),
        value(values, Properties.DECORATION_OWN_COLOUR.key())
            ? Optional.of(palette.colour(value(values, Properties.DECORATION_COLOUR.key())))
            : Optional.empty());
  }

  static ParagraphLook.Breaking breaking(PropertySet values) {
    return new ParagraphLook.Breaking(
        value(values, Properties.LINE_BREAKING.key()),
        value(values, Properties.BALANCE.key()),
        value(values, Properties.AVOID_SHORT_LAST_LINES.key()),
        new ParagraphLook.Keep(
            value(values, Properties.AVOID_WIDOWS_ORPHANS.key()),
            value(values, Properties.KEEP_LINES_TOGETHER.key()),
            value(values, Properties.KEEP_WITH_NEXT.key()),
            value(values, Properties.BREAK_BEFORE.key())),
        value(values, Properties.DIRECTION.key()),
        value(values, Properties.EAST_ASIAN_BREAKS.key()),
        value(values, Properties.OVERLONG_WORDS.key()),
        value(values, Properties.SCRIPT_SPACING.key()),
        value(values, Properties.PUNCTUATION_SPACING.key()));
  }

  static ParagraphLook.Justification justification(PropertySet values) {
    return new ParagraphLook.Justification(
        range(
            values,
            Properties.WORD_SPACING_MINIMUM,
            Properties.WORD_SPACING_OPTIMUM,
            Properties.WORD_SPACING_MAXIMUM,
            100),
        range(
            values,
            Properties.LETTER_SPACING_MINIMUM,
            Properties.LETTER_SPACING_OPTIMUM,
            Properties.LETTER_SPACING_MAXIMUM,
            1000),
        range(
            values,
            Properties.GLYPH_SCALING_MINIMUM,
            Properties.GLYPH_SCALING_OPTIMUM,
            Properties.GLYPH_SCALING_MAXIMUM,
            100),
        value(values, Properties.KASHIDA.key()));
  }

  private static ParagraphLook.Justification.Range range(
      PropertySet values,
      Property<Double> least,
      Property<Double> best,
      Property<Double> most,
      double whole) {
    return new ParagraphLook.Justification.Range(
        value(values, least.key()) / whole,
        value(values, best.key()) / whole,
        value(values, most.key()) / whole);
  }

  static ParagraphLook.Hyphenation hyphenation(PropertySet values, double size) {
    return new ParagraphLook.Hyphenation(
        value(values, Properties.HYPHENATE.key()),
        whole(values, Properties.HYPHENATE_WORD),
        whole(values, Properties.HYPHENATE_BEFORE),
        whole(values, Properties.HYPHENATE_AFTER),
        whole(values, Properties.CONSECUTIVE_HYPHENS),
        points(values, Properties.HYPHENATE_ZONE.key(), size),
        value(values, Properties.HYPHENATE_LAST.key()),
        value(values, Properties.HYPHENATE_CAPITALS.key()),
        value(values, Properties.HYPHENATION_EXCEPTIONS.key()),
        value(values, Properties.HYPHEN_PENALTY.key()));
  }

  static ParagraphLook.ListMark listMark(PropertySet values, double size) {
    return new ParagraphLook.ListMark(
        value(values, Properties.LIST.key()),
        value(values, Properties.LIST_MARK.key()),
        value(values, Properties.LIST_NUMBERS.key()),
        value(values, Properties.LIST_AFTER.key()),
        whole(values, Properties.LIST_START),
        points(values, Properties.LIST_GAP.key(), size));
  }

  static ParagraphLook.DropCapital dropCapital(PropertySet values, double size) {
    return new ParagraphLook.DropCapital(
        whole(values, Properties.DROP_LINES),
        whole(values, Properties.DROP_LETTERS),
        points(values, Properties.DROP_GAP.key(), size));
  }

  private static int whole(PropertySet values, Property<Double> property) {
    return (int) Math.round(value(values, property.key()));
  }

  static Plate.Padding padding(BoxLengths around, double size) {
    return new Plate.Padding(
        around.first().toPoints(size),
        around.second().toPoints(size),
        around.third().toPoints(size),
        around.fourth().toPoints(size));
  }

  static Plate.Corners corners(BoxLengths around, double size) {
    return new Plate.Corners(
        around.first().toPoints(size),
        around.second().toPoints(size),
        around.third().toPoints(size),
        around.fourth().toPoints(size));
  }
}
