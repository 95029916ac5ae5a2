package dynamorph.model;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Finds layers by their ids. Few are looked through; of many the latest projects are remembered, so
 * that thousands that are selected can be asked for one by one.
 */
final class LayerIndex {
  /** So many layers are looked through faster than they are remembered. */
  private static final int FEW = 200;

  private static final int PROJECTS = 6;

  /** A layer and the artboard that it stands on. */
  record Standing(Artboard board, Layer layer) {}

  /** By identity, as whole projects are compared. */
  private static final LoadingCache<List<Artboard>, Map<LayerId, Standing>> KNOWN =
      Caffeine.newBuilder().weakKeys().maximumSize(PROJECTS).build(LayerIndex::byId);

  private LayerIndex() {}

  static Optional<Standing> find(List<Artboard> boards, LayerId id) {
    if (!isFew(boards)) {
      return Optional.ofNullable(KNOWN.get(boards).get(id));
    }
    for (Artboard board : boards) {
      Optional<Layer> layer = board.layer(id);
      if (layer.isPresent()) {
        return Optional.of(new Standing(board, layer.get()));
      }
    }
    return Optional.empty();
  }

  private static boolean isFew(List<Artboard> boards) {
    int layers = 0;
    for (Artboard board : boards) {
      layers += 1 + board.layers().size();
      if (layers > FEW) {
        return false;
      }
    }
    return true;
  }

  private static Map<LayerId, Standing> byId(List<Artboard> boards) {
    Map<LayerId, Standing> known = new HashMap<>();
    for (Artboard board : boards) {
      for (Layer layer : board.layers()) {
        known.putIfAbsent(layer.id(), new Standing(board, layer));
      }
    }
    return known;
  }
}
