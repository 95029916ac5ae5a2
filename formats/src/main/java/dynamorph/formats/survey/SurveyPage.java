package dynamorph.formats.survey;

import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.paint.survey.SurveyReport;
import java.util.Base64;

/** What a survey found as a page of HTML that needs nothing else, for a client or a colleague. */
public final class SurveyPage {
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

  private final StringBuilder html = new StringBuilder();

  private SurveyPage() {}

  /** The page. */
  public static String of(SurveyReport report, Scene scene, SceneMaker maker) {
    return new SurveyPage().written(new SurveyCards(report, scene, maker));
  }

  private String written(SurveyCards cards) {
    html.append("<!DOCTYPE html>\n<html lang=\"en\"><head><meta charset=\"utf-8\">")
        .append("<meta name=\"viewport\" content=\"width=device-width, initial-scale=1\">")
        .append("<title>")
        .append(escaped(cards.title()))
        .append("</title><style>\n")
        .append(STYLE)
        .append("</style></head><body>\n");
    heading(1, cards.title());
    cards.summary().forEach(words -> line("quiet", words));
    for (SurveyCards.Section section : cards.sections()) {
      heading(2, section.title());
      if (!section.about().isEmpty()) {
        line("quiet", section.about());
      }
      html.append("<ul>\n");
      section.cards().forEach(this::card);
      html.append("</ul>\n");
    }
    return html.append("</body></html>\n").toString();
  }

  private void card(SurveyCards.Card card) {
    html.append("<li>");
    card.picture()
        .ifPresent(picture ->
            html.append("<img width=\"")
                .append(SurveyCards.WIDTH)
                .append("\" height=\"")
                .append(SurveyCards.HEIGHT)
                .append("\" alt=\"")
                .append(escaped(card.shows().lines().findFirst().orElse("")))
                .append("\" src=\"data:image/png;base64,")
                .append(Base64.getEncoder().encodeToString(picture))
                .append("\">"));
    html.append("<div>");
    card.lines().forEach(one -> line(one.tone(), one.words()));
    html.append("</div></li>\n");
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

  static String escaped(String text) {
    return text.replace("&", "&amp;")
        .replace("<", "&lt;")
        .replace(">", "&gt;")
        .replace("\"", "&quot;");
  }
}
