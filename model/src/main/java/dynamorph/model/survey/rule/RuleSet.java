package dynamorph.model.survey.rule;

import dynamorph.model.message.Messages;
import dynamorph.model.value.Numbers;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * What a project or a house wants to hold.
 *
 * @param name what people call it; empty for the usual rules
 * @param settings the rules that are not as usual
 * @param house rules of its own; no two have one id
 */
public record RuleSet(String name, Map<Rule, RuleSetting> settings, List<HouseRule> house) {
  /** Every rule as usual. */
  public static final RuleSet USUAL = new RuleSet("", Map.of(), List.of());

  public RuleSet {
    Map<Rule, RuleSetting> ordered = new EnumMap<>(Rule.class);
    settings.forEach((rule, setting) -> {
      if (!setting.equals(RuleSetting.USUAL)) {
        ordered.put(rule, setting);
      }
      setting.limits().forEach((id, value) -> check(rule, id, value));
    });
    settings = Collections.unmodifiableMap(ordered);
    house = List.copyOf(house);
    if (house.stream().map(HouseRule::id).distinct().count() < house.size()) {
      throw new IllegalArgumentException(Messages.of("rule-set.two-rules-have-one-id"));
    }
  }

  private static void check(Rule rule, String id, double value) {
    Rule.Limit limit =
        rule.limit(id)
            .orElseThrow(() ->
                new IllegalArgumentException(
                    Messages.of(
                        "rule-set.has-no-such-limit",
                        rule.id(),
                        id,
                        String.join(", ", rule.limits().stream().map(Rule.Limit::id).toList()))));
    if (!(value >= limit.least() && value <= limit.most())) {
      throw new IllegalArgumentException(
          Messages.of(
              "rule-set.a-limit-is-out-of-range",
              rule.id(),
              id,
              Numbers.format(limit.least()),
              Numbers.format(limit.most()),
              Numbers.format(value)));
    }
  }

  /** How much what a rule finds weighs. */
  public Severity severity(Rule rule) {
    return settings.getOrDefault(rule, RuleSetting.USUAL).severity().orElse(rule.severity());
  }

  /** Whether a rule is looked at. */
  public boolean has(Rule rule) {
    return severity(rule) != Severity.OFF;
  }

  /** A limit of a rule. */
  public double limit(Rule rule, String id) {
    Double own = settings.getOrDefault(rule, RuleSetting.USUAL).limits().get(id);
    return own != null ? own : rule.limit(id).orElseThrow().usual();
  }

  public RuleSet with(Rule rule, RuleSetting setting) {
    Map<Rule, RuleSetting> changed = new EnumMap<>(Rule.class);
    changed.putAll(settings);
    changed.put(rule, setting);
    return new RuleSet(name, changed, house);
  }

  public RuleSet with(HouseRule rule) {
    List<HouseRule> changed = new ArrayList<>(house);
    changed.removeIf(one -> one.id().equals(rule.id()));
    changed.add(rule);
    return new RuleSet(name, settings, changed);
  }
}
