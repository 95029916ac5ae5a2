package dynamorph.model;

import dynamorph.model.figure.Figure;
import dynamorph.model.property.Facet;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.Story;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * A text on an artboard, or a figure.
 *
 * @param story the words; a figure has none
 * @param figure what it shows instead of words
 * @param frame where it stands when no style places it: values of the Placement facet only. They
 *     are the layer's own and no local changes; the styles it follows come before them.
 * @param follows text styles, last added last
 * @param local local changes
 */
public record Layer(
    LayerId id,
    String name,
    Story story,
    Optional<Figure> figure,
    PropertySet frame,
    List<StyleId> follows,
    PropertySet local) {
  public Layer {
    Objects.requireNonNull(id, "id");
    Objects.requireNonNull(name, "name");
    Objects.requireNonNull(story, "story");
    follows = List.copyOf(follows);
    Objects.requireNonNull(local, "local");
    if (figure.isPresent() && !story.text().isEmpty()) {
      throw new IllegalArgumentException("a layer shows a figure or words, not both");
    }
    if (frame.keys().stream().anyMatch(key -> key.property().facet() != Facet.PLACEMENT)) {
      throw new IllegalArgumentException(
          "the frame of a layer holds placement only, got " + frame.keys());
    }
  }

  public static Layer of(String id, String name, String text) {
    return new Layer(
        new LayerId(id),
        name,
        Story.of(text),
        Optional.empty(),
        PropertySet.EMPTY,
        List.of(),
        PropertySet.EMPTY);
  }

  /** A layer that shows a figure. */
  public static Layer of(String id, String name, Figure figure) {
    return of(id, name, "").withFigure(Optional.of(figure));
  }

  public boolean isText() {
    return figure.isEmpty();
  }

  public Layer withId(LayerId changed) {
    return new Layer(changed, name, story, figure, frame, follows, local);
  }

  public Layer withName(String changed) {
    return new Layer(id, changed, story, figure, frame, follows, local);
  }

  public Layer withStory(Story changed) {
    return new Layer(id, name, changed, figure, frame, follows, local);
  }

  public Layer withFigure(Optional<Figure> changed) {
    return new Layer(id, name, story, changed, frame, follows, local);
  }

  public Layer withFrame(PropertySet changed) {
    return new Layer(id, name, story, figure, changed, follows, local);
  }

  public Layer withFollows(List<StyleId> changed) {
    return new Layer(id, name, story, figure, frame, changed, local);
  }

  public Layer withLocal(PropertySet changed) {
    return new Layer(id, name, story, figure, frame, follows, changed);
  }
}
