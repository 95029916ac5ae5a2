package dynamorph.model.edit.layer;

import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.flow.BoxWords;
import dynamorph.model.message.Messages;
import java.util.ArrayList;
import java.util.List;
import org.pcollections.TreePVector;

/** Adds, changes and deletes artboards. */
public sealed interface ArrangeArtboards extends Edit {
  /**
   * The gap left between an artboard and a new one beside it, as a share of the new one's width.
   */
  double GAP = 0.12;

  /** Puts a new artboard to the right of the others. */
  record Add(Artboard artboard) implements ArrangeArtboards {
    @Override
    public Project applyTo(Project before) {
      double right =
          before.artboards().stream()
              .mapToDouble(board -> board.x() + board.width())
              .max()
              .orElse(0);
      double top = before.artboards().stream().mapToDouble(Artboard::y).min().orElse(0);
      double gap = before.artboards().isEmpty() ? 0 : artboard.width() * GAP;
      return before.plus(artboard.withOrigin(right + gap, top));
    }

    @Override
    public String label(Project before) {
      return Messages.of("arrange-artboards.add-artboard", artboard.name());
    }
  }

  /** Puts a changed artboard in the place of the one with the same id; its layers stay. */
  record Change(Artboard artboard) implements ArrangeArtboards {
    @Override
    public Project applyTo(Project before) {
      return before.mapArtboards(
          board -> board.id().equals(artboard.id()) ? artboard.withLayers(board.layers()) : board);
    }

    @Override
    public String label(Project before) {
      return Messages.of("arrange-artboards.change-artboard", artboard.name());
    }
  }

  /** Puts an artboard elsewhere on the plane, its upper left corner at a point of it. */
  record Move(ArtboardId artboard, double x, double y) implements ArrangeArtboards {
    @Override
    public Project applyTo(Project before) {
      return before.mapArtboards(
          board -> board.id().equals(artboard) ? board.withOrigin(x, y) : board);
    }

    @Override
    public String label(Project before) {
      return Messages.of(
          "arrange-artboards.move-artboard",
          before.artboard(artboard).map(Artboard::name).orElse(""));
    }
  }

  /** Deletes an artboard and what stands on it. */
  record Delete(ArtboardId artboard) implements ArrangeArtboards {
    @Override
    public Project applyTo(Project before) {
      List<Artboard> kept = new ArrayList<>(before.artboards());
      kept.removeIf(board -> board.id().equals(artboard));
      return BoxWords.kept(before, before.withArtboards(TreePVector.from(kept)));
    }

    @Override
    public String label(Project before) {
      return Messages.of(
          "arrange-artboards.delete-artboard",
          before.artboard(artboard).map(Artboard::name).orElse(""));
    }
  }
}
