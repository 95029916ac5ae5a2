package dynamorph.formats.survey;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.style.Style;
import dynamorph.model.style.Swatch;
import dynamorph.model.survey.Spot;
import java.util.HashMap;
import java.util.Map;

/** Says in words where the spots of findings are. */
final class Located {
  private record Place(Artboard board, Layer layer) {}

  private final Project project;
  private final Map<LayerId, Place> places = new HashMap<>();

  Located(Project project) {
    this.project = project;
    for (Artboard board : project.artboards()) {
      board.layers().forEach(layer -> places.put(layer.id(), new Place(board, layer)));
    }
  }

  /** What people call a spot: {@code Entrance panel / Title}. */
  String name(Spot spot) {
    return switch (spot) {
      case Spot.InText(LayerId id, var _) -> name(id);
      case Spot.OfStyle(var id) -> project.styles().find(id).map(Style::name).orElse(id.value());
      case Spot.OfSwatch(String id) -> project.palette().find(id).map(Swatch::name).orElse(id);
      case Spot.OfAsset(String asset) -> asset;
    };
  }

  String name(LayerId id) {
    Place place = places.get(id);
    return place == null ? id.value() : place.board.name() + " / " + place.layer.name();
  }

  /** What kind of thing a spot is. */
  static String kind(Spot spot) {
    return switch (spot) {
      case Spot.InText _ -> "text";
      case Spot.OfStyle _ -> "style";
      case Spot.OfSwatch _ -> "swatch";
      case Spot.OfAsset _ -> "file";
    };
  }

  /** The words of a text. */
  String words(LayerId id) {
    Place place = places.get(id);
    return place == null ? "" : place.layer.story().text();
  }
}
