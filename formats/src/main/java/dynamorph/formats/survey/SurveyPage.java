package dynamorph.formats.survey;

import dynamorph.formats.message.Messages;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.Target;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.survey.Finding;
import dynamorph.model.survey.hidden.HiddenStyle;
import dynamorph.model.value.Numbers;
import dynamorph.model.value.Rgba;
import dynamorph.paint.Pixels;
import dynamorph.paint.export.Pictures;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.paint.specimen.Backdrop;
import dynamorph.paint.specimen.SpecimenPainter;
import dynamorph.paint.survey.SurveyReport;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** What a survey found as a page of HTML that needs nothing else, for a client or a colleague. */
public final class SurveyPage {
  private static final int WIDTH = 220;
  private static final int HEIGHT = 84;

  /** Pictures of one rule, at most; more of the same say nothing new. */
  private static final int MOST_PICTURES = 24;

  private static final String STYLE =
      """
      :root { color-scheme: light dark; --paper: #f7f4ee; --card: #fffdf9; --line: #ded7ca;
        --ink: #24313c; --quiet: #5b6873; --error: #7c2a62; --warning: #a13d08; }
      @media (prefers-color-scheme: dark) { :root { --paper: #1f1c1a; --card: #2a2623;
        --line: #443e39; --ink: #eee6da; --quiet: #b6ab9c; --error: #e09ac6; --warning: #f0a267; } }
      body { margin: 0 auto; padding: 2rem 1.5rem 4rem; max-width: 62rem; background: var(--paper);
        color: var(--ink); font: 15px/1.5 "Source Sans 3", "Segoe UI", system-ui, sans-serif; }
      h1 { font-size: 1.7rem; margin: 0; } h2 { font-size: 1.2rem; margin: 2.5rem 0 .6rem; }
      h3 { font-size: 1rem; margin: 1.4rem 0 .4rem; } p { margin: .2rem 0; }
      .quiet { color: var(--quiet); } .error { color: var(--error); font-weight: 600; }
      .warning { color: var(--warning); font-weight: 600; }
      ul { list-style: none; margin: 0; padding: 0; display: grid; gap: .8rem;
        grid-template-columns: repeat(auto-fill, minmax(14rem, 1fr)); }
      li { background: var(--card); border: 1px solid var(--line); border-radius: 6px;
        overflow: hidden; break-inside: avoid; }
      li img { display: block; width: 100%; height: auto; border-bottom: 1px solid var(--line); }
      li div { padding: .5rem .7rem .6rem; overflow-wrap: anywhere; }
      """;

  private final SurveyReport report;
  private final Scene scene;
  private final SpecimenPainter specimens;
  private final Located located;
  private final StringBuilder html = new StringBuilder();

  private SurveyPage(SurveyReport report, Scene scene, SceneMaker maker) {
    this.report = report;
    this.scene = scene;
    this.specimens = new SpecimenPainter(maker);
    this.located = new Located(report.project());
  }

  /** The page. */
  public static String of(SurveyReport report, Scene scene, SceneMaker maker) {
    return new SurveyPage(report, scene, maker).written();
  }

  private String written() {
    Project project = report.project();
    html.append("<!DOCTYPE html>\n<html lang=\"en\"><head><meta charset=\"utf-8\">")
        .append("<meta name=\"viewport\" content=\"width=device-width, initial-scale=1\">")
        .append("<title>")
        .append(escaped(Messages.of("survey-page.survey-of", project.name())))
        .append("</title><style>\n")
        .append(STYLE)
        .append("</style></head><body>\n<h1>")
        .append(escaped(Messages.of("survey-page.survey-of", project.name())))
        .append("</h1>\n");
    line(
        "quiet",
        Messages.of(
            "survey-page.texts-findings",
            report.texts(),
            report.findings().size(),
            report.hidden().size()));
    if (!report.rules().name().isEmpty()) {
      line("quiet", Messages.of("survey-page.rules", report.rules().name()));
    }
    hidden();
    for (Map.Entry<SurveyReport.Kind, List<Finding>> entry : report.byRule().entrySet()) {
      findings(entry.getKey(), entry.getValue());
    }
    if (!report.ignored().isEmpty()) {
      ignored();
    }
    return html.append("</body></html>\n").toString();
  }

