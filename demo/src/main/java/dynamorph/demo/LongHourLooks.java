package dynamorph.demo;

import static dynamorph.model.property.Properties.ALIGNMENT;
import static dynamorph.model.property.Properties.AVOID_SHORT_LAST_LINES;
import static dynamorph.model.property.Properties.AVOID_WIDOWS_ORPHANS;
import static dynamorph.model.property.Properties.CASE;
import static dynamorph.model.property.Properties.COAT_COLOUR;
import static dynamorph.model.property.Properties.COAT_KIND;
import static dynamorph.model.property.Properties.COAT_ORDER;
import static dynamorph.model.property.Properties.DROP_LINES;
import static dynamorph.model.property.Properties.FIGURE_STYLE;
import static dynamorph.model.property.Properties.FIGURE_WIDTH;
import static dynamorph.model.property.Properties.FONT_FAMILY;
import static dynamorph.model.property.Properties.FONT_WEIGHT;
import static dynamorph.model.property.Properties.GLYPH_SCALING_MAXIMUM;
import static dynamorph.model.property.Properties.GLYPH_SCALING_MINIMUM;
import static dynamorph.model.property.Properties.HANG_END;
import static dynamorph.model.property.Properties.HANG_START;
import static dynamorph.model.property.Properties.HYPHENATE;
import static dynamorph.model.property.Properties.INDENT_FIRST;
import static dynamorph.model.property.Properties.INDENT_START;
import static dynamorph.model.property.Properties.LANGUAGE;
import static dynamorph.model.property.Properties.LEADING;
import static dynamorph.model.property.Properties.LINE_BREAKING;
import static dynamorph.model.property.Properties.LIST;
import static dynamorph.model.property.Properties.NESTED_STYLES;
import static dynamorph.model.property.Properties.NEXT_STYLE;
import static dynamorph.model.property.Properties.SIZE;
import static dynamorph.model.property.Properties.SLANT;
import static dynamorph.model.property.Properties.SPACE_AFTER;
import static dynamorph.model.property.Properties.SPACE_BEFORE;
import static dynamorph.model.property.Properties.STROKE_JOIN;
import static dynamorph.model.property.Properties.STROKE_POSITION;
import static dynamorph.model.property.Properties.STROKE_WIDTH;
import static dynamorph.model.property.Properties.TRACKING;

import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.BoxLengths;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.Colour;
import dynamorph.model.value.DashFit;
import dynamorph.model.value.Dashes;
import dynamorph.model.value.EffectKind;
import dynamorph.model.value.FigureStyle;
import dynamorph.model.value.FigureWidth;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.FrameArea;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Length;
import dynamorph.model.value.LineBreaking;
import dynamorph.model.value.ListKind;
import dynamorph.model.value.NestedStyles;
import dynamorph.model.value.NextStyle;
import dynamorph.model.value.Slant;
import dynamorph.model.value.StrokeCap;
import dynamorph.model.value.StrokeJoin;
import dynamorph.model.value.StrokePosition;
import dynamorph.model.value.TateChuYoko;
import dynamorph.model.value.TextCase;
import dynamorph.model.value.WritingMode;

/** What the styles of the demo set: how each of its texts looks. */
final class LongHourLooks {
  static final Address FILL = Address.coat("fill");
  private static final Address RIM = Address.coat("rim");
  private static final Address RIVETS = Address.coat("rivets");
  static final Address GROUND = Address.plateCoat("ground");

  private LongHourLooks() {}

  static PropertySet filmTitle() {
    return PropertySet.EMPTY
        .with(SIZE, FontSize.points(190))
        .with(COAT_COLOUR.at(FILL), Colour.swatch("paper"))
        .with(Properties.EFFECT_COLOUR.at(RIM.effect("cast")), Colour.hex("#10202a"))
        .with(Properties.COAT_SHOWN.at(RIVETS), false)
        .with(Properties.ANCHOR, Anchor.CENTRE)
        .with(Properties.POSITION_X, 0.0)
        .with(Properties.POSITION_Y, -30.0);
  }

  static PropertySet sectionTitle() {
    Address cast = FILL.effect("cast");
    return PropertySet.EMPTY
        .with(FONT_FAMILY, "Barlow Condensed")
        .with(FONT_WEIGHT, 600.0)
        .with(SIZE, FontSize.points(112))
        .with(TRACKING, 60.0)
        .with(CASE, TextCase.UPPER)
        .with(ALIGNMENT, Alignment.CENTRE)
        .with(COAT_COLOUR.at(FILL), Colour.swatch("paper"))
        .with(Properties.EFFECT_KIND.at(cast), EffectKind.DROP_SHADOW)
        .with(Properties.EFFECT_COLOUR.at(cast), Colour.hex("#10202a"))
        .with(Properties.EFFECT_OPACITY.at(cast), 0.8)
        .with(Properties.SHADOW_Y.at(cast), Length.em(0.03))
        .with(Properties.SHADOW_BLUR.at(cast), Length.em(0.08))
        .with(Properties.ANCHOR, Anchor.CENTRE)
        .with(Properties.POSITION_X, 0.0)
        .with(Properties.POSITION_Y, 0.0);
  }

