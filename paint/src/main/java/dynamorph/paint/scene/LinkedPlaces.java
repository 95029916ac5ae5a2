package dynamorph.paint.scene;

import static java.util.Objects.requireNonNull;

import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.flow.LinkedBoxes;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * The boxes of the texts that flow through several, in their places: what stands in one depends on
 * those before it, which may lie on other artboards. A box that is hidden keeps its words.
 */
record LinkedPlaces(Map<ArtboardId, Map<LayerId, PlacedLayer>> byArtboard) {
  static final LinkedPlaces NONE = new LinkedPlaces(Map.of());

  private record Standing(Artboard artboard, Layer layer) {}

  /**
   * @param before those of an earlier state, whose boxes are used again where they still hold
   */
  static LinkedPlaces of(Project project, Cascade cascade, SceneMaker maker, LinkedPlaces before) {
    LinkedBoxes links = LinkedBoxes.of(project);
    if (links.isEmpty()) {
      return NONE;
    }
    Map<LayerId, Standing> standing = new HashMap<>();
    for (Artboard artboard : project.artboards()) {
      for (Layer layer : artboard.layers()) {
        standing.put(layer.id(), new Standing(artboard, layer));
      }
    }
    Map<ArtboardId, Map<LayerId, PlacedLayer>> placed = new HashMap<>();
    for (List<LayerId> chain : links.chains()) {
      Layer text = requireNonNull(standing.get(chain.getFirst())).layer;
      Layer dressed = cascade.dressed(text);
      @Nullable PlacedLayer ahead = null;
      for (LayerId id : chain) {
        Standing box = requireNonNull(standing.get(id));
        ResolvedLayer look =
            (ahead == null ? cascade.resolve(text) : cascade.resolve(box.layer, text))
                .on(box.artboard.width(), box.artboard.height());
        ahead =
            PlacedLayer.linked(
                box.artboard,
                box.layer,
                ahead == null ? dressed : box.layer.withStory(dressed.story()),
                look,
                maker,
                ahead,
                !id.equals(chain.getLast()),
                before.on(box.artboard).get(id));
        placed.computeIfAbsent(box.artboard.id(), _ -> new HashMap<>()).put(id, ahead);
      }
    }
    return new LinkedPlaces(placed);
  }

  /** The boxes on an artboard that are some of several of their text. */
  Map<LayerId, PlacedLayer> on(Artboard artboard) {
    return byArtboard.getOrDefault(artboard.id(), Map.of());
  }
}
