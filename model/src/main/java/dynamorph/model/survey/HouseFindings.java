package dynamorph.model.survey;

import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.layer.SetValues;
import dynamorph.model.message.Messages;
import dynamorph.model.reach.LayerQuery;
import dynamorph.model.survey.rule.HouseRule;
import dynamorph.model.survey.rule.Rule;
import dynamorph.model.survey.rule.RuleSet;
import dynamorph.model.survey.rule.Severity;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** Texts that the house's own rules choose. */
public final class HouseFindings implements Findings {
  private final Map<String, ArtboardMemory<List<LayerId>>> chosen = new HashMap<>();
  private Optional<Cascade> known = Optional.empty();

  @Override
  public List<Finding> in(Project project, RuleSet rules) {
    List<Finding> found = new ArrayList<>();
    Cascade cascade =
        known.map(before -> before.follow(project)).orElseGet(() -> Cascade.of(project));
    if (known.filter(before -> before == cascade).isEmpty()) {
      chosen.clear();
      known = Optional.of(cascade);
    }
    for (HouseRule rule : rules.has(Rule.HOUSE) ? rules.house() : List.<HouseRule>of()) {
      if (rule.severity() != Severity.OFF) {
        LayerQuery query = LayerQuery.parse(rule.query());
        chosen
            .computeIfAbsent(rule.query(), _ -> new ArtboardMemory<>())
            .of(project, board -> query.in(project, cascade, board))
            .stream()
            .flatMap(List::stream)
            .forEach(id ->
                found.add(
                    new Finding(
                        Rule.HOUSE,
                        rule.id(),
                        rule.severity(),
                        rule.message(),
                        List.of(new Spot.InText(id)),
                        remedy(rule, id))));
      }
    }
    return found;
  }

  private static Optional<Remedy> remedy(HouseRule rule, LayerId id) {
    return rule.mending().isEmpty()
        ? Optional.empty()
        : Optional.of(
            new Remedy(
                Messages.of(
                    "house-findings.set",
                    rule.mending().keys().stream()
                        .map(key -> key.property().label())
                        .collect(Collectors.joining(", "))),
                SetValues.of(new Target.Layers(List.of(id)), rule.mending()),
                true));
  }
}
