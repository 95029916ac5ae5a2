package dynamorph.model.survey;

import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.cascade.DominantLook;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.survey.rule.Rule;
import dynamorph.model.survey.rule.RuleSet;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.Colour;
import dynamorph.model.value.PaintKind;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Letters that are made bold by a thin stroke in their own colour. */
public final class FinishFindings implements Findings {
  /** Of the size; a wider stroke is meant to be seen. */
  private static final double THIN = 0.06;

  @Override
  public List<Finding> in(Project project, RuleSet rules) {
    List<Finding> found = new ArrayList<>();
    if (!rules.has(Rule.FAUX_BOLD)) {
      return found;
    }
    Cascade cascade = Cascade.of(project);
    Map<PropertySet, Boolean> known = new HashMap<>();
    project
        .layers()
        .filter(Layer::isText)
        .filter(layer -> !layer.story().text().isBlank())
        .filter(layer ->
            known.computeIfAbsent(
                DominantLook.of(cascade, layer), look -> isFauxBold(cascade, look)))
        .forEach(layer ->
            found.add(
                new Finding(
                    Rule.FAUX_BOLD,
                    rules.severity(Rule.FAUX_BOLD),
                    Messages.of("finish-findings.a-stroke-in-the-colour-of-the-fill"),
                    List.of(new Spot.InText(layer.id())),
                    Optional.empty())));
    return found;
  }

  private static boolean isFauxBold(Cascade cascade, PropertySet look) {
    List<Address> coats =
        Coats.of(look, Address.FINISH).stream()
            .filter(coat -> Coats.value(look, Properties.COAT_SHOWN.at(coat)))
            .filter(coat -> Coats.value(look, Properties.COAT_PAINT.at(coat)) == PaintKind.SOLID)
            .toList();
    for (Address stroke : coats) {
      boolean thin =
          Coats.value(look, Properties.COAT_KIND.at(stroke)) == CoatKind.STROKE
              && Coats.value(look, Properties.STROKE_WIDTH.at(stroke)).toPoints(size(look))
                  <= THIN * size(look);
      for (Address fill : coats) {
        boolean ofFill =
            thin
                && Coats.value(look, Properties.COAT_KIND.at(fill)) == CoatKind.FILL
                && colour(look, fill, cascade).equals(colour(look, stroke, cascade));
        if (ofFill) {
          return true;
        }
      }
    }
    return false;
  }

  private static double size(PropertySet look) {
    return Coats.value(look, Properties.SIZE.key()).over(0);
  }

  private static Object colour(PropertySet look, Address coat, Cascade cascade) {
    Colour colour = Coats.value(look, Properties.COAT_COLOUR.at(coat));
    return cascade.colour(colour);
  }
}
