package dynamorph.formats.xliff;

import dynamorph.model.LayerId;
import dynamorph.model.text.Story;
import java.util.Map;

/**
 * What a translator gave back.
 *
 * @param language of the words, a BCP 47 tag
 * @param stories the texts with words in that language, those of them that are translated
 * @param translated how many paragraphs are
 * @param remarks what could not be taken over, a line each
 */
public record Translation(
    String language, Map<LayerId, Story> stories, int translated, java.util.List<String> remarks) {
  public Translation {
    stories = Map.copyOf(stories);
    remarks = java.util.List.copyOf(remarks);
  }
}
