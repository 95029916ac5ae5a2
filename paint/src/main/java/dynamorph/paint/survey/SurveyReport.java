package dynamorph.paint.survey;

import dynamorph.model.Project;
import dynamorph.model.survey.Finding;
import dynamorph.model.survey.hidden.HiddenStyle;
import dynamorph.model.survey.rule.Rule;
import dynamorph.model.survey.rule.RuleSet;
import dynamorph.model.survey.rule.Severity;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What a survey found.
 *
 * @param project the state that was looked at
 * @param hidden styles that hide, those that most would follow first; without those ignored
 * @param findings all else, the gravest first; without those ignored
 * @param ignored those that the project says to leave alone
 * @param texts how many texts there are
 * @param lookedAt how many of them have been painted and looked at
 */
public record SurveyReport(
    Project project,
    RuleSet rules,
    List<HiddenStyle> hidden,
    List<Finding> findings,
    List<Finding> ignored,
    int texts,
    int lookedAt) {
  public SurveyReport {
    hidden = List.copyOf(hidden);
    findings = List.copyOf(findings);
    ignored = List.copyOf(ignored);
  }

  /** Whether everything has been looked at. */
  public boolean isComplete() {
    return lookedAt >= texts;
  }

  /** The findings of each rule that found any, in the order of rules; a house rule on its own. */
  public Map<Kind, List<Finding>> byRule() {
    Map<Kind, List<Finding>> sorted = new LinkedHashMap<>();
    for (Rule rule : Rule.values()) {
      for (Finding finding : findings) {
        if (finding.rule() == rule) {
          sorted
              .computeIfAbsent(new Kind(rule, finding.house()), _ -> new ArrayList<>())
              .add(finding);
        }
      }
    }
    return sorted;
  }

  /**
   * What found something.
   *
   * @param house id of a house rule, or empty
   */
  public record Kind(Rule rule, String house) {
    /** What people call it. */
    public String label() {
      return house.isEmpty() ? rule.label() : house;
    }
  }

  /** How many findings weigh at least so much. */
  public long count(Severity least) {
    return findings.stream().filter(one -> one.severity().compareTo(least) <= 0).count();
  }

  /** How many pieces of text would follow the styles that hide. */
  public int hiddenPieces() {
    return hidden.stream().mapToInt(HiddenStyle::size).sum();
  }
}
