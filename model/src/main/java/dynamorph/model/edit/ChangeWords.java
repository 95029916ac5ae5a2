package dynamorph.model.edit;

import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.text.Story;
import dynamorph.model.value.Numbers;
import java.util.Map;

/**
 * Puts other words into texts.
 *
 * @param stories by layer; those that are gone are left out
 * @param verb what is done, such as {@code Break lines of}
 */
public record ChangeWords(Map<LayerId, Story> stories, String verb) implements Edit {
  public ChangeWords {
    stories = Map.copyOf(stories);
  }

  @Override
  public Project applyTo(Project before) {
    return before.mapLayers(
        stories.keySet(),
        layer -> {
          Story story = stories.get(layer.id());
          return story.equals(layer.story()) ? layer : layer.withStory(story);
        });
  }

  @Override
  public String label(Project before) {
    return verb + " " + Numbers.counted(stories.size(), "text");
  }
}
