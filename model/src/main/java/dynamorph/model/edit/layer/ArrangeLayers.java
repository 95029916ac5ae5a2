package dynamorph.model.edit.layer;

import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.message.Messages;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.TrackId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Puts layers on an artboard, takes them away, or names them. */
public sealed interface ArrangeLayers extends Edit {
  private static String texts(int count) {
    return Messages.of("arrange-layers.text", count);
  }

  /** Puts new layers on top of an artboard. */
  record Add(ArtboardId artboard, List<Layer> layers, String verb) implements ArrangeLayers {
    public Add {
      layers = List.copyOf(layers);
    }

    @Override
    public Project applyTo(Project before) {
      if (before.artboard(artboard).isEmpty()) {
        throw new EditRefused(Messages.of("arrange-layers.the-artboard-is-no-longer-in"));
      }
      return before.mapArtboards(board ->
          board.id().equals(artboard)
              ? board.withLayers(
                  board.layers().plusAll(layers.stream().map(layer -> on(board, layer)).toList()))
              : board);
    }

    /** A still artboard has no time; in a film a text needs one. */
    private static Layer on(Artboard board, Layer layer) {
      Optional<TrackId> track =
          layer.track().filter(id -> board.timeline().flatMap(line -> line.track(id)).isPresent());
      return track.isPresent() ? layer : layer.withTiming(firstTiming(board));
    }

    private static Optional<Timing> firstTiming(Artboard board) {
      return board
          .timeline()
          .flatMap(line ->
              line.titles()
                  .findFirst()
                  .map(titles ->
                      Timing.of(
                          titles.id(), Time.ZERO, Time.min(line.duration(), Time.ofMillis(5000)))));
    }

    @Override
    public String label(Project before) {
      return verb + " " + texts(layers.size());
    }
  }

  /** Takes layers away. */
  record Delete(Set<LayerId> layers) implements ArrangeLayers {
    @Override
    public Project applyTo(Project before) {
      return before.mapArtboards(board -> {
        List<Layer> kept = new ArrayList<>(board.layers());
        boolean changed = kept.removeIf(layer -> layers.contains(layer.id()));
        return changed ? board.withLayers(kept) : board;
      });
    }

    @Override
    public String label(Project before) {
      return Messages.of("arrange-layers.delete", texts(layers.size()));
    }
  }

  /** Moves layers to the front or the back of their artboards. */
  record Restack(Set<LayerId> layers, boolean toFront) implements ArrangeLayers {
    @Override
    public Project applyTo(Project before) {
      return before.mapArtboards(this::restacked);
    }

    private Artboard restacked(Artboard board) {
      List<Layer> moved = new ArrayList<>(board.layers());
      List<Layer> rest = new ArrayList<>(board.layers());
      moved.removeIf(layer -> !layers.contains(layer.id()));
      rest.removeIf(layer -> layers.contains(layer.id()));
      if (moved.isEmpty()) {
        return board;
      }
      rest.addAll(toFront ? rest.size() : 0, moved);
      return board.withLayers(rest);
    }

    @Override
    public String label(Project before) {
      return Messages.of(
          toFront ? "arrange-layers.bring-to-front" : "arrange-layers.send-to-back",
          texts(layers.size()));
    }
  }

  /** Names a layer. */
  record Rename(LayerId layer, String name) implements ArrangeLayers {
    @Override
    public Project applyTo(Project before) {
      return before.mapLayers(Set.of(layer), target -> target.withName(name.strip()));
    }

    @Override
    public String label(Project before) {
      return Messages.of("arrange-layers.name-text", name.strip());
    }
  }
}