  /** On a plate at the lower left of any frame, upright or wide. */
  static PropertySet nameTitle() {
    return PropertySet.EMPTY
        .with(FONT_FAMILY, "Barlow Condensed")
        .with(FONT_WEIGHT, 600.0)
        .with(SIZE, FontSize.points(68))
        .with(LEADING, new Leading.Relative(1.16))
        .with(COAT_COLOUR.at(FILL), Colour.swatch("card"))
        .with(COAT_KIND.at(GROUND), CoatKind.FILL)
        .with(COAT_COLOUR.at(GROUND), Colour.swatch("enamel"))
        .with(Properties.PLATE_PADDING, BoxLengths.pairs(Length.em(0.14), Length.em(0.42)))
        .with(Properties.PLATE_RADIUS, BoxLengths.all(Length.em(0.08)))
        .with(Properties.ANCHOR, Anchor.BOTTOM_LEFT)
        .with(Properties.RELATIVE_TO, FrameArea.TITLE_SAFE)
        .with(Properties.SHARE_X, 2.0)
        .with(Properties.SHARE_Y, -20.0);
  }

  static PropertySet caption() {
    Address cast = FILL.effect("cast");
    return PropertySet.EMPTY
        .with(FONT_FAMILY, "Source Sans 3")
        .with(FONT_WEIGHT, 600.0)
        .with(SIZE, FontSize.points(50))
        .with(LEADING, new Leading.Relative(1.25))
        .with(ALIGNMENT, Alignment.CENTRE)
        .with(Properties.BALANCE, true)
        .with(COAT_COLOUR.at(FILL), Colour.hex("#ffffff"))
        .with(Properties.EFFECT_KIND.at(cast), EffectKind.DROP_SHADOW)
        .with(Properties.EFFECT_COLOUR.at(cast), Colour.hex("#000000"))
        .with(Properties.EFFECT_OPACITY.at(cast), 0.85)
        .with(Properties.SHADOW_Y.at(cast), Length.em(0.04))
        .with(Properties.SHADOW_BLUR.at(cast), Length.em(0.12))
        .with(Properties.ANCHOR, Anchor.BOTTOM)
        .with(Properties.POSITION_X, 0.0)
        .with(Properties.POSITION_Y, -90.0)
        .with(Properties.BOX, BoxFit.GROW)
        .with(Properties.BOX_WIDTH, 1180.0);
  }

  static PropertySet base() {
    return PropertySet.EMPTY
        .with(FONT_FAMILY, "EB Garamond")
        .with(SIZE, FontSize.points(24))
        .with(LANGUAGE, "en-GB")
        .with(COAT_COLOUR.at(FILL), Colour.swatch("ink"));
  }

