package dynamorph.formats.survey;

import dynamorph.model.survey.Finding;
import dynamorph.model.survey.Spot;
import dynamorph.model.survey.rule.HouseRule;
import dynamorph.model.survey.rule.Rule;
import dynamorph.model.survey.rule.Severity;
import dynamorph.paint.survey.SurveyReport;
import java.net.URI;
import java.nio.file.Path;
import java.util.LinkedHashSet;
import java.util.Set;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * What a survey found as a log that build servers read: SARIF, the Static Analysis Results
 * Interchange Format, version 2.1.0 (OASIS).
 */
public final class SarifLog {
  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;
  private static final String SCHEMA =
      "https://docs.oasis-open.org/sarif/sarif/v2.1.0/os/schemas/sarif-schema-2.1.0.json";

  private final ArrayNode results = NODES.arrayNode();
  private final Set<String> known = new LinkedHashSet<>();
  private final ArrayNode rules = NODES.arrayNode();

  /** Takes up what was found in a file. */
  public void add(Path file, SurveyReport report) {
    Located located = new Located(report.project());
    for (HouseRule rule : report.rules().house()) {
      addRule(rule.id(), rule.message(), rule.query());
    }
    for (Finding finding : report.findings()) {
      if (finding.house().isEmpty()) {
        addRule(finding.rule().id(), finding.rule().label(), finding.rule().help());
      }
      results.add(result(file, finding, located));
    }
    report
        .hidden()
        .forEach(style -> {
          addRule(Rule.HIDDEN_STYLE.id(), Rule.HIDDEN_STYLE.label(), Rule.HIDDEN_STYLE.help());
          ObjectNode node =
              result(
                  file,
                  Rule.HIDDEN_STYLE.id(),
                  report.rules().severity(Rule.HIDDEN_STYLE),
                  style.style().name() + " (" + style.size() + ")");
          ArrayNode places = place(node, file);
          style
              .members()
              .forEach(member -> places.add(logical(located.name(member.layer()), "text")));
          results.add(node);
        });
  }

  private void addRule(String id, String label, String help) {
    if (known.add(id)) {
      ObjectNode rule = rules.addObject().put("id", id);
      rule.putObject("shortDescription").put("text", label);
      rule.putObject("fullDescription").put("text", help);
    }
  }

  private static ObjectNode result(Path file, Finding finding, Located located) {
    String rule = finding.house().isEmpty() ? finding.rule().id() : finding.house();
    ObjectNode node = result(file, rule, finding.severity(), finding.detail());
    ArrayNode places = place(node, file);
    for (Spot spot : finding.spots()) {
      places.add(logical(located.name(spot), Located.kind(spot)));
    }
    node.putObject("partialFingerprints").put("mark/v1", finding.mark());
    return node;
  }

  private static ObjectNode result(Path file, String rule, Severity severity, String text) {
    ObjectNode node = NODES.objectNode().put("ruleId", rule).put("level", severity.id());
    node.putObject("message").put("text", text);
    return node;
  }

  /** Where it is; the list takes what is in the file. */
  private static ArrayNode place(ObjectNode result, Path file) {
    ObjectNode location = result.putArray("locations").addObject();
    location.putObject("physicalLocation").putObject("artifactLocation").put("uri", uri(file));
    return location.putArray("logicalLocations");
  }

  private static ObjectNode logical(String name, String kind) {
    return NODES.objectNode().put("fullyQualifiedName", name).put("kind", kind);
  }

  /** A path as it was given, so that a log does not tell where on a machine it was made. */
  private static String uri(Path file) {
    try {
      String path = file.toString().replace('\\', '/');
      return file.isAbsolute()
          ? file.toUri().toString()
          : new URI(null, null, path, null).toString();
    } catch (java.net.URISyntaxException strange) {
      return file.getFileName().toUri().toString();
    }
  }

  /** The whole log as text. */
  public String text() {
    return log().toPrettyString();
  }

  /** The whole log. */
  public ObjectNode log() {
    ObjectNode log = NODES.objectNode().put("$schema", SCHEMA).put("version", "2.1.0");
    ObjectNode run = log.putArray("runs").addObject();
    run.putObject("tool").putObject("driver").put("name", "dynamorph").set("rules", rules);
    run.set("results", results);
    return log;
  }
}
