package dynamorph.formats.survey;

import dynamorph.formats.project.PropertyJson;
import dynamorph.model.Project;
import dynamorph.model.edit.Target;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.style.Style;
import dynamorph.model.survey.Finding;
import dynamorph.model.survey.Spot;
import dynamorph.model.survey.hidden.HiddenStyle;
import dynamorph.paint.survey.SurveyReport;
import java.util.List;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** What a survey found, for other programs. */
public final class SurveyJson {
  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

  private SurveyJson() {}

  /** Where a finding is, in words. */
  public static String where(Project project, Finding finding) {
    return new Located(project).name(finding.spots().getFirst());
  }

  /** The whole report as text. */
  public static String text(SurveyReport report) {
    return of(report).toPrettyString();
  }

  /** The whole report. */
  public static ObjectNode of(SurveyReport report) {
    Located located = new Located(report.project());
    ObjectNode node =
        NODES
            .objectNode()
            .put("project", report.project().name())
            .put("rules", report.rules().name())
            .put("texts", report.texts());
    ArrayNode hidden = node.putArray("hiddenStyles");
    report.hidden().forEach(style -> hidden.add(hidden(style, located)));
    ArrayNode findings = node.putArray("findings");
    report.findings().forEach(finding -> findings.add(finding(finding, located)));
    return node.put("ignored", report.ignored().size());
  }

  private static ObjectNode hidden(HiddenStyle hidden, Located located) {
    Style style = hidden.style();
    ObjectNode node =
        NODES
            .objectNode()
            .put("name", style.name())
            .put("level", style.level().id())
            .put("followers", hidden.size())
            .put("purity", hidden.purity());
    style.basedOn().ifPresent(id -> node.put("basedOn", id.value()));
    node.set("properties", PropertyJson.write(style.properties()));
    members(node.putArray("equal"), hidden.equal(), located);
    deviating(node.putArray("near"), hidden.near(), located);
    deviating(node.putArray("outliers"), hidden.outliers(), located);
    return node;
  }

  private static void members(ArrayNode list, List<Target.Words> members, Located located) {
    members.forEach(member -> list.add(member(member, located)));
  }

  private static ObjectNode member(Target.Words member, Located located) {
    return NODES
        .objectNode()
        .put("id", member.layer().value())
        .put("place", located.name(member.layer()))
        .put("from", member.range().start())
        .put("to", member.range().end());
  }

  private static void deviating(
      ArrayNode list, List<HiddenStyle.Deviating> pieces, Located located) {
    for (HiddenStyle.Deviating piece : pieces) {
      ObjectNode node = member(piece.member(), located);
      ArrayNode differences = node.putArray("differences");
      piece.differences().keySet().stream().map(PropertyKey::path).forEach(differences::add);
      list.add(node);
    }
  }

  private static ObjectNode finding(Finding finding, Located located) {
    ObjectNode node =
        NODES
            .objectNode()
            .put("rule", finding.house().isEmpty() ? finding.rule().id() : finding.house())
            .put("severity", finding.severity().id())
            .put("detail", finding.detail())
            .put("mark", finding.mark())
            .put("fixable", finding.remedy().isPresent());
    ArrayNode spots = node.putArray("places");
    for (Spot spot : finding.spots()) {
      ObjectNode one =
          spots
              .addObject()
              .put("kind", Located.kind(spot))
              .put("id", spot.id())
              .put("place", located.name(spot));
      if (spot instanceof Spot.InText(var _, var words) && words.isPresent()) {
        one.put("from", words.get().start()).put("to", words.get().end());
      }
    }
    return node;
  }
}
