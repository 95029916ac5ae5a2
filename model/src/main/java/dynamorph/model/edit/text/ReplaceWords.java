package dynamorph.model.edit.text;

import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.message.Messages;
import dynamorph.model.reach.WordSearch;
import dynamorph.model.text.TextRange;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
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
    Project project = before;
    for (Map.Entry<LayerId, List<TextRange>> places : byLayer.entrySet()) {
      // from the end, so that the places before stay where they are
      List<TextRange> ranges =
          places.getValue().stream()
              .sorted(Comparator.comparingInt(TextRange::start).reversed())
              .toList();
      project =
          project.mapLayers(
              Set.of(places.getKey()),
              layer -> {
                var story = layer.story();
                for (TextRange range : ranges) {
                  story = story.replace(range, replacement);
                }
                return layer.withStory(story);
              });
    }
    return project;
  }

  @Override
  public String label(Project before) {
    return Messages.of("replace-words.replace-words", hits.size());
  }
}
