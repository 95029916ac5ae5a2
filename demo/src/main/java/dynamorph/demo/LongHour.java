package dynamorph.demo;

import static dynamorph.model.property.Properties.ALIGNMENT;
import static dynamorph.model.property.Properties.ANCHOR;
import static dynamorph.model.property.Properties.BOX;
import static dynamorph.model.property.Properties.BOX_HEIGHT;
import static dynamorph.model.property.Properties.BOX_WIDTH;
import static dynamorph.model.property.Properties.FONT_FAMILY;
import static dynamorph.model.property.Properties.FONT_WEIGHT;
import static dynamorph.model.property.Properties.POSITION_X;
import static dynamorph.model.property.Properties.POSITION_Y;
import static dynamorph.model.property.Properties.SIZE;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.export.ExportFormat;
import dynamorph.model.export.ExportPreset;
import dynamorph.model.export.FileNamePattern;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.sheet.view.Column;
import dynamorph.model.sheet.view.Grouping;
import dynamorph.model.sheet.view.RowUnit;
import dynamorph.model.sheet.view.SheetOrder;
import dynamorph.model.sheet.view.SheetView;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Story;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import org.pcollections.TreePVector;

/**
 * Makes the demo project: an entrance panel, two text panels, seven object labels, labels in other
 * scripts, a square for the web, a ticket and a film.
 */
public final class LongHour {
  private LongHour() {}

  /** The project; every call gives an equal one. */
  public static Project project() {
    Project empty =
        Project.empty("The Long Hour")
            .withPalette(LongHourStyles.palette())
            .withStyles(LongHourStyles.styles())
            .withBaseStyle(Optional.of(LongHourStyles.BASE))
            .withWords(new TreeSet<>(List.of("arbor", "Halm", "Oostvoort")))
            .withExports(exports())
            .withSheetViews(sheetViews());
    return empty.withArtboards(
        TreePVector.from(
            List.of(
                entrance(),
                textPanel(),
                escapement(),
                pendulum(),
                bell(),
                LongHourReading.columnsPanel(),
                LongHourReading.languages(),
                webSquare(),
                LongHourReading.banner(),
                LongHourLabels.crank(),
                LongHourLabels.hammer(),
                LongHourLabels.hand(),
                LongHourLabels.oilCan(),
                LongHourLabels.ticket(),
                LongHourFilm.film())));
  }

  private static List<SheetView> sheetViews() {
    SheetOrder plain = SheetOrder.USUAL;
    Column.Value size = new Column.Value(SIZE.key());
    return List.of(
        new SheetView(
            "Names in their frames",
            plain.withGrouping(Grouping.TRACK).withQuery("follows=\"Name title\""),
            SheetOrder.COLUMNS,
            true,
            SheetView.USUAL.pictureWidth()),
        new SheetView(
            "Labels, small print first",
            plain
                .withUnit(RowUnit.PARAGRAPH)
                .withGrouping(Grouping.NONE)
                .withQuery("artboard~Label")
                .sortedBy(size),
            List.of(
                Column.Fact.WORDS,
                Column.Fact.PLACE,
                Column.Fact.STYLES,
                size,
                new Column.Value(Properties.LEADING.key())),
            false,
            SheetView.USUAL.pictureWidth()),
        new SheetView(
            "Set by hand",
            plain
                .withGrouping(Grouping.NONE)
                .withQuery("local>0")
                .sortedBy(Column.Fact.LOCAL)
                .sortedBy(Column.Fact.LOCAL),
            List.of(Column.Fact.WORDS, Column.Fact.STYLES, Column.Fact.LOCAL, size),
            false,
            SheetView.USUAL.pictureWidth()));
  }

