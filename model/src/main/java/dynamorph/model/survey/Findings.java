package dynamorph.model.survey;

import dynamorph.model.Project;
import dynamorph.model.survey.rule.RuleSet;
import java.util.List;

/** Looks for what one or some rules are about. */
@FunctionalInterface
public interface Findings {
  /** What is found in a project, in the order of the project. */
  List<Finding> in(Project project, RuleSet rules);
}
