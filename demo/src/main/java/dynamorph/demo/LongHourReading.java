package dynamorph.demo;

import static dynamorph.model.property.Properties.ALIGNMENT;
import static dynamorph.model.property.Properties.SIZE;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.Colour;
import dynamorph.model.value.EmphasisMark;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.TateChuYoko;
import java.util.List;
import java.util.Optional;

/**
 * The parts of the demo that are there to be read: a panel in columns, and labels in other scripts.
 */
final class LongHourReading {
  private LongHourReading() {}

  /**
   * A text in two linked boxes, justified, with a drop capital, small capitals, old-style figures
   * and a list.
   */
  static Artboard columnsPanel() {
    Story story =
        Story.of(
            paragraph(
                LongHourStyles.COLUMN_OPENING,
                Span.of(
                    "The great wheel turns once in eight days. Whoever winds it climbs a hundred and twelve steps,"
                        + " hangs up a coat, and listens first: a clock that is about to stop says so"
                        + " an hour before, in the way it swallows its tick. Only then is the crank"
                        + " set upon the square and turned, 276 times for the going train and 341"
                        + " for the strike.")),
            paragraph(
                LongHourStyles.COLUMN_TEXT,
                Span.of(
                    "In 1743 the founders had asked for an hour that could be heard in the fields."
                        + " They were given it. The bell was cast so heavy that its blow shook the"
                        + " movement out of beat, and every keeper since has carried a wedge of felt"
                        + " in his pocket and an opinion about where it belongs.")),
            paragraph(
                LongHourStyles.COLUMN_TEXT,
                Span.of(
                    "\u201CNobody hears the clock,\u201D wrote the last of them in 1967, \u201Cuntil"
                        + " it is late.\u201D He kept a ledger of such remarks between the oil and the"
                        + " spare cord; it weighs 3\u00BD kilograms and is shown in the next room.")),
            paragraph(LongHourStyles.STEPS, Span.of("Stop the strike with the wooden pin.")),
            paragraph(
                LongHourStyles.STEPS,
                Span.of("Wind the going train until the red thread shows on the drum.")),
            paragraph(
                LongHourStyles.STEPS, Span.of("Wind the strike, and take out the pin again.")));
    return LongHour.board(
            "panel-3", "Text panel 3", 620, 410, LengthUnit.MILLIMETRE, "paper", 0, 880)
        .plus(
            Layer.of("panel-3-heading", "Heading", "")
                .withStory(
                    Story.of(
                        Paragraph.of("How an hour is wound")
                            .withFollows(Optional.of(LongHourStyles.PANEL_HEADING))))
                .withFrame(LongHour.point(Anchor.TOP_LEFT, 110, 100)))
        .plus(
            Layer.of("panel-3-text", "Winding, left", "")
                .withStory(story)
                .withFrame(LongHour.box(Anchor.TOP_LEFT, 110, 250, 880, 650)))
        .plus(
            Layer.of("panel-3-text-2", "Winding, right", "")
                .withFrame(LongHour.box(Anchor.TOP_LEFT, 1054, 250, 596, 830))
                .withContinues(Optional.of(new LayerId("panel-3-text"))));
  }

  private static Paragraph paragraph(StyleId style, Span... spans) {
    return Paragraph.of(spans).withFollows(Optional.of(style));
  }

