package dynamorph.demo;

import static dynamorph.model.property.Properties.ALIGNMENT;
import static dynamorph.model.property.Properties.BREAKER;
import static dynamorph.model.property.Properties.CASE;
import static dynamorph.model.property.Properties.COAT_COLOUR;
import static dynamorph.model.property.Properties.COAT_KIND;
import static dynamorph.model.property.Properties.COAT_ORDER;
import static dynamorph.model.property.Properties.DROP_LINES;
import static dynamorph.model.property.Properties.FIGURE_STYLE;
import static dynamorph.model.property.Properties.FIGURE_WIDTH;
import static dynamorph.model.property.Properties.FONT_FAMILY;
import static dynamorph.model.property.Properties.FONT_WEIGHT;
import static dynamorph.model.property.Properties.GLYPH_LEAST;
import static dynamorph.model.property.Properties.GLYPH_MOST;
import static dynamorph.model.property.Properties.HANG_END;
import static dynamorph.model.property.Properties.HANG_START;
import static dynamorph.model.property.Properties.HYPHENATE;
import static dynamorph.model.property.Properties.INDENT_FIRST;
import static dynamorph.model.property.Properties.INDENT_START;
import static dynamorph.model.property.Properties.KEEP_LAST_WORD;
import static dynamorph.model.property.Properties.KEEP_LINES;
import static dynamorph.model.property.Properties.LANGUAGE;
import static dynamorph.model.property.Properties.LEADING;
import static dynamorph.model.property.Properties.LIST;
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
import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.style.Swatch;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.Around;
import dynamorph.model.value.Breaker;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.Colour;
import dynamorph.model.value.DashFit;
import dynamorph.model.value.Dashes;
import dynamorph.model.value.EffectKind;
import dynamorph.model.value.FigureStyle;
import dynamorph.model.value.FigureWidth;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Length;
import dynamorph.model.value.ListKind;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.Slant;
import dynamorph.model.value.StrokeCap;
import dynamorph.model.value.StrokeJoin;
import dynamorph.model.value.StrokePosition;
import dynamorph.model.value.TextCase;
import java.util.List;
import java.util.Optional;

/** The palette and the styles of the demo. */
final class LongHourStyles {
  static final StyleId BASE = new StyleId("museum-base");
  static final StyleId ENAMEL = new StyleId("enamel-title");
  static final StyleId SUBTITLE = new StyleId("subtitle");
  static final StyleId NOTICE = new StyleId("notice");
  static final StyleId PANEL_BODY = new StyleId("panel-body");
  static final StyleId PANEL_HEADING = new StyleId("panel-heading");
  static final StyleId COLUMN_TEXT = new StyleId("column-text");
  static final StyleId COLUMN_OPENING = new StyleId("column-opening");
  static final StyleId STEPS = new StyleId("steps");
  static final StyleId LEAD_IN = new StyleId("lead-in");
  static final StyleId LABEL_TITLE = new StyleId("label-title");
  static final StyleId LABEL_LOAN = new StyleId("label-title-loan");
  static final StyleId LABEL_TEXT = new StyleId("label-text");
  static final StyleId LABEL_ARABIC = new StyleId("label-text-arabic");
  static final StyleId LABEL_JAPANESE = new StyleId("label-text-japanese");
  static final StyleId MATERIAL = new StyleId("material");
  static final StyleId WEB_TITLE = new StyleId("web-title");
  static final StyleId TAG = new StyleId("tag");
  static final StyleId TICKET_SIZE = new StyleId("ticket-size");
  static final StyleId TICKET_LINE = new StyleId("ticket-line");

  private static final Address FILL = Address.coat("fill");
  private static final Address RIM = Address.coat("rim");
  private static final Address RIVETS = Address.coat("rivets");
  private static final Address GROUND = Address.plateCoat("ground");

  private LongHourStyles() {}

  static Palette palette() {
    return new Palette(
        List.of(
            swatch("ink", "Ink", "#22303b"),
            swatch("enamel", "Enamel", "#1f4a37"),
            swatch("copper", "Copper", "#a9522b"),
            swatch("paper", "Paper", "#efe6d6"),
            swatch("card", "Card", "#fbf8f1"),
            swatch("shade", "Shade", "#b9a68b"),
            swatch("plum", "Plum", "#7c2a62")));
  }

  private static Swatch swatch(String id, String name, String hex) {
    return new Swatch(id, name, Rgba.parse(hex));
  }

