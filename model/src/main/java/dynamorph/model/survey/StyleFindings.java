package dynamorph.model.survey;

import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.style.DeleteStyles;
import dynamorph.model.edit.style.MergeStyles;
import dynamorph.model.message.Messages;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.reach.Followers;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.survey.rule.Rule;
import dynamorph.model.survey.rule.RuleSet;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Styles that are nearly the same, and styles that nothing follows. */
public final class StyleFindings implements Findings {
  private Optional<Followers> known = Optional.empty();
  private Optional<Alike> alike = Optional.empty();

  /**
   * Which styles look nearly the same; it does not depend on who follows them.
   *
   * @param groups for each that has any like it, all of them
   * @param differing for each the values in which any like it differs
   */
  private record Alike(
      StyleBook styles,
      Palette palette,
      Optional<StyleId> base,
      Map<StyleId, Set<StyleId>> groups,
      Map<StyleId, Set<PropertyKey<?>>> differing) {
    boolean isOf(Project project) {
      return styles == project.styles()
          && palette == project.palette()
          && base.equals(project.baseStyle());
    }
  }

  @Override
  public List<Finding> in(Project project, RuleSet rules) {
    List<Finding> found = new ArrayList<>();
    Followers followers =
        known.map(before -> before.follow(project)).orElseGet(() -> Followers.of(project));
    known = Optional.of(followers);
    if (rules.has(Rule.NEAR_STYLES)) {
      near(project, followers, rules, found);
    }
    if (rules.has(Rule.UNUSED_STYLE)) {
      for (Style style : followers.unused()) {
        found.add(
            new Finding(
                Rule.UNUSED_STYLE,
                rules.severity(Rule.UNUSED_STYLE),
                style.name(),
                List.of(new Spot.OfStyle(style.id())),
                Optional.of(
                    new Remedy(
                        Messages.of("findings.delete"),
                        new DeleteStyles(
                            new LinkedHashSet<>(List.of(style.id())), Optional.empty()),
                        false))));
      }
    }
    return found;
  }

  private static Alike alike(Project project) {
    Map<StyleId, Set<StyleId>> groups = new HashMap<>();
    Map<StyleId, Set<PropertyKey<?>>> differing = new HashMap<>();
    Cascade cascade = Cascade.of(project);
    for (Style style : project.styles().list()) {
      for (StyleSimilarity.Alike alike : StyleSimilarity.of(project, cascade, style)) {
        Set<StyleId> joined = new LinkedHashSet<>(Set.of(style.id(), alike.style().id()));
        joined.addAll(groups.getOrDefault(style.id(), Set.of()));
        joined.addAll(groups.getOrDefault(alike.style().id(), Set.of()));
        joined.forEach(id -> groups.put(id, joined));
        differing
            .computeIfAbsent(style.id(), _ -> new LinkedHashSet<>())
            .addAll(alike.differences());
      }
    }
    return new Alike(project.styles(), project.palette(), project.baseStyle(), groups, differing);
  }

  private void near(Project project, Followers followers, RuleSet rules, List<Finding> found) {
    Alike now = alike.filter(before -> before.isOf(project)).orElseGet(() -> alike(project));
    alike = Optional.of(now);
    Set<StyleId> told = new LinkedHashSet<>();
    for (Style style : project.styles().list()) {
      Set<StyleId> group = now.groups.getOrDefault(style.id(), Set.of());
      if (!group.isEmpty() && told.add(style.id())) {
        told.addAll(group);
        found.add(nearOnes(project, followers, rules, group, now.differing));
      }
    }
  }

  private static Finding nearOnes(
      Project project,
      Followers followers,
      RuleSet rules,
      Set<StyleId> group,
      Map<StyleId, Set<PropertyKey<?>>> differing) {
    List<Style> styles =
        group.stream()
            .map(project.styles()::get)
            .sorted(
                Comparator.comparingInt((Style style) -> -followers.count(style.id()).all())
                    .thenComparing(Style::name))
            .toList();
    Style kept = styles.getFirst();
    List<StyleId> others = styles.stream().skip(1).map(Style::id).toList();
    Set<String> values = new LinkedHashSet<>();
    group.forEach(
        id -> differing.getOrDefault(id, Set.of()).forEach(key -> values.add(key.label())));
    String names = styles.stream().map(Style::name).collect(Collectors.joining(", "));
    return new Finding(
        Rule.NEAR_STYLES,
        rules.severity(Rule.NEAR_STYLES),
        values.isEmpty()
            ? Messages.of("style-findings.look-the-same", names)
            : Messages.of("style-findings.differ-in", names, String.join(", ", values)),
        styles.stream().<Spot>map(style -> new Spot.OfStyle(style.id())).toList(),
        Optional.of(
            new Remedy(
                Messages.of("style-findings.merge-into", kept.name()),
                new MergeStyles(kept.id(), others),
                !values.isEmpty())));
  }
}