  /** A hanging banner in vertical Japanese, with readings and numbers across the line. */
  static Artboard banner() {
    Story text =
        Story.of(
            Paragraph.of(
                Span.of("2026\u5E74").withLocal(across(TateChuYoko.FOUR_DIGITS)),
                Span.of("12\u67081\u65E5\u304B\u3089\u6625\u307E\u3067\u3002")),
            Paragraph.of(
                Span.of("\u6642\u3092"),
                Span.of("\u523B").withRuby("\u304D\u3056"),
                Span.of("\u3080\u5854\u306E"),
                Span.of("\u6642\u8A08").withRuby("\u3068\u3051\u3044"),
                Span.of("\u306F\u3001\u300C\u516B\u65E5\u300D\u3067"),
                Span.of("\u4E00\u5DFB\u304D").withLocal(stressed()),
                Span.of("\u3002")));
    return LongHour.board("banner", "Banner", 96, 380, LengthUnit.MILLIMETRE, "ink", 1362, 580)
        .plus(
            LongHour.layer(
                    "banner-title",
                    "Title",
                    "\u9577\u3044\u4E00\u6642\u9593",
                    LongHour.point(Anchor.TOP_RIGHT, -28, 60))
                .withFollows(List.of(LongHourStyles.BANNER_TITLE)))
        .plus(
            Layer.of("banner-text", "Text", "")
                .withStory(text)
                .withFollows(List.of(LongHourStyles.BANNER))
                .withFrame(LongHour.box(Anchor.BOTTOM_LEFT, 20, -56, 92, 590)));
  }

  private static PropertySet stressed() {
    return PropertySet.EMPTY.with(Properties.EMPHASIS_MARK, EmphasisMark.SESAME);
  }

  private static PropertySet across(TateChuYoko numbers) {
    return PropertySet.EMPTY.with(Properties.TATE_CHU_YOKO, numbers);
  }

  /** A label in Arabic, one in Japanese, and a paragraph that speaks four scripts. */
  static Artboard languages() {
    return LongHour.board(
            "languages", "Languages", 280, 410, LengthUnit.MILLIMETRE, "card", 650, 880)
        .plus(
            Layer.of("languages-arabic", "Arabic", "")
                .withStory(
                    Story.of(
                        "\u0639\u062C\u0644\u0629 \u0627\u0644\u0645\u064A\u0632\u0627\u0646"
                            + "\u060C \u0661\u0667\u0664\u0663\n"
                            + "\u062A\u064F\u0637\u0644\u0642 \u0633\u0646\u0651\u0627"
                            + " \u0648\u0627\u062D\u062F\u0627 \u0645\u0639 \u0643\u0644"
                            + " \u062A\u0623\u0631\u062C\u062D"))
                .withFollows(List.of(LongHourStyles.LABEL_ARABIC))
                .withFrame(LongHour.box(Anchor.TOP_LEFT, 56, 50, 682, 250)))
        .plus(
            Layer.of("languages-japanese", "Japanese", "")
                .withStory(
                    Story.of(
                        "\u8131\u9032\u8ECA\u30011743\u5E74\n"
                            + "\u632F\u308A\u5B50\u304C\u4E00\u5F80\u5FA9\u3059\u308B\u305F"
                            + "\u3073\u306B\u3001\u6B6F\u3092\u4E00\u3064\u3060\u3051\u9001"
                            + "\u308A\u307E\u3059\u3002"))
                .withFollows(List.of(LongHourStyles.LABEL_JAPANESE))
                .withFrame(LongHour.box(Anchor.TOP_LEFT, 56, 350, 682, 300)))
        .plus(
            Layer.of("languages-four", "Four scripts", "")
                .withStory(
                    Story.of(
                        "Four towns send a keeper each: Halm writes The Hour in its ledger,"
                            + " \u0627\u0644\u0633\u0627\u0639\u0629 comes from the coast,"
                            + " \u6642\u8A08 from over the sea, and \u1F65\u03C1\u03B1 from the"
                            + " old school on the hill."))
                .withFollows(List.of(LongHourStyles.LABEL_TEXT))
                .withLocal(
                    PropertySet.EMPTY
                        .with(ALIGNMENT, Alignment.START)
                        .with(SIZE, FontSize.points(44))
                        .with(
                            Properties.COAT_COLOUR.at(
                                dynamorph.model.property.Address.coat("fill")),
                            Colour.swatch("enamel")))
                .withFrame(LongHour.box(Anchor.TOP_LEFT, 56, 720, 682, 420)));
  }
}
