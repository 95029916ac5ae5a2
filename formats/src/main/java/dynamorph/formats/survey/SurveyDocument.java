package dynamorph.formats.survey;

import dynamorph.formats.message.Messages;
import dynamorph.model.Artboard;
import dynamorph.model.Asset;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.export.ExportPreset;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.shape.Shape;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Story;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Rgba;
import dynamorph.paint.export.ArtboardArtwork;
import dynamorph.paint.export.pdf.PdfPage;
import dynamorph.paint.export.pdf.PdfSettings;
import dynamorph.paint.export.pdf.PdfWriter;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.paint.survey.SurveyReport;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What a survey found as a PDF of A4 pages, for a client or a colleague. The pages are artboards,
 * set and written as all others are.
 */
public final class SurveyDocument {
  private static final double PAGE_WIDTH = LengthUnit.MILLIMETRE.toPoints(210);
  private static final double PAGE_HEIGHT = LengthUnit.MILLIMETRE.toPoints(297);
  private static final double MARGIN = 42;
  private static final double CONTENT = PAGE_WIDTH - 2 * MARGIN;
  private static final int COLUMNS = 3;
  private static final double GUTTER = 12;
  private static final double CARD = (CONTENT - (COLUMNS - 1) * GUTTER) / COLUMNS;
  private static final double PICTURE = CARD * SurveyCards.HEIGHT / SurveyCards.WIDTH;
  private static final double WORDS = 44;
  private static final double FOOT = PAGE_HEIGHT - MARGIN - 14;

  private static final String INK = "#24313c";
  private static final String QUIET = "#5b6873";
  private static final double BODY = 8.5;

  private final List<List<Layer>> pages = new ArrayList<>();
  private final List<Asset> pictures = new ArrayList<>();
  private double y = Double.POSITIVE_INFINITY;
  private int number;

  private SurveyDocument() {}

  /**
   * The document.
   *
   * @param scene of the surveyed project
   * @param made when, as its metadata says
   */
  public static byte[] of(SurveyReport report, Scene scene, SceneMaker maker, ZonedDateTime made) {
    SurveyCards cards = new SurveyCards(report, scene, maker);
    SurveyDocument document = new SurveyDocument();
    document.lay(cards);
    Scene set = maker.make(document.project(cards.title()));
    List<PdfPage> pages =
        set.boards().stream()
            .map(board ->
                new PdfPage(
                    board.artboard().name(),
                    ArtboardArtwork.of(board, Optional.of(board.background()), true, 2)))
            .toList();
    return PdfWriter.write(
        pages,
        new PdfSettings(
            cards.title(), report.project().language(), ExportPreset.Document.PLAIN, made));
  }

  private void lay(SurveyCards cards) {
    room(0);
    words(cards.title(), MARGIN, CONTENT, 30, style(20, 600, INK));
    y += 30;
    for (String line : cards.summary()) {
      words(line, MARGIN, CONTENT, 14, style(9.5, 400, QUIET));
      y += 14;
    }
    for (SurveyCards.Section section : cards.sections()) {
      section(section);
    }
  }

  private void section(SurveyCards.Section section) {
    double about = section.about().isEmpty() ? 0 : 24;
    // a heading stays with the first of what it stands over
    room(14 + 22 + about + PICTURE + WORDS);
    y += 14;
    words(section.title(), MARGIN, CONTENT, 20, style(13, 600, INK));
    y += 22;
    if (about > 0) {
      words(section.about(), MARGIN, CONTENT, about - 2, style(BODY, 400, QUIET));
      y += about;
    }
    for (int from = 0; from < section.cards().size(); from += COLUMNS) {
      row(section.cards().subList(from, Math.min(from + COLUMNS, section.cards().size())));
    }
  }

  private void row(List<SurveyCards.Card> cards) {
    double picture = cards.stream().anyMatch(card -> card.picture().isPresent()) ? PICTURE + 4 : 0;
    room(picture + WORDS);
    double x = MARGIN;
    for (SurveyCards.Card card : cards) {
      double left = x;
      card.picture().ifPresent(bytes -> picture(bytes, card.shows(), left));
      lines(card.lines(), left, y + picture);
      x += CARD + GUTTER;
    }
    y += picture + WORDS;
  }

  /** Begins a page if there is not so much room on this one. */
  private void room(double height) {
    if (y + height > FOOT) {
      pages.add(new ArrayList<>());
      y = MARGIN;
    }
  }

  private void picture(byte[] bytes, String shows, double x) {
    String name = "picture " + pictures.size() + ".png";
    pictures.add(new Asset("images/" + name, bytes));
    String said = shows.lines().findFirst().filter(line -> !line.isBlank()).orElse(name);
    add(
        Layer.of(id(), said, new Shape.Picture(name))
            .withLocal(
                PropertySet.EMPTY.with(Properties.COAT_SHOWN.at(Address.coat("fill")), false))
            .withFrame(frame(x, y, CARD, PICTURE)));
  }

  private void lines(List<SurveyCards.Line> lines, double x, double top) {
    List<Paragraph> paragraphs =
        lines.stream()
            .map(line ->
                Paragraph.of(line.words().replaceAll("\\R", " "))
                    .mapSpans(span -> span.withLocal(tone(line.tone()))))
            .toList();
    add(
        Layer.of(id(), lines.getFirst().words(), "")
            .withStory(new Story(paragraphs))
            .withLocal(style(BODY, 400, INK))
            .withFrame(frame(x, top, CARD, WORDS - 8)));
  }

  private static PropertySet tone(String tone) {
    return switch (tone) {
      case "error" -> style(BODY, 600, "#7c2a62");
      case "warning" -> style(BODY, 600, "#a13d08");
      case "quiet", "note" -> style(BODY, 400, QUIET);
      default -> PropertySet.EMPTY;
    };
  }

  private void words(String words, double x, double width, double height, PropertySet style) {
    add(Layer.of(id(), words, words).withLocal(style).withFrame(frame(x, y, width, height)));
  }

  private void add(Layer layer) {
    pages.getLast().add(layer);
  }

  private String id() {
    return "r" + number++;
  }

  private static PropertySet frame(double x, double y, double width, double height) {
    return PropertySet.EMPTY
        .with(Properties.POSITION_X, x)
        .with(Properties.POSITION_Y, y)
        // nothing is lost: what is long is set smaller
        .with(Properties.BOX, BoxFit.SHRINK)
        .with(Properties.BOX_WIDTH, width)
        .with(Properties.BOX_HEIGHT, height);
  }

  private static PropertySet style(double size, double weight, String colour) {
    return PropertySet.EMPTY
        .with(Properties.FONT_FAMILY, "Source Sans 3")
        .with(Properties.FONT_WEIGHT, weight)
        .with(Properties.SIZE, FontSize.points(size))
        .with(Properties.COAT_COLOUR.at(Address.coat("fill")), Colour.of(Rgba.parse(colour)));
  }

  private Project project(String title) {
    Project project = Project.empty(title).withAssets(pictures);
    for (int page = 0; page < pages.size(); page++) {
      y = FOOT + 4;
      String count = Messages.of("survey-document.page", page + 1, pages.size());
      Layer foot =
          Layer.of(id(), count, count)
              .withLocal(style(BODY, 400, QUIET))
              .withFrame(frame(MARGIN, y, CONTENT, 12));
      List<Layer> layers = new ArrayList<>(pages.get(page));
      layers.add(foot);
      project =
          project.plus(
              Artboard.empty("page-" + page, count, PAGE_WIDTH, PAGE_HEIGHT, LengthUnit.POINT)
                  .withLayers(layers));
    }
    return project;
  }
}
