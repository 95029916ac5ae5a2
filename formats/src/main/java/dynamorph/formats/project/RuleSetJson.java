package dynamorph.formats.project;

import dynamorph.formats.message.Messages;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.reach.LayerQuery;
import dynamorph.model.survey.rule.HouseRule;
import dynamorph.model.survey.rule.Ignored;
import dynamorph.model.survey.rule.Rule;
import dynamorph.model.survey.rule.RuleSet;
import dynamorph.model.survey.rule.RuleSetting;
import dynamorph.model.survey.rule.Severity;
import dynamorph.model.survey.rule.SurveySettings;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** What a survey looks for, as documents say it. */
final class RuleSetJson {
  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

  private RuleSetJson() {}

  static ObjectNode node(SurveySettings settings) {
    ObjectNode node = NODES.objectNode();
    if (!settings.rules().equals(RuleSet.USUAL)) {
      node.set(Names.RULES, node(settings.rules()));
    }
    if (!settings.ignored().isEmpty()) {
      ArrayNode ignored = node.putArray(Names.IGNORED);
      for (Ignored one : settings.ignored()) {
        ignored.addObject().put(Names.MARK, one.mark()).put(Names.NOTE, one.note());
      }
    }
    return node;
  }

  static ObjectNode node(RuleSet rules) {
    ObjectNode node = NODES.objectNode().put(Names.NAME, rules.name());
    if (!rules.settings().isEmpty()) {
      ObjectNode settings = node.putObject(Names.RULES);
      rules
          .settings()
          .forEach((rule, setting) -> {
            ObjectNode one = settings.putObject(rule.id());
            setting.severity().ifPresent(severity -> one.put(Names.SEVERITY, severity.id()));
            if (!setting.limits().isEmpty()) {
              ObjectNode limits = one.putObject(Names.LIMITS);
              setting.limits().forEach(limits::put);
            }
          });
    }
    if (!rules.house().isEmpty()) {
      ArrayNode house = node.putArray(Names.HOUSE_RULES);
      for (HouseRule rule : rules.house()) {
        ObjectNode one =
            house
                .addObject()
                .put(Names.ID, rule.id())
                .put(Names.QUERY, rule.query())
                .put(Names.MESSAGE, rule.message())
                .put(Names.SEVERITY, rule.severity().id());
        if (!rule.mending().isEmpty()) {
          one.set(Names.MENDING, PropertyJson.write(rule.mending()));
        }
      }
    }
    return node;
  }

  static SurveySettings settings(JsonCursor cursor) {
    cursor.only(Names.RULES, Names.IGNORED);
    return new SurveySettings(
        cursor.find(Names.RULES).map(RuleSetJson::rules).orElse(RuleSet.USUAL),
        cursor.find(Names.IGNORED).map(list -> list.items(RuleSetJson::ignored)).orElse(List.of()));
  }

  private static Ignored ignored(JsonCursor cursor) {
    cursor.only(Names.MARK, Names.NOTE);
    return new Ignored(
        cursor.field(Names.MARK).text(), cursor.find(Names.NOTE).map(JsonCursor::text).orElse(""));
  }

  static RuleSet rules(JsonCursor cursor) {
    cursor.only(Names.NAME, Names.RULES, Names.HOUSE_RULES);
    Map<Rule, RuleSetting> settings = new EnumMap<>(Rule.class);
    cursor
        .find(Names.RULES)
        .ifPresent(rules -> {
          for (Map.Entry<String, JsonCursor> entry : rules.fields()) {
            Rule rule =
                entry
                    .getValue()
                    .checked(() ->
                        Rule.of(entry.getKey())
                            .orElseThrow(() ->
                                new IllegalArgumentException(
                                    Messages.of(
                                        "rule-set-json.no-such-rule",
                                        entry.getKey(),
                                        String.join(
                                            ", ",
                                            Arrays.stream(Rule.values())
                                                .map(Rule::id)
                                                .toList())))));
            settings.put(rule, setting(entry.getValue()));
          }
        });
    return cursor.checked(() ->
        new RuleSet(
            cursor.find(Names.NAME).map(JsonCursor::text).orElse(""),
            settings,
            cursor
                .find(Names.HOUSE_RULES)
                .map(list -> list.items(RuleSetJson::house))
                .orElse(List.of())));
  }

  private static RuleSetting setting(JsonCursor cursor) {
    cursor.only(Names.SEVERITY, Names.LIMITS);
    TreeMap<String, Double> limits = new TreeMap<>();
    cursor
        .find(Names.LIMITS)
        .ifPresent(list -> {
          for (Map.Entry<String, JsonCursor> entry : list.fields()) {
            limits.put(entry.getKey(), entry.getValue().number());
          }
        });
    Optional<Severity> severity = cursor.find(Names.SEVERITY).map(RuleSetJson::severity);
    return new RuleSetting(severity, limits);
  }

  private static Severity severity(JsonCursor cursor) {
    return cursor.checked(() ->
        Severity.of(cursor.text())
            .orElseThrow(() ->
                new IllegalArgumentException(
                    Messages.of("rule-set-json.no-such-severity", cursor.text()))));
  }

  private static PropertySet values(JsonCursor cursor) {
    PropertySet values = PropertySet.EMPTY;
    for (Map.Entry<String, JsonCursor> entry : cursor.fields()) {
      values = with(values, entry.getKey(), entry.getValue());
    }
    return values;
  }

  private static PropertySet with(PropertySet values, String path, JsonCursor cursor) {
    return cursor.checked(() -> decoded(values, Properties.key(path), cursor.scalar()));
  }

  private static <T> PropertySet decoded(PropertySet values, PropertyKey<T> key, Object plain) {
    return values.with(key, key.property().type().decode(plain));
  }

  private static HouseRule house(JsonCursor cursor) {
    cursor.only(Names.ID, Names.QUERY, Names.MESSAGE, Names.SEVERITY, Names.MENDING);
    JsonCursor query = cursor.field(Names.QUERY);
    query.checked(() -> LayerQuery.parse(query.text()));
    return cursor.checked(() ->
        new HouseRule(
            cursor.field(Names.ID).text(),
            query.text(),
            cursor.field(Names.MESSAGE).text(),
            cursor.find(Names.SEVERITY).map(RuleSetJson::severity).orElse(Severity.ERROR),
            cursor.find(Names.MENDING).map(RuleSetJson::values).orElse(PropertySet.EMPTY)));
  }
}
