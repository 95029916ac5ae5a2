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
public record Layer(
    LayerId id,
    String name,
    Story story,
    PropertySet frame,
    List<StyleId> follows,
    PropertySet local) {
  public Layer {
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

  public static Layer of(String id, String name, String text) {
    return new Layer(
        new LayerId(id), name, Story.of(text), PropertySet.EMPTY, List.of(), PropertySet.EMPTY);
  }

  public Layer withId(LayerId changed) {
    return new Layer(changed, name, story, frame, follows, local);
  }

  public Layer withName(String changed) {
    return new Layer(id, changed, story, frame, follows, local);
  }

  public Layer withStory(Story changed) {
    return new Layer(id, name, changed, frame, follows, local);
  }

  public Layer withFrame(PropertySet changed) {
    return new Layer(id, name, story, changed, follows, local);
  }

  public Layer withFollows(List<StyleId> changed) {
    return new Layer(id, name, story, frame, changed, local);
  }

  public Layer withLocal(PropertySet changed) {
    return new Layer(id, name, story, frame, follows, changed);
  }
}
