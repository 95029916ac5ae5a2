package dynamorph.formats.project;

import dynamorph.model.survey.rule.Rule;
import dynamorph.model.survey.rule.Severity;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** The shape of what a survey looks for. */
final class RuleSetSchema {
  private RuleSetSchema() {}

  /** What a project says about its survey. */
  static ObjectNode settings() {
    ObjectNode ignored = JsonNodeFactory.instance.objectNode();
    ProjectSchema.fields(
        ignored,
        Map.of(Names.MARK, ProjectSchema.text(), Names.NOTE, ProjectSchema.text()),
        List.of(Names.MARK));
    ObjectNode schema = JsonNodeFactory.instance.objectNode();
    ProjectSchema.fields(
        schema,
        Map.of(
            Names.RULES,
            rules(JsonNodeFactory.instance.objectNode()),
            Names.IGNORED,
            ProjectSchema.list(ignored)),
        List.of());
    return schema;
  }

  /** A rule set in a file of its own. */
  static ObjectNode document() {
    ObjectNode schema =
        rules(ProjectSchema.document("What a survey looks for, for a house or a client."));
    schema.putObject("$defs").set("properties", ProjectSchema.properties());
    return schema;
  }

  private static ObjectNode rules(ObjectNode schema) {
    List<String> severities = Arrays.stream(Severity.values()).map(Severity::id).toList();
    Map<String, ObjectNode> rules = new LinkedHashMap<>();
    for (Rule rule : Rule.values()) {
      rules.put(rule.id(), rule(rule, severities));
    }
    ObjectNode ofRules = JsonNodeFactory.instance.objectNode();
    ProjectSchema.fields(ofRules, rules, List.of());
    ObjectNode house = JsonNodeFactory.instance.objectNode();
    ProjectSchema.fields(
        house,
        Map.of(
            Names.ID, ProjectSchema.pattern("^[a-z0-9][a-z0-9-]*$"),
            Names.QUERY, ProjectSchema.text(),
            Names.MESSAGE, ProjectSchema.text(),
            Names.SEVERITY, ProjectSchema.choice(severities),
            Names.MENDING, ProjectSchema.reference()),
        List.of(Names.ID, Names.QUERY, Names.MESSAGE));
    ProjectSchema.fields(
        schema,
        Map.of(
            Names.NAME, ProjectSchema.text(),
            Names.RULES, ofRules,
            Names.HOUSE_RULES, ProjectSchema.list(house)),
        List.of());
    return schema;
  }

  private static ObjectNode rule(Rule rule, List<String> severities) {
    Map<String, ObjectNode> limits = new LinkedHashMap<>();
    for (Rule.Limit limit : rule.limits()) {
      limits.put(limit.id(), ProjectSchema.number(limit.least(), limit.most()));
    }
    ObjectNode ofLimits = JsonNodeFactory.instance.objectNode();
    ProjectSchema.fields(ofLimits, limits, List.of());
    ObjectNode schema = JsonNodeFactory.instance.objectNode();
    ProjectSchema.fields(
        schema,
        Map.of(Names.SEVERITY, ProjectSchema.choice(severities), Names.LIMITS, ofLimits),
        List.of());
    return schema.put("description", rule.help());
  }
}
