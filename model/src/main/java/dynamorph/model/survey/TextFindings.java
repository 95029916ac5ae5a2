package dynamorph.model.survey;

import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.survey.rule.RuleSet;
import java.util.List;

/**
 * Looks for what one or some rules are about in one text at a time; what is found does not depend
 * on other texts. Safe on any thread.
 */
public interface TextFindings extends Findings {
  /** What is found in one text, in the order of its words. */
  List<Finding> in(SurveyedText text, RuleSet rules);

  @Override
  default List<Finding> in(Project project, RuleSet rules) {
    Cascade cascade = Cascade.of(project);
    return project
        .layers()
        .filter(Layer::isText)
        .filter(layer -> !layer.story().text().isBlank())
        .flatMap(layer -> in(SurveyedText.of(project, cascade, layer), rules).stream())
        .toList();
  }
}