  private static List<ExportPreset> exports() {
    ExportPreset print = ExportPreset.of(ExportFormat.PDF);
    ExportPreset screen = ExportPreset.of(ExportFormat.PNG);
    return List.of(
        new ExportPreset(
            "Printer, 3 mm bleed",
            ExportFormat.PDF,
            print.resolution(),
            print.quality(),
            true,
            new FileNamePattern("{project} {artboard}"),
            new ExportPreset.Document(true, LengthUnit.MILLIMETRE.toPoints(3), true)),
        screen.withName("Screen, double size"),
        ExportPreset.of(ExportFormat.H264)
            .withName("Gallery screen")
            .withFilm(new ExportPreset.Film(true, true, "Titles")),
        titlesAlone());
  }

  private static ExportPreset titlesAlone() {
    ExportPreset usual = ExportPreset.of(ExportFormat.PRORES_4444);
    return new ExportPreset(
        "Titles for the editor",
        usual.format(),
        usual.resolution(),
        usual.quality(),
        false,
        new FileNamePattern("{artboard} titles"),
        usual.document(),
        new ExportPreset.Film(false, false, ""));
  }

  private static Artboard entrance() {
    return board("entrance", "Entrance panel", 900, 600, LengthUnit.MILLIMETRE, "paper", 0, 0)
        .plus(
            layer("entrance-title", "Title", "The Long Hour", point(Anchor.TOP, 0, 310))
                .withFollows(List.of(LongHourStyles.ENAMEL)))
        .plus(
            layer(
                    "entrance-subtitle",
                    "Subtitle",
                    "how a tower clock came back to time",
                    point(Anchor.TOP, 0, 900))
                .withFollows(List.of(LongHourStyles.SUBTITLE)))
        .plus(
            layer(
                    "entrance-notice",
                    "Notice",
                    "Quarter Bell Museum \u00b7 ground floor",
                    point(Anchor.TOP, 0, 1150))
                .withFollows(List.of(LongHourStyles.NOTICE)))
        .plus(
            layer(
                    "entrance-welcome",
                    "Welcome",
                    "Welcome \u00b7 \u0623\u0647\u0644\u0627 \u0628\u0643\u0645 \u00b7 \u3088\u3046\u3053\u305d",
                    point(Anchor.BOTTOM, 0, -150))
                .withFollows(List.of(LongHourStyles.LABEL_TEXT))
                .withLocal(
                    PropertySet.EMPTY
                        .with(SIZE, new FontSize.Times(1.75))
                        .with(ALIGNMENT, Alignment.CENTRE)));
  }

  private static Artboard textPanel() {
    Story story =
        Story.of(
            heading("Eight days to wind"),
            body(
                "The clock had stopped at ten past four, and for thirty years nobody had asked it why."
                    + " When the dial was taken down, the keepers found a nest of straw behind the minute"
                    + " wheel and a bill for lamp oil from a winter no one remembered."),
            body(
                "The movement was cleaned tooth by tooth. Each arbor was measured against the old"
                    + " drawings, then against its own wear, which told another story."),
            heading("What the wear told"),
            body(
                "What looked like neglect turned out to be care: someone had filed a little from each"
                    + " tooth, every year, to keep the town on time."));
    return board("panel-2", "Text panel 2", 500, 520, LengthUnit.MILLIMETRE, "paper", 960, 0)
        .plus(
            layer("panel-2-text", "Text", "", box(Anchor.TOP_LEFT, 120, 110, 1180, 1260))
                .withStory(story));
  }

  private static Paragraph heading(String text) {
    return Paragraph.of(text).withFollows(Optional.of(LongHourStyles.PANEL_HEADING));
  }

  private static Paragraph body(String text) {
    return Paragraph.of(text).withFollows(Optional.of(LongHourStyles.PANEL_BODY));
  }

  private static Artboard escapement() {
    return LongHourLabels.label(
        3,
        0,
        660,
        List.of(LongHourStyles.LABEL_TITLE),
        PropertySet.EMPTY,
        "Escapement wheel, 1743",
        LongHourLabels.material("gilt brass, steel"),
        "Lets one tooth pass at each swing, and counts the seconds of the town.");
  }