  /** Enamel letters in a copper rim, which is riveted, with lamplight on the rivets. */
  static PropertySet enamel() {
    Address cast = RIM.effect("cast");
    Address edge = RIM.effect("edge");
    Address sheen = FILL.effect("sheen");
    Address light = RIVETS.effect("light");
    return PropertySet.EMPTY
        .with(FONT_FAMILY, "Anton")
        .with(SIZE, FontSize.points(365))
        .with(TRACKING, 35.0)
        .with(CASE, TextCase.UPPER)
        .with(ALIGNMENT, Alignment.CENTRE)
        .with(COAT_COLOUR.at(FILL), Colour.swatch("enamel"))
        .with(COAT_ORDER.at(FILL), 1.0)
        .with(COAT_KIND.at(RIM), CoatKind.STROKE)
        .with(COAT_COLOUR.at(RIM), Colour.swatch("copper"))
        .with(STROKE_WIDTH.at(RIM), Length.em(0.05))
        .with(STROKE_POSITION.at(RIM), StrokePosition.OUTSIDE)
        .with(STROKE_JOIN.at(RIM), StrokeJoin.ROUND)
        .with(Properties.EFFECT_KIND.at(edge), EffectKind.BEVEL)
        .with(Properties.EFFECT_ORDER.at(edge), 1.0)
        .with(Properties.EFFECT_OPACITY.at(edge), 0.55)
        .with(Properties.BEVEL_WIDTH.at(edge), Length.em(0.025))
        .with(Properties.EFFECT_KIND.at(sheen), EffectKind.INNER_GLOW)
        .with(Properties.EFFECT_COLOUR.at(sheen), Colour.hex("#b9e2c8"))
        .with(Properties.EFFECT_OPACITY.at(sheen), 0.5)
        .with(Properties.SHADOW_BLUR.at(sheen), Length.em(0.07))
        .with(COAT_KIND.at(RIVETS), CoatKind.STROKE)
        .with(Properties.COAT_NAME.at(RIVETS), "Rivets")
        .with(COAT_ORDER.at(RIVETS), 2.0)
        .with(COAT_COLOUR.at(RIVETS), Colour.hex("#f2c48d"))
        .with(STROKE_WIDTH.at(RIVETS), Length.em(0.02))
        .with(STROKE_JOIN.at(RIVETS), StrokeJoin.ROUND)
        .with(Properties.COAT_OFFSET.at(RIVETS), Length.em(0.025))
        .with(Properties.DASHES.at(RIVETS), Dashes.parse("0 pt, 0.075 em"))
        .with(Properties.DASH_FIT.at(RIVETS), DashFit.CONTOUR)
        .with(Properties.STROKE_CAP.at(RIVETS), StrokeCap.ROUND)
        .with(Properties.EFFECT_KIND.at(light), EffectKind.OUTER_GLOW)
        .with(Properties.EFFECT_COLOUR.at(light), Colour.hex("#ffcf7a"))
        .with(Properties.EFFECT_OPACITY.at(light), 0.75)
        .with(Properties.SHADOW_BLUR.at(light), Length.em(0.035))
        .with(Properties.EFFECT_KIND.at(cast), EffectKind.DROP_SHADOW)
        .with(Properties.EFFECT_COLOUR.at(cast), Colour.swatch("shade"))
        .with(Properties.EFFECT_OPACITY.at(cast), 0.9)
        .with(Properties.SHADOW_X.at(cast), Length.em(0.045))
        .with(Properties.SHADOW_Y.at(cast), Length.em(0.045))
        .with(Properties.SHADOW_BLUR.at(cast), Length.em(0.008));
  }

  static PropertySet subtitle() {
    return PropertySet.EMPTY
        .with(SLANT, Slant.ITALIC)
        .with(SIZE, FontSize.points(124))
        .with(ALIGNMENT, Alignment.CENTRE);
  }

  static PropertySet notice() {
    return PropertySet.EMPTY
        .with(FONT_FAMILY, "Barlow Condensed")
        .with(FONT_WEIGHT, 600.0)
        .with(SIZE, FontSize.points(84))
        .with(TRACKING, 120.0)
        .with(CASE, TextCase.UPPER)
        .with(ALIGNMENT, Alignment.CENTRE)
        .with(COAT_COLOUR.at(FILL), Colour.swatch("copper"));
  }

  static PropertySet panelBody() {
    return PropertySet.EMPTY
        .with(SIZE, FontSize.points(54))
        .with(LEADING, new Leading.Relative(1.28))
        .with(SPACE_AFTER, Length.em(0.5));
  }

  static PropertySet panelHeading() {
    return PropertySet.EMPTY
        .with(FONT_WEIGHT, 700.0)
        .with(SIZE, new FontSize.Times(1.8))
        .with(LEADING, Leading.AUTOMATIC)
        .with(SPACE_BEFORE, Length.em(0.35))
        .with(SPACE_AFTER, Length.em(0.3))
        .with(NEXT_STYLE, new NextStyle(LongHourStyles.PANEL_BODY.value()))
        .with(COAT_COLOUR.at(FILL), Colour.swatch("enamel"));
  }

  /** Set as a book is: the whole paragraph at once, divided, its edges hung. */
  static PropertySet columnText() {
    return PropertySet.EMPTY
        .with(SIZE, FontSize.points(40))
        .with(LEADING, new Leading.Relative(1.3))
        .with(SPACE_AFTER, Length.ZERO)
        .with(ALIGNMENT, Alignment.JUSTIFIED)
        .with(INDENT_FIRST, Length.em(1.2))
        .with(LINE_BREAKING, LineBreaking.WHOLE_PARAGRAPH)
        .with(HYPHENATE, true)
        .with(HANG_START, 80.0)
        .with(HANG_END, 80.0)
        .with(GLYPH_SCALING_MINIMUM, 98.5)
        .with(GLYPH_SCALING_MAXIMUM, 101.5)
        .with(AVOID_SHORT_LAST_LINES, true)
        .with(AVOID_WIDOWS_ORPHANS, true)
        .with(FIGURE_STYLE, FigureStyle.OLD_STYLE)
        .with(FIGURE_WIDTH, FigureWidth.PROPORTIONAL);
  }