  static StyleBook styles() {
    return StyleBook.of(
        List.of(
            text(BASE, "Museum base", "", Optional.empty(), base(), "Quarter Bell Museum"),
            text(ENAMEL, "Enamel title", "Panels", Optional.empty(), enamel(), "The Long Hour"),
            text(
                SUBTITLE,
                "Subtitle",
                "Panels",
                Optional.empty(),
                subtitle(),
                "how a tower clock came back"),
            text(NOTICE, "Notice", "Panels", Optional.empty(), notice(), "Ground floor"),
            new Style(
                PANEL_BODY,
                "Panel body",
                "Panels",
                StyleLevel.PARAGRAPH,
                Optional.empty(),
                panelBody(),
                "The clock had stopped at ten past four"),
            new Style(
                PANEL_HEADING,
                "Panel heading",
                "Panels",
                StyleLevel.PARAGRAPH,
                Optional.of(PANEL_BODY),
                panelHeading(),
                "Eight days to wind"),
            new Style(
                COLUMN_TEXT,
                "Column text",
                "Panels",
                StyleLevel.PARAGRAPH,
                Optional.of(PANEL_BODY),
                columnText(),
                "In 1743 the founders asked"),
            new Style(
                COLUMN_OPENING,
                "Column opening",
                "Panels",
                StyleLevel.PARAGRAPH,
                Optional.of(COLUMN_TEXT),
                columnOpening(),
                "The great wheel turns"),
            new Style(
                STEPS,
                "Steps",
                "Panels",
                StyleLevel.PARAGRAPH,
                Optional.of(COLUMN_TEXT),
                steps(),
                "Stop the strike"),
            new Style(
                LEAD_IN,
                "Lead-in",
                "Panels",
                StyleLevel.CHARACTER,
                Optional.empty(),
                leadIn(),
                "The great wheel"),
            text(
                LABEL_TITLE,
                "Label title",
                "Labels",
                Optional.empty(),
                labelTitle(),
                "Escapement wheel, 1743"),
            text(
                LABEL_LOAN,
                "Label title, loan",
                "Labels",
                Optional.of(LABEL_TITLE),
                loan(),
                "On loan from Oostvoort"),
            text(
                LABEL_TEXT,
                "Label text",
                "Labels",
                Optional.empty(),
                labelText(),
                "Lets one tooth pass"),
            text(
                LABEL_ARABIC,
                "Label text, Arabic",
                "Labels",
                Optional.of(LABEL_TEXT),
                arabic(),
                "\u0639\u062C\u0644\u0629 \u0627\u0644\u0645\u064A\u0632\u0627\u0646"),
            text(
                LABEL_JAPANESE,
                "Label text, Japanese",
                "Labels",
                Optional.of(LABEL_TEXT),
                japanese(),
                "\u8131\u9032\u8ECA\u30011743\u5E74"),
            new Style(
                MATERIAL,
                "Material",
                "Labels",
                StyleLevel.CHARACTER,
                Optional.empty(),
                material(),
                "gilt brass, steel, oak"),
            text(WEB_TITLE, "Web title", "Screen", Optional.empty(), webTitle(), "The Long Hour"),
            text(TAG, "Tag", "Screen", Optional.empty(), tag(), "Open till nine"),
            text(
                TICKET_SIZE,
                "Ticket size",
                "Ticket",
                Optional.empty(),
                PropertySet.EMPTY.with(SIZE, FontSize.points(64)),
                "The Long Hour"),
            text(
                TICKET_LINE,
                "Ticket line",
                "Ticket",
                Optional.of(NOTICE),
                PropertySet.EMPTY
                    .with(SIZE, new FontSize.Times(0.36))
                    .with(COAT_COLOUR.at(FILL), Colour.swatch("paper")),
                "Admits one")));
  }

  private static Style text(
      StyleId id,
      String name,
      String group,
      Optional<StyleId> basedOn,
      PropertySet values,
      String sample) {
    return new Style(id, name, group, StyleLevel.TEXT, basedOn, values, sample);
  }

  private static PropertySet base() {
    return PropertySet.EMPTY
        .with(FONT_FAMILY, "EB Garamond")
        .with(SIZE, FontSize.points(24))
        .with(LANGUAGE, "en-GB")
        .with(COAT_COLOUR.at(FILL), Colour.swatch("ink"));
  }

  /** Enamel letters in a copper rim, which is riveted, with lamplight on the rivets. */
  private static PropertySet enamel() {
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
        .with(Properties.EFFECT_KIND.at(edge), EffectKind.RAISED_EDGE)
        .with(Properties.EFFECT_ORDER.at(edge), 1.0)
        .with(Properties.EFFECT_OPACITY.at(edge), 0.55)
        .with(Properties.EDGE_WIDTH.at(edge), Length.em(0.025))
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
        .with(Properties.SHADOW_ACROSS.at(cast), Length.em(0.045))
        .with(Properties.SHADOW_DOWN.at(cast), Length.em(0.045))
        .with(Properties.SHADOW_BLUR.at(cast), Length.em(0.008));
  }

  private static PropertySet subtitle() {
    return PropertySet.EMPTY
        .with(SLANT, Slant.ITALIC)
        .with(SIZE, FontSize.points(124))
        .with(ALIGNMENT, Alignment.CENTRE);
  }

  private static PropertySet notice() {
    return PropertySet.EMPTY
        .with(FONT_FAMILY, "Barlow Condensed")
        .with(FONT_WEIGHT, 600.0)
        .with(SIZE, FontSize.points(84))
        .with(TRACKING, 120.0)
        .with(CASE, TextCase.UPPER)
        .with(ALIGNMENT, Alignment.CENTRE)
        .with(COAT_COLOUR.at(FILL), Colour.swatch("copper"));
  }

