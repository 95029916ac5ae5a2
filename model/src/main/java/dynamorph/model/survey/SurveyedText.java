package dynamorph.model.survey;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.text.Story;
import java.util.Set;

/**
 * A text as a survey reads it.
 *
 * @param words that are right in the project whatever a dictionary says
 * @param story as it is set, of as many spans as the look has
 */
public record SurveyedText(Set<String> words, LayerId layer, Story story, ResolvedLayer look) {
  public static SurveyedText of(Project project, Cascade cascade, Layer layer) {
    return new SurveyedText(
        project.words(), layer.id(), cascade.dressed(layer).story(), cascade.resolve(layer));
  }

  /** The language of the letter behind an offset, a BCP 47 tag. */
  public String languageAt(int offset) {
    int paragraph = story.paragraphAt(offset);
    return look.paragraphs()
        .get(paragraph)
        .languageAt(story.paragraphs().get(paragraph), offset - story.startOf(paragraph));
  }
}
