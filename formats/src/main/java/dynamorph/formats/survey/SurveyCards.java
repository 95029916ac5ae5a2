package dynamorph.formats.survey;

import dynamorph.formats.message.Messages;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.Target;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.survey.Finding;
import dynamorph.model.survey.hidden.HiddenStyle;
import dynamorph.model.value.Numbers;
import dynamorph.model.value.Rgba;
import dynamorph.paint.export.Pictures;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.paint.specimen.Backdrop;
import dynamorph.paint.specimen.SpecimenPainter;
import dynamorph.paint.survey.SurveyReport;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** What a survey found as a person reads it: sections of cards with pictures. */
final class SurveyCards {
  /** Of a picture, in pixels at the usual size; it is drawn at twice that. */
  static final int WIDTH = 220;

  static final int HEIGHT = 84;

  /** Pictures of one rule, at most; more of the same say nothing new. */
  private static final int MOST_PICTURES = 24;

  /**
   * @param about a sentence on all of them; may be empty
   */
  record Section(String title, String about, List<Card> cards) {}

  /**
   * @param picture as PNG
   * @param shows the words in the picture
   */
  record Card(Optional<byte[]> picture, String shows, List<Line> lines) {}

  /**
   * @param tone how much it weighs: {@code error}, {@code warning}, {@code note}, or {@code quiet};
   *     empty if it is what the card is about
   */
  record Line(String tone, String words) {}

  private final SurveyReport report;
  private final Scene scene;
  private final SpecimenPainter specimens;
  private final Located located;

  SurveyCards(SurveyReport report, Scene scene, SceneMaker maker) {
    this.report = report;
    this.scene = scene;
    this.specimens = new SpecimenPainter(maker);
    this.located = new Located(report.project());
  }

  String title() {
    return Messages.of("survey-page.survey-of", report.project().name());
  }

  /** What stands below the title. */
  List<String> summary() {
    List<String> lines = new ArrayList<>();
    lines.add(
        Messages.of(
            "survey-page.texts-findings",
            report.texts(),
            report.findings().size(),
            report.hidden().size()));
    if (!report.rules().name().isEmpty()) {
      lines.add(Messages.of("survey-page.rules", report.rules().name()));
    }
    return lines;
  }

  List<Section> sections() {
    List<Section> sections = new ArrayList<>();
    if (!report.hidden().isEmpty()) {
      sections.add(new Section(Messages.of("survey-page.styles-that-hide"), "", hidden()));
    }
    for (Map.Entry<SurveyReport.Kind, List<Finding>> entry : report.byRule().entrySet()) {
      sections.add(findings(entry.getKey(), entry.getValue()));
    }
    if (!report.ignored().isEmpty()) {
      String title = Messages.of("survey-page.ignored", report.ignored().size());
      sections.add(new Section(title, "", report.ignored().stream().map(this::ignored).toList()));
    }
    return sections;
  }

  private List<Card> hidden() {
    List<Style> all = new ArrayList<>(report.project().styles().list());
    report.hidden().forEach(one -> all.add(one.style()));
    Cascade cascade = Cascade.of(report.project().withStyles(StyleBook.of(all)));
    return report.hidden().stream().map(one -> card(cascade, one)).toList();
  }

  private Card card(Cascade cascade, HiddenStyle hidden) {
    Style style = hidden.style();
    byte[] picture =
        Pictures.png(
            specimens.specimen(
                cascade,
                style,
                style.sample(),
                ground(hidden.members().getFirst()),
                WIDTH,
                HEIGHT,
                2));
    String followers =
        Messages.of(
            "survey-page.followers",
            hidden.size(),
            Numbers.format(100 * hidden.purity(), 0),
            hidden.outliers().size());
    return new Card(
        Optional.of(picture),
        style.name(),
        List.of(new Line("", style.name()), new Line("quiet", followers)));
  }

  private Backdrop ground(Target.Words member) {
    return new Backdrop.Plain(
        scene.find(member.layer()).map(found -> found.board().background()).orElse(Rgba.WHITE));
  }

  private Section findings(SurveyReport.Kind kind, List<Finding> findings) {
    List<Card> cards = new ArrayList<>();
    int pictures = 0;
    for (Finding finding : findings) {
      Optional<Scene.Found> text =
          pictures < MOST_PICTURES
              ? finding.layers().stream().findFirst().flatMap(scene::find)
              : Optional.empty();
      pictures += text.isPresent() ? 1 : 0;
      cards.add(
          new Card(
              text.map(this::thumbnail),
              text.map(found -> located.words(found.text().layer().id())).orElse(""),
              lines(finding)));
    }
    return new Section(
        capitalised(kind.label()) + " \u00b7 " + findings.size(),
        kind.house().isEmpty() ? kind.rule().help() : findings.getFirst().detail(),
        cards);
  }

  private List<Line> lines(Finding finding) {
    String where = where(finding);
    return finding.detail().equals(where)
        ? List.of(new Line("", where))
        : List.of(new Line("", where), new Line(finding.severity().id(), finding.detail()));
  }

  private byte[] thumbnail(Scene.Found found) {
    return Pictures.png(
        specimens.thumbnail(found.text(), found.board().background(), WIDTH, HEIGHT, 2));
  }

  private String where(Finding finding) {
    List<String> names = finding.spots().stream().map(located::name).distinct().toList();
    return names.size() <= 3
        ? String.join(", ", names)
        : Messages.of(
            "survey-page.and-more", String.join(", ", names.subList(0, 2)), names.size() - 2);
  }

  private Card ignored(Finding finding) {
    List<Line> lines = new ArrayList<>();
    lines.add(new Line("", where(finding)));
    lines.add(new Line("quiet", finding.rule().label() + ": " + finding.detail()));
    report.project().survey().ignored().stream()
        .filter(one -> one.mark().equals(finding.mark()) && !one.note().isEmpty())
        .forEach(one -> lines.add(new Line("", one.note())));
    return new Card(Optional.empty(), "", lines);
  }

  private static String capitalised(String words) {
    return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
  }
}
