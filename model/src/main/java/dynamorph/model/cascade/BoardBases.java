package dynamorph.model.cascade;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.style.StyleId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.pcollections.PVector;

/** Which layers stand on artboards with a base style of their own. Most projects have none. */
final class BoardBases {
  private record Board(StyleId base, PVector<Layer> layers) {}

  private final List<Board> boards;
  private final Map<LayerId, StyleId> byLayer;

  private BoardBases(List<Board> boards, Map<LayerId, StyleId> byLayer) {
    this.boards = boards;
    this.byLayer = byLayer;
  }

  static BoardBases of(Project project) {
    return of(boards(project));
  }

  private static BoardBases of(List<Board> boards) {
    Map<LayerId, StyleId> byLayer = new HashMap<>();
    for (Board board : boards) {
      board.layers().forEach(layer -> byLayer.put(layer.id(), board.base()));
    }
    return new BoardBases(boards, byLayer);
  }

  private static List<Board> boards(Project project) {
    return project.artboards().stream()
        .filter(artboard -> artboard.baseStyle().isPresent())
        .map(artboard -> new Board(artboard.baseStyle().get(), artboard.layers()))
        .toList();
  }

  /** Itself if every layer still has the same base. */
  BoardBases follow(Project project) {
    List<Board> now = boards(project);
    if (isSame(now)) {
      return this;
    }
    BoardBases changed = of(now);
    return changed.byLayer.equals(byLayer) ? this : changed;
  }

  private boolean isSame(List<Board> now) {
    if (now.size() != boards.size()) {
      return false;
    }
    for (int index = 0; index < now.size(); index++) {
      if (now.get(index).layers() != boards.get(index).layers()
          || !now.get(index).base().equals(boards.get(index).base())) {
        return false;
      }
    }
    return true;
  }

  Optional<StyleId> of(LayerId layer) {
    return byLayer.isEmpty() ? Optional.empty() : Optional.ofNullable(byLayer.get(layer));
  }
}
