package dynamorph.model.edit.text;

import static java.util.Objects.requireNonNull;

import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.message.Messages;
import dynamorph.model.text.Story;
import java.util.Map;

/**
 * Puts other words into texts.
 *
 * @param stories by layer; those that are gone are left out
 * @param verb what is done, such as {@code Break lines of}
 */
public record ReplaceStories(Map<LayerId, Story> stories, String verb) implements Edit {
  public ReplaceStories {
    stories = Map.copyOf(stories);
  }

  @Override
  public Project applyTo(Project before) {
    return before.mapLayers(
        stories.keySet(),
        layer -> {
          Story story = requireNonNull(stories.get(layer.id()));
          return story.equals(layer.story()) ? layer : layer.withStory(story);
        });
  }

  @Override
  public String label(Project before) {
    return Messages.of("replace-stories.text", verb, stories.size());
  }
}
