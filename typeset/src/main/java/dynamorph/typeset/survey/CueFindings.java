package dynamorph.typeset.survey;

import dynamorph.model.Project;
import dynamorph.model.survey.Finding;
import dynamorph.model.survey.Findings;
import dynamorph.model.survey.Spot;
import dynamorph.model.survey.rule.Rule;
import dynamorph.model.survey.rule.RuleSet;
import dynamorph.typeset.caption.CueChecks;
import dynamorph.typeset.caption.CueList;
import dynamorph.typeset.message.Messages;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Cues that go against the rules of their track. */
public final class CueFindings implements Findings {
  @Override
  public List<Finding> in(Project project, RuleSet rules) {
    List<Finding> found = new ArrayList<>();
    if (rules.has(Rule.CUE)) {
      project
          .films()
          .forEach(film ->
              film.timeline()
                  .orElseThrow()
                  .captions()
                  .flatMap(track -> CueChecks.of(CueList.of(film, track)).stream())
                  .forEach(problem ->
                      found.add(
                          new Finding(
                              Rule.CUE,
                              rules.severity(Rule.CUE),
                              Messages.of(
                                  "cue-findings.problem", problem.kind().label(), problem.detail()),
                              List.of(new Spot.InText(problem.cue())),
                              Optional.empty()))));
    }
    return found;
  }
}