  private void hidden() {
    if (report.hidden().isEmpty()) {
      return;
    }
    heading(2, Messages.of("survey-page.styles-that-hide"));
    html.append("<ul>\n");
    List<Style> all = new ArrayList<>(report.project().styles().list());
    report.hidden().forEach(one -> all.add(one.style()));
    Cascade cascade = Cascade.of(report.project().withStyles(StyleBook.of(all)));
    for (HiddenStyle hidden : report.hidden()) {
      Pixels picture =
          specimens.specimen(
              cascade,
              hidden.style(),
              hidden.style().sample(),
              ground(hidden.members().getFirst()),
              WIDTH,
              HEIGHT,
              2);
      open(picture, hidden.style().name());
      line("", hidden.style().name());
      line(
          "quiet",
          Messages.of(
              "survey-page.followers",
              hidden.size(),
              Numbers.format(100 * hidden.purity(), 0),
              hidden.outliers().size()));
      html.append("</div></li>\n");
    }
    html.append("</ul>\n");
  }

  private Backdrop ground(Target.Words member) {
    return new Backdrop.Plain(
        scene.find(member.layer()).map(found -> found.board().background()).orElse(Rgba.WHITE));
  }

  private void findings(SurveyReport.Kind kind, List<Finding> findings) {
    heading(2, capitalised(kind.label()) + " \u00b7 " + findings.size());
    line("quiet", kind.house().isEmpty() ? kind.rule().help() : findings.getFirst().detail());
    html.append("<ul>\n");
    int pictures = 0;
    for (Finding finding : findings) {
      Optional<Scene.Found> text =
          pictures < MOST_PICTURES
              ? finding.layers().stream().findFirst().flatMap(scene::find)
              : Optional.empty();
      pictures += text.isPresent() ? 1 : 0;
      if (text.isPresent()) {
        open(thumbnail(text.get()), located.words(text.get().text().layer().id()));
      } else {
        html.append("<li><div>");
      }
      line("", where(finding));
      if (!finding.detail().equals(where(finding))) {
        line(finding.severity().id(), finding.detail());
      }
      html.append("</div></li>\n");
    }
    html.append("</ul>\n");
  }

  private Pixels thumbnail(Scene.Found found) {
    return specimens.thumbnail(found.text(), found.board().background(), WIDTH, HEIGHT, 2);
  }

  private String where(Finding finding) {
    List<String> names = finding.spots().stream().map(located::name).distinct().toList();
    return names.size() <= 3
        ? String.join(", ", names)
        : Messages.of(
            "survey-page.and-more", String.join(", ", names.subList(0, 2)), names.size() - 2);
  }

  private void ignored() {
    heading(2, Messages.of("survey-page.ignored", report.ignored().size()));
    html.append("<ul>\n");
    for (Finding finding : report.ignored()) {
      html.append("<li><div>");
      line("", where(finding));
      line("quiet", finding.rule().label() + ": " + finding.detail());
      report.project().survey().ignored().stream()
          .filter(one -> one.mark().equals(finding.mark()) && !one.note().isEmpty())
          .forEach(one -> line("", one.note()));
      html.append("</div></li>\n");
    }
    html.append("</ul>\n");
  }

  private void open(Pixels picture, String words) {
    html.append("<li><img width=\"")
        .append(WIDTH)
        .append("\" height=\"")
        .append(HEIGHT)
        .append("\" alt=\"")
        .append(escaped(words.lines().findFirst().orElse("")))
        .append("\" src=\"data:image/png;base64,")
        .append(Base64.getEncoder().encodeToString(Pictures.png(picture)))
        .append("\"><div>");
  }

  private void heading(int level, String words) {
    html.append("<h").append(level).append('>').append(escaped(words));
    html.append("</h").append(level).append(">\n");
  }

  private void line(String kind, String words) {
    html.append(kind.isEmpty() ? "<p>" : "<p class=\"" + kind + "\">")
        .append(escaped(words))
        .append("</p>");
  }

  private static String capitalised(String words) {
    return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
  }

  static String escaped(String text) {
    return text.replace("&", "&amp;")
        .replace("<", "&lt;")
        .replace(">", "&gt;")
        .replace("\"", "&quot;");
  }
}
