package dynamorph.demo;

import dynamorph.model.Artboard;
import dynamorph.model.LengthUnit;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.value.Anchor;
import java.util.List;

/** The object labels and the ticket of the demo. */
final class LongHourLabels {
  /** Where the second column of labels stands, in millimetres. */
  private static final double COLUMN = 1520;

  private LongHourLabels() {}

  static Artboard crank() {
    return label(
        7,
        COLUMN,
        0,
        List.of(LongHourStyles.LABEL_TITLE),
        PropertySet.EMPTY,
        "Winding crank, oak grip",
        material("oak, wrought iron"),
        "Eight days to a winding, two hundred turns each time. The grip is worn to the shape of one"
            + " hand.");
  }

  static Artboard hammer() {
    return label(
        8,
        COLUMN,
        230,
        List.of(LongHourStyles.LABEL_TITLE),
        PropertySet.EMPTY,
        "Striking hammer",
        material("cast iron, leather"),
        "The leather was renewed whenever a councillor complained of the noise.");
  }

  static Artboard hand() {
    return label(
        9,
        COLUMN,
        460,
        List.of(LongHourStyles.LABEL_LOAN),
        PropertySet.EMPTY,
        "Minute hand, bent",
        material("copper, on loan from Halm"),
        "A pair nested behind the dial in 1911 and would not be hurried.");
  }

  /** Someone set this one looser by hand. */
  static Artboard oilCan() {
    return label(
        10,
        COLUMN,
        690,
        List.of(LongHourStyles.LABEL_TITLE),
        PropertySet.EMPTY.with(Properties.TRACKING, 40.0),
        "Oil can and funnel",
        material("tinned sheet"),
        "One drop for each pivot, on the first of the month, before breakfast.");
  }

  static Artboard ticket() {
    return LongHour.board("ticket", "Ticket", 180, 80, LengthUnit.MILLIMETRE, "enamel", COLUMN, 920)
        .plus(
            LongHour.layer(
                    "ticket-title", "Title", "The Long Hour", LongHour.point(Anchor.TOP, 0, 28))
                .withFollows(
                    List.of(
                        LongHourStyles.ENAMEL,
                        LongHourStyles.WEB_TITLE,
                        LongHourStyles.TICKET_SIZE)))
        .plus(
            LongHour.layer(
                    "ticket-line",
                    "Line",
                    "Admits one \u00b7 no. 0148",
                    LongHour.point(Anchor.BOTTOM, 0, -26))
                .withFollows(List.of(LongHourStyles.TICKET_LINE)));
  }

  static Artboard label(
      int number,
      double x,
      double y,
      List<StyleId> titleFollows,
      PropertySet titleLocal,
      String title,
      Paragraph material,
      String text) {
    String id = "label-" + number;
    return LongHour.board(id, "Label " + number, 280, 160, LengthUnit.MILLIMETRE, "card", x, y)
        .plus(
            LongHour.layer(
                    id + "-title", "Title", title, LongHour.box(Anchor.TOP_LEFT, 48, 28, 700, 108))
                .withFollows(titleFollows)
                .withLocal(titleLocal))
        .plus(
            LongHour.layer(
                    id + "-material",
                    "Material",
                    "",
                    LongHour.box(Anchor.TOP_LEFT, 48, 146, 700, 54))
                .withStory(Story.of(material))
                .withFollows(List.of(LongHourStyles.LABEL_TEXT)))
        .plus(
            LongHour.layer(
                    id + "-text", "Text", text, LongHour.box(Anchor.TOP_LEFT, 48, 226, 700, 190))
                .withFollows(List.of(LongHourStyles.LABEL_TEXT)));
  }

  static Paragraph material(String text) {
    return Paragraph.of(Span.of(text).withFollows(List.of(LongHourStyles.MATERIAL)));
  }
}