  static PropertySet columnOpening() {
    return PropertySet.EMPTY
        .with(INDENT_FIRST, Length.ZERO)
        .with(DROP_LINES, 3.0)
        .with(NESTED_STYLES, NestedStyles.parse(LongHourStyles.LEAD_IN + ": 3 words"))
        .with(NEXT_STYLE, new NextStyle(LongHourStyles.COLUMN_TEXT.value()));
  }

  static PropertySet steps() {
    return PropertySet.EMPTY
        .with(LIST, ListKind.NUMBERS)
        .with(ALIGNMENT, Alignment.START)
        .with(INDENT_START, Length.em(1.4))
        .with(INDENT_FIRST, Length.em(-1.4))
        .with(SPACE_BEFORE, Length.em(0.25));
  }

  static PropertySet leadIn() {
    return PropertySet.EMPTY.with(CASE, TextCase.SMALL_CAPITALS).with(TRACKING, 60.0);
  }

  static PropertySet labelTitle() {
    return PropertySet.EMPTY
        .with(FONT_FAMILY, "Barlow Condensed")
        .with(FONT_WEIGHT, 600.0)
        .with(SIZE, FontSize.points(76))
        .with(TRACKING, 5.0);
  }

  static PropertySet loan() {
    return PropertySet.EMPTY.with(COAT_COLOUR.at(FILL), Colour.swatch("copper"));
  }

  static PropertySet labelText() {
    return PropertySet.EMPTY
        .with(SIZE, FontSize.points(37))
        .with(LEADING, new Leading.Relative(1.3));
  }

  static PropertySet arabic() {
    return PropertySet.EMPTY
        .with(FONT_FAMILY, "Amiri")
        .with(LANGUAGE, "ar")
        .with(SIZE, FontSize.points(64))
        .with(LEADING, Leading.AUTOMATIC);
  }

  static PropertySet japanese() {
    return PropertySet.EMPTY
        .with(FONT_FAMILY, "Noto Sans JP")
        .with(LANGUAGE, "ja")
        .with(SIZE, FontSize.points(46))
        .with(LEADING, new Leading.Relative(1.45));
  }

  /** Vertical, with numbers of two digits across the line. */
  static PropertySet banner() {
    return PropertySet.EMPTY
        .with(FONT_FAMILY, "Noto Sans JP")
        .with(LANGUAGE, "ja")
        .with(SIZE, FontSize.points(30))
        .with(LEADING, new Leading.Relative(1.8))
        .with(Properties.WRITING_MODE, WritingMode.VERTICAL_RIGHT_TO_LEFT)
        .with(Properties.TATE_CHU_YOKO, TateChuYoko.TWO_DIGITS)
        .with(COAT_COLOUR.at(FILL), Colour.swatch("paper"));
  }

  static PropertySet bannerTitle() {
    return PropertySet.EMPTY
        .with(FONT_WEIGHT, 700.0)
        .with(SIZE, FontSize.points(120))
        .with(TRACKING, 40.0);
  }

  static PropertySet material() {
    return PropertySet.EMPTY.with(SLANT, Slant.ITALIC);
  }

  /** Fits the enamel title onto a square: smaller, a paler rim, nothing else. */
  static PropertySet webTitle() {
    return PropertySet.EMPTY
        .with(SIZE, FontSize.points(150))
        .with(COAT_COLOUR.at(FILL), Colour.swatch("paper"))
        .with(Properties.COAT_SHOWN.at(RIVETS), false)
        .with(STROKE_WIDTH.at(RIM), Length.em(0.024))
        .with(Properties.EFFECT_SHOWN.at(FILL.effect("sheen")), false)
        .with(Properties.EFFECT_SHOWN.at(RIM.effect("edge")), false)
        .with(Properties.EFFECT_SHOWN.at(RIM.effect("cast")), false);
  }

  static PropertySet tag() {
    return PropertySet.EMPTY
        .with(FONT_FAMILY, "Barlow Condensed")
        .with(FONT_WEIGHT, 600.0)
        .with(SIZE, FontSize.points(72))
        .with(TRACKING, 20.0)
        .with(COAT_COLOUR.at(FILL), Colour.swatch("card"))
        .with(COAT_KIND.at(GROUND), CoatKind.FILL)
        .with(COAT_COLOUR.at(GROUND), Colour.swatch("copper"))
        .with(Properties.PLATE_PADDING, BoxLengths.pairs(Length.em(0.12), Length.em(0.5)))
        .with(Properties.PLATE_RADIUS, BoxLengths.all(Length.em(0.2)));
  }
}
