package dynamorph.paint.survey;

import dynamorph.model.Asset;
import dynamorph.model.Project;
import dynamorph.model.edit.ChangeProject;
import dynamorph.model.reach.FontUse;
import dynamorph.model.reach.ImageUse;
import dynamorph.model.survey.ArtboardMemory;
import dynamorph.model.survey.Finding;
import dynamorph.model.survey.Findings;
import dynamorph.model.survey.Remedy;
import dynamorph.model.survey.Spot;
import dynamorph.model.survey.rule.Rule;
import dynamorph.model.survey.rule.RuleSet;
import dynamorph.paint.message.Messages;
import dynamorph.typeset.font.FontLibrary;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Fonts and images that travel with the project and that nothing asks for. */
final class AssetFindings implements Findings {
  private final ArtboardMemory<Set<String>> families = new ArtboardMemory<>();
  private final ArtboardMemory<Set<String>> images = new ArtboardMemory<>();

  /** The family that a font file holds, in lower case. */
  private final Map<Asset, String> familyOf = new IdentityHashMap<>();

  @Override
  public List<Finding> in(Project project, RuleSet rules) {
    List<Finding> found = new ArrayList<>();
    if (!rules.has(Rule.UNUSED_ASSET) || project.assets().isEmpty()) {
      return found;
    }
    Set<String> asked = new HashSet<>(FontUse.families(project.styles().list()));
    families.of(project, FontUse::families).forEach(asked::addAll);
    Set<String> shown = new HashSet<>(ImageUse.in(project.styles().list(), List.of()));
    images.of(project, board -> ImageUse.in(List.of(), List.of(board))).forEach(shown::addAll);
    // what the project does not carry any more is not kept for its name
    familyOf.keySet().removeIf(known -> project.assets().stream().noneMatch(one -> one == known));
    for (Asset asset : project.assets()) {
      boolean used =
          asset.isFont()
              ? asked.contains(family(asset))
              : !asset.isImage() || shown.contains(asset.shortName());
      if (!used) {
        found.add(unused(rules, asset));
      }
    }
    return found;
  }

  private String family(Asset font) {
    return familyOf.computeIfAbsent(
        font, one -> FontLibrary.familyOf(one.name(), one.bytes()).toLowerCase(Locale.ROOT));
  }

  private static Finding unused(RuleSet rules, Asset asset) {
    return new Finding(
        Rule.UNUSED_ASSET,
        rules.severity(Rule.UNUSED_ASSET),
        asset.shortName(),
        List.of(new Spot.OfAsset(asset.name())),
        Optional.of(
            new Remedy(
                Messages.of("survey.take-out"),
                new ChangeProject.RemoveAsset(asset.name()),
                false)));
  }
}