  private static Artboard pendulum() {
    return LongHourLabels.label(
        5,
        310,
        660,
        List.of(LongHourStyles.LABEL_LOAN),
        PropertySet.EMPTY
            .with(SIZE, new FontSize.Times(1.15))
            .with(Properties.COAT_COLOUR.at(Address.coat("fill")), Colour.swatch("plum")),
        "Pendulum bob",
        LongHourLabels.material("lead, brass, 41 kg, on loan from Oostvoort"),
        "Three men carried it up the stair in 1743. It took five to bring it down.");
  }

  /** A label brought in from outside: it looks much like the others, but follows nothing. */
  private static Artboard bell() {
    PropertySet title =
        PropertySet.EMPTY
            .with(FONT_FAMILY, "Barlow Condensed")
            .with(FONT_WEIGHT, 600.0)
            .with(SIZE, FontSize.points(74))
            .with(Properties.COAT_COLOUR.at(Address.coat("fill")), Colour.hex("#22303b"));
    PropertySet text =
        PropertySet.EMPTY
            .with(FONT_FAMILY, "EB Garamond")
            .with(SIZE, FontSize.points(36))
            .with(Properties.COAT_COLOUR.at(Address.coat("fill")), Colour.hex("#22303b"));
    return board("label-6", "Label 6", 280, 160, LengthUnit.MILLIMETRE, "card", 620, 660)
        .plus(
            layer(
                    "label-6-title",
                    "Title",
                    "Bell, founded in Halm",
                    box(Anchor.TOP_LEFT, 48, 28, 700, 108))
                .withLocal(title))
        .plus(
            layer(
                    "label-6-text",
                    "Text",
                    "Cast with the town\u2019s spoons in it, so they say. It strikes a quarter too much"
                        + " each leap year.",
                    box(Anchor.TOP_LEFT, 48, 226, 700, 190))
                .withLocal(text));
  }

  private static Artboard webSquare() {
    return board("web", "Web square", 1080, 1080, LengthUnit.PIXEL, "enamel", 960, 580)
        .plus(
            layer("web-title", "Title", "The Long Hour", point(Anchor.CENTRE, 0, -60))
                .withFollows(List.of(LongHourStyles.ENAMEL, LongHourStyles.WEB_TITLE)))
        .plus(
            layer("web-open", "Opening hours", "Open till nine", point(Anchor.BOTTOM, 0, -150))
                .withFollows(List.of(LongHourStyles.TAG)))
        .plus(
            layer("web-place", "Place", "Quarter Bell Museum", point(Anchor.TOP, 0, 120))
                .withFollows(List.of(LongHourStyles.NOTICE))
                .withLocal(
                    PropertySet.EMPTY.with(
                        Properties.COAT_COLOUR.at(Address.coat("fill")), Colour.swatch("paper"))));
  }

  static Artboard board(
      String id,
      String name,
      double width,
      double height,
      LengthUnit unit,
      String background,
      double xMm,
      double yMm) {
    return Artboard.empty(id, name, width, height, unit)
        .withBackground(Colour.swatch(background))
        .withOrigin(LengthUnit.MILLIMETRE.toPoints(xMm), LengthUnit.MILLIMETRE.toPoints(yMm));
  }

  static Layer layer(String id, String name, String text, PropertySet frame) {
    return Layer.of(id, name, text).withFrame(frame);
  }

  static PropertySet point(Anchor anchor, double x, double y) {
    return PropertySet.EMPTY.with(ANCHOR, anchor).with(POSITION_X, x).with(POSITION_Y, y);
  }

  static PropertySet box(Anchor anchor, double x, double y, double width, double height) {
    return point(anchor, x, y)
        .with(BOX, BoxFit.FIXED)
        .with(BOX_WIDTH, width)
        .with(BOX_HEIGHT, height);
  }
}
