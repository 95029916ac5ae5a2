package dynamorph.model.survey.rule;

import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * How a rule set changes a rule.
 *
 * @param severity another than the usual one
 * @param limits others than the usual ones, by their ids
 */
public record RuleSetting(Optional<Severity> severity, SortedMap<String, Double> limits) {
  public static final RuleSetting USUAL = new RuleSetting(Optional.empty(), new TreeMap<>());

  public RuleSetting {
    limits = Collections.unmodifiableSortedMap(new TreeMap<>(limits));
  }

  public RuleSetting withSeverity(Severity changed) {
    return new RuleSetting(Optional.of(changed), limits);
  }

  public RuleSetting withLimit(String id, double value) {
    Map<String, Double> changed = new TreeMap<>(limits);
    changed.put(id, value);
    return new RuleSetting(severity, new TreeMap<>(changed));
  }
}
