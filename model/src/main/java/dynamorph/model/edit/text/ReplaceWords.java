package dynamorph.model.edit.text;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.message.Messages;
import dynamorph.model.reach.WordSearch;
import dynamorph.model.text.Story;
import dynamorph.model.text.TextRange;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * Puts other words in many places at once; each takes the look of what it replaces.
 *
 * @param hits places that do not overlap
 */
public record ReplaceWords(List<WordSearch.Hit> hits, String replacement) implements Edit {
  public ReplaceWords {
    hits = List.copyOf(hits);
  }

  @Override
  public Project applyTo(Project before) {
    Map<LayerId, List<TextRange>> byLayer =
        hits.stream()
            .collect(
                Collectors.groupingBy(
                    WordSearch.Hit::layer,
                    LinkedHashMap::new,
                    Collectors.mapping(WordSearch.Hit::range, Collectors.toList())));
    return before.mapLayers(
        byLayer.keySet(),
        layer -> layer.withStory(replaced(layer, byLayer.getOrDefault(layer.id(), List.of()))));
  }

  /** From the end, so that the places before stay where they are. */
  private Story replaced(Layer layer, List<TextRange> places) {
    Story story = layer.story();
    for (TextRange place :
        places.stream().sorted(Comparator.comparingInt(TextRange::start).reversed()).toList()) {
      story = story.replace(place, replacement);
    }
    return story;
  }

  @Override
  public String label(Project before) {
    return Messages.of("replace-words.replace-words", hits.size());
  }
}
