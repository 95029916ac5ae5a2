package dynamorph.model.survey.rule;

import java.util.ArrayList;
import java.util.List;

/**
 * What a project says about its survey.
 *
 * @param rules what it wants to hold
 * @param ignored findings that are to stay; no two of one mark
 */
public record SurveySettings(RuleSet rules, List<Ignored> ignored) {
  public static final SurveySettings USUAL = new SurveySettings(RuleSet.USUAL, List.of());

  public SurveySettings {
    ignored = List.copyOf(ignored);
  }

  public SurveySettings withRules(RuleSet changed) {
    return new SurveySettings(changed, ignored);
  }

  /** With a finding ignored; one that was so already takes the note. */
  public SurveySettings ignoring(Ignored one) {
    List<Ignored> changed = new ArrayList<>(ignored);
    changed.removeIf(other -> other.mark().equals(one.mark()));
    changed.add(one);
    return new SurveySettings(rules, changed);
  }

  /** With a finding told again. */
  public SurveySettings telling(String mark) {
    return new SurveySettings(
        rules, ignored.stream().filter(one -> !one.mark().equals(mark)).toList());
  }

  public boolean isIgnored(String mark) {
    return ignored.stream().anyMatch(one -> one.mark().equals(mark));
  }
}
