package dynamorph.model.survey;

import dynamorph.model.cascade.CharacterLook;
import dynamorph.model.cascade.Coat;
import dynamorph.model.cascade.Paint;
import dynamorph.model.cascade.ResolvedLayer.ResolvedParagraph;
import dynamorph.model.message.Messages;
import dynamorph.model.survey.rule.Rule;
import dynamorph.model.survey.rule.RuleSet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.value.Rgba;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Letters that are made bold by a thin stroke in their own colour. */
public final class FinishFindings implements TextFindings {
  /** Of the size; a wider stroke is meant to be seen. */
  private static final double THIN = 0.06;

  @Override
  public List<Finding> in(SurveyedText text, RuleSet rules) {
    return rules.has(Rule.FAUX_BOLD) && isFauxBold(ofMost(text))
        ? List.of(
            new Finding(
                Rule.FAUX_BOLD,
                rules.severity(Rule.FAUX_BOLD),
                Messages.of("finish-findings.a-stroke-in-the-colour-of-the-fill"),
                List.of(new Spot.InText(text.layer())),
                Optional.empty()))
        : List.of();
  }

  /** The look of most letters; of two as frequent, the first. */
  private static CharacterLook ofMost(SurveyedText text) {
    List<CharacterLook> first = text.look().paragraphs().getFirst().spans();
    if (text.look().paragraphs().size() == 1 && first.size() == 1) {
      return first.getFirst();
    }
    Map<CharacterLook, Integer> letters = new LinkedHashMap<>();
    for (int index = 0; index < text.look().paragraphs().size(); index++) {
      ResolvedParagraph look = text.look().paragraphs().get(index);
      Paragraph paragraph = text.story().paragraphs().get(index);
      for (int span = 0; span < look.spans().size(); span++) {
        Span set = paragraph.spans().get(span);
        letters.merge(look.spans().get(span), set.text().strip().length(), Integer::sum);
      }
    }
    int most = letters.values().stream().mapToInt(Integer::intValue).max().orElse(0);
    return letters.entrySet().stream()
        .filter(entry -> entry.getValue() == most)
        .map(Map.Entry::getKey)
        .findFirst()
        .orElseThrow();
  }

  private static boolean isFauxBold(CharacterLook look) {
    List<Coat> coats = look.finish().coats();
    for (Coat stroke : coats) {
      boolean thin =
          stroke.shape() instanceof Coat.Stroke(double width, _, _, _, _, _)
              && width <= THIN * look.type().size();
      if (thin && stroke.paint() instanceof Paint.Solid(Rgba colour) && isFilled(coats, colour)) {
        return true;
      }
    }
    return false;
  }

  private static boolean isFilled(List<Coat> coats, Rgba colour) {
    return coats.stream()
        .anyMatch(coat ->
            coat.shape() instanceof Coat.Fill
                && coat.paint() instanceof Paint.Solid(Rgba own)
                && own.equals(colour));
  }
}