  private static PropertySet panelBody() {
    return PropertySet.EMPTY
        .with(SIZE, FontSize.points(54))
        .with(LEADING, new Leading.Relative(1.28))
        .with(SPACE_AFTER, Length.em(0.5));
  }

  private static PropertySet panelHeading() {
    return PropertySet.EMPTY
        .with(FONT_WEIGHT, 700.0)
        .with(SIZE, new FontSize.Times(1.8))
        .with(LEADING, Leading.AUTOMATIC)
        .with(SPACE_BEFORE, Length.em(0.35))
        .with(SPACE_AFTER, Length.em(0.3))
        .with(COAT_COLOUR.at(FILL), Colour.swatch("enamel"));
  }

  /** Set as a book is: the whole paragraph at once, divided, its edges hung. */
  private static PropertySet columnText() {
    return PropertySet.EMPTY
        .with(SIZE, FontSize.points(40))
        .with(LEADING, new Leading.Relative(1.3))
        .with(SPACE_AFTER, Length.ZERO)
        .with(ALIGNMENT, Alignment.JUSTIFIED)
        .with(INDENT_FIRST, Length.em(1.2))
        .with(BREAKER, Breaker.WHOLE_PARAGRAPH)
        .with(HYPHENATE, true)
        .with(HANG_START, 80.0)
        .with(HANG_END, 80.0)
        .with(GLYPH_LEAST, 98.5)
        .with(GLYPH_MOST, 101.5)
        .with(KEEP_LAST_WORD, true)
        .with(KEEP_LINES, true)
        .with(FIGURE_STYLE, FigureStyle.OLD_STYLE)
        .with(FIGURE_WIDTH, FigureWidth.PROPORTIONAL);
  }

  private static PropertySet columnOpening() {
    return PropertySet.EMPTY.with(INDENT_FIRST, Length.ZERO).with(DROP_LINES, 3.0);
  }

  private static PropertySet steps() {
    return PropertySet.EMPTY
        .with(LIST, ListKind.NUMBERS)
        .with(ALIGNMENT, Alignment.START)
        .with(INDENT_START, Length.em(1.4))
        .with(INDENT_FIRST, Length.em(-1.4))
        .with(SPACE_BEFORE, Length.em(0.25));
  }

  private static PropertySet leadIn() {
    return PropertySet.EMPTY.with(CASE, TextCase.SMALL_CAPITALS).with(TRACKING, 60.0);
  }

  private static PropertySet labelTitle() {
    return PropertySet.EMPTY
        .with(FONT_FAMILY, "Barlow Condensed")
        .with(FONT_WEIGHT, 600.0)
        .with(SIZE, FontSize.points(76))
        .with(TRACKING, 5.0);
  }

  private static PropertySet loan() {
    return PropertySet.EMPTY.with(COAT_COLOUR.at(FILL), Colour.swatch("copper"));
  }

  private static PropertySet labelText() {
    return PropertySet.EMPTY
        .with(SIZE, FontSize.points(37))
        .with(LEADING, new Leading.Relative(1.3));
  }

  private static PropertySet arabic() {
    return PropertySet.EMPTY
        .with(FONT_FAMILY, "Amiri")
        .with(LANGUAGE, "ar")
        .with(SIZE, FontSize.points(64))
        .with(LEADING, Leading.AUTOMATIC);
  }

  private static PropertySet japanese() {
    return PropertySet.EMPTY
        .with(FONT_FAMILY, "Noto Sans JP")
        .with(LANGUAGE, "ja")
        .with(SIZE, FontSize.points(46))
        .with(LEADING, new Leading.Relative(1.45));
  }

  private static PropertySet material() {
    return PropertySet.EMPTY.with(SLANT, Slant.ITALIC);
  }

  /** Fits the enamel title onto a square: smaller, a paler rim, nothing else. */
  private static PropertySet webTitle() {
    return PropertySet.EMPTY
        .with(SIZE, FontSize.points(150))
        .with(COAT_COLOUR.at(FILL), Colour.swatch("paper"))
        .with(Properties.COAT_SHOWN.at(RIVETS), false)
        .with(STROKE_WIDTH.at(RIM), Length.em(0.024))
        .with(Properties.EFFECT_SHOWN.at(FILL.effect("sheen")), false)
        .with(Properties.EFFECT_SHOWN.at(RIM.effect("edge")), false)
        .with(Properties.EFFECT_SHOWN.at(RIM.effect("cast")), false);
  }

  private static PropertySet tag() {
    return PropertySet.EMPTY
        .with(FONT_FAMILY, "Barlow Condensed")
        .with(FONT_WEIGHT, 600.0)
        .with(SIZE, FontSize.points(72))
        .with(TRACKING, 20.0)
        .with(COAT_COLOUR.at(FILL), Colour.swatch("card"))
        .with(COAT_KIND.at(GROUND), CoatKind.FILL)
        .with(COAT_COLOUR.at(GROUND), Colour.swatch("copper"))
        .with(Properties.PLATE_PADDING, Around.pairs(Length.em(0.12), Length.em(0.5)))
        .with(Properties.PLATE_RADIUS, Around.all(Length.em(0.2)));
  }
}
