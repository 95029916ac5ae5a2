package dynamorph.model.flow;

import static java.util.Objects.requireNonNull;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Story;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Where the words of a text with several boxes are kept: in the first of them. */
public final class BoxWords {
  private BoxWords() {}

  /** A box that holds no words any more. */
  public static Layer without(Layer box) {
    return box.withStory(Story.of(""))
        .withFollows(List.of())
        .withMuted(Set.of())
        .withLocal(ofBox(box.local()));
  }

  /** A box with the words of another, and with what they follow; it stays where it is. */
  public static Layer moved(Layer from, Layer to, Story story) {
    return from.id().equals(to.id())
        ? to.withStory(story)
        : to.withStory(story)
            .withFollows(from.follows())
            .withMuted(from.muted())
            .withLocal(from.local().where(key -> !isOfBox(key)).overlaidBy(ofBox(to.local())));
  }

  private static PropertySet ofBox(PropertySet local) {
    return local.where(BoxWords::isOfBox);
  }

  private static boolean isOfBox(PropertyKey<?> key) {
    return !key.countsOn(dynamorph.model.property.Level.PARAGRAPH);
  }

  /**
   * The project after some boxes went: each text whose boxes are not all gone keeps its words,
   * which flow through those that are left.
   */
  public static Project kept(Project before, Project after) {
    LinkedBoxes links = LinkedBoxes.of(before);
    if (links.isEmpty()) {
      return after;
    }
    Map<LayerId, Optional<LayerId>> continued = new HashMap<>();
    Map<LayerId, Layer> holders = new HashMap<>();
    for (List<LayerId> chain : links.chains()) {
      List<LayerId> left = chain.stream().filter(id -> after.layer(id).isPresent()).toList();
      if (left.isEmpty() || left.size() == chain.size()) {
        continue;
      }
      continued.put(left.getFirst(), Optional.empty());
      for (int index = 1; index < left.size(); index++) {
        continued.put(left.get(index), Optional.of(left.get(index - 1)));
      }
      if (!left.getFirst().equals(chain.getFirst())) {
        holders.put(left.getFirst(), before.layer(chain.getFirst()).orElseThrow());
      }
    }
    return after.mapLayers(
        continued.keySet(),
        box -> {
          Layer linked = box.withContinues(requireNonNull(continued.get(box.id())));
          Layer holder = holders.get(box.id());
          return holder == null ? linked : moved(holder, linked, holder.story());
        });
  }
}
