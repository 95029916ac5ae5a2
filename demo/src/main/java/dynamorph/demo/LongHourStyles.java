package dynamorph.demo;

import static dynamorph.model.property.Properties.COAT_COLOUR;
import static dynamorph.model.property.Properties.FONT_FAMILY;
import static dynamorph.model.property.Properties.FONT_WEIGHT;
import static dynamorph.model.property.Properties.SIZE;
import static dynamorph.model.property.Properties.SLANT;

import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.style.Swatch;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.Slant;
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
  static final StyleId BANNER = new StyleId("banner");
  static final StyleId BANNER_TITLE = new StyleId("banner-title");
  static final StyleId MATERIAL = new StyleId("material");
  static final StyleId WEB_TITLE = new StyleId("web-title");
  static final StyleId TAG = new StyleId("tag");
  static final StyleId TICKET_SIZE = new StyleId("ticket-size");
  static final StyleId TICKET_LINE = new StyleId("ticket-line");
  static final StyleId FILM_TITLE = new StyleId("film-title");
  static final StyleId SECTION_TITLE = new StyleId("section-title");
  static final StyleId NAME_TITLE = new StyleId("name-title");
  static final StyleId NAME_ARCHIVE = new StyleId("name-title-archive");
  static final StyleId NAME_ROLE = new StyleId("name-role");
  static final StyleId CAPTION = new StyleId("caption");
  static final StyleId CAPTION_ARABIC = new StyleId("caption-arabic");
  static final StyleId CAPTION_JAPANESE = new StyleId("caption-japanese");
  static final StyleId SOUND = new StyleId("sound");
  static final StyleId ARCHIVE_VOICE = new StyleId("archive-voice");

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
            text(
                BASE,
                "Museum base",
                "",
                Optional.empty(),
                LongHourLooks.base(),
                "Quarter Bell Museum"),
            text(
                ENAMEL,
                "Enamel title",
                "Panels",
                Optional.empty(),
                LongHourLooks.enamel(),
                "The Long Hour"),
            text(
                SUBTITLE,
                "Subtitle",
                "Panels",
                Optional.empty(),
                LongHourLooks.subtitle(),
                "how a tower clock came back"),
            text(
                NOTICE,
                "Notice",
                "Panels",
                Optional.empty(),
                LongHourLooks.notice(),
                "Ground floor"),
            new Style(
                PANEL_BODY,
                "Panel body",
                "Panels",
                StyleLevel.PARAGRAPH,
                Optional.empty(),
                LongHourLooks.panelBody(),
                "The clock had stopped at ten past four"),
            new Style(
                PANEL_HEADING,
                "Panel heading",
                "Panels",
                StyleLevel.PARAGRAPH,
                Optional.of(PANEL_BODY),
                LongHourLooks.panelHeading(),
                "Eight days to wind"),
            new Style(
                COLUMN_TEXT,
                "Column text",
                "Panels",
                StyleLevel.PARAGRAPH,
                Optional.of(PANEL_BODY),
                LongHourLooks.columnText(),
                "In 1743 the founders asked"),
            new Style(
                COLUMN_OPENING,
                "Column opening",
                "Panels",
                StyleLevel.PARAGRAPH,
                Optional.of(COLUMN_TEXT),
                LongHourLooks.columnOpening(),
                "The great wheel turns"),
            new Style(
                STEPS,
                "Steps",
                "Panels",
                StyleLevel.PARAGRAPH,
                Optional.of(COLUMN_TEXT),
                LongHourLooks.steps(),
                "Stop the strike"),
            new Style(
                LEAD_IN,
                "Lead-in",
                "Panels",
                StyleLevel.CHARACTER,
                Optional.empty(),
                LongHourLooks.leadIn(),
                "The great wheel"),
            text(
                LABEL_TITLE,
                "Label title",
                "Labels",
                Optional.empty(),
                LongHourLooks.labelTitle(),
                "Escapement wheel, 1743"),
            text(
                LABEL_LOAN,
                "Label title, loan",
                "Labels",
                Optional.of(LABEL_TITLE),
                LongHourLooks.loan(),
                "On loan from Oostvoort"),
            text(
                LABEL_TEXT,
                "Label text",
                "Labels",
                Optional.empty(),
                LongHourLooks.labelText(),
                "Lets one tooth pass"),
            text(
                LABEL_ARABIC,
                "Label text, Arabic",
                "Labels",
                Optional.of(LABEL_TEXT),
                LongHourLooks.arabic(),
                "\u0639\u062C\u0644\u0629 \u0627\u0644\u0645\u064A\u0632\u0627\u0646"),
            text(
                LABEL_JAPANESE,
                "Label text, Japanese",
                "Labels",
                Optional.of(LABEL_TEXT),
                LongHourLooks.japanese(),
                "\u8131\u9032\u8ECA\u30011743\u5E74"),
            text(
                BANNER,
                "Banner, Japanese",
                "Banner",
                Optional.empty(),
                LongHourLooks.banner(),
                "\u9577\u3044\u4e00\u6642\u9593"),
            text(
                BANNER_TITLE,
                "Banner title",
                "Banner",
                Optional.of(BANNER),
                LongHourLooks.bannerTitle(),
                "\u9577\u3044\u4e00\u6642\u9593"),
            new Style(
                MATERIAL,
                "Material",
                "Labels",
                StyleLevel.CHARACTER,
                Optional.empty(),
                LongHourLooks.material(),
                "gilt brass, steel, oak"),
            text(
                WEB_TITLE,
                "Web title",
                "Screen",
                Optional.empty(),
                LongHourLooks.webTitle(),
                "The Long Hour"),
            text(TAG, "Tag", "Screen", Optional.empty(), LongHourLooks.tag(), "Open till nine"),
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
                    .with(COAT_COLOUR.at(LongHourLooks.FILL), Colour.swatch("paper")),
                "Admits one"),
            text(
                FILM_TITLE,
                "Film title",
                "Film",
                Optional.of(ENAMEL),
                LongHourLooks.filmTitle(),
                "Eight Days to Wind"),
            text(
                SECTION_TITLE,
                "Section title",
                "Film",
                Optional.empty(),
                LongHourLooks.sectionTitle(),
                "II \u00b7 Measured"),
            text(
                NAME_TITLE,
                "Name title",
                "Film",
                Optional.empty(),
                LongHourLooks.nameTitle(),
                "Ilse Maarten"),
            text(
                NAME_ARCHIVE,
                "Name title, archive",
                "Film",
                Optional.of(NAME_TITLE),
                PropertySet.EMPTY.with(
                    COAT_COLOUR.at(LongHourLooks.GROUND), Colour.swatch("copper")),
                "Archive, 1951"),
            new Style(
                NAME_ROLE,
                "Name role",
                "Film",
                StyleLevel.PARAGRAPH,
                Optional.empty(),
                PropertySet.EMPTY
                    .with(SIZE, new FontSize.Times(0.62))
                    .with(FONT_WEIGHT, 500.0)
                    .with(COAT_COLOUR.at(LongHourLooks.FILL), Colour.hex("#f3dfc0")),
                "horologist"),
            text(
                CAPTION,
                "Caption",
                "Captions",
                Optional.empty(),
                LongHourLooks.caption(),
                "She winds it on Mondays."),
            text(
                CAPTION_ARABIC,
                "Caption, Arabic",
                "Captions",
                Optional.of(CAPTION),
                PropertySet.EMPTY.with(FONT_FAMILY, "Amiri").with(SIZE, new FontSize.Times(1.1)),
                "\u0646\u0645\u0644\u0624\u0647\u0627 \u064a\u0648\u0645 \u0627\u0644\u0627\u062b\u0646\u064a\u0646."),
            text(
                CAPTION_JAPANESE,
                "Caption, Japanese",
                "Captions",
                Optional.of(CAPTION),
                PropertySet.EMPTY
                    .with(FONT_FAMILY, "Noto Sans JP")
                    .with(SIZE, new FontSize.Times(0.94)),
                "\u6708\u66dc\u65e5\u306b\u5dfb\u304d\u307e\u3059\u3002"),
            new Style(
                SOUND,
                "Sound",
                "Captions",
                StyleLevel.CHARACTER,
                Optional.empty(),
                PropertySet.EMPTY.with(FONT_FAMILY, "EB Garamond").with(SLANT, Slant.ITALIC),
                "[clock strikes four]"),
            new Style(
                ARCHIVE_VOICE,
                "Archive voice",
                "Captions",
                StyleLevel.CHARACTER,
                Optional.empty(),
                PropertySet.EMPTY.with(COAT_COLOUR.at(LongHourLooks.FILL), Colour.hex("#ffd9a0")),
                "Eight days")));
  }

  /** The enamel title on the first frames of the film, where it lies on the clockwork. */
  private static Style text(
      StyleId id,
      String name,
      String group,
      Optional<StyleId> basedOn,
      PropertySet values,
      String sample) {
    return new Style(id, name, group, StyleLevel.TEXT, basedOn, values, sample);
  }
}
