package dynamorph.model;

import dynamorph.model.property.Facet;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.Story;
import java.util.List;
import java.util.Objects;

/**
 * A text on an artboard.
 *
 * @param frame where it stands when no style places it: values of the Placement facet only. They
 *     are the layer's own and no local changes; the styles it follows come before them.
 * @param follows text styles, last added last
 * @param local local changes
 */
public record TextLayer(
    LayerId id,
    String name,
    Story story,
    PropertySet frame,
    List<StyleId> follows,
    PropertySet local) {
  public TextLayer {
    Objects.requireNonNull(id, "id");
    Objects.requireNonNull(name, "name");
    Objects.requireNonNull(story, "story");
    follows = List.copyOf(follows);
    Objects.requireNonNull(local, "local");
    if (frame.keys().stream().anyMatch(key -> key.property().facet() != Facet.PLACEMENT)) {
      throw new IllegalArgumentException(
          "the frame of a layer holds placement only, got " + frame.keys());
    }
  }

  public static TextLayer of(String id, String name, String text) {
    return new TextLayer(
        new LayerId(id), name, Story.of(text), PropertySet.EMPTY, List.of(), PropertySet.EMPTY);
  }

  public TextLayer withId(LayerId changed) {
    return new TextLayer(changed, name, story, frame, follows, local);
  }

  public TextLayer withName(String changed) {
    return new TextLayer(id, changed, story, frame, follows, local);
  }

  public TextLayer withStory(Story changed) {
    return new TextLayer(id, name, changed, frame, follows, local);
  }

  public TextLayer withFrame(PropertySet changed) {
    return new TextLayer(id, name, story, changed, follows, local);
  }

  public TextLayer withFollows(List<StyleId> changed) {
    return new TextLayer(id, name, story, frame, changed, local);
  }

  public TextLayer withLocal(PropertySet changed) {
    return new TextLayer(id, name, story, frame, follows, changed);
  }
}
