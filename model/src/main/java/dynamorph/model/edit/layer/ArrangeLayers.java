package dynamorph.model.edit.layer;

import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.flow.BoxWords;
import dynamorph.model.message.Messages;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.TrackId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Puts layers on an artboard, takes them away, stacks, hides, locks or names them. */
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

  /** Takes layers away; what is locked stays. */
  record Delete(Set<LayerId> layers) implements ArrangeLayers {
    @Override
    public Project applyTo(Project before) {
      Set<LayerId> free = LockedLayers.free(before, layers);
      Project after =
          before.mapArtboards(board -> {
            List<Layer> kept = new ArrayList<>(board.layers());
            boolean changed = kept.removeIf(layer -> free.contains(layer.id()));
            return changed ? board.withLayers(kept) : board;
          });
      return BoxWords.kept(before, after);
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

  /** Moves layers past the next that is not moved: forward for 1, backward for -1. */
  record Step(Set<LayerId> layers, int by) implements ArrangeLayers {
    @Override
    public Project applyTo(Project before) {
      return before.mapArtboards(this::stepped);
    }

    private Artboard stepped(Artboard board) {
      List<Layer> order = new ArrayList<>(by > 0 ? board.layers().reversed() : board.layers());
      for (int index = 1; index < order.size(); index++) {
        boolean passes =
            layers.contains(order.get(index).id()) && !layers.contains(order.get(index - 1).id());
        if (passes) {
          Collections.swap(order, index, index - 1);
        }
      }
      List<Layer> changed = by > 0 ? order.reversed() : order;
      return changed.equals(board.layers()) ? board : board.withLayers(changed);
    }

    @Override
    public String label(Project before) {
      return Messages.of(
          by > 0 ? "arrange-layers.bring-forward" : "arrange-layers.send-backward",
          texts(layers.size()));
    }
  }

  /**
   * Puts layers of one artboard elsewhere in its order.
   *
   * @param above the layer that they come to lie on; empty to put them at the bottom
   */
  record Order(Set<LayerId> layers, Optional<LayerId> above) implements ArrangeLayers {
    @Override
    public Project applyTo(Project before) {
      return before.mapArtboards(this::ordered);
    }

    private Artboard ordered(Artboard board) {
      List<Layer> moved =
          board.layers().stream().filter(layer -> layers.contains(layer.id())).toList();
      boolean here = above.isEmpty() || board.layer(above.get()).isPresent();
      if (moved.isEmpty() || !here || above.filter(layers::contains).isPresent()) {
        return board;
      }
      List<Layer> rest = new ArrayList<>(board.layers());
      rest.removeAll(moved);
      int index = above.flatMap(board::layer).map(layer -> rest.indexOf(layer) + 1).orElse(0);
      rest.addAll(index, moved);
      return rest.equals(board.layers()) ? board : board.withLayers(rest);
    }

    @Override
    public String label(Project before) {
      return Messages.of("arrange-layers.order", texts(layers.size()));
    }
  }

  /** Hides layers, or shows them again. */
  record Hide(Set<LayerId> layers, boolean hidden) implements ArrangeLayers {
    @Override
    public Project applyTo(Project before) {
      return before.mapLayers(layers, layer -> layer.withState(layer.state().withHidden(hidden)));
    }

    @Override
    public String label(Project before) {
      return Messages.of(
          hidden ? "arrange-layers.hide" : "arrange-layers.show", texts(layers.size()));
    }
  }

  /** Locks layers, or unlocks them. */
  record Lock(Set<LayerId> layers, boolean locked) implements ArrangeLayers {
    @Override
    public Project applyTo(Project before) {
      return before.mapLayers(layers, layer -> layer.withState(layer.state().withLocked(locked)));
    }

    @Override
    public String label(Project before) {
      return Messages.of(
          locked ? "arrange-layers.lock" : "arrange-layers.unlock", texts(layers.size()));
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
